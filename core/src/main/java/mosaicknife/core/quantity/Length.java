package mosaicknife.core.quantity;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import mosaicknife.core.check.Check;

/**
 * A length, exact to the millimetre.
 *
 * @param millimetres the length, from 1 mm to 10 m
 */
public record Length(int millimetres) implements Comparable<Length> {

  private static final Pattern TYPED = Pattern.compile("(.*?)\\s*(mm|cm|m|in|\")?");
  private static final BigDecimal INCH = new BigDecimal("25.4");

  /** Refuses what no fish measures. */
  public Length {
    Check.inRange(millimetres, 1, 10_000, "length in mm");
  }

  /**
   * Reads a length as typed, in centimetres if no unit is given.
   *
   * @param typed such as {@code 42}, {@code 42.5 cm}, {@code 425 mm} or {@code 16.5 in}
   * @return the length, rounded to the millimetre
   * @throws QuantityFormatException if it is no length from 1 mm to 10 m
   */
  public static Length parse(String typed) {
    Matcher matcher = TYPED.matcher(typed.strip().toLowerCase(Locale.ROOT));
    Check.that(matcher.matches(), "Expected the pattern to match anything");
    BigDecimal number = NumberText.parse(matcher.group(1), NumberText.Comma.DECIMAL).value();
    String unit = matcher.group(2) == null ? "cm" : matcher.group(2);
    BigDecimal factor =
        switch (unit) {
          case "mm" -> BigDecimal.ONE;
          case "m" -> BigDecimal.valueOf(1000);
          case "in", "\"" -> INCH;
          default -> BigDecimal.TEN;
        };
    BigDecimal millimetres = number.multiply(factor).setScale(0, RoundingMode.HALF_EVEN);
    if (millimetres.signum() <= 0 || millimetres.compareTo(BigDecimal.valueOf(10_000)) > 0) {
      throw new QuantityFormatException(QuantityProblem.NOT_A_LENGTH, typed.strip());
    }
    return new Length(millimetres.intValueExact());
  }

  @Override
  public int compareTo(Length other) {
    return Integer.compare(millimetres, other.millimetres);
  }

  /**
   * Writes the length in centimetres.
   *
   * @return such as {@code 42.5 cm}
   */
  @Override
  public String toString() {
    return BigDecimal.valueOf(millimetres, 1).stripTrailingZeros().toPlainString() + " cm";
  }
}
