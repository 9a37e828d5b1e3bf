package mosaicknife.core.breakdown;

import java.util.ArrayList;
import java.util.List;
import mosaicknife.core.check.Check;
import mosaicknife.core.quantity.Mass;

/**
 * Measured masses adjusted so that the tally closes, beside the measured ones.
 *
 * <p>Weighted least squares under the one condition whole = Σ parts + loss (classic data
 * reconciliation, one linear constraint): each figure takes a share of what does not close in
 * proportion to its variance. The loss, which nobody weighs, enters with its norm and takes nearly
 * all of it on a good scale. It corrects small errors only; a gross one must be mended first
 * ({@link GrossErrors}).
 *
 * @param whole the mass before it was cut
 * @param parts the parts in the order given
 * @param loss the loss, by the norm and adjusted; negative when the parts outweigh the whole
 */
public record Reconciliation(Adjusted whole, List<Adjusted> parts, Adjusted loss) {

  /** Copies the parts. */
  public Reconciliation {
    parts = List.copyOf(parts);
  }

  /**
   * One figure.
   *
   * @param before as measured; for the loss as the norm expects it
   * @param after adjusted
   */
  public record Adjusted(Mass before, Mass after) {

    /**
     * Returns what was added.
     *
     * @return after less before, of either sign
     */
    public Mass change() {
      return after.minus(before);
    }
  }

  /**
   * Adjusts a tally.
   *
   * @param whole the mass before it was cut, positive
   * @param readings one reading for each part
   * @param norm the loss norm
   * @param scale the error of one reading
   * @return the adjusted tally; whole, parts and loss close to the milligram
   */
  public static Reconciliation of(
      Mass whole, List<Mass> readings, LossNorm norm, ScaleError scale) {
    Check.that(whole.isPositive(), "Expected a whole above 0 g, found ", whole);
    Mass loss = norm.expected(whole);
    Mass gap = whole.minus(Mass.total(readings)).minus(loss);
    double ofReading = Math.pow(scale.sigmaGrams(1), 2);
    double ofLoss = Math.pow(norm.spread() * whole.inGrams().doubleValue(), 2);
    double all = ofReading * (readings.size() + 1) + ofLoss;
    Mass step = Mass.ofMilligrams(Math.round(gap.milligrams() * ofReading / all));
    List<Adjusted> parts = new ArrayList<>();
    for (Mass reading : readings) {
      parts.add(new Adjusted(reading, reading.plus(step)));
    }
    Mass wholeAfter = whole.minus(step);
    Mass rest = wholeAfter.minus(Mass.total(parts.stream().map(Adjusted::after).toList()));
    return new Reconciliation(new Adjusted(whole, wholeAfter), parts, new Adjusted(loss, rest));
  }
}
