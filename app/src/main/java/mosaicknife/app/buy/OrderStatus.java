package mosaicknife.app.buy;

/** How far an order is. */
public enum OrderStatus {
  /** Being put together. */
  DRAFT("being put together"),
  /** Given to the supplier; the dock expects it. */
  PLACED("placed"),
  /** Everything came, or what is missing will not come. */
  CLOSED("closed");

  private final String title;

  OrderStatus(String title) {
    this.title = title;
  }

  /**
   * Returns the words on screen.
   *
   * @return such as {@code placed}
   */
  public String title() {
    return title;
  }
}
