package mosaicknife.core.portion;

import java.math.RoundingMode;
import java.util.List;
import java.util.Optional;
import mosaicknife.core.check.Check;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Fraction;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.UnitPrice;

/**
 * Portions that were weighed after they were cut.
 *
 * @param serving what a portion should be
 * @param masses what they weighed, one or more
 */
public record WeighedBack(Serving serving, List<Mass> masses) {

  /** Of fewer than this nothing is said: it may be chance. */
  public static final int FEW = 6;

  /** A mean so many standard errors off is off. */
  private static final double SURE = 2.3;

  /** Less than this fraction of the target is not worth a word. */
  private static final double NOTHING = 0.01;

  /** Cut evenly, nine of ten lie within the limits. */
  private static final double MOST = 0.9;

  /** Copies the masses and refuses none. */
  public WeighedBack {
    masses = List.copyOf(Check.notEmpty(masses, "portions"));
    masses.forEach(one -> Check.that(one.isPositive(), "Expected a mass above 0 g, found ", one));
  }

  /** What is to be said of them. */
  public enum Advice {
    /** On the whole too heavy. */
    CUT_LIGHTER,
    /** On the whole too light. */
    CUT_HEAVIER,
    /** Right on the whole, but too many outside the limits. */
    CUT_MORE_EVENLY
  }

  /**
   * Returns the mean.
   *
   * @return to the milligram
   */
  public Mass mean() {
    return Mass.total(masses).multipliedBy(Fraction.of(1, masses.size()), RoundingMode.HALF_UP);
  }

  /**
   * Returns how far they lie apart.
   *
   * @return the standard deviation of the sample in grams; 0 of a single one
   */
  public double spread() {
    double mean = grams(mean());
    double squares = 0;
    for (Mass one : masses) {
      squares += (grams(one) - mean) * (grams(one) - mean);
    }
    return masses.size() < 2 ? 0 : Math.sqrt(squares / (masses.size() - 1));
  }

  private static double grams(Mass mass) {
    return mass.milligrams() / 1000.0;
  }

  /**
   * Returns how many lie within the limits of the dish.
   *
   * @return the share, from 0 to 1
   */
  public Fraction within() {
    long within =
        masses.stream()
            .filter(
                one ->
                    one.compareTo(serving.lightest()) >= 0
                        && one.compareTo(serving.heaviest()) <= 0)
            .count();
    return Fraction.of(within, masses.size());
  }

  /**
   * Returns what is given away of each: how much they weigh above the target on the whole.
   *
   * @return the mean less the target; below zero where guests get less
   */
  public Mass giveaway() {
    return mean().minus(serving.target());
  }

  /**
   * Returns what that costs.
   *
   * @param edible what a kilogram of the cut carries
   * @param plates how many are served, from 0
   * @return the money; below zero where guests get less
   */
  public ExactMoney giveaway(UnitPrice edible, long plates) {
    return edible.times(giveaway().multipliedBy(plates));
  }

  /**
   * Returns what to do about it.
   *
   * @return one word; empty if there is nothing to say, or too few to say it of
   */
  public Optional<Advice> advice() {
    if (masses.size() < FEW) {
      return Optional.empty();
    }
    double off = grams(giveaway());
    double target = grams(serving.target());
    boolean isOff =
        Math.abs(off) > SURE * spread() / Math.sqrt(masses.size())
            && Math.abs(off) > NOTHING * target;
    if (isOff) {
      return Optional.of(off > 0 ? Advice.CUT_LIGHTER : Advice.CUT_HEAVIER);
    }
    return within().toDouble() < MOST ? Optional.of(Advice.CUT_MORE_EVENLY) : Optional.empty();
  }
}
