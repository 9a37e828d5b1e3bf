package mosaicknife.core.anatomy;

/**
 * How far the main cuts are worked before they are served. A yield is worthless without it, just as
 * without the state.
 */
public enum Specification {
  /** Skin on, pin bones left in. */
  SKIN_ON("Skin on, pin bones in", false, false, false),
  /** Skin on, pin bones cut out. */
  SKIN_ON_BONELESS("Skin on, pin bones out", false, true, false),
  /** Skin off, pin bones cut out. */
  SKINLESS("Skin off, pin bones out", true, true, false),
  /** Skin off, pin bones out, squared off to blocks. */
  BLOCKS("Skin off, squared blocks", true, true, true);

  private final String title;
  private final boolean skinned;
  private final boolean boneless;
  private final boolean squared;

  Specification(String title, boolean skinned, boolean boneless, boolean squared) {
    this.title = title;
    this.skinned = skinned;
    this.boneless = boneless;
    this.squared = squared;
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
