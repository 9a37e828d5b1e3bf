package mosaicknife.core.breakdown;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.random.RandomGenerator;
import mosaicknife.core.anatomy.Catalogue;
import mosaicknife.core.anatomy.Share;
import mosaicknife.core.anatomy.Species;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.breakdown.Explanation.Cause;
import mosaicknife.core.breakdown.GrossErrors.Question;
import mosaicknife.core.breakdown.TallyLine.Input;
import mosaicknife.core.breakdown.TallyLine.Standing;
import mosaicknife.core.practice.FishSimulator;
import mosaicknife.core.quantity.Mass;

/** Tallies of fish that never were, without an error or with exactly one. */
final class SimulatedTally {

  /** The trays of the benchmark: four of 96–640 g. */
  static final List<Tray> TRAYS =
      List.of(
          new Tray("Dish", Mass.ofGrams(96)),
          new Tray("Steel tray", Mass.ofGrams(212)),
          new Tray("Deep tray", Mass.ofGrams(385)),
          new Tray("Tub", Mass.ofGrams(640)));

  private static final double POUND = 453.59237;
  private static final double TYPED = 0.4;
  private static final double ON_A_TRAY = 0.8;
  private static final double TRAY_CHOSEN_RIGHT = 0.9;

  private final RandomGenerator random;
  private final List<Species> species;

  SimulatedTally(RandomGenerator random) {
    this.random = random;
    this.species = List.copyOf(Catalogue.shipped().species());
  }

  /** The starting norms on a scale of a step. */
  static HouseNorms onScale(Mass step) {
    HouseNorms usual = HouseNorms.STARTING;
    return new HouseNorms(
        usual.loss(), ScaleError.of(step), usual.habits(), usual.sides(), usual.sizes());
  }

  /** A tally and what is wrong with it. */
  record Case(Question question, String culprit, Optional<Cause> cause, double truth) {

    /** The same tally as a reader sees it who knows neither trays nor keyboards. */
    Question plain() {
      return new Question(
          question.whole(),
          question.lines().stream().map(TallyLine::unknown).toList(),
          question.trays(),
          question.norms());
    }
  }

  private record Line(
      Share share, double truth, double read, boolean typed, Tray under, Optional<Tray> chosen) {}

  Case free() {
    return tally(Optional.empty());
  }

  /** An error of one of the six kinds whose effect is above three sigma of the balance. */
  Case wrong(Cause cause) {
    while (true) {
      Case made = tally(Optional.of(cause));
      double effect = Math.abs(made.truth() - readOf(made));
      double sigma = GrossErrors.search(made.question()).sigma().inGrams().doubleValue();
      if (effect > 3 * sigma) {
        return made;
      }
    }
  }

  private static double readOf(Case made) {
    return made.question().lines().stream()
        .filter(line -> line.id().equals(made.culprit()))
        .findFirst()
        .flatMap(TallyLine::mass)
        .map(mass -> mass.inGrams().doubleValue())
        .orElse(0.0);
  }

  private Case tally(Optional<Cause> cause) {
    while (true) {
      Optional<Case> made = tryTally(cause);
      if (made.isPresent()) {
        return made.get();
      }
    }
  }

  private Optional<Case> tryTally(Optional<Cause> cause) {
    Species fish = species.get(random.nextInt(species.size()));
    State state = State.OF_FISH.get(random.nextInt(State.OF_FISH.size()));
    List<Share> shares = fish.sharesIn(state);
    double grams =
        Math.exp(
            random.nextDouble(
                Math.log(grams(fish.usualMass().lowest())),
                Math.log(1.001 * grams(fish.usualMass().highest()))));
    if (shares.size() < 6 || shares.size() > 14 || grams < 150) {
      return Optional.empty();
    }
    double step = List.of(1.0, 2.0, 5.0).get(random.nextInt(3));
    Mass whole = mass(onStep(grams, step));
    Map<String, Mass> truth = FishSimulator.draw(fish, state, whole, HouseNorms.STARTING, random);
    List<Line> drawn = new ArrayList<>();
    for (Share share : shares) {
      double true_ = truth.get(share.slot().code()).inGrams().doubleValue();
      double read = onStep(true_ + random.nextGaussian() * step / 2, step);
      Tray under = TRAYS.get(random.nextInt(TRAYS.size()));
      Optional<Tray> chosen =
          random.nextDouble() > ON_A_TRAY
              ? Optional.empty()
              : Optional.of(
                  random.nextDouble() < TRAY_CHOSEN_RIGHT
                      ? under
                      : TRAYS.get(random.nextInt(TRAYS.size())));
      drawn.add(
          new Line(share, true_, Math.max(step, read), random.nextDouble() < TYPED, under, chosen));
    }
    int at = random.nextInt(drawn.size());
    Line culprit = drawn.get(at);
    if (cause.isPresent()) {
      Line spoilt = spoil(culprit, cause.get(), step);
      boolean same = spoilt.read() == culprit.read() && cause.get() != Cause.NEVER_WEIGHED;
      if (spoilt.read() <= 0 || same) {
        return Optional.empty();
      }
      drawn.set(at, spoilt);
    }
    boolean never = cause.filter(Cause.NEVER_WEIGHED::equals).isPresent();
    Expectation norm = Expectation.of(fish, state, whole, LossNorm.STARTING);
    List<TallyLine> lines = new ArrayList<>();
    for (int i = 0; i < drawn.size(); i++) {
      lines.add(line(drawn.get(i), norm, mass(step), never && i == at));
    }
    Question question = new Question(whole, lines, TRAYS, onScale(mass(step)));
    return Optional.of(new Case(question, culprit.share().slot().code(), cause, culprit.read()));
  }

  private Line spoil(Line line, Cause cause, double step) {
    double read =
        switch (cause) {
          case TARE_NOT_TAKEN -> line.read() + tare(line);
          case TARE_TAKEN_TWICE -> line.read() - tare(line);
          case NEVER_WEIGHED -> line.read();
          case WEIGHED_TWICE ->
              line.read() + onStep(line.truth() + random.nextGaussian() * step / 2, step);
          case POUNDS_AS_KILOGRAMS -> onStep(line.truth() / POUND * 1000, 2 * step);
          case DIGITS_SWAPPED -> swap(line.read());
          case POINT_SLIPPED -> random.nextBoolean() ? line.read() * 10 : line.read() / 10;
        };
    boolean byHand =
        cause == Cause.POUNDS_AS_KILOGRAMS
            || cause == Cause.DIGITS_SWAPPED
            || cause == Cause.POINT_SLIPPED;
    return new Line(
        line.share(), line.truth(), read, byHand || line.typed(), line.under(), line.chosen());
  }

  private static double tare(Line line) {
    return line.under().mass().inGrams().doubleValue();
  }

  private double swap(double read) {
    char[] digits = "%04d".formatted(Math.round(read)).toCharArray();
    int at = random.nextInt(digits.length - 1);
    char first = digits[at];
    digits[at] = digits[at + 1];
    digits[at + 1] = first;
    return Long.parseLong(new String(digits));
  }

  private static TallyLine line(Line line, Expectation norm, Mass step, boolean never) {
    String slot = line.share().slot().code();
    Expectation.Expected expected = norm.find(slot).orElseThrow();
    return new TallyLine(
        slot,
        line.share().slot().kind().code(),
        never ? Optional.empty() : Optional.of(mass(line.read())),
        Optional.of(expected.mass()),
        expected.spread(),
        line.typed() ? Input.TYPED : Input.SCALE,
        step,
        line.chosen(),
        never ? Standing.LEFT_OUT : Standing.WEIGHED);
  }

  private static double onStep(double grams, double step) {
    return Math.rint(grams / step) * step;
  }

  private static double grams(Mass mass) {
    return mass.inGrams().doubleValue();
  }

  private static Mass mass(double grams) {
    return Mass.ofMilligrams(Math.round(grams * 1000));
  }
}
