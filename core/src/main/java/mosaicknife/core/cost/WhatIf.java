package mosaicknife.core.cost;

import java.util.Optional;
import mosaicknife.core.check.Check;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Fraction;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.UnitPrice;

/**
 * What a little more or less is worth of a lot, by weight: yield, price, a heavier portion, and
 * against the same cut bought in.
 *
 * @param lot what the lot cost
 * @param onMains what of that the main cuts carry
 * @param labour the work at the board
 * @param purchased the mass as purchased, positive
 * @param mains the mass of the main cuts, positive
 * @param target the mass of a portion, positive
 */
public record WhatIf(
    ExactMoney lot,
    ExactMoney onMains,
    ExactMoney labour,
    Mass purchased,
    Mass mains,
    Mass target) {

  private static final Fraction POINT = Fraction.of(1, 100);

  /** Refuses masses that are none. */
  public WhatIf {
    Check.that(
        purchased.isPositive() && mains.isPositive() && target.isPositive(),
        "Expected masses above 0, found %s, %s, %s".formatted(purchased, mains, target));
    Check.that(mains.compareTo(purchased) <= 0, "Expected mains within the fish, found ", mains);
  }

  /**
   * Returns what a plate costs, with the work.
   *
   * @return what the mains carry and the labour, by weight
   */
  public ExactMoney plate() {
    return onMains.plus(labour).multipliedBy(target.dividedBy(mains));
  }

  /**
   * Returns how much of the purchase the main cuts are.
   *
   * @return the yield
   */
  public Fraction share() {
    return mains.dividedBy(purchased);
  }

  /**
   * Returns what one point more of yield takes off a plate.
   *
   * @return the difference: the same cost over one percent of the purchase more
   */
  public ExactMoney point() {
    Fraction portions = share().plus(POINT).dividedBy(target.dividedBy(purchased));
    return plate().minus(onMains.plus(labour).multipliedBy(Fraction.ONE.dividedBy(portions)));
  }

  /**
   * Returns what heavier portions cost.
   *
   * @param more how much heavier each is
   * @param plates how many are served
   * @return the fish in them, at what a kilogram of mains carries
   */
  public ExactMoney heavier(Mass more, long plates) {
    return onMains.multipliedBy(more.dividedBy(mains)).multipliedBy(Fraction.of(plates, 1));
  }

  /**
   * Returns the price on the menu at which the plate is a share of it.
   *
   * @param share the share, above 0
   * @return the price
   */
  public ExactMoney menuPrice(Fraction share) {
    Check.that(share.compareTo(Fraction.ZERO) > 0, "Expected a share above 0, found ", share);
    return plate().multipliedBy(Fraction.ONE.dividedBy(share));
  }

  /**
   * Returns how much of a price on the menu the plate is.
   *
   * @param price the price, above 0
   * @return the share; above 1 if it is sold below cost
   */
  public Fraction share(ExactMoney price) {
    Check.that(price.isPositive(), "Expected a price above 0, found ", price);
    return plate().dividedBy(price);
  }

  /**
   * Returns the highest price of the whole fish at which breaking it costs no more than the cut
   * bought in.
   *
   * @param bought the price of the same cut, bought in
   * @return the price a kilogram; empty if the work alone costs more
   */
  public Optional<UnitPrice> highestPrice(UnitPrice bought) {
    ExactMoney forFish = bought.times(mains).minus(labour);
    ExactMoney elsewhere = lot.minus(onMains);
    ExactMoney allowed = forFish.plus(elsewhere);
    // what other parts carry takes off what the fish cost, never what the work does
    return !forFish.isNegative() && allowed.isPositive()
        ? Optional.of(allowed.per(purchased))
        : Optional.empty();
  }

  /**
   * Returns the lowest yield at which breaking it costs no more than the cut bought in.
   *
   * @param bought the price of the same cut, bought in, above 0
   * @return the yield; above 1 if none is enough
   */
  public Fraction lowestYield(UnitPrice bought) {
    Check.that(bought.perKilogram().isPositive(), "Expected a price above 0, found ", bought);
    return onMains
        .plus(labour)
        .dividedBy(bought.perKilogram())
        .dividedBy(Fraction.of(purchased.inKilograms()));
  }
}
