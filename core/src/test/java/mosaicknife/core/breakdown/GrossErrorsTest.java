package mosaicknife.core.breakdown;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertThrows;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mosaicknife.core.breakdown.Explanation.Cause;
import mosaicknife.core.breakdown.GrossErrors.Question;
import mosaicknife.core.breakdown.TallyLine.Input;
import mosaicknife.core.breakdown.TallyLine.Standing;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.MassText;
import mosaicknife.core.quantity.MassUnit;
import mosaicknife.core.quantity.TypedMass;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** The worked hake of 4.860 kg with one thing gone wrong at a time. */
public class GrossErrorsTest {

  private static final Mass STEP = Mass.ofGrams(2);
  private static final Mass HAKE = Mass.ofKilograms("4.860");
  private static final List<Tray> TRAYS = SimulatedTally.TRAYS;

  /** Norms of the hake: slot, kin, what was weighed, what was expected, spread; all in g. */
  private static final Object[][] PARTS = {
    {"fins", "fins", 118, 110, 25},
    {"gills", "gills", 62, 70, 15},
    {"head", "head", 984, 950, 90},
    {"collar", "collar", 214, 230, 40},
    {"fillet-left", "fillet", 1318, 1290, 110},
    {"fillet-right", "fillet", 1292, 1290, 110},
    {"belly", "belly", 172, 190, 40},
    {"frame", "frame", 612, 640, 70},
  };

  private static TallyLine line(Object[] part, int grams) {
    return TallyLine.ofScale(
        (String) part[0],
        (String) part[1],
        Mass.ofGrams(grams),
        Mass.ofGrams((int) part[3]),
        Mass.ofGrams((int) part[4]),
        STEP);
  }

  private static List<TallyLine> hake() {
    List<TallyLine> lines = new ArrayList<>();
    for (Object[] part : PARTS) {
      lines.add(line(part, (int) part[2]));
    }
    return lines;
  }

  private static List<TallyLine> hakeWith(int at, TallyLine line) {
    List<TallyLine> lines = hake();
    lines.set(at, line);
    return lines;
  }

  private static Diagnosis search(List<TallyLine> lines) {
    return GrossErrors.search(new Question(HAKE, lines, TRAYS, SimulatedTally.onScale(STEP)));
  }

  @Test
  public void aTallyThatClosesRaisesNoAlarm() {
    Diagnosis finding = search(hake());
    assertFalse(finding.isAlarm());
    assertTrue(finding.best().isEmpty());
    assertTrue(finding.nothing() > 0.9, "nothing happened: " + finding.nothing());
    // 4 860 less 1.5 % less 4 772 g
    assertEquals(finding.residual(), Mass.ofMilligrams(15_100));
  }

  @DataProvider
  Object[][] errors() {
    return new Object[][] {
      // part, what was written down, typed, on the steel tray, what happened, what is right
      {4, 1530, false, true, Cause.TARE_NOT_TAKEN, 1318},
      {5, 1080, false, true, Cause.TARE_TAKEN_TWICE, 1292},
      {7, 1224, false, false, Cause.WEIGHED_TWICE, 612},
      {3, 472, true, false, Cause.POUNDS_AS_KILOGRAMS, 214},
      {5, 2192, true, false, Cause.DIGITS_SWAPPED, 1292},
      {3, 2140, true, false, Cause.POINT_SLIPPED, 214},
    };
  }

  @Test(dataProvider = "errors")
  public void namesThePartTheCauseAndTheFigure(
      int at, int written, boolean typed, boolean tray, Cause cause, int right) {
    TallyLine line = line(PARTS[at], written);
    TallyLine how = typed ? line.typed() : line;
    Diagnosis finding = search(hakeWith(at, tray ? how.on(TRAYS.get(1)) : how));
    assertTrue(finding.isAlarm());
    Explanation first = finding.best().orElseThrow();
    assertEquals(first.line(), PARTS[at][0], finding.explanations().toString());
    assertEquals(first.cause(), cause, finding.explanations().toString());
    double off = first.corrected().minus(Mass.ofGrams(right)).inGrams().doubleValue();
    assertTrue(Math.abs(off) < 1, "corrected to " + first.corrected());
    assertEquals(first.tray(), tray ? Optional.of(TRAYS.get(1)) : Optional.empty());
  }

  @Test
  public void aPartLeftOutThatIsMissingWasNeverWeighed() {
    TallyLine head =
        new TallyLine(
            "head",
            "head",
            Optional.empty(),
            Optional.of(Mass.ofGrams(950)),
            Mass.ofGrams(90),
            Input.UNKNOWN,
            STEP,
            Optional.empty(),
            Standing.LEFT_OUT);
    Explanation first = search(hakeWith(2, head)).best().orElseThrow();
    assertEquals(first.cause(), Cause.NEVER_WEIGHED);
    assertEquals(first.line(), "head");
    // 4 860 less 3 788 weighed leaves 1 072 for head and loss; the head takes nearly all of it
    double about = first.corrected().inGrams().doubleValue();
    assertTrue(about > 960 && about < 1_000, "about " + about);
  }

  @Test
  public void aFigureOffTheScaleHasNoSwappedDigits() {
    Diagnosis scale = search(hakeWith(5, line(PARTS[5], 2192)));
    assertTrue(
        scale.explanations().stream().noneMatch(e -> e.cause() == Cause.DIGITS_SWAPPED),
        "a live scale cannot swap its digits");
  }

  @Test
  public void theTrayThatWasChosenIsTheLikelierOne() {
    // a tub of 640 g and a deep tray of 385 g cannot both explain 385 g too much
    Diagnosis finding = search(hakeWith(6, line(PARTS[6], 557).on(TRAYS.get(2))));
    Explanation first = finding.best().orElseThrow();
    assertEquals(first.tray(), Optional.of(TRAYS.get(2)));
    Diagnosis other = search(hakeWith(6, line(PARTS[6], 557).on(TRAYS.get(3))));
    assertTrue(
        first.probability() > other.explanations().get(0).probability() - 1e-12,
        "knowing the tray makes it surer");
  }

  @Test
  public void halfWayThroughAFishAForgottenTareIsSeenAlready() {
    List<TallyLine> lines = new ArrayList<>();
    for (int i = 0; i < PARTS.length; i++) {
      boolean weighed = i < 6;
      TallyLine full = line(PARTS[i], (int) PARTS[i][2] + (i == 4 ? 640 : 0));
      lines.add(
          weighed
              ? full.on(TRAYS.get(3))
              : new TallyLine(
                  full.id(),
                  full.kin(),
                  Optional.empty(),
                  full.expected(),
                  full.spread(),
                  Input.UNKNOWN,
                  STEP,
                  Optional.empty(),
                  Standing.TO_COME));
    }
    Explanation first = search(lines).best().orElseThrow();
    assertEquals(first.line(), "fillet-left");
    assertEquals(first.corrected(), Mass.ofGrams(1318));
  }

  @Test
  public void theSameQuestionHasTheSameAnswerAndProbabilitiesAddUp() {
    List<TallyLine> lines = hakeWith(4, line(PARTS[4], 1530));
    Diagnosis one = search(lines);
    assertEquals(search(lines), one);
    double all =
        one.nothing() + one.explanations().stream().mapToDouble(Explanation::probability).sum();
    assertTrue(all >= 1 && all < 1.001, all + ": two errors at once are told by both");
  }

  @Test
  public void partsWithoutNormAndHousesWithoutTraysAreSearchedToo() {
    List<TallyLine> lines =
        List.of(
            bare("loin", 2_000).typed(), bare("trim", 3_100).typed(), bare("skin", 200).typed());
    Diagnosis finding =
        GrossErrors.search(
            new Question(Mass.ofGrams(2_530), lines, List.of(), SimulatedTally.onScale(STEP)));
    Explanation first = finding.best().orElseThrow();
    assertEquals(first.line(), "trim");
    assertEquals(first.corrected(), Mass.ofGrams(310));
    assertThrows(
        IllegalArgumentException.class,
        () -> new Question(HAKE, List.of(), TRAYS, HouseNorms.STARTING));
  }

  @Test
  public void oneFishHasOneVerdictInWhateverUnitItIsTyped() {
    String[][] ways = {
      {"118 g", "62 g", "984 g", "214 g", "1318 g", "1292 g", "172 g", "612 g", "1624 g"},
      {".118", ".062", ".984", ".214", "1.318", "1.292", ".172", ".612", "1.624"},
      {
        "4.2 oz", "2.2 oz", "34.7 oz", "7.5 oz", "46.5 oz", "45.6 oz", "6.1 oz", "21.6 oz",
        "57.3 oz"
      },
      {
        "0.26 lb", "0.14 lb", "2.17 lb", "0.47 lb", "2.91 lb", "2.85 lb", "0.38 lb", "1.35 lb",
        "3.58 lb"
      },
      {
        "4.2 oz",
        "2.2 oz",
        "2 lb 2.7 oz",
        "7.5 oz",
        "2 lb 14.5 oz",
        "2 lb 13.6 oz",
        "6.1 oz",
        "1 lb 5.6 oz",
        "3 lb 9.3 oz"
      },
    };
    for (String[] typed : ways) {
      List<TallyLine> lines = typed(typed);
      assertFalse(search(lines).isAlarm(), "sound: " + typed[0]);
      // the head weighed in a tub of 640 g: 1624 g
      String[] wrong = typed.clone();
      wrong[2] = typed[8];
      List<TallyLine> spoilt = typed(wrong);
      spoilt.set(2, spoilt.get(2).on(TRAYS.get(3)));
      Explanation first = search(spoilt).best().orElseThrow();
      assertEquals(first.line(), "head", wrong[2]);
      assertEquals(first.cause(), Cause.TARE_NOT_TAKEN, wrong[2]);
    }
  }

  private static List<TallyLine> typed(String[] figures) {
    List<TallyLine> lines = new ArrayList<>();
    for (int i = 0; i < PARTS.length; i++) {
      TypedMass figure = TypedMass.of(figures[i], MassUnit.KILOGRAM);
      Mass mass = MassText.parse(figures[i], MassUnit.KILOGRAM).mass();
      TallyLine line = line(PARTS[i], 1);
      lines.add(
          TallyLine.ofScale(
                  line.id(), line.kin(), mass, line.expected().orElseThrow(), line.spread(), STEP)
              .typed(figure));
    }
    return lines;
  }

  @Test
  public void whereAUnitWasTypedNobodyMistookPoundsForKilograms() {
    TallyLine bare = line(PARTS[3], 472).typed(TypedMass.of("0.472", MassUnit.KILOGRAM));
    assertEquals(search(hakeWith(3, bare)).best().orElseThrow().cause(), Cause.POUNDS_AS_KILOGRAMS);
    TallyLine unit = line(PARTS[3], 472).typed(TypedMass.of("0.472 kg", MassUnit.KILOGRAM));
    assertTrue(
        search(hakeWith(3, unit)).explanations().stream()
            .noneMatch(e -> e.cause() == Cause.POUNDS_AS_KILOGRAMS));
    // 0.985 kg typed as a bare number in a house of pounds
    TallyLine pounds = line(PARTS[2], 447).typed(TypedMass.of("0.985", MassUnit.POUND));
    Explanation first = search(hakeWith(2, pounds)).best().orElseThrow();
    assertEquals(first.cause(), Cause.KILOGRAMS_AS_POUNDS);
    assertEquals(first.corrected(), Mass.ofGrams(985));
  }

  @Test
  public void figuresInTheWrongRowsAreSeenWhileTheFishIsStillOnTheBoard() {
    // head, fins, the fillet and the frame of a fish of 1.120 kg, weighed in the cook's own order
    int[][] rows = {
      {28, 6}, {110, 30}, {19, 4}, {240, 25}, {285, 25}, {285, 25}, {60, 10}, {90, 15}
    };
    String[] names = {"fins", "guts", "gills", "head", "left", "right", "collar", "frame"};
    int[] read = {244, 34, 283, 0, 235, 0, 0, 0};
    List<TallyLine> lines = new ArrayList<>();
    for (int i = 0; i < names.length; i++) {
      Optional<Mass> mass = read[i] == 0 ? Optional.empty() : Optional.of(Mass.ofGrams(read[i]));
      lines.add(
          new TallyLine(
              names[i],
              names[i],
              mass,
              Optional.of(Mass.ofGrams(rows[i][0])),
              Mass.ofGrams(rows[i][1]),
              Input.SCALE,
              STEP,
              Optional.empty(),
              mass.isPresent() ? Standing.WEIGHED : Standing.TO_COME));
    }
    Diagnosis found =
        GrossErrors.search(
            new Question(Mass.ofGrams(1120), lines, TRAYS, SimulatedTally.onScale(STEP)));
    Explanation first = found.best().orElseThrow();
    assertEquals(first.cause(), Cause.ROWS_SHIFTED, found.explanations().toString());
    assertEquals(first.other(), Optional.of("fins"));
    assertEquals(first.line(), "guts", "34 g on guts are the fins");
  }

  @Test
  public void onlyWhatIsNineInTenAndFiveTimesLikelierIsAlmostCertain() {
    // what is nine times in ten so has a posterior of more
    Explanation one = explanation(0.98);
    assertEquals(diagnosis(0.02, one, explanation(0.05)), Diagnosis.Sureness.ALMOST_CERTAIN);
    assertEquals(diagnosis(0.02, explanation(0.91)), Diagnosis.Sureness.PROBABLE);
    assertEquals(diagnosis(0.3, explanation(0.4)), Diagnosis.Sureness.POSSIBLE);
    assertTrue(one.isMendable());
    assertFalse(explanation(0.6).isMendable(), "only above 60 %");
  }

  private static Explanation explanation(double probability) {
    return new Explanation(
        "head",
        Optional.empty(),
        Cause.WEIGHED_TWICE,
        Optional.empty(),
        Mass.ofGrams(100),
        Mass.ZERO,
        probability);
  }

  private static Diagnosis.Sureness diagnosis(double nothing, Explanation... all) {
    return new Diagnosis(Mass.ZERO, Mass.ZERO, nothing, List.of(all), true).sureness(all[0]);
  }

  private static TallyLine bare(String id, int grams) {
    return new TallyLine(
        id,
        id,
        Optional.of(Mass.ofGrams(grams)),
        Optional.empty(),
        Mass.ZERO,
        Input.SCALE,
        STEP,
        Optional.empty(),
        Standing.WEIGHED);
  }

  @Test
  public void reconciliationClosesTheTallyAndLeavesMostToTheLoss() {
    List<Mass> readings = hake().stream().map(line -> line.mass().orElseThrow()).toList();
    Reconciliation adjusted =
        Reconciliation.of(HAKE, readings, LossNorm.STARTING, ScaleError.of(STEP));
    Mass parts = Mass.total(adjusted.parts().stream().map(Reconciliation.Adjusted::after).toList());
    assertEquals(adjusted.whole().after(), parts.plus(adjusted.loss().after()));
    // the gap of 15.1 g: a reading has the variance 4/12 + 1 = 1.333 g², the loss (38.88 g)² =
    // 1 511.7; so each of nine readings takes 15.1 × 1.333 / 1 523.7 = 13 mg, the loss 14.98 g
    assertEquals(adjusted.parts().get(0).change(), Mass.ofMilligrams(13));
    assertEquals(adjusted.whole().change(), Mass.ofMilligrams(-13));
    assertEquals(adjusted.loss().change(), Mass.ofMilligrams(15_100 - 9 * 13));
  }
}
