package mosaicknife.core.cost;

import static mosaicknife.core.WorkedHake.COST;
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
import mosaicknife.core.quantity.Mass;
import org.testng.annotations.Test;

public class CostLadderTest {

  @Test
  public void climbsFromTheInvoiceToThePortion() {
    CostLadder ladder = ladder(WorkedHake.breakdown(), COST);
    assertEquals(
        ladder.rungs().stream().map(Rung::step).toList(),
        List.of(Step.INVOICED, Step.USED, Step.SERVED, Step.MAINS, Step.PORTIONS));
    // 55.404 over 4.860, 4.593, 2.996, 2.610 and 14 × 0.180 = 2.520 kg
    assertEquals(
        ladder.rungs().stream().map(CostLadderTest::twoDecimals).toList(),
        List.of("11.40", "12.06", "18.49", "21.23", "21.99"));
  }

  @Test
  public void aKilogramNeverGetsCheaperOnTheWayUp() {
    List<Rung> rungs = ladder(WorkedHake.breakdown(), COST).rungs();
    for (int i = 1; i < rungs.size(); i++) {
      assertTrue(rungs.get(i).price().compareTo(rungs.get(i - 1).price()) >= 0);
      assertTrue(rungs.get(i).share().compareTo(rungs.get(i - 1).share()) <= 0);
    }
  }

  @Test
  public void theOwnScaleIsARungOfItsOwnWhenItDisagrees() {
    LotCost invoiced = LotCost.of(price("11.40"), Mass.ofKilograms("5.000"));
    List<Rung> rungs = ladder(WorkedHake.breakdown(), invoiced).rungs();
    assertEquals(rungs.get(0).step(), Step.INVOICED);
    assertEquals(rungs.get(1).step(), Step.OWN_SCALE);
    // 57.00 paid for 4.860 kg on the own scale
    assertEquals(twoDecimals(rungs.get(1)), "11.73");
  }

  @Test
  public void stepsWithoutMassAreLeftOut() {
    Breakdown open = WorkedHake.with(leaf("frame", "frame", "0.612", null));
    assertEquals(
        CostLadder.of(open, COST, Optional.empty()).rungs().stream().map(Rung::step).toList(),
        List.of(Step.INVOICED));
    Breakdown bin = WorkedHake.with(leaf("frame", "frame", "0.612", Purpose.BIN));
    assertEquals(CostLadder.of(bin, COST, Optional.empty()).rungs().size(), 1);
  }

  private static CostLadder ladder(Breakdown breakdown, LotCost cost) {
    Optional<CostSheet> sheet =
        CostSheet.of(CostingMethod.ALL_ON_THE_MAINS, breakdown, cost, Map.of(), Mass.ofGrams(180));
    return CostLadder.of(breakdown, cost, sheet);
  }

  private static String twoDecimals(Rung rung) {
    return rung.price().perKilogram().amount().setScale(2, RoundingMode.HALF_UP).toPlainString();
  }
}
