package mosaicknife.core.pot;

import java.math.BigDecimal;
import java.util.Optional;
import mosaicknife.core.check.Check;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Fraction;

/**
 * What a batch costs, an estimate before it is packed: its bones at their credit, what else goes
 * in, the heat, and the hands.
 *
 * @param bones the credit its bones earn the fish they come from
 * @param lines what goes in beside them
 * @param fuel the heat
 * @param hands the minutes of hands
 * @param litres the litres that come out, positive
 */
public record PotCost(
    ExactMoney bones, ExactMoney lines, ExactMoney fuel, ExactMoney hands, double litres) {

  /** Refuses a batch of nothing. */
  public PotCost {
    Check.that(litres > 0, "Expected litres above 0, found " + litres);
  }

  /**
   * What things cost.
   *
   * @param bones the credit of a kilogram of bones
   * @param kilowattHour a kilowatt hour, or what a gas hob takes in its place
   * @param hour an hour of hands
   * @param bought a litre of stock that is bought in; empty if nobody said
   */
  public record Prices(
      ExactMoney bones, ExactMoney kilowattHour, ExactMoney hour, Optional<ExactMoney> bought) {

    /** The credit of a kilogram of bones, until the house says its own: a starting figure. */
    public static final BigDecimal STARTING_BONES = new BigDecimal("1.50");

    /** A kilowatt hour, until the house says its own: a starting figure. */
    public static final BigDecimal STARTING_KILOWATT_HOUR = new BigDecimal("0.30");
  }

  /**
   * Works out what a batch costs.
   *
   * @param plan the batch, of more than nothing
   * @param prices what things cost
   * @return the costs
   */
  public static PotCost of(PotPlan plan, Prices prices) {
    return new PotCost(
        prices.bones().multipliedBy(Fraction.of(plan.bones().inKilograms())),
        new ExactMoney(plan.cost(), prices.bones().currency()),
        prices.kilowattHour().multipliedBy(Fraction.ofEstimate(plan.kilowattHours())),
        prices.hour().multipliedBy(Fraction.of(plan.handMinutes(), 60)),
        plan.litres());
  }

  /**
   * Returns the minutes of hands a litre takes.
   *
   * @param plan the batch, of more than nothing
   * @return minutes a litre
   */
  public static double handsPerLitre(PotPlan plan) {
    return plan.handMinutes() / plan.litres();
  }

  /**
   * Returns what all of it costs.
   *
   * @return the sum
   */
  public ExactMoney total() {
    return bones.plus(lines).plus(fuel).plus(hands);
  }

  /**
   * Returns what a litre costs.
   *
   * @return the sum over the litres
   */
  public ExactMoney perLitre() {
    return perLitre(total());
  }

  /**
   * Returns the share of a litre in one of the costs.
   *
   * @param cost the cost of the batch
   * @return the cost over the litres
   */
  public ExactMoney perLitre(ExactMoney cost) {
    return cost.multipliedBy(Fraction.ofEstimate(1 / litres));
  }
}
