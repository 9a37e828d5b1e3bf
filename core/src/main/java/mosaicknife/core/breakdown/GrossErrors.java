package mosaicknife.core.breakdown;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import mosaicknife.core.breakdown.Explanation.Cause;
import mosaicknife.core.breakdown.TallyLine.Input;
import mosaicknife.core.breakdown.TallyLine.Standing;
import mosaicknife.core.check.Check;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.MassUnit;
import mosaicknife.core.quantity.TypedMass;

/**
 * Searches the one or two gross errors that best explain a tally that does not add up.
 *
 * <p>Every way in which one line, two rows or the whole may be wrong is undone in turn. Its rank is
 * its posterior probability: the prior of the cause, given how the figure came in and which tray
 * was chosen, times the {@link Likelihood} of the tally so corrected. "Nothing happened" is one of
 * the candidates, and so is "something that has no name": a figure that lies anywhere.
 *
 * <p>Silence first: with the loss in its range of 95 % and every part in its range of 99.9 %
 * nothing is said, nor of anything under three steps, 10 g and 0.5 % of the fish. While parts are
 * to come nothing is missing: then only a tally above the fish, or one part far off by itself, is
 * worth a word.
 *
 * <p>Likelihoods are those of figures on steps, so the ways to arrive at one compare without a
 * Jacobian: a swap of digits or a slipped point maps a step to a figure one to one, twice the part
 * has steps half as far apart.
 *
 * <p>A tally that is far off may have two errors on two lines: each pair of slips is tried, and
 * told by both. A second one may also be any other, which is named after the first was mended. The
 * cost grows with the square of the lines.
 */
public final class GrossErrors {

  /** Beyond this many standard deviations of the balance something is looked for at once. */
  private static final double SIGMAS = 3;

  /** Beyond it, a word is worth while unless "nothing" is likelier than this. */
  private static final double BEYOND = 0.3;

  /** Within it, only if "nothing" is hardly possible. */
  private static final double LEFT_OPEN = 0.01;

  /** How many tallies have an error at all; a starting estimate. */
  private static final double ANY = 0.2;

  /** The loss is in its range of 95 % up to here. */
  private static final double IN_RANGE = 1.96;

  /** A part is in its range of 99.9 % up to here. */
  private static final double PART_IN_RANGE = 3.29;

  /** A row fits where it lies so far from its norm at the most. */
  private static final double FITS = 2.6;

  /** While parts are to come, one by itself must lie beyond this to be worth a word. */
  private static final double PART_ALONE = 4;

  /** Under so many steps nobody would mend it. */
  private static final int STEPS_TOO_FEW = 3;

  /** A piece without a row weighs up to twice this fraction of the fish; a starting estimate. */
  private static final double MISSING = 0.08;

  /** Ice, water and scales put the whole off by about this fraction; a starting estimate. */
  private static final double WHOLE_OFF = 0.05;

  /** Lines whose probabilities differ by less are as likely. */
  private static final double ALIKE = 0.1;

  /** So many slips are tried two by two: all those of one fish. */
  private static final int MOST_PAIRED = 400;

  /** Stands for what is whole in place of the number of a line. */
  private static final int WHOLE = -1;

  private static final int WHOLE_POINTS = 30;
  private static final double WHOLE_POINT = 0.005;

  /** How often a fish that was weighed wrong was weighed in its tray. */
  private static final double IN_A_TRAY = 0.3;

  /** How often one that was weighed wrong otherwise was weighed too light. */
  private static final double TOO_LIGHT = 0.1;

  /** Of sound typed figures so many end before the place the scale shows, there, and behind it. */
  private static final double[] ENDS_SOUND = {0.15, 0.84, 0.01};

  /** Of those whose point slipped to the right, which are ten times too heavy. */
  private static final double[] ENDS_UP = {0.9, 0.09, 0.01};

  /** Of those whose point slipped to the left. */
  private static final double[] ENDS_DOWN = {0.01, 0.14, 0.85};

  /** Of those read off another scale, in pounds. */
  private static final double[] ENDS_POUNDS = {0.6, 0.39, 0.01};

  /** Steps that are powers of ten but for the last bit. */
  private static final double NEARLY = 1e-9;

  private static final double MG = 1000;

  private final List<TallyLine> lines;
  private final double whole;
  private final Question question;
  private final List<Tray> trays;
  private final Habits habits;
  private final double[] read;
  private final Likelihood written;
  private final Mass finest;

  /** Less than this is not worth a word, in grams. */
  private final double least;

  private final boolean isFarOff;
  private final List<Slip> slips = new ArrayList<>();
  private final List<Way> ways = new ArrayList<>();

  private GrossErrors(Question question) {
    this.question = question;
    this.lines = question.lines();
    this.whole = grams(question.whole());
    this.trays = question.trays();
    this.habits = question.norms().habits();
    this.read =
        lines.stream()
            .mapToDouble(line -> line.mass().map(GrossErrors::grams).orElse(Double.NaN))
            .toArray();
    this.written = new Likelihood(lines, question.whole(), question.norms());
    double steps =
        lines.stream().mapToDouble(line -> STEPS_TOO_FEW * grams(line.step())).max().orElse(0);
    this.least = Math.max(Math.max(steps, Balance.LEAST_GRAMS), Balance.LEAST_SHARE * whole);
    this.isFarOff = Math.abs(written.residual()) > SIGMAS * written.sigma() || worst() > PART_ALONE;
    this.finest =
        lines.stream()
            .filter(line -> line.mass().isPresent())
            .map(TallyLine::step)
            .min(Comparator.naturalOrder())
            .orElse(question.norms().scale().readability());
  }

  /**
   * A tally in question.
   *
   * @param whole the mass before it was cut, positive
   * @param invoiced another figure for the whole, if there is one that differs
   * @param lines its lines, at least one
   * @param trays every tray the house knows
   * @param norms what the house believes of loss, scale, habits and sides
   * @param part the line that is whole here: a part of which the lines were cut; empty for a fish
   */
  public record Question(
      Mass whole,
      Optional<Mass> invoiced,
      List<TallyLine> lines,
      List<Tray> trays,
      HouseNorms norms,
      Optional<TallyLine> part) {

    /** A tally of a fish. */
    public Question(
        Mass whole,
        Optional<Mass> invoiced,
        List<TallyLine> lines,
        List<Tray> trays,
        HouseNorms norms) {
      this(whole, invoiced, lines, trays, norms, Optional.empty());
    }

    /** A tally of a fish of which there is one figure. */
    public Question(Mass whole, List<TallyLine> lines, List<Tray> trays, HouseNorms norms) {
      this(whole, Optional.empty(), lines, trays, norms);
    }

    /** Refuses a whole without mass and a tally without lines. */
    public Question {
      Check.that(whole.isPositive(), "Expected a whole above 0 g, found ", whole);
      Check.notNull(invoiced, "invoiced mass");
      lines = List.copyOf(Check.notEmpty(lines, "lines"));
      trays = List.copyOf(trays);
      Check.notNull(norms, "norms");
      Check.notNull(part, "part");
    }
  }

  /**
   * Searches.
   *
   * @param question the tally
   * @return what was found; same question, same answer
   */
  public static Diagnosis search(Question question) {
    return new GrossErrors(question).search();
  }

  /**
   * Searches a tally that may have an error, and takes no time over one that need not: most figures
   * of a day are sound.
   *
   * @param question the tally
   * @return what was found; empty if it is not worth a word
   */
  public static Optional<Diagnosis> worthAWord(Question question) {
    GrossErrors judge = new GrossErrors(question);
    return judge.isSilent()
        ? Optional.empty()
        : Optional.of(judge.search()).filter(Diagnosis::isAlarm);
  }

  /**
   * One way it came about; without a line it is none that has a name.
   *
   * @param weight the logarithm of how likely, alone and with another one
   * @param paired the logarithm of how likely together with another that has a name: such a tally
   *     is told by both
   */
  private record Way(
      int line,
      int other,
      Cause cause,
      Optional<Tray> tray,
      double corrected,
      double weight,
      double paired) {

    Way(int line, int other, Cause cause, Optional<Tray> tray, double corrected, double weight) {
      this(line, other, cause, tray, corrected, weight, Double.NEGATIVE_INFINITY);
    }

    What what() {
      return new What(line, other, cause);
    }
  }

  /** How one figure came about of another, and the logarithm of how often that happens. */
  private record Slip(
      Likelihood.Change change, Cause cause, Optional<Tray> tray, double corrected, double rate) {

    int line() {
      return change.line();
    }
  }

  /** What ways have in common that differ by the tray or the figure. */
  private record What(int line, int other, Cause cause) {}

  /** The likeliest of the ways that come to the same, and how likely they are together. */
  private record Ranked(Way best, double probability) {

    Ranked plus(Ranked more) {
      return new Ranked(
          best.weight() >= more.best.weight() ? best : more.best, probability + more.probability);
    }
  }

  private Diagnosis search() {
    double nothing = Math.log(1 - ANY) + written.asWritten();
    for (int i = 0; i < read.length; i++) {
      addWaysOf(i);
    }
    addSlips();
    addRows();
    addWhole();
    addMissing();
    return finding(nothing);
  }

  /** The logarithm of a sum of which the logarithms are known. */
  private static double sum(double a, double b) {
    double most = Math.max(a, b);
    return most == Double.NEGATIVE_INFINITY
        ? most
        : most + Math.log(Math.exp(a - most) + Math.exp(b - most));
  }

  private Diagnosis finding(double nothing) {
    double most = ways.stream().mapToDouble(Way::weight).reduce(nothing, Math::max);
    double all = Math.exp(nothing - most);
    for (Way way : ways) {
      all += Math.exp(way.weight() - most) - Math.exp(way.paired() - most) / 2;
    }
    double free = Math.exp(nothing - most) / all;
    Map<What, Ranked> named = new LinkedHashMap<>();
    Map<Integer, Double> ofLine = new HashMap<>();
    for (Way way : ways) {
      double share = Math.exp(way.weight() - most) / all;
      named.merge(way.what(), new Ranked(way, share), Ranked::plus);
      ofLine.merge(way.line(), share, Double::sum);
    }
    List<Ranked> ranked = new ArrayList<>(named.values());
    ranked.sort(Comparator.comparingDouble(way -> -way.probability()));
    bringForward(ranked, ofLine);
    List<Explanation> explanations = ranked.stream().map(this::explanation).toList();
    return new Diagnosis(
        mass(written.residual()),
        mass(written.sigma()),
        free,
        explanations,
        !explanations.isEmpty() && isAlarm(free));
  }

  /**
   * The line that is likeliest over all its causes is named first, by its likeliest cause. Of two
   * lines that are as likely, as with two errors, the surer cause goes first.
   */
  private static void bringForward(List<Ranked> ranked, Map<Integer, Double> ofLine) {
    double likeliest =
        ofLine.getOrDefault(ranked.isEmpty() ? -1 : ranked.get(0).best().line(), 0.0);
    ofLine.entrySet().stream()
        .max(Map.Entry.comparingByValue())
        .filter(line -> line.getValue() > likeliest + ALIKE)
        .flatMap(
            line -> ranked.stream().filter(way -> way.best().line() == line.getKey()).findFirst())
        .ifPresent(
            first -> {
              ranked.remove(first);
              ranked.add(0, first);
            });
  }

  /** Silence first: what lies in its range needs no word, however unlikely "nothing" became. */
  private boolean isSilent() {
    if (written.isOpen()) {
      boolean over = -written.remainder() > Math.max(SIGMAS * written.scale(), least);
      return !over && worst() <= PART_ALONE;
    }
    return Math.abs(written.residual()) <= IN_RANGE * written.sigma() && worst() <= PART_IN_RANGE;
  }

  private boolean isAlarm(double free) {
    boolean beyond = !written.isOpen() && Math.abs(written.residual()) > SIGMAS * written.sigma();
    return !isSilent() && free < (beyond ? BEYOND : LEFT_OPEN);
  }

  /** How far the part lies off its norm that lies off farthest. */
  private double worst() {
    double worst = 0;
    for (int i = 0; i < read.length; i++) {
      worst = isFar(i) ? Math.max(worst, Math.abs(written.deviation(i))) : worst;
    }
    return worst;
  }

  /** Whether a figure is so many grams off its norm that somebody would mend it. */
  private boolean isFar(int i) {
    return !Double.isNaN(written.deviation(i))
        && Math.abs(read[i] - grams(lines.get(i).expected().orElseThrow())) >= least;
  }

  private Explanation explanation(Ranked ranked) {
    Way way = ranked.best();
    String line =
        way.cause() == Cause.IN_NO_ROW
            ? Explanation.NO_LINE
            : way.line() < 0
                ? question.part().map(TallyLine::id).orElse(Explanation.WHOLE)
                : lines.get(way.line()).id();
    return new Explanation(
        line,
        way.other() < 0 ? Optional.empty() : Optional.of(lines.get(way.other()).id()),
        way.cause(),
        way.tray(),
        mass(Math.max(0, way.corrected())),
        mass(after(way)),
        Math.min(1, ranked.probability()));
  }

  private double after(Way way) {
    double left = written.remainder();
    if (way.line() == WHOLE) {
      return left + way.corrected() - whole;
    }
    return switch (way.cause()) {
      case ROWS_EXCHANGED, ROWS_SHIFTED -> left;
      case UNDER_ANOTHER_NAME -> left + read[way.line()];
      case NEVER_WEIGHED, IN_NO_ROW -> left - way.corrected();
      default -> left + read[way.line()] - way.corrected();
    };
  }

  // ---- how one line may have come about -------------------------------------------------------

  private void addWaysOf(int i) {
    TallyLine line = lines.get(i);
    switch (line.standing()) {
      case LEFT_OUT -> {
        if (line.expected().isPresent() && !written.isOpen()) {
          addNever(i, line);
        }
      }
      case WEIGHED -> {
        addSlips(i, line, read[i], (cause, tray, grams, rate) -> add(i, cause, tray, grams, rate));
        addOtherName(i, line);
        if (isFar(i)) {
          double weight = Math.log(habits.unknown()) + written.anything(i);
          double norm = grams(line.expected().orElseThrow());
          ways.add(new Way(i, -1, Cause.ANYTHING_ELSE, Optional.empty(), norm, weight));
        }
      }
      case TO_COME -> {
        // it will get its figure
      }
    }
  }

  private void addNever(int i, TallyLine line) {
    double norm = grams(line.expected().orElseThrow());
    double spread = grams(line.spread());
    double free = whole * question.norms().loss().spread();
    double left = written.residual();
    // of what is missing, the part takes what its spread allows and the loss the rest
    double weight = spread * spread / (spread * spread + free * free);
    double corrected = norm + weight * (left - norm);
    Likelihood.Change missing = written.change(i, Double.NaN);
    double rate = Math.log(habits.never());
    slips.add(new Slip(missing, Cause.NEVER_WEIGHED, Optional.empty(), corrected, rate));
  }

  /** Takes one way a figure came about of another. */
  private interface Slips {
    void add(Cause cause, Optional<Tray> tray, double corrected, double rate);
  }

  private void addSlips(int i, TallyLine line, double grams, Slips slips) {
    addTares(line, grams, slips);
    addTyped(i, line, grams, slips);
    slips.add(Cause.WEIGHED_TWICE, Optional.empty(), grams / 2, habits.twice() / 2);
  }

  /** A figure that was typed without a tray is the part alone. */
  private void addTares(TallyLine line, double grams, Slips slips) {
    if (line.input() == Input.TYPED && line.tray().isEmpty()) {
      return;
    }
    for (Tray tray : trays) {
      double rate = habits.tare() * chance(tray, line);
      double mass = grams(tray.mass());
      slips.add(Cause.TARE_NOT_TAKEN, Optional.of(tray), grams - mass, 0.6 * rate);
      slips.add(Cause.TARE_TAKEN_TWICE, Optional.of(tray), grams + mass, 0.4 * rate);
    }
  }

  private double chance(Tray tray, TallyLine line) {
    if (line.tray().isEmpty()) {
      return 1.0 / trays.size();
    }
    boolean chosen = line.tray().filter(tray::equals).isPresent();
    int others = Math.max(1, trays.size() - 1);
    return chosen ? habits.chosenTray() : (1 - habits.chosenTray()) / others;
  }

  private void addTyped(int i, TallyLine line, double grams, Slips slips) {
    if (line.input() == Input.SCALE || line.figure().isEmpty()) {
      return;
    }
    TypedMass figure = line.figure().get();
    double share = line.input() == Input.TYPED ? 1 : 0.5;
    int ends = ends(i, figure);
    boolean pounds = figure.bareUnit() == MassUnit.POUND || figure.bareUnit() == MassUnit.OUNCE;
    MassUnit meant =
        switch (figure.bareUnit()) {
          case KILOGRAM -> MassUnit.POUND;
          case POUND -> MassUnit.KILOGRAM;
          case GRAM -> MassUnit.OUNCE;
          case OUNCE -> MassUnit.GRAM;
        };
    figure
        .readAs(meant)
        .ifPresent(
            mass ->
                slips.add(
                    pounds ? Cause.KILOGRAMS_AS_POUNDS : Cause.POUNDS_AS_KILOGRAMS,
                    Optional.empty(),
                    grams(mass),
                    share * habits.pounds() * ENDS_POUNDS[ends] / ENDS_SOUND[ends]));
    for (Mass moved : figure.pointMoved(finest)) {
      double[] slipped = grams(moved) < grams ? ENDS_UP : ENDS_DOWN;
      double rate = share * habits.slipped() / 2 * slipped[ends] / ENDS_SOUND[ends];
      slips.add(Cause.POINT_SLIPPED, Optional.empty(), grams(moved), rate);
    }
    List<Mass> swaps = figure.digitsSwapped();
    for (Mass swap : swaps) {
      double rate = share * habits.swapped() / swaps.size();
      slips.add(Cause.DIGITS_SWAPPED, Optional.empty(), grams(swap), rate);
    }
  }

  /**
   * Where a figure with a point ends: 0 before the place the other rows show, 1 there, 2 behind it.
   * A number without a point says nothing of it.
   */
  private int ends(int i, TypedMass figure) {
    double shown = Double.MAX_VALUE;
    for (int j = 0; j < read.length; j++) {
      shown = j == i || Double.isNaN(read[j]) ? shown : Math.min(shown, grams(lines.get(j).step()));
    }
    boolean says = shown < Double.MAX_VALUE && figure.text().matches(".*\\d[.,]\\d.*");
    double place = Math.pow(10, Math.floor(Math.log10(shown) + NEARLY));
    double step = grams(figure.step());
    return !says ? 1 : step > 9 * place ? 0 : step < 0.9 * place ? 2 : 1;
  }

  private void add(int i, Cause cause, Optional<Tray> tray, double corrected, double rate) {
    if (corrected > 0 && rate > 0 && Math.abs(corrected - read[i]) >= least) {
      slips.add(new Slip(written.change(i, corrected), cause, tray, corrected, Math.log(rate)));
    }
  }

  /** Each slip by itself, and where the tally is far off with another one on another line. */
  private void addSlips() {
    Set<Slip> paired = isFarOff ? likeliest() : Set.of();
    for (Slip slip : slips) {
      double alone = written.with(slip.change());
      double both = Double.NEGATIVE_INFINITY;
      if (paired.contains(slip)) {
        alone = sum(alone, withAnother(slip));
        for (Slip other : paired) {
          if (other.line() != slip.line()) {
            both = sum(both, other.rate() + written.with(slip.change(), other.change()));
          }
        }
      }
      double rate = slip.rate();
      ways.add(
          new Way(
              slip.line(),
              -1,
              slip.cause(),
              slip.tray(),
              slip.corrected(),
              rate + sum(alone, both),
              rate + both));
    }
  }

  /** Of a lot of many fish only the slips are paired that bring their own row nearest its norm. */
  private Set<Slip> likeliest() {
    return slips.stream()
        .sorted(Comparator.comparingDouble(slip -> -slip.rate() - slip.change().density()))
        .limit(MOST_PAIRED)
        .collect(Collectors.toCollection(LinkedHashSet::new));
  }

  /** The same, where another line is wrong as well, in whatever way. */
  private double withAnother(Slip slip) {
    double sum = Double.NEGATIVE_INFINITY;
    for (int j = 0; j < read.length; j++) {
      if (j != slip.line() && !Double.isNaN(written.deviation(j))) {
        sum = sum(sum, written.withAndAnything(slip.change(), j));
      }
    }
    return sum + Math.log(habits.second() / read.length);
  }

  /** The figure is that of another row: two readings of one piece. */
  private void addOtherName(int i, TallyLine line) {
    if (Double.isNaN(written.deviation(i)) || read[i] < least) {
      return;
    }
    double norm = grams(line.expected().orElseThrow());
    for (int j = 0; j < read.length; j++) {
      double near = STEPS_TOO_FEW * Math.max(grams(line.step()), grams(lines.get(j).step()));
      if (j != i && Math.abs(read[i] - read[j]) <= near) {
        double weight = Math.log(habits.otherName()) + written.same(i, j);
        ways.add(new Way(i, j, Cause.UNDER_ANOTHER_NAME, Optional.empty(), norm, weight));
      }
    }
  }

  // ---- rows, the whole, and what has no row ---------------------------------------------------

  private void addRows() {
    int[] weighed = IntStream.range(0, read.length).filter(i -> !Double.isNaN(read[i])).toArray();
    double pairs = Math.max(1, weighed.length * (weighed.length - 1) / 2.0);
    for (int a = 0; a < weighed.length; a++) {
      for (int b = a + 1; b < weighed.length; b++) {
        addExchange(weighed[a], weighed[b], Math.log(habits.rows() / pairs));
      }
    }
    boolean odd =
        IntStream.of(weighed)
            .anyMatch(i -> isFar(i) && Math.abs(written.deviation(i)) > PART_IN_RANGE);
    if (odd && weighed.length > 2) {
      int[] figureOf = Assignment.best(lines, read);
      int[] moved =
          IntStream.range(0, read.length)
              .filter(i -> figureOf[i] >= 0)
              .filter(i -> figureOf[i] != i)
              .toArray();
      boolean exchange = moved.length == 2 && figureOf[figureOf[moved[0]]] == moved[0];
      if (moved.length > 0 && !exchange) {
        double among = isShift(figureOf, moved) ? 2 : moved.length;
        double weight =
            Math.log(habits.rows())
                - among * Math.log(read.length)
                + written.assigned(figureOf).asWritten();
        int at = moved[0];
        ways.add(
            new Way(
                figureOf[at],
                at,
                Cause.ROWS_SHIFTED,
                Optional.empty(),
                read[figureOf[at]],
                weight));
      }
    }
  }

  /** Every figure stands one row off, the same way: a row was left out at the start. */
  private static boolean isShift(int[] figureOf, int[] moved) {
    boolean next = true;
    boolean before = true;
    for (int k = 0; k < moved.length; k++) {
      int figure = figureOf[moved[k]];
      next &= k + 1 == moved.length || figure == moved[k + 1];
      before &= k == 0 || figure == moved[k - 1];
    }
    return next || before;
  }

  private void addExchange(int i, int j, double prior) {
    boolean normed = !Double.isNaN(written.deviation(i)) && !Double.isNaN(written.deviation(j));
    // a ripe fish has its roe in the guts: two rows were exchanged only if both fit then
    boolean both = normed && fits(i, read[j]) && fits(j, read[i]);
    if (both && Math.abs(read[i] - read[j]) >= least) {
      ways.add(
          new Way(
              i,
              j,
              Cause.ROWS_EXCHANGED,
              Optional.empty(),
              read[j],
              prior + written.exchanged(i, j)));
    }
  }

  private boolean fits(int i, double grams) {
    double off = Math.abs(grams - grams(lines.get(i).expected().orElseThrow()));
    return off <= FITS * grams(lines.get(i).spread());
  }

  private void addWhole() {
    question.part().ifPresentOrElse(this::addPart, this::addFish);
  }

  /** A part that is cut further came off the scale like its pieces. */
  private void addPart(TallyLine part) {
    if (part.standing() == Standing.WEIGHED) {
      addSlips(
          WHOLE,
          part,
          whole,
          (cause, tray, grams, rate) -> addWhole(cause, tray, grams, Math.log(rate)));
    }
    for (int k = 1; k <= WHOLE_POINTS; k++) {
      double off = k * WHOLE_POINT;
      double weight = Math.log(habits.unknown() / 2 * WHOLE_POINT / WHOLE_OFF) - off / WHOLE_OFF;
      addWhole(Cause.ANYTHING_ELSE, Optional.empty(), whole * (1 - off), weight);
      addWhole(Cause.ANYTHING_ELSE, Optional.empty(), whole * (1 + off), weight);
    }
  }

  private void addFish() {
    double ice = Math.log(habits.whole() * (1 - IN_A_TRAY));
    for (Tray tray : trays) {
      double weight = Math.log(habits.whole() * IN_A_TRAY / trays.size());
      addWhole(Cause.WHOLE_ON_TRAY, Optional.of(tray), whole - grams(tray.mass()), weight);
    }
    question
        .invoiced()
        .map(GrossErrors::grams)
        .ifPresent(grams -> addWhole(cause(grams), Optional.empty(), grams, ice));
    for (int k = 1; k <= WHOLE_POINTS; k++) {
      double off = k * WHOLE_POINT;
      double weight = ice + Math.log(WHOLE_POINT / WHOLE_OFF) - off / WHOLE_OFF;
      addWhole(
          Cause.WHOLE_TOO_HEAVY,
          Optional.empty(),
          whole * (1 - off),
          weight + Math.log(1 - TOO_LIGHT));
      addWhole(
          Cause.WHOLE_TOO_LIGHT, Optional.empty(), whole * (1 + off), weight + Math.log(TOO_LIGHT));
    }
  }

  private Cause cause(double grams) {
    return grams < whole ? Cause.WHOLE_TOO_HEAVY : Cause.WHOLE_TOO_LIGHT;
  }

  private void addWhole(Cause cause, Optional<Tray> tray, double grams, double prior) {
    if (grams > whole / 4 && Math.abs(grams - whole) >= least) {
      double weight = prior + written.ofWhole(grams).asWritten();
      ways.add(new Way(WHOLE, -1, cause, tray, grams, weight));
    }
  }

  private void addMissing() {
    double missing = written.residual();
    if (!written.isOpen() && missing >= least) {
      double weight = Math.log(habits.noRow()) + written.withMissing(MISSING);
      ways.add(new Way(-2, -1, Cause.IN_NO_ROW, Optional.empty(), missing, weight));
    }
  }

  private static double grams(Mass mass) {
    return mass.milligrams() / MG;
  }

  private static Mass mass(double grams) {
    return Mass.ofMilligrams(Math.round(grams * MG));
  }
}
