/**
 * Portions: what a dish calls one, and how many plates lie inside cuts.
 *
 * <p>It does not place cuts and does not price portions.
 *
 * <p>Read {@link mosaicknife.core.portion.Serving}, then {@link
 * mosaicknife.core.portion.WholePortions}.
 */
package mosaicknife.core.portion;
