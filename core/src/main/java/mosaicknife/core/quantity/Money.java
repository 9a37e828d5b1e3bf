package mosaicknife.core.quantity;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Currency;
import java.util.List;
import mosaicknife.core.check.Check;

/**
 * An amount of money in whole minor units, as it is invoiced, paid or shown.
 *
 * <p>This type has no division: sharing goes through {@link #allocate}, whose shares add up to the
 * whole. The type that keeps all digits is {@link ExactMoney}.
 *
 * @param minorUnits the amount in cents, pence or the like; of either sign
 * @param currency the currency
 */
public record Money(long minorUnits, Currency currency) {

  /** Refuses an amount without currency. */
  public Money {
    Check.notNull(currency, "currency");
  }

  /**
   * Returns an amount of whole minor units.
   *
   * @param minorUnits the minor units
   * @param currency the currency
   * @return the amount
   */
  public static Money ofMinor(long minorUnits, Currency currency) {
    return new Money(minorUnits, currency);
  }

  /**
   * Returns the same amount as the type that keeps all digits.
   *
   * @return the amount
   */
  public ExactMoney toExact() {
    return new ExactMoney(inMajorUnits(), currency);
  }

  /**
   * Returns the amount in major units with the currency's decimals.
   *
   * @return 55.40 for 5 540 cents
   */
  public BigDecimal inMajorUnits() {
    return BigDecimal.valueOf(minorUnits, currency.getDefaultFractionDigits());
  }

  /**
   * Shares this amount in proportion to weights, by largest remainder; a tie goes to the earlier
   * share. The shares add up to this amount to the minor unit.
   *
   * @param weights the weights, none negative, at least one positive
   * @return one share per weight, in the same order
   * @throws IllegalArgumentException if there is no positive weight or a negative one
   */
  public List<Money> allocate(List<Fraction> weights) {
    List<Money> shares = new ArrayList<>();
    for (long share : LargestRemainder.allocate(minorUnits, weights)) {
      shares.add(ofMinor(share, currency));
    }
    return List.copyOf(shares);
  }

  /** Returns the amount with its currency code, such as {@code EUR 55.40}. */
  @Override
  public String toString() {
    return currency.getCurrencyCode() + " " + inMajorUnits().toPlainString();
  }
}
