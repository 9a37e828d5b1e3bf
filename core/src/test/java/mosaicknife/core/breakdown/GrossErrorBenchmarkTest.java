package mosaicknife.core.breakdown;

import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.function.Function;
import java.util.function.Predicate;
import mosaicknife.core.breakdown.Explanation.Cause;
import mosaicknife.core.breakdown.GrossErrors.Diagnosis;
import mosaicknife.core.breakdown.GrossErrors.Question;
import mosaicknife.core.breakdown.SimulatedTally.Case;
import org.testng.Reporter;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;

/**
 * How often the search names the right part and the true cause, on tallies of simulated fish of the
 * shipped catalogue. The six kinds are equally frequent; a tare is forgotten as often as taken
 * twice. A reader that knows neither tray nor keyboard is measured beside it in the same run.
 */
public class GrossErrorBenchmarkTest {

  private static final int WRONG = 2_000;
  private static final int FREE = 4_000;

  private final List<Case> wrong = new ArrayList<>();
  private final List<Case> free = new ArrayList<>();

  @BeforeClass
  void simulate() {
    SimulatedTally simulated = new SimulatedTally(new Random(20261125));
    Random which = new Random(7);
    for (int i = 0; i < WRONG; i++) {
      wrong.add(simulated.wrong(kind(i % 6, which)));
    }
    for (int i = 0; i < FREE; i++) {
      free.add(simulated.free());
    }
  }

  private static Cause kind(int number, Random which) {
    return switch (number) {
      case 0 -> which.nextBoolean() ? Cause.TARE_NOT_TAKEN : Cause.TARE_TAKEN_TWICE;
      case 1 -> Cause.NEVER_WEIGHED;
      case 2 -> Cause.WEIGHED_TWICE;
      case 3 -> Cause.POUNDS_AS_KILOGRAMS;
      case 4 -> Cause.DIGITS_SWAPPED;
      default -> Cause.POINT_SLIPPED;
    };
  }

  @Test
  public void theSearchBeatsAReaderThatKnowsNeitherTrayNorKeyboard() {
    Score ours = score(Case::question);
    Score plain = score(Case::plain);
    Reporter.log("ours  " + ours, true);
    Reporter.log("plain " + plain, true);
    byCause().forEach((cause, score) -> Reporter.log("  " + cause + " " + score, true));
    assertTrue(ours.part() > 0.95, ours.toString());
    assertTrue(ours.cause() > 0.79, ours.toString());
    assertTrue(ours.firstThree() > 0.99, ours.toString());
    assertTrue(ours.alarms() < 0.007, ours.toString());
    assertTrue(ours.corrected() > 0.8, ours.toString());
    assertTrue(ours.part() > plain.part() - 0.003, "plain " + plain);
    assertTrue(ours.cause() > plain.cause() + 0.02, "plain " + plain);
    assertTrue(ours.corrected() > plain.corrected() + 0.02, "plain " + plain);
  }

  /**
   * Shares of all cases: part first, cause first, cause among three, corrected right, false alarms.
   */
  private record Score(
      double part, double cause, double firstThree, double corrected, double alarms) {

    @Override
    public String toString() {
      return "part first %.1f %%, cause first %.1f %%, among three %.1f %%, figure right %.1f %%, false alarms %.2f %%"
          .formatted(100 * part, 100 * cause, 100 * firstThree, 100 * corrected, 100 * alarms);
    }
  }

  private Score score(Function<Case, Question> reader) {
    return score(wrong, reader);
  }

  private Score score(List<Case> cases, Function<Case, Question> reader) {
    int part = 0;
    int cause = 0;
    int three = 0;
    int corrected = 0;
    for (Case made : cases) {
      Diagnosis finding = GrossErrors.search(reader.apply(made));
      if (!finding.isAlarm()) {
        continue;
      }
      Predicate<Explanation> right =
          e -> e.line().equals(made.culprit()) && e.cause().isLike(made.cause().orElseThrow());
      Explanation first = finding.explanations().get(0);
      part += first.line().equals(made.culprit()) ? 1 : 0;
      cause += right.test(first) ? 1 : 0;
      three += finding.explanations().stream().limit(3).anyMatch(right) ? 1 : 0;
      double off = Math.abs(first.corrected().inGrams().doubleValue() - made.truth());
      corrected += right.test(first) && off <= 0.05 * made.truth() + 6 ? 1 : 0;
    }
    long alarms =
        free.stream().filter(made -> GrossErrors.search(reader.apply(made)).isAlarm()).count();
    double all = cases.size();
    return new Score(
        part / all, cause / all, three / all, corrected / all, alarms / (double) free.size());
  }

  private Map<Cause, Score> byCause() {
    Map<Cause, Score> scores = new EnumMap<>(Cause.class);
    for (Cause cause : Cause.values()) {
      List<Case> some = wrong.stream().filter(c -> c.cause().orElseThrow() == cause).toList();
      scores.put(cause, score(some, Case::question));
    }
    return scores;
  }
}
