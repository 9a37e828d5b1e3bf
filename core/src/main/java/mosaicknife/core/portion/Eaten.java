package mosaicknife.core.portion;

import java.math.RoundingMode;
import mosaicknife.core.check.Check;
import mosaicknife.core.quantity.Fraction;
import mosaicknife.core.quantity.Mass;

/**
 * What is eaten of one piece of one fish: portions lie inside it, and never across two.
 *
 * @param fish which fish of the lot it is of, from 1
 * @param mass what is eaten of it, from 0
 * @param step the step of the scale it was weighed on, or would be: no portion is lost over less
 *     than half of it
 * @param cut how far it is cut
 */
public record Eaten(int fish, Mass mass, Mass step, Cut cut) {

  /** Refuses a mass or a step below zero. */
  public Eaten {
    Check.inRange(fish, 1, 10_000, "fish");
    Check.that(!mass.isNegative(), "Expected a mass from 0 g, found ", mass);
    Check.that(!step.isNegative(), "Expected a step from 0 g, found ", step);
    Check.notNull(cut, "cut");
  }

  /** How far a piece is cut. */
  public enum Cut {
    /** A main cut as it comes off the fish. */
    MAIN,
    /** A piece of a main cut. */
    PIECE,
    /** A portion that was cut and weighed: it is one, a little light or not. */
    PORTION
  }

  /**
   * A main cut whose mass is known to the milligram.
   *
   * @param fish which fish it is of
   * @param mass what is eaten of it
   * @return the piece
   */
  public static Eaten of(int fish, Mass mass) {
    return new Eaten(fish, mass, Mass.ZERO, Cut.MAIN);
  }

  /**
   * Returns how many whole times a mass goes into it, as far as the scale can tell: n times if mass
   * and half a step are n times as much.
   *
   * @param each the mass of one, positive
   * @return the count, from 0
   */
  public long wholeTimes(Mass each) {
    return wholeTimes(mass, step, each);
  }

  static long wholeTimes(Mass mass, Mass step, Mass each) {
    Check.that(each.isPositive(), "Expected a mass above 0 g to count by, found ", each);
    // doubled, so that half a step is whole; a milligram each is what rounding to it may take
    long most = Math.max(0, (2 * mass.milligrams() + step.milligrams()) / (2 * each.milligrams()));
    long more = most + 1;
    return mass.isPositive() && more * (2 * each.milligrams() - 1) <= 2 * mass.milligrams() + 1
        ? more
        : most;
  }

  /**
   * Returns whether it is as heavy as another mass, as far as the scale can tell.
   *
   * @param other the mass, positive
   * @return true if not lighter by half a step or more
   */
  public boolean isAtLeast(Mass other) {
    return mass.isPositive() && wholeTimes(other) > 0;
  }

  /**
   * Returns the same with another mass.
   *
   * @param factor by what it is more or less, from 0
   * @return the piece
   */
  public Eaten multipliedBy(Fraction factor) {
    return new Eaten(fish, mass.multipliedBy(factor, RoundingMode.DOWN), step, cut);
  }
}
