package mosaicknife.core.heat;

/** Where something stands; about how warm it is there, and how surely. */
public enum Surroundings {
  /** In the kitchen. */
  ROOM(22, 3),
  /** In a refrigerator. */
  FRIDGE(4, 2),
  /** In ice and water, changed when it melts. */
  ICE_BATH(1, 1),
  /** In a blast chiller. */
  BLAST(-8, 4),
  /** Over or in heat of which nobody knows how much. */
  UNKNOWN(60, 1000);

  private final double degrees;
  private final double spread;

  Surroundings(double degrees, double spread) {
    this.degrees = degrees;
    this.spread = spread;
  }

  /**
   * Returns about how warm it is there.
   *
   * @return degrees Celsius; a starting estimate
   */
  public double degrees() {
    return degrees;
  }

  /**
   * Returns how far off that may be.
   *
   * @return a standard deviation in degrees
   */
  public double spread() {
    return spread;
  }
}
