package mosaicknife.core.anatomy;

import mosaicknife.core.check.Check;
import mosaicknife.core.quantity.Mass;

/**
 * How long it takes to break one fish of a body plan, from scaling to trimmed cuts: a starting
 * estimate until the bench has measured it.
 *
 * @param base minutes for any fish, from 0 to 120
 * @param perKilogram minutes more for each kilogram, from 0 to 60
 */
public record Work(double base, double perKilogram) {

  /** Refuses minutes out of range. */
  public Work {
    Check.inRange(base, 0, 120, "minutes for a fish");
    Check.inRange(perKilogram, 0, 60, "minutes for a kilogram");
  }

  /**
   * Returns the minutes for one fish.
   *
   * @param fish its mass
   * @return the minutes
   */
  public double minutes(Mass fish) {
    return base + perKilogram * fish.milligrams() / 1e6;
  }
}
