package mosaicknife.core.safety;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertThrows;
import static org.testng.Assert.assertTrue;

import java.time.Instant;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import mosaicknife.core.finding.Finding;
import mosaicknife.core.quantity.Length;
import mosaicknife.core.quantity.Temperature;
import org.testng.annotations.Test;

/** Closed until a record opens it, whatever the fish. */
public class RawGateTest {

  private static final LocalDate DAY = LocalDate.of(2026, 11, 26);
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
        Temperature.ofCelsius(celsius),
        hours,
        thickness.isEmpty() ? Optional.empty() : Optional.of(Length.parse(thickness)),
        Optional.empty(),
        "Ines Varga",
        Instant.EPOCH);
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
