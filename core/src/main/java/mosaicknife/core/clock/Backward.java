package mosaicknife.core.clock;

import com.google.ortools.Loader;
import com.google.ortools.sat.CpModel;
import com.google.ortools.sat.CpSolver;
import com.google.ortools.sat.CpSolverStatus;
import com.google.ortools.sat.CumulativeConstraint;
import com.google.ortools.sat.IntVar;
import com.google.ortools.sat.IntervalVar;
import com.google.ortools.sat.LinearExpr;
import com.google.ortools.sat.LinearExprBuilder;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import mosaicknife.core.check.Check;

/**
 * Places tasks backward from their services: first the fewest late minutes, then the least idle
 * waiting, so that everything starts as late as it can. An integer programme (CP-SAT), in two
 * passes.
 */
public final class Backward {

  private static final int WORKERS = 1;
  private static final Object LOADED = load();

  private final Agenda agenda;
  private final int horizon;
  private final CpModel model = new CpModel();
  private final Map<String, IntVar> starts = new LinkedHashMap<>();
  private final LinearExprBuilder late = LinearExpr.newBuilder();
  private final LinearExprBuilder idle = LinearExpr.newBuilder();

  private Backward(Agenda agenda) {
    Check.notNull(LOADED, "solver");
    this.agenda = agenda;
    int all = agenda.tasks().stream().mapToInt(Task::minutes).sum();
    int lags =
        agenda.tasks().stream()
            .flatMap(task -> task.after().stream())
            .mapToInt(Task.After::least)
            .sum();
    int latest =
        agenda.tasks().stream()
            .mapToInt(task -> Math.max(task.due().orElse(0), task.fixed().orElse(0)))
            .max()
            .orElse(0);
    horizon = latest + all + lags + 1;
    build();
  }

  private static Object load() {
    Loader.loadNativeLibraries();
    return new Object();
  }

  /**
   * Places the tasks of an agenda.
   *
   * @param agenda what is to be done
   * @param seconds how long the solver may look for better in each pass, positive
   * @return the schedule; late where it cannot be helped
   */
  public static Schedule of(Agenda agenda, double seconds) {
    return agenda.tasks().isEmpty()
        ? new Schedule(List.of(), 0, 0, true)
        : new Backward(agenda).solve(seconds);
  }

  private void build() {
    Map<String, Task> byId = new HashMap<>();
    agenda.tasks().forEach(task -> byId.put(task.id(), task));
    Set<String> followed = new HashSet<>();
    Map<String, List<IntervalVar>> users = new HashMap<>();
    for (Task task : agenda.tasks()) {
      IntVar start =
          task.fixed().isPresent()
              ? model.newConstant(task.fixed().getAsInt())
              : model.newIntVar(0, horizon, task.id());
      starts.put(task.id(), start);
      IntervalVar interval = model.newFixedSizeIntervalVar(start, task.minutes(), task.id());
      task.needs()
          .forEach(need -> users.computeIfAbsent(need, key -> new ArrayList<>()).add(interval));
      task.after().forEach(after -> followed.add(after.id()));
    }
    agenda.tasks().forEach(task -> task.after().forEach(after -> follow(task, after, byId)));
    users.forEach(
        (resource, intervals) -> {
          CumulativeConstraint room = model.addCumulative(agenda.capacity().get(resource));
          intervals.forEach(interval -> room.addDemand(interval, 1));
        });
    agenda.tasks().forEach(task -> deadline(task, followed.contains(task.id())));
  }

  private void follow(Task task, Task.After after, Map<String, Task> byId) {
    Task before = byId.get(after.id());
    LinearExpr end =
        LinearExpr.affine(starts.get(before.id()), 1, before.minutes() + (long) after.least());
    model.addGreaterOrEqual(starts.get(task.id()), end);
    // what runs already may have waited too long: that is past, and no reason against the rest
    boolean past = task.fixed().isPresent();
    if (!past && after.most() < Task.LONGEST) {
      model.addLessOrEqual(
          starts.get(task.id()),
          LinearExpr.affine(starts.get(before.id()), 1, before.minutes() + (long) after.most()));
    }
    idle.addTerm(starts.get(task.id()), 1)
        .addTerm(starts.get(before.id()), -1)
        .add(-(long) before.minutes() - after.least());
  }

  private void deadline(Task task, boolean isFollowed) {
    if (task.due().isPresent()) {
      IntVar over = model.newIntVar(0, horizon, task.id() + " late");
      IntVar early = model.newIntVar(0, horizon, task.id() + " early");
      // end = due + late − early, and the two are never both above 0 in a best schedule
      model.addEquality(
          LinearExpr.newBuilder()
              .addTerm(starts.get(task.id()), 1)
              .addTerm(over, -1)
              .addTerm(early, 1)
              .build(),
          (long) task.due().getAsInt() - task.minutes());
      late.addTerm(over, 1);
      idle.addTerm(early, 1);
    } else if (!isFollowed) {
      // nothing waits for it: as soon as it can
      idle.addTerm(starts.get(task.id()), 1);
    }
  }

  private Schedule solve(double seconds) {
    model.minimize(late);
    CpSolver solver = solver(seconds);
    CpSolverStatus first = solver.solve(model);
    Check.that(
        first == CpSolverStatus.OPTIMAL || first == CpSolverStatus.FEASIBLE,
        "Expected a schedule, found " + first);
    long least = Math.round(solver.objectiveValue());
    agenda.tasks().stream()
        .filter(task -> task.fixed().isEmpty())
        .map(task -> starts.get(task.id()))
        .forEach(start -> model.addHint(start, solver.value(start)));
    model.addLessOrEqual(late, least);
    model.minimize(idle);
    CpSolver second = solver(seconds);
    CpSolverStatus status = second.solve(model);
    Check.that(status != CpSolverStatus.MODEL_INVALID, "Expected a model, found " + status);
    boolean better = status == CpSolverStatus.OPTIMAL || status == CpSolverStatus.FEASIBLE;
    CpSolver used = better ? second : solver;
    List<Schedule.Placed> placed =
        agenda.tasks().stream()
            .map(
                task ->
                    new Schedule.Placed(task, Math.toIntExact(used.value(starts.get(task.id())))))
            .toList();
    return new Schedule(
        placed,
        placed.stream().mapToInt(Schedule.Placed::late).sum(),
        idle(placed),
        first == CpSolverStatus.OPTIMAL && status == CpSolverStatus.OPTIMAL);
  }

  private static CpSolver solver(double seconds) {
    CpSolver solver = new CpSolver();
    solver.getParameters().setNumWorkers(WORKERS).setRandomSeed(1).setMaxTimeInSeconds(seconds);
    return solver;
  }

  /** The waiting of a schedule, worked out from its starts alone. */
  static int idle(List<Schedule.Placed> placed) {
    Map<String, Schedule.Placed> byId = new HashMap<>();
    Set<String> followed = new HashSet<>();
    placed.forEach(one -> byId.put(one.task().id(), one));
    int idle = 0;
    for (Schedule.Placed one : placed) {
      for (Task.After after : one.task().after()) {
        followed.add(after.id());
        idle += one.start() - byId.get(after.id()).end() - after.least();
      }
      if (one.task().due().isPresent()) {
        idle += Math.max(0, one.task().due().getAsInt() - one.end());
      }
    }
    for (Schedule.Placed one : placed) {
      if (one.task().due().isEmpty() && !followed.contains(one.task().id())) {
        idle += one.start();
      }
    }
    return Math.max(0, idle);
  }

  /**
   * A way to keep more promises.
   *
   * @param resource the resource of which one more is needed
   * @param late the minutes all services are late then
   */
  public record WayOut(String resource, int late) {}

  /**
   * Looks what one more of a resource would save.
   *
   * @param agenda the agenda, which is late
   * @param now its schedule
   * @param seconds how long the solver may look for each, positive
   * @return what helps, the most helpful first
   */
  public static List<WayOut> waysOut(Agenda agenda, Schedule now, double seconds) {
    List<WayOut> ways = new ArrayList<>();
    for (String resource : agenda.capacity().keySet()) {
      Map<String, Integer> more = new HashMap<>(agenda.capacity());
      more.merge(resource, 1, Integer::sum);
      int late = of(new Agenda(agenda.tasks(), more), seconds).late();
      if (late < now.late()) {
        ways.add(new WayOut(resource, late));
      }
    }
    ways.sort((a, b) -> Integer.compare(a.late(), b.late()));
    return ways;
  }
}
