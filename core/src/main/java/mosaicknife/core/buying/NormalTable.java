package mosaicknife.core.buying;

import org.apache.commons.statistics.distribution.NormalDistribution;

/**
 * The standard normal distribution read off a table, for sums of very many of its values.
 *
 * <p>Between two points the cubic Hermite polynomial with the densities as slopes is followed; its
 * error is at most h⁴ ⁄ 384 times the third derivative of the density (at most 1.4), which is less
 * than 10⁻¹³ here. A library's value takes some twenty times as long.
 */
final class NormalTable {

  private static final int TO = 9;
  private static final int POINTS_A_UNIT = 512;
  private static final double[] BELOW = new double[2 * TO * POINTS_A_UNIT + 2];
  private static final double[] SLOPE = new double[BELOW.length];

  static {
    NormalDistribution normal = NormalDistribution.of(0, 1);
    for (int i = 0; i < BELOW.length; i++) {
      double x = i / (double) POINTS_A_UNIT - TO;
      BELOW[i] = normal.cumulativeProbability(x);
      SLOPE[i] = normal.density(x) / POINTS_A_UNIT;
    }
  }

  private NormalTable() {}

  /**
   * Returns the probability to lie below a deviation.
   *
   * @param deviations the deviation in standard deviations
   * @return the probability, from 0 to 1
   */
  static double below(double deviations) {
    if (deviations <= -TO) {
      return 0;
    }
    if (deviations >= TO) {
      return 1;
    }
    double at = (deviations + TO) * POINTS_A_UNIT;
    int i = (int) at;
    double t = at - i;
    double rise = BELOW[i + 1] - BELOW[i];
    double bend = (1 - t) * (SLOPE[i] - rise) - t * (SLOPE[i + 1] - rise);
    return BELOW[i] + t * rise + t * (1 - t) * bend;
  }
}
