package mosaicknife.app.lot;

/**
 * Something about a lot's parts changed: weighed, taken back, added, given a purpose.
 *
 * @param lotId the lot number
 * @param by what the change was sent as, so that its sender need not be told; empty if nobody asks
 */
public record LotChanged(long lotId, String by) {

  /**
   * Makes the news of a change that every bench wants to hear of.
   *
   * @param lotId the lot number
   */
  public LotChanged(long lotId) {
    this(lotId, "");
  }
}
