package mosaicknife.core.anatomy;

/** Which side of the fish a part comes from. */
public enum Side {
  /** The part has no side, such as the head, or both sides go together. */
  NONE("%s"),
  /** Left side of a fish that swims away from you. */
  LEFT("Left %s"),
  /** Right side of a fish that swims away from you. */
  RIGHT("Right %s"),
  /** Flatfish, the whole side with the eyes. */
  EYE("Eye side %s"),
  /** Flatfish, the whole blind side. */
  BLIND("Blind side %s"),
  /** Flatfish, side with the eyes, above the midline. */
  EYE_BACK("Eye side, back %s"),
  /** Flatfish, side with the eyes, below the midline. */
  EYE_BELLY("Eye side, belly %s"),
  /** Flatfish, blind side, above the midline. */
  BLIND_BACK("Blind side, back %s"),
  /** Flatfish, blind side, below the midline. */
  BLIND_BELLY("Blind side, belly %s"),
  /** Loin fish, left above the midline. */
  TOP_LEFT("Top left %s"),
  /** Loin fish, right above the midline. */
  TOP_RIGHT("Top right %s"),
  /** Loin fish, left below the midline. */
  BOTTOM_LEFT("Bottom left %s"),
  /** Loin fish, right below the midline. */
  BOTTOM_RIGHT("Bottom right %s");

  private final String pattern;

  Side(String pattern) {
    this.pattern = pattern;
  }

  /**
   * Returns the name of a part on this side.
   *
   * @param part the name of the part kind
   * @return such as {@code Left fillet}
   */
  public String nameOf(String part) {
    return this == NONE
        ? part
        : pattern.formatted(
            part.substring(0, 1).toLowerCase(java.util.Locale.ROOT) + part.substring(1));
  }
}
