package mosaicknife.core.breakdown;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.DoubleStream;
import mosaicknife.core.breakdown.GrossErrors.Question;
import mosaicknife.core.breakdown.SimulatedTally.Share;
import mosaicknife.core.breakdown.TallyLine.Input;
import mosaicknife.core.breakdown.TallyLine.Standing;
import mosaicknife.core.quantity.TypedMass;

/**
 * A judge that knows what nobody in a kitchen knows: the shares, spreads, slips and rates by which
 * {@link SimulatedTally} draws. What it cannot tell apart nobody can. It works by the densities of
 * the generator itself: shares that are normal and then made to fill the fish, a loss, and a figure
 * that went one way or another.
 */
final class ReferenceJudge {

  private static final double LOSS = .015;
  private static final double LOSS_SPREAD = .008;
  private static final double ALIKE = .9;
  private static final double POUND = .45359237;
  private static final Set<String> SIDES = Set.of("fillet", "loin");

  /** Of ten rows that are sound, six came off the scale. */
  private static final double OFF_THE_SCALE = .6;

  /** What the loss may be, in its standard deviations. */
  private static final double[] LOSSES =
      DoubleStream.iterate(-1.75, z -> z <= 3, z -> z + .25).toArray();

  private final List<TallyLine> lines;
  private final List<Share> body;
  private final double whole;
  private final double[] read;
  private final double[] noise;
  private final double least;
  private final Map<String, Double> found = new HashMap<>();

  private ReferenceJudge(Question question) {
    lines = question.lines();
    body = SimulatedTally.bodyOf(lines);
    whole = question.whole().inGrams().doubleValue();
    read =
        lines.stream()
            .mapToDouble(line -> line.mass().map(m -> m.inGrams().doubleValue()).orElse(Double.NaN))
            .toArray();
    noise =
        lines.stream()
            .mapToDouble(line -> line.step().inGrams().doubleValue() * Math.sqrt(1.0 / 12 + .25))
            .toArray();
    double scale = DoubleStream.of(noise).map(s -> s * s).sum() + noise[0] * noise[0];
    least = 3 * Math.sqrt(Math.pow(whole * LOSS_SPREAD, 2) + scale);
  }

  /** The likeliest of all kinds of error, each as frequent as the others: its line and its name. */
  static String ofOne(Question question, List<String> kinds) {
    ReferenceJudge judge = new ReferenceJudge(question);
    kinds.forEach(judge::addKind);
    return judge.best();
  }

  /** The likeliest error of a tally with two on two lines, each of six kinds. */
  static String ofTwo(Question question) {
    ReferenceJudge judge = new ReferenceJudge(question);
    judge.addPairs();
    return judge.best();
  }

  private static String key(String line, String what) {
    return line + " " + what;
  }

  private String best() {
    return found.entrySet().stream().max(Map.Entry.comparingByValue()).orElseThrow().getKey();
  }

  private void add(String line, String what, double density) {
    found.merge(key(line, what), density, Double::sum);
  }

  /** One way to undo what went wrong with one line. */
  private record Undone(String what, double grams, double rate) {}

  // ---- the density of a fish as it is -----------------------------------------------------------

  /** The density of the parts of a fish that weighs so much, in grams to the power of the parts. */
  private double density(double[] grams, double of) {
    double sum = DoubleStream.of(grams).sum();
    double lost = 1 - sum / of;
    double noises = 0;
    double a = 0;
    double b = 0;
    double c = 0;
    double logs = 0;
    double alike = 0;
    double alikeF = 0;
    double alikeM = 0;
    int sides = 0;
    for (int i = 0; i < grams.length; i++) {
      Share part = body.get(i);
      noises += Math.pow(noise[i] / of, 2);
      double spread = Math.hypot(part.mean() * part.variation(), noise[i] / of);
      double f = grams[i] / sum / spread;
      double m = part.mean() / spread;
      double own = SIDES.contains(part.kin()) ? 1 / (1 - ALIKE) : 1;
      a += own * f * f;
      b += own * f * m;
      c += own * m * m;
      logs -= Math.log(spread);
      if (own > 1) {
        sides++;
        alikeF += f;
        alikeM += m;
      }
    }
    if (sides > 0) {
      // Sherman–Morrison: all sides share nine tenths of their variance
      alike = ALIKE / (1 - ALIKE) / (1 - ALIKE + sides * ALIKE);
      a -= alike * alikeF * alikeF;
      b -= alike * alikeF * alikeM;
      c -= alike * alikeM * alikeM;
    }
    // the size of the shares before they fill the fish: normal, times a power that is smooth there
    double size = b / a;
    double shape =
        logs - (c - b * b / a) / 2 - Math.log(a) / 2 + (grams.length - 1) * Math.log(size);
    double z = (lost - LOSS) / Math.sqrt(LOSS_SPREAD * LOSS_SPREAD + noises);
    double loss = -z * z / 2 - Math.log(LOSS_SPREAD * LOSS_SPREAD + noises) / 2 - Math.log(of);
    boolean cannotBe = lost < -3 * Math.sqrt(noises);
    // fish of every size are as frequent by the logarithm
    return cannotBe
        ? 0
        : Math.exp(40 + shape + loss - (grams.length - 1) * Math.log(sum) - Math.log(of));
  }

  private double with(int i, double grams) {
    double[] all = read.clone();
    all[i] = grams;
    return grams > 0 ? density(all, whole) : 0;
  }

  /** A figure that says nothing of the part: what it weighs is what the loss leaves. */
  private double without(int i, double[] others, DoubleUnaryOperator figure) {
    double sum = 0;
    for (int k = 0; k < others.length; k++) {
      sum += k == i ? 0 : others[k];
    }
    double density = 0;
    for (double z : LOSSES) {
      double grams = whole * (1 - LOSS - z * LOSS_SPREAD) - sum;
      if (grams > 0) {
        double[] all = others.clone();
        all[i] = grams;
        density += density(all, whole) * figure.applyAsDouble(grams) * .25 * LOSS_SPREAD * whole;
      }
    }
    return density;
  }

  // ---- what may have gone wrong ----------------------------------------------------------------

  private List<Undone> undone(int i) {
    TallyLine line = lines.get(i);
    List<Undone> all = new ArrayList<>();
    if (line.input() == Input.SCALE) {
      for (Tray tray : SimulatedTally.TRAYS) {
        double chance = line.tray().map(t -> t.equals(tray) ? 1.0 : 0).orElse(.25);
        double grams = tray.mass().inGrams().doubleValue();
        all.add(new Undone("TARE_NOT_TAKEN", read[i] - grams, chance / 2 / OFF_THE_SCALE));
        all.add(new Undone("TARE_NOT_TAKEN", read[i] + grams, chance / 2 / OFF_THE_SCALE));
      }
      all.add(new Undone("WEIGHED_TWICE", read[i] / 2, .5 / OFF_THE_SCALE));
      return all;
    }
    if (line.standing() == Standing.LEFT_OUT) {
      return all;
    }
    String text = line.figure().orElseThrow().text();
    int decimals = text.length() - text.indexOf('.') - 1;
    double typed = 1 / (1 - OFF_THE_SCALE);
    if (decimals == 2) {
      all.add(new Undone("POUNDS_AS_KILOGRAMS", read[i] * POUND, typed * POUND));
      all.add(new Undone("POINT_SLIPPED", read[i] / 10, typed / 2 / 10));
    } else if (decimals == 4) {
      all.add(new Undone("POINT_SLIPPED", read[i] * 10, typed / 2 * 10));
    } else {
      for (int k : new int[] {0, 2, 3}) {
        int l = k == 0 ? 2 : k + 1;
        char[] digits = text.toCharArray();
        digits[k] = text.charAt(l);
        digits[l] = text.charAt(k);
        if (digits[k] != digits[l]) {
          double grams = 1000 * Double.parseDouble(new String(digits));
          all.add(new Undone("DIGITS_SWAPPED", grams, typed / 3));
        }
      }
    }
    return all;
  }

  /** Rows with as many decimals as no sound one has: the error is there. */
  private boolean mayBe(int i) {
    boolean odd = false;
    for (int k = 0; k < read.length; k++) {
      odd |= k != i && isOdd(k);
    }
    return !odd;
  }

  private boolean isOdd(int k) {
    String text = lines.get(k).figure().map(TypedMass::text).orElse("");
    return lines.get(k).standing() == Standing.LEFT_OUT
        || !text.isEmpty() && text.length() - text.indexOf('.') - 1 != 3;
  }

  private void addKind(String what) {
    switch (what) {
      case "WHOLE_ON_TRAY" ->
          SimulatedTally.TRAYS.forEach(
              tray -> addWhole(what, whole - tray.mass().inGrams().doubleValue(), .25));
      case "WHOLE_TOO_HEAVY" -> {
        for (double times = 1.0325; times < 1.12; times += .005) {
          addWhole(what, whole / times, .005 / .09 / times);
        }
      }
      default -> {
        for (int i = 0; i < read.length; i++) {
          if (mayBe(i)) {
            addKind(what, i);
          }
        }
      }
    }
  }

  private void addWhole(String what, double grams, double rate) {
    if (grams > 0 && whole - grams > least && mayBe(-1)) {
      add(Explanation.WHOLE, what, rate * density(read, grams));
    }
  }

  private void addKind(String what, int i) {
    String line = lines.get(i).id();
    double each = 1.0 / read.length;
    switch (what) {
      case "NEVER_WEIGHED" -> {
        if (lines.get(i).standing() == Standing.LEFT_OUT) {
          add(line, what, Double.MAX_VALUE);
        }
      }
      case "ROWS_EXCHANGED", "UNDER_ANOTHER_NAME" -> {
        for (int j = 0; j < read.length; j++) {
          if (!body.get(i).kin().equals(body.get(j).kin()) && mayBe(j)) {
            double rate = each / (read.length - 1);
            add(line, what, rate * (what.startsWith("ROWS") ? exchanged(i, j) : same(i, j)));
          }
        }
      }
      case "IN_NO_ROW" -> {
        if (lines.get(i).input() == Input.SCALE) {
          add(
              Explanation.NO_LINE,
              what,
              each / OFF_THE_SCALE * without(i, read, g -> evenly(1 - read[i] / g, .3, .6) / g));
        }
      }
      case SimulatedTally.ANYTHING -> {
        if (lines.get(i).input() == Input.SCALE) {
          DoubleUnaryOperator any =
              g -> (evenly(read[i] / g, .1, .7) + evenly(read[i] / g, 1.5, 6)) / 2 / g;
          add(line, what, each / OFF_THE_SCALE * without(i, read, any));
        }
      }
      default ->
          undone(i).stream()
              .filter(one -> one.what().equals(what) && Math.abs(one.grams() - read[i]) > least)
              .forEach(one -> add(line, what, each * one.rate() * with(i, one.grams())));
    }
  }

  private static double evenly(double value, double from, double to) {
    return value >= from && value <= to ? 1 / (to - from) : 0;
  }

  private double exchanged(int i, int j) {
    double[] all = read.clone();
    all[i] = read[j];
    all[j] = read[i];
    return Math.abs(read[i] - read[j]) >= .05 * whole ? density(all, whole) : 0;
  }

  private double same(int i, int j) {
    double two = Math.hypot(noise[i], noise[j]);
    double apart = (read[i] - read[j]) / two;
    boolean isFar = lines.get(i).input() != Input.SCALE || Math.abs(apart) > 6;
    double near = Math.exp(-apart * apart / 2) / two / Math.sqrt(2 * Math.PI) / OFF_THE_SCALE;
    return isFar ? 0 : without(i, read, g -> Math.abs(g - read[j]) >= .05 * whole ? near : 0);
  }

  // ---- two errors ------------------------------------------------------------------------------

  private void addPairs() {
    for (int i = 0; i < read.length; i++) {
      for (int j = i + 1; j < read.length; j++) {
        boolean other = false;
        for (int k = 0; k < read.length; k++) {
          other |= k != i && k != j && isOdd(k);
        }
        if (!other) {
          addPair(i, j);
        }
      }
    }
  }

  private void addPair(int i, int j) {
    boolean left = lines.get(i).standing() == Standing.LEFT_OUT;
    boolean right = lines.get(j).standing() == Standing.LEFT_OUT;
    if (left || right) {
      add(lines.get(left ? i : j).id(), "NEVER_WEIGHED", 1);
      return;
    }
    double far = .06 * whole;
    for (Undone one : undone(i)) {
      for (Undone two : undone(j)) {
        double[] all = read.clone();
        all[i] = one.grams();
        all[j] = two.grams();
        boolean may =
            one.grams() > 0
                && two.grams() > 0
                && Math.abs(one.grams() - read[i]) > far
                && Math.abs(two.grams() - read[j]) > far;
        double density = may ? one.rate() * two.rate() * density(all, whole) : 0;
        add(lines.get(i).id(), one.what(), density);
        add(lines.get(j).id(), two.what(), density);
      }
    }
  }
}
