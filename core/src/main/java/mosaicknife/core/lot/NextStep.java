package mosaicknife.core.lot;

/** What is to be done next with a lot, and at which station. */
public enum NextStep {
  /** The lot is closed. */
  NOTHING(Station.USES),
  /** The tally does not add up. */
  LOOK_AT_THE_TALLY(Station.BENCH),
  /** Parts are still to be weighed. */
  WEIGH_ON(Station.BENCH),
  /** Nothing is weighed yet. */
  START_WEIGHING(Station.BENCH),
  /** It adds up, and weighed parts have no purpose. */
  DECIDE_THE_REST(Station.USES),
  /** Everything is done. */
  CLOSE(Station.BENCH);

  private final Station station;

  NextStep(Station station) {
    this.station = station;
  }

  /**
   * Returns where it is done.
   *
   * @return the station
   */
  public Station station() {
    return station;
  }
}
