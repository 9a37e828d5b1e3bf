package mosaicknife.app.lot;

import mosaicknife.core.lot.Lot;

/**
 * A lot was received.
 *
 * @param lot the lot
 */
public record LotReceived(Lot lot) {}
