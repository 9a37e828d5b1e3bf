package mosaicknife.core.heat;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import mosaicknife.core.check.Check;
import mosaicknife.core.memory.Recent;

/**
 * The law of cooling fitted to readings by least squares, with every way that explains them about
 * as well, so that a forecast is as wide as what is left open.
 *
 * <p>For each time constant the surroundings and the difference are a linear problem; the time
 * constants are tried on a fine scale.
 *
 * @param best the way that explains the readings best
 * @param likely all ways, with their weights
 */
public record LagFit(Lag best, List<Lag> likely) {

  /** What is asked of a batch: a page that looks every few seconds has nothing fitted anew. */
  private record Question(List<Reading> readings, Surroundings where) {}

  private static final int REMEMBERED = 64;
  private static final Recent<Question, Optional<LagFit>> KNOWN =
      new Recent<>(REMEMBERED, one -> fitted(one.readings(), one.where()));

  private static final double NOISE = 0.3;
  private static final double SHORTEST = 0.5;
  private static final double LONGEST = 6000;
  private static final int STEPS = 400;
  private static final double OFF = 1.5;
  private static final double TAIL = 0.08;
  private static final double NEGLIGIBLE = 1e-6;

  // a wall gives its heat back, a lid comes off: a fifth faster or slower than it was
  private static final double[] SLOWER = {0.84, 0.92, 1, 1.08, 1.19};
  private static final double[] SLOWER_WEIGHT = {0.1, 0.2, 0.4, 0.2, 0.1};

  // half of the baths melt, a few of them early
  private static final double[] WARMER = {0, 0.5, 1};
  private static final double[] WARMER_WEIGHT = {0.55, 0.25, 0.2};

  /** Copies the ways. */
  public LagFit {
    Check.notNull(best, "best");
    likely = List.copyOf(likely);
  }

  /**
   * When a temperature is reached.
   *
   * @param earliest about one in twenty reach it sooner, in minutes since the first reading
   * @param likely the middle
   * @param latest about one in twenty reach it later; empty if it may never be reached
   */
  public record When(double earliest, double likely, OptionalDouble latest) {}

  /**
   * Fits readings.
   *
   * @param readings the readings, in the order of time
   * @param where where it stands
   * @return the fit; empty for less than two readings, and for readings at one time
   */
  public static Optional<LagFit> of(List<Reading> readings, Surroundings where) {
    return KNOWN.of(new Question(List.copyOf(readings), where));
  }

  private static Optional<LagFit> fitted(List<Reading> readings, Surroundings where) {
    if (readings.size() < 2
        || readings.get(readings.size() - 1).minutes() - readings.get(0).minutes() < SHORTEST) {
      return Optional.empty();
    }
    List<Solved> solved = new ArrayList<>();
    for (int i = 0; i <= STEPS; i++) {
      double tau = SHORTEST * Math.pow(LONGEST / SHORTEST, (double) i / STEPS);
      solved.add(solve(readings, where, tau));
    }
    double least = solved.stream().mapToDouble(Solved::misfit).min().orElseThrow();
    List<Lag> likely = new ArrayList<>();
    for (Solved one : solved) {
      double weight = Math.exp((least - one.misfit) / 2) / Math.sqrt(one.determinant);
      one.spread(weight, likely);
    }
    double most = likely.stream().mapToDouble(Lag::weight).max().orElseThrow();
    likely.removeIf(lag -> lag.weight() < NEGLIGIBLE * most);
    double last = readings.get(readings.size() - 1).minutes();
    List<Lag> onwards = likely.stream().flatMap(lag -> onwards(lag, last, where)).toList();
    return Optional.of(new LagFit(best(readings, where, solved), onwards));
  }

  /**
   * What one way may become from the last reading on: the wall gives back its heat, a lid comes
   * off, ice melts, a full shelf warms. A starting estimate of how often and how far.
   */
  private static Stream<Lag> onwards(Lag lag, double last, Surroundings where) {
    double now = lag.at(last);
    List<Lag> ways = new ArrayList<>();
    for (int i = 0; i < SLOWER.length; i++) {
      double tau = lag.minutes() * SLOWER[i];
      for (int j = 0; j < WARMER.length; j++) {
        double around = lag.surroundings() + WARMER[j] * where.warmer();
        double weight = lag.weight() * SLOWER_WEIGHT[i] * WARMER_WEIGHT[j];
        ways.add(new Lag(around, (now - around) * Math.exp(last / tau), tau, weight));
      }
    }
    return ways.stream().filter(way -> Double.isFinite(way.difference()));
  }

  /** The least squares between the steps about the best one. */
  private static Lag best(List<Reading> readings, Surroundings where, List<Solved> solved) {
    Solved best = solved.stream().min(Comparator.comparingDouble(Solved::misfit)).orElseThrow();
    double low = best.tau / Math.pow(LONGEST / SHORTEST, 1.0 / STEPS);
    double high = best.tau * Math.pow(LONGEST / SHORTEST, 1.0 / STEPS);
    for (int i = 0; i < 60; i++) {
      double third = (high - low) / 3;
      if (solve(readings, where, low + third).misfit
          < solve(readings, where, high - third).misfit) {
        high -= third;
      } else {
        low += third;
      }
    }
    Solved found = solve(readings, where, (low + high) / 2);
    return new Lag(found.surroundings, found.difference, found.tau, 1);
  }

  /** What one time constant says. */
  private record Solved(
      double tau,
      double surroundings,
      double difference,
      double misfit,
      double determinant,
      double spread,
      double slope) {

    /** The ways about the best for this time constant: surroundings a little lower and higher. */
    private void spread(double weight, List<Lag> into) {
      into.add(new Lag(surroundings, difference, tau, weight / 2));
      for (double off : new double[] {-OFF, OFF}) {
        double moved = off * spread;
        into.add(new Lag(surroundings + moved, difference + slope * moved, tau, weight / 4));
      }
    }
  }

  private static Solved solve(List<Reading> readings, Surroundings where, double tau) {
    double first = readings.get(0).minutes();
    // what is thought of the surroundings counts as one reading of them
    double known = NOISE * NOISE / (where.spread() * where.spread());
    double n = known;
    double sx = 0;
    double sxx = 0;
    double sy = known * where.degrees();
    double sxy = 0;
    for (Reading reading : readings) {
      double x = Math.exp(-(reading.minutes() - first) / tau);
      n++;
      sx += x;
      sxx += x * x;
      sy += reading.degrees();
      sxy += x * reading.degrees();
    }
    double determinant = n * sxx - sx * sx;
    double difference = (n * sxy - sx * sy) / determinant;
    double surroundings = (sy - difference * sx) / n;
    double misfit = known * Math.pow(surroundings - where.degrees(), 2);
    for (Reading reading : readings) {
      double x = Math.exp(-(reading.minutes() - first) / tau);
      misfit += Math.pow(surroundings + difference * x - reading.degrees(), 2);
    }
    double spread = NOISE * Math.sqrt(sxx / determinant);
    return new Solved(
        tau,
        surroundings,
        difference * Math.exp(first / tau),
        misfit / (NOISE * NOISE),
        determinant,
        spread,
        -sx / sxx * Math.exp(first / tau));
  }

  /**
   * Returns when a temperature is reached.
   *
   * @param degrees degrees Celsius
   * @return the forecast; empty if most ways never reach it
   */
  public Optional<When> reaches(double degrees) {
    List<double[]> times = new ArrayList<>();
    double all = 0;
    for (Lag lag : likely) {
      all += lag.weight();
      lag.reaches(degrees).ifPresent(time -> times.add(new double[] {time, lag.weight()}));
    }
    times.sort(Comparator.comparingDouble(time -> time[0]));
    OptionalDouble middle = quantile(times, 0.5 * all);
    if (middle.isEmpty()) {
      return Optional.empty();
    }
    double earliest = quantile(times, TAIL * all).orElseThrow();
    return Optional.of(new When(earliest, middle.getAsDouble(), quantile(times, (1 - TAIL) * all)));
  }

  private static OptionalDouble quantile(List<double[]> times, double weight) {
    double sum = 0;
    for (double[] time : times) {
      sum += time[1];
      if (sum >= weight) {
        return OptionalDouble.of(time[0]);
      }
    }
    return OptionalDouble.empty();
  }

  /**
   * Returns how warm it may be at a time.
   *
   * @param minutes minutes since the first reading
   * @return lowest and highest in degrees Celsius, between which it lies in nine of ten
   */
  public double[] range(double minutes) {
    List<double[]> degrees = new ArrayList<>();
    double all = 0;
    for (Lag lag : likely) {
      all += lag.weight();
      degrees.add(new double[] {lag.at(minutes), lag.weight()});
    }
    degrees.sort(Comparator.comparingDouble(one -> one[0]));
    return new double[] {
      quantile(degrees, TAIL * all).orElseThrow(),
      quantile(degrees, (1 - TAIL) * all).orElse(degrees.get(degrees.size() - 1)[0])
    };
  }
}
