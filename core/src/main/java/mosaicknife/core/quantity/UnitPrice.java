package mosaicknife.core.quantity;

import java.math.BigDecimal;
import java.math.MathContext;
import java.util.Currency;
import mosaicknife.core.check.Check;

/**
 * A price per mass, such as 11.40 a kilogram. Inside it is always per kilogram.
 *
 * @param perKilogram the money for one kilogram; never negative
 */
public record UnitPrice(ExactMoney perKilogram) implements Comparable<UnitPrice> {

  private static final BigDecimal KILOGRAMS_PER_POUND = new BigDecimal("0.45359237");

  /** Refuses a negative price. */
  public UnitPrice {
    Check.that(!perKilogram.isNegative(), "Expected a price from 0, found ", perKilogram);
  }

  /**
   * Returns a price per kilogram.
   *
   * @param money the money for one kilogram, from 0
   * @return the price
   */
  public static UnitPrice ofPerKilogram(ExactMoney money) {
    return new UnitPrice(money);
  }

  /**
   * Returns a price per kilogram written as a decimal.
   *
   * @param amount the major units for one kilogram, such as {@code "11.40"}
   * @param currency the currency
   * @return the price
   */
  public static UnitPrice ofPerKilogram(String amount, Currency currency) {
    return new UnitPrice(ExactMoney.of(amount, currency));
  }

  /**
   * Returns a price given per pound.
   *
   * @param money the money for one pound, from 0
   * @return the price, to 34 digits per kilogram
   */
  public static UnitPrice ofPerPound(ExactMoney money) {
    return new UnitPrice(
        new ExactMoney(
            money.amount().divide(KILOGRAMS_PER_POUND, MathContext.DECIMAL128), money.currency()));
  }

  /**
   * Returns this price for one pound.
   *
   * @return the money for 0.45359237 kg
   */
  public ExactMoney perPound() {
    return new ExactMoney(
        perKilogram.amount().multiply(KILOGRAMS_PER_POUND), perKilogram.currency());
  }

  /**
   * Returns what a mass costs at this price, exactly.
   *
   * @param mass the mass
   * @return the money; 55.404 for 4.860 kg at 11.40
   */
  public ExactMoney times(Mass mass) {
    return new ExactMoney(
        perKilogram.amount().multiply(mass.inKilograms()), perKilogram.currency());
  }

  @Override
  public int compareTo(UnitPrice other) {
    return perKilogram.compareTo(other.perKilogram);
  }

  /** Returns the price per kilogram, such as {@code EUR 11.4/kg}. */
  @Override
  public String toString() {
    return perKilogram + "/kg";
  }
}
