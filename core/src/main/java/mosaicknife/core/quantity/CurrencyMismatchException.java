package mosaicknife.core.quantity;

import java.util.Currency;

/** Two amounts of different currencies met in one calculation. */
public final class CurrencyMismatchException extends IllegalArgumentException {

  private static final long serialVersionUID = 1L;

  /**
   * Says which currencies met.
   *
   * @param expected the currency of the calculation
   * @param found the other currency
   */
  public CurrencyMismatchException(Currency expected, Currency found) {
    super("Expected an amount in %s, found %s".formatted(expected, found));
  }
}
