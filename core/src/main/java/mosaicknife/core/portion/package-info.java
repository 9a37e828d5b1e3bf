/**
 * Portions out of fillets. So far: how many whole portions lie inside each fillet.
 *
 * <p>It does not place cuts and does not price portions.
 *
 * <p>Read {@link mosaicknife.core.portion.WholePortions}.
 */
package mosaicknife.core.portion;
