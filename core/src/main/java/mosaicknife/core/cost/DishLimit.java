package mosaicknife.core.cost;

import java.util.List;
import java.util.Optional;
import mosaicknife.core.check.Check;
import mosaicknife.core.portion.Serving;
import mosaicknife.core.portion.WholePortions;
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

  private static final long GRAM = 1000;

  /** Refuses a dish that is given away, and shares that are none. */
  public DishLimit {
    Check.that(price.isPositive(), "Expected a price above 0, found ", price);
    Check.that(
        share.compareTo(Fraction.ZERO) > 0 && share.compareTo(Fraction.ONE) <= 0,
        "Expected a share above 0 up to 1, found ",
        share);
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
   * A lighter portion.
   *
   * @param portion what it weighs, in whole grams
   * @param plates how many plates there are then
   * @param plate what one of them costs
   */
  public record Lighter(Mass portion, long plates, ExactMoney plate) {}

  /**
   * Finds the portion at which the plate is within its limit again: whole plates are counted anew,
   * for a lighter portion that gives none more saves nothing.
   *
   * @param now the plates as they are
   * @param fish what of one of them is shared out among all: fish and work
   * @param rest what of it is not: garnish
   * @return the heaviest that is light enough, down to half of what it is; empty if none is, or a
   *     plate is a piece or a fish, whatever it weighs
   */
  public Optional<Lighter> portion(WholePortions now, ExactMoney fish, ExactMoney rest) {
    ExactMoney allowed = most().minus(rest);
    Serving serving = now.serving();
    if (!allowed.isPositive() || !fish.isPositive() || !serving.form().isLighterForMore()) {
      return Optional.empty();
    }
    ExactMoney all = fish.multipliedBy(Fraction.of(now.count(), 1));
    List<WholePortions.Part> cuts = now.fillets().stream().map(WholePortions.Inside::part).toList();
    long grams = serving.target().milligrams() / GRAM;
    for (long lighter = grams - 1; lighter > 0 && 2 * lighter >= grams; lighter--) {
      Mass portion = Mass.ofGrams(lighter);
      long plates = WholePortions.of(cuts, serving.of(portion)).count();
      if (plates > now.count()
          && all.compareTo(allowed.multipliedBy(Fraction.of(plates, 1))) <= 0) {
        return Optional.of(new Lighter(portion, plates, all.dividedBy(plates).plus(rest)));
      }
    }
    return Optional.empty();
  }
}
