package mosaicknife.app.dock;

/**
 * A lot was received.
 *
 * @param lot the lot
 */
public record LotReceived(Lot lot) {}
