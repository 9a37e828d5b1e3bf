package mosaicknife.core.breakdown;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import mosaicknife.core.breakdown.Explanation.Cause;
import mosaicknife.core.breakdown.TallyLine.Input;
import mosaicknife.core.breakdown.TallyLine.Standing;
import mosaicknife.core.check.Check;
import mosaicknife.core.quantity.Mass;

/**
 * Searches the one gross error that best explains a tally that does not add up.
 *
 * <p>Every way in which one line may be wrong is undone in turn. Its rank is its posterior
 * probability: the prior of the cause, given how the figure came in and which tray was chosen,
 * times the likelihood of the tally so corrected: the parts under their norms, two parts of one kin
 * being alike, and the loss under its norm. "Nothing happened" is one of the candidates, so that a
 * fish that merely differs from the norm raises no alarm.
 *
 * <p>Likelihoods are those of figures on the steps of a display, so the ways to arrive at one
 * compare without a Jacobian: a swap of digits or a slipped point maps a step to a figure one to
 * one, twice the part has steps half as far apart.
 *
 * <p>A second error in the same tally is not looked for: it is found after the first was mended.
 * The cost grows with lines times trays.
 */
public final class GrossErrors {

  /** Beyond this many standard deviations of the balance something is looked for at once. */
  private static final double SIGMAS = 3;

  /** Within it, only an error that is this likely is worth a word. */
  private static final double CERTAIN = 0.7;

  /** How many tallies have an error at all; a starting estimate. */
  private static final double ANY = 0.2;

  /** How often a figure between two steps is typed without any error. */
  private static final double OFF_THE_STEP = 1e-3;

  /** How often a tally is typed from a finer scale than the house's; a starting estimate. */
  private static final double FINER = 0.02;

  private static final double POUND_GRAMS = 453.59237;
  private static final double MG = 1000;

  private final List<TallyLine> lines;
  private final double whole;
  private final LossNorm loss;
  private final ScaleError scale;
  private final List<Tray> trays;
  private final Habits habits;
  private final double commonShare;

  private GrossErrors(Question question) {
    this.lines = question.lines();
    this.whole = grams(question.whole());
    this.loss = question.norms().loss();
    this.scale = question.norms().scale();
    this.commonShare = question.norms().sides().correlation();
    this.trays = question.trays();
    this.habits = question.norms().habits();
  }

  /**
   * A tally in question.
   *
   * @param whole the mass before it was cut, positive
   * @param lines its lines, at least one
   * @param trays every tray the house knows
   * @param norms what the house believes of loss, scale, habits and sides
   */
  public record Question(Mass whole, List<TallyLine> lines, List<Tray> trays, HouseNorms norms) {

    /** Refuses a whole without mass and a tally without lines. */
    public Question {
      Check.that(whole.isPositive(), "Expected a whole above 0 g, found " + whole);
      lines = List.copyOf(Check.notEmpty(lines, "lines"));
      trays = List.copyOf(trays);
      Check.notNull(norms, "norms");
    }
  }

  /**
   * How often what goes wrong, for one line: starting estimates, not measured anywhere.
   *
   * @param tare the tray's tare not taken or taken twice
   * @param never the part said not to be taken off that was
   * @param twice the part counted twice
   * @param pounds pounds read as kilograms, of a typed figure
   * @param swapped digits swapped, of a typed figure
   * @param slipped the point slipped, of a typed figure
   * @param chosenTray how often a tare that went wrong is that of the tray chosen at the bench
   */
  public record Habits(
      double tare,
      double never,
      double twice,
      double pounds,
      double swapped,
      double slipped,
      double chosenTray) {

    /** Starting estimates. */
    public static final Habits STARTING = new Habits(0.004, 0.5, 0.002, 0.003, 0.004, 0.003, 0.85);

    /** Refuses rates outside 0–1. */
    public Habits {
      for (double rate : new double[] {tare, never, twice, pounds, swapped, slipped, chosenTray}) {
        Check.inRange(rate, 0, 1, "rate");
      }
    }
  }

  /**
   * What was found.
   *
   * @param residual what the lines and the expected loss leave of the whole; negative if over
   * @param sigma the standard deviation of the residual by scale, loss and lines to come
   * @param nothing how likely it is that nothing happened, from 0 to 1
   * @param explanations one for each line and cause, the likeliest first
   * @param isAlarm whether it is worth a word
   */
  public record Diagnosis(
      Mass residual, Mass sigma, double nothing, List<Explanation> explanations, boolean isAlarm) {

    /** Copies the explanations. */
    public Diagnosis {
      explanations = List.copyOf(explanations);
    }

    /**
     * Returns the likeliest explanation.
     *
     * @return the explanation; empty without alarm
     */
    public Optional<Explanation> best() {
      return isAlarm ? explanations.stream().findFirst() : Optional.empty();
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

  private record Way(int line, Cause cause, Optional<Tray> tray, double corrected, double weight) {}

  private Diagnosis search() {
    double[] read = new double[lines.size()];
    for (int i = 0; i < read.length; i++) {
      read[i] = lines.get(i).mass().map(GrossErrors::grams).orElse(Double.NaN);
    }
    Standings standings = new Standings(read);
    int off = offTheSteps();
    double nothing = Math.log(1 - ANY) + standings.likelihood() + stepsFit(off);
    List<Way> ways = new ArrayList<>();
    for (int i = 0; i < read.length; i++) {
      double steps = stepsFit(off - offTheStep(lines.get(i)));
      for (Way way : waysOf(i, read[i])) {
        double fit =
            way.cause() == Cause.NEVER_WEIGHED
                ? standings.likelihoodWithPart(i)
                : standings.likelihoodWith(i, way.corrected());
        ways.add(new Way(i, way.cause(), way.tray(), way.corrected(), way.weight() + fit + steps));
      }
    }
    return finding(nothing, ways, read);
  }

  private Diagnosis finding(double nothing, List<Way> ways, double[] read) {
    double most = ways.stream().mapToDouble(Way::weight).reduce(nothing, Math::max);
    double sum =
        Math.exp(nothing - most)
            + ways.stream().mapToDouble(w -> Math.exp(w.weight() - most)).sum();
    double free = Math.exp(nothing - most) / sum;
    Map<String, Way> bestOf = new LinkedHashMap<>();
    Map<String, Double> sumOf = new HashMap<>();
    double[] ofLine = new double[lines.size()];
    for (Way way : ways) {
      String key = way.line() + " " + way.cause();
      double share = Math.exp(way.weight() - most) / sum;
      bestOf.merge(key, way, (a, b) -> a.weight() >= b.weight() ? a : b);
      sumOf.merge(key, share, Double::sum);
      ofLine[way.line()] += share;
    }
    List<Map.Entry<String, Way>> ranked = new ArrayList<>(bestOf.entrySet());
    ranked.sort(Comparator.comparingDouble(entry -> -sumOf.get(entry.getKey())));
    bringForward(ranked, ofLine);
    List<Explanation> explanations =
        ranked.stream().map(e -> explanation(e.getValue(), sumOf.get(e.getKey()))).toList();
    double residual = residual(read);
    double sigma = sigma();
    boolean beyond = Math.abs(residual) > SIGMAS * sigma;
    boolean alarm = !explanations.isEmpty() && (beyond ? free < 0.9 : free < 1 - CERTAIN);
    return new Diagnosis(mass(residual), mass(sigma), free, explanations, alarm);
  }

  /** The line that is likeliest over all its causes is named first, by its likeliest cause. */
  private static void bringForward(List<Map.Entry<String, Way>> ranked, double[] ofLine) {
    int line = 0;
    for (int i = 1; i < ofLine.length; i++) {
      line = ofLine[i] > ofLine[line] ? i : line;
    }
    for (int i = 0; i < ranked.size(); i++) {
      if (ranked.get(i).getValue().line() == line) {
        ranked.add(0, ranked.remove(i));
        return;
      }
    }
  }

  private Explanation explanation(Way way, double probability) {
    return new Explanation(
        lines.get(way.line()).id(),
        way.cause(),
        way.tray(),
        mass(Math.max(0, way.corrected())),
        Math.min(1, probability));
  }

  // ---- how one line may have come about -------------------------------------------------------

  private List<Way> waysOf(int i, double read) {
    TallyLine line = lines.get(i);
    List<Way> ways = new ArrayList<>();
    switch (line.standing()) {
      case LEFT_OUT -> line.expected().ifPresent(norm -> ways.add(never(i, line)));
      case WEIGHED -> {
        addTares(ways, i, line, read);
        addTyped(ways, i, line, read);
        add(ways, i, Cause.WEIGHED_TWICE, Optional.empty(), read / 2, habits.twice() / 2);
      }
      case TO_COME -> {
        // it will get its figure
      }
    }
    return ways;
  }

  private Way never(int i, TallyLine line) {
    double norm = grams(line.expected().orElseThrow());
    double spread = grams(line.spread());
    double free = whole * loss.spread();
    double left = residual(readings());
    // of what is missing, the part takes what its spread allows and the loss the rest
    double weight = spread * spread / (spread * spread + free * free);
    double corrected = norm + weight * (left - norm);
    return new Way(i, Cause.NEVER_WEIGHED, Optional.empty(), corrected, Math.log(habits.never()));
  }

  private void addTares(List<Way> ways, int i, TallyLine line, double read) {
    for (Tray tray : trays) {
      double rate = habits.tare() * chance(tray, line);
      double mass = grams(tray.mass());
      add(ways, i, Cause.TARE_NOT_TAKEN, Optional.of(tray), read - mass, 0.6 * rate);
      add(ways, i, Cause.TARE_TAKEN_TWICE, Optional.of(tray), read + mass, 0.4 * rate);
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

  private void addTyped(List<Way> ways, int i, TallyLine line, double read) {
    if (line.input() == Input.SCALE) {
      return;
    }
    double share = line.input() == Input.TYPED ? 1 : 0.5;
    add(
        ways,
        i,
        Cause.POUNDS_AS_KILOGRAMS,
        Optional.empty(),
        read * POUND_GRAMS / 1000,
        share * habits.pounds());
    addIfOnStep(ways, i, Cause.POINT_SLIPPED, read * 10, share * habits.slipped() / 2);
    addIfOnStep(ways, i, Cause.POINT_SLIPPED, read / 10, share * habits.slipped() / 2);
    List<Double> swaps = swapped(line, read);
    for (double swap : swaps) {
      addIfOnStep(ways, i, Cause.DIGITS_SWAPPED, swap, share * habits.swapped() / swaps.size());
    }
  }

  /** What was on the display before two neighbouring digits changed places. */
  private List<Double> swapped(TallyLine line, double read) {
    double unit = step(line) < 1 ? step(line) : 1;
    String digits = Long.toString(Math.round(read / unit));
    List<Double> before = new ArrayList<>();
    // a figure under a kilogram is typed with its zero: 0.985
    String shown =
        unit == 1 && digits.length() < 4 ? "0".repeat(4 - digits.length()) + digits : digits;
    for (int k = 0; k + 1 < shown.length(); k++) {
      if (shown.charAt(k) != shown.charAt(k + 1)) {
        char[] chars = shown.toCharArray();
        chars[k] = shown.charAt(k + 1);
        chars[k + 1] = shown.charAt(k);
        before.add(Long.parseLong(new String(chars)) * unit);
      }
    }
    return before;
  }

  private void addIfOnStep(List<Way> ways, int i, Cause cause, double corrected, double rate) {
    if (isOnStep(lines.get(i), corrected)) {
      add(ways, i, cause, Optional.empty(), corrected, rate);
    }
  }

  private static void add(
      List<Way> ways, int i, Cause cause, Optional<Tray> tray, double corrected, double rate) {
    if (corrected > 0 && rate > 0) {
      ways.add(new Way(i, cause, tray, corrected, Math.log(rate)));
    }
  }

  // ---- likelihood -----------------------------------------------------------------------------

  private int offTheSteps() {
    return lines.stream().mapToInt(GrossErrors::offTheStep).sum();
  }

  private static int offTheStep(TallyLine line) {
    return line.mass().isPresent() && !isOnStep(line, grams(line.mass().get())) ? 1 : 0;
  }

  /**
   * A figure between two steps of the display was not read off it; one error may explain it.
   * Several of them were more likely read off a finer scale, where half of all figures fall
   * between.
   */
  private double stepsFit(int off) {
    long figures = lines.stream().filter(line -> line.mass().isPresent()).count();
    double own = (1 - FINER) * Math.pow(OFF_THE_STEP, off);
    return Math.log(own + FINER * Math.pow(0.5, figures));
  }

  private static boolean isOnStep(TallyLine line, double grams) {
    double steps = grams / step(line);
    return Math.abs(steps - Math.rint(steps)) < 1e-6;
  }

  /**
   * The logarithm of the density of the parts under their norms, and of the loss they leave: for
   * the figures as they were read, and with one of them changed, which leaves the rest as it is.
   */
  private final class Standings {

    private final double[] read;
    private final Map<String, Kin> kins = new HashMap<>();
    private double left = whole;
    private double variance =
        Math.pow(whole * loss.spread(), 2) + Math.pow(scale.sigmaGrams(lines.size() + 1), 2);
    private boolean open;
    private double ofKins;

    Standings(double[] read) {
      this.read = read.clone();
      for (int i = 0; i < read.length; i++) {
        TallyLine line = lines.get(i);
        if (line.standing() == Standing.WEIGHED) {
          left -= read[i];
          Kin kin = kins.getOrDefault(line.kin(), Kin.NONE);
          OptionalDouble z = deviation(line, read[i]);
          kins.put(line.kin(), z.isPresent() ? kin.with(z.getAsDouble()) : kin);
        } else if (line.standing() == Standing.TO_COME) {
          left -= expected(line);
          variance += Math.pow(grams(line.spread()), 2);
          open = true;
        }
      }
      kins.values().forEach(kin -> ofKins += alike(kin));
    }

    double likelihood() {
      return ofKins + remainder(left, variance, open);
    }

    double likelihoodWith(int i, double corrected) {
      TallyLine line = lines.get(i);
      double kin = ofKins;
      OptionalDouble was = deviation(line, read[i]);
      if (was.isPresent()) {
        Kin before = kins.get(line.kin());
        double now = deviation(line, corrected).orElseThrow();
        kin += alike(before.without(was.getAsDouble()).with(now)) - alike(before);
      }
      return kin + remainder(left + read[i] - corrected, variance, open);
    }

    double likelihoodWithPart(int i) {
      TallyLine line = lines.get(i);
      double more = Math.pow(grams(line.spread()), 2);
      return ofKins + remainder(left - expected(line), variance + more, true);
    }
  }

  private static double expected(TallyLine line) {
    return line.expected().map(GrossErrors::grams).orElse(0.0);
  }

  /** Deviations that share a common part: how many, their sum and the sum of their squares. */
  private record Kin(int count, double sum, double squares) {

    static final Kin NONE = new Kin(0, 0, 0);

    Kin with(double z) {
      return new Kin(count + 1, sum + z, squares + z * z);
    }

    Kin without(double z) {
      return new Kin(count - 1, sum - z, squares - z * z);
    }
  }

  /** How far a figure lies off its norm; without a norm every figure is as likely as another. */
  private static OptionalDouble deviation(TallyLine line, double read) {
    if (line.expected().isEmpty() || !line.spread().isPositive()) {
      return OptionalDouble.empty();
    }
    return OptionalDouble.of((read - grams(line.expected().get())) / grams(line.spread()));
  }

  /**
   * The log-density of deviations that share a common part: covariance own·I + common·11ᵀ, inverted
   * by the Sherman–Morrison formula, up to a factor that depends on their number alone.
   */
  private double alike(Kin kin) {
    double shared = commonShare / (1 - commonShare + kin.count() * commonShare);
    return kin.count() <= 1
        ? -kin.squares() / 2
        : -(kin.squares() - shared * kin.sum() * kin.sum()) / (1 - commonShare) / 2;
  }

  /** The log-density of what is left under the loss norm; below nothing only the scale allows. */
  private double remainder(double left, double variance, boolean open) {
    double z = (left - whole * loss.mean()) / Math.sqrt(variance);
    double below = Math.min(0, left) / scale.sigmaGrams(lines.size() + 1);
    double hard = open ? 0 : below * below / 2;
    return -z * z / 2 - Math.log(variance) / 2 - hard;
  }

  private double[] readings() {
    return lines.stream()
        .mapToDouble(line -> line.mass().map(GrossErrors::grams).orElse(Double.NaN))
        .toArray();
  }

  private double residual(double[] read) {
    double left = whole * (1 - loss.mean());
    for (int i = 0; i < read.length; i++) {
      TallyLine line = lines.get(i);
      switch (line.standing()) {
        case WEIGHED -> left -= read[i];
        case TO_COME -> left -= expected(line);
        case LEFT_OUT -> {
          // counted as not taken off
        }
      }
    }
    return left;
  }

  private double sigma() {
    double variance =
        Math.pow(whole * loss.spread(), 2) + Math.pow(scale.sigmaGrams(lines.size() + 1), 2);
    for (TallyLine line : lines) {
      variance += line.standing() == Standing.TO_COME ? Math.pow(grams(line.spread()), 2) : 0;
    }
    return Math.sqrt(variance);
  }

  private static double step(TallyLine line) {
    return grams(line.step());
  }

  private static double grams(Mass mass) {
    return mass.milligrams() / MG;
  }

  private static Mass mass(double grams) {
    return Mass.ofMilligrams(Math.round(grams * MG));
  }
}
