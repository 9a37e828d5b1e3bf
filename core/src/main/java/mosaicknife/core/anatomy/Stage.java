package mosaicknife.core.anatomy;

/** The stage of cleaning at which a part leaves the fish, before the cutting of portions. */
public enum Stage {
  /** Goes when the fish is gutted. */
  GUTTING,
  /** Goes when the gills are taken out. */
  GILLING,
  /** Goes with the head. */
  HEADING,
  /** Stays on the fish until it is cut. */
  CUTTING
}
