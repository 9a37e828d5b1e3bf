package mosaicknife.core.safety;

/** What a lot may become, from best to worst. */
public enum Fitness {
  /** Fresh enough to be served raw, if the raw gate is met as well. */
  RAW("Raw", "fresh enough for raw, once the raw gate is met"),
  /** To be cooked. */
  COOK("Cooked", "cooked through by your local code"),
  /** Only for stock and long cooking, today. */
  POT("Pot only", "stock and soup, today"),
  /** Not to be taken. */
  REFUSE("Refuse", "send it back");

  private final String title;
  private final String meaning;

  Fitness(String title, String meaning) {
    this.title = title;
    this.meaning = meaning;
  }

  /**
   * Returns the name on screen.
   *
   * @return such as {@code Pot only}
   */
  public String title() {
    return title;
  }

  /**
   * Returns what it means.
   *
   * @return a few words
   */
  public String meaning() {
    return meaning;
  }

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
