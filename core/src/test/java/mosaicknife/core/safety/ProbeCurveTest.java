package mosaicknife.core.safety;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.expectThrows;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mosaicknife.core.finding.Finding;
import mosaicknife.core.quantity.Length;
import mosaicknife.core.quantity.Temperature;
import mosaicknife.core.safety.Limits.Setting;
import mosaicknife.core.safety.ProbeCurve.Problem;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class ProbeCurveTest {

  private static final ZoneId HOUSE = ZoneId.of("Europe/Lisbon");
  private static final String NIGHT =
      """
      2026-11-25 18:00 -4.5
      20:00 −18,0
      22:00; -21.0 °C

      02:00 -22
      2026-11-26T08:00 -22.5
      14:00 -22
      20:00 -21
      22:00 -20
      """;

  @Test
  public void aCurveIsReadAsAProbePrintsIt() {
    ProbeCurve curve = ProbeCurve.parse(NIGHT, HOUSE);
    assertEquals(curve.readings().size(), 8);
    assertEquals(curve.readings().get(3).at(), Instant.parse("2026-11-26T02:00:00Z"));
    assertEquals(curve.coldest(), new Temperature(-225));
    assertEquals(curve.hours(), 28);
    assertEquals(ProbeCurve.parse(curve.text(), ZoneOffset.UTC), curve, "written and read again");
  }

  @Test
  public void itSaysWhenItWasColdForLongEnough() {
    ProbeCurve curve = ProbeCurve.parse(NIGHT, HOUSE);
    Temperature cold = Temperature.ofCelsius(-20);
    // from 22:00 on: 22 hours are full at 20:00, 24 at 22:00, and no more
    assertEquals(curve.heldBy(cold, 22), Optional.of(Instant.parse("2026-11-26T20:00:00Z")));
    assertEquals(curve.heldBy(cold, 24), Optional.of(Instant.parse("2026-11-26T22:00:00Z")));
    assertEquals(curve.heldBy(cold, 25), Optional.empty());
    assertEquals(curve.heldBy(Temperature.ofCelsius(-30), 1), Optional.empty());
  }

  @Test
  public void aWarmReadingOrAGapStartsTheTimeAnew() {
    Temperature cold = Temperature.ofCelsius(-20);
    ProbeCurve thawed =
        ProbeCurve.parse("2026-11-25 06:00 -21\n10:00 -21\n12:00 -19\n14:00 -21\n18:00 -21", HOUSE);
    assertEquals(thawed.heldBy(cold, 5), Optional.empty());
    ProbeCurve unread = ProbeCurve.parse("2026-11-25 06:00 -21\n2026-11-26 06:00 -21", HOUSE);
    assertEquals(unread.heldBy(cold, 5), Optional.empty(), "nobody knows what happened between");
  }

  @Test
  public void theCurveDecidesAndNotWhatWasTypedBesideIt() {
    LocalDate day = LocalDate.of(2026, 11, 25);
    FreezingRule rule =
        new FreezingRule(
            Temperature.ofCelsius(-20), 24, Optional.empty(), "our adviser", day, day.plusYears(1));
    ProbeCurve shorter = ProbeCurve.parse("2026-11-25 18:00 -21\n20:00 -21", HOUSE);
    FreezingRecord record =
        new FreezingRecord(
            Optional.empty(),
            new FreezingRecord.Span(
                FreezingRecord.Froze.SUPPLIER,
                shorter.from().minus(Duration.ofHours(48)),
                shorter.to(),
                "cold store",
                "log 12",
                Optional.empty()),
            Temperature.ofCelsius(-25),
            Temperature.ofCelsius(-25),
            Optional.of(Length.parse("3 cm")),
            Optional.of(shorter),
            "Ines Varga",
            Instant.EPOCH);
    assertEquals(rule.metAt(record), Optional.empty());
  }

  /** What is no curve, and what is said of it. */
  @DataProvider
  public Object[][] wrong() {
    return new Object[][] {
      {"2026-11-25 18:00 -20", Finding.of(Problem.TOO_FEW)},
      {"18:00 -20\n19:00 -21", Finding.of(Problem.NO_DAY)},
      {"2026-11-25 18:00 -20\nwarm", Finding.of(Problem.NOT_READ, 2, "warm")},
      {"2026-11-25 18:00 -20\n25:00 -21", Finding.of(Problem.NOT_READ, 2, "25:00 -21")},
      {"2026-11-25 18:00 -20\n18:00 -21", Finding.of(Problem.NOT_LATER, 2)},
      {"2026-11-25 18:00 -20\n2026-11-24 19:00 -21", Finding.of(Problem.NOT_LATER, 2)},
      {"<b>\n".repeat(1_001), Finding.of(Problem.TOO_MANY, 1_000)},
    };
  }

  @Test(dataProvider = "wrong")
  public void whatIsNoCurveIsSaid(String text, Finding problem) {
    ProbeCurve.Unreadable thrown =
        expectThrows(ProbeCurve.Unreadable.class, () -> ProbeCurve.parse(text, HOUSE));
    assertEquals(thrown.finding(), problem.at("curve"));
  }

  @Test
  public void aLimitStaysWithinWhatCanBeAndTheSignsRise() {
    Limits house =
        new Limits(
            Map.of(Limit.SIGNS_RAW, new Setting(20, "our adviser", LocalDate.of(2026, 11, 1))));
    assertEquals(house.value(Limit.SIGNS_RAW), 20);
    assertEquals(house.value(Limit.SIGNS_COOK), 50);
    assertEquals(house.problem(Limit.HISTAMINE_TIME, 9).orElseThrow().figures(), List.of(10, 600));
    assertEquals(
        house.problem(Limit.SIGNS_COOK, 20).orElseThrow().what(), Limits.Problem.SIGNS_DO_NOT_RISE);
    assertEquals(house.problem(Limit.SIGNS_COOK, 21), Optional.empty());
  }
}
