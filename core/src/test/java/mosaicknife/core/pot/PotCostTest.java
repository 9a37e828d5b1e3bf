package mosaicknife.core.pot;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.math.BigDecimal;
import java.util.Currency;
import java.util.Optional;
import java.util.Set;
import mosaicknife.core.cost.Carried;
import mosaicknife.core.cost.Outlay;
import mosaicknife.core.pot.PotStep.Answer;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Mass;
import org.testng.annotations.Test;

/** What a litre costs, against sums by hand. */
public class PotCostTest {

  private static final Currency EUR = Currency.getInstance("EUR");

  private static ExactMoney euros(String amount) {
    return ExactMoney.of(amount, EUR);
  }

  private static final PotCost.Prices PRICES =
      new PotCost.Prices(euros("0.30"), euros("18.00"), Optional.empty());

  @Test
  public void aBatchLaysOutLinesHandsAndHeat() {
    // ten litres want 5.2 kg of bones
    PotPlan plan =
        PotPlan.of(
            StockMethod.shipped().get("long-rested"),
            Set.of(Answer.LID),
            Mass.ofKilograms("5.2"),
            10,
            new Kettle("tall", new BigDecimal("30"), 36, 5000));
    Outlay laid = PotCost.of(plan, PRICES);
    // celery and leek alone without wine: 14 % of 5.2 kg at 1.90
    assertEquals(laid.goods().amount().doubleValue(), 0.728 * 1.9, 0.01);
    // split, strain and pack: 15 minutes each, at 18.00 an hour
    assertEquals(plan.handMinutes(), 45);
    assertEquals(laid.work().amount().doubleValue(), 13.5, 0.001);
    double kilowattHours = 5.0 * (plan.heatMinutes() + 30 * 0.15) / 60;
    assertEquals(plan.kilowattHours(), kilowattHours, 1e-9);
    assertEquals(laid.fuel().amount().doubleValue(), 0.3 * kilowattHours, 0.01);
    // a litre of it, with bones that carry 2.00 a kilogram
    Carried litre = PotCost.perLitre(new Carried(euros("10.40"), laid), plan);
    assertEquals(
        litre.total().amount().doubleValue(),
        (10.4 + 0.728 * 1.9 + 13.5 + 0.3 * kilowattHours) / plan.litres(),
        0.002);
  }

  @Test
  public void withoutALidItTakesMoreHeat() {
    Kettle kettle = new Kettle("tall", new BigDecimal("30"), 36, 5000);
    StockMethod quick = StockMethod.shipped().get("quick");
    Mass bones = Mass.ofKilograms("5");
    double with = PotPlan.of(quick, Set.of(Answer.LID), bones, 8, kettle).kilowattHours();
    double without = PotPlan.of(quick, Set.of(), bones, 8, kettle).kilowattHours();
    assertTrue(without > with * 1.3, with + " " + without);
  }
}
