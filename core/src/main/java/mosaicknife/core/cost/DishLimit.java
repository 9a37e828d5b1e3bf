package mosaicknife.core.cost;

import java.math.RoundingMode;
import java.util.Optional;
import mosaicknife.core.check.Check;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Fraction;
import mosaicknife.core.quantity.Mass;

/**
 * What a plate may cost: so much of what the guest pays.
 *
 * @param price what the guest pays, above 0
 * @param share how much of it the plate may be, above 0 up to 1
 */
public record DishLimit(ExactMoney price, Fraction share) {

  /** Refuses a dish that is given away, and shares that are none. */
  public DishLimit {
    Check.that(price.isPositive(), "Expected a price above 0, found " + price);
    Check.that(
        share.compareTo(Fraction.ZERO) > 0 && share.compareTo(Fraction.ONE) <= 0,
        "Expected a share above 0 up to 1, found " + share);
  }

  /**
   * Returns the most a plate may cost.
   *
   * @return the money
   */
  public ExactMoney most() {
    return price.multipliedBy(share);
  }

  /**
   * Returns how much of the price a plate is.
   *
   * @param plate what it costs
   * @return the share
   */
  public Fraction of(ExactMoney plate) {
    return plate.dividedBy(price);
  }

  /**
   * Returns whether a plate costs more than it may.
   *
   * @param plate what it costs
   * @return true above the limit
   */
  public boolean isPassedBy(ExactMoney plate) {
    return plate.compareTo(most()) > 0;
  }

  /**
   * Returns the portion at which the plate is within its limit again, by weight.
   *
   * @param portion what a portion weighs now
   * @param fish what of the plate grows with the portion
   * @param rest what of it does not: garnish
   * @return the mass, rounded down to the gram; empty if no portion is light enough
   */
  public Optional<Mass> portion(Mass portion, ExactMoney fish, ExactMoney rest) {
    ExactMoney allowed = most().minus(rest);
    if (!allowed.isPositive() || !fish.isPositive()) {
      return Optional.empty();
    }
    Mass lighter = portion.multipliedBy(allowed.dividedBy(fish), RoundingMode.DOWN);
    Mass grams = Mass.ofGrams(lighter.milligrams() / 1000);
    return grams.isPositive() ? Optional.of(grams) : Optional.empty();
  }
}
