package mosaicknife.core.quantity;

import java.util.Arrays;
import java.util.Comparator;
import java.util.Optional;
import mosaicknife.core.check.Check;

/**
 * A figure that is about as many times off what is expected as a usual slip of the hand makes it: a
 * point one digit off, one unit read as another. It is asked about, never refused: the expectation
 * is a norm.
 */
public enum Slip {
  /** The point stands one digit off. */
  POINT(10),
  /** Ounces for grams or the other way round. */
  OUNCES_AND_GRAMS(28.349_523_125),
  /** Pounds for grams or the other way round. */
  POUNDS_AND_GRAMS(453.592_37),
  /** Kilograms for grams or the other way round. */
  KILOGRAMS_AND_GRAMS(1000);

  /** A figure is about so many times off within this factor: parts differ from their norm. */
  private static final double ABOUT = 1.5;

  /** What lies within so many standard deviations of the norm may well be so. */
  private static final double MAY_BE = 3;

  private final double times;

  Slip(double times) {
    this.times = times;
  }

  /**
   * Looks at a figure before it counts.
   *
   * @param figure the figure, positive
   * @param expected about what it should be, positive
   * @param spread the standard deviation of what is expected, not negative
   * @return the slip that is nearest; empty if the figure may well be right or is off in another
   *     way
   */
  public static Optional<Slip> find(Mass figure, Mass expected, Mass spread) {
    Check.that(figure.isPositive() && expected.isPositive(), "Expected two masses above 0 g");
    double off = Math.abs(figure.minus(expected).milligrams());
    if (off <= MAY_BE * spread.milligrams()) {
      return Optional.empty();
    }
    double ratio = Math.abs(Math.log((double) figure.milligrams() / expected.milligrams()));
    return Arrays.stream(values())
        .min(Comparator.comparingDouble(slip -> slip.distance(ratio)))
        .filter(slip -> slip.distance(ratio) <= Math.log(ABOUT));
  }

  private double distance(double ratio) {
    return Math.abs(ratio - Math.log(times));
  }
}
