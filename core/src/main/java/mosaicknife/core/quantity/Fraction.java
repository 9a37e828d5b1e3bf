package mosaicknife.core.quantity;

import java.math.BigDecimal;
import java.math.BigInteger;
import java.math.RoundingMode;
import mosaicknife.core.check.Check;

/**
 * An exact ratio of two whole numbers, such as a yield: 2 610 g of 4 860 g is 29/54.
 *
 * <p>A fraction is never rounded inside; it is rounded when it is shown. It is always in lowest
 * terms with a positive denominator, so equal ratios are equal objects.
 *
 * @param numerator the upper number, of either sign
 * @param denominator the lower number, positive
 */
public record Fraction(BigInteger numerator, BigInteger denominator)
    implements Comparable<Fraction> {

  private static final long BILLION = 1_000_000_000;

  /** Nothing of the whole. */
  public static final Fraction ZERO = of(0, 1);

  /** All of the whole. */
  public static final Fraction ONE = of(1, 1);

  /** Brings the ratio to lowest terms; refuses a denominator of zero. */
  public Fraction {
    Check.that(denominator.signum() != 0, "Expected a denominator that is not 0, found 0");
    BigInteger divisor = gcd(numerator, denominator);
    if (denominator.signum() < 0) {
      divisor = divisor.negate();
    }
    if (!divisor.equals(BigInteger.ONE)) {
      numerator = numerator.divide(divisor);
      denominator = denominator.divide(divisor);
    }
  }

  /** Almost all are small: theirs is found several times quicker in the processor's own numbers. */
  private static BigInteger gcd(BigInteger one, BigInteger other) {
    if (one.bitLength() >= Long.SIZE - 1 || other.bitLength() >= Long.SIZE - 1) {
      return one.gcd(other);
    }
    long a = Math.abs(one.longValue());
    long b = Math.abs(other.longValue());
    while (b != 0) {
      long rest = a % b;
      a = b;
      b = rest;
    }
    return BigInteger.valueOf(a);
  }

  /**
   * Returns the ratio of two whole numbers.
   *
   * @param numerator the upper number
   * @param denominator the lower number, not zero
   * @return the ratio
   * @throws IllegalArgumentException if the denominator is zero
   */
  public static Fraction of(long numerator, long denominator) {
    return new Fraction(BigInteger.valueOf(numerator), BigInteger.valueOf(denominator));
  }

  /**
   * Returns the exact value of a decimal, such as {@code 0.537}.
   *
   * @param decimal the decimal
   * @return the ratio
   */
  public static Fraction of(BigDecimal decimal) {
    BigDecimal plain = decimal.scale() < 0 ? decimal.setScale(0) : decimal;
    return new Fraction(plain.unscaledValue(), BigInteger.TEN.pow(plain.scale()));
  }

  /**
   * Returns an estimate as an exact fraction, of nine decimals: far finer than any norm is known,
   * and coarse enough to stay quick. The one way from a {@code double} into exact figures.
   *
   * @param value the estimate, finite, below 10⁹ in size
   * @return the nearest billionth
   */
  public static Fraction ofEstimate(double value) {
    Check.inRange(value, -1e9, 1e9, "estimate");
    return of(Math.round(value * BILLION), BILLION);
  }

  /**
   * Returns the sum of two fractions.
   *
   * @param other the fraction to add
   * @return the sum, exactly
   */
  public Fraction plus(Fraction other) {
    return new Fraction(
        numerator.multiply(other.denominator).add(other.numerator.multiply(denominator)),
        denominator.multiply(other.denominator));
  }

  /**
   * Returns this fraction less another.
   *
   * @param other the fraction to take away
   * @return the difference, exactly
   */
  public Fraction minus(Fraction other) {
    return plus(new Fraction(other.numerator.negate(), other.denominator));
  }

  /**
   * Returns the product of two fractions.
   *
   * @param other the factor
   * @return the product, exactly
   */
  public Fraction multipliedBy(Fraction other) {
    return new Fraction(
        numerator.multiply(other.numerator), denominator.multiply(other.denominator));
  }

  /**
   * Returns this fraction over another.
   *
   * @param other the divisor, not zero
   * @return the quotient, exactly
   * @throws IllegalArgumentException if the divisor is zero
   */
  public Fraction dividedBy(Fraction other) {
    return new Fraction(
        numerator.multiply(other.denominator), denominator.multiply(other.numerator));
  }

  /**
   * Returns the value rounded to so many decimals.
   *
   * @param decimals the decimals to keep
   * @param rounding how to round
   * @return the decimal value
   */
  public BigDecimal toDecimal(int decimals, RoundingMode rounding) {
    return new BigDecimal(numerator).divide(new BigDecimal(denominator), decimals, rounding);
  }

  /**
   * Returns the nearest floating-point value, for statistics and drawing only.
   *
   * @return the value
   */
  public double toDouble() {
    return new BigDecimal(numerator)
        .divide(new BigDecimal(denominator), java.math.MathContext.DECIMAL64)
        .doubleValue();
  }

  /**
   * Returns the value in percent, rounded to so many decimals.
   *
   * @param decimals the decimals to keep
   * @param rounding how to round
   * @return the percentage; 53.70 for 29/54 and two decimals
   */
  public BigDecimal toPercent(int decimals, RoundingMode rounding) {
    return toDecimal(decimals + 2, rounding).movePointRight(2).setScale(decimals);
  }

  @Override
  public int compareTo(Fraction other) {
    return numerator.multiply(other.denominator).compareTo(other.numerator.multiply(denominator));
  }

  /** Returns the ratio as {@code 29/54}. */
  @Override
  public String toString() {
    return numerator + "/" + denominator;
  }
}
