package mosaicknife.core.lot;

/** The stations a lot passes, in the order of the day. */
public enum Station {
  /** Received and inspected. */
  DOCK,
  /** Every part has a purpose before the first cut. */
  PLAN,
  /** Weighed, and it adds up. */
  BENCH,
  /** Something is for the plate, so that a portion has a cost. */
  COST,
  /** Every weighed part has a purpose. */
  USES
}
