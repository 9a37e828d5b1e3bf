package mosaicknife.app.buy;

/** How far an order is. */
public enum OrderStatus {
  /** Being put together. */
  DRAFT,
  /** Given to the supplier; the dock expects it. */
  PLACED,
  /** Everything came, or what is missing will not come. */
  CLOSED;
}
