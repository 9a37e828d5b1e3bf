package mosaicknife.core.heat;

/** Where something stands; about how warm it is there, and how surely. */
public enum Surroundings {
  /** In the kitchen. */
  ROOM(22, 3, 0),
  /** In a refrigerator. */
  FRIDGE(3.6, 1.2, 0),
  /** In ice and water, changed when it melts. */
  ICE_BATH(1, 1, 3),
  /** In a blast chiller. */
  BLAST(-8, 4, 1);

  private final double degrees;
  private final double spread;
  private final double warmer;

  Surroundings(double degrees, double spread, double warmer) {
    this.degrees = degrees;
    this.spread = spread;
    this.warmer = warmer;
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

  /**
   * Returns how much warmer it may get there with something hot in it: ice melts, air warms.
   *
   * @return degrees; a starting estimate
   */
  public double warmer() {
    return warmer;
  }
}
