package mosaicknife.core.quantity;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.Arrays;
import java.util.Collection;
import java.util.Collections;
import java.util.List;
import mosaicknife.core.check.Check;

/**
 * A quantity of mass, in whole milligrams.
 *
 * <p>A milligram is three orders finer than the best kitchen scale, so a pound or an ounce is exact
 * enough in it and sums stay exact. A mass may be negative only as a difference (a tally that is
 * over); what may be weighed is checked where it is weighed. For example, 1.318 kg plus 87 g is
 * 1.405 kg.
 *
 * <p>Not chosen: {@code double} grams (sums drift and the balance is about small differences) and
 * {@code BigDecimal} kilograms (two spellings of one mass, slower, no gain).
 *
 * @param milligrams the mass in milligrams, from −2⁶³ to 2⁶³−1; zero is no mass
 */
public record Mass(long milligrams) implements Comparable<Mass> {

  /** No mass. */
  public static final Mass ZERO = new Mass(0);

  /**
   * Returns a mass of whole milligrams.
   *
   * @param milligrams the milligrams
   * @return the mass
   */
  public static Mass ofMilligrams(long milligrams) {
    return milligrams == 0 ? ZERO : new Mass(milligrams);
  }

  /**
   * Returns a mass of whole grams.
   *
   * @param grams the grams
   * @return the mass
   * @throws ArithmeticException if the milligrams do not fit a long
   */
  public static Mass ofGrams(long grams) {
    return ofMilligrams(Math.multiplyExact(grams, 1000L));
  }

  /**
   * Returns a mass of kilograms written as a decimal, such as {@code "1.318"}.
   *
   * @param kilograms the kilograms, with at most six decimals
   * @return the mass
   * @throws ArithmeticException if there is a fraction of a milligram
   */
  public static Mass ofKilograms(String kilograms) {
    return ofMilligrams(new BigDecimal(kilograms).movePointRight(6).longValueExact());
  }

  /**
   * Returns a mass of so many units, rounded to the milligram.
   *
   * @param amount how many units
   * @param unit the unit
   * @param rounding how to round to the milligram; a pound is 453 592.37 mg, so pounds need it
   * @return the mass
   * @throws ArithmeticException if the milligrams do not fit a long
   */
  public static Mass of(BigDecimal amount, MassUnit unit, RoundingMode rounding) {
    Check.notNull(amount, "amount");
    return ofMilligrams(amount.multiply(unit.milligrams()).setScale(0, rounding).longValueExact());
  }

  /**
   * Adds up masses.
   *
   * @param masses the masses; may be empty
   * @return their sum, zero for none
   * @throws ArithmeticException if the sum does not fit
   */
  public static Mass total(Collection<Mass> masses) {
    return masses.stream().reduce(ZERO, Mass::plus);
  }

  /**
   * Returns the mass in grams, exactly.
   *
   * @return the grams, with at most three decimals
   */
  public BigDecimal inGrams() {
    return BigDecimal.valueOf(milligrams, 3);
  }

  /**
   * Returns the mass in kilograms, exactly.
   *
   * @return the kilograms, with at most six decimals
   */
  public BigDecimal inKilograms() {
    return BigDecimal.valueOf(milligrams, 6);
  }

  /**
   * Returns the mass in a unit, rounded.
   *
   * @param unit the unit
   * @param decimals how many decimals to keep, from 0
   * @param rounding how to round
   * @return how many units the mass is
   */
  public BigDecimal in(MassUnit unit, int decimals, RoundingMode rounding) {
    return BigDecimal.valueOf(milligrams).divide(unit.milligrams(), decimals, rounding);
  }

  /**
   * Returns this mass and another together.
   *
   * @param other the mass to add
   * @return the sum
   * @throws ArithmeticException if the sum does not fit
   */
  public Mass plus(Mass other) {
    return other.milligrams == 0 ? this : ofMilligrams(Math.addExact(milligrams, other.milligrams));
  }

  /**
   * Returns this mass less another.
   *
   * @param other the mass to take away
   * @return the difference, negative if the other is the larger
   * @throws ArithmeticException if the difference does not fit
   */
  public Mass minus(Mass other) {
    return other.milligrams == 0
        ? this
        : ofMilligrams(Math.subtractExact(milligrams, other.milligrams));
  }

  /**
   * Returns this mass so many times.
   *
   * @param times the factor
   * @return the product
   * @throws ArithmeticException if the product does not fit
   */
  public Mass multipliedBy(long times) {
    return ofMilligrams(Math.multiplyExact(milligrams, times));
  }

  /**
   * Returns a fraction of this mass, rounded to the milligram.
   *
   * @param fraction the fraction
   * @param rounding how to round
   * @return the part
   */
  public Mass multipliedBy(Fraction fraction, RoundingMode rounding) {
    BigDecimal exact =
        new BigDecimal(fraction.numerator()).multiply(BigDecimal.valueOf(milligrams));
    return ofMilligrams(
        exact.divide(new BigDecimal(fraction.denominator()), 0, rounding).longValueExact());
  }

  /**
   * Returns which fraction of a whole this mass is.
   *
   * @param whole the whole; not zero
   * @return this mass over the whole, exactly
   * @throws IllegalArgumentException if the whole is zero
   */
  public Fraction dividedBy(Mass whole) {
    Check.that(whole.milligrams != 0, "Expected a whole with mass, found 0 g");
    return Fraction.of(milligrams, whole.milligrams);
  }

  /**
   * Returns how many whole times another mass goes into this one, such as portions in a fillet.
   * Both may have been rounded to the milligram: 5 oz go four times into 1.25 lb.
   *
   * @param each the mass of one; positive
   * @return the count, from 0; 0 if this mass is negative
   * @throws IllegalArgumentException if the other mass is not positive
   */
  public long wholeTimes(Mass each) {
    Check.that(each.isPositive(), "Expected a mass above 0 g to count by, found ", each);
    long times = milligrams / each.milligrams;
    boolean onceMore = (times + 1) * (2 * each.milligrams - 1) <= 2 * milligrams + 1;
    return Math.max(0, onceMore && each.milligrams > 1 ? times + 1 : times);
  }

  /**
   * Divides this mass as weights are to each other, so that the shares add up to it.
   *
   * @param weights how much each gets against the others, from 0; at least one above 0
   * @return one mass for each, to the milligram, by largest remainder
   */
  public List<Mass> sharedBy(List<Fraction> weights) {
    return Arrays.stream(LargestRemainder.allocate(milligrams, weights))
        .mapToObj(Mass::ofMilligrams)
        .toList();
  }

  /**
   * Divides this mass into equal ones that add up to it.
   *
   * @param pieces how many, from 1
   * @return one mass for each, to the milligram
   */
  public List<Mass> dividedInto(int pieces) {
    return sharedBy(Collections.nCopies(pieces, Fraction.ONE));
  }

  /**
   * Returns the mass without its sign.
   *
   * @return the mass, zero or more
   */
  public Mass abs() {
    return milligrams < 0 ? ofMilligrams(Math.negateExact(milligrams)) : this;
  }

  /**
   * Returns the mass in kilograms, exactly.
   *
   * @return the kilograms without trailing zeros
   */
  public BigDecimal toKilograms() {
    BigDecimal kilograms = BigDecimal.valueOf(milligrams, 6).stripTrailingZeros();
    return kilograms.scale() < 0 ? kilograms.setScale(0) : kilograms;
  }

  /**
   * Returns whether this is more than no mass.
   *
   * @return true above zero
   */
  public boolean isPositive() {
    return milligrams > 0;
  }

  /**
   * Returns whether this is less than no mass, as the difference of a tally that is over.
   *
   * @return true below zero
   */
  public boolean isNegative() {
    return milligrams < 0;
  }

  @Override
  public int compareTo(Mass other) {
    return Long.compare(milligrams, other.milligrams);
  }

  /**
   * Returns the mass in grams for people and logs, such as {@code 1318 g} or {@code 0.5 g}. {@link
   * MassText#parse} reads it back.
   */
  @Override
  public String toString() {
    BigDecimal grams = inGrams().stripTrailingZeros();
    return (grams.scale() < 0 ? grams.setScale(0) : grams).toPlainString() + " g";
  }
}
