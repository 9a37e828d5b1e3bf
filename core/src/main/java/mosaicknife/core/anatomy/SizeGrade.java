package mosaicknife.core.anatomy;

import java.math.RoundingMode;
import mosaicknife.core.check.Check;
import mosaicknife.core.quantity.Fraction;
import mosaicknife.core.quantity.Mass;

/**
 * A range of fish masses that the trade sells together.
 *
 * @param from the lightest fish
 * @param to the heaviest fish, above the lightest
 */
public record SizeGrade(Mass from, Mass to) {

  /** Refuses an empty range. */
  public SizeGrade {
    Check.that(
        from.isPositive() && from.compareTo(to) < 0,
        "Expected a grade from a mass up to a larger one, found %s to %s".formatted(from, to));
  }

  /**
   * Reads a grade written in kilograms, such as {@code 1.5-2.5}.
   *
   * @param text the text
   * @return the grade
   * @throws IllegalArgumentException if it is not two masses with a hyphen between
   */
  public static SizeGrade parseKilograms(String text) {
    String[] ends = text.strip().split("-", -1);
    Check.that(ends.length == 2, "Expected a grade such as 1.5-2.5, found '" + text + "'");
    return new SizeGrade(Mass.ofKilograms(ends[0].strip()), Mass.ofKilograms(ends[1].strip()));
  }

  /**
   * Returns the range of fish like one that is outside every grade of its species.
   *
   * @param fish its mass, positive
   * @return from two thirds to one and a half of it
   */
  public static SizeGrade around(Mass fish) {
    return new SizeGrade(
        fish.multipliedBy(Fraction.of(2, 3), RoundingMode.DOWN),
        fish.multipliedBy(Fraction.of(3, 2), RoundingMode.UP));
  }

  /**
   * Returns the mass in the middle.
   *
   * @return half of the two ends together
   */
  public Mass middle() {
    return Mass.ofMilligrams((from.milligrams() + to.milligrams()) / 2);
  }

  /**
   * Returns whether a fish is of this grade.
   *
   * @param fish its mass
   * @return true from the lightest up to the heaviest, which counts to the next grade
   */
  public boolean contains(Mass fish) {
    return fish.compareTo(from) >= 0 && fish.compareTo(to) < 0;
  }
}
