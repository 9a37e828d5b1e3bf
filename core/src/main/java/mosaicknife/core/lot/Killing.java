package mosaicknife.core.lot;

/** How a fish was killed, as far as one can see or was told. */
public enum Killing {
  /** Brain spiked, bled, in ice slurry: firm flesh. */
  SPIKED("Spiked and bled"),
  /** Bled. */
  BLED("Bled"),
  /** Died in ice. */
  ICE("In ice"),
  /** Not known. */
  UNKNOWN("Not known");

  private final String title;

  Killing(String title) {
    this.title = title;
  }

  /**
   * Returns the name on screen.
   *
   * @return such as {@code Bled}
   */
  public String title() {
    return title;
  }
}
