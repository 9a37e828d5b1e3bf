package mosaicknife.core.pot;

import java.math.BigDecimal;
import java.util.Optional;
import mosaicknife.core.cost.Carried;
import mosaicknife.core.cost.Outlay;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Fraction;

/** What a batch lays out beside its bones, which carry what their lots' costing gives them. */
public final class PotCost {

  private PotCost() {}

  /**
   * What things cost.
   *
   * @param kilowattHour a kilowatt hour, or what a gas hob takes in its place
   * @param hour an hour of hands
   * @param bought a litre of stock that is bought in; empty if nobody said
   */
  public record Prices(ExactMoney kilowattHour, ExactMoney hour, Optional<ExactMoney> bought) {

    /** A kilowatt hour, until the house says its own: a starting figure. */
    public static final BigDecimal STARTING_KILOWATT_HOUR = new BigDecimal("0.30");
  }

  /**
   * Works out what a batch lays out.
   *
   * @param plan the batch
   * @param prices what things cost
   * @return what goes in beside the bones, the hands at the hour, the heat at the kilowatt hour
   */
  public static Outlay of(PotPlan plan, Prices prices) {
    return new Outlay(
        new ExactMoney(plan.cost(), prices.hour().currency()),
        prices.hour().multipliedBy(Fraction.of(plan.handMinutes(), 60)),
        prices.kilowattHour().multipliedBy(Fraction.ofEstimate(plan.kilowattHours())));
  }

  /**
   * Returns what a litre of a batch carries.
   *
   * @param batch what all of it carries
   * @param plan the batch, of more than nothing
   * @return each part over the litres, which are an estimate
   */
  public static Carried perLitre(Carried batch, PotPlan plan) {
    return batch.multipliedBy(Fraction.ofEstimate(1 / plan.litres()));
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
}
