package mosaicknife.core.cost;

import java.util.Currency;
import mosaicknife.core.check.Check;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Fraction;

/**
 * What was laid out for something that was made, beside its fish. Work and fuel are estimates: the
 * minutes of the recipe at the hour of the house, the heat of the hob at its kilowatt hour.
 *
 * @param goods what else went in
 * @param work the hands
 * @param fuel the heat, where it is counted
 */
public record Outlay(ExactMoney goods, ExactMoney work, ExactMoney fuel) {

  /** Refuses less than nothing. */
  public Outlay {
    Check.that(!goods.isNegative(), "Expected goods from 0, found ", goods);
    Check.that(!work.isNegative(), "Expected work from 0, found ", work);
    Check.that(!fuel.isNegative(), "Expected fuel from 0, found ", fuel);
  }

  /**
   * Makes that of a part as it was cut.
   *
   * @param currency the currency of the house
   * @return nothing laid out
   */
  public static Outlay none(Currency currency) {
    ExactMoney zero = ExactMoney.zero(currency);
    return new Outlay(zero, zero, zero);
  }

  /**
   * Adds what was laid out for something else.
   *
   * @param other the other, in the same currency
   * @return the sums, part by part
   */
  public Outlay plus(Outlay other) {
    return new Outlay(goods.plus(other.goods), work.plus(other.work), fuel.plus(other.fuel));
  }

  /**
   * Takes away what some of it carries.
   *
   * @param some at most this
   * @return what is left, part by part
   */
  public Outlay minus(Outlay some) {
    return new Outlay(goods.minus(some.goods), work.minus(some.work), fuel.minus(some.fuel));
  }

  /**
   * Returns what a share of it carries.
   *
   * @param share the share, from 0
   * @return each part times the share
   */
  public Outlay multipliedBy(Fraction share) {
    return new Outlay(
        goods.multipliedBy(share), work.multipliedBy(share), fuel.multipliedBy(share));
  }

  /**
   * Returns what all of it comes to.
   *
   * @return the sum
   */
  public ExactMoney total() {
    return goods.plus(work).plus(fuel);
  }
}
