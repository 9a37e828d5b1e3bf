package mosaicknife.core.breakdown;

/** How a figure is known. No figure may pass for a better known one. */
public enum Knowledge {
  /** Read off a scale or typed from one. */
  MEASURED,
  /** Worked out from measured figures alone. */
  BY_DIFFERENCE,
  /** Worked out with a norm. */
  ESTIMATED
}
