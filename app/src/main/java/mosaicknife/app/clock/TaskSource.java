package mosaicknife.app.clock;

import mosaicknife.core.clock.TaskId;

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
  default boolean begin(TaskId task) {
    return false;
  }

  /**
   * Ends a task, if it keeps a book of its own for it.
   *
   * @param task its identifier
   * @return whether it was one of its own
   */
  default boolean done(TaskId task) {
    return false;
  }
}
