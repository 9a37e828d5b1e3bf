package mosaicknife.core.pot;

import java.math.BigDecimal;
import mosaicknife.core.check.Check;

/**
 * A kettle on its hob.
 *
 * @param name what it is called
 * @param litres what it holds to the rim, from 1 to 500
 * @param centimetres how wide it is, from 10 to 150
 * @param watts what the hob puts out, from 500 to 60,000
 */
public record Kettle(String name, BigDecimal litres, int centimetres, int watts) {

  private static final BigDecimal LARGEST = BigDecimal.valueOf(500);

  /** Refuses what stands in no kitchen. */
  public Kettle {
    Check.text(name, "name");
    Check.that(isSize(litres), "Expected litres from 1 to 500, found ", litres);
    Check.inRange(centimetres, 10, 150, "centimetres");
    Check.inRange(watts, 500, 60_000, "watts");
  }

  /**
   * Returns whether a kettle can hold so much.
   *
   * @param litres the litres
   * @return true from 1 to 500
   */
  public static boolean isSize(BigDecimal litres) {
    return litres.compareTo(BigDecimal.ONE) >= 0 && litres.compareTo(LARGEST) <= 0;
  }

  /** What fits in with room to skim, in litres. */
  double fill() {
    return litres.doubleValue() * 0.85;
  }

  /** Its open surface in square metres. */
  double surface() {
    double radius = centimetres / 200.0;
    return Math.PI * radius * radius;
  }
}
