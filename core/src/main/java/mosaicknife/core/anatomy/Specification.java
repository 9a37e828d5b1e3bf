package mosaicknife.core.anatomy;

/**
 * How far the main cuts are worked before they are served. A yield is worthless without it, just as
 * without the state.
 */
public enum Specification {
  /** Skin on, pin bones left in. */
  SKIN_ON(false, false, false),
  /** Skin on, pin bones cut out. */
  SKIN_ON_BONELESS(false, true, false),
  /** Skin off, pin bones cut out. */
  SKINLESS(true, true, false),
  /** Skin off, pin bones out, squared off to blocks. */
  BLOCKS(true, true, true);

  private final boolean skinned;
  private final boolean boneless;
  private final boolean squared;

  Specification(boolean skinned, boolean boneless, boolean squared) {
    this.skinned = skinned;
    this.boneless = boneless;
    this.squared = squared;
  }

  /**
   * Returns whether the skin comes off.
   *
   * @return true for skinless cuts
   */
  public boolean isSkinned() {
    return skinned;
  }

  /**
   * Returns whether the pin bones come out.
   *
   * @return true for boneless cuts
   */
  public boolean isBoneless() {
    return boneless;
  }

  /**
   * Returns whether the cuts are squared to blocks.
   *
   * @return true for blocks
   */
  public boolean isSquared() {
    return squared;
  }
}
