package mosaicknife.app.lot;

/**
 * Something about a lot's parts changed: weighed, taken back, added, given a purpose.
 *
 * @param lotId the lot number
 */
public record LotChanged(long lotId) {}
