package mosaicknife.core.slice;

/** How a portion is cut. */
public enum Style {
  /** Straight down, across the fillet. */
  STRAIGHT,
  /**
   * The knife at half a right angle, so that slices are broad: at either end of the fillet a wedge
   * of half its thickness has no full face and is no portion.
   */
  BIAS,
  /** Squared first: what is wider than the block is trimmed off both edges, narrower ends fall. */
  BLOCK,
  /** The thin tail folded under itself: at the tail end two layers count as one thickness. */
  TAIL_FOLD,
  /** The whole side as it is. */
  SIDE,
  /** Across the bone: always with bones, and as thick as it is long on the fish. */
  STEAK
}
