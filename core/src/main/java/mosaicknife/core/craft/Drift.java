package mosaicknife.core.craft;

import java.util.List;
import java.util.Optional;
import mosaicknife.core.check.Check;
import org.apache.commons.statistics.distribution.TDistribution;

/**
 * Whether the cuts of one pair of hands get lighter within a shift: the sign of a dull knife, or of
 * a tired arm.
 *
 * <p>A straight line through the yields in the order of cutting (ordinary least squares); the drift
 * counts when Student's t of its slope, on n − 2 degrees of freedom, says so with {@value #SURE} or
 * more, one-sided.
 *
 * @param cuts how many cuts it is seen in
 * @param perCut what each further cut loses, as a fraction of its norm, positive
 * @param sure how sure the downward slope is, from 0 to 1
 */
public record Drift(int cuts, double perCut, double sure) {

  /** Fewer cuts say nothing. */
  public static final int FEWEST = 6;

  private static final double SURE = 0.95;

  /** Less than this over the whole shift is not worth a whetstone. */
  private static final double LEAST = 0.02;

  /**
   * Looks for a drift.
   *
   * @param yields each cut's mass over what its norm expects, in the order of cutting, each above 0
   * @return the drift; empty if there is none, too few cuts, or it is too small to matter
   */
  public static Optional<Drift> in(List<Double> yields) {
    yields.forEach(y -> Check.inRange(y, 1e-6, 100, "yield over norm"));
    int n = yields.size();
    if (n < FEWEST) {
      return Optional.empty();
    }
    double middle = (n - 1) / 2.0;
    double mean = yields.stream().mapToDouble(y -> y).average().orElseThrow();
    double xx = 0;
    double xy = 0;
    for (int i = 0; i < n; i++) {
      xx += (i - middle) * (i - middle);
      xy += (i - middle) * (yields.get(i) - mean);
    }
    double slope = xy / xx;
    double rest = 0;
    for (int i = 0; i < n; i++) {
      double off = yields.get(i) - mean - slope * (i - middle);
      rest += off * off;
    }
    double error = Math.sqrt(Math.max(rest, 1e-12) / (n - 2) / xx);
    double sure = TDistribution.of(n - 2).cumulativeProbability(-slope / error);
    boolean matters = -slope * (n - 1) >= LEAST;
    return sure >= SURE && matters ? Optional.of(new Drift(n, -slope, sure)) : Optional.empty();
  }

  /**
   * Returns what the last cut loses against the first.
   *
   * @return the fraction of the norm
   */
  public double total() {
    return perCut * (cuts - 1);
  }
}
