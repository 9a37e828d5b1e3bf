package mosaicknife.core;

import com.google.ortools.Loader;
import com.google.ortools.sat.CpModel;
import com.google.ortools.sat.CpSolver;
import com.google.ortools.sat.IntVar;
import com.google.ortools.sat.IntervalVar;
import com.google.ortools.sat.LinearExpr;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Random;

/**
 * How long work takes as a ratio to a known piece of work done beside it: milliseconds mean nothing
 * from one machine to the next, and what else runs there slows both.
 */
public final class Measured {

  private static final int TIMES = 5;
  private static final int NUMBERS = 300_000;
  private static final int BUDGET = 100;
  private static final double MOST_OVER = 2;
  private static final int JOBS = 7;
  private static final int MACHINES = 5;

  /** Work of a known size. */
  public enum Against {
    /** Sorts as many numbers as take some ten milliseconds. */
    A_SORT("a sort", Measured::sort),
    /** Proves the shortest day of a small workshop, with one worker of the solver. */
    A_MODEL("a known model", Measured::solve);

    private final String words;
    private final Runnable work;

    Against(String words, Runnable work) {
      this.words = words;
      this.work = work;
    }
  }

  private Measured() {}

  /**
   * Does work and a known piece of work in turn.
   *
   * @param work what is measured
   * @param known what it is compared with
   * @return how many times longer the work took, the median of five
   */
  public static double times(Runnable work, Against known) {
    known.work.run();
    double[] ratios = new double[TIMES];
    for (int i = 0; i < TIMES; i++) {
      double before = nanos(known.work);
      double took = nanos(work);
      ratios[i] = took / ((before + nanos(known.work)) / 2);
    }
    Arrays.sort(ratios);
    return ratios[TIMES / 2];
  }

  /**
   * Prints a line of the table of {@code ./mosaic bench}.
   *
   * @param what what was measured
   * @param times how many times longer it took
   * @param known than what
   * @param limit how many times longer it may take
   */
  public static void report(String what, double times, Against known, double limit) {
    System.out.printf(
        "measured | %s, against %s | %.2f × | %.0f × | %s%n",
        what, known.words, times, limit, times <= limit ? "good" : "WORSE");
  }

  /**
   * Returns how long a planner may work that gets better the longer it does.
   *
   * @return as long as a hundred known models take here, in seconds
   */
  public static double budget() {
    Runnable known = Against.A_MODEL.work;
    known.run();
    double[] took = new double[TIMES];
    for (int i = 0; i < TIMES; i++) {
      took[i] = nanos(known);
    }
    Arrays.sort(took);
    return BUDGET * took[TIMES / 2] / 1e9;
  }

  /**
   * Prints how far from proved a plan is that had as long as a hundred known models take.
   *
   * @param what what was planned
   * @param gap how much better it might be, of one
   * @param limit how much better it may be
   * @param times how many known models it took in all
   */
  public static void reportGap(String what, double gap, double limit, double times) {
    System.out.printf(
        "measured | %s, gap after %d known models | %.1f %% | %.1f %% | %s%n",
        what,
        BUDGET,
        100 * gap,
        100 * limit,
        gap <= limit && times <= MOST_OVER * BUDGET ? "good" : "WORSE");
  }

  private static double nanos(Runnable work) {
    long began = System.nanoTime();
    work.run();
    return System.nanoTime() - began;
  }

  private static void sort() {
    long[] numbers = new Random(1).longs(NUMBERS).toArray();
    Arrays.sort(numbers);
    if (numbers[0] > numbers[NUMBERS - 1]) {
      throw new IllegalStateException("not sorted");
    }
  }

  /** A job visits every machine once, in an order of its own; the shortest day is proved. */
  private static void solve() {
    Loader.loadNativeLibraries();
    Random random = new Random(1);
    CpModel model = new CpModel();
    IntVar end = model.newIntVar(0, 1_000, "end");
    List<List<IntervalVar>> machines = new ArrayList<>();
    for (int machine = 0; machine < MACHINES; machine++) {
      machines.add(new ArrayList<>());
    }
    for (int job = 0; job < JOBS; job++) {
      List<Integer> order = new ArrayList<>(List.of(0, 1, 2, 3, 4));
      Collections.shuffle(order, random);
      IntVar ready = null;
      for (int machine : order) {
        int minutes = 1 + random.nextInt(30);
        IntVar start = model.newIntVar(0, 1_000, "");
        IntVar done = model.newIntVar(0, 1_000, "");
        machines
            .get(machine)
            .add(model.newIntervalVar(start, LinearExpr.constant(minutes), done, ""));
        if (ready != null) {
          model.addGreaterOrEqual(start, ready);
        }
        ready = done;
      }
      model.addGreaterOrEqual(end, ready);
    }
    machines.forEach(model::addNoOverlap);
    model.minimize(end);
    CpSolver solver = new CpSolver();
    solver.getParameters().setNumWorkers(1).setRandomSeed(1);
    solver.solve(model);
    if (solver.objectiveValue() != solver.bestObjectiveBound()) {
      throw new IllegalStateException("not proved");
    }
  }
}
