package mosaicknife.app.pot;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import mosaicknife.app.booklet.HouseBook;
import mosaicknife.app.booklet.Section;
import mosaicknife.app.booklet.Written;
import mosaicknife.app.homes.MakingBook;
import mosaicknife.app.homes.ToMake;
import mosaicknife.app.shared.AskedOnce;
import mosaicknife.app.shared.Refusal;
import mosaicknife.core.heat.Surroundings;
import mosaicknife.core.pot.Kettle;
import mosaicknife.core.pot.Learnt;
import mosaicknife.core.pot.PotPlan;
import mosaicknife.core.pot.PotRun;
import mosaicknife.core.pot.PotStep;
import mosaicknife.core.pot.PotStep.Answer;
import mosaicknife.core.pot.StockMethod;
import mosaicknife.core.quantity.Mass;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Reads kettles, methods and what is on the hob. */
@Service
@Transactional(readOnly = true)
public class PotBook {

  private static final Duration AHEAD = Duration.ofMinutes(2);
  private static final Duration LONGEST = Duration.ofHours(48);

  /** The kettles of the house; each has a number of its own as its code. */
  static final Section<Placed> KETTLES = new Section<>("KETTLE", Placed.class);

  /** Ways to cook a stock, as lines. */
  static final Section<String> METHODS = new Section<>("METHOD", String.class);

  private final PotBatchRepository batches;
  private final PotMarkRepository marks;
  private final PotReadingRepository readings;
  private final PotStandRepository stands;
  private final PotResultRepository results;
  private final MakingBook makings;
  private final HouseBook house;
  private final Clock clock;

  PotBook(
      PotBatchRepository batches,
      PotMarkRepository marks,
      PotReadingRepository readings,
      PotStandRepository stands,
      PotResultRepository results,
      MakingBook makings,
      HouseBook house,
      Clock clock) {
    this.batches = batches;
    this.marks = marks;
    this.readings = readings;
    this.stands = stands;
    this.results = results;
    this.makings = makings;
    this.house = house;
    this.clock = clock;
  }

  /**
   * What is written down of a kettle.
   *
   * @param venue the number of its venue
   * @param kettle the kettle
   */
  record Placed(long venue, Kettle kettle) {}

  /**
   * A kettle of the house.
   *
   * @param id the number of what was written down of it, as a batch keeps it
   * @param number its own number, whatever is written down of it
   * @param venue the number of its venue
   * @param kettle the kettle
   */
  public record Stood(long id, long number, long venue, Kettle kettle) {}

  /**
   * Returns the kettles of the house.
   *
   * @return those in use, by venue
   */
  public List<Stood> kettles() {
    return house.standing(KETTLES).stream()
        .map(PotBook::stood)
        .sorted(Comparator.comparingLong(Stood::venue))
        .toList();
  }

  private static Stood stood(Written<Placed> entry) {
    return new Stood(
        entry.id(), Long.parseLong(entry.code()), entry.said().venue(), entry.said().kettle());
  }

  /**
   * Returns a kettle, also one that is gone.
   *
   * @param id its number
   * @return the kettle
   * @throws Refusal if there never was one
   */
  public Stood kettle(long id) {
    return house
        .row(KETTLES, id)
        .map(PotBook::stood)
        .orElseThrow(() -> Refusal.ofMissing("pot.problem.no-such-kettle"));
  }

  /**
   * Returns the ways to cook a stock.
   *
   * @return the methods by code
   */
  @AskedOnce
  public Map<String, StockMethod> methods() {
    return house.inUse(METHODS, StockMethod.shipped(), StockMethod::read);
  }

  /**
   * Returns a method.
   *
   * @param code its code
   * @return the method
   * @throws Refusal if the house has none of that code
   */
  public StockMethod method(String code) {
    return Optional.ofNullable(methods().get(code))
        .orElseThrow(() -> Refusal.ofInput("pot.problem.no-such-method", code));
  }

  /**
   * Returns what each method gave so far.
   *
   * @return what was learnt, by the code of the method; one without a batch is not in it
   */
  public Map<String, Learnt> learnt() {
    Map<String, List<Learnt.Gave>> of = new HashMap<>();
    for (MethodGave gave : results.findGiven()) {
      of.computeIfAbsent(StockMethod.read(gave.methodBody()).code(), key -> new ArrayList<>())
          .add(
              new Learnt.Gave(
                  gave.litres().doubleValue(),
                  Mass.ofMilligrams(gave.bonesMilligrams()),
                  gave.jelly().equals(PotKeeper.Jelly.SET.name()),
                  gave.look().equals(PotKeeper.Look.CLEAR.name())));
    }
    Map<String, Learnt> learnt = new HashMap<>();
    of.forEach((code, all) -> Learnt.of(all).ifPresent(one -> learnt.put(code, one)));
    return learnt;
  }

  /**
   * Returns what is on the hob or cooling.
   *
   * @return the batches that are not packed yet, the oldest first
   */
  @AskedOnce
  public List<Brew> running() {
    List<PotBatchEntity> open = batches.findRunning();
    Map<Long, ToMake> toMake =
        makings.toMake().stream().collect(Collectors.toMap(ToMake::id, one -> one));
    Log log = log(open.stream().map(PotBatchEntity::id).toList());
    return open.stream()
        .filter(batch -> toMake.containsKey(batch.makingId()))
        .map(batch -> brew(batch, toMake.get(batch.makingId()), log))
        .toList();
  }

  /**
   * Returns a batch that runs.
   *
   * @param id its number
   * @return the batch; empty once it is packed or dropped
   * @throws Refusal if there never was one
   */
  public Optional<Brew> find(long id) {
    PotBatchEntity batch =
        batches.findById(id).orElseThrow(() -> Refusal.ofMissing("pot.problem.no-such-batch"));
    return makings.toMake().stream()
        .filter(one -> one.id() == batch.makingId())
        .findFirst()
        .map(one -> brew(batch, one, log(List.of(id))));
  }

  /**
   * Returns a batch that runs for whoever writes something down of it; others wait.
   *
   * @param id its number
   * @return the batch
   * @throws Refusal if it is packed or dropped
   */
  @Transactional
  Brew locked(long id) {
    batches.lock(Math.toIntExact(id));
    return find(id).orElseThrow(() -> Refusal.ofStale("pot.problem.packed-already"));
  }

  /** Refuses a moment that lies ahead, or days back. */
  void notAhead(Instant at) {
    Instant now = clock.instant();
    if (at.isAfter(now.plus(AHEAD)) || at.isBefore(now.minus(LONGEST))) {
      throw Refusal.ofField("at", "pot.problem.not-then");
    }
  }

  /** What was written down of batches, by their numbers. */
  private record Log(
      Map<Long, List<PotMarkEntity>> marks,
      Map<Long, List<PotReadingEntity>> readings,
      Map<Long, List<PotStandEntity>> stands) {}

  private Log log(List<Long> ids) {
    return new Log(
        marks.findAllByBatchIdInOrderById(ids).stream()
            .collect(Collectors.groupingBy(PotMarkEntity::batchId)),
        readings.findAllByBatchIdInOrderByReadAtAscIdAsc(ids).stream()
            .collect(Collectors.groupingBy(PotReadingEntity::batchId)),
        stands.findAllByBatchIdInOrderById(ids).stream()
            .collect(Collectors.groupingBy(PotStandEntity::batchId)));
  }

  private Brew brew(PotBatchEntity batch, ToMake making, Log log) {
    StockMethod method = StockMethod.read(batch.methodBody());
    Set<Answer> answers =
        Arrays.stream(batch.answers().split(","))
            .filter(text -> !text.isEmpty())
            .map(Answer::valueOf)
            .collect(Collectors.toSet());
    Stood kettle = kettle(batch.kettleId());
    PotPlan plan =
        PotPlan.of(method, answers, making.mass(), batch.litres().doubleValue(), kettle.kettle());
    List<PotMarkEntity> made = log.marks().getOrDefault(batch.id(), List.of());
    PotRun run = new PotRun(method.steps(answers), marks(made));
    List<PotStandEntity> stood = log.stands().getOrDefault(batch.id(), List.of());
    Optional<PotStandEntity> last =
        stood.isEmpty() ? Optional.empty() : Optional.of(stood.get(stood.size() - 1));
    return new Brew(
        batch.id(),
        making,
        plan,
        kettle.number(),
        run,
        Optional.ofNullable(batch.wantedAt()),
        probed(log.readings().getOrDefault(batch.id(), List.of())),
        last.map(one -> Surroundings.valueOf(one.stands())).orElse(Surroundings.ROOM),
        moved(stood),
        last.filter(PotStandEntity::isProbe).isPresent(),
        run.current().flatMap(step -> begunBy(made, step)));
  }

  /** The probe in or out moves nothing. */
  private static Optional<Instant> moved(List<PotStandEntity> stood) {
    Optional<Instant> since = Optional.empty();
    String before = Surroundings.ROOM.name();
    for (PotStandEntity one : stood) {
      since = one.stands().equals(before) ? since : Optional.of(one.at());
      before = one.stands();
    }
    return since;
  }

  private static Optional<Long> begunBy(List<PotMarkEntity> made, PotStep step) {
    return made.stream()
        .filter(mark -> mark.what().equals("BEGUN") && mark.step().equals(step.code()))
        .map(PotMarkEntity::by)
        .findFirst();
  }

  private static Map<String, PotRun.Mark> marks(List<PotMarkEntity> made) {
    Map<String, PotRun.Mark> of = new HashMap<>();
    for (PotMarkEntity mark : made) {
      if (mark.what().equals("BEGUN")) {
        of.put(mark.step(), new PotRun.Mark(mark.at(), Optional.empty()));
      } else {
        of.computeIfPresent(
            mark.step(), (step, was) -> new PotRun.Mark(was.begun(), Optional.of(mark.at())));
      }
    }
    return of;
  }

  private static List<Brew.Probed> probed(List<PotReadingEntity> all) {
    Set<Long> struck =
        all.stream()
            .map(PotReadingEntity::strikes)
            .filter(Objects::nonNull)
            .collect(Collectors.toSet());
    List<Brew.Probed> probed = new ArrayList<>();
    for (PotReadingEntity one : all) {
      if (one.strikes() == null && !struck.contains(one.id())) {
        probed.add(
            new Brew.Probed(
                one.id(),
                new mosaicknife.core.quantity.Temperature(one.tenths()),
                one.readAt(),
                one.isByProbe(),
                one.instrument(),
                one.by()));
      }
    }
    return probed;
  }
}
