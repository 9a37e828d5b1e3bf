package mosaicknife.app.account;

/** Something a person may do. Pages and services ask for these, never for a role. */
public enum Permission {
  /** Receive lots at the dock. */
  RECEIVE,
  /** Weigh parts at the bench. */
  WEIGH,
  /** Decide what parts are for. */
  DECIDE_PURPOSE,
  /** See prices and costs. */
  SEE_COSTS,
  /** Close a lot, and open it again. */
  FINISH_LOT,
  /** Plan purchases: dishes, prices, orders. */
  BUY,
  /** Change what the house believes of its fish, and its rules. */
  EDIT_CATALOGUE,
  /** Change the house and its people. */
  MANAGE_HOUSE
}
