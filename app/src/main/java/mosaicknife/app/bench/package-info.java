/**
 * The bench: the page beside the board, with the drawing, the live scale, the tally and its words.
 *
 * <p>It stores only remarks and when work began. Parts come from {@code parts}, weighings from
 * {@code weighing}, everything that follows from {@link mosaicknife.core.lot.LotSheet}. Read {@code
 * BenchController}, {@code BenchPages}, {@code BenchView} in this order.
 */
package mosaicknife.app.bench;
