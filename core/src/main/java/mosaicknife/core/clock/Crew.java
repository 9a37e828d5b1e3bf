package mosaicknife.core.clock;

import com.google.ortools.sat.BoolVar;
import com.google.ortools.sat.CpModel;
import com.google.ortools.sat.CpSolver;
import com.google.ortools.sat.CpSolverStatus;
import com.google.ortools.sat.LinearExpr;
import com.google.ortools.sat.Literal;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import mosaicknife.core.clock.Schedule.Placed;

/** Who does what, once it is settled when: as few hand-overs within a batch as can be. */
final class Crew {

  private static final double MUCH = 1000;

  private final List<Placed> placed;
  private final List<Worker> workers;
  private final CpModel model = new CpModel();
  private final Map<TaskId, Map<String, BoolVar>> does = new HashMap<>();

  private Crew(List<Placed> placed, List<Worker> workers) {
    this.placed = placed;
    this.workers = workers;
  }

  /**
   * Gives each task its hands.
   *
   * @param placed the tasks with their starts
   * @param workers the people
   * @param seconds how long the solver may look, positive
   * @return the tasks with who does them; nobody where nobody is there
   */
  static List<Placed> of(List<Placed> placed, List<Worker> workers, double seconds) {
    return new Crew(placed, workers).solve(seconds);
  }

  private List<Placed> solve(double seconds) {
    List<Placed> open = new ArrayList<>();
    List<BoolVar> all = new ArrayList<>();
    for (Placed one : placed) {
      if (one.task().hands().isPresent() && !one.task().isRunning()) {
        open.add(one);
        Map<String, BoolVar> may = new HashMap<>();
        for (Worker worker : workers) {
          if (worker.can(one.task().hands().get())
              && worker.isThere(one.start(), one.end())
              && !isBusy(worker, one)) {
            may.put(worker.id(), model.newBoolVar(one.task().id() + " " + worker.id()));
          }
        }
        does.put(one.task().id(), may);
        all.addAll(may.values());
        model.addAtMostOne(may.values().toArray(new Literal[0]));
      }
    }
    if (all.isEmpty()) {
      return placed.stream().map(one -> with(one, Optional.empty())).toList();
    }
    apart(open);
    List<LinearExpr> cost = new ArrayList<>();
    all.forEach(one -> cost.add(LinearExpr.term(one, -(long) MUCH)));
    handOvers().forEach(one -> cost.add(LinearExpr.term(one, 1)));
    model.minimize(LinearExpr.sum(cost.toArray(new LinearExpr[0])));
    CpSolver solver = Backward.solver(seconds);
    CpSolverStatus status = solver.solve(model);
    boolean found = status == CpSolverStatus.OPTIMAL || status == CpSolverStatus.FEASIBLE;
    return placed.stream()
        .map(
            one ->
                with(
                    one,
                    found
                        ? does.getOrDefault(one.task().id(), Map.of()).entrySet().stream()
                            .filter(may -> solver.booleanValue(may.getValue()))
                            .map(Map.Entry::getKey)
                            .findFirst()
                        : Optional.empty()))
        .toList();
  }

  private static Placed with(Placed one, Optional<String> worker) {
    return new Placed(
        one.task(),
        one.start(),
        one.task().isRunning() && one.task().hands().isPresent()
            ? one.task().fixed().flatMap(Task.Fixed::by)
            : worker);
  }

  /** Whether they have begun something that is not over by then. */
  private boolean isBusy(Worker worker, Placed one) {
    return placed.stream()
        .anyMatch(
            other ->
                other.task().isRunning()
                    && other.task().hands().isPresent()
                    && other.task().fixed().flatMap(Task.Fixed::by).equals(Optional.of(worker.id()))
                    && overlap(one, other));
  }

  private static boolean overlap(Placed one, Placed other) {
    return one.start() < other.end() && other.start() < one.end();
  }

  private void apart(List<Placed> open) {
    for (int i = 0; i < open.size(); i++) {
      for (int j = i + 1; j < open.size(); j++) {
        if (overlap(open.get(i), open.get(j))) {
          Map<String, BoolVar> second = does.get(open.get(j).task().id());
          does.get(open.get(i).task().id())
              .forEach(
                  (worker, var) -> {
                    if (second.containsKey(worker)) {
                      model.addAtMostOne(new Literal[] {var, second.get(worker)});
                    }
                  });
        }
      }
    }
  }

  /** A hand-over is a task of a batch whose next one somebody else does. */
  private List<BoolVar> handOvers() {
    List<BoolVar> overs = new ArrayList<>();
    for (List<Placed> batch : batches(placed)) {
      for (int i = 0; i + 1 < batch.size(); i++) {
        Placed first = batch.get(i);
        Map<String, BoolVar> next = does.get(batch.get(i + 1).task().id());
        if (next == null) {
          continue;
        }
        BoolVar over = model.newBoolVar("over");
        Map<String, BoolVar> before = does.get(first.task().id());
        if (before != null) {
          before.forEach(
              (worker, var) -> {
                if (next.containsKey(worker)) {
                  model.addBoolOr(new Literal[] {next.get(worker), over}).onlyEnforceIf(var);
                } else {
                  model.addImplication(var, over);
                }
              });
        } else {
          first
              .task()
              .fixed()
              .flatMap(Task.Fixed::by)
              .ifPresent(
                  by -> {
                    if (next.containsKey(by)) {
                      model.addBoolOr(new Literal[] {next.get(by), over});
                    }
                  });
        }
        overs.add(over);
      }
    }
    return overs;
  }

  /**
   * Counts how often a batch goes from one person to another.
   *
   * @param placed the tasks with who does them
   * @return the hand-overs
   */
  static int handOvers(List<Placed> placed) {
    int count = 0;
    for (List<Placed> batch : batches(placed)) {
      for (int i = 0; i + 1 < batch.size(); i++) {
        Optional<String> first = batch.get(i).worker();
        Optional<String> next = batch.get(i + 1).worker();
        if (first.isPresent() && next.isPresent() && !first.equals(next)) {
          count++;
        }
      }
    }
    return count;
  }

  /** The tasks of each batch that take hands, in their order. */
  private static List<List<Placed>> batches(List<Placed> placed) {
    return List.copyOf(
        placed.stream()
            .filter(one -> one.task().hands().isPresent())
            .sorted(Comparator.comparingInt(Placed::start))
            .collect(Collectors.groupingBy(one -> one.task().group()))
            .values());
  }
}
