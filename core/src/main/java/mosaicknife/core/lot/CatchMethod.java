package mosaicknife.core.lot;

/** How a fish was caught. */
public enum CatchMethod {
  /** Hook and line; the hook mark in the mouth shows it. */
  LINE("Line"),
  /** Static net. */
  NET("Net"),
  /** Towed net. */
  TRAWL("Trawl"),
  /** Trap or pot. */
  TRAP("Trap"),
  /** Speared. */
  SPEAR("Spear"),
  /** Harvested from a farm. */
  FARM("Farm");

  private final String title;

  CatchMethod(String title) {
    this.title = title;
  }

  /**
   * Returns the name on screen.
   *
   * @return such as {@code Line}
   */
  public String title() {
    return title;
  }
}
