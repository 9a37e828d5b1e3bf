package mosaicknife.core.quantity;

import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;
import java.util.Currency;
import mosaicknife.core.check.Check;

/**
 * An amount of money that keeps all its digits: 4.860 kg at 11.40 is 55.404, not 55.40.
 *
 * <p>Sums and products are exact. Only a quotient can be endless; it is kept to 34 digits ({@link
 * MathContext#DECIMAL128}), far below a cent for any kitchen. {@link #rounded} makes the {@link
 * Money} that is invoiced or shown.
 *
 * @param amount the amount in major units (euros, pounds); of either sign, trailing zeros removed
 * @param currency the currency
 */
public record ExactMoney(BigDecimal amount, Currency currency) implements Comparable<ExactMoney> {

  /** Brings the amount to one form, so that 1.5 and 1.50 are equal. */
  public ExactMoney {
    amount = Check.notNull(amount, "amount").stripTrailingZeros();
    Check.notNull(currency, "currency");
  }

  /**
   * Returns an amount in a currency.
   *
   * @param amount the major units as a decimal, such as {@code "55.404"}
   * @param currency the currency
   * @return the amount
   */
  public static ExactMoney of(String amount, Currency currency) {
    return new ExactMoney(new BigDecimal(amount), currency);
  }

  /**
   * Returns nothing of a currency.
   *
   * @param currency the currency
   * @return the zero amount
   */
  public static ExactMoney zero(Currency currency) {
    return new ExactMoney(BigDecimal.ZERO, currency);
  }

  /**
   * Returns the sum of two amounts.
   *
   * @param other the amount to add, of the same currency
   * @return the sum
   * @throws CurrencyMismatchException if the currencies differ
   */
  public ExactMoney plus(ExactMoney other) {
    return new ExactMoney(amount.add(sameCurrency(other).amount), currency);
  }

  /**
   * Returns this amount less another.
   *
   * @param other the amount to take away, of the same currency
   * @return the difference
   * @throws CurrencyMismatchException if the currencies differ
   */
  public ExactMoney minus(ExactMoney other) {
    return new ExactMoney(amount.subtract(sameCurrency(other).amount), currency);
  }

  /**
   * Returns a fraction of this amount, to 34 digits.
   *
   * @param fraction the fraction
   * @return the part
   */
  public ExactMoney multipliedBy(Fraction fraction) {
    BigDecimal product = amount.multiply(new BigDecimal(fraction.numerator()));
    return new ExactMoney(
        product.divide(new BigDecimal(fraction.denominator()), MathContext.DECIMAL128), currency);
  }

  /**
   * Returns this amount split over a count, to 34 digits.
   *
   * @param count how many share it, from 1
   * @return the share of one
   * @throws IllegalArgumentException if the count is not positive
   */
  public ExactMoney dividedBy(long count) {
    Check.that(count > 0, "Expected a count from 1 to divide by, found ", count);
    return new ExactMoney(
        amount.divide(BigDecimal.valueOf(count), MathContext.DECIMAL128), currency);
  }

  /**
   * Returns the price per kilogram when this amount buys a mass.
   *
   * @param mass the mass, positive
   * @return the price, to 34 digits
   * @throws IllegalArgumentException if the mass is not positive
   */
  public UnitPrice per(Mass mass) {
    Check.that(mass.isPositive(), "Expected a mass above 0 g to price by, found ", mass);
    return UnitPrice.ofPerKilogram(
        new ExactMoney(amount.divide(mass.inKilograms(), MathContext.DECIMAL128), currency));
  }

  /**
   * Returns this amount over another of the same currency, as a ratio.
   *
   * @param other the divisor, not zero
   * @return the ratio, exactly
   * @throws CurrencyMismatchException if the currencies differ
   * @throws IllegalArgumentException if the divisor is zero
   */
  public Fraction dividedBy(ExactMoney other) {
    return Fraction.of(amount).dividedBy(Fraction.of(sameCurrency(other).amount));
  }

  /**
   * Returns whether this is less than nothing.
   *
   * @return true below zero
   */
  public boolean isNegative() {
    return amount.signum() < 0;
  }

  /**
   * Returns whether this is more than nothing.
   *
   * @return true above zero
   */
  public boolean isPositive() {
    return amount.signum() > 0;
  }

  /**
   * Returns the amount in whole minor units, as invoiced.
   *
   * @param rounding how to round
   * @return the rounded amount
   * @throws ArithmeticException if the minor units do not fit a long
   */
  public Money rounded(RoundingMode rounding) {
    BigDecimal minor = amount.movePointRight(currency.getDefaultFractionDigits());
    return Money.ofMinor(minor.setScale(0, rounding).longValueExact(), currency);
  }

  @Override
  public int compareTo(ExactMoney other) {
    return amount.compareTo(sameCurrency(other).amount);
  }

  /** Returns the amount with its currency code, such as {@code EUR 55.404}. */
  @Override
  public String toString() {
    return currency.getCurrencyCode() + " " + amount.toPlainString();
  }

  private ExactMoney sameCurrency(ExactMoney other) {
    if (!currency.equals(other.currency)) {
      throw new CurrencyMismatchException(currency, other.currency);
    }
    return other;
  }
}
