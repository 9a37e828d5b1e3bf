package mosaicknife.core.slice;

import com.google.ortools.Loader;
import com.google.ortools.sat.BoolVar;
import com.google.ortools.sat.CpModel;
import com.google.ortools.sat.CpSolver;
import com.google.ortools.sat.CpSolverStatus;
import com.google.ortools.sat.IntVar;
import com.google.ortools.sat.LinearExpr;
import com.google.ortools.sat.LinearExprBuilder;
import com.google.ortools.sat.Literal;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import mosaicknife.core.check.Check;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.slice.Service.OnTheBoard;
import mosaicknife.core.slice.Service.Wanted;

/**
 * Chooses what each fillet is cut into: first so that the portions served are worth most, then so
 * that least is lost of what is cut.
 *
 * <p>An integer programme over how many portions of each kind a fillet gives. Between any two
 * places no more may lie than there are grams; what still cannot be cut together in any order is
 * found out and forbidden, and the programme solved again. Solved to the proved optimum, or to an
 * honest bound.
 */
public final class ServicePlanner {

  // two that share what they find were five times as quick as one, and end at the proved optimum
  private static final int WORKERS = 2;
  private static final double ROUNDING = 1e-6;

  /** Of the time, so much goes to what is served; the rest to what is lost. */
  private static final double FIRST = 0.3;

  private static final double SECOND = 1e9;

  /** A run gets at least so many seconds: enough for what is easy. */
  private static final double LEAST = 0.05;

  private static final Object LOADED = load();

  private final Service service;
  private final List<Board> boards = new ArrayList<>();

  private ServicePlanner(Service service) {
    this.service = service;
    service.fillets().forEach(one -> boards.add(new Board(one)));
  }

  private static Object load() {
    Loader.loadNativeLibraries();
    return new Object();
  }

  /** A fillet with what may be cut of it. */
  private final class Board {

    private final Grid grid;
    private final List<Integer> kinds;
    private final List<Cut> cuts;
    private final Reach reach;
    private final List<List<Integer>> forbidden = new ArrayList<>();

    Board(OnTheBoard one) {
      this.kinds =
          one.kinds().stream()
              .filter(kind -> service.wanted().get(kind).count() > 0)
              .sorted()
              .toList();
      List<PortionType> types =
          kinds.stream().map(kind -> service.wanted().get(kind).type()).toList();
      this.grid = new Grid(one.fillet(), types);
      this.cuts = types.stream().map(type -> new Cut(grid, type)).toList();
      this.reach = new Reach(grid, cuts);
    }
  }

  /**
   * Plans.
   *
   * @param service what is to be cut
   * @param seconds how long may be looked for better, positive
   * @return the plan; however little time there was, never worse than the way of the hand
   */
  public static ServicePlan plan(Service service, double seconds) {
    Check.that(seconds > 0, "Expected time above 0, found ", seconds);
    Check.notNull(LOADED, "solver");
    return new ServicePlanner(service).solve(seconds).noWorseThan(byHand(service));
  }

  /**
   * Cuts each fillet from the head end until it is gone: at each place the first of what is still
   * wanted, at its target, as it is done by hand. What a plan is compared with.
   *
   * @param service what is to be cut
   * @return the plan; its bounds are its own figures
   */
  public static ServicePlan byHand(Service service) {
    ServicePlanner planner = new ServicePlanner(service);
    int[] left = service.wanted().stream().mapToInt(Wanted::count).toArray();
    List<Optional<Slicing>> cuts = new ArrayList<>();
    planner.boards.forEach(board -> cuts.add(byHand(board, left)));
    ServicePlan plan = new ServicePlan(service, cuts, lost(cuts), Mass.ZERO, 0);
    return new ServicePlan(service, cuts, plan.lost(), plan.lost(), plan.worth());
  }

  private static Optional<Slicing> byHand(Board board, int[] left) {
    List<Slicing.Piece> pieces = new ArrayList<>();
    int[] room = new int[board.kinds.size()];
    Arrays.fill(room, Service.MOST_OF_A_KIND);
    int begun = 0;
    int at = 0;
    while (at < board.grid.grams()) {
      int next = -1;
      for (int k = 0; k < board.kinds.size() && next < 0; k++) {
        Cut cut = board.cuts.get(k);
        boolean open = left[board.kinds.get(k)] > 0 && room[k] > 0;
        int end = open ? endOf(cut, at, board.grid.grams()) : -1;
        if (end > 0) {
          left[board.kinds.get(k)]--;
          room[k]--;
          if (at > begun) {
            pieces.add(board.grid.left(begun, at));
          }
          pieces.add(cut.portion(at, end));
          next = end;
        }
      }
      begun = next > 0 ? next : begun;
      at = next > 0 ? next : at + 1;
    }
    if (pieces.isEmpty()) {
      return Optional.empty();
    }
    if (begun < at) {
      pieces.add(board.grid.left(begun, at));
    }
    return Optional.of(new Slicing(board.grid.fillet(), pieces));
  }

  /** Where a portion of its target ends that begins at a gram; -1 if none may lie there. */
  private static int endOf(Cut cut, int from, int grams) {
    double target = cut.target();
    int end = from;
    while (end < grams && cut.grams(from, end) < target) {
      end++;
    }
    double mass = cut.grams(from, end);
    boolean isOne = mass >= cut.least() && mass <= cut.most();
    return end > from && isOne && cut.fits(from, end) ? end : -1;
  }

  private static Mass lost(List<Optional<Slicing>> cuts) {
    return Mass.total(cuts.stream().flatMap(Optional::stream).map(ServicePlanner::lost).toList());
  }

  /** What of a fillet is on no portion: what is above the targets of its portions. */
  private static Mass lost(Slicing cut) {
    Mass wanted =
        Mass.total(cut.portions().stream().map(one -> one.type().orElseThrow().target()).toList());
    Mass lost = cut.fillet().mass().minus(wanted);
    return lost.isNegative() ? Mass.ZERO : lost;
  }

  /** The programme, once for what is served and once for what is lost. */
  private final class Programme {

    private final CpModel model = new CpModel();
    private final List<List<IntVar>> counts = new ArrayList<>();
    private final LinearExprBuilder worth = LinearExpr.newBuilder();
    private final LinearExprBuilder lost = LinearExpr.newBuilder();

    Programme() {
      List<LinearExprBuilder> served = new ArrayList<>();
      service.wanted().forEach(one -> served.add(LinearExpr.newBuilder()));
      for (int i = 0; i < boards.size(); i++) {
        add(boards.get(i), "f" + i, served);
      }
      for (int t = 0; t < served.size(); t++) {
        model.addLessOrEqual(served.get(t), service.wanted().get(t).count());
      }
    }

    private void add(Board board, String name, List<LinearExprBuilder> served) {
      List<IntVar> own = new ArrayList<>();
      LinearExprBuilder targets = LinearExpr.newBuilder();
      BoolVar isCut = model.newBoolVar(name);
      for (int k = 0; k < board.kinds.size(); k++) {
        Wanted wanted = service.wanted().get(board.kinds.get(k));
        long most =
            Math.min(
                Math.min(Service.MOST_OF_A_KIND, wanted.count()),
                board.grid.grams() / board.reach.least(k));
        IntVar count = model.newIntVar(0, most, name + "." + k);
        own.add(count);
        served.get(board.kinds.get(k)).add(count);
        worth.addTerm(count, wanted.type().value());
        targets.addTerm(count, -grams(wanted.type().target()));
      }
      counts.add(own);
      fit(board, own, isCut);
      // what is above the targets; nothing where portions are lighter than they should be
      int grams = board.grid.grams();
      IntVar over = model.newIntVar(0, grams, name + " over");
      model.addGreaterOrEqual(
          LinearExpr.newBuilder().add(over).addTerm(isCut, -grams).build(), targets);
      lost.add(over);
    }

    private void fit(Board board, List<IntVar> own, BoolVar isCut) {
      for (int a = 0; a < own.size(); a++) {
        for (int b = 0; b < own.size(); b++) {
          between(board, own, isCut, board.reach.first(a), board.reach.last(b));
        }
      }
      between(board, own, isCut, 0, board.grid.grams());
      for (List<Integer> set : board.forbidden) {
        List<Literal> fewer = new ArrayList<>();
        for (int k = 0; k < own.size(); k++) {
          if (set.get(k) > 0) {
            BoolVar one = model.newBoolVar("fewer");
            model.addLessOrEqual(own.get(k), set.get(k) - 1).onlyEnforceIf(one);
            fewer.add(one);
          }
        }
        model.addBoolOr(fewer);
      }
    }

    /** What must lie between two places has room there. */
    private void between(Board board, List<IntVar> own, BoolVar isCut, int from, int to) {
      LinearExprBuilder least = LinearExpr.newBuilder();
      for (int k = 0; k < own.size(); k++) {
        if (board.reach.first(k) >= from && board.reach.last(k) <= to) {
          least.addTerm(own.get(k), board.reach.least(k));
        }
      }
      model.addLessOrEqual(least.addTerm(isCut, -Math.max(0, to - from)), 0);
    }

    void hint(List<List<Integer>> sets) {
      for (int f = 0; f < sets.size(); f++) {
        for (int k = 0; k < sets.get(f).size(); k++) {
          IntVar count = counts.get(f).get(k);
          if (count.getDomain().max() > 0) {
            model.addHint(count, sets.get(f).get(k));
          }
        }
      }
    }

    /** Solves it; empty if nothing was found in time. */
    private Optional<CpSolver> run(double seconds) {
      CpSolver solver = new CpSolver();
      solver
          .getParameters()
          .setNumWorkers(WORKERS)
          .setRandomSeed(1)
          .setLinearizationLevel(2)
          .setMaxTimeInSeconds(seconds);
      CpSolverStatus status = solver.solve(model);
      boolean isFound = status == CpSolverStatus.OPTIMAL || status == CpSolverStatus.FEASIBLE;
      return isFound ? Optional.of(solver) : Optional.empty();
    }
  }

  private static long grams(Mass mass) {
    return (mass.milligrams() + 500) / 1000;
  }

  /** What one run of the programme says. */
  private record Found(List<List<Integer>> sets, long figure, double bound) {}

  private ServicePlan solve(double seconds) {
    long until = System.nanoTime() + (long) (seconds * SECOND);
    Found served = cuttable(Optional.empty(), until, seconds * FIRST);
    Found lost = cuttable(Optional.of(served), until, seconds);
    List<Optional<Slicing>> cuts = new ArrayList<>();
    for (int f = 0; f < boards.size(); f++) {
      cuts.add(place(boards.get(f), lost.sets().get(f)));
    }
    Mass left = lost(cuts);
    // a set that was given up without looking could have been better, and so could more crumbs
    boolean exact =
        boards.stream().allMatch(board -> board.reach.isExact())
            && service.fillets().stream()
                .allMatch(
                    one ->
                        one.kinds().stream()
                            .noneMatch(kind -> service.isCrumbs(one.fillet(), kind)));
    Mass bound =
        exact ? Mass.ofGrams(Math.max(0, (long) Math.ceil(lost.bound() - ROUNDING))) : Mass.ZERO;
    long most = exact ? (long) Math.floor(served.bound() + ROUNDING) : allOfIt();
    return new ServicePlan(
        service,
        cuts,
        left,
        bound.compareTo(left) < 0 ? bound : left,
        Math.max(served.figure(), most));
  }

  private long allOfIt() {
    return service.wanted().stream().mapToLong(one -> one.count() * one.type().value()).sum();
  }

  /**
   * Solves until every fillet can be cut as it says. Without what is served that is what it is
   * about; with it, what is lost. Out of time, portions are dropped that cannot be cut.
   */
  private Found cuttable(Optional<Found> served, long until, double share) {
    double left = share;
    Found found = null;
    while (true) {
      double rest = (until - System.nanoTime()) / SECOND;
      Optional<Found> next = run(served, Math.max(LEAST, Math.min(left, rest)));
      if (next.isEmpty()) {
        return repaired(
            found != null
                ? found
                // nothing is known of what could be lost less
                : served
                    .map(one -> new Found(one.sets(), one.figure(), 0))
                    .orElseGet(this::nothing),
            served);
      }
      found = next.get();
      boolean isCuttable = forbidWhatCannotBeCut(found.sets());
      if (isCuttable) {
        return found;
      }
      if (rest <= LEAST) {
        return repaired(found, served);
      }
    }
  }

  private Found nothing() {
    List<List<Integer>> none =
        boards.stream().map(board -> board.kinds.stream().map(kind -> 0).toList()).toList();
    return new Found(none, 0, Double.MAX_VALUE);
  }

  private Found repaired(Found found, Optional<Found> served) {
    List<List<Integer>> sets = new ArrayList<>();
    for (int f = 0; f < boards.size(); f++) {
      List<Integer> set = new ArrayList<>(found.sets().get(f));
      while (boards.get(f).reach.order(set).isEmpty()) {
        int most = set.indexOf(set.stream().max(Integer::compare).orElseThrow());
        set.set(most, set.get(most) - 1);
      }
      sets.add(List.copyOf(set));
    }
    return new Found(sets, served.isPresent() ? found.figure() : worth(sets), found.bound());
  }

  private long worth(List<List<Integer>> sets) {
    long worth = 0;
    for (int f = 0; f < boards.size(); f++) {
      for (int k = 0; k < sets.get(f).size(); k++) {
        int kind = boards.get(f).kinds.get(k);
        worth += sets.get(f).get(k) * service.wanted().get(kind).type().value();
      }
    }
    return worth;
  }

  /** Whether each can be cut; what cannot is forbidden from now on. */
  private boolean forbidWhatCannotBeCut(List<List<Integer>> sets) {
    boolean all = true;
    for (int f = 0; f < boards.size(); f++) {
      Board board = boards.get(f);
      if (board.reach.order(sets.get(f)).isEmpty()) {
        board.forbidden.add(board.reach.why(sets.get(f)));
        all = false;
      }
    }
    return all;
  }

  private Optional<Found> run(Optional<Found> served, double seconds) {
    Programme programme = new Programme();
    if (served.isPresent()) {
      programme.model.addGreaterOrEqual(programme.worth, served.get().figure());
      programme.hint(served.get().sets());
      programme.model.minimize(programme.lost);
    } else {
      programme.model.maximize(programme.worth);
    }
    return programme
        .run(seconds)
        .map(
            solver ->
                new Found(
                    programme.counts.stream()
                        .map(of -> of.stream().map(x -> (int) solver.value(x)).toList())
                        .toList(),
                    Math.round(solver.objectiveValue()),
                    solver.bestObjectiveBound()));
  }

  private static Optional<Slicing> place(Board board, List<Integer> set) {
    return set.stream().allMatch(count -> count == 0)
        ? Optional.empty()
        : board.reach.order(set).map(order -> Placing.of(board.grid, order));
  }
}
