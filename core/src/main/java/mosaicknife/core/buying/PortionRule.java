package mosaicknife.core.buying;

import java.math.RoundingMode;
import mosaicknife.core.check.Check;
import mosaicknife.core.quantity.Fraction;
import mosaicknife.core.quantity.Mass;

/**
 * What counts as one portion.
 *
 * @param target the mass a portion should have
 * @param tolerance how much lighter it may be, as a fraction of the target, from 0 to 0.3
 */
public record PortionRule(Mass target, double tolerance) {

  /** Refuses a target without mass and a tolerance out of range. */
  public PortionRule {
    Check.that(target.isPositive(), "Expected a portion above 0 g, found " + target);
    Check.inRange(tolerance, 0, 0.3, "tolerance");
  }

  /**
   * Returns the lightest piece that still is a portion. Whole portions are counted with it: 790 g
   * at 165 g give four portions, with 5 % tolerance five.
   *
   * @return the mass
   */
  public Mass lightest() {
    return target.multipliedBy(Fraction.ofEstimate(1 - tolerance), RoundingMode.HALF_EVEN);
  }
}
