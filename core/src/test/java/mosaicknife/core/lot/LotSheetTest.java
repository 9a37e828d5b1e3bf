package mosaicknife.core.lot;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.IntStream;
import mosaicknife.core.anatomy.Purpose;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.breakdown.Balance.Verdict;
import mosaicknife.core.breakdown.Diagnosis;
import mosaicknife.core.breakdown.Knowledge;
import mosaicknife.core.breakdown.Node;
import mosaicknife.core.breakdown.Yields;
import mosaicknife.core.cost.PlateCost;
import mosaicknife.core.cost.PlateCost.Line;
import mosaicknife.core.craft.Drift;
import mosaicknife.core.craft.SecondOpinion.Remark;
import mosaicknife.core.plan.CutPlan;
import mosaicknife.core.plan.CuttingOption;
import mosaicknife.core.plan.CuttingOptions;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Mass;
import org.testng.annotations.Test;

/** A lot worked through without database or page: what is weighed is what every station reads. */
public class LotSheetTest {

  private static final String[] ALL = {
    "fins", "gills", "head", "collar", "fillet-left", "fillet-right", "belly", "frame"
  };

  /** A gutted hake of 4.860 kg, weighed to 4.846 kg: 14 g, or 0.3 %, are drip. */
  private static TestLot hake() {
    return new TestLot("hake", State.GUTTED, 1, "4.860", "");
  }

  private static TestLot weighed() {
    return hake()
        .weigh("fins", 1, 119)
        .weigh("gills", 1, 65)
        .weigh("head", 1, 1015)
        .weigh("collar", 1, 227)
        .weigh("fillet-left", 1, 1310)
        .weigh("fillet-right", 1, 1300)
        .weigh("belly", 1, 184)
        .weigh("frame", 1, 626);
  }

  /** 3.600 kg are 20 portions of 180 g; what the dock weighed is the one part. */
  @Test
  public void filletsThatWereBoughtCutGoStraightToPortions() {
    TestLot lot = new TestLot("hake", State.FILLETS, 1, "3.600", "");
    assertEquals(
        lot.sheet().parts().stream().map(LotPart::slot).toList(), List.of("fillet"), "no bones");
    LotSheet sheet = lot.weigh("fillet", 1, 3600).decide(Purpose.PLATE, "fillet").sheet();
    assertEquals(sheet.balance().verdict(), Verdict.CLOSED);
    assertEquals(sheet.balance().remainder(), Mass.ZERO);
    assertTrue(sheet.isDone(Station.BENCH));
    // a new lot has the house's tolerance: 3600 g hold 21 of 171 g
    assertEquals(sheet.portions().count(), 21);
    assertEquals(
        CuttingOptions.of(sheet.lot().species(), State.FILLETS).stream()
            .map(CuttingOption::code)
            .toList(),
        List.of("pin-bones", "skin", "shape"),
        "what is asked of a whole fish is not asked");
    assertEquals(
        Yields.of(sheet.breakdown(), sheet.lot().species()).basis(State.UNGUTTED),
        Optional.empty(),
        "nobody saw the fish it came from");
  }

  /** Weighed just as planned, the plate costs what the plan promised, line by line. */
  @Test
  public void oneFishOnePlanOnePlate() {
    ExactMoney hour = ExactMoney.of("24", TestLot.EUR);
    TestLot lot = hake();
    CutPlan plan = lot.sheet().plan();
    for (CutPlan.Planned part : plan.parts()) {
      lot.weigh(part.slot().code(), 1, (int) Math.ceil(part.mass().milligrams() / 1000.0));
      lot.decide(part.purpose(), part.slot().code());
    }
    LotSheet sheet = lot.sheet();
    PlateCost promised =
        plan.plate(sheet.plates().serving(), sheet.lot().cost().orElseThrow().total(), hour)
            .cost()
            .orElseThrow();
    PlateCost worked = sheet.plate(hour).orElseThrow();
    assertEquals(worked.lines().get(Line.FISH), promised.lines().get(Line.FISH));
    assertEquals(worked.lines().get(Line.LABOUR), promised.lines().get(Line.LABOUR));
    assertEquals(
        worked.lines().get(Line.BY_PRODUCTS),
        ExactMoney.zero(TestLot.EUR),
        "the mains carry all of it");
    assertEquals(promised.leftOut(), List.of(Line.BY_PRODUCTS, Line.EXTRAS));
    assertEquals(worked.leftOut(), List.of(Line.EXTRAS));
  }

  /** One side first, then the frame, then the rest: the order is the butcher's. */
  @Test
  public void theNextPartIsTheOneAfterTheLastAndWhatWasPassedOverComesAtTheEnd() {
    TestLot lot = hake().weigh("fillet-left", 1, 1310);
    assertEquals(lot.sheet().next(1).orElseThrow().slot(), "fillet-right");
    lot.weigh("fillet-right", 1, 1300).weigh("frame", 1, 626);
    assertEquals(lot.sheet().next(1).orElseThrow().slot(), "fins", "back to the first passed over");
    lot.weigh("belly", 1, 184);
    assertEquals(lot.sheet().next(1).orElseThrow().slot(), "fins");
    lot.weigh("gills", 1, 65);
    assertEquals(lot.sheet().next(1).orElseThrow().slot(), "head");
  }

  @Test
  public void aLotGoesFromTheFirstWeightToTheClosedDoor() {
    TestLot lot = hake();
    LotSheet sheet = lot.sheet();
    assertEquals(sheet.nextStep(), NextStep.START_WEIGHING);
    assertEquals(sheet.next(1).orElseThrow().slot(), "fins");
    assertEquals(sheet.weights(), 8);

    sheet = lot.weigh("head", 1, 1015).sheet();
    assertEquals(sheet.nextStep(), NextStep.WEIGH_ON);
    assertEquals(sheet.next(1).orElseThrow().slot(), "collar", "it goes on from there");
    assertEquals(sheet.weightsTaken(), 1);
    assertFalse(sheet.isDone(Station.BENCH));

    sheet = weighed().sheet();
    assertEquals(sheet.balance().tallied(), Mass.ofGrams(4846));
    assertEquals(sheet.balance().remainder(), Mass.ofGrams(14));
    assertEquals(sheet.balance().verdict(), Verdict.CLOSED);
    assertEquals(sheet.weightsTaken(), 8);
    assertEquals(sheet.next(1), Optional.empty());
    assertEquals(sheet.nextStep(), NextStep.DECIDE_THE_REST);
    assertTrue(sheet.isDone(Station.BENCH));
    assertFalse(sheet.isDone(Station.USES));
    assertFalse(sheet.isDone(Station.DOCK), "nobody looked at it");

    sheet = weighed().decide(Purpose.POT, ALL).sheet();
    assertEquals(sheet.nextStep(), NextStep.CLOSE);
    assertTrue(sheet.isDone(Station.USES));
    assertTrue(sheet.isDone(Station.PLAN));
    assertFalse(sheet.isDone(Station.COST), "nothing is for the plate");
    assertEquals(weighed().finish().sheet().nextStep(), NextStep.NOTHING);
  }

  @Test
  public void whatIsStillToComeIsWorkedOutFromThePlan() {
    LotSheet sheet = weighed().sheet();
    assertEquals(sheet.balance().outstanding(), Mass.ZERO);
    LotSheet open = hake().weigh("head", 1, 1015).sheet();
    // all but the head: about 80 % of 4.860 kg less drip
    double outstanding = open.balance().outstanding().milligrams() / 1e6;
    assertEquals(outstanding, 4.86 * 0.985 - 4.86 * 0.985 * 0.188 / 0.9, 0.03);
    assertEquals(open.balance().verdict(), Verdict.OPEN);
    LotSheet left = hake().skip("belly").sheet();
    assertEquals(left.weights(), 7, "what is not taken off is not waited for");
    assertTrue(left.expectedParts().stream().noneMatch(part -> part.slot().equals("belly")));
  }

  @Test
  public void portionsCostAndWorthReadTheSameFish() {
    LotSheet sheet = weighed().decide(Purpose.PLATE, "fillet-left", "fillet-right").sheet();
    // 48.60 over 2.610 kg = 18.6207 a kilogram; 7 + 7 plates of 180 g
    assertEquals(sheet.portions().count(), 14);
    assertEquals(
        sheet.worthOfMains().orElseThrow().perKilogram().amount().doubleValue(), 18.6207, 0.0001);
    assertEquals(
        sheet
            .costs(sheet.lot().costingMethod())
            .orElseThrow()
            .portionByCount()
            .orElseThrow()
            .amount()
            .doubleValue(),
        48.60 / 14,
        1e-9);
    assertTrue(sheet.isDone(Station.COST));
    // before anything is for the plate the plan's main cuts carry the cost
    double planned = hake().sheet().plan().mains().milligrams() / 1e6;
    assertEquals(
        hake().sheet().worthOfMains().orElseThrow().perKilogram().amount().doubleValue(),
        48.60 / planned,
        0.001);
  }

  @Test
  public void aPartCutFurtherIsReplacedByItsPiecesAndTheRestIsNamed() {
    TestLot lot =
        weighed()
            .cutFrom("fillet-left", "trim", "belly", false)
            .cutFrom("fillet-left", "tail", "fillet-left", false);
    assertEquals(lot.sheet().breakdown().leaves().size(), 8, "nothing is cut further yet");
    LotSheet sheet = lot.weigh("trim", 1, 110).sheet();
    List<Node.Leaf> leaves = sheet.breakdown().leaves();
    assertEquals(leaves.size(), 9);
    Node.Leaf rest =
        leaves.stream().filter(leaf -> leaf.knowledge() == Knowledge.BY_DIFFERENCE).findAny().get();
    assertEquals(rest.mass(), Mass.ofGrams(1200), "1310 g less 110 g of trim");
    assertEquals(sheet.balance().tallied(), Mass.ofGrams(4846), "nothing is counted twice");
    // 1310 - 110 - 1190 = 10 g: within the drip of a fillet, so no rest is made up
    LotSheet all = lot.weigh("tail", 1, 1190).sheet();
    assertTrue(
        all.breakdown().leaves().stream().allMatch(l -> l.knowledge() == Knowledge.MEASURED));
  }

  @Test
  public void portionsInARowAreOneLeafOfSoManyPieces() {
    TestLot lot = weighed().cutFrom("fillet-left", "portions", "fillet-left", true);
    IntStream.rangeClosed(1, 7).forEach(piece -> lot.weigh("portions", 1, piece, 180 + piece));
    Node.Leaf portions =
        lot.sheet().breakdown().leaves().stream()
            .filter(leaf -> LeafId.slotOf(leaf.id()).equals("portions"))
            .findAny()
            .orElseThrow();
    // 7 x 180 + 1 + 2 + ... + 7
    assertEquals(portions.mass(), Mass.ofGrams(1288));
    assertEquals(portions.pieces(), 7);
    assertEquals(lot.sheet().weights(), 8, "a row has no last piece to wait for");
  }

  @Test
  public void aPartWeighedForAllFishTogetherCountsForEach() {
    TestLot lot = new TestLot("mackerel", State.GUTTED, 3, "1.050", "");
    lot.weigh("head", 0, 190).weigh("frame", 1, 35);
    LotSheet sheet = lot.sheet();
    assertEquals(sheet.weightsTaken(), 4, "three heads and one frame");
    assertTrue(sheet.find("head").orElseThrow().isDone(3));
    assertFalse(sheet.find("frame").orElseThrow().isDone(3));
    assertEquals(sheet.find("head").orElseThrow().outstanding(), Mass.ZERO);
  }

  @Test
  public void theWholeComesFromTheOwnScaleAndTheCostFromTheInvoice() {
    LotSheet sheet = new TestLot("hake", State.GUTTED, 1, "4.860", "4.600").sheet();
    assertEquals(sheet.breakdown().purchased(), Mass.ofGrams(4600));
    assertEquals(sheet.lot().cost().orElseThrow().total().amount().doubleValue(), 48.60, 1e-9);
  }

  @Test
  public void aForgottenDecimalIsFoundInTheTally() {
    // the head typed as 101.5 g instead of 1.015 kg: 900 g are missing
    LotSheet sheet =
        hake()
            .weigh("fins", 1, 119)
            .weigh("gills", 1, 65)
            .weigh("head", 1, 102)
            .weigh("collar", 1, 227)
            .weigh("fillet-left", 1, 1310)
            .weigh("fillet-right", 1, 1300)
            .weigh("belly", 1, 184)
            .weigh("frame", 1, 626)
            .sheet();
    assertEquals(sheet.balance().verdict(), Verdict.SHORT);
    assertEquals(sheet.nextStep(), NextStep.LOOK_AT_THE_TALLY);
    Diagnosis found = Tally.search(sheet, Map.of()).orElseThrow();
    String head = sheet.find("head").orElseThrow().taken().get(0).id().toString();
    assertEquals(found.best().orElseThrow().line(), head);
    assertEquals(sheet.partWeighedBy(head).orElseThrow().slot(), "head");
    assertEquals(sheet.partWeighedBy(UUID.randomUUID().toString()), Optional.empty());
    assertEquals(Tally.search(hake().sheet(), Map.of()), Optional.empty(), "nothing is weighed");
  }

  @Test
  public void figuresTypedOffAFinerScaleAreNoError() {
    // five odd figures do not lie on the steps of 2 g that the house's own scale has
    assertTrue(Tally.search(weighed().sheet(), Map.of()).isEmpty());
  }

  @Test
  public void aFilletLighterThanItsTwinIsRemarkedAndAnEvenFishIsNot() {
    LotSheet even = weighed().sheet();
    assertTrue(Opinions.of(even, 1).isEmpty(), Opinions.of(even, 1).toString());
    LotSheet uneven = hake().weigh("fillet-left", 1, 980).weigh("fillet-right", 1, 1300).sheet();
    List<Remark> remarks = Opinions.of(uneven, 1);
    assertTrue(remarks.stream().anyMatch(r -> r.part().equals("Left fillet")), remarks.toString());
  }

  @Test
  public void aDullKnifeIsSeenInTheCutsOfOnePairOfHandsOnly() {
    TestLot lot = new TestLot("mackerel", State.UNGUTTED, 8, "2.800", "");
    IntStream.rangeClosed(1, 8).forEach(fish -> lot.weigh("fillet-left", fish, 130 - 4 * fish));
    List<Opinions.OverNorm> cuts = Opinions.mainCuts(lot.sheet(), TestLot.TOBIAH.id());
    assertEquals(cuts.size(), 8);
    // the first is 126 g, the last 98 g
    assertEquals(cuts.get(7).overNorm() / cuts.get(0).overNorm(), 98.0 / 126, 1e-9);
    Drift drift = Opinions.drift(cuts).orElseThrow();
    assertEquals(drift.cuts(), 8);
    assertTrue(Opinions.mainCuts(lot.sheet(), TestLot.MAREN.id()).isEmpty());

    TestLot shared = new TestLot("mackerel", State.UNGUTTED, 8, "2.800", "");
    IntStream.rangeClosed(1, 4).forEach(fish -> shared.weigh("fillet-left", fish, 130 - 4 * fish));
    shared.by(TestLot.MAREN);
    IntStream.rangeClosed(5, 8).forEach(fish -> shared.weigh("fillet-left", fish, 130 - 4 * fish));
    assertEquals(
        Opinions.drift(Opinions.mainCuts(shared.sheet(), TestLot.MAREN.id())),
        Optional.empty(),
        "four cuts are too few to tell");
  }

  @Test
  public void whatNeedsADecisionIsNamedTheMostPressingFirst() {
    assertTrue(Decision.of(hake().sheet()).isEmpty(), "silence where nothing is wrong");
    List<Decision> open = Decision.of(weighed().sheet());
    assertEquals(open.get(0).what(), Decision.What.PURPOSE_OPEN);
    assertEquals(open.get(0).parts().size(), 8);
    assertEquals(open.size(), 1);

    TestLot light = new TestLot("hake", State.GUTTED, 1, "5.400", "4.860");
    LotSheet over = light.weigh("fillet-left", 1, 4900).sheet();
    List<Decision> both = Decision.of(over);
    assertEquals(both.get(0).what(), Decision.What.TALLY_OVER);
    assertEquals(both.get(0).mass(), Optional.of(Mass.ofGrams(40)));
    assertEquals(both.get(1).what(), Decision.What.CAME_SHORT);
    assertEquals(both.get(1).mass(), Optional.of(Mass.ofGrams(540)));
    assertTrue(Decision.of(light.finish().sheet()).isEmpty(), "a closed lot is decided");
  }
}
