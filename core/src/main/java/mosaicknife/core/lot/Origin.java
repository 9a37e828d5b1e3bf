package mosaicknife.core.lot;

/** Where a fish grew up. It later decides whether the bones make good stock. */
public enum Origin {
  /** Caught in the wild. */
  WILD,
  /** Farmed. */
  FARMED;
}
