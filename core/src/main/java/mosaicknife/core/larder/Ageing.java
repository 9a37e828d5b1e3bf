package mosaicknife.core.larder;

import java.math.RoundingMode;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.OptionalInt;
import java.util.function.ToDoubleFunction;
import java.util.stream.IntStream;
import mosaicknife.core.anatomy.Eating.Flesh;
import mosaicknife.core.anatomy.Species;
import mosaicknife.core.check.Check;
import mosaicknife.core.quantity.Fraction;
import mosaicknife.core.quantity.Mass;

/**
 * How fish loses weight in the ageing rack: mass(t) = m₀ · (1 − L · (1 − e^(−k·t))).
 *
 * <p>L, the share that dries off in the end, and k, how fast, start as wide estimates from fat,
 * skin and size. Every reweighing weighs the pairs that could be anew, so that both are learnt as
 * far as the days of one rack tell them apart, and the band is as wide as what is left open. What
 * was weighed last is known: the curve goes on from there, also after something was cut off.
 *
 * @param from the mass it goes on from, positive
 * @param day the day of that mass since the first weight, from 0
 * @param pairs the pairs that could be, with their weights
 */
public record Ageing(Mass from, double day, List<Pair> pairs) {

  private static final double RATE = 0.11;
  private static final double RATE_SPREAD = 0.4;
  private static final double SPREAD = 0.05;
  private static final double SCATTER = 0.008;
  private static final double LEAST = 0.01;
  private static final double MOST = 0.6;
  private static final int STEPS = 40;
  private static final double WIDTH = 3;
  private static final double BAND = 0.025;

  /** Copies the pairs and refuses a curve of nothing. */
  public Ageing {
    Check.that(from.isPositive(), "Expected a mass above 0 g, found ", from);
    Check.that(day >= 0, "Expected days from 0, found ", day);
    pairs = List.copyOf(pairs);
    Check.that(!pairs.isEmpty(), "Expected a pair that could be");
  }

  /**
   * One curve that could be.
   *
   * @param last L, the share that dries off in the end
   * @param rate k a day
   * @param weight how likely it is beside the others, from 0
   */
  public record Pair(double last, double rate, double weight) {

    private double left(double days) {
      return 1 - last * (1 - Math.exp(-rate * days));
    }
  }

  /**
   * Starts the curve of a piece.
   *
   * @param species the fish
   * @param skinOn whether the skin is on: it dries from one side only
   * @param mass the first mass
   * @return the curve by starting estimates
   */
  public static Ageing starting(Species species, boolean skinOn, Mass mass) {
    Flesh flesh = species.eating().flesh();
    double lean = flesh == Flesh.WHITE ? 0.20 : flesh == Flesh.MEDIUM ? 0.17 : 0.14;
    // a small piece has more surface for its mass
    double size = Math.cbrt(1000 / Math.max(50, mass.inGrams().doubleValue()));
    double share = lean * (skinOn ? 0.8 : 1) * Math.min(1.6, Math.max(0.7, size));
    return about(mass, Math.min(MOST, share), RATE);
  }

  /**
   * Starts a curve about a share and a rate.
   *
   * @param mass the first mass
   * @param share about what share dries off in the end, above 0 below 1
   * @param rate about how fast a day, positive
   * @return the curve, as wide as an estimate is
   */
  public static Ageing about(Mass mass, double share, double rate) {
    Check.inRange(share, LEAST, MOST, "share that dries off");
    Check.inRange(rate, 0.001, 2, "rate");
    List<Pair> pairs = new ArrayList<>();
    for (int i = 0; i <= STEPS; i++) {
      double z = WIDTH * (2.0 * i / STEPS - 1);
      double last = share + z * SPREAD;
      for (int j = 0; j <= STEPS; j++) {
        double y = WIDTH * (2.0 * j / STEPS - 1);
        if (last >= LEAST && last <= MOST) {
          double weight = Math.exp(-(z * z + y * y) / 2);
          pairs.add(new Pair(last, rate * Math.exp(y * RATE_SPREAD), weight));
        }
      }
    }
    return new Ageing(mass, 0, pairs);
  }

  /**
   * Learns from a reweighing and goes on from it.
   *
   * @param days days since the first weight, after the day the curve goes on from
   * @param mass what it weighed
   * @param trim how much was cut off then, beside that
   * @return the curve from there on
   */
  public Ageing with(double days, Mass mass, Mass trim) {
    Check.that(days > day, "Expected days above %s, found %s".formatted(day, days));
    double kept = mass.plus(trim).dividedBy(from).toDouble();
    ToDoubleFunction<Pair> off =
        pair -> Math.abs(kept - pair.left(days) / pair.left(day)) / SCATTER;
    // a reading no pair explains leaves the nearest ones, instead of none
    double nearest = pairs.stream().mapToDouble(off).min().orElseThrow();
    List<Pair> weighed =
        pairs.stream()
            .map(
                pair -> {
                  double z = off.applyAsDouble(pair);
                  double likely = Math.exp((nearest * nearest - z * z) / 2);
                  return new Pair(pair.last(), pair.rate(), pair.weight() * likely);
                })
            .filter(pair -> pair.weight() > 0)
            .toList();
    return new Ageing(mass, days, weighed);
  }

  /**
   * Returns the share that dries off in the end, as far as it is known.
   *
   * @return the mean of L
   */
  public double last() {
    return mean(Pair::last);
  }

  /**
   * Returns how fast it dries, as far as that is known.
   *
   * @return the mean of k a day
   */
  public double rate() {
    return mean(Pair::rate);
  }

  private double mean(ToDoubleFunction<Pair> of) {
    double sum = 0;
    double all = 0;
    for (Pair pair : pairs) {
      sum += pair.weight() * of.applyAsDouble(pair);
      all += pair.weight();
    }
    return sum / all;
  }

  private double kept(Pair pair, double days) {
    return pair.left(days) / pair.left(day);
  }

  /**
   * Returns what the piece should weigh on a day.
   *
   * @param days days since the first weight, not before the day the curve goes on from
   * @return the mass, an estimate
   */
  public Mass mass(double days) {
    return at(mean(pair -> kept(pair, days)));
  }

  /**
   * Returns the range of what it should weigh on a day.
   *
   * @param days days since the first weight
   * @return lightest and heaviest, between which it lies in 95 of 100
   */
  public List<Mass> range(double days) {
    List<Pair> sorted =
        pairs.stream().sorted(Comparator.comparingDouble(pair -> kept(pair, days))).toList();
    double all = sorted.stream().mapToDouble(Pair::weight).sum();
    return List.of(
        at(kept(quantile(sorted, BAND * all), days)),
        at(kept(quantile(sorted, (1 - BAND) * all), days)));
  }

  private static Pair quantile(List<Pair> sorted, double weight) {
    double sum = 0;
    for (Pair pair : sorted) {
      sum += pair.weight();
      if (sum >= weight) {
        return pair;
      }
    }
    return sorted.get(sorted.size() - 1);
  }

  private Mass at(double share) {
    return from.multipliedBy(Fraction.ofEstimate(share), RoundingMode.HALF_EVEN);
  }

  /**
   * Returns the first day on which it has dried by a share of its first weight.
   *
   * @param wanted the share, above 0
   * @param longest the last day that is looked at
   * @return the day; empty if it is not reached by then
   */
  public OptionalInt dayOf(Fraction wanted, int longest) {
    return IntStream.rangeClosed(1, longest)
        .filter(on -> 1 - mean(pair -> pair.left(on)) >= wanted.toDouble())
        .findFirst();
  }

  /**
   * Reads the curve off an item.
   *
   * @param item the item, aged since it was put there
   * @param species the fish
   * @param skinOn whether its skin is on
   * @return the curve; what was taken out for a plate dried as the rest did
   */
  public static Ageing of(Item item, Species species, boolean skinOn) {
    Ageing curve = starting(species, skinOn, item.shelved().mass());
    for (Entry entry : item.entries()) {
      double days = days(item, entry.at());
      if (entry instanceof Entry.Weighed weighed && days > curve.day()) {
        curve = curve.with(days, weighed.mass(), weighed.trim());
      } else if (entry instanceof Entry.Weighed weighed) {
        curve = new Ageing(weighed.mass(), curve.day(), curve.pairs());
      } else if (entry instanceof Entry.Taken taken) {
        Mass left = curve.from().minus(taken.mass());
        curve = left.isPositive() ? new Ageing(left, curve.day(), curve.pairs()) : curve;
      }
    }
    return curve;
  }

  private static double days(Item item, Instant at) {
    return Duration.between(item.shelved().at(), at).toMinutes() / 1440.0;
  }
}
