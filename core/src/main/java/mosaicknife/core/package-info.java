/**
 * The rules and the computation of Mosaic Knife, in plain Java.
 *
 * <p>Nothing below this package knows a framework, a database, a web page, a clock or a random
 * source: time and seeds are passed in. The packages form a ladder, from the ground up: {@code
 * check}, {@code quantity}, {@code anatomy}, {@code breakdown}, {@code mosaic}, {@code portion},
 * {@code cost}, {@code scale}, {@code practice}. A package may use only those below it.
 *
 * <p>Read first: {@link mosaicknife.core.quantity.Mass}, {@link
 * mosaicknife.core.breakdown.Breakdown}, {@link mosaicknife.core.cost.CostSheet}.
 */
package mosaicknife.core;
