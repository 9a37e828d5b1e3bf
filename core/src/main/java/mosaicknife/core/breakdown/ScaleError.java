package mosaicknife.core.breakdown;

import mosaicknife.core.check.Check;
import mosaicknife.core.quantity.Mass;

/**
 * How far a reading may be off the truth because of the scale.
 *
 * <p>A display that steps by d rounds evenly within ±d/2, which has the standard deviation d/√12
 * (variance of the uniform distribution); repeatability adds in quadrature.
 *
 * @param readability the step of the display, positive
 * @param repeatability the standard deviation of repeated readings, zero or more
 */
public record ScaleError(Mass readability, Mass repeatability) {

  /** A bench scale with steps of 2 g, assumed where the scale of a weighing is not told apart. */
  public static final ScaleError BENCH = of(Mass.ofGrams(2));

  /** Refuses a scale without step. */
  public ScaleError {
    Check.that(readability.isPositive(), "Expected a readability above 0 g, found ", readability);
    Check.that(
        !repeatability.isNegative(), "Expected a repeatability from 0 g, found ", repeatability);
  }

  /**
   * Returns the error of a scale of which only the step is known.
   *
   * @param readability the step of the display
   * @return the error with a repeatability of half a step
   */
  public static ScaleError of(Mass readability) {
    return new ScaleError(readability, Mass.ofMilligrams(readability.milligrams() / 2));
  }

  /**
   * Returns the standard deviation of a sum or difference of independent readings.
   *
   * @param readings how many readings, zero or more
   * @return the standard deviation in grams; 0 for no reading
   */
  public double sigmaGrams(int readings) {
    Check.inRange(readings, 0, 1_000_000, "readings");
    double step = readability.inGrams().doubleValue();
    double repeat = repeatability.inGrams().doubleValue();
    return Math.sqrt(readings * (step * step / 12 + repeat * repeat));
  }
}
