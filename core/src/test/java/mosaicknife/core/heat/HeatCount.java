package mosaicknife.core.heat;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;

/** Counts how often a band holds. */
final class HeatCount {

  int cases;
  int inside;
  int said;
  int late;
  int inTime;
  int byHalf;
  int saidInTime;
  int saidButLate;
  final List<Double> widths = new ArrayList<>();

  static final CoolingRule RULE = new CoolingRule(60, 21, 120, 5, 360);

  static HeatCount cooling(SimulatedHeat.Family family, int many, long seed) {
    HeatCount all = new HeatCount();
    Random random = new Random(seed + family.ordinal());
    double wanted = family.where == Surroundings.ROOM ? 30 : 5;
    for (int i = 0; i < many; i++) {
      SimulatedHeat truth = SimulatedHeat.cooling(family, random);
      int count = 3 + random.nextInt(4);
      double every = Math.max(3, family.minutes * (0.08 + 0.12 * random.nextDouble()));
      double from = truth.reaches(60);
      List<Reading> readings = truth.read(count, every, from, random);
      double last = readings.get(count - 1).minutes();
      double reached = truth.reaches(wanted) - from;
      if (reached <= last || readings.get(count - 1).degrees() <= wanted) {
        continue;
      }
      Optional<LagFit.When> when =
          LagFit.of(readings, family.where).flatMap(fit -> fit.reaches(wanted));
      all.count(when, reached, last);
      int byHalf = (int) Math.max(2, RULE.allMinutes() / 2 / every);
      all.standing(truth, truth.read(Math.min(12, byHalf), every, from, random), family, from);
    }
    return all;
  }

  private void standing(
      SimulatedHeat truth, List<Reading> readings, SimulatedHeat.Family family, double from) {
    boolean isInTime =
        truth.reaches(21) - from <= RULE.firstMinutes()
            && truth.reaches(5) - from <= RULE.allMinutes();
    Cooling cooling =
        new Cooling(readings, family.where, RULE, OptionalDouble.of(0), OptionalDouble.empty());
    double now = readings.get(readings.size() - 1).minutes();
    Cooling.Standing standing = cooling.standing(now);
    if (standing == Cooling.Standing.IN_TIME) {
      saidInTime++;
      saidButLate += isInTime ? 0 : 1;
    }
    if (isInTime) {
      inTime++;
      byHalf += standing == Cooling.Standing.IN_TIME ? 1 : 0;
    }
  }

  void count(Optional<LagFit.When> when, double reached, double last) {
    cases++;
    if (when.isEmpty()) {
      inside += Double.isInfinite(reached) ? 1 : 0;
      return;
    }
    said++;
    double latest = when.get().latest().orElse(Double.POSITIVE_INFINITY);
    boolean in = reached >= when.get().earliest() && reached <= latest;
    inside += in ? 1 : 0;
    late += reached > latest ? 1 : 0;
    if (!Double.isInfinite(latest) && !Double.isInfinite(reached)) {
      widths.add((latest - when.get().earliest()) / Math.max(1, reached - last));
    }
  }

  static HeatCount core(int many, long seed) {
    HeatCount all = new HeatCount();
    Random random = new Random(seed);
    for (int i = 0; i < many; i++) {
      double millimetres = 15 + 25 * random.nextDouble();
      double medium =
          random.nextBoolean() ? 160 + 60 * random.nextDouble() : 70 + 20 * random.nextDouble();
      double film = medium > 100 ? 40 + 120 * random.nextDouble() : 300 + 500 * random.nextDouble();
      SimulatedHeat truth = SimulatedHeat.core(millimetres, medium, film, random);
      double wanted = 45 + 10 * random.nextDouble();
      double reached = truth.reaches(wanted);
      if (Double.isInfinite(reached)) {
        continue;
      }
      int count = 3 + random.nextInt(3);
      double from = reached * (0.1 + 0.2 * random.nextDouble());
      double every = (reached * (0.45 + 0.4 * random.nextDouble()) - from) / (count - 1);
      List<Reading> readings = truth.read(count, every, from, random);
      double typed = medium + 8 * random.nextGaussian();
      Optional<Doneness.Done> done = Doneness.of(readings, wanted, millimetres, typed);
      double last = readings.get(count - 1).minutes();
      if (readings.get(count - 1).degrees() >= wanted) {
        continue;
      }
      all.count(done.flatMap(Doneness.Done::at), reached - from, last);
    }
    return all;
  }

  double share() {
    return 100.0 * inside / cases;
  }

  double medianWidth() {
    Collections.sort(widths);
    return widths.isEmpty() ? Double.NaN : widths.get(widths.size() / 2);
  }

  String line(String name) {
    return String.format(
        Locale.ROOT,
        "%-16s %4d inside %5.1f %%  never %5.1f %%  late %4.1f %%  width %5.2f   in time: said %4d, of them late %4.1f %%; of %4d in time said %5.1f %%",
        name,
        cases,
        share(),
        100.0 * (cases - said) / cases,
        100.0 * late / cases,
        medianWidth(),
        saidInTime,
        saidInTime == 0 ? 0 : 100.0 * saidButLate / saidInTime,
        inTime,
        inTime == 0 ? 0 : 100.0 * byHalf / inTime);
  }
}
