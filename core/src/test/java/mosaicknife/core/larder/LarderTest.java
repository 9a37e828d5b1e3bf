package mosaicknife.core.larder;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import mosaicknife.core.anatomy.Catalogue;
import mosaicknife.core.finding.Finding;
import mosaicknife.core.larder.Ageing.Reading;
import mosaicknife.core.larder.Entry.Out;
import mosaicknife.core.larder.FreezingTime.Cold;
import mosaicknife.core.larder.Item.Due;
import mosaicknife.core.larder.LarderRules.Problem;
import mosaicknife.core.larder.Shelved.Spot;
import mosaicknife.core.larder.Shelved.State;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Fraction;
import mosaicknife.core.quantity.Length;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.Temperature;
import org.testng.annotations.Test;

/** Items on shelves: what may happen to them, ageing and freezing. */
public class LarderTest {

  private static final LocalDate TODAY = LocalDate.of(2026, 11, 26);
  private static final Instant NOON = Instant.parse("2026-11-26T12:00:00Z");
  private static final Mass KILO = Mass.ofGrams(1000);

  private static Item item(State state, LocalDate useBy, long units, Entry... entries) {
    Shelved shelved =
        new Shelved(
            "K7Q2",
            "Patties",
            Optional.of("patties"),
            Trace.of(4, "trim", KILO),
            KILO,
            units,
            ExactMoney.of("2.50", java.util.Currency.getInstance("EUR")),
            Set.of(),
            new Shelved.Traits(false, false, false),
            TODAY.minusDays(1),
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
    Item item = item(State.COOKED, TODAY.plusDays(1), 12);
    Entry.Taken four = item.taking(item.massOf(4), Out.EATEN, "", NOON);
    assertEquals(four.units(), 4);
    assertEquals(four.mass(), Mass.ofMilligrams(333_333));
    assertEquals(four.trace(), Trace.of(4, "trim", Mass.ofMilligrams(333_333)));
    Item left = item(State.COOKED, TODAY.plusDays(1), 12, four);
    assertEquals(left.units(), 8);
    assertEquals(left.massOf(8), left.mass());
    assertEquals(what(LarderRules.units(left, 9)), Problem.MORE_UNITS);
  }

  @Test
  public void noMoreIsTakenThanThereIsAndNothingIsThrownWithoutAReason() {
    Item item = item(State.RAW, TODAY, 0);
    assertEquals(
        LarderRules.taking(item, Mass.ofGrams(1001), Out.EATEN, "", TODAY),
        Optional.of(Finding.of(Problem.MORE_THAN_THERE_IS, KILO).at("mass")));
    assertEquals(what(LarderRules.taking(item, KILO, Out.BIN, " ", TODAY)), Problem.NO_REASON);
    assertEquals(what(LarderRules.taking(item, KILO, Out.BIN, "smells", TODAY)), null);
    Item gone = item(State.RAW, TODAY, 0, item.taking(KILO, Out.EATEN, "", NOON));
    assertEquals(what(LarderRules.taking(gone, KILO, Out.EATEN, "", TODAY)), Problem.GONE);
  }

  @Test
  public void whatIsOverOrFrozenIsNotServed() {
    Item over = item(State.RAW, TODAY.minusDays(1), 0);
    assertEquals(what(LarderRules.taking(over, KILO, Out.EATEN, "", TODAY)), Problem.OVERDUE);
    assertEquals(what(LarderRules.taking(over, KILO, Out.COMPOST, "over", TODAY)), null);
    Item frozen = item(State.FROZEN, TODAY.plusDays(20), 0);
    assertEquals(
        what(LarderRules.taking(frozen, KILO, Out.EATEN, "", TODAY)), Problem.STILL_FROZEN);
  }

  @Test
  public void whatWasThawedIsNeverFrozenAgainNotEvenCooked() {
    Entry thaw = new Entry.Turned(State.THAWED, TODAY.plusDays(1), NOON);
    Entry cook = new Entry.Turned(State.COOKED, TODAY.plusDays(2), NOON);
    Item frozen = item(State.FROZEN, TODAY.plusDays(20), 0);
    assertEquals(what(LarderRules.turning(frozen, State.THAWED, TODAY)), null);
    assertEquals(what(LarderRules.turning(frozen, State.FROZEN, TODAY)), Problem.FROZEN_ALREADY);
    Item thawed = item(State.FROZEN, TODAY.plusDays(20), 0, thaw);
    assertEquals(thawed.useBy(), TODAY.plusDays(1));
    assertEquals(what(LarderRules.turning(thawed, State.FROZEN, TODAY)), Problem.NEVER_REFROZEN);
    Item cooked = item(State.FROZEN, TODAY.plusDays(20), 0, thaw, cook);
    assertEquals(what(LarderRules.turning(cooked, State.FROZEN, TODAY)), Problem.NEVER_REFROZEN);
    assertEquals(
        what(LarderRules.turning(item(State.RAW, TODAY, 0), State.THAWED, TODAY)),
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
    Item sent = item(State.RAW, TODAY.plusDays(2), 0, new Entry.Sent(2, NOON));
    assertEquals(what(sent.due(TODAY)), Due.UNDER_WAY);
    assertEquals(what(LarderRules.taking(sent, KILO, Out.EATEN, "", TODAY)), Problem.UNDER_WAY);
    assertEquals(what(LarderRules.moving(sent, new Spot(1, "drawer", 1))), Problem.UNDER_WAY);
    assertEquals(what(LarderRules.moving(sent, new Spot(2, "drawer", 1))), null);
    // 120 g short when it arrives
    Entry.Taken missing = sent.taking(Mass.ofGrams(120), Out.MISSING, "short", NOON);
    Item there =
        item(
            State.RAW,
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
    assertEquals(what(item(State.RAW, TODAY, 0).due(TODAY)), Due.TODAY);
    assertEquals(what(item(State.RAW, TODAY.minusDays(1), 0).due(TODAY)), Due.OVERDUE);
    assertEquals(what(item(State.FROZEN, TODAY.plusDays(1), 0).due(TODAY)), Due.THAW_TONIGHT);
    assertEquals(item(State.RAW, TODAY.plusDays(1), 0).due(TODAY), Optional.empty());
  }

  @Test
  public void whatDriesKeepsItsTraceAndItsMoney() {
    Item dry = item(State.RAW, TODAY, 0, new Entry.Weighed(Mass.ofGrams(930), "82 %", NOON));
    assertEquals(dry.mass(), Mass.ofGrams(930));
    assertEquals(dry.trace().mass(), KILO);
    assertEquals(dry.additions(), item(State.RAW, TODAY, 0).additions());
    assertEquals(dry.dried(), Mass.ofGrams(70));
    assertEquals(what(LarderRules.weighing(dry, Mass.ofGrams(960))), Problem.HEAVIER);
    assertEquals(what(LarderRules.weighing(dry, Mass.ofGrams(940))), null, "within 2 %");
  }

  @Test
  public void theAgeingCurveIsCorrectedByEveryReweighing() {
    Ageing curve = new Ageing(KILO, 0.20, 0.05, 0.11);
    // 1000 × (1 − 0.2 × (1 − e^−0.77)) = 1000 × (1 − 0.2 × 0.536987)
    assertEquals(curve.mass(7).inGrams().doubleValue(), 892.60, 0.01);
    assertEquals(curve.dayOf(Fraction.of(1, 10), 30), OptionalInt.of(7), "0.1 / 0.2 = 1 − e^−kt");
    assertEquals(curve.dayOf(Fraction.of(1, 4), 30), OptionalInt.empty(), "never");
    // after 5 days 942 g: 0.058 / 0.42305 = 0.1371; its weight 0.42305² / 0.008² = 2796 to 400
    Ageing corrected = curve.with(List.of(new Reading(5, Mass.ofGrams(942))));
    assertEquals(corrected.last(), (400 * 0.20 + 2796.4 * 0.13710) / 3196.4, 0.0002);
    assertTrue(corrected.spread() < 0.018);
    assertEquals(corrected.through(new Reading(5, Mass.ofGrams(930))).mass(5), Mass.ofGrams(930));
    List<Mass> range = corrected.range(7);
    assertTrue(range.get(0).compareTo(corrected.mass(7)) < 0);
    assertTrue(range.get(1).compareTo(corrected.mass(7)) > 0);
  }

  @Test
  public void leanFishDriesMoreThanOilyAndSkinKeepsItMoist() {
    Catalogue catalogue = Catalogue.shipped();
    Ageing hake = Ageing.starting(catalogue.getSpecies("hake"), false, KILO);
    assertTrue(Ageing.starting(catalogue.getSpecies("albacore"), false, KILO).last() < hake.last());
    assertTrue(Ageing.starting(catalogue.getSpecies("hake"), true, KILO).last() < hake.last());
    Item cut = item(State.RAW, TODAY, 0);
    Item taken = item(State.RAW, TODAY, 0, cut.taking(Mass.ofGrams(10), Out.EATEN, "", NOON));
    assertTrue(Ageing.of(cut, catalogue.getSpecies("hake"), true).isPresent());
    assertFalse(Ageing.of(taken, catalogue.getSpecies("hake"), true).isPresent());
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
