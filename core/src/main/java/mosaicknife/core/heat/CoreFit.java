package mosaicknife.core.heat;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.ToDoubleFunction;

/**
 * The core of a slab on the heat, held against readings of a probe. A core lags behind its outside
 * and then warms as the slowest term of conduction does (series for a plate with a film, Carslaw
 * and Jaeger, Conduction of Heat in Solids, 1959); how well the heat gets in, how fast it spreads,
 * how hot it is around and how cold it began are left open, and every way counts as far as it
 * explains the readings.
 *
 * @param ways the ways with their weights
 * @param medium about how hot it is around it, as it was typed
 */
record CoreFit(List<Way> ways, double medium) {

  // how far off each guess may be; starting estimates
  private static final double[] FILMS = {0.3, 0.6, 1, 1.7, 3, 6, 15, 40};
  private static final double USUAL_FILM = 2;
  private static final double[] SLOWER = {0.5, 0.6, 0.7, 0.8, 0.9, 1, 1.12, 1.25, 1.4, 1.6, 1.8};
  private static final double[] HOTTER = {-0.3, -0.2, -0.12, -0.06, 0, 0.06, 0.12};
  private static final double[] STARTS = {1, 4, 8, 14, 20};
  private static final int TERMS = 5;
  private static final double PROBE = 0.6;

  /** No slab is even: a probe sits off the middle. */
  private static final double MODEL = 1.3;

  private static final double TAIL = 0.05;
  private static final double NEGLIGIBLE = 1e-5;
  private static final double LONGEST = 600;
  private static final int FEW = 3;
  private static final int HALVINGS = 40;
  private static final double[][] SERIES = series();

  CoreFit {
    ways = List.copyOf(ways);
  }

  /**
   * One way it may warm.
   *
   * @param film its place among the films
   * @param minutes the time of diffusion through half of its thickness
   * @param medium how hot it is around it
   * @param start how cold it began
   * @param before how long before the first reading it went on, in minutes
   * @param weight how likely it is, from 0
   */
  record Way(int film, double minutes, double medium, double start, double before, double weight) {

    double at(double since) {
      return medium - (medium - start) * left(film, (since + before) / minutes);
    }

    double misfit(List<Reading> readings) {
      double misfit = 0;
      for (Reading reading : readings) {
        misfit += square((at(reading.minutes()) - reading.degrees()) / PROBE / MODEL);
      }
      return misfit;
    }

    Way weighing(double other) {
      return new Way(film, minutes, medium, start, before, other);
    }

    OptionalDouble reaches(double degrees) {
      double left = (medium - degrees) / (medium - start);
      return left <= 0
          ? OptionalDouble.empty()
          : OptionalDouble.of(when(film, left) * minutes - before);
    }
  }

  /** Roots of z · tan z = film with their factors: factor, z², factor, z² … */
  private static double[][] series() {
    double[][] all = new double[FILMS.length][2 * TERMS];
    for (int f = 0; f < FILMS.length; f++) {
      for (int n = 0; n < TERMS; n++) {
        double low = n * Math.PI;
        double high = low + Math.PI / 2;
        for (int i = 0; i < HALVINGS; i++) {
          double middle = (low + high) / 2;
          if (middle * Math.tan(middle) < FILMS[f]) {
            low = middle;
          } else {
            high = middle;
          }
        }
        all[f][2 * n] = 4 * Math.sin(low) / (2 * low + Math.sin(2 * low));
        all[f][2 * n + 1] = low * low;
      }
    }
    return all;
  }

  /** The share of the difference that is left at the core after a time in units of diffusion. */
  private static double left(int film, double time) {
    double left = 0;
    for (int n = 0; n < TERMS; n++) {
      left += SERIES[film][2 * n] * Math.exp(-SERIES[film][2 * n + 1] * time);
    }
    return time <= 0 ? 1 : Math.min(1, left);
  }

  /** After which time only a share is left. */
  private static double when(int film, double share) {
    double low = 0;
    double high = Math.log(2 / share) / SERIES[film][1] + 1;
    for (int i = 0; i < HALVINGS; i++) {
      double middle = (low + high) / 2;
      if (left(film, middle) > share) {
        low = middle;
      } else {
        high = middle;
      }
    }
    return high;
  }

  /**
   * Fits readings.
   *
   * @param readings the readings, two at least, rising
   * @param millimetres the thickness at the thickest point
   * @param medium about how hot it is around it
   * @return the fit
   */
  static CoreFit of(List<Reading> readings, double millimetres, double medium) {
    double half = millimetres / 2000;
    double usual = half * half / Doneness.DIFFUSIVITY / 60;
    double first = readings.get(0).degrees();
    double last = readings.get(readings.size() - 1).degrees();
    List<Way> ways = new ArrayList<>();
    for (int film = 0; film < FILMS.length; film++) {
      for (double slower : SLOWER) {
        for (double hotter : HOTTER) {
          double around = medium + hotter * (medium - first);
          double prior =
              square(Math.log(slower) / 0.4)
                  + square(hotter / 0.12)
                  + square(Math.log(FILMS[film] / USUAL_FILM) / 1.5);
          for (double start : around > last + 1 ? STARTS : new double[0]) {
            for (double off : new double[] {-PROBE, 0, PROBE}) {
              double began = Math.min(start, first);
              double left = Math.min(1, (around - first - off) / (around - began));
              double before = left >= 1 ? 0 : when(film, left) * usual * slower;
              Way way = new Way(film, usual * slower, around, began, before, 0);
              ways.add(way.weighing(prior + way.misfit(readings)));
            }
          }
        }
      }
    }
    double best = ways.stream().mapToDouble(Way::weight).min().orElse(0);
    return new CoreFit(
        ways.stream()
            .map(way -> way.weighing(Math.exp((best - way.weight()) / 2)))
            .filter(way -> way.weight() > NEGLIGIBLE)
            .toList(),
        medium);
  }

  private static double square(double x) {
    return x * x;
  }

  /**
   * Returns when the core reaches a temperature.
   *
   * @param degrees degrees Celsius
   * @param readings the readings: the band is never narrower than the error of their probe, and a
   *     few early ones never say never of what is below the heat around it
   * @return the forecast; empty if most ways never do
   */
  Optional<LagFit.When> reaches(double degrees, List<Reading> readings) {
    double all = ways.stream().mapToDouble(Way::weight).sum();
    List<double[]> times = new ArrayList<>();
    for (Way way : ways) {
      OptionalDouble time = way.reaches(degrees);
      double at = Math.min(LONGEST, time.orElse(LONGEST));
      times.add(new double[] {at, way.weight()});
    }
    times.sort(Comparator.comparingDouble(time -> time[0]));
    double half = quantile(times, 0.5 * all);
    double middle =
        half >= LONGEST && readings.size() <= FEW && degrees < medium
            ? times.stream().mapToDouble(one -> one[0]).filter(t -> t < LONGEST).max().orElse(half)
            : half;
    if (middle >= LONGEST) {
      return Optional.empty();
    }
    Reading last = readings.get(readings.size() - 1);
    double slope = mean(way -> way.at(middle) - way.at(middle - 1));
    double error = slope > 0 ? PROBE / slope : 0;
    double earliest = Math.min(quantile(times, TAIL * all), middle - error);
    double latest = Math.max(quantile(times, (1 - TAIL) * all), middle + error);
    return Optional.of(
        new LagFit.When(
            middle > last.minutes() ? Math.max(last.minutes(), earliest) : earliest,
            middle,
            latest >= LONGEST ? OptionalDouble.empty() : OptionalDouble.of(latest)));
  }

  private static double quantile(List<double[]> times, double weight) {
    double sum = 0;
    for (double[] time : times) {
      sum += time[1];
      if (sum >= weight) {
        return time[0];
      }
    }
    return LONGEST;
  }

  private double mean(ToDoubleFunction<Way> of) {
    double all = 0;
    double sum = 0;
    for (Way way : ways) {
      all += way.weight();
      sum += way.weight() * of.applyAsDouble(way);
    }
    return sum / all;
  }

  /**
   * Returns how hot it is around it, as far as the readings tell.
   *
   * @return degrees Celsius, the mean of all ways
   */
  double ends() {
    return mean(Way::medium);
  }
}
