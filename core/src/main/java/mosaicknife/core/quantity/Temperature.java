package mosaicknife.core.quantity;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import mosaicknife.core.check.Check;

/**
 * A temperature, exact to a tenth of a degree Celsius.
 *
 * @param tenths tenths of a degree Celsius, from −60 °C to 300 °C
 */
public record Temperature(int tenths) implements Comparable<Temperature> {

  private static final Pattern TYPED = Pattern.compile("(.*?)\\s*°?\\s*([cf])?");

  /** Refuses what no kitchen measures. */
  public Temperature {
    Check.inRange(tenths, -600, 3000, "temperature in tenths of a degree");
  }

  /**
   * Makes a temperature of whole degrees.
   *
   * @param degrees degrees Celsius
   * @return the temperature
   */
  public static Temperature ofCelsius(int degrees) {
    return new Temperature(degrees * 10);
  }

  /**
   * Reads a temperature as typed, in degrees Celsius if no unit is given.
   *
   * @param typed such as {@code 2.1}, {@code -18 °C} or {@code 36 F}
   * @return the temperature, rounded to a tenth of a degree
   * @throws QuantityFormatException if it is no temperature from −60 to 300 °C
   */
  public static Temperature parse(String typed) {
    Matcher matcher = TYPED.matcher(typed.strip().toLowerCase(Locale.ROOT));
    Check.that(matcher.matches(), "Expected the pattern to match anything");
    BigDecimal number = NumberText.parse(matcher.group(1), NumberText.Comma.DECIMAL).value();
    if ("f".equals(matcher.group(2))) {
      number =
          number
              .subtract(BigDecimal.valueOf(32))
              .multiply(BigDecimal.valueOf(5))
              .divide(BigDecimal.valueOf(9), 6, RoundingMode.HALF_EVEN);
    }
    BigDecimal tenths = number.movePointRight(1).setScale(0, RoundingMode.HALF_EVEN);
    if (tenths.compareTo(BigDecimal.valueOf(-600)) < 0
        || tenths.compareTo(BigDecimal.valueOf(3000)) > 0) {
      throw new QuantityFormatException(QuantityProblem.NOT_A_TEMPERATURE, typed.strip());
    }
    return new Temperature(tenths.intValueExact());
  }

  @Override
  public int compareTo(Temperature other) {
    return Integer.compare(tenths, other.tenths);
  }

  /**
   * Writes the temperature.
   *
   * @return such as {@code 2.1 °C}
   */
  @Override
  public String toString() {
    return BigDecimal.valueOf(tenths, 1).toPlainString().replace('-', '−') + " °C";
  }
}
