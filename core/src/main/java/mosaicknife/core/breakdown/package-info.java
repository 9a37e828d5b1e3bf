/**
 * The tree of cuts of one lot, its mass balance and its yields.
 *
 * <p>Everything here is computed from weighings that someone else keeps. It does not price parts
 * ({@code cost}) and does not draw them ({@code mosaic}).
 *
 * <p>Read in this order: {@link mosaicknife.core.breakdown.Breakdown}, {@link
 * mosaicknife.core.breakdown.Balance}, {@link mosaicknife.core.breakdown.Yields}, {@link
 * mosaicknife.core.breakdown.Expectation}.
 */
package mosaicknife.core.breakdown;
