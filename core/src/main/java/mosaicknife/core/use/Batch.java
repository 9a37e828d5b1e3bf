package mosaicknife.core.use;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.Currency;
import java.util.List;
import java.util.Map;
import mosaicknife.core.check.Check;
import mosaicknife.core.cost.Outlay;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Fraction;
import mosaicknife.core.quantity.Mass;

/**
 * A batch of a use: how much fish, what goes in, what comes out, in whole units.
 *
 * <p>batch = meat × (1 + Σ additions) × (1 − loss); units are the whole ones inside it.
 *
 * @param use what is made
 * @param fish the mass of fish that goes in, positive
 * @param piece the mass of one piece of it
 */
public record Batch(FishUse use, Mass fish, Mass piece) {

  /** Refuses a batch of nothing. */
  public Batch {
    Check.notNull(use, "use");
    Check.that(fish.isPositive(), "Expected fish above 0 g, found ", fish);
    Check.that(piece.isPositive(), "Expected a piece above 0 g, found ", piece);
  }

  /**
   * Something that goes in.
   *
   * @param line what
   * @param mass how much
   */
  public record Ingredient(RecipeLine line, Mass mass) {}

  /**
   * Scales a use backwards: how much fish so many units take.
   *
   * @param use what is made
   * @param units how many, from 1
   * @param piece the mass of one piece of the fish
   * @return the batch; its fish is rounded up to the milligram, so that the units are in it
   */
  public static Batch forUnits(FishUse use, long units, Mass piece) {
    Check.that(units >= 1, "Expected units from 1, found ", units);
    Fraction grams = use.gramsOfPart(piece).multipliedBy(Fraction.of(units, 1));
    BigDecimal milligrams = grams.toDecimal(3, RoundingMode.CEILING).movePointRight(3);
    return new Batch(use, Mass.ofMilligrams(milligrams.longValueExact()), piece);
  }

  /**
   * Returns what goes in beside the fish.
   *
   * @return each line with its mass
   */
  public List<Ingredient> ingredients() {
    return use.lines().stream()
        .map(line -> new Ingredient(line, fish.multipliedBy(line.share(), RoundingMode.HALF_EVEN)))
        .toList();
  }

  /**
   * Returns what the batch weighs when it is made.
   *
   * @return fish and lines less the loss of the step
   */
  public Mass out() {
    return fish.multipliedBy(use.factor(), RoundingMode.HALF_EVEN);
  }

  /**
   * Returns how many whole units it gives.
   *
   * @return the count, from 0
   */
  public long units() {
    return Fraction.of(fish.inGrams())
        .dividedBy(use.gramsOfPart(piece))
        .toDecimal(0, RoundingMode.FLOOR)
        .longValueExact();
  }

  /**
   * Returns the fish that is not in a whole unit.
   *
   * @return the mass, less than one unit takes
   */
  public Mass over() {
    Fraction inUnits = use.gramsOfPart(piece).multipliedBy(Fraction.of(units(), 1));
    BigDecimal milligrams = inUnits.toDecimal(3, RoundingMode.FLOOR).movePointRight(3);
    return fish.minus(Mass.ofMilligrams(milligrams.longValueExact()));
  }

  /**
   * Returns the minutes of hands it takes.
   *
   * @return set-up and units, rounded up
   */
  public int minutes() {
    return use.work().minutes(units());
  }

  /**
   * Returns what goes in beside the fish costs.
   *
   * @param currency the currency of the house
   * @return the sum over the lines
   */
  public ExactMoney additions(Currency currency) {
    return additions(currency, Map.of());
  }

  /**
   * Returns what goes in beside the fish costs when some of it lies on a shelf, with a cost of its
   * own.
   *
   * @param currency the currency of the house
   * @param there how much of a line lies there, at most what goes in
   * @return the sum over what does not
   */
  public ExactMoney additions(Currency currency, Map<RecipeLine, Mass> there) {
    BigDecimal sum =
        ingredients().stream()
            .map(
                one -> {
                  Mass bought = one.mass().minus(there.getOrDefault(one.line(), Mass.ZERO));
                  return one.line().perKilogram().multiply(bought.inKilograms());
                })
            .reduce(BigDecimal.ZERO, BigDecimal::add);
    return new ExactMoney(sum, currency);
  }

  /**
   * Returns what is laid out for it beside the fish. Heat is not counted outside a pot.
   *
   * @param hour what an hour of work costs
   * @param made how many units are made of it
   * @param there how much of a line lies on a shelf with a cost of its own
   * @return what else goes in, and set-up and units at the hour
   */
  public Outlay outlay(ExactMoney hour, long made, Map<RecipeLine, Mass> there) {
    return new Outlay(
        additions(hour.currency(), there),
        hour.multipliedBy(Fraction.of(use.work().minutes(made), 60)),
        ExactMoney.zero(hour.currency()));
  }

  /**
   * Returns how much fat is to be added to a lean mince: meat × (wanted − own) / (fat's own −
   * wanted). 1.820 kg at 3 % to 12 % with fat of 70 % take 282 g.
   *
   * @param meat the meat, positive
   * @param own its share of fat
   * @param wanted the share that is wanted
   * @param fats the share of fat of what is added
   * @return the mass to the gram; zero if the meat has enough
   * @throws IllegalArgumentException if as much is wanted as the fat itself has
   */
  public static Mass fat(Mass meat, Fraction own, Fraction wanted, Fraction fats) {
    Check.that(
        wanted.compareTo(fats) < 0, "Expected a share below that of the fat, found ", wanted);
    if (own.compareTo(wanted) >= 0) {
      return Mass.ZERO;
    }
    Fraction ratio = wanted.minus(own).dividedBy(fats.minus(wanted));
    BigDecimal grams =
        ratio.multipliedBy(Fraction.of(meat.inGrams())).toDecimal(0, RoundingMode.HALF_UP);
    return Mass.ofGrams(grams.longValueExact());
  }
}
