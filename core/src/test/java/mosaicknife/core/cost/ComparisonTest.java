package mosaicknife.core.cost;

import static mosaicknife.core.WorkedHake.EUR;
import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertThrows;
import static org.testng.Assert.assertTrue;

import java.math.RoundingMode;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mosaicknife.core.WorkedHake;
import mosaicknife.core.portion.Eaten;
import mosaicknife.core.portion.Serving;
import mosaicknife.core.portion.WholePortions;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Fraction;
import mosaicknife.core.quantity.Mass;
import org.testng.annotations.Test;

/** A cheap fish of low yield against a dear one of high yield, by hand. */
public class ComparisonTest {

  private static final Serving PLATE = Serving.slices(Mass.ofGrams(160));

  private static Contender fish(String id, String paid, int each) {
    return of(id, paid, "0", "0", each, 0);
  }

  private static Contender of(
      String id, String paid, String labour, String credit, int each, double spread) {
    return new Contender(
        id,
        id,
        Mass.ofKilograms("5"),
        ExactMoney.of(paid, EUR),
        ExactMoney.of(labour, EUR),
        ExactMoney.of(credit, EUR),
        List.of(Eaten.of(1, Mass.ofGrams(each)), Eaten.of(1, Mass.ofGrams(each))),
        spread == 0,
        spread);
  }

  private static String two(ExactMoney money) {
    return money.amount().setScale(2, RoundingMode.HALF_UP).toPlainString();
  }

  @Test
  public void wholePortionsDecideAndBreakEvenIsATenthOfAPoint() {
    // 40.00 for 5 + 5 plates of 160 g in 800 g; 70.00 for 8 + 8 in 1400 g
    Contender cheap = fish("cheap", "40", 800);
    Contender dear = fish("dear", "70", 1400);
    Comparison both = new Comparison(PLATE, List.of(dear, cheap));
    assertEquals(both.contenders().get(0), cheap);
    assertEquals(two(cheap.plate(PLATE).orElseThrow()), "4.00");
    assertEquals(two(dear.plate(PLATE).orElseThrow()), "4.38");
    // the dear one needs 18 plates, 9 in each of 1440 g: 2880 of 5000 g
    assertEquals(both.lowestYield(dear, cheap), Optional.of(Fraction.of(576, 1000)));
    // 16 plates at 4.00 over 5 kg
    assertEquals(
        both.highestPrice(dear, cheap).orElseThrow().perKilogram().amount().toPlainString(),
        "12.8");
    // the cheap one may not lose a plate: nine at 40.00 are 4.44
    assertEquals(both.lowestYield(cheap, dear), Optional.of(Fraction.of(320, 1000)));
    assertEquals(
        both.highestPrice(cheap, dear).orElseThrow().perKilogram().amount().toPlainString(),
        "8.75");
  }

  @Test
  public void workAndCreditCount() {
    Contender worked = of("worked", "40", "10", "6", 800, 0);
    assertEquals(two(worked.plate(PLATE).orElseThrow()), "4.40");
    Comparison both = new Comparison(PLATE, List.of(worked, fish("dear", "70", 1400)));
    // 43.75 for ten plates, less 10 of work, and 6 of credit: 39.75 over 5 kg
    assertEquals(
        both.highestPrice(worked, both.contenders().get(0))
            .orElseThrow()
            .perKilogram()
            .amount()
            .toPlainString(),
        "7.95");
    // two plates of 4.38 leave nothing for 10 of work: no price is low enough, whatever the credit
    Contender few = of("few", "40", "10", "90", 170, 0);
    Comparison poor = new Comparison(PLATE, List.of(few, fish("dear", "70", 1400)));
    assertEquals(poor.highestPrice(few, poor.contenders().get(0)), Optional.empty());
    Contender credited = of("credited", "40", "10", "90", 800, 0);
    assertEquals(two(credited.cost()), "10.00", "more credit than it cost takes off all, no more");
  }

  @Test
  public void whatNeverPaysIsSaidSo() {
    Contender light = fish("light", "40", 100);
    Comparison both = new Comparison(PLATE, List.of(light, fish("free", "0", 800)));
    assertEquals(both.contenders().get(1), light, "no whole portion comes last");
    assertEquals(light.plate(PLATE), Optional.empty());
    assertEquals(both.lowestYield(light, both.contenders().get(0)), Optional.empty());
    assertEquals(both.highestPrice(light, both.contenders().get(0)), Optional.empty());
    assertEquals(both.lowestYield(both.contenders().get(0), light), Optional.empty());
  }

  @Test
  public void aPointOfYieldAndTheCurves() {
    Contender dear = fish("dear", "70", 1400);
    // 70 × 160 / 2800 less 70 × 160 / 2850
    assertEquals(dear.point(PLATE).amount().doubleValue(), 4.0 - 70 * 160 / 2850.0, 1e-9);
    Comparison one = new Comparison(PLATE, List.of(dear));
    List<Comparison.Point> byYield = one.byYield(dear, 0.2, 0.8);
    assertEquals(byYield.size(), 41);
    // at 20 % each fillet is 500 g: three plates, 70 / 6
    assertEquals(byYield.get(0).plate().orElseThrow(), 70 / 6.0, 1e-6);
    for (int i = 1; i < byYield.size(); i++) {
      assertTrue(byYield.get(i).plate().orElseThrow() <= byYield.get(i - 1).plate().orElseThrow());
    }
    List<Comparison.Point> byPrice = one.byPrice(dear, 28);
    assertEquals(byPrice.get(0).plate().orElseThrow(), 0.0);
    assertEquals(byPrice.get(20).plate().orElseThrow(), 4.375, 1e-9, "at 14.00 a kilogram");
  }

  @Test
  public void anEstimateHasARangeAndAMeasuredYieldHasNone() {
    Comparison both =
        new Comparison(
            PLATE, List.of(of("norm", "70", "0", "0", 1400, 0.1), fish("lot", "40", 800)));
    Contender norm = both.contenders().get(1);
    List<ExactMoney> range = both.range(norm).orElseThrow();
    // 1540 g: 9 + 9; 1260 g: 7 + 7
    assertEquals(two(range.get(0)), "3.89");
    assertEquals(two(range.get(1)), "5.00");
    assertEquals(both.range(both.contenders().get(0)), Optional.empty());
  }

  @Test
  public void theFactorOfLotsIsWeighedByWhatWasInvoiced() {
    // 1.86207 of 4.860 kg, and 2 × that of as much invoiced twice
    CostSheet hake =
        CostSheet.of(
                CostingMethod.ALL_ON_THE_MAINS,
                WorkedHake.breakdown(),
                WorkedHake.COST,
                Map.of(),
                Mass.ofGrams(180))
            .orElseThrow();
    CostSheet dear =
        CostSheet.of(
                CostingMethod.ALL_ON_THE_MAINS,
                WorkedHake.breakdown(),
                LotCost.of(WorkedHake.price("11.40"), Mass.ofKilograms("9.720")),
                Map.of(),
                Mass.ofGrams(180))
            .orElseThrow();
    FactorRange both = FactorRange.of(List.of(hake, dear)).orElseThrow();
    assertEquals(both.least().toDouble(), 1.86207, 1e-5);
    assertEquals(both.most().toDouble(), 3.72414, 1e-5);
    assertEquals(both.mean().toDouble(), (1.86207 + 2 * 3.72414) / 3, 1e-5);
    assertEquals(FactorRange.of(List.of()), Optional.empty());
  }

  @Test
  public void cutsHeavierThanTheFishAreRefused() {
    assertThrows(IllegalArgumentException.class, () -> fish("x", "40", 2600));
    assertThrows(IllegalArgumentException.class, () -> fish("x", "-1", 800));
  }

  private static WholePortions twoFillets(Serving serving) {
    Eaten side = Eaten.of(1, Mass.ofGrams(1300));
    return WholePortions.of(
        List.of(new WholePortions.Part("fillet", "Fillets", List.of(side, side), false)), serving);
  }

  @Test
  public void aDishKnowsItsLimitAndThePortionThatKeepsIt() {
    DishLimit limit = new DishLimit(ExactMoney.of("20", EUR), Fraction.of(30, 100));
    assertEquals(two(limit.most()), "6.00");
    assertTrue(limit.isPassedBy(ExactMoney.of("6.01", EUR)));
    assertFalse(limit.isPassedBy(ExactMoney.of("6.00", EUR)));
    // two fillets of 1300 g hold 14 plates of 180 g, 88.20 of fish at 6.30; 0.90 of garnish leave
    // 5.10, so 18 plates are needed: nine in each at 144 g, eight at 145 g
    ExactMoney fish = ExactMoney.of("6.30", EUR);
    ExactMoney garnish = ExactMoney.of("0.90", EUR);
    Serving slices = Serving.slices(Mass.ofGrams(180));
    DishLimit.Lighter lighter = limit.portion(twoFillets(slices), fish, garnish).orElseThrow();
    assertEquals(lighter.portion(), Mass.ofGrams(144));
    assertEquals(lighter.plates(), 18);
    assertEquals(two(lighter.plate()), "5.80");
    assertEquals(
        limit.portion(twoFillets(slices), fish, ExactMoney.of("6.90", EUR)), Optional.empty());
    // one piece is a plate however light the portion is said to be, and so is a fish
    for (Serving.Form form : List.of(Serving.Form.PIECES, Serving.Form.SHARED, Serving.Form.FISH)) {
      Serving whole = new Serving(form, Mass.ofGrams(180), 0, 1, false);
      assertEquals(limit.portion(twoFillets(whole), fish, garnish), Optional.empty(), "" + form);
    }
    assertThrows(
        IllegalArgumentException.class,
        () -> new DishLimit(ExactMoney.of("0", EUR), Fraction.of(30, 100)));
  }
}
