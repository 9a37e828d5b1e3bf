package mosaicknife.core.anatomy;

/**
 * How far the main cuts are worked before they are served. A yield is worthless without it, just as
 * without the state.
 */
public enum Specification {
  /** Skin on, pin bones left in. */
  SKIN_ON("Skin on, pin bones in", false, false, 0),
  /** Skin on, pin bones cut out. */
  SKIN_ON_BONELESS("Skin on, pin bones out", false, true, 0),
  /** Skin off, pin bones cut out. */
  SKINLESS("Skin off, pin bones out", true, true, 0),
  /** Skin off, pin bones out, squared off to blocks. */
  BLOCKS("Skin off, squared blocks", true, true, 0.06);

  /** A strip along the whole fillet takes this fraction of it; a starting estimate. */
  private static final double STRIP = 0.07;

  private final String title;
  private final boolean skinned;
  private final boolean pinned;
  private final double trim;

  Specification(String title, boolean skinned, boolean pinned, double trim) {
    this.title = title;
    this.skinned = skinned;
    this.pinned = pinned;
    this.trim = trim;
  }

  /**
   * Returns the name on screen.
   *
   * @return such as {@code Skin off, pin bones out}
   */
  public String title() {
    return title;
  }

  /**
   * Returns which fraction of a skin-on main cut the skin is that comes off.
   *
   * @param eating the qualities of the fish
   * @return the fraction, 0 if the skin stays on
   */
  public double skin(Eating eating) {
    return skinned ? eating.skinShare() : 0;
  }

  /**
   * Returns which fraction of a skin-on main cut the pin-bone strip is that comes off.
   *
   * @param eating the qualities of the fish
   * @return the fraction, 0 if the pin bones stay in or there are none
   */
  public double pinBoneStrip(Eating eating) {
    return pinned ? STRIP * eating.pinBonesTo() : 0;
  }

  /**
   * Returns which fraction of a main cut is squared off.
   *
   * @return the fraction, 0 if nothing is
   */
  public double trim() {
    return trim;
  }

  /**
   * Returns which fraction of a skin-on main cut is left.
   *
   * @param eating the qualities of the fish
   * @return the fraction, above 0 up to 1
   */
  public double kept(Eating eating) {
    return 1 - skin(eating) - pinBoneStrip(eating) - trim;
  }
}
