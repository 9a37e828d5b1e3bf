package mosaicknife.core.lot;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import mosaicknife.core.anatomy.Purpose;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.finding.Finding;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.safety.Fitness;
import mosaicknife.core.safety.Freshness;
import mosaicknife.core.safety.Sign;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class LotRulesTest {

  private static final LocalDate TODAY = TestLot.TODAY;

  private static Optional<Enum<?>> what(Optional<Finding> finding) {
    return finding.map(Finding::what);
  }

  private static Receipt hake(int fish, String invoiced, String own) {
    return new TestLot("hake", State.GUTTED, fish, invoiced, own).receipt();
  }

  @DataProvider
  Object[][] deliveries() {
    return new Object[][] {
      {hake(1, "4.860", ""), TODAY, null},
      {hake(500, "900", ""), TODAY, null},
      {hake(501, "900", ""), TODAY, LotProblem.FISH_COUNT},
      {hake(1, "4.860", ""), TODAY.minusDays(1), LotProblem.LANDED_LATER},
      {hake(1, "4.860", ""), TODAY.plusDays(30), null},
      {hake(1, "4.860", ""), TODAY.plusDays(31), LotProblem.LANDED_LONG_AGO},
      {hake(1, "4.860", "2.430"), TODAY, null},
      {hake(1, "4.860", "2.429"), TODAY, LotProblem.SCALES_APART},
      {hake(1, "4.860", "9.721"), TODAY, LotProblem.SCALES_APART},
    };
  }

  @Test(dataProvider = "deliveries")
  public void aDeliveryThatCannotBeIsNamed(Receipt receipt, LocalDate today, LotProblem expected) {
    assertEquals(what(LotRules.problem(receipt, today)), Optional.ofNullable(expected));
  }

  @Test
  public void oneHundredthLessIsDripAndMoreIsAShortDelivery() {
    assertFalse(hake(1, "5.000", "4.950").isShortDelivery(), "50 g of 5 kg");
    assertTrue(hake(1, "5.000", "4.949").isShortDelivery());
    assertFalse(hake(1, "5.000", "").isShortDelivery(), "silence where nothing was weighed");
    assertEquals(hake(1, "5.000", "4.800").shortfall(), Optional.of(Mass.ofGrams(200)));
    // 0.2 kg at 10.00
    assertEquals(
        hake(1, "5.000", "4.800").shortfallWorth().orElseThrow().amount().doubleValue(), 2.0, 1e-9);
  }

  @DataProvider
  Object[][] weights() {
    return new Object[][] {
      {1_999, LotProblem.PART_TOO_LIGHT},
      {2_000, null},
      {4_860_000, null},
      {4_860_001, LotProblem.PART_ABOVE_LOT},
    };
  }

  @Test(dataProvider = "weights")
  public void aPartWeighsAtLeastTwoGramsAndAtMostTheLot(long milligrams, LotProblem expected) {
    assertEquals(
        what(
            LotRules.weight(
                "Head", Mass.ofMilligrams(milligrams), Mass.ofGrams(4860), Mass.ofGrams(4860))),
        Optional.ofNullable(expected));
  }

  @Test
  public void piecesAreNotHeavierThanWhatTheyAreCutFrom() {
    Mass whole = Mass.ofGrams(1310);
    assertEquals(
        LotRules.inside("Left fillet", whole, Mass.ofGrams(1200), Mass.ofGrams(110)),
        Optional.empty());
    Finding finding =
        LotRules.inside("Left fillet", whole, Mass.ofGrams(1200), Mass.ofGrams(111)).orElseThrow();
    assertEquals(finding.what(), LotProblem.PIECES_ABOVE_PART);
    assertEquals(finding.figures(), List.of("Left fillet", Mass.ofGrams(1311), whole));
    assertEquals(
        LotRules.above("Left fillet", Mass.ofGrams(1310), Mass.ofGrams(1310)), Optional.empty());
    assertEquals(
        LotRules.above("Left fillet", Mass.ofGrams(1309), Mass.ofGrams(1310)).map(Finding::figures),
        Optional.of(List.of("Left fillet", Mass.ofGrams(1309), Mass.ofGrams(1310))));
    assertEquals(
        LotRules.inside("Left fillet", Mass.ZERO, Mass.ofGrams(1200), Mass.ofGrams(900)),
        Optional.empty(),
        "a part that was never weighed whole limits nothing");
  }

  @Test
  public void afterFishWeighedAloneAllTogetherAreTheOthers() {
    assertEquals(LotRules.fish(7, 3, "Head", 3, List.of(1, 2)), Optional.empty());
    assertEquals(LotRules.fish(7, 3, "Head", 0, List.of()), Optional.empty());
    assertEquals(LotRules.fish(7, 3, "Head", 0, List.of(0)), Optional.empty(), "corrected");
    assertEquals(
        what(LotRules.fish(7, 3, "Head", 4, List.of())), Optional.of(LotProblem.NO_SUCH_FISH));
    assertEquals(
        what(LotRules.fish(7, 3, "Head", -1, List.of())), Optional.of(LotProblem.NO_SUCH_FISH));
    assertEquals(LotRules.fish(7, 3, "Head", 0, List.of(2)), Optional.empty(), "1 and 3");
    assertEquals(LotRules.fish(7, 3, "Head", 2, List.of(2, 0)), Optional.empty(), "corrected");
    assertEquals(
        what(LotRules.fish(7, 3, "Head", 0, List.of(1, 2, 3))),
        Optional.of(LotProblem.WEIGHED_FISH_BY_FISH));
    assertEquals(
        what(LotRules.fish(7, 3, "Head", 3, List.of(2, 0))),
        Optional.of(LotProblem.WEIGHED_TOGETHER));
    assertEquals(
        what(LotRules.back("Head", 2, List.of(2, 0))),
        Optional.of(LotProblem.WEIGHED_BESIDE_THE_REST));
    assertEquals(LotRules.back("Head", 0, List.of(2, 0)), Optional.empty());
    assertEquals(LotRules.back("Head", 2, List.of(1, 2)), Optional.empty());
    assertEquals(
        what(LotRules.fish(7, 3, "Head", 2, List.of(0))), Optional.of(LotProblem.WEIGHED_TOGETHER));
  }

  @Test
  public void aPartIsNotHeavierThanItsFishWhereThatIsKnown() {
    Mass lot = Mass.ofGrams(3_000);
    Mass fish = Mass.ofGrams(450);
    assertEquals(LotRules.weight("Head", Mass.ofGrams(450), lot, fish), Optional.empty());
    assertEquals(
        what(LotRules.weight("Head", Mass.ofGrams(451), lot, fish)),
        Optional.of(LotProblem.PART_ABOVE_FISH));
    assertEquals(
        what(LotRules.weight("Head", Mass.ofGrams(3_001), lot, fish)),
        Optional.of(LotProblem.PART_ABOVE_LOT));
  }

  private static Inspection seen(OptionalDouble daysLeft) {
    return seen(daysLeft, Fitness.COOK, TestLot.NOON);
  }

  private static Inspection seen(OptionalDouble daysLeft, Fitness decision, Instant at) {
    return new Inspection(Map.of(), 0, daysLeft, decision, decision, "", "Ines Varga", at);
  }

  @Test
  public void fishThatFormsHistamineLiesRawOnlyAsLongAsItWasLookedAtAndMeasured() {
    ZoneId zone = ZoneId.of("UTC");
    LocalDate today = TestLot.TODAY;
    TestLot mackerel = new TestLot("mackerel", State.UNGUTTED, 1, "0.400", "0.400");
    LotSheet unseen = mackerel.weigh("fillet-left", 1, 90).sheet();
    LotPart fillet = unseen.find("fillet-left").orElseThrow();
    assertEquals(
        LotRules.keptRaw(unseen.lot(), fillet, today, today, zone), Optional.empty(), "tonight");
    assertEquals(
        what(LotRules.keptRaw(unseen.lot(), fillet, today, today.plusDays(1), zone)),
        Optional.of(LotProblem.HISTAMINE_NOT_SEEN));
    LotSheet unmeasured = mackerel.inspected(seen(OptionalDouble.empty())).sheet();
    assertEquals(
        what(LotRules.keptRaw(unmeasured.lot(), fillet, today, today.plusDays(1), zone)),
        Optional.of(LotProblem.HISTAMINE_NOT_SEEN));
    // 3.2 days from noon end in the afternoon of the third day: the day before is the last whole
    // one
    Lot seen = mackerel.inspected(seen(OptionalDouble.of(3.2))).sheet().lot();
    assertEquals(LotRules.lastRawDay(seen, fillet, today, zone), today.plusDays(2));
    assertEquals(LotRules.keptRaw(seen, fillet, today, today.plusDays(2), zone), Optional.empty());
    assertEquals(
        what(LotRules.keptRaw(seen, fillet, today, today.plusDays(3), zone)),
        Optional.of(LotProblem.HISTAMINE_DAY));
    assertEquals(
        what(LotRules.keptRaw(seen, fillet, today.plusDays(4), today.plusDays(4), zone)),
        Optional.of(LotProblem.HISTAMINE_DAY),
        "its time is over");
  }

  @Test
  public void otherFishLiesRawAsLongAsItsKindKeepsFromItsLandingOrItsSignsLeave() {
    ZoneId zone = ZoneId.of("UTC");
    LocalDate today = TestLot.TODAY;
    TestLot hake = new TestLot("hake", State.GUTTED, 1, "4.000", "4.000");
    LotSheet unseen = hake.weigh("fillet-left", 1, 900).sheet();
    LotPart fillet = unseen.find("fillet-left").orElseThrow();
    assertEquals(
        LotRules.lastRawDay(unseen.lot(), fillet, today, zone),
        today.plusDays(12),
        "a white fish, landed today, that nobody looked at");
    assertEquals(
        what(LotRules.keptRaw(unseen.lot(), fillet, today, today.plusDays(13), zone)),
        Optional.of(LotProblem.RAW_DAY));
    Lot seen = hake.inspected(seen(OptionalDouble.of(3.2))).sheet().lot();
    assertEquals(LotRules.lastRawDay(seen, fillet, today, zone), today.plusDays(2));
    Inspection pot = seen(OptionalDouble.of(5), Fitness.POT, TestLot.NOON);
    Lot forThePot = hake.inspected(pot).sheet().lot();
    assertEquals(LotRules.lastRawDay(forThePot, fillet, today, zone), today, "stock, today");
  }

  @Test
  public void whatIsOverOrPoisonousIsOnlyThrown() {
    // signs that left half a day, read two days ago
    Inspection old =
        seen(OptionalDouble.of(0.5), Fitness.COOK, TestLot.NOON.minus(Duration.ofDays(2)));
    LotSheet over =
        new TestLot("hake", State.GUTTED, 1, "4.000", "4.000")
            .weigh("fillet-left", 1, 900)
            .inspected(old)
            .sheet();
    assertEquals(
        what(LotRules.inspecting(over.lot(), Fitness.COOK)), Optional.of(LotProblem.LOT_OVER));
    assertEquals(LotRules.inspecting(over.lot(), Fitness.REFUSE), Optional.empty());
    assertFalse(LotRules.isServedToday(over.lot()));
    Part fillet = over.find("fillet-left").orElseThrow().part();
    LotSheet reef =
        new TestLot("red-snapper", State.UNGUTTED, 1, "3.000", "3.000")
            .weigh("head", 1, 700)
            .sheet();
    Part head = reef.find("head").orElseThrow().part();
    for (Purpose purpose : Purpose.values()) {
      boolean thrown = purpose == Purpose.COMPOST || purpose == Purpose.BIN;
      assertEquals(
          what(LotRules.closed(over.lot(), fillet, purpose)),
          thrown ? Optional.empty() : Optional.of(LotProblem.PART_OVER),
          purpose.name());
      assertEquals(
          what(LotRules.closed(reef.lot(), head, purpose)),
          thrown ? Optional.empty() : Optional.of(LotProblem.PART_POISONOUS),
          purpose.name());
    }
  }

  @Test
  public void aPortionIsFiveGramsToFiveKilograms() {
    assertEquals(LotRules.portion(Mass.ofGrams(5)), Optional.empty());
    assertEquals(LotRules.portion(Mass.ofGrams(5000)), Optional.empty());
    assertEquals(what(LotRules.portion(Mass.ofGrams(4))), Optional.of(LotProblem.PORTION_RANGE));
    assertEquals(what(LotRules.portion(Mass.ofGrams(5001))), Optional.of(LotProblem.PORTION_RANGE));
  }

  @Test
  public void gillsAreForNoStockAndHoldingNeedsAPlaceAndADayToCome() {
    LotSheet sheet = new TestLot("hake", State.GUTTED, 1, "4.860", "").sheet();
    Part gills = sheet.find("gills").orElseThrow().part();
    Part head = sheet.find("head").orElseThrow().part();
    assertEquals(
        what(LotRules.purpose(gills, Purpose.POT, Optional.empty(), TODAY)),
        Optional.of(LotProblem.NO_USE));
    assertEquals(LotRules.purpose(head, Purpose.POT, Optional.empty(), TODAY), Optional.empty());
    assertEquals(
        what(LotRules.purpose(head, Purpose.HOLD, Optional.empty(), TODAY)),
        Optional.of(LotProblem.HELD_WITHOUT_PLACE));
    assertEquals(
        LotRules.purpose(head, Purpose.HOLD, Optional.of(new Held(TODAY, "freezer", 1)), TODAY),
        Optional.empty());
    Held yesterday = new Held(TODAY.minusDays(1), "freezer", 1);
    assertEquals(
        what(LotRules.purpose(head, Purpose.HOLD, Optional.of(yesterday), TODAY)),
        Optional.of(LotProblem.HELD_PAST));
  }

  @Test
  public void claimsAskForNoMoreThanTheLotCost() {
    Receipt receipt = hake(1, "5.000", "");
    Optional<Mass> gap = Optional.of(Mass.ofGrams(300));
    Optional<ExactMoney> asked = LotRules.claimed(receipt, gap, Optional.empty());
    assertEquals(asked.orElseThrow().amount().doubleValue(), 3.0, 1e-9, "0.3 kg at 10.00");
    Optional<ExactMoney> named = Optional.of(money("12.00"));
    assertEquals(LotRules.claimed(receipt, gap, named), named, "what was named goes before");
    assertEquals(LotRules.claim(receipt, gap, asked, money("47.00")), Optional.empty());
    assertEquals(
        what(LotRules.claim(receipt, gap, asked, money("47.01"))),
        Optional.of(LotProblem.CLAIMS_ABOVE_COST));
    assertEquals(
        what(LotRules.claim(receipt, Optional.of(Mass.ofGrams(5001)), asked, money("0"))),
        Optional.of(LotProblem.CLAIM_ABOVE_LOT));
    assertEquals(
        what(LotRules.claim(receipt, Optional.empty(), Optional.empty(), money("0"))),
        Optional.of(LotProblem.CLAIM_WITHOUT_FIGURE));
    assertEquals(
        what(LotRules.claim(receipt, Optional.empty(), Optional.of(money("0")), money("0"))),
        Optional.of(LotProblem.CLAIM_OF_NOTHING));
  }

  private static ExactMoney money(String amount) {
    return ExactMoney.of(amount, TestLot.EUR);
  }

  @Test
  public void everySignThatIsThereIsLookedAt() {
    List<Sign> signs = List.of(Sign.EYES, Sign.GILLS);
    assertEquals(LotRules.signs(signs, Map.of(Sign.EYES, 1, Sign.GILLS, 0)), Optional.empty());
    Finding finding = LotRules.signs(signs, Map.of(Sign.EYES, 1)).orElseThrow();
    assertEquals(finding.what(), LotProblem.SIGN_NOT_LOOKED_AT);
    assertEquals(finding.figures(), List.of(Sign.GILLS));
  }

  @Test
  public void fishMeasuredOneByOneFitTheLot() {
    Receipt three = hake(3, "5.000", "");
    assertEquals(LotRules.measured(three, 3, Mass.ofGrams(5050)), Optional.empty());
    assertEquals(
        what(LotRules.measured(three, 3, Mass.ofGrams(5051))),
        Optional.of(LotProblem.FISH_ABOVE_LOT));
    assertEquals(
        what(LotRules.measured(three, 4, Mass.ofGrams(4000))),
        Optional.of(LotProblem.MORE_FISH_MEASURED));
  }

  private static final List<Finding> WHY = List.of(Finding.of(LotProblem.SIGN_NOT_LOOKED_AT));

  @Test
  public void whoIsLessStrictThanTheSignsSaysWhy() {
    Freshness cook = new Freshness(0.3, OptionalDouble.of(5), Fitness.COOK, WHY);
    assertEquals(LotRules.decision(cook, Fitness.COOK, ""), Optional.empty());
    assertEquals(LotRules.decision(cook, Fitness.POT, ""), Optional.empty(), "stricter");
    assertEquals(LotRules.decision(cook, Fitness.REFUSE, ""), Optional.empty(), "stricter");
    assertEquals(
        LotRules.decision(cook, Fitness.RAW, "").orElseThrow().what(), LotProblem.REASON_MISSING);
    assertEquals(LotRules.decision(cook, Fitness.RAW, "landed an hour ago"), Optional.empty());
    Freshness refuse = new Freshness(0.9, OptionalDouble.of(0), Fitness.REFUSE, WHY);
    assertEquals(
        LotRules.decision(refuse, Fitness.RAW, "I like it").orElseThrow().what(),
        LotProblem.REFUSED_FOR_RAW);
    assertEquals(LotRules.decision(refuse, Fitness.POT, "smell was the box"), Optional.empty());
  }

  @Test
  public void nothingWithGillsOrGutsOnItGoesToThePot() {
    TestLot lot = new TestLot("hake", State.UNGUTTED, 1, "4.2", "").stay("gills", "head");
    List<Part> parts = lot.sheet().parts().stream().map(LotPart::part).toList();
    Part head = part(parts, "head");
    assertEquals(
        what(LotRules.pot(head, Purpose.POT, parts)), Optional.of(LotProblem.GUTS_IN_THE_POT));
    assertEquals(LotRules.pot(head, Purpose.COMPOST, parts), Optional.empty());
    assertEquals(LotRules.pot(part(parts, "frame"), Purpose.POT, parts), Optional.empty());
    LotSheet sheet = lot.sheet();
    assertEquals(
        sheet.usualPurpose(sheet.find("head").orElseThrow()), Optional.of(Purpose.COMPOST));
    LotSheet clean =
        new TestLot("hake", State.UNGUTTED, 1, "4.2", "").stay("fins", "frame").sheet();
    assertEquals(clean.usualPurpose(clean.find("head").orElseThrow()), Optional.of(Purpose.POT));
  }

  @Test
  public void gillsDoNotStayOnWhatIsForThePot() {
    LotSheet sheet =
        new TestLot("hake", State.UNGUTTED, 1, "4.2", "").decide(Purpose.POT, "head").sheet();
    List<Part> parts = sheet.parts().stream().map(LotPart::part).toList();
    assertEquals(
        what(LotRules.staying(part(parts, "gills"), part(parts, "head"))),
        Optional.of(LotProblem.GUTS_IN_THE_POT));
    assertEquals(LotRules.staying(part(parts, "fins"), part(parts, "head")), Optional.empty());
    assertEquals(LotRules.staying(part(parts, "gills"), part(parts, "frame")), Optional.empty());
  }

  private static Part part(List<Part> parts, String slot) {
    return parts.stream().filter(part -> part.slot().equals(slot)).findFirst().orElseThrow();
  }
}
