package mosaicknife.core.lot;

/** How a fish was caught. */
public enum CatchMethod {
  /** Hook and line; the hook mark in the mouth shows it. */
  LINE,
  /** Static net. */
  NET,
  /** Towed net. */
  TRAWL,
  /** Trap or pot. */
  TRAP,
  /** Speared. */
  SPEAR,
  /** Harvested from a farm. */
  FARM;
}
