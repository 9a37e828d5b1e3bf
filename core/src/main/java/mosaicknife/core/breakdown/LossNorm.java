package mosaicknife.core.breakdown;

import java.math.RoundingMode;
import mosaicknife.core.check.Check;
import mosaicknife.core.quantity.Fraction;
import mosaicknife.core.quantity.Mass;

/**
 * What a breakdown usually loses to drip, scales and blood, as a fraction of the whole.
 *
 * @param mean the expected fraction, from 0 to 1
 * @param spread the standard deviation between lots, from 0 to 1
 */
public record LossNorm(double mean, double spread) {

  /** 1.5 % with a standard deviation of 0.8 %: a starting estimate, to be replaced by the house. */
  public static final LossNorm STARTING = new LossNorm(0.015, 0.008);

  /** How many standard deviations the band reaches to either side. */
  private static final double BAND = 2;

  /** Refuses fractions outside 0–1. */
  public LossNorm {
    Check.inRange(mean, 0, 1, "mean loss");
    Check.inRange(spread, 0, 1, "spread of the loss");
  }

  /**
   * Returns the same loss with more that may or may not be lost.
   *
   * @param more the standard deviation of what comes on top, as a fraction of the whole, from 0
   * @return the norm with both spreads in quadrature
   */
  public LossNorm spreadBy(double more) {
    return new LossNorm(mean, Math.hypot(spread, more));
  }

  /**
   * Returns the loss to expect.
   *
   * @param whole the mass before cutting
   * @return the mean loss, to the milligram
   */
  public Mass expected(Mass whole) {
    return fraction(whole, mean);
  }

  /**
   * Returns the largest loss that still passes as drip and scales.
   *
   * @param whole the mass before cutting
   * @return the mean plus two standard deviations, to the milligram
   */
  public Mass highest(Mass whole) {
    return fraction(whole, mean + BAND * spread);
  }

  private static Mass fraction(Mass whole, double fraction) {
    return whole.multipliedBy(Fraction.ofEstimate(fraction), RoundingMode.HALF_EVEN);
  }
}
