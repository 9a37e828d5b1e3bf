/**
 * Exact quantities: mass, money, prices per mass, fractions, and the reading of what people type.
 *
 * <p>Nothing here knows fish. Values are immutable; no method rounds without being told how. Input
 * typed by a person goes through {@link mosaicknife.core.quantity.MassText} or {@link
 * mosaicknife.core.quantity.PriceText}, which say back what they understood.
 *
 * <p>Read in this order: {@link mosaicknife.core.quantity.Mass}, {@link
 * mosaicknife.core.quantity.Fraction}, {@link mosaicknife.core.quantity.ExactMoney}, {@link
 * mosaicknife.core.quantity.Money}, {@link mosaicknife.core.quantity.MassText}.
 */
package mosaicknife.core.quantity;
