package mosaicknife.core.buying;

import java.util.Arrays;
import java.util.function.IntToDoubleFunction;
import mosaicknife.core.check.Check;

/**
 * How probable each whole number of portions is.
 *
 * <p>Numbers above a cap may be collected in the last place; then that place means "the cap or
 * more".
 */
public final class Counts {

  private static final double SUM_TOLERANCE = 1e-6;

  /** Probabilities below this do not change a decision; they are cut off at both ends. */
  private static final double NEGLIGIBLE = 1e-11;

  private final double[] probabilities;

  /** The first number that can come. */
  private final int least;

  /** The probability of fewer than each number; one longer than the probabilities. */
  private final double[] below;

  private Counts(double[] probabilities) {
    this.probabilities = probabilities;
    int first = 0;
    while (first < probabilities.length - 1 && probabilities[first] < NEGLIGIBLE) {
      first++;
    }
    least = first;
    below = new double[probabilities.length + 1];
    for (int i = 0; i < probabilities.length; i++) {
      below[i + 1] = Math.min(1, below[i] + probabilities[i]);
    }
  }

  /**
   * Makes a distribution.
   *
   * @param probabilities the probability of 0, 1, 2 … portions; none negative, together 1
   * @return the distribution
   */
  public static Counts of(double... probabilities) {
    Check.that(probabilities.length > 0, "Expected a probability, found none");
    double sum = 0;
    for (double probability : probabilities) {
      if (!(probability >= 0)) {
        // a sentence for each of many good probabilities would take longer than the sum
        throw new IllegalArgumentException("Expected probabilities from 0, found " + probability);
      }
      sum += probability;
    }
    Check.that(
        Math.abs(sum - 1) < SUM_TOLERANCE, "Expected probabilities that add up to 1, found ", sum);
    return new Counts(trimmed(probabilities.clone()));
  }

  /**
   * Makes the distribution of a number that is known.
   *
   * @param count the number, from 0
   * @return the distribution with all weight on it
   */
  public static Counts exactly(int count) {
    Check.that(count >= 0, "Expected a count from 0, found ", count);
    double[] probabilities = new double[count + 1];
    probabilities[count] = 1;
    return new Counts(probabilities);
  }

  private static double[] trimmed(double[] probabilities) {
    int last = probabilities.length - 1;
    while (last > 0 && probabilities[last] < NEGLIGIBLE) {
      last--;
    }
    return last == probabilities.length - 1
        ? probabilities
        : Arrays.copyOf(probabilities, last + 1);
  }

  /**
   * Returns the largest number that can come.
   *
   * @return the number
   */
  public int most() {
    return probabilities.length - 1;
  }

  /**
   * Returns how probable a number is.
   *
   * @param count the number
   * @return its probability, 0 outside the range
   */
  public double probability(int count) {
    return count < 0 || count >= probabilities.length ? 0 : probabilities[count];
  }

  /**
   * Returns how probable it is that fewer than a number come.
   *
   * @param count the number
   * @return the probability, from 0 to 1
   */
  public double below(int count) {
    return below[Math.max(0, Math.min(count, probabilities.length))];
  }

  /**
   * Returns the number that is not passed with a probability.
   *
   * @param probability the probability, from 0 to 1
   * @return the least number that at most so many lie above
   */
  public int quantile(double probability) {
    int count = 0;
    while (count < most() && below(count + 1) < probability) {
      count++;
    }
    return count;
  }

  /**
   * Returns the mean.
   *
   * @return the expected number
   */
  public double mean() {
    return expected(count -> count);
  }

  /**
   * Returns the expected value of something that depends on the number.
   *
   * @param value the value at each number
   * @return the sum of values, each times its probability
   */
  public double expected(IntToDoubleFunction value) {
    double sum = 0;
    for (int i = 0; i < probabilities.length; i++) {
      sum += probabilities[i] * value.applyAsDouble(i);
    }
    return sum;
  }

  /**
   * Returns how many are expected to be served: the smaller of this number and another, independent
   * one.
   *
   * @param wanted the other number
   * @return the sum over k of P(this above k) · P(other above k)
   */
  public double expectedSmaller(Counts wanted) {
    double sum = 0;
    for (int k = 0; k < Math.min(most(), wanted.most()); k++) {
      sum += (1 - below(k + 1)) * (1 - wanted.below(k + 1));
    }
    return sum;
  }

  /**
   * Returns the distribution of the sum of two independent numbers (convolution).
   *
   * @param other the other number
   * @return the distribution of the sum
   */
  public Counts plus(Counts other) {
    return plus(other, most() + other.most());
  }

  /**
   * Returns the distribution of the sum of two independent numbers, where a sum above a cap counts
   * as the cap.
   *
   * @param other the other number
   * @param cap the largest number kept apart, from 0
   * @return the distribution of the sum or the cap, whichever is less
   */
  public Counts plus(Counts other, int cap) {
    Check.that(cap >= 0, "Expected a cap from 0, found ", cap);
    double[] sum = new double[Math.min(cap, most() + other.most()) + 1];
    int last = sum.length - 1;
    double all = other.below[other.probabilities.length];
    for (int i = least; i < probabilities.length; i++) {
      double own = probabilities[i];
      int apart = Math.max(0, Math.min(other.probabilities.length, last - i));
      for (int j = other.least; j < apart; j++) {
        sum[i + j] += own * other.probabilities[j];
      }
      sum[last] += own * (all - other.below[apart]);
    }
    return new Counts(trimmed(sum));
  }

  @Override
  public boolean equals(Object other) {
    return other instanceof Counts counts && Arrays.equals(probabilities, counts.probabilities);
  }

  @Override
  public int hashCode() {
    return Arrays.hashCode(probabilities);
  }

  @Override
  public String toString() {
    return "Counts" + Arrays.toString(probabilities);
  }
}
