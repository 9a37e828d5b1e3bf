/**
 * Today: what needs a decision now, the open lots, and the way to the fish on the board.
 *
 * <p>What has to be decided and what comes next is worked out by {@link
 * mosaicknife.core.lot.Decision} and {@link mosaicknife.core.lot.LotSheet}; here it gets its words
 * and its links.
 */
package mosaicknife.app.today;
