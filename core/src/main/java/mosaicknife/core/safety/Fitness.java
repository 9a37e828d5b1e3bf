package mosaicknife.core.safety;

/** What a lot may become, from best to worst. */
public enum Fitness {
  /** Fresh enough to be served raw, if the raw gate is met as well. */
  RAW,
  /** To be cooked. */
  COOK,
  /** Only for stock and long cooking, today. */
  POT,
  /** Not to be taken. */
  REFUSE;

  /**
   * Returns whether this allows less than another.
   *
   * @param other the other
   * @return true if it is stricter
   */
  public boolean isStricterThan(Fitness other) {
    return compareTo(other) > 0;
  }

  static Fitness stricter(Fitness one, Fitness other) {
    return one.isStricterThan(other) ? one : other;
  }
}
