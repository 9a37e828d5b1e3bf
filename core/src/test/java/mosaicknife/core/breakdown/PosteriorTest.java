package mosaicknife.core.breakdown;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;
import mosaicknife.core.breakdown.Explanation.Cause;
import mosaicknife.core.breakdown.GrossErrors.Diagnosis;
import mosaicknife.core.breakdown.GrossErrors.Habits;
import mosaicknife.core.breakdown.GrossErrors.Question;
import mosaicknife.core.breakdown.TallyLine.Input;
import mosaicknife.core.breakdown.TallyLine.Standing;
import mosaicknife.core.quantity.Mass;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/**
 * Every probability of the search against another way to work it out: plain densities instead of
 * logarithms, the covariance of kin inverted by elimination instead of by formula.
 */
public class PosteriorTest {

  private static final double ANY = 0.2;
  private static final double BETWEEN_STEPS = 0.001;
  private static final double FINER = 0.02;
  private static final double POUND = 0.45359237;
  private static final Mass STEP = Mass.ofGrams(2);
  private static final Mass WHOLE = Mass.ofGrams(3000);
  private static final List<Tray> TRAYS = SimulatedTally.TRAYS;

  /** One way a line may have come about. */
  private record Case(int line, Cause cause, double corrected, double probability) {}

  // ---- the other way --------------------------------------------------------------------------

  private static final class Oracle {

    private final List<TallyLine> lines;
    private final double whole;
    private final HouseNorms norms;
    private final List<Tray> trays;
    private final List<Case> cases = new ArrayList<>();
    private final double nothing;

    Oracle(Question question) {
      lines = question.lines();
      whole = grams(question.whole());
      norms = question.norms();
      trays = question.trays();
      double free = (1 - ANY) * density(Map.of(), -1) * between(-1);
      for (int i = 0; i < lines.size(); i++) {
        collect(i);
      }
      double sum = free + cases.stream().mapToDouble(Case::probability).sum();
      nothing = free / sum;
      cases.replaceAll(c -> new Case(c.line, c.cause, c.corrected, c.probability / sum));
    }

    private void collect(int i) {
      TallyLine line = lines.get(i);
      Habits habits = norms.habits();
      if (line.standing() == Standing.LEFT_OUT && line.expected().isPresent()) {
        double spread = Math.pow(grams(line.spread()), 2);
        double loss = Math.pow(whole * norms.loss().spread(), 2);
        double norm = grams(line.expected().get());
        double corrected = norm + spread / (spread + loss) * (residual() - norm);
        cases.add(
            new Case(
                i,
                Cause.NEVER_WEIGHED,
                corrected,
                habits.never() * density(Map.of(), i) * between(i)));
      }
      if (line.standing() != Standing.WEIGHED) {
        return;
      }
      double read = grams(line.mass().orElseThrow());
      for (Tray tray : trays) {
        double chance =
            line.tray()
                .map(
                    chosen ->
                        chosen.equals(tray)
                            ? habits.chosenTray()
                            : (1 - habits.chosenTray()) / (trays.size() - 1))
                .orElse(1.0 / trays.size());
        double mass = grams(tray.mass());
        add(i, Cause.TARE_NOT_TAKEN, read - mass, habits.tare() * chance * 0.6);
        add(i, Cause.TARE_TAKEN_TWICE, read + mass, habits.tare() * chance * 0.4);
      }
      add(i, Cause.WEIGHED_TWICE, read / 2, habits.twice() / 2);
      double typed =
          Map.of(Input.SCALE, 0.0, Input.TYPED, 1.0, Input.UNKNOWN, 0.5).get(line.input());
      if (typed > 0) {
        add(i, Cause.POUNDS_AS_KILOGRAMS, read * POUND, typed * habits.pounds());
        onStep(i, Cause.POINT_SLIPPED, read * 10, typed * habits.slipped() / 2);
        onStep(i, Cause.POINT_SLIPPED, read / 10, typed * habits.slipped() / 2);
        List<Double> swaps = swaps(Math.round(read));
        swaps.forEach(
            swap -> onStep(i, Cause.DIGITS_SWAPPED, swap, typed * habits.swapped() / swaps.size()));
      }
    }

    /** Steps of a gram or more: the grams as four digits, two neighbours changed. */
    private static List<Double> swaps(long read) {
      String shown = "%04d".formatted(read);
      List<Double> swaps = new ArrayList<>();
      for (int k = 1; k < shown.length(); k++) {
        if (shown.charAt(k) != shown.charAt(k - 1)) {
          swaps.add(
              Double.valueOf(
                  shown.substring(0, k - 1)
                      + shown.charAt(k)
                      + shown.charAt(k - 1)
                      + shown.substring(k + 1)));
        }
      }
      return swaps;
    }

    private void onStep(int i, Cause cause, double corrected, double prior) {
      if (isOnStep(lines.get(i), corrected)) {
        add(i, cause, corrected, prior);
      }
    }

    private static boolean isOnStep(TallyLine line, double corrected) {
      double rest = corrected % grams(line.step());
      return rest < 1e-6 || grams(line.step()) - rest < 1e-6;
    }

    private void add(int i, Cause cause, double corrected, double prior) {
      if (corrected > 0) {
        cases.add(
            new Case(i, cause, corrected, prior * density(Map.of(i, corrected), -1) * between(i)));
      }
    }

    /** How likely figures between two steps are, all or none of them off a finer scale. */
    private double between(int explained) {
      int off = 0;
      int figures = 0;
      for (int i = 0; i < lines.size(); i++) {
        if (lines.get(i).mass().isPresent()) {
          figures++;
          if (i != explained && !isOnStep(lines.get(i), grams(lines.get(i).mass().get()))) {
            off++;
          }
        }
      }
      return (1 - FINER) * Math.pow(BETWEEN_STEPS, off) + FINER / Math.pow(2, figures);
    }

    private double density(Map<Integer, Double> instead, int never) {
      double left = whole;
      double variance = Math.pow(whole * norms.loss().spread(), 2) + scale();
      boolean open = false;
      Map<String, List<Double>> kin = new HashMap<>();
      for (int i = 0; i < lines.size(); i++) {
        TallyLine line = lines.get(i);
        if (line.standing() == Standing.WEIGHED) {
          double read = instead.getOrDefault(i, grams(line.mass().orElseThrow()));
          left -= read;
          if (line.expected().isPresent() && line.spread().isPositive()) {
            kin.computeIfAbsent(line.kin(), k -> new ArrayList<>())
                .add((read - grams(line.expected().get())) / grams(line.spread()));
          }
        } else if (line.standing() == Standing.TO_COME || i == never) {
          left -= line.expected().map(PosteriorTest::grams).orElse(0.0);
          variance += Math.pow(grams(line.spread()), 2);
          open = true;
        }
      }
      double density = 1;
      for (List<Double> z : kin.values()) {
        density *= z.size() == 1 ? Math.exp(-z.get(0) * z.get(0) / 2) : together(z);
      }
      double off = left - whole * norms.loss().mean();
      density *= Math.exp(-off * off / variance / 2) / Math.sqrt(variance);
      return open || left >= 0 ? density : density * Math.exp(-left * left / scale() / 2);
    }

    private double scale() {
      return Math.pow(norms.scale().sigmaGrams(lines.size() + 1), 2);
    }

    /** exp(−½ zᵀ Σ⁻¹ z) with ones on the diagonal and the correlation elsewhere. */
    private double together(List<Double> z) {
      int n = z.size();
      double[][] system = new double[n][n + 1];
      for (int r = 0; r < n; r++) {
        for (int c = 0; c < n; c++) {
          system[r][c] = r == c ? 1 : norms.sides().correlation();
        }
        system[r][n] = z.get(r);
      }
      for (int p = 0; p < n; p++) {
        for (int r = 0; r < n; r++) {
          double factor = r == p ? 0 : system[r][p] / system[p][p];
          for (int c = 0; c <= n; c++) {
            system[r][c] -= factor * system[p][c];
          }
        }
      }
      double form = 0;
      for (int r = 0; r < n; r++) {
        form += z.get(r) * system[r][n] / system[r][r];
      }
      return Math.exp(-form / 2);
    }

    double residual() {
      double left = whole * (1 - norms.loss().mean());
      for (TallyLine line : lines) {
        left -=
            switch (line.standing()) {
              case WEIGHED -> grams(line.mass().orElseThrow());
              case TO_COME -> line.expected().map(PosteriorTest::grams).orElse(0.0);
              case LEFT_OUT -> 0;
            };
      }
      return left;
    }

    double sigma() {
      double variance = Math.pow(whole * norms.loss().spread(), 2) + scale();
      for (TallyLine line : lines) {
        if (line.standing() == Standing.TO_COME) {
          variance += Math.pow(grams(line.spread()), 2);
        }
      }
      return Math.sqrt(variance);
    }

    Map<String, Double> byLineAndCause() {
      Map<String, Double> sums = new LinkedHashMap<>();
      cases.forEach(
          c -> sums.merge(lines.get(c.line).id() + " " + c.cause, c.probability, Double::sum));
      return sums;
    }

    double corrected(String key) {
      return cases.stream()
          .filter(c -> key.equals(lines.get(c.line).id() + " " + c.cause))
          .reduce((a, b) -> b.probability > a.probability ? b : a)
          .orElseThrow()
          .corrected;
    }
  }

  private static double grams(Mass mass) {
    return mass.milligrams() / 1000.0;
  }

  // ---- the tallies ----------------------------------------------------------------------------

  private static TallyLine line(String id, String kin, int read, int norm, int spread) {
    return TallyLine.ofScale(
        id, kin, Mass.ofGrams(read), Mass.ofGrams(norm), Mass.ofGrams(spread), STEP);
  }

  private static TallyLine without(String id, int norm, int spread, Standing standing) {
    return new TallyLine(
        id,
        id,
        Optional.empty(),
        norm == 0 ? Optional.empty() : Optional.of(Mass.ofGrams(norm)),
        Mass.ofGrams(spread),
        Input.UNKNOWN,
        STEP,
        Optional.empty(),
        standing);
  }

  /** 600, 820, 830, 520 and 180 g are 2 950 of 3 000 g: 50 g, or 1.7 %, are loss. */
  private static List<TallyLine> with(TallyLine... others) {
    List<TallyLine> lines =
        new ArrayList<>(
            List.of(
                line("head", "head", 600, 590, 60),
                line("left", "side", 820, 800, 70),
                line("right", "side", 830, 800, 70),
                line("frame", "frame", 520, 540, 60),
                line("belly", "belly", 180, 190, 40)));
    for (TallyLine other : others) {
      lines.replaceAll(old -> old.id().equals(other.id()) ? other : old);
      if (lines.stream().noneMatch(old -> old.id().equals(other.id()))) {
        lines.add(other);
      }
    }
    return lines;
  }

  @DataProvider
  Object[][] tallies() {
    TallyLine left = line("left", "side", 1032, 800, 70);
    return new Object[][] {
      {"closes", with(), TRAYS},
      {"closes, typed", with(line("left", "side", 820, 800, 70).typed()), TRAYS},
      {"a tray on one, chosen", with(left.on(TRAYS.get(1))), TRAYS},
      {"a tray on one, another chosen", with(left.on(TRAYS.get(3))), TRAYS},
      {"a tray on one, none chosen", with(left), TRAYS},
      {"one tray in the house", with(left), TRAYS.subList(0, 1)},
      {"two trays in the house", with(left.on(TRAYS.get(1))), TRAYS.subList(0, 2)},
      {"no trays, counted twice", with(line("frame", "frame", 1040, 540, 60)), List.of()},
      {"pounds", with(line("head", "head", 1322, 590, 60).typed()), TRAYS},
      {"slipped up", with(line("belly", "belly", 1800, 190, 40).typed()), TRAYS},
      {"slipped down", with(line("right", "side", 82, 800, 70).typed()), TRAYS},
      {"swapped", with(line("left", "side", 280, 800, 70).typed()), TRAYS},
      {"swapped with its zero", with(line("belly", "belly", 810, 190, 40).typed()), TRAYS},
      {"nobody knows how", with(line("left", "side", 280, 800, 70).unknown()), TRAYS},
      {"one between steps", with(line("head", "head", 601, 590, 60).typed()), TRAYS},
      {
        "all off a finer scale",
        with(
            line("head", "head", 601, 590, 60).typed(),
            line("left", "side", 819, 800, 70).typed(),
            line("right", "side", 831, 800, 70).typed(),
            line("frame", "frame", 521, 540, 60).typed(),
            line("belly", "belly", 179, 190, 40).typed()),
        TRAYS
      },
      {"three of one kin", with(line("third", "side", 42, 45, 10)), TRAYS},
      {"two sides that differ", with(line("left", "side", 930, 800, 70)), TRAYS},
      {"a norm without spread", with(line("head", "head", 600, 590, 0)), TRAYS},
      {"one left out", with(without("head", 590, 60, Standing.LEFT_OUT)), TRAYS},
      {"one left out of no norm", with(without("skin", 0, 0, Standing.LEFT_OUT)), TRAYS},
      {"one to come", with(without("frame", 540, 60, Standing.TO_COME)), TRAYS},
      {
        "one to come, a tray on another",
        with(without("frame", 540, 60, Standing.TO_COME), left),
        TRAYS
      },
      {"one to come of no norm", with(without("trim", 0, 0, Standing.TO_COME)), TRAYS},
      {"over by little", with(line("head", "head", 664, 590, 60)), TRAYS},
      {"short by little", with(line("head", "head", 540, 590, 60)), TRAYS},
    };
  }

  @Test(dataProvider = "tallies")
  public void theProbabilitiesAreThoseOfTheOtherWay(
      String name, List<TallyLine> lines, List<Tray> trays) {
    Question question = new Question(WHOLE, lines, trays, SimulatedTally.onScale(STEP));
    Diagnosis found = GrossErrors.search(question);
    Oracle oracle = new Oracle(question);
    assertEquals(found.nothing(), oracle.nothing, 1e-9, name + ": nothing happened");
    Map<String, Double> expected = oracle.byLineAndCause();
    Map<String, Double> actual = new LinkedHashMap<>();
    for (Explanation one : found.explanations()) {
      String key = one.line() + " " + one.cause();
      actual.put(key, one.probability());
      assertEquals(one.probability(), expected.getOrDefault(key, -1.0), 1e-9, name + ": " + key);
      if (one.probability() > 1e-9) {
        assertEquals(grams(one.corrected()), oracle.corrected(key), 0.001, name + ": " + key);
      }
    }
    assertEquals(new TreeSet<>(actual.keySet()), new TreeSet<>(expected.keySet()), name);
    assertEquals(grams(found.residual()), oracle.residual(), 0.001, name);
    assertEquals(grams(found.sigma()), oracle.sigma(), 0.001, name);
    boolean beyond = Math.abs(oracle.residual()) > 3 * oracle.sigma();
    assertEquals(
        found.isAlarm(),
        !expected.isEmpty() && oracle.nothing < (beyond ? 0.9 : 0.3),
        name + ", nothing " + oracle.nothing);
  }

  /** The line likeliest over all its causes goes first, the rest by probability. */
  @Test(dataProvider = "tallies")
  public void theOrderIsByLineThenByProbability(
      String name, List<TallyLine> lines, List<Tray> trays) {
    Question question = new Question(WHOLE, lines, trays, SimulatedTally.onScale(STEP));
    List<Explanation> found = GrossErrors.search(question).explanations();
    if (found.isEmpty()) {
      return;
    }
    Map<String, Double> ofLine = new HashMap<>();
    found.forEach(e -> ofLine.merge(e.line(), e.probability(), Double::sum));
    double most = ofLine.values().stream().mapToDouble(p -> p).max().orElseThrow();
    assertEquals(ofLine.get(found.get(0).line()), most, 1e-12, name);
    for (int i = 2; i < found.size(); i++) {
      assertTrue(found.get(i - 1).probability() >= found.get(i).probability() - 1e-12, name);
    }
    for (Explanation one : found) {
      if (one.line().equals(found.get(0).line())) {
        assertTrue(found.get(0).probability() >= one.probability() - 1e-12, name);
      }
    }
  }

  @Test
  public void bothWaysToGetATareWrongAreOfOneKind() {
    for (Cause one : Cause.values()) {
      for (Cause other : Cause.values()) {
        boolean tares = one.name().startsWith("TARE") && other.name().startsWith("TARE");
        assertEquals(one.isLike(other), one == other || tares, one + " and " + other);
      }
    }
  }

  @Test
  public void whatIsNotKnownOfALineIsForgotten() {
    TallyLine line = line("head", "head", 600, 590, 60).typed().on(TRAYS.get(0)).unknown();
    assertEquals(line.input(), Input.UNKNOWN);
    assertFalse(line.tray().isPresent());
    assertEquals(line.mass(), Optional.of(Mass.ofGrams(600)));
  }
}
