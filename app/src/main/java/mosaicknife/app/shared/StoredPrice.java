package mosaicknife.app.shared;

import jakarta.persistence.Column;
import jakarta.persistence.Embeddable;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.Currency;
import java.util.Optional;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.UnitPrice;

/**
 * A price per weight as a row keeps it: money per kilogram, with its currency beside it.
 *
 * @param perKilogram the amount for one kilogram
 * @param currency the code of the currency
 */
@Embeddable
public record StoredPrice(@Column(name = "price_per_kg") BigDecimal perKilogram, String currency) {

  private static final int DECIMALS = 10;

  /**
   * Returns a price as it is kept.
   *
   * @param price the price, for whichever weight
   * @return the price per kilogram
   */
  public static StoredPrice of(UnitPrice price) {
    ExactMoney perKilogram = price.perKilogram();
    return new StoredPrice(
        perKilogram.amount().setScale(DECIMALS, RoundingMode.HALF_EVEN),
        perKilogram.currency().getCurrencyCode());
  }

  /**
   * Returns the price.
   *
   * @return the price per kilogram
   */
  public UnitPrice price() {
    return known().orElseThrow();
  }

  /**
   * Returns a price that may be to come, of which only the currency is kept.
   *
   * @param price the price, if it is known
   * @param currency what it is paid in
   * @return the price per kilogram
   */
  public static StoredPrice of(Optional<UnitPrice> price, Currency currency) {
    return price
        .map(StoredPrice::of)
        .orElseGet(() -> new StoredPrice(null, currency.getCurrencyCode()));
  }

  /**
   * Returns the price, if it is known.
   *
   * @return the price per kilogram; empty while it is to come
   */
  public Optional<UnitPrice> known() {
    return Optional.ofNullable(perKilogram)
        .map(amount -> UnitPrice.ofPerKilogram(new ExactMoney(amount, money())));
  }

  /**
   * Returns its currency.
   *
   * @return the currency
   */
  public Currency money() {
    return Currency.getInstance(currency);
  }
}
