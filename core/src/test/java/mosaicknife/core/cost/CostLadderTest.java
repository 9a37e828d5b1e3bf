package mosaicknife.core.cost;

import static mosaicknife.core.WorkedHake.COST;
import static mosaicknife.core.WorkedHake.EUR;
import static mosaicknife.core.WorkedHake.leaf;
import static mosaicknife.core.WorkedHake.price;
import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.math.RoundingMode;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mosaicknife.core.WorkedHake;
import mosaicknife.core.anatomy.Purpose;
import mosaicknife.core.breakdown.Breakdown;
import mosaicknife.core.cost.CostLadder.Rung;
import mosaicknife.core.cost.CostLadder.Step;
import mosaicknife.core.cost.CostLadder.Table;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Mass;
import org.testng.annotations.Test;

public class CostLadderTest {

  private static final Table BARE = new Table(money("0"), Optional.empty(), Optional.empty());

  private static ExactMoney money(String amount) {
    return ExactMoney.of(amount, EUR);
  }

  @Test
  public void climbsFromTheInvoiceToTheMenu() {
    // 12.00 of work on 14 plates, 0.80 of garnish on each, sold at 24.00
    Table table = new Table(money("12.00"), Optional.of(money("0.80")), Optional.of(money("24")));
    LotCost cost = new LotCost(price("11.40"), WorkedHake.PURCHASED, money("6.00"), money("4.00"));
    CostLadder ladder = ladder(WorkedHake.breakdown(), cost, table);
    assertEquals(
        ladder.rungs().stream().map(Rung::step).toList(),
        List.of(
            Step.PURCHASE,
            Step.FREIGHT,
            Step.CLAIMS,
            Step.LOSS,
            Step.BIN,
            Step.BY_PRODUCTS,
            Step.USABLE,
            Step.PORTIONS,
            Step.PLATE,
            Step.PRICE));
    assertEquals(
        ladder.rungs().stream().map(rung -> two(rung.money())).toList(),
        List.of(
            "55.40", "61.40", "57.40", "57.40", "57.40", "57.40", "57.40", "57.40", "80.60",
            "336.00"));
    // 57.404 / 14; and with the work and the garnish 80.604 / 14
    assertEquals(two(of(ladder, Step.USABLE).portion().orElseThrow()), "4.10");
    assertEquals(two(of(ladder, Step.PLATE).portion().orElseThrow()), "5.76");
    assertEquals(two(of(ladder, Step.PRICE).portion().orElseThrow()), "24.00");
    // 87 of 4860 g ran away, 180 g were composted, 90 g are over
    assertEquals(two(of(ladder, Step.LOSS).went().orElseThrow()), "1.03");
    assertEquals(two(of(ladder, Step.BIN).went().orElseThrow()), "2.13");
    assertEquals(two(of(ladder, Step.PORTIONS).went().orElseThrow()), "1.98");
    assertEquals(two(of(ladder, Step.CLAIMS).went().orElseThrow()), "-4.00");
  }

  @Test
  public void aKilogramOfLessCostsMore() {
    List<Rung> rungs = ladder(WorkedHake.breakdown(), COST, BARE).rungs();
    // 55.404 over 4.860, 4.773, 4.593, 2.610, 2.610 and 14 × 0.180 = 2.520 kg
    assertEquals(
        rungs.stream()
            .filter(rung -> rung.price().isPresent())
            .map(rung -> two(rung.price().orElseThrow().perKilogram()))
            .toList(),
        List.of("11.40", "11.61", "12.06", "21.23", "21.23", "21.99"));
    for (int i = 1; i < rungs.size(); i++) {
      assertTrue(rungs.get(i).share().compareTo(rungs.get(i - 1).share()) <= 0);
    }
  }

  @Test
  public void creditLeavesWithTheByProducts() {
    Optional<CostSheet> sheet =
        CostSheet.of(
            CostingMethod.BY_PRODUCT_CREDIT,
            WorkedHake.breakdown(),
            COST,
            WorkedHake.values("1.80", "9.00", "8.00"),
            Mass.ofGrams(180));
    CostLadder ladder = CostLadder.of(WorkedHake.breakdown(), true, COST, sheet, BARE);
    assertEquals(two(of(ladder, Step.BY_PRODUCTS).went().orElseThrow()), "-6.13");
    assertEquals(two(of(ladder, Step.BY_PRODUCTS).money()), "49.27");
    assertEquals(two(of(ladder, Step.PORTIONS).portion().orElseThrow()), "3.52");
  }

  @Test
  public void theOwnScaleCountsWhereItDisagrees() {
    LotCost invoiced = LotCost.of(price("11.40"), Mass.ofKilograms("5.000"));
    CostLadder ladder = ladder(WorkedHake.breakdown(), invoiced, BARE);
    // 57.00 paid for 4.860 kg on the own scale, and nobody has claimed it
    assertEquals(two(of(ladder, Step.CLAIMS).price().orElseThrow().perKilogram()), "11.73");
    assertTrue(ladder.rungs().get(0).share().toDouble() > 1);
  }

  @Test
  public void whatIsNotWeighedYetIsNoLoss() {
    Breakdown open = WorkedHake.with(leaf("frame", "frame", "0.612", null));
    assertEquals(
        CostLadder.of(open, false, COST, Optional.empty(), BARE).rungs().stream()
            .map(Rung::step)
            .toList(),
        List.of(Step.PURCHASE));
    Breakdown bin = WorkedHake.with(leaf("frame", "frame", "0.612", Purpose.BIN));
    assertEquals(
        CostLadder.of(bin, false, COST, Optional.empty(), BARE).rungs().stream()
            .map(Rung::step)
            .toList(),
        List.of(Step.PURCHASE, Step.BIN));
  }

  private static CostLadder ladder(Breakdown breakdown, LotCost cost, Table table) {
    Optional<CostSheet> sheet =
        CostSheet.of(CostingMethod.ALL_ON_THE_MAINS, breakdown, cost, Map.of(), Mass.ofGrams(180));
    return CostLadder.of(breakdown, true, cost, sheet, table);
  }

  private static Rung of(CostLadder ladder, Step step) {
    return ladder.rungs().stream().filter(rung -> rung.step() == step).findFirst().orElseThrow();
  }

  private static String two(ExactMoney money) {
    return money.amount().setScale(2, RoundingMode.HALF_UP).toPlainString();
  }
}
