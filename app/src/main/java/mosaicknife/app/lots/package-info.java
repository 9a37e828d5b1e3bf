/**
 * The one list of lots: open ones first, the rest by page, found by fish, supplier, number or day.
 *
 * <p>It shows what is written down and computes nothing; {@code LotsController} is all there is.
 */
package mosaicknife.app.lots;
