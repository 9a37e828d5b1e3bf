package mosaicknife.app.clock;

/** Somewhere tasks come from. */
interface TaskSource {

  /**
   * Adds what takes time from now on.
   *
   * @param day what is gathered
   */
  void gather(Gathering day);

  /**
   * Begins a task, if it keeps a book of its own for it.
   *
   * @param task its identifier
   * @return whether it was one of its own
   */
  default boolean begin(String task) {
    return false;
  }

  /**
   * Ends a task, if it keeps a book of its own for it.
   *
   * @param task its identifier
   * @return whether it was one of its own
   */
  default boolean done(String task) {
    return false;
  }
}
