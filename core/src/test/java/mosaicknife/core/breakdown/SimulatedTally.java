package mosaicknife.core.breakdown;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.random.RandomGenerator;
import java.util.stream.Stream;
import mosaicknife.core.breakdown.Explanation.Cause;
import mosaicknife.core.breakdown.GrossErrors.Question;
import mosaicknife.core.breakdown.TallyLine.Input;
import mosaicknife.core.breakdown.TallyLine.Standing;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.MassUnit;
import mosaicknife.core.quantity.TypedMass;

/**
 * Tallies of fish that never were, without an error or with exactly one. The fish, their spreads
 * and the ways to write a figure down are this generator's own: it asks neither the catalogue nor
 * the simulator of the product.
 */
final class SimulatedTally {

  /** The trays of the house: four of 96–640 g. */
  static final List<Tray> TRAYS =
      List.of(
          new Tray("Dish", Mass.ofGrams(96)),
          new Tray("Steel tray", Mass.ofGrams(212)),
          new Tray("Deep tray", Mass.ofGrams(385)),
          new Tray("Tub", Mass.ofGrams(640)));

  /** Parts of the whole with their coefficients of variation; what is left over is lost. */
  private static final Object[][][] BODIES = {
    {
      {"fins", "fins", .025, .22},
      {"guts", "guts", .085, .30},
      {"gills", "gills", .018, .20},
      {"head", "head", .195, .10},
      {"collar", "collar", .045, .20},
      {"fillet-left", "fillet", .255, .08},
      {"fillet-right", "fillet", .255, .08},
      {"belly", "belly", .035, .25},
      {"frame", "frame", .072, .15}
    },
    {
      {"guts", "guts", .07, .30},
      {"gills", "gills", .015, .20},
      {"head", "head", .17, .10},
      {"fins", "fins", .06, .20},
      {"eye-back", "fillet", .145, .10},
      {"eye-belly", "fillet", .11, .10},
      {"blind-back", "fillet", .125, .10},
      {"blind-belly", "fillet", .095, .10},
      {"frame", "frame", .195, .12}
    },
    {
      {"head", "head", .16, .09},
      {"fins", "fins", .02, .20},
      {"collar", "collar", .05, .18},
      {"top-left", "loin", .16, .08},
      {"top-right", "loin", .16, .08},
      {"bottom-left", "loin", .12, .08},
      {"bottom-right", "loin", .12, .08},
      {"belly", "belly", .08, .20},
      {"frame", "frame", .115, .14}
    },
  };

  /**
   * A part as the generator draws it.
   *
   * @param id its slot
   * @param kin parts of one kin differ alike
   * @param mean its share of the whole
   * @param variation its coefficient of variation
   */
  record Share(String id, String kin, double mean, double variation) {}

  /** What the generator knows of the fish that has these lines. */
  static List<Share> bodyOf(List<TallyLine> lines) {
    for (Object[][] body : BODIES) {
      List<Share> parts =
          Arrays.stream(body)
              .map(p -> new Share((String) p[0], (String) p[1], (double) p[2], (double) p[3]))
              .toList();
      if (parts.stream()
          .map(Share::id)
          .toList()
          .equals(lines.stream().map(TallyLine::id).toList())) {
        return parts;
      }
    }
    throw new IllegalArgumentException("no such body");
  }

  /** How figures are written down. */
  enum Way {
    /** Off the scale, steps of 1, 2 or 5 g. */
    SCALE,
    /** Typed in grams, kilograms, ounces, pounds, or pounds and ounces. */
    GRAMS,
    KILOGRAMS,
    OUNCES,
    POUNDS,
    POUNDS_AND_OUNCES,
    /** Some off the scale, some typed without a unit. */
    MIXED
  }

  /** What goes wrong beyond the causes that have a name. */
  static final String ANYTHING = "ANYTHING_ELSE";

  private final RandomGenerator random;
  private double normsOff;
  private boolean heavyTails;
  private boolean ripe;
  private List<Tray> under = TRAYS;

  SimulatedTally(RandomGenerator random) {
    this.random = random;
  }

  /** Norms that are up to this fraction off, each by its own amount. */
  SimulatedTally withNormsOff(double fraction) {
    normsOff = fraction;
    return this;
  }

  /** One fish in ten differs three times as much. */
  SimulatedTally withHeavyTails() {
    heavyTails = true;
    return this;
  }

  /** Trays the house does not know. */
  SimulatedTally onOtherTrays() {
    under = List.of(new Tray("Bowl", Mass.ofGrams(154)), new Tray("Basket", Mass.ofGrams(521)));
    return this;
  }

  /** The starting norms on a scale of a step. */
  static HouseNorms onScale(Mass step) {
    HouseNorms usual = HouseNorms.STARTING;
    return new HouseNorms(
        usual.loss(), ScaleError.of(step), usual.habits(), usual.sides(), usual.sizes());
  }

  /**
   * A tally and what is wrong with it.
   *
   * @param question what is asked
   * @param culprit the line at fault; empty if nothing is wrong
   * @param other the second line, for pairs
   * @param what the cause, or that it is anything else; empty if nothing is wrong
   * @param truth what the line really weighs, in grams
   * @param effect how far the figure is off, in grams
   */
  record Case(
      Question question,
      String culprit,
      String other,
      Optional<String> what,
      double truth,
      double effect) {

    boolean isRight(Explanation found) {
      return what.filter(w -> named(found.cause()).equals(w)).isPresent() && isAt(found);
    }

    boolean isAt(Explanation found) {
      return found.line().equals(culprit) || !other.isEmpty() && found.line().equals(other);
    }

    boolean isCorrected(Explanation found) {
      double off = Math.abs(found.corrected().inGrams().doubleValue() - truth);
      return off <= 0.05 * truth + 6;
    }
  }

  /** Both ways to get a tare wrong are one, and all ways to get the whole wrong by itself. */
  static String named(Cause cause) {
    return switch (cause) {
      case TARE_TAKEN_TWICE -> Cause.TARE_NOT_TAKEN.name();
      case WHOLE_TOO_LIGHT -> Cause.WHOLE_TOO_HEAVY.name();
      case KILOGRAMS_AS_POUNDS -> Cause.POUNDS_AS_KILOGRAMS.name();
      default -> cause.name();
    };
  }

  /** A fish written down as it is. */
  Case sound(Way way) {
    Drawn drawn = draw(way);
    return new Case(question(drawn, drawn.lines), "", "", Optional.empty(), 0, 0);
  }

  /** A sound tally of a fish with its roe still in the guts. */
  Case ripe() {
    ripe = true;
    while (true) {
      Case one = sound(Way.MIXED);
      if (one.question().lines().stream().anyMatch(line -> line.id().equals("guts"))) {
        return one;
      }
    }
  }

  private static final class Drawn {
    double whole;
    double step;
    MassUnit wholeUnit;
    final List<Object[]> parts = new ArrayList<>();
    final List<Double> truth = new ArrayList<>();
    final List<Double> norm = new ArrayList<>();
    final List<Tray> trays = new ArrayList<>();
    final List<TallyLine> lines = new ArrayList<>();
  }

  private Drawn draw(Way way) {
    while (true) {
      Drawn drawn = tryDraw(way);
      if (drawn.truth.stream().allMatch(g -> g > 2.5 * drawn.step)) {
        return drawn;
      }
    }
  }

  private Drawn tryDraw(Way way) {
    Drawn drawn = new Drawn();
    Object[][] body = BODIES[random.nextInt(BODIES.length)];
    drawn.step = List.of(1.0, 2.0, 5.0).get(random.nextInt(3));
    drawn.whole =
        Math.rint(Math.exp(random.nextDouble(Math.log(400), Math.log(9000))) / drawn.step)
            * drawn.step;
    drawn.wholeUnit =
        way == Way.OUNCES || way == Way.POUNDS_AND_OUNCES
            ? MassUnit.OUNCE
            : way == Way.POUNDS ? MassUnit.POUND : MassUnit.GRAM;
    double[] share = new double[body.length];
    double fish = deviation();
    double all = 0;
    for (int i = 0; i < body.length; i++) {
      boolean side = List.of("fillet", "loin").contains(body[i][1]);
      double z = side ? Math.sqrt(.9) * fish + Math.sqrt(.1) * deviation() : deviation();
      share[i] = (double) body[i][2] * Math.max(0.15, 1 + (double) body[i][3] * z);
      share[i] += ripe && body[i][1].equals("guts") ? random.nextDouble(0.06, 0.16) : 0;
      all += share[i];
    }
    double loss = Math.max(0.001, .015 + .008 * random.nextGaussian());
    for (int i = 0; i < body.length; i++) {
      drawn.parts.add(body[i]);
      drawn.truth.add(drawn.whole * (1 - loss) * share[i] / all);
      double off = 1 + normsOff * random.nextDouble(-1, 1);
      drawn.norm.add(drawn.whole * (double) body[i][2] * off);
      drawn.trays.add(under.get(random.nextInt(under.size())));
    }
    for (int i = 0; i < body.length; i++) {
      drawn.lines.add(line(drawn, i, drawn.truth.get(i), wayOf(way)));
    }
    return drawn;
  }

  private double deviation() {
    double z = random.nextGaussian();
    return heavyTails && random.nextInt(10) == 0 ? 2.2 * z : z;
  }

  private Way wayOf(Way way) {
    return way == Way.MIXED ? random.nextDouble() < 0.4 ? Way.KILOGRAMS : Way.SCALE : way;
  }

  /** Writes a true weight down; a typed figure bears its unit where the way has one. */
  private TallyLine line(Drawn drawn, int i, double grams, Way way) {
    double noisy = grams + random.nextGaussian() * drawn.step / 2;
    double dial = Math.max(drawn.step, Math.rint(noisy / drawn.step) * drawn.step);
    if (way == Way.SCALE) {
      Optional<Tray> chosen =
          random.nextDouble() < 0.7 && TRAYS.contains(drawn.trays.get(i))
              ? Optional.of(drawn.trays.get(i))
              : Optional.empty();
      return base(drawn, i, mass(dial), Optional.empty(), chosen);
    }
    return typed(drawn, i, text(way, way == Way.GRAMS || way == Way.KILOGRAMS ? dial : noisy));
  }

  private static String text(Way way, double grams) {
    double ounces = Math.max(.1, Math.rint(grams / 2.8349523125) / 10);
    return switch (way) {
      case GRAMS -> Math.round(grams) + " g";
      case OUNCES -> decimals(ounces, 1) + " oz";
      case POUNDS -> decimals(Math.max(.01, grams / 453.59237), 2) + " lb";
      case POUNDS_AND_OUNCES ->
          ounces < 16
              ? decimals(ounces, 1) + " oz"
              : (int) (ounces / 16)
                  + " lb "
                  + decimals(ounces - 16 * (int) (ounces / 16), 1)
                  + " oz";
      default -> decimals(grams / 1000, 3);
    };
  }

  private static String decimals(double value, int places) {
    return BigDecimal.valueOf(value).setScale(places, RoundingMode.HALF_UP).toPlainString();
  }

  private TallyLine typed(Drawn drawn, int i, String text) {
    TypedMass figure = TypedMass.of(text, MassUnit.KILOGRAM);
    Mass mass = mosaicknife.core.quantity.MassText.parse(text, MassUnit.KILOGRAM).mass();
    return base(drawn, i, mass, Optional.of(figure), Optional.empty());
  }

  private TallyLine base(
      Drawn drawn, int i, Mass mass, Optional<TypedMass> figure, Optional<Tray> chosen) {
    Object[] part = drawn.parts.get(i);
    double norm = drawn.norm.get(i);
    return new TallyLine(
        (String) part[0],
        (String) part[1],
        Optional.of(mass),
        Optional.of(mass(norm)),
        mass(norm * (double) part[3]),
        figure.isPresent() ? Input.TYPED : Input.SCALE,
        figure.map(TypedMass::step).orElse(mass(drawn.step)),
        figure,
        chosen,
        Standing.WEIGHED);
  }

  private Question question(Drawn drawn, List<TallyLine> lines) {
    return question(drawn, lines, drawn.whole);
  }

  private Question question(Drawn drawn, List<TallyLine> lines, double whole) {
    Mass written =
        switch (drawn.wholeUnit) {
          case OUNCE -> in(whole, "0.1", MassUnit.OUNCE);
          case POUND -> in(whole, "0.01", MassUnit.POUND);
          default -> mass(whole);
        };
    // what is expected of a part is a share of what was written down for the whole
    double factor = whole / drawn.whole;
    List<TallyLine> expected = lines.stream().map(line -> scaled(line, factor)).toList();
    return new Question(written, expected, TRAYS, onScale(mass(drawn.step)));
  }

  private static TallyLine scaled(TallyLine line, double factor) {
    return new TallyLine(
        line.id(),
        line.kin(),
        line.mass(),
        line.expected().map(m -> mass(factor * m.inGrams().doubleValue())),
        mass(factor * line.spread().inGrams().doubleValue()),
        line.input(),
        line.step(),
        line.figure(),
        line.tray(),
        line.standing());
  }

  private static Mass in(double grams, String step, MassUnit unit) {
    double one = Double.parseDouble(step) * unit.milligrams().doubleValue() / 1000;
    BigDecimal steps = BigDecimal.valueOf(Math.round(grams / one));
    return Mass.of(steps.multiply(new BigDecimal(step)), unit, RoundingMode.HALF_UP);
  }

  /** A tally with one error whose effect is above three sigma of the balance, or any for rows. */
  Case wrong(String what) {
    while (true) {
      Optional<Case> made = tryWrong(what);
      if (made.isPresent()) {
        Case one = made.get();
        Question asked = one.question();
        double sigma = new Likelihood(asked.lines(), asked.whole(), asked.norms()).sigma();
        boolean rows =
            List.of("ROWS_EXCHANGED", "ROWS_SHIFTED", "UNDER_ANOTHER_NAME").contains(what);
        if (rows || one.effect() > 3 * sigma) {
          return one;
        }
      }
    }
  }

  private Optional<Case> tryWrong(String what) {
    return spoilt(draw(Way.MIXED), what);
  }

  private Optional<Case> spoilt(Drawn drawn, String what) {
    List<TallyLine> lines = new ArrayList<>(drawn.lines);
    int at = random.nextInt(lines.size());
    int next = (at + 1 + random.nextInt(lines.size() - 1)) % lines.size();
    double truth = drawn.truth.get(at);
    double read = lines.get(at).mass().orElseThrow().inGrams().doubleValue();
    String culprit = lines.get(at).id();
    String other = "";
    double whole = drawn.whole;
    double effect;
    switch (what) {
      case "TARE_NOT_TAKEN" -> {
        double tray = drawn.trays.get(at).mass().inGrams().doubleValue();
        double sign = random.nextBoolean() ? 1 : -1;
        if (read + sign * tray <= drawn.step) {
          return Optional.empty();
        }
        lines.set(at, line(drawn, at, truth + sign * tray, Way.SCALE));
        effect = tray;
      }
      case "NEVER_WEIGHED" -> {
        TallyLine line = lines.get(at);
        lines.set(
            at,
            new TallyLine(
                line.id(),
                line.kin(),
                Optional.empty(),
                line.expected(),
                line.spread(),
                Input.UNKNOWN,
                line.step(),
                Optional.empty(),
                Standing.LEFT_OUT));
        effect = truth;
      }
      case "WEIGHED_TWICE" -> {
        lines.set(at, line(drawn, at, 2 * truth, Way.SCALE));
        effect = truth;
      }
      case "POUNDS_AS_KILOGRAMS" -> {
        lines.set(at, typed(drawn, at, decimals(Math.max(.01, truth / 453.59237), 2)));
        effect = truth * 1.2;
      }
      case "DIGITS_SWAPPED" -> {
        String text = decimals(read / 1000, 3);
        int k = List.of(0, 2, 3).get(random.nextInt(3));
        int l = k == 0 ? 2 : k + 1;
        char[] digits = text.toCharArray();
        digits[k] = text.charAt(l);
        digits[l] = text.charAt(k);
        if (digits[k] == digits[l] || Double.parseDouble(new String(digits)) <= 0) {
          return Optional.empty();
        }
        lines.set(at, typed(drawn, at, new String(digits)));
        effect = Math.abs(read - 1000 * Double.parseDouble(new String(digits)));
      }
      case "POINT_SLIPPED" -> {
        boolean up = random.nextBoolean();
        lines.set(at, typed(drawn, at, up ? decimals(read / 100, 2) : decimals(read / 10_000, 4)));
        effect = up ? 9 * read : 0.9 * read;
      }
      case "ROWS_EXCHANGED" -> {
        lines.set(at, as(lines.get(at), lines.get(next)));
        lines.set(next, as(lines.get(next), drawn.lines.get(at)));
        other = lines.get(next).id();
        effect = Math.abs(read - drawn.truth.get(next));
        boolean sides = lines.get(at).kin().equals(lines.get(next).kin());
        if (sides || effect < 0.05 * whole) {
          return Optional.empty();
        }
      }
      case "UNDER_ANOTHER_NAME" -> {
        lines.set(at, line(drawn, at, drawn.truth.get(next), Way.SCALE));
        other = lines.get(next).id();
        effect = Math.abs(truth - drawn.truth.get(next));
        boolean sides = lines.get(at).kin().equals(lines.get(next).kin());
        if (sides || effect < 0.05 * whole) {
          return Optional.empty();
        }
      }
      case "IN_NO_ROW" -> {
        double lost = truth * random.nextDouble(0.3, 0.6);
        lines.set(at, line(drawn, at, truth - lost, Way.SCALE));
        truth = lost;
        culprit = Explanation.NO_LINE;
        effect = lost;
      }
      case "WHOLE_ON_TRAY" -> {
        Tray tray = TRAYS.get(random.nextInt(TRAYS.size()));
        truth = whole;
        whole += tray.mass().inGrams().doubleValue();
        culprit = Explanation.WHOLE;
        effect = whole - truth;
      }
      case "WHOLE_TOO_HEAVY" -> {
        truth = whole;
        whole = Math.rint(whole * random.nextDouble(1.03, 1.12) / drawn.step) * drawn.step;
        culprit = Explanation.WHOLE;
        effect = whole - truth;
      }
      default -> {
        double factor =
            random.nextBoolean() ? random.nextDouble(.1, .7) : random.nextDouble(1.5, 6);
        lines.set(at, line(drawn, at, truth * factor, Way.SCALE));
        effect = Math.abs(factor - 1) * truth;
      }
    }
    return Optional.of(
        new Case(question(drawn, lines, whole), culprit, other, Optional.of(what), truth, effect));
  }

  /** A tally with two errors, on two lines. */
  record Pair(Question question, Case one, Case other) {

    boolean isOne(Explanation found) {
      return one.isRight(found) || other.isRight(found);
    }

    /** Whether the line and the name of an error are those of one. */
    boolean isOne(String key) {
      return Stream.of(one, other)
          .anyMatch(made -> key.equals(made.culprit() + " " + made.what().orElseThrow()));
    }

    boolean isMendedBy(Explanation found) {
      return isMendedBy(found, one) || isMendedBy(found, other);
    }

    /** What was never weighed is put on the scale now. */
    private static boolean isMendedBy(Explanation found, Case made) {
      boolean weighed = found.cause() == Cause.NEVER_WEIGHED;
      return made.isRight(found) && (weighed || made.isCorrected(found));
    }

    /** What the line weighs after the tap. */
    Mass after(Explanation found) {
      Case made = found.line().equals(one.culprit()) ? one : other;
      return found.cause() == Cause.NEVER_WEIGHED ? mass(made.truth()) : found.corrected();
    }
  }

  /** Two errors in one fish: the spoilt line of one tally and that of another of the same fish. */
  Pair twice(String what, String another) {
    while (true) {
      Drawn drawn = draw(Way.MIXED);
      Optional<Case> one = spoilt(drawn, what);
      Optional<Case> other = spoilt(drawn, another);
      if (one.isPresent()
          && other.isPresent()
          && !one.get().culprit().equals(other.get().culprit())
          && Math.min(one.get().effect(), other.get().effect()) > 0.06 * drawn.whole) {
        List<TallyLine> lines = new ArrayList<>(one.get().question().lines());
        lines.replaceAll(
            line ->
                line.id().equals(other.get().culprit())
                    ? other.get().question().lines().stream()
                        .filter(l -> l.id().equals(line.id()))
                        .findFirst()
                        .orElseThrow()
                    : line);
        return new Pair(with(one.get().question(), lines), one.get(), other.get());
      }
    }
  }

  static Question with(Question question, List<TallyLine> lines) {
    return new Question(question.whole(), lines, question.trays(), question.norms());
  }

  /** The line with the figure it has after the tap. */
  static TallyLine mended(TallyLine line, Explanation found, Mass now) {
    return line.id().equals(found.line())
        ? new TallyLine(
            line.id(),
            line.kin(),
            Optional.of(now),
            line.expected(),
            line.spread(),
            Input.SCALE,
            line.step(),
            Optional.empty(),
            Standing.WEIGHED)
        : line;
  }

  private static TallyLine as(TallyLine row, TallyLine figure) {
    return new TallyLine(
        row.id(),
        row.kin(),
        figure.mass(),
        row.expected(),
        row.spread(),
        figure.input(),
        figure.step(),
        figure.figure(),
        figure.tray(),
        row.standing());
  }

  private static Mass mass(double grams) {
    return Mass.ofMilligrams(Math.round(grams * 1000));
  }
}
