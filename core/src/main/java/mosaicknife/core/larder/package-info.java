/**
 * What is kept for later: items on shelves with place, owner and day, where they come from to the
 * gram, what they cost, and what becomes of them; ageing and freezing.
 *
 * <p>An item is folded from facts and nothing else. Read in this order: {@link
 * mosaicknife.core.larder.Trace}, {@link mosaicknife.core.larder.Shelved}, {@link
 * mosaicknife.core.larder.Entry}, {@link mosaicknife.core.larder.Item}, {@link
 * mosaicknife.core.larder.LarderRules}, {@link mosaicknife.core.larder.LotMoney}.
 */
package mosaicknife.core.larder;
