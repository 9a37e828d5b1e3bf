package mosaicknife.core.breakdown;

import mosaicknife.core.check.Check;
import mosaicknife.core.quantity.Fraction;
import mosaicknife.core.quantity.Mass;

/**
 * Whether the parts weighed so far add up to the fish that was bought.
 *
 * <p>The loss is purchased less parts. It is judged against two limits: parts may not outweigh the
 * fish by more than two standard deviations of the scale, nor by what nobody would look for, and
 * once every part is weighed the loss may not exceed the norm's band.
 *
 * @param purchased the mass as purchased
 * @param tallied the sum of the parts weighed
 * @param outstanding what the parts not yet weighed should weigh, by the norm
 * @param expectedLoss the loss to expect, by the norm
 * @param verdict the judgement
 */
public record Balance(
    Mass purchased, Mass tallied, Mass outstanding, Mass expectedLoss, Verdict verdict) {

  private static final double SIGMAS = 2;

  /** Less than this nobody would look for, in grams and as a fraction of the fish. */
  static final double LEAST_GRAMS = 10;

  static final double LEAST_SHARE = 0.005;

  /** The judgement on a tally. */
  public enum Verdict {
    /** Parts are still to be weighed and nothing speaks against those weighed. */
    OPEN,
    /** Every part is weighed and the loss is as expected. */
    CLOSED,
    /** The parts weigh more than the fish. */
    OVER,
    /** Every part is weighed and more is lost than drip and scales explain. */
    SHORT
  }

  /**
   * Judges a breakdown.
   *
   * @param breakdown the parts weighed so far
   * @param outstanding what the parts not yet weighed should weigh together; zero when all are
   *     weighed
   * @param loss the loss norm
   * @param scale the error of one reading
   * @return the balance
   * @throws IllegalArgumentException if the outstanding mass is negative
   */
  public static Balance of(Breakdown breakdown, Mass outstanding, LossNorm loss, ScaleError scale) {
    return of(breakdown, outstanding, loss, scale.sigmaGrams(breakdown.parts().size() + 1));
  }

  /**
   * Judges a breakdown whose readings came from different scales.
   *
   * @param breakdown the parts weighed so far
   * @param outstanding what the parts not yet weighed should weigh together; zero when all are
   *     weighed
   * @param loss the loss norm
   * @param sigma the standard deviation of whole less parts by the scales alone, in grams
   * @return the balance
   * @throws IllegalArgumentException if the outstanding mass or the deviation is negative
   */
  public static Balance of(Breakdown breakdown, Mass outstanding, LossNorm loss, double sigma) {
    Check.that(sigma >= 0, "Expected a deviation from 0 g, found ", sigma);
    Check.that(
        !outstanding.isNegative(), "Expected outstanding parts from 0 g, found ", outstanding);
    Mass purchased = breakdown.purchased();
    Mass remainder = breakdown.remainder();
    Verdict verdict;
    double least = Math.max(LEAST_GRAMS, LEAST_SHARE * purchased.inGrams().doubleValue());
    if (remainder.inGrams().doubleValue() < -Math.max(SIGMAS * sigma, least)) {
      verdict = Verdict.OVER;
    } else if (outstanding.isPositive()) {
      verdict = Verdict.OPEN;
    } else {
      verdict = remainder.compareTo(loss.highest(purchased)) > 0 ? Verdict.SHORT : Verdict.CLOSED;
    }
    return new Balance(
        purchased, breakdown.tallied(), outstanding, loss.expected(purchased), verdict);
  }

  /**
   * Returns what the parts leave of the whole.
   *
   * @return purchased less tallied; negative if over
   */
  public Mass remainder() {
    return purchased.minus(tallied);
  }

  /**
   * Returns what is neither weighed, nor expected from a part still to come, nor expected loss.
   *
   * @return the unexplained mass, of either sign
   */
  public Mass unexplained() {
    return remainder().minus(outstanding).minus(expectedLoss);
  }

  /**
   * Returns the remainder as a fraction of the purchased mass.
   *
   * @return the fraction, exactly
   */
  public Fraction remainderShare() {
    return remainder().dividedBy(purchased);
  }
}
