package mosaicknife.core.use;

import com.google.ortools.Loader;
import com.google.ortools.sat.BoolVar;
import com.google.ortools.sat.CpModel;
import com.google.ortools.sat.CpSolver;
import com.google.ortools.sat.CpSolverStatus;
import com.google.ortools.sat.IntVar;
import com.google.ortools.sat.LinearExpr;
import com.google.ortools.sat.LinearExprBuilder;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import mosaicknife.core.check.Check;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.use.FishUse.Measure;
import mosaicknife.core.use.PlanQuestion.Lock;
import mosaicknife.core.use.PlanQuestion.Place;
import mosaicknife.core.use.PlanQuestion.Wanted;

/**
 * Gives every gram on hand its best home: an integer programme over whole units, solved to the
 * proved optimum or an honest gap.
 *
 * <p>Parts that may become the same things are one pool in the programme; which of them goes where
 * is shared out after it, what lies at the venue first and the oldest first. Masses are counted in
 * tenths of a gram, a unit's rounded up and a part's down, so that no plan takes more than there
 * is.
 */
public final class UsePlanner {

  private static final long TENTH = 100;
  private static final int SCALE = 100;
  // one worker that relies on the relaxation was as quick as two, and finds the same plan each time
  private static final int WORKERS = 1;
  private static final int RELAXED = 2;
  private static final double ROUNDING = 1e-6;

  private static final Object LOADED = load();

  private final PlanQuestion question;
  private final Map<OnHand, Pool> fits = new LinkedHashMap<>();
  private final Map<Pool, List<OnHand>> pools = new LinkedHashMap<>();

  private final CpModel model = new CpModel();
  private final LinearExprBuilder worth = LinearExpr.newBuilder();
  private final Map<Pool, LinearExprBuilder> taken = new HashMap<>();
  private final Map<Place, LinearExprBuilder> load = new HashMap<>();
  private final Map<Long, LinearExprBuilder> minutes = new HashMap<>();
  private final Map<String, IntVar> units = new HashMap<>();
  private final Map<String, Map<Pool, IntVar>> grams = new HashMap<>();
  private final Map<String, Map<OnHand, IntVar>> pieces = new HashMap<>();

  private UsePlanner(PlanQuestion question) {
    this.question = question;
    Map<String, FishUse> uses = new LinkedHashMap<>();
    question.wanted().forEach(wanted -> uses.put(wanted.use().code(), wanted.use()));
    for (OnHand part : question.parts()) {
      Pool pool = Pool.of(part, uses);
      fits.put(part, pool);
      pools.computeIfAbsent(pool, key -> new ArrayList<>()).add(part);
    }
  }

  private static Object load() {
    Loader.loadNativeLibraries();
    return new Object();
  }

  /** Loads the solver, which takes seconds the first time. */
  public static void warm() {
    Check.notNull(LOADED, "solver");
  }

  /**
   * Plans.
   *
   * @param question what is to be shared out
   * @param seconds how long the solver may look for better, positive
   * @return the plan; empty of makings if nothing is worth it
   * @throws IllegalArgumentException if a lock names a part or a use that is not there, or takes
   *     more than there is
   */
  public static UsePlan plan(PlanQuestion question, double seconds) {
    return new UsePlanner(question).solve(seconds);
  }

  private UsePlan solve(double seconds) {
    question.wanted().stream()
        .collect(Collectors.groupingBy(Wanted::use, LinkedHashMap::new, Collectors.toList()))
        .forEach(this::add);
    question.parts().forEach(this::noMoreThanItsPieces);
    taken.forEach((pool, sum) -> model.addLessOrEqual(sum, supply(pool)));
    load.forEach((place, sum) -> model.addLessOrEqual(sum, question.room().get(place) * SCALE));
    minutes.forEach((venue, sum) -> model.addLessOrEqual(sum, question.hands().get(venue) * SCALE));
    model.maximize(worth);
    CpSolver solver = new CpSolver();
    solver
        .getParameters()
        .setNumWorkers(WORKERS)
        .setLinearizationLevel(RELAXED)
        .setAddLpConstraintsLazily(false)
        .setRandomSeed(1)
        .setMaxTimeInSeconds(seconds);
    CpSolverStatus status = solver.solve(model);
    Check.that(
        status == CpSolverStatus.OPTIMAL || status == CpSolverStatus.FEASIBLE,
        "Expected a plan, found ",
        status);
    Sharing sharing = new Sharing(question, fits);
    pieces.forEach((id, of) -> of.forEach((part, n) -> sharing.pieces(id, part, solver.value(n))));
    grams.forEach((use, of) -> of.forEach((pool, x) -> sharing.pool(use, pool, solver.value(x))));
    units.forEach((id, count) -> sharing.units(id, solver.value(count)));
    return sharing.plan(
        Math.round(solver.objectiveValue()),
        (long) Math.floor(solver.bestObjectiveBound() + ROUNDING));
  }

  private void noMoreThanItsPieces(OnHand part) {
    LinearExprBuilder sum = LinearExpr.newBuilder();
    pieces.values().stream()
        .filter(of -> of.containsKey(part))
        .forEach(of -> sum.add(of.get(part)));
    model.addLessOrEqual(sum, part.pieces());
  }

  private long supply(Pool pool) {
    return pools.get(pool).stream().mapToLong(this::free).sum();
  }

  private long free(OnHand part) {
    Mass locked =
        Mass.total(
            question.locks().stream()
                .filter(lock -> lock.part().equals(part.id()))
                .map(Lock::mass)
                .toList());
    Mass left = part.mass().minus(locked);
    Check.that(!left.isNegative(), "Expected locks up to the part, found more of " + part.id());
    return left.milligrams() / TENTH;
  }

  private static long tenthsUp(Mass mass) {
    return (mass.milligrams() + TENTH - 1) / TENTH;
  }

  private void add(FishUse use, List<Wanted> venues) {
    for (Wanted wanted : venues) {
      addUnits(wanted);
    }
    if (use.measure() instanceof Measure.Pieces count) {
      venues.forEach(wanted -> addPieces(wanted, count.count()));
    } else {
      addGrams(use, venues);
    }
  }

  private void addUnits(Wanted wanted) {
    long locked =
        locksOf(wanted.use()).stream()
            .filter(lock -> lock.venue() == wanted.venue())
            .mapToLong(lock -> unitsOf(wanted.use(), lock))
            .sum();
    long most = Math.max(locked, question.inTime(wanted));
    IntVar count = model.newIntVar(locked, most, wanted.id());
    units.put(wanted.id(), count);
    worth.addTerm(count, wanted.worth());
    FishUse.Work work = wanted.use().work();
    Place place = new Place(wanted.venue(), work.equipment());
    if (question.room().containsKey(place)) {
      load.computeIfAbsent(place, key -> LinearExpr.newBuilder())
          .addTerm(count, hundredths(work.load()));
    }
    if (question.hands().containsKey(wanted.venue())) {
      BoolVar any = model.newBoolVar(wanted.id() + "?");
      model.addLessOrEqual(count, LinearExpr.term(any, most));
      minutes
          .computeIfAbsent(wanted.venue(), key -> LinearExpr.newBuilder())
          .addTerm(count, hundredths(work.each()))
          .addTerm(any, (long) work.start() * SCALE);
    }
  }

  private List<Lock> locksOf(FishUse use) {
    return question.locks().stream().filter(lock -> lock.use().equals(use.code())).toList();
  }

  private long unitsOf(FishUse use, Lock lock) {
    return new Batch(use, lock.mass(), part(lock).piece()).units();
  }

  private OnHand part(Lock lock) {
    return question.parts().stream()
        .filter(part -> part.id().equals(lock.part()))
        .findFirst()
        .orElseThrow(
            () -> new IllegalArgumentException("Expected a part on hand, found " + lock.part()));
  }

  private static long hundredths(BigDecimal amount) {
    return amount.movePointRight(2).setScale(0, RoundingMode.CEILING).longValueExact();
  }

  private void addPieces(Wanted wanted, int perUnit) {
    LinearExprBuilder sum = LinearExpr.newBuilder();
    for (Map.Entry<OnHand, Pool> one : fits.entrySet()) {
      if (one.getValue().fits().contains(wanted.use().code())) {
        OnHand part = one.getKey();
        IntVar count = model.newIntVar(0, part.pieces(), part.id().text());
        pieces.computeIfAbsent(wanted.id(), key -> new LinkedHashMap<>()).put(part, count);
        sum.add(count);
        taken
            .computeIfAbsent(one.getValue(), key -> LinearExpr.newBuilder())
            .addTerm(count, part.piece().milligrams() / TENTH);
      }
    }
    long locked =
        locksOf(wanted.use()).stream()
            .filter(lock -> lock.venue() == wanted.venue())
            .mapToLong(lock -> lock.mass().milligrams() / part(lock).piece().milligrams())
            .sum();
    model.addEquality(
        LinearExpr.newBuilder().add(sum).add(locked).build(),
        LinearExpr.term(units.get(wanted.id()), perUnit));
  }

  private void addGrams(FishUse use, List<Wanted> venues) {
    LinearExprBuilder need = LinearExpr.newBuilder();
    long each = tenthsOf(use);
    venues.forEach(wanted -> need.addTerm(units.get(wanted.id()), -each));
    pools.forEach(
        (pool, parts) -> {
          if (pool.gives(use)) {
            IntVar some = model.newIntVar(0, supply(pool), use.code());
            grams.computeIfAbsent(use.code(), key -> new LinkedHashMap<>()).put(pool, some);
            need.add(some);
            taken.computeIfAbsent(pool, key -> LinearExpr.newBuilder()).add(some);
          }
        });
    long locked = locksOf(use).stream().mapToLong(lock -> tenthsUp(lock.mass())).sum();
    model.addGreaterOrEqual(need.add(locked), 0);
    if (use.fat().isPresent()) {
      noMoreFatThanWanted(use);
    }
  }

  /** Fat is added up to what is wanted: meat × (wanted − own) ≥ added × (its own − wanted). */
  private void noMoreFatThanWanted(FishUse use) {
    LinearExprBuilder above = LinearExpr.newBuilder();
    grams
        .getOrDefault(use.code(), Map.of())
        .forEach((pool, some) -> above.addTerm(some, pool.above(use)));
    for (Lock lock : locksOf(use)) {
      above.add(fits.get(part(lock)).above(use) * (lock.mass().milligrams() / TENTH));
    }
    model.addLessOrEqual(above, 0);
  }

  /** What one unit takes of the part, in tenths of a gram, rounded up. */
  static long tenthsOf(FishUse use) {
    return use.gramsOfPart(Mass.ofGrams(1))
        .toDecimal(1, RoundingMode.CEILING)
        .movePointRight(1)
        .longValueExact();
  }
}
