package mosaicknife.core.heat;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.function.DoubleUnaryOperator;
import mosaicknife.core.quantity.Temperature;

/**
 * Hot things that cool, and cold ones on the heat, by physics of their own: a body behind a wall,
 * ice that melts, a lid that comes off, a slab that conducts. Readings are a probe's.
 */
final class SimulatedHeat {

  /** What cools, and where. */
  enum Family {
    KETTLE_IN_ROOM(Surroundings.ROOM, 260, 0.10),
    PAN_IN_ROOM(Surroundings.ROOM, 120, 0.10),
    TRAY_IN_FRIDGE(Surroundings.FRIDGE, 60, 0.12),
    BAG_IN_FRIDGE(Surroundings.FRIDGE, 80, 0.12),
    BATH_OF_ICE(Surroundings.ICE_BATH, 35, 0.15),
    BATH_THAT_MELTS(Surroundings.ICE_BATH, 45, 0.15),
    BAG_IN_ICE(Surroundings.ICE_BATH, 22, 0.15),
    TRAY_IN_BLAST(Surroundings.BLAST, 35, 0.12),
    POT_MOVED(Surroundings.ICE_BATH, 60, 0.20);

    final Surroundings where;
    final double minutes;
    final double wall;

    Family(Surroundings where, double minutes, double wall) {
      this.where = where;
      this.minutes = minutes;
      this.wall = wall;
    }
  }

  private static final double STEP = 0.1;
  private static final double NOISE = 0.35;
  private static final int LONGEST = 1500;

  private final double[] degrees;

  private SimulatedHeat(double[] degrees) {
    this.degrees = degrees;
  }

  static SimulatedHeat cooling(Family family, Random random) {
    double main = family.minutes * Math.exp(0.35 * random.nextGaussian());
    double inner = main * family.wall * (0.3 + 1.4 * random.nextDouble());
    double around = around(family, random);
    boolean melts = family == Family.BATH_THAT_MELTS && random.nextBoolean();
    double meltsAt = melts ? main * (0.8 + 1.7 * random.nextDouble()) : Double.MAX_VALUE;
    double melting = 0.02 + 0.04 * random.nextDouble();
    double load = family.where == Surroundings.FRIDGE ? 3 * random.nextDouble() : 0;
    DoubleUnaryOperator surroundings =
        t ->
            around
                + load * Math.exp(-t / main)
                + (t > meltsAt ? Math.min(3.5, melting * (t - meltsAt)) : 0);
    double core = 62 + 22 * random.nextDouble();
    double wall = family == Family.POT_MOVED ? core : core - 8 * random.nextDouble();
    double[] all = new double[(int) (LONGEST / STEP)];
    for (int i = 0; i < all.length; i++) {
      all[i] = core;
      double t = i * STEP;
      double outside = main - inner;
      double flow = (core - wall) / inner;
      core -= STEP * flow;
      wall += STEP * (flow - (wall - surroundings.applyAsDouble(t)) / outside);
    }
    return new SimulatedHeat(all);
  }

  private static double around(Family family, Random random) {
    return switch (family.where) {
      case ROOM -> 22 + 2.5 * random.nextGaussian();
      case FRIDGE -> Math.max(0.5, 3.5 + 1.2 * random.nextGaussian());
      case ICE_BATH -> 0.3 + 0.8 * random.nextDouble();
      default -> -8 + 4 * random.nextGaussian();
    };
  }

  /** A slab from the cold on the heat, both sides hot: conduction on a fine grid. */
  static SimulatedHeat core(double millimetres, double medium, double film, Random random) {
    int cells = 14;
    double dx = millimetres / 1000 / 2 / cells;
    double spread = 1.4e-7 * Math.exp(0.15 * random.nextGaussian());
    double dt = 0.35 * dx * dx / spread;
    double start = 2 + 10 * random.nextDouble();
    double[] slab = new double[cells];
    java.util.Arrays.fill(slab, start);
    double[] all = new double[(int) (90 / STEP)];
    double conductivity = 0.5;
    double t = 0;
    for (int i = 0; i < all.length; i++) {
      all[i] = slab[cells - 1];
      while (t < (i + 1) * STEP * 60) {
        double[] next = slab.clone();
        double into = film * (medium - slab[0]) / conductivity * dx;
        next[0] += spread * dt / (dx * dx) * (slab[1] - slab[0] + into);
        for (int c = 1; c < cells; c++) {
          double right = c == cells - 1 ? slab[c - 1] : slab[c + 1];
          next[c] += spread * dt / (dx * dx) * (slab[c - 1] - 2 * slab[c] + right);
        }
        slab = next;
        t += dt;
      }
    }
    return new SimulatedHeat(all);
  }

  double at(double minutes) {
    int i = (int) Math.round(minutes / STEP);
    return degrees[Math.min(degrees.length - 1, i)];
  }

  /** When it is first at or past a temperature; infinity if never. */
  double reaches(double wanted) {
    boolean falls = degrees[0] > wanted;
    for (int i = 0; i < degrees.length; i++) {
      if (falls ? degrees[i] <= wanted : degrees[i] >= wanted) {
        return i * STEP;
      }
    }
    return Double.POSITIVE_INFINITY;
  }

  List<Reading> read(int count, double every, double from, Random random) {
    List<Reading> readings = new ArrayList<>();
    for (int i = 0; i < count; i++) {
      double minutes = from + i * every;
      double shown = at(minutes) + NOISE * random.nextGaussian();
      readings.add(new Reading(minutes - from, new Temperature((int) Math.round(shown * 10))));
    }
    return readings;
  }
}
