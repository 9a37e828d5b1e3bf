package mosaicknife.app.shared;

import java.math.BigDecimal;
import java.math.RoundingMode;

/**
 * Writes numbers for pictures and addresses: with a point, whatever the language of the reader or
 * of the server is.
 */
public final class Decimals {

  private Decimals() {}

  /**
   * Writes a number with so many decimals.
   *
   * @param value the number, finite
   * @param places how many decimals, from 0
   * @return such as {@code 12.5}; never with an exponent
   */
  public static String of(double value, int places) {
    return BigDecimal.valueOf(value).setScale(places, RoundingMode.HALF_UP).toPlainString();
  }

  /**
   * Writes a whole number with two digits at least.
   *
   * @param value the number, from 0
   * @return such as {@code 07}
   */
  public static String two(long value) {
    return value < 10 ? "0" + value : "" + value;
  }
}
