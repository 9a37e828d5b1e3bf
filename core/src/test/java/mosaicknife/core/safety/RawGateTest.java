package mosaicknife.core.safety;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertThrows;
import static org.testng.Assert.assertTrue;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import mosaicknife.core.finding.Finding;
import mosaicknife.core.quantity.Length;
import mosaicknife.core.quantity.Temperature;
import mosaicknife.core.safety.FreezingRecord.Froze;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Closed until a record opens it, whatever the fish. */
public class RawGateTest {

  private static final LocalDate DAY = LocalDate.of(2026, 11, 26);
  private static final Instant MORNING = Instant.parse("2026-11-26T06:00:00Z");
  private static final Optional<String> WHOLE = Optional.empty();
  private static final Optional<String> BELLY = Optional.of("belly");

  private static FreezingRule rule(int celsius, int hours, String thickest) {
    return new FreezingRule(
        Temperature.ofCelsius(celsius),
        hours,
        thickest.isEmpty() ? Optional.empty() : Optional.of(Length.parse(thickest)),
        "notice of the port health office",
        DAY,
        DAY.plusYears(1));
  }

  private static FreezingRecord record(
      Optional<String> part, int celsius, int hours, String thickness) {
    return new FreezingRecord(
        part,
        supplier(MORNING.minus(Duration.ofHours(hours)), MORNING),
        Temperature.ofCelsius(celsius),
        Temperature.ofCelsius(celsius),
        thickness.isEmpty() ? Optional.empty() : Optional.of(Length.parse(thickness)),
        Optional.empty(),
        "Ines Varga",
        Instant.EPOCH);
  }

  private static FreezingRecord.Span supplier(Instant from, Instant to) {
    return new FreezingRecord.Span(
        Froze.SUPPLIER, from, to, "cold store", "log 12", Optional.empty());
  }

  private static RawPapers papers(FreezingRecord... records) {
    return new RawPapers(
        Arrays.asList(records), List.of(), List.of(rule(-20, 24, ""), rule(-35, 15, "8 cm")));
  }

  private static RawGate gate(RawPapers papers, Optional<String> part) {
    return RawGate.of(Fitness.RAW, true, papers, part);
  }

  @Test
  public void nothingOpensItByItself() {
    assertEquals(gate(RawPapers.NONE, WHOLE), RawGate.FREEZING_NEEDED);
    assertEquals(RawGate.of(Fitness.COOK, true, RawPapers.NONE, WHOLE), RawGate.CLOSED);
    assertEquals(RawGate.of(Fitness.RAW, false, RawPapers.NONE, WHOLE), RawGate.NOT_MEASURED);
    RawPapers good = papers(record(WHOLE, -20, 24, ""));
    assertEquals(RawGate.of(Fitness.RAW, false, good, WHOLE), RawGate.NOT_MEASURED);
    assertEquals(RawGate.of(Fitness.POT, true, good, WHOLE), RawGate.CLOSED, "frozen is not fresh");
    for (RawGate gate : RawGate.values()) {
      assertEquals(gate.isOpen(), gate == RawGate.FROZEN || gate == RawGate.EXEMPT);
    }
  }

  @Test
  public void aRecordOpensItOnlyIfItMeetsAPairOfTheHouse() {
    assertEquals(gate(papers(record(WHOLE, -20, 24, "")), WHOLE), RawGate.FROZEN);
    assertEquals(gate(papers(record(WHOLE, -20, 23, "")), WHOLE), RawGate.FREEZING_NEEDED);
    assertEquals(gate(papers(record(WHOLE, -19, 30, "")), WHOLE), RawGate.FREEZING_NEEDED);
    assertEquals(gate(papers(record(WHOLE, -35, 15, "8 cm")), WHOLE), RawGate.FROZEN);
    assertEquals(gate(papers(record(WHOLE, -35, 15, "9 cm")), WHOLE), RawGate.FREEZING_NEEDED);
    assertEquals(
        gate(papers(record(WHOLE, -35, 15, "")), WHOLE),
        RawGate.FREEZING_NEEDED,
        "the thickness was not measured");
    RawPapers withoutPairs =
        new RawPapers(List.of(record(WHOLE, -60, 1_000, "")), List.of(), List.of());
    assertEquals(gate(withoutPairs, WHOLE), RawGate.FREEZING_NEEDED, "the house has no pair");
  }

  @Test
  public void aRecordOfOnePartOpensThatPartAlone() {
    RawPapers belly = papers(record(BELLY, -20, 30, ""));
    assertEquals(gate(belly, BELLY), RawGate.FROZEN);
    assertEquals(gate(belly, WHOLE), RawGate.FREEZING_NEEDED);
    assertEquals(gate(belly, Optional.of("fillet-left")), RawGate.FREEZING_NEEDED);
    assertEquals(gate(papers(record(WHOLE, -20, 24, "")), BELLY), RawGate.FROZEN);
  }

  @Test
  public void anExemptionHasANameAndItsEvidence() {
    RawExemption scheme =
        new RawExemption("closed pens, dry feed", "letter of 3 November", "Ines", Instant.EPOCH);
    RawPapers exempt = new RawPapers(List.of(), List.of(scheme), List.of());
    assertEquals(gate(exempt, WHOLE), RawGate.EXEMPT);
    assertThrows(
        IllegalArgumentException.class,
        () -> new RawExemption("farmed", " ", "Ines", Instant.EPOCH));
  }

  @Test
  public void whatIsNoFreezingIsNoRecord() {
    assertTrue(FreezingRecord.problem(Temperature.ofCelsius(-9), 24).isPresent());
    assertTrue(FreezingRecord.problem(Temperature.ofCelsius(20), 24).isPresent());
    assertTrue(FreezingRecord.problem(Temperature.ofCelsius(-20), 0).isPresent());
    assertTrue(FreezingRecord.problem(Temperature.ofCelsius(-20), 1_681).isPresent());
    assertTrue(FreezingRecord.problem(Temperature.ofCelsius(-10), 1).isEmpty());
    assertThrows(IllegalArgumentException.class, () -> rule(-9, 24, ""));
    assertFalse(rule(-20, 24, "").isTrusted(DAY.plusYears(1).plusDays(1)));
    assertTrue(rule(-20, 24, "").isTrusted(DAY.plusYears(1)));
  }

  @DataProvider
  public Object[][] spans() {
    LocalDate sea = DAY.minusDays(9);
    // who, from and to in hours after six o'clock, the paper, the catch, what speaks against it;
    // received at seven, landed today, at 2 °C, warm at nine; it is noon
    return new Object[][] {
      {Froze.HOUSE, 4, 6, "", null, null},
      {Froze.HOUSE, 1, 6, "", null, FreezingRecord.Problem.CAME_WARMER},
      {Froze.HOUSE, 2, 6, "", null, FreezingRecord.Problem.STOOD_WARM},
      {Froze.HOUSE, -20, 6, "", null, FreezingRecord.Problem.BEFORE_RECEIPT},
      {Froze.HOUSE, 4, 7, "", null, FreezingRecord.Problem.NOT_OVER},
      {Froze.HOUSE, 5, 4, "", null, FreezingRecord.Problem.ENDS_BEFORE},
      {Froze.HOUSE, 5, 5, "", null, FreezingRecord.Problem.HOURS},
      {Froze.SUPPLIER, -4, 0, " ", null, FreezingRecord.Problem.NO_PAPER},
      {Froze.SUPPLIER, -4, 0, "log 12", null, null},
      {Froze.SUPPLIER, -4, 2, "log 12", null, FreezingRecord.Problem.CAME_WARMER},
      {Froze.VESSEL, -100, 0, "log 12", null, FreezingRecord.Problem.NO_CATCH},
      {Froze.VESSEL, -100, 0, "log 12", sea, null},
      {Froze.VESSEL, -100, 0, "log 12", DAY, FreezingRecord.Problem.BEFORE_CATCH},
    };
  }

  @Test(dataProvider = "spans")
  public void aSpanFitsWithItsLotOrIsNone(
      Froze froze,
      int from,
      int to,
      String paper,
      LocalDate caught,
      FreezingRecord.Problem problem) {
    FreezingRecord.Known lot =
        new FreezingRecord.Known(
            MORNING.plus(Duration.ofHours(1)),
            DAY,
            Optional.of(Temperature.ofCelsius(2)),
            List.of(MORNING.plus(Duration.ofHours(3))),
            List.of(),
            ZoneOffset.UTC);
    FreezingRecord record =
        new FreezingRecord(
            WHOLE,
            new FreezingRecord.Span(
                froze,
                MORNING.plus(Duration.ofHours(from)),
                MORNING.plus(Duration.ofHours(to)),
                "store",
                paper,
                Optional.ofNullable(caught)),
            Temperature.ofCelsius(-22),
            Temperature.ofCelsius(-21),
            Optional.empty(),
            Optional.empty(),
            "Ines Varga",
            MORNING);
    assertEquals(
        record.problem(lot, MORNING.plus(Duration.ofHours(6))).map(Finding::what),
        Optional.ofNullable(problem));
    assertEquals(record.core(), Temperature.ofCelsius(-21), "the warmer end");
  }

  @DataProvider
  public Object[][] others() {
    // a part and a span in hours after six, beside a record of the supplier's from two to six
    Optional<String> fillet = Optional.of("fillet-left");
    return new Object[][] {
      {WHOLE, WHOLE, -2, 0, true},
      {WHOLE, WHOLE, -6, -3, true},
      {WHOLE, WHOLE, -9, -4, false},
      {WHOLE, WHOLE, 0, 1, false},
      {WHOLE, fillet, -3, -1, true},
      {fillet, WHOLE, -3, -1, true},
      {BELLY, fillet, -3, -1, false},
    };
  }

  @Test(dataProvider = "others")
  public void oneFishLiesInOnePlaceAtATime(
      Optional<String> of, Optional<String> part, int from, int to, boolean overlaps) {
    FreezingRecord there = spanned(of, Froze.SUPPLIER, "quay store", -4, 0);
    FreezingRecord record = spanned(part, Froze.SUPPLIER, "hold two", from, to);
    FreezingRecord more = spanned(part, Froze.SUPPLIER, "Quay store ", from, to);
    assertEquals(
        more.problem(known(there), MORNING.plus(Duration.ofHours(6))),
        Optional.empty(),
        "the same place may be said again, longer");
    assertEquals(
        record.problem(known(there), MORNING.plus(Duration.ofHours(6))).map(Finding::what),
        overlaps ? Optional.of(FreezingRecord.Problem.ELSEWHERE) : Optional.empty());
    FreezingRecord old = spanned(of, Froze.UNPROVED, "quay store", -4, 0);
    assertEquals(
        record.problem(known(old), MORNING.plus(Duration.ofHours(6))),
        Optional.empty(),
        "what proves nothing is in nobody's way");
  }

  private static FreezingRecord spanned(
      Optional<String> part, Froze froze, String place, int from, int to) {
    return new FreezingRecord(
        part,
        new FreezingRecord.Span(
            froze,
            MORNING.plus(Duration.ofHours(from)),
            MORNING.plus(Duration.ofHours(to)),
            place,
            "log 12",
            Optional.of(DAY.minusDays(1))),
        Temperature.ofCelsius(-22),
        Temperature.ofCelsius(-22),
        Optional.empty(),
        Optional.empty(),
        "Ines Varga",
        MORNING);
  }

  private static FreezingRecord.Known known(FreezingRecord there) {
    return new FreezingRecord.Known(
        MORNING.plus(Duration.ofHours(5)),
        DAY,
        Optional.empty(),
        List.of(),
        List.of(there),
        ZoneOffset.UTC);
  }

  @Test
  public void hoursAreThoseThatPassedNotThoseOfTheWall() {
    // the night in which the clocks of a house go forward: 24 hours on the wall are 23
    ZoneId house = ZoneId.of("Europe/Lisbon");
    Instant from = LocalDateTime.of(2026, 3, 28, 18, 0).atZone(house).toInstant();
    Instant to = LocalDateTime.of(2026, 3, 29, 18, 0).atZone(house).toInstant();
    FreezingRecord record =
        new FreezingRecord(
            WHOLE,
            supplier(from, to),
            Temperature.ofCelsius(-20),
            Temperature.ofCelsius(-20),
            Optional.empty(),
            Optional.empty(),
            "Ines Varga",
            to);
    assertEquals(record.span().hours(), 23);
    assertEquals(gate(papers(record), WHOLE), RawGate.FREEZING_NEEDED);
  }

  @Test
  public void hoursOfOldThatCannotHaveBeenHereOpenNothing() {
    FreezingRecord old =
        new FreezingRecord(
            WHOLE,
            new FreezingRecord.Span(
                Froze.UNPROVED,
                MORNING.minus(Duration.ofHours(26)),
                MORNING,
                "",
                "",
                Optional.empty()),
            Temperature.ofCelsius(-22),
            Temperature.ofCelsius(-22),
            Optional.empty(),
            Optional.empty(),
            "Ines Varga",
            MORNING);
    assertEquals(gate(papers(old), WHOLE), RawGate.FREEZING_NEEDED);
    assertEquals(papers(old).lack(old).map(Finding::what), Optional.of(FreezingRule.Lack.UNPROVED));
  }

  @Test
  public void whatARecordLacksIsSaidForThePairThatIsNearest() {
    RawPapers papers =
        new RawPapers(List.of(), List.of(), List.of(rule(-20, 168, ""), rule(-35, 15, "")));
    assertEquals(
        papers.lack(record(Optional.empty(), -22, 100, "")),
        Optional.of(Finding.of(FreezingRule.Lack.HOURS, 68, Temperature.ofCelsius(-20))));
    assertEquals(
        papers.lack(record(Optional.empty(), -36, 10, "")),
        Optional.of(Finding.of(FreezingRule.Lack.HOURS, 5, Temperature.ofCelsius(-35))),
        "five hours are nearer than 158");
    assertEquals(
        papers.lack(record(Optional.empty(), -15, 400, "")),
        Optional.of(Finding.of(FreezingRule.Lack.COLDER, Temperature.ofCelsius(-20))));
    assertEquals(papers.lack(record(Optional.empty(), -20, 168, "")), Optional.empty());
    assertEquals(
        RawPapers.NONE.lack(record(Optional.empty(), -20, 1, "")),
        Optional.empty(),
        "without a pair nobody knows");
    RawPapers thin = new RawPapers(List.of(), List.of(), List.of(rule(-20, 24, "5 cm")));
    assertEquals(
        thin.lack(record(Optional.empty(), -20, 200, "7 cm")).map(Finding::what),
        Optional.of(FreezingRule.Lack.THINNER));
    assertEquals(
        thin.lack(record(Optional.empty(), -20, 20, "4 cm")).map(Finding::what),
        Optional.of(FreezingRule.Lack.HOURS));
  }
}
