package mosaicknife.core.clock;

import com.google.ortools.Loader;
import com.google.ortools.sat.BoolVar;
import com.google.ortools.sat.CpSolver;
import com.google.ortools.sat.CpSolverStatus;
import com.google.ortools.sat.LinearExpr;
import com.google.ortools.sat.LinearExprBuilder;
import com.google.ortools.sat.Literal;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import mosaicknife.core.check.Check;
import mosaicknife.core.clock.Schedule.Given;
import mosaicknife.core.clock.Schedule.Placed;

/**
 * Places tasks backward from their services: first the fewest late minutes, then the least idle
 * waiting, so that everything starts as late as it can, then, at these times, the fewest
 * hand-overs. An integer programme (CP-SAT), in passes.
 *
 * <p>What cannot be placed at all is placed with the least that has to give: first what is pinned,
 * then the hours of the people, then how long something may wait.
 */
public final class Backward {

  private static final int WORKERS = 1;
  private static final int SEARCHES = 8;
  private static final double SIMPLE = 0.3;
  private static final double CREW_SECONDS = 0.3;
  private static final Object LOADED = load();

  /** What gives, the least first. */
  private static final List<Set<Given>> GIVING =
      List.of(
          Set.of(),
          Set.of(Given.PINS),
          Set.of(Given.PEOPLE),
          Set.of(Given.PEOPLE, Given.PINS),
          Set.of(Given.PEOPLE, Given.WAITS),
          Set.of(Given.PEOPLE, Given.WAITS, Given.PINS));

  private final DayModel day;
  private final Agenda agenda;
  private final Set<Given> given;

  private Backward(Agenda agenda, Set<Given> given) {
    Check.notNull(LOADED, "solver");
    this.agenda = given.contains(Given.PINS) ? agenda.unpinned() : agenda;
    this.given = given;
    this.day =
        new DayModel(this.agenda, given.contains(Given.PEOPLE), !given.contains(Given.WAITS));
  }

  private static Object load() {
    Loader.loadNativeLibraries();
    return new Object();
  }

  static CpSolver solver(double seconds) {
    CpSolver solver = new CpSolver();
    solver.getParameters().setNumWorkers(WORKERS).setRandomSeed(1).setMaxTimeInSeconds(seconds);
    return solver;
  }

  private static boolean isFound(CpSolverStatus status) {
    return status == CpSolverStatus.OPTIMAL || status == CpSolverStatus.FEASIBLE;
  }

  /**
   * Places the tasks of an agenda.
   *
   * @param agenda what is to be done
   * @param seconds how long the solver may look for better in each pass, positive
   * @return the schedule; late where it cannot be helped
   */
  public static Schedule of(Agenda agenda, double seconds) {
    if (agenda.tasks().isEmpty()) {
      return new Schedule(List.of(), 0, 0, 0, Set.of(), 0);
    }
    Optional<Schedule> found = Optional.empty();
    boolean isPinned = agenda.tasks().stream().anyMatch(Task::isPinned);
    for (Set<Given> given : GIVING) {
      if (found.isEmpty() && (isPinned || !given.contains(Given.PINS))) {
        found = new Backward(agenda, given).solve(seconds);
      }
    }
    return found.orElseThrow(() -> new IllegalStateException("No schedule was found"));
  }

  /**
   * Says whether a day can be as somebody wants it. It is refused only where that is proved: a
   * machine that is too slow to tell refuses nobody.
   *
   * @param day the day as it is
   * @param wanted the same with what somebody puts somewhere
   * @param seconds how long the solver may look each time, positive
   * @return false if the wish is what makes it impossible
   */
  public static boolean fits(Agenda day, Agenda wanted, double seconds) {
    for (Set<Given> given : GIVING) {
      if (!given.contains(Given.PINS) && !isRefuted(day, given, seconds)) {
        return !isRefuted(wanted, given, seconds);
      }
    }
    return true;
  }

  private static boolean isRefuted(Agenda agenda, Set<Given> given, double seconds) {
    return solver(seconds).solve(new Backward(agenda, given).day.model())
        == CpSolverStatus.INFEASIBLE;
  }

  /**
   * Finds by how much a day must be late, and nothing else: quicker than a schedule.
   *
   * @param agenda what is to be done
   * @param seconds how long the solver may look, positive
   * @return the minutes all services together are late; empty if something would have to give
   */
  static OptionalInt late(Agenda agenda, double seconds) {
    if (agenda.tasks().isEmpty()) {
      return OptionalInt.of(0);
    }
    Backward backward = new Backward(agenda, Set.of());
    backward.day.model().minimize(backward.day.late());
    CpSolver solver = solver(seconds);
    return isFound(solver.solve(backward.day.model()))
        ? OptionalInt.of((int) Math.round(solver.objectiveValue()))
        : OptionalInt.empty();
  }

  private Optional<Schedule> solve(double seconds) {
    if (!day.nobodys().isEmpty()) {
      LinearExprBuilder count = LinearExpr.newBuilder();
      day.nobodys().forEach(count::add);
      day.model().minimize(count);
      CpSolver fewest = solver(seconds);
      if (!isFound(fewest.solve(day.model()))) {
        return Optional.empty();
      }
      day.model().addLessOrEqual(count, Math.round(fewest.objectiveValue()));
    }
    day.model().minimize(day.late());
    CpSolver first = solver(seconds);
    CpSolverStatus status = first.solve(day.model());
    Check.that(status != CpSolverStatus.MODEL_INVALID, "Expected a model, found ", status);
    if (!isFound(status)) {
      return Optional.empty();
    }
    hint(first);
    day.model().addLessOrEqual(day.late(), Math.round(first.objectiveValue()));
    day.model().minimize(day.idle());
    CpSolver second = solver(seconds * SIMPLE);
    CpSolverStatus again = second.solve(day.model());
    Check.that(again != CpSolverStatus.MODEL_INVALID, "Expected a model, found ", again);
    if (again != CpSolverStatus.OPTIMAL) {
      hint(isFound(again) ? second : first);
      second = solver(seconds * (1 - SIMPLE));
      // one core, but several ways to search that take turns: far better on full days
      second.getParameters().setNumWorkers(SEARCHES).setInterleaveSearch(true);
      again = second.solve(day.model());
    }
    List<Placed> placed =
        Crew.of(
            placed(isFound(again) ? second : first),
            agenda.workers(),
            Math.min(seconds, CREW_SECONDS));
    boolean isProved = status == CpSolverStatus.OPTIMAL && again == CpSolverStatus.OPTIMAL;
    int idle = idle(placed);
    return Optional.of(
        new Schedule(
            placed,
            placed.stream().mapToInt(Placed::late).sum(),
            idle,
            Crew.handOvers(placed),
            given,
            isProved ? 0 : spare(idle, second)));
  }

  /** What could still be saved; a bound that is reached without a proof counts as a minute. */
  private static int spare(int idle, CpSolver solver) {
    return (int) Math.max(1, idle - Math.ceil(Math.max(0, solver.bestObjectiveBound())));
  }

  private void hint(CpSolver solver) {
    day.model().clearHints();
    agenda.tasks().stream()
        .filter(task -> task.fixed().isEmpty())
        .map(task -> day.starts().get(task.id()))
        .forEach(start -> day.model().addHint(start, solver.value(start)));
  }

  private List<Placed> placed(CpSolver solver) {
    return agenda.tasks().stream()
        .map(
            task ->
                new Placed(
                    task,
                    Math.toIntExact(solver.value(day.starts().get(task.id()))),
                    Optional.empty()))
        .toList();
  }

  /** The waiting of a schedule, worked out from its starts alone. */
  static int idle(List<Placed> placed) {
    Map<TaskId, Placed> byId = new HashMap<>();
    Set<TaskId> followed = new HashSet<>();
    placed.forEach(one -> byId.put(one.task().id(), one));
    int idle = 0;
    for (Placed one : placed) {
      for (Task.After after : one.task().after()) {
        followed.add(after.id());
        if (!one.task().isRunning()) {
          idle += one.start() - byId.get(after.id()).end() - after.least();
        }
      }
      if (one.task().due().isPresent()) {
        idle += Math.max(0, one.task().due().getAsInt() - one.end());
      }
    }
    for (Placed one : placed) {
      if (one.task().due().isEmpty() && !followed.contains(one.task().id())) {
        idle += one.start();
      }
    }
    return Math.max(0, idle);
  }

  /**
   * Finds the smallest set of promises that cannot be kept, however long they are late for it.
   *
   * @param agenda a day that is late
   * @param seconds how long the solver may look, positive
   * @return the promises that are not kept then; empty if nothing was found in the time
   */
  public static List<Placed> fewestBroken(Agenda agenda, double seconds) {
    Backward backward = new Backward(agenda, Set.of());
    LinearExprBuilder broken = LinearExpr.newBuilder();
    for (Map.Entry<TaskId, com.google.ortools.sat.IntVar> one :
        backward.day.lateness().entrySet()) {
      BoolVar isLate = backward.day.model().newBoolVar(one.getKey() + " broken");
      backward
          .day
          .model()
          .addEquality(one.getValue(), 0)
          .onlyEnforceIf(new Literal[] {isLate.not()});
      broken.addTerm(isLate, 1);
    }
    backward.day.model().minimize(broken);
    CpSolver first = solver(seconds);
    if (!isFound(first.solve(backward.day.model()))) {
      return List.of();
    }
    backward.day.model().addLessOrEqual(broken, Math.round(first.objectiveValue()));
    backward.day.model().minimize(backward.day.late());
    CpSolver second = solver(seconds);
    CpSolver used = isFound(second.solve(backward.day.model())) ? second : first;
    return backward.placed(used).stream().filter(one -> one.late() > 0).toList();
  }
}
