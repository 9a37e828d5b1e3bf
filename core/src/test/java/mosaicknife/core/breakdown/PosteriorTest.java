package mosaicknife.core.breakdown;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;
import mosaicknife.core.breakdown.Explanation.Cause;
import mosaicknife.core.breakdown.GrossErrors.Question;
import mosaicknife.core.breakdown.TallyLine.Input;
import mosaicknife.core.breakdown.TallyLine.Standing;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.MassUnit;
import mosaicknife.core.quantity.TypedMass;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/**
 * Every probability of the search against another way to work it out: plain densities instead of
 * logarithms, the covariance of kin inverted by elimination instead of by formula.
 */
public class PosteriorTest {

  private static final double ANY = 0.2;
  private static final double POUND = 0.45359237;
  private static final Mass STEP = Mass.ofGrams(2);
  private static final Mass WHOLE = Mass.ofGrams(3000);
  private static final List<Tray> TRAYS = SimulatedTally.TRAYS;

  /** One way a tally may have come about, by its line, the other line and its cause. */
  private record Case(String key, double corrected, double probability, double paired) {

    Case(String key, double corrected, double probability) {
      this(key, corrected, probability, 0);
    }
  }

  /** A figure that was another one; not a number for a part that was never weighed. */
  private record Slip(int line, String cause, double figure, double corrected, double prior) {}

  // ---- the other way --------------------------------------------------------------------------

  private static final class Oracle {

    private final List<TallyLine> lines;
    private final double whole;
    private final HouseNorms norms;
    private final List<Tray> trays;
    private final List<Case> cases = new ArrayList<>();
    private final List<Slip> slips = new ArrayList<>();
    private final double[] read;
    private final double nothing;

    Oracle(Question question) {
      lines = question.lines();
      whole = grams(question.whole());
      norms = question.norms();
      trays = question.trays();
      read =
          lines.stream()
              .mapToDouble(line -> line.mass().map(PosteriorTest::grams).orElse(Double.NaN))
              .toArray();
      double free = (1 - ANY) * density(read, -1);
      for (int i = 0; i < read.length; i++) {
        collect(i);
      }
      slips.forEach(this::slipped);
      rows();
      whole(question);
      if (!isOpen() && residual() >= least()) {
        cases.add(
            new Case(
                "(none) IN_NO_ROW",
                residual(),
                norms.habits().noRow() * 2 * density(read, -1, whole, 0.08 * whole)));
      }
      // a pair is told by both its slips, and is one way all the same
      double sum = free + cases.stream().mapToDouble(c -> c.probability - c.paired / 2).sum();
      nothing = free / sum;
      cases.replaceAll(c -> new Case(c.key, c.corrected, c.probability / sum));
    }

    private boolean isOpen() {
      return lines.stream().anyMatch(line -> line.standing() == Standing.TO_COME);
    }

    /** Three steps of the coarsest figure, 10 g, a two-hundredth of the fish. */
    private double least() {
      double steps = lines.stream().mapToDouble(line -> 3 * grams(line.step())).max().orElse(0);
      return Math.max(Math.max(steps, 10), whole / 200);
    }

    private void collect(int i) {
      TallyLine line = lines.get(i);
      Habits habits = norms.habits();
      if (line.standing() == Standing.LEFT_OUT && line.expected().isPresent() && !isOpen()) {
        double spread = Math.pow(grams(line.spread()), 2);
        double loss = Math.pow(whole * norms.loss().spread(), 2);
        double norm = grams(line.expected().get());
        double corrected = norm + spread / (spread + loss) * (residual() - norm);
        slips.add(new Slip(i, "NEVER_WEIGHED", Double.NaN, corrected, habits.never()));
      }
      if (line.standing() != Standing.WEIGHED) {
        return;
      }
      double chances = line.input() == Input.TYPED && line.tray().isEmpty() ? 0 : habits.tare();
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
        add(i, "TARE_NOT_TAKEN", read[i] - mass, chances * chance * 0.6);
        add(i, "TARE_TAKEN_TWICE", read[i] + mass, chances * chance * 0.4);
      }
      add(i, "WEIGHED_TWICE", read[i] / 2, habits.twice() / 2);
      double typed =
          Map.of(Input.SCALE, 0.0, Input.TYPED, 1.0, Input.UNKNOWN, 0.5).get(line.input());
      // all figures of this test are typed in kilograms without a unit; the scale shows three
      // places
      String text = line.figure().map(TypedMass::text).orElse("0.000");
      int places = text.length() - text.indexOf('.') - 1;
      double[]
          likelier = // that a pound, a tenth, ten times as much ends there, than a sound figure
          places == 2
                  ? new double[] {0.6 / 0.15, 0.01 / 0.15, 0.9 / 0.15}
                  : places == 3
                      ? new double[] {0.39 / 0.84, 0.14 / 0.84, 0.09 / 0.84}
                      : new double[] {1, 0.85 / 0.01, 1};
      add(i, "POUNDS_AS_KILOGRAMS", read[i] * POUND, typed * habits.pounds() * likelier[0]);
      add(i, "POINT_SLIPPED", read[i] * 10, typed * habits.slipped() / 2 * likelier[1]);
      double finest =
          lines.stream()
              .filter(one -> one.mass().isPresent())
              .mapToDouble(one -> grams(one.step()))
              .min()
              .orElseThrow();
      double steps = read[i] / 10 / finest;
      boolean shown = Math.abs(steps - Math.rint(steps)) < 1e-9;
      double up = shown ? read[i] / 10 : -1;
      add(i, "POINT_SLIPPED", up, typed * habits.slipped() / 2 * likelier[2]);
      List<Double> swaps = swaps(text);
      swaps.forEach(
          swap -> add(i, "DIGITS_SWAPPED", swap, typed * habits.swapped() / swaps.size()));
      double spread = spread(i, whole);
      if (spread > 0) {
        double alone = density(without(i), -1, whole, 0);
        if (isFar(i)) {
          cases.add(
              new Case(
                  key(i, "ANYTHING_ELSE"),
                  grams(line.expected().get()),
                  habits.unknown() * alone * anywhere(i)));
        }
        for (int j = 0; j < read.length; j++) {
          double near = 3 * Math.max(grams(line.step()), grams(lines.get(j).step()));
          if (j != i && Math.abs(read[i] - read[j]) <= near && read[i] >= least()) {
            double two = Math.hypot(noise(i), noise(j));
            double same = Math.exp(-Math.pow((read[i] - read[j]) / two, 2) / 2) * spread / two;
            cases.add(
                new Case(
                    key(i, j, "UNDER_ANOTHER_NAME"),
                    grams(line.expected().get()),
                    habits.otherName() * alone * same));
          }
        }
      }
    }

    private double[] without(int i) {
      double[] others = read.clone();
      others[i] = Double.NaN;
      return others;
    }

    private boolean isNormed(int i) {
      return lines.get(i).expected().isPresent() && lines.get(i).spread().isPositive();
    }

    /** A row fits a figure within 2.6 of its spreads. */
    private boolean isNear(int i, double grams) {
      double norm = lines.get(i).expected().orElseThrow().milligrams() / 1000.0;
      return Math.abs(grams - norm) <= 2.6 * lines.get(i).spread().milligrams() / 1000.0;
    }

    private void rows() {
      int n = read.length;
      List<Integer> weighed = IntStream.range(0, n).filter(i -> read[i] > 0).boxed().toList();
      double pairs = Math.max(1, weighed.size() * (weighed.size() - 1) / 2.0);
      for (int i : weighed) {
        for (int j : weighed) {
          boolean both =
              i < j && isNormed(i) && isNormed(j) && isNear(i, read[j]) && isNear(j, read[i]);
          if (both && Math.abs(read[i] - read[j]) >= least()) {
            double[] others = read.clone();
            others[i] = read[j];
            others[j] = read[i];
            cases.add(
                new Case(
                    key(i, j, "ROWS_EXCHANGED"),
                    read[j],
                    norms.habits().rows() / pairs * density(others, -1)));
          }
        }
      }
      boolean odd =
          weighed.stream()
              .filter(this::isNormed)
              .anyMatch(i -> isFar(i) && Math.abs(z(i, read[i], whole)) > 3.29);
      if (odd && weighed.size() > 2) {
        shifted();
      }
    }

    /** The best of all permutations, tried one by one. */
    private void shifted() {
      int[] best = best(new int[0], IntStream.range(0, read.length).boxed().toList());
      int[] moved =
          IntStream.range(0, best.length)
              .filter(i -> !Double.isNaN(read[best[i]]) && best[i] != i)
              .toArray();
      boolean pair = moved.length == 2 && best[moved[0]] == moved[1] && best[moved[1]] == moved[0];
      if (moved.length == 0 || pair) {
        return;
      }
      boolean up = true;
      boolean down = true;
      for (int k = 1; k < moved.length; k++) {
        up &= best[moved[k - 1]] == moved[k];
        down &= best[moved[k]] == moved[k - 1];
      }
      double[] others = IntStream.of(best).mapToDouble(figure -> read[figure]).toArray();
      cases.add(
          new Case(
              key(best[moved[0]], moved[0], "ROWS_SHIFTED"),
              read[best[moved[0]]],
              norms.habits().rows()
                  * Math.pow(read.length, up || down ? -2 : -moved.length)
                  * density(others, -1)));
    }

    private int[] best(int[] taken, List<Integer> left) {
      if (left.isEmpty()) {
        return taken;
      }
      int[] found = null;
      for (int figure : left) {
        int row = taken.length;
        boolean out =
            lines.get(row).standing() == Standing.LEFT_OUT
                || lines.get(figure).standing() == Standing.LEFT_OUT;
        if (figure != row && (!isNormed(row) || out)) {
          continue;
        }
        int[] more = IntStream.concat(IntStream.of(taken), IntStream.of(figure)).toArray();
        List<Integer> rest = left.stream().filter(f -> f != figure).toList();
        int[] all = best(more, rest);
        if (all != null && (found == null || misfit(all) < misfit(found))) {
          found = all;
        }
      }
      return found;
    }

    private double misfit(int[] figures) {
      double sum = 0;
      for (int i = 0; i < figures.length; i++) {
        double figure = read[figures[i]];
        // the plain spreads of the norms; a row keeps its figure where nothing else is better
        double z =
            isNormed(i) && !Double.isNaN(figure)
                ? (figure - grams(lines.get(i).expected().get())) / grams(lines.get(i).spread())
                : 0;
        sum += z * z / 2 + (figures[i] == i || Double.isNaN(figure) ? 0 : 1e-6);
      }
      return sum;
    }

    private void whole(Question question) {
      double ice = norms.habits().whole() * 0.7;
      for (Tray tray : trays) {
        double one = norms.habits().whole() * 0.3 / trays.size();
        whole("WHOLE_ON_TRAY", whole - grams(tray.mass()), one);
      }
      question
          .invoiced()
          .map(PosteriorTest::grams)
          .ifPresent(
              other -> whole(other < whole ? "WHOLE_TOO_HEAVY" : "WHOLE_TOO_LIGHT", other, ice));
      for (int k = 1; k <= 30; k++) {
        double off = k / 200.0;
        double density = ice * 0.1 * Math.exp(-off / 0.05);
        whole("WHOLE_TOO_HEAVY", whole * (1 - off), density * 0.9);
        whole("WHOLE_TOO_LIGHT", whole * (1 + off), density * 0.1);
      }
    }

    private void whole(String cause, double other, double prior) {
      if (other > whole / 4 && Math.abs(other - whole) >= least()) {
        double normed =
            IntStream.range(0, read.length)
                .filter(i -> !Double.isNaN(read[i]) && isNormed(i))
                .count();
        double narrower = Math.pow(whole / other, normed);
        cases.add(
            new Case("(whole) " + cause, other, prior * narrower * density(read, -1, other, 0)));
      }
    }

    /** The digits as typed, two neighbours changed, the point where it was. */
    private static List<Double> swaps(String text) {
      int point = text.indexOf('.');
      String shown = text.replace(".", "");
      Set<Double> swaps = new LinkedHashSet<>();
      for (int k = 1; k < shown.length(); k++) {
        if (shown.charAt(k) != shown.charAt(k - 1)) {
          StringBuilder digits = new StringBuilder(shown);
          digits.setCharAt(k, shown.charAt(k - 1));
          digits.setCharAt(k - 1, shown.charAt(k));
          swaps.add(1000 * Double.parseDouble(digits.insert(point, '.').toString()));
        }
      }
      return List.copyOf(swaps);
    }

    private String key(int i, String cause) {
      return lines.get(i).id() + " " + cause;
    }

    private String key(int i, int j, String cause) {
      return lines.get(i).id() + " " + lines.get(j).id() + " " + cause;
    }

    private void add(int i, String cause, double corrected, double prior) {
      if (corrected > 0 && prior > 0 && Math.abs(corrected - read[i]) >= least()) {
        slips.add(new Slip(i, cause, corrected, corrected, prior));
      }
    }

    private void slipped(Slip slip) {
      int i = slip.line;
      double alone = density(with(read, slip), never(slip));
      double paired = 0;
      if (isFarOff()) {
        for (int j = 0; j < read.length; j++) {
          if (j != i && read[j] > 0 && isNormed(j)) {
            double[] both = with(read, slip);
            both[j] = Double.NaN;
            alone +=
                norms.habits().second()
                    / read.length
                    * anywhere(j)
                    * density(both, Set.of(never(slip)), whole, 0);
          }
        }
        for (Slip other : slips) {
          if (other.line != i) {
            double[] both = with(with(read, slip), other);
            Set<Integer> never = new HashSet<>(List.of(never(slip), never(other)));
            paired += other.prior * density(both, never, whole, 0);
          }
        }
      }
      double prior = slip.prior;
      cases.add(
          new Case(key(i, slip.cause), slip.corrected, prior * (alone + paired), prior * paired));
    }

    private static double[] with(double[] figures, Slip slip) {
      double[] others = figures.clone();
      others[slip.line] = slip.figure;
      return others;
    }

    private static int never(Slip slip) {
      return Double.isNaN(slip.figure) ? slip.line : -1;
    }

    private boolean isFar(int i) {
      return Math.abs(read[i] - grams(lines.get(i).expected().orElseThrow())) >= least();
    }

    private boolean isFarOff() {
      return Math.abs(residual()) > 3 * sigma() || worst() > 4;
    }

    private double worst() {
      return IntStream.range(0, read.length)
          .filter(i -> !Double.isNaN(read[i]) && isNormed(i) && isFar(i))
          .mapToDouble(i -> Math.abs(z(i, read[i], whole)))
          .max()
          .orElse(0);
    }

    /** A figure on four powers of ten, beside one under its norm. */
    private double anywhere(int j) {
      return spread(j, whole) * Math.sqrt(2 * Math.PI) / (read[j] * Math.log(10_000));
    }

    private double spread(int i, double of) {
      double expected = lines.get(i).expected().map(PosteriorTest::grams).orElse(0.0);
      double own = grams(lines.get(i).spread());
      double step = grams(lines.get(i).step());
      double squares = own * own + Math.pow(0.07 * expected, 2) + step * step / 3;
      return own == 0 ? 0 : of / whole * Math.sqrt(squares);
    }

    private double z(int i, double figure, double of) {
      double expected = of / whole * grams(lines.get(i).expected().orElseThrow());
      return (figure - expected) / spread(i, of);
    }

    private double density(double[] figures, int never) {
      return density(figures, never, whole, 0);
    }

    private double density(double[] figures, int never, double of, double more) {
      return density(figures, Set.of(never), of, more);
    }

    private double density(double[] figures, Set<Integer> never, double of, double more) {
      double left = of;
      double weighed = 0;
      double variance = Math.pow(of * norms.loss().spread(), 2) + scale() + more * more;
      Map<String, List<Double>> kin = new HashMap<>();
      for (int i = 0; i < figures.length; i++) {
        TallyLine line = lines.get(i);
        if (!Double.isNaN(figures[i])) {
          left -= figures[i];
          weighed += figures[i];
          if (isNormed(i)) {
            kin.computeIfAbsent(line.kin(), k -> new ArrayList<>()).add(z(i, figures[i], of));
          }
        } else if (line.standing() != Standing.LEFT_OUT || never.contains(i)) {
          left -= of / whole * line.expected().map(PosteriorTest::grams).orElse(0.0);
          variance += Math.pow(spread(i, of), 2);
        }
      }
      double density = 1;
      for (List<Double> z : kin.values()) {
        density *= z.size() == 1 ? Math.exp(-z.get(0) * z.get(0) / 2) : together(z);
      }
      double off = left - of * norms.loss().mean();
      density *= Math.exp(-off * off / variance / 2) / Math.sqrt(variance);
      double over = Math.max(0, weighed - of);
      return density * Math.exp(-over * over / scale() / 2);
    }

    private double noise(int i) {
      return grams(lines.get(i).step()) * Math.sqrt(1.0 / 12 + 1.0 / 4);
    }

    /** One step of 2 g, evenly wrong within it and by a gram beside. */
    private static double one() {
      return Math.sqrt(4.0 / 12 + 1);
    }

    private double scale() {
      double all = one() * one();
      for (TallyLine line : lines) {
        double step = grams(line.step());
        all += step * step / 12 + step * step / 4;
      }
      return all;
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
      for (int i = 0; i < read.length; i++) {
        if (lines.get(i).standing() == Standing.TO_COME) {
          variance += Math.pow(spread(i, whole), 2);
        }
      }
      return Math.sqrt(variance);
    }

    boolean isAlarm() {
      double worst = worst();
      if (isOpen()) {
        double over = DoubleStream.of(read).filter(r -> r > 0).sum() - whole;
        return (worst > 4 || over > Math.max(3 * Math.sqrt(scale()), least())) && nothing < 0.01;
      }
      double off = Math.abs(residual()) / sigma();
      boolean quiet = off <= 1.96 && worst <= 3.29;
      return !quiet && nothing < (off > 3 ? 0.3 : 0.01);
    }

    Map<String, Double> byKey() {
      Map<String, Double> sums = new LinkedHashMap<>();
      cases.forEach(c -> sums.merge(c.key, c.probability, Double::sum));
      return sums;
    }

    double corrected(String key) {
      return cases.stream()
          .filter(c -> key.equals(c.key))
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

  private static TallyLine kilograms(String id, String text, int norm, int spread) {
    int read = new BigDecimal(text).movePointRight(3).intValueExact();
    String kin = norm == 800 ? "side" : id;
    return line(id, kin, read, norm, spread).typed(TypedMass.of(text, MassUnit.KILOGRAM));
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
        "head and frame exchanged",
        with(line("belly", "belly", 600, 190, 40), line("head", "head", 180, 590, 60)),
        TRAYS
      },
      {
        "three rows down by one",
        with(
            line("left", "side", 600, 800, 70),
            line("right", "side", 820, 800, 70),
            line("head", "head", 180, 590, 60),
            line("belly", "belly", 830, 190, 40)),
        TRAYS
      },
      {"the frame again as the head", with(line("head", "head", 522, 890, 60)), TRAYS},
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
      {"slipped up, a place short", with(kilograms("belly", "1.80", 190, 40)), TRAYS},
      {"slipped down, a place long", with(kilograms("right", "0.0830", 800, 70)), TRAYS},
      {"pounds of two places", with(kilograms("left", "1.81", 800, 70)), TRAYS},
      {
        "two errors",
        with(line("left", "side", 1640, 800, 70), line("head", "head", 1322, 590, 60).typed()),
        TRAYS
      },
      {"two of one kin", with(left, line("right", "side", 415, 800, 70)), TRAYS},
      {
        "one never weighed, another twice",
        with(without("frame", 540, 60, Standing.LEFT_OUT), line("belly", "belly", 360, 190, 40)),
        TRAYS
      },
      {
        "two never weighed",
        with(
            without("frame", 540, 60, Standing.LEFT_OUT),
            without("belly", 190, 40, Standing.LEFT_OUT)),
        TRAYS
      },
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
    assertEquals(found.nothing(), oracle.nothing, 1e-7, name + ": nothing happened");
    Map<String, Double> expected = oracle.byKey();
    Map<String, Double> actual = new LinkedHashMap<>();
    for (Explanation one : found.explanations()) {
      String key =
          one.line() + one.other().map(other -> " " + other).orElse("") + " " + one.cause();
      actual.put(key, one.probability());
      assertEquals(one.probability(), expected.getOrDefault(key, -1.0), 1e-7, name + ": " + key);
      if (one.probability() > 1e-9) {
        assertEquals(grams(one.corrected()), oracle.corrected(key), 0.001, name + ": " + key);
      }
    }
    assertEquals(new TreeSet<>(actual.keySet()), new TreeSet<>(expected.keySet()), name);
    assertEquals(grams(found.residual()), oracle.residual(), 0.001, name);
    assertEquals(grams(found.sigma()), oracle.sigma(), 0.001, name);
    assertEquals(
        found.isAlarm(),
        !expected.isEmpty() && oracle.isAlarm(),
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
    double likeliest = found.stream().mapToDouble(Explanation::probability).max().orElseThrow();
    // of lines as likely as each other the surer cause is first
    assertTrue(ofLine.get(found.get(0).line()) >= most - 0.1, name);
    boolean surest = found.get(0).probability() == likeliest;
    assertTrue(surest || ofLine.get(found.get(0).line()) == most, name);
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
