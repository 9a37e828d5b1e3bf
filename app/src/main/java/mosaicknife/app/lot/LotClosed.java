package mosaicknife.app.lot;

/**
 * A lot was closed: what is held of it goes on its shelf.
 *
 * @param lotId the number of the lot
 */
public record LotClosed(long lotId) {}
