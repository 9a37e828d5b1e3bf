package mosaicknife.core.larder;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import mosaicknife.core.anatomy.Catalogue;
import mosaicknife.core.cost.Outlay;
import mosaicknife.core.finding.Finding;
import mosaicknife.core.larder.Entry.Out;
import mosaicknife.core.larder.FreezingTime.Cold;
import mosaicknife.core.larder.Item.Due;
import mosaicknife.core.larder.LarderRules.Problem;
import mosaicknife.core.larder.Shelved.Spot;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Fraction;
import mosaicknife.core.quantity.Length;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.Temperature;
import mosaicknife.core.safety.FoodState;
import org.testng.annotations.Test;

/** Items on shelves: what may happen to them, ageing and freezing. */
public class LarderTest {

  private static final LocalDate TODAY = LocalDate.of(2026, 11, 26);
  private static final Instant NOON = Instant.parse("2026-11-26T12:00:00Z");
  private static final Mass KILO = Mass.ofGrams(1000);

  private static final Outlay BESIDE = new Outlay(euros("2.50"), euros("9.00"), euros("0.60"));

  private static ExactMoney euros(String amount) {
    return ExactMoney.of(amount, java.util.Currency.getInstance("EUR"));
  }

  private static Item item(FoodState state, LocalDate useBy, long units, Entry... entries) {
    Shelved shelved =
        new Shelved(
            "K7Q2",
            "Patties",
            Optional.of("patties"),
            Trace.of(4, "trim", KILO),
            KILO,
            units,
            BESIDE,
            Set.of(),
            new Shelved.Traits(false, false, false),
            TODAY.minusDays(1),
            useBy,
            useBy,
            state,
            new Spot(1, "drawer 3", 1),
            NOON.minus(Duration.ofDays(1)));
    return Item.of(shelved, List.of(entries));
  }

  private static Enum<?> what(Optional<Finding> found) {
    return found.map(Finding::what).orElse(null);
  }

  @Test
  public void unitsAreTakenWholeWithTheirGramsAndTheirMoney() {
    Item item = item(FoodState.COOKED, TODAY.plusDays(1), 12);
    Entry.Taken four = item.taking(item.massOf(4), Out.EATEN, "", NOON);
    assertEquals(four.units(), 4);
    assertEquals(four.mass(), Mass.ofMilligrams(333_333));
    assertEquals(four.trace(), Trace.of(4, "trim", Mass.ofMilligrams(333_333)));
    Item left = item(FoodState.COOKED, TODAY.plusDays(1), 12, four);
    assertEquals(left.units(), 8);
    assertEquals(left.massOf(8), left.mass());
    assertEquals(what(LarderRules.units(left, 9)), Problem.MORE_UNITS);
  }

  @Test
  public void noMoreIsTakenThanThereIsAndNothingIsThrownWithoutAReason() {
    Item item = item(FoodState.RAW, TODAY, 0);
    assertEquals(
        LarderRules.taking(item, Mass.ofGrams(1001), Out.EATEN, "", TODAY),
        Optional.of(Finding.of(Problem.MORE_THAN_THERE_IS, KILO).at("mass")));
    assertEquals(what(LarderRules.taking(item, KILO, Out.BIN, " ", TODAY)), Problem.NO_REASON);
    assertEquals(what(LarderRules.taking(item, KILO, Out.BIN, "smells", TODAY)), null);
    Item gone = item(FoodState.RAW, TODAY, 0, item.taking(KILO, Out.EATEN, "", NOON));
    assertEquals(what(LarderRules.taking(gone, KILO, Out.EATEN, "", TODAY)), Problem.GONE);
  }

  @Test
  public void whatIsOverOrFrozenIsNotServed() {
    Item over = item(FoodState.RAW, TODAY.minusDays(1), 0);
    assertEquals(what(LarderRules.taking(over, KILO, Out.EATEN, "", TODAY)), Problem.OVERDUE);
    assertEquals(what(LarderRules.taking(over, KILO, Out.COMPOST, "over", TODAY)), null);
    Item frozen = item(FoodState.FROZEN, TODAY.plusDays(20), 0);
    assertEquals(
        what(LarderRules.taking(frozen, KILO, Out.EATEN, "", TODAY)), Problem.STILL_FROZEN);
  }

  @Test
  public void whatWasThawedIsNeverFrozenAgainNotEvenCooked() {
    Entry thaw = new Entry.Turned(FoodState.THAWED, TODAY.plusDays(1), TODAY.plusDays(1), NOON);
    Entry cook = new Entry.Turned(FoodState.COOKED, TODAY.plusDays(2), TODAY.plusDays(2), NOON);
    Item frozen = item(FoodState.FROZEN, TODAY.plusDays(20), 0);
    assertEquals(what(LarderRules.turning(frozen, FoodState.THAWED, TODAY)), null);
    assertEquals(
        what(LarderRules.turning(frozen, FoodState.FROZEN, TODAY)), Problem.FROZEN_ALREADY);
    Item thawed = item(FoodState.FROZEN, TODAY.plusDays(20), 0, thaw);
    assertEquals(thawed.useBy(), TODAY.plusDays(1));
    assertEquals(
        what(LarderRules.turning(thawed, FoodState.FROZEN, TODAY)), Problem.NEVER_REFROZEN);
    Item cooked = item(FoodState.FROZEN, TODAY.plusDays(20), 0, thaw, cook);
    assertEquals(
        what(LarderRules.turning(cooked, FoodState.FROZEN, TODAY)), Problem.NEVER_REFROZEN);
    assertEquals(
        what(LarderRules.turning(item(FoodState.RAW, TODAY, 0), FoodState.THAWED, TODAY)),
        Problem.NOT_FROZEN);
  }

  @Test
  public void nothingIsKeptWithoutADayAndAPlace() {
    assertEquals(
        what(LarderRules.keeping(TODAY, Optional.empty(), "drawer", TODAY)), Problem.NOWHERE);
    assertEquals(what(LarderRules.keeping(TODAY, Optional.of(TODAY), " ", TODAY)), Problem.NOWHERE);
    assertEquals(
        what(LarderRules.keeping(TODAY, Optional.of(TODAY.minusDays(1)), "drawer", TODAY)),
        Problem.USE_BY_BEFORE_MADE);
    assertEquals(
        what(
            LarderRules.keeping(
                TODAY.minusDays(5), Optional.of(TODAY.minusDays(1)), "drawer", TODAY)),
        Problem.OVER);
    assertEquals(what(LarderRules.keeping(TODAY, Optional.of(TODAY), "drawer", TODAY)), null);
  }

  @Test
  public void whatIsSentIsUnderWayUntilItArrives() {
    Item sent = item(FoodState.RAW, TODAY.plusDays(2), 0, new Entry.Sent(2, NOON));
    assertEquals(what(sent.due(TODAY)), Due.UNDER_WAY);
    assertEquals(what(LarderRules.taking(sent, KILO, Out.EATEN, "", TODAY)), Problem.UNDER_WAY);
    assertEquals(what(LarderRules.moving(sent, new Spot(1, "drawer", 1))), Problem.UNDER_WAY);
    assertEquals(what(LarderRules.moving(sent, new Spot(2, "drawer", 1))), null);
    // 120 g short when it arrives
    Entry.Taken missing = sent.taking(Mass.ofGrams(120), Out.MISSING, "short", NOON);
    Item there =
        item(
            FoodState.RAW,
            TODAY.plusDays(2),
            0,
            new Entry.Sent(2, NOON),
            missing,
            new Entry.Moved(new Spot(2, "low fridge", 3), NOON));
    assertEquals(there.mass(), Mass.ofGrams(880));
    assertEquals(there.spot().venue(), 2);
    assertEquals(there.due(TODAY), Optional.empty());
    assertEquals(what(LarderRules.sending(there, 2)), Problem.THERE_ALREADY);
  }

  @Test
  public void whatLapsesIsSaidInTime() {
    assertEquals(what(item(FoodState.RAW, TODAY, 0).due(TODAY)), Due.TODAY);
    assertEquals(what(item(FoodState.RAW, TODAY.minusDays(1), 0).due(TODAY)), Due.OVERDUE);
    assertEquals(what(item(FoodState.FROZEN, TODAY.plusDays(1), 0).due(TODAY)), Due.THAW_TONIGHT);
    assertEquals(item(FoodState.RAW, TODAY.plusDays(1), 0).due(TODAY), Optional.empty());
  }

  @Test
  public void whatDriesKeepsItsTraceAndItsMoney() {
    Item dry =
        item(
            FoodState.RAW, TODAY, 0, new Entry.Weighed(Mass.ofGrams(930), Mass.ZERO, "82 %", NOON));
    assertEquals(dry.mass(), Mass.ofGrams(930));
    assertEquals(dry.trace().mass(), KILO);
    assertEquals(dry.beside(), BESIDE);
    assertEquals(dry.dried(), Mass.ofGrams(70));
    assertEquals(what(LarderRules.weighing(dry, Mass.ofGrams(960))), Problem.HEAVIER);
    assertEquals(what(LarderRules.weighing(dry, Mass.ofGrams(940))), null, "within 2 %");
  }

  @Test
  public void theAgeingCurveStartsWhereTheFormulaSays() {
    Ageing curve = Ageing.about(KILO, 0.20, 0.11);
    // 1000 × (1 − 0.2 × (1 − e^−0.77)) = 892.6; the mean over a band of rates lies close to it
    assertEquals(curve.mass(7).inGrams().doubleValue(), 892.6, 4);
    assertEquals(curve.dayOf(Fraction.of(1, 4), 30), OptionalInt.empty(), "never");
    int tenth = curve.dayOf(Fraction.of(1, 10), 30).orElseThrow();
    assertTrue(tenth >= 6 && tenth <= 8, "0.1 / 0.2 = 1 − e^−kt on day 6.3, found " + tenth);
    assertTrue(width(curve, 7) > 80, "a starting estimate is wide");
  }

  /** Grams between the lightest and the heaviest it may be. */
  private static double width(Ageing curve, double day) {
    List<Mass> range = curve.range(day);
    assertTrue(range.get(0).compareTo(curve.mass(day)) <= 0);
    assertTrue(range.get(1).compareTo(curve.mass(day)) >= 0);
    return range.get(1).minus(range.get(0)).inGrams().doubleValue();
  }

  @Test
  public void everyReweighingTellsShareAndRate() {
    // a piece that dries by 0.16 and quickly, 0.25 a day: e^−1 on day 4
    Ageing curve = Ageing.about(KILO, 0.20, 0.11);
    double before = width(curve, 14);
    for (int day = 1; day <= 8; day++) {
      double mass = 1000 * (1 - 0.16 * (1 - Math.exp(-0.25 * day)));
      curve = curve.with(day, Mass.ofMilligrams(Math.round(mass * 1000)), Mass.ZERO);
      assertEquals(curve.mass(day), curve.from(), "what was weighed is known");
    }
    double end = 1000 * (1 - 0.16 * (1 - Math.exp(-0.25 * 14)));
    assertEquals(curve.mass(14).inGrams().doubleValue(), end, 20);
    assertTrue(curve.range(14).get(0).inGrams().doubleValue() < end);
    assertTrue(curve.range(14).get(1).inGrams().doubleValue() > end);
    assertTrue(width(curve, 14) < before / 3, before + " g before, now " + width(curve, 14));
    assertTrue(curve.rate() > 0.14, "it learns that this dries quickly: " + curve.rate());
  }

  @Test
  public void whatIsCutOffDidNotDryOff() {
    Ageing curve = Ageing.about(KILO, 0.20, 0.11);
    Ageing trimmed = curve.with(5, Mass.ofGrams(860), Mass.ofGrams(82));
    Ageing whole = curve.with(5, Mass.ofGrams(942), Mass.ZERO);
    assertEquals(trimmed.last(), whole.last(), 1e-9);
    assertEquals(trimmed.from(), Mass.ofGrams(860));
    assertEquals(
        trimmed.mass(9).inGrams().doubleValue() / 860,
        whole.mass(9).inGrams().doubleValue() / 942,
        1e-5);
  }

  @Test
  public void aReadingNothingExplainsIsGoneOnFromAllTheSame() {
    Ageing odd = Ageing.about(KILO, 0.20, 0.11).with(1, Mass.ofGrams(400), Mass.ZERO);
    assertEquals(odd.from(), Mass.ofGrams(400));
    assertTrue(odd.mass(3).compareTo(Mass.ofGrams(400)) <= 0);
    assertTrue(odd.mass(3).compareTo(Mass.ofGrams(280)) > 0);
  }

  @Test
  public void leanFishDriesMoreThanOilyAndSkinKeepsItMoist() {
    Catalogue catalogue = Catalogue.shipped();
    Ageing hake = Ageing.starting(catalogue.getSpecies("hake"), false, KILO);
    assertTrue(Ageing.starting(catalogue.getSpecies("albacore"), false, KILO).last() < hake.last());
    assertTrue(Ageing.starting(catalogue.getSpecies("hake"), true, KILO).last() < hake.last());
    Item cut = item(FoodState.RAW, TODAY, 0);
    Entry plate = cut.taking(Mass.ofGrams(200), Out.EATEN, "", NOON);
    Item taken = item(FoodState.RAW, TODAY, 0, plate);
    Ageing whole = Ageing.of(cut, catalogue.getSpecies("hake"), true);
    Ageing rest = Ageing.of(taken, catalogue.getSpecies("hake"), true);
    assertEquals(rest.from(), Mass.ofGrams(800));
    assertEquals(
        rest.mass(7).inGrams().doubleValue(), 0.8 * whole.mass(7).inGrams().doubleValue(), 0.01);
  }

  @Test
  public void freezingTakesAsLongAsPlankSays() {
    // 30 mm, −25 °C, still air: 1050 × 270000 / 24 × (0.03/18 + 0.0009/12) = 20573 s
    FreezingTime still =
        FreezingTime.of(new Length(30), Temperature.ofCelsius(-25), Cold.STILL_AIR);
    assertEquals(still.least().toSeconds(), 20573 * 0.6, 30);
    assertEquals(still.most().toSeconds(), 20573 * 1.4, 30);
    FreezingTime blast = FreezingTime.of(new Length(30), Temperature.ofCelsius(-25), Cold.BLAST);
    assertTrue(blast.most().compareTo(still.least()) < 0);
  }
}
