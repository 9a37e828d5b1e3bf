package mosaicknife.core.lot;

/** Where a weight came from. */
public enum Source {
  /** Read off the scale. */
  SCALE,
  /** Typed by hand. */
  TYPED
}
