package mosaicknife.core.lot;

/**
 * Why plates of a lot are not among those that are counted for tonight. There is no other reason
 * for two stations to tell different numbers, and each says its own.
 */
public enum Apart {
  /**
   * The plan says so, and nothing was weighed of them yet, while others were: they are by the norm.
   */
  TO_COME,
  /** They lie there weighed, and nobody decided that they go on a plate. */
  UNDECIDED,
  /** They lie there weighed and are held for another day. */
  HELD,
  /** Counted, and the raw gate keeps them from the dish they go to: no cut for the service. */
  WITHHELD,
  /**
   * Counted, and the lot is held until somebody decides, for the pot only, or past its last day.
   */
  NOT_SERVED
}
