package mosaicknife.core.lot;

/** Where a fish grew up. It later decides whether the bones make good stock. */
public enum Origin {
  /** Caught in the wild. */
  WILD("Wild"),
  /** Farmed. */
  FARMED("Farmed");

  private final String title;

  Origin(String title) {
    this.title = title;
  }

  /**
   * Returns the name on screen.
   *
   * @return {@code Wild} or {@code Farmed}
   */
  public String title() {
    return title;
  }
}
