package mosaicknife.core.breakdown;

import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.stream.Stream;
import mosaicknife.core.breakdown.SimulatedTally.Case;
import mosaicknife.core.breakdown.SimulatedTally.Way;
import org.testng.Reporter;
import org.testng.annotations.Test;

/**
 * The judge of the tally on fish, spreads and slips of a generator of its own: how often it is
 * silent where nothing is wrong, names the line and the cause where something is, corrects the
 * figure, and is right as often as it says it is.
 */
public class JudgeBenchmarkTest {

  private static final int MANY = 600;

  private static final List<String> SIX =
      List.of(
          "TARE_NOT_TAKEN",
          "NEVER_WEIGHED",
          "WEIGHED_TWICE",
          "POUNDS_AS_KILOGRAMS",
          "DIGITS_SWAPPED",
          "POINT_SLIPPED");

  private static final List<String> OTHERS =
      List.of(
          "ROWS_EXCHANGED",
          "UNDER_ANOTHER_NAME",
          "IN_NO_ROW",
          "WHOLE_ON_TRAY",
          "WHOLE_TOO_HEAVY",
          SimulatedTally.ANYTHING);

  private static final List<String> ALL = Stream.concat(SIX.stream(), OTHERS.stream()).toList();

  /** Shares of all cases: alarms, line first, cause first, cause among three, figure corrected. */
  private record Score(double alarms, double line, double cause, double three, double corrected) {

    @Override
    public String toString() {
      return "alarm %5.1f %%  line %5.1f %%  cause %5.1f %%  among three %5.1f %%  figure %5.1f %%"
          .formatted(100 * alarms, 100 * line, 100 * cause, 100 * three, 100 * corrected);
    }
  }

  private static Score score(List<Case> cases) {
    double alarms = 0;
    double line = 0;
    double cause = 0;
    double three = 0;
    double corrected = 0;
    for (Case made : cases) {
      Diagnosis found = GrossErrors.search(made.question());
      if (found.isAlarm()) {
        alarms++;
        Explanation first = found.explanations().get(0);
        line += made.isAt(first) ? 1 : 0;
        cause += made.isRight(first) ? 1 : 0;
        three += found.explanations().stream().limit(3).anyMatch(made::isRight) ? 1 : 0;
        corrected += made.isRight(first) && made.isCorrected(first) ? 1 : 0;
      }
    }
    double all = cases.size();
    return new Score(alarms / all, line / all, cause / all, three / all, corrected / all);
  }

  private static Score print(String name, List<Case> cases) {
    Score score = score(cases);
    Reporter.log("%-34s %s".formatted(name, score), true);
    return score;
  }

  private static List<Case> many(int count, Supplier<Case> one) {
    List<Case> cases = new ArrayList<>();
    for (int i = 0; i < count; i++) {
      cases.add(one.get());
    }
    return cases;
  }

  @Test
  public void aSoundTallyIsSilentInEveryUnit() {
    double worst = 0;
    for (Way way : Way.values()) {
      SimulatedTally fish = new SimulatedTally(new Random(3));
      worst = Math.max(worst, print("sound, " + way, many(2_000, () -> fish.sound(way))).alarms());
    }
    assertTrue(worst <= 0.004, "false alarms " + worst);
    SimulatedTally off = new SimulatedTally(new Random(4)).withNormsOff(0.12);
    assertTrue(
        print("sound, norms 12 % off", many(2_000, () -> off.sound(Way.MIXED))).alarms() <= 0.005);
    SimulatedTally tails = new SimulatedTally(new Random(5)).withHeavyTails();
    assertTrue(
        print("sound, heavy tails", many(2_000, () -> tails.sound(Way.MIXED))).alarms() <= 0.005);
  }

  @Test
  public void oneOfTheSixKindsIsFound() {
    Map<String, Function<SimulatedTally, SimulatedTally>> kinds = new LinkedHashMap<>();
    kinds.put("", Function.identity());
    kinds.put(", norms 12 % off", fish -> fish.withNormsOff(0.12));
    kinds.put(", heavy tails", SimulatedTally::withHeavyTails);
    kinds.forEach(
        (name, how) -> {
          List<Case> all = new ArrayList<>();
          for (String what : SIX) {
            SimulatedTally fish = how.apply(new SimulatedTally(new Random(11)));
            List<Case> cases = many(MANY / 2, () -> fish.wrong(what));
            print(what + name, cases);
            all.addAll(cases);
          }
          Score score = print("all six" + name, all);
          assertTrue(score.line() >= (name.isEmpty() ? 0.98 : 0.96), score.toString());
          assertTrue(score.cause() >= (name.isEmpty() ? 0.85 : 0.82), score.toString());
          assertTrue(score.corrected() >= (name.isEmpty() ? 0.8 : 0.75), score.toString());
        });
  }

  @Test
  public void whatElseHappensIsNamedToo() {
    Map<String, Score> scores = new LinkedHashMap<>();
    for (String what : OTHERS) {
      SimulatedTally fish = new SimulatedTally(new Random(17));
      scores.put(what, print(what, many(MANY / 2, () -> fish.wrong(what))));
    }
    SimulatedTally trays = new SimulatedTally(new Random(18)).onOtherTrays();
    print("a tray nobody knows", many(MANY / 2, () -> trays.wrong("TARE_NOT_TAKEN")));
    assertTrue(scores.get("ROWS_EXCHANGED").cause() > 0.7, "exchanged");
    assertTrue(scores.get(SimulatedTally.ANYTHING).line() > 0.65, "anything else");
    assertTrue(scores.get("WHOLE_ON_TRAY").cause() > 0.6, "whole on its tray");
    assertTrue(scores.get("WHOLE_TOO_HEAVY").line() > 0.9, "whole with ice");
    // a piece in no row is as a part too light: nobody can tell it from a tare taken twice
    assertTrue(scores.get("IN_NO_ROW").three() > 0.17, "in no row");
  }

  /** The roe stays in the guts of a ripe fish: a heavy row is no exchange of two. */
  @Test
  public void aRipeFishExchangedNoRows() {
    SimulatedTally fish = new SimulatedTally(new Random(41));
    int exchanged = 0;
    int alarms = 0;
    int all = MANY;
    for (int i = 0; i < all; i++) {
      Diagnosis found = GrossErrors.search(fish.ripe().question());
      alarms += found.isAlarm() ? 1 : 0;
      exchanged +=
          found.best().filter(one -> one.cause() == Explanation.Cause.ROWS_EXCHANGED).isPresent()
              ? 1
              : 0;
    }
    Reporter.log(
        "ripe fish: alarms %d, rows exchanged %d of %d".formatted(alarms, exchanged, all), true);
    assertTrue(exchanged <= 0.02 * all, exchanged + " exchanged");
  }

  /** After two errors two taps make both right. */
  @Test
  public void twoErrorsAreMendedInTwoTaps() {
    SimulatedTally fish = new SimulatedTally(new Random(31));
    Random which = new Random(37);
    int mended = 0;
    int all = MANY / 2;
    for (int i = 0; i < all; i++) {
      SimulatedTally.Pair two =
          fish.twice(SIX.get(which.nextInt(SIX.size())), SIX.get(which.nextInt(SIX.size())));
      List<TallyLine> lines = new ArrayList<>(two.question().lines());
      int right = 0;
      for (int tap = 0; tap < 2; tap++) {
        Optional<Explanation> best =
            GrossErrors.search(SimulatedTally.with(two.question(), lines)).best();
        if (best.isPresent()) {
          right += two.isMendedBy(best.get()) ? 1 : 0;
          lines.replaceAll(line -> SimulatedTally.mended(line, best.get(), two.after(best.get())));
        }
      }
      mended += right == 2 ? 1 : 0;
    }
    double share = mended / (double) all;
    Reporter.log("two errors, both mended in two taps %.1f %%".formatted(100 * share), true);
    assertTrue(share >= 0.88, "mended " + share);
  }

  /** Nobody can tell what the judge that knows all rates cannot: it is named beside it. */
  @Test
  public void iceInTheWholeIsToldAsByOneWhoKnowsTheRates() {
    SimulatedTally fish = new SimulatedTally(new Random(43));
    int spoken = 0;
    int ours = 0;
    int best = 0;
    for (int i = 0; i < MANY; i++) {
      Case ice = fish.wrong("WHOLE_TOO_HEAVY");
      Optional<Explanation> found = GrossErrors.search(ice.question()).best();
      if (found.isPresent()) {
        spoken++;
        ours += ice.isAt(found.get()) ? 1 : 0;
        best += ReferenceJudge.ofOne(ice.question(), ALL).startsWith(Explanation.WHOLE) ? 1 : 0;
      }
    }
    Reporter.log(
        "ice in the whole: a word of %d, the whole is off %d, by who knows the rates %d"
            .formatted(spoken, ours, best),
        true);
    assertTrue(spoken >= 0.92 * MANY, "silent too often");
    assertTrue(ours >= best - 0.03 * spoken, ours + " of " + best);
  }

  @Test
  public void twoErrorsAreToldAsByOneWhoKnowsTheRates() {
    SimulatedTally fish = new SimulatedTally(new Random(47));
    Random which = new Random(53);
    int ours = 0;
    int best = 0;
    for (int i = 0; i < MANY / 2; i++) {
      SimulatedTally.Pair two =
          fish.twice(SIX.get(which.nextInt(SIX.size())), SIX.get(which.nextInt(SIX.size())));
      ours += GrossErrors.search(two.question()).best().filter(two::isOne).isPresent() ? 1 : 0;
      best += two.isOne(ReferenceJudge.ofTwo(two.question())) ? 1 : 0;
    }
    Reporter.log(
        "two errors: one of them first %d, by who knows the rates %d of %d"
            .formatted(ours, best, MANY / 2),
        true);
    assertTrue(ours >= best - 0.03 * MANY / 2, ours + " of " + best);
  }

  /** Of what is called so and so likely, so many are right. */
  @Test
  public void whatIsSaidToBeCertainIsSo() {
    double[] said = new double[10];
    double[] right = new double[10];
    int[] count = new int[10];
    List<SimulatedTally> kinds =
        List.of(
            new SimulatedTally(new Random(23)),
            new SimulatedTally(new Random(24)).withNormsOff(0.12),
            new SimulatedTally(new Random(25)).withHeavyTails());
    Random which = new Random(29);
    for (int i = 0; i < 6 * MANY; i++) {
      String what =
          which.nextInt(8) > 0
              ? SIX.get(which.nextInt(SIX.size()))
              : OTHERS.get(which.nextInt(OTHERS.size()));
      Case made = kinds.get(i % kinds.size()).wrong(what);
      Diagnosis found = GrossErrors.search(made.question());
      Optional<Explanation> best = found.best();
      if (best.isPresent()) {
        int bin = (int) Math.min(9, 10 * best.get().claimed());
        said[bin] += best.get().claimed();
        right[bin] += made.isRight(best.get()) ? 1 : 0;
        count[bin]++;
      }
    }
    for (int bin = 0; bin < 10; bin++) {
      if (count[bin] > 0) {
        Reporter.log(
            "called %3.0f %%: right %3.0f %% of %d"
                .formatted(100 * said[bin] / count[bin], 100 * right[bin] / count[bin], count[bin]),
            true);
      }
    }
    for (int bin = 5; bin < 9; bin++) {
      double off = (said[bin] - right[bin]) / count[bin];
      // as many as two standard deviations of so few cases more
      double chance = 1 / Math.sqrt(count[bin]);
      assertTrue(off <= 0.03 + chance, "called too likely by %f in bin %d".formatted(off, bin));
    }
    double calledSure = said[9] / count[9];
    double sure = right[9] / count[9];
    assertTrue(sure >= calledSure - 0.04, "called %f, right %f".formatted(calledSure, sure));
  }
}
