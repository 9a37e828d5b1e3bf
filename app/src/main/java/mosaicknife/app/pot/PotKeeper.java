package mosaicknife.app.pot;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import mosaicknife.app.account.CurrentPerson;
import mosaicknife.app.device.Probe;
import mosaicknife.app.homes.Decisions;
import mosaicknife.app.homes.Decisions.Choice;
import mosaicknife.app.homes.HandReader;
import mosaicknife.app.homes.Makings;
import mosaicknife.app.homes.UseBook;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.larder.LarderKeeper.Input;
import mosaicknife.app.lot.ColdChainKeeper;
import mosaicknife.app.shared.FieldName;
import mosaicknife.app.shared.PlainText;
import mosaicknife.app.shared.Refusal;
import mosaicknife.app.shared.SentTwice;
import mosaicknife.core.heat.CoolingRule;
import mosaicknife.core.heat.Surroundings;
import mosaicknife.core.pot.Bones;
import mosaicknife.core.pot.PotPlan;
import mosaicknife.core.pot.PotRun;
import mosaicknife.core.pot.PotStep;
import mosaicknife.core.pot.PotStep.Answer;
import mosaicknife.core.pot.StockMethod;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.Temperature;
import mosaicknife.core.safety.Allergen;
import mosaicknife.core.use.Batch;
import mosaicknife.core.use.FishUse;
import mosaicknife.core.use.HandId;
import mosaicknife.core.use.OnHand;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Puts batches on, writes down what was begun, done and read, and packs them. */
@Service
@Transactional
public class PotKeeper {

  private static final Duration AHEAD = Duration.ofMinutes(2);
  private static final Duration LONGEST = Duration.ofHours(48);
  private static final int LONGEST_NAME = 60;
  private static final int LONGEST_TASTE = 160;

  private final PotBook book;
  private final KettleRepository kettles;
  private final PotBatchRepository batches;
  private final PotMarkRepository marks;
  private final PotReadingRepository readings;
  private final PotStandRepository stands;
  private final PotResultRepository results;
  private final HandReader hand;
  private final Scraps scraps;
  private final UseBook uses;
  private final PotPrices prices;
  private final Makings makings;
  private final Decisions decisions;
  private final Probe probe;
  private final ColdChainKeeper limits;
  private final HouseSettings houses;
  private final CurrentPerson current;
  private final Clock clock;

  PotKeeper(
      PotBook book,
      KettleRepository kettles,
      PotBatchRepository batches,
      PotMarkRepository marks,
      PotReadingRepository readings,
      PotStandRepository stands,
      PotResultRepository results,
      HandReader hand,
      Scraps scraps,
      UseBook uses,
      PotPrices prices,
      Makings makings,
      Decisions decisions,
      Probe probe,
      ColdChainKeeper limits,
      HouseSettings houses,
      CurrentPerson current,
      Clock clock) {
    this.book = book;
    this.kettles = kettles;
    this.batches = batches;
    this.marks = marks;
    this.readings = readings;
    this.stands = stands;
    this.results = results;
    this.hand = hand;
    this.scraps = scraps;
    this.uses = uses;
    this.prices = prices;
    this.makings = makings;
    this.decisions = decisions;
    this.probe = probe;
    this.limits = limits;
    this.houses = houses;
    this.current = current;
    this.clock = clock;
  }

  /**
   * Writes down a kettle of a venue; one of the same name is that kettle, changed.
   *
   * @param venue the number of the venue
   * @param name what it is called
   * @param litres what it holds, from 1 to 500
   * @param centimetres how wide it is
   * @param watts what its hob puts out
   */
  @PreAuthorize("hasAuthority('DECIDE_PURPOSE') and @here.at(#venue)")
  public void keep(long venue, String name, BigDecimal litres, int centimetres, int watts) {
    houses.getVenue(venue);
    String called = PlainText.needed(name, LONGEST_NAME, "name", FieldName.NAME);
    Optional<Long> before =
        kettles.findNewest().stream()
            .filter(one -> one.venueId() == venue && one.name().equals(called))
            .map(KettleEntity::number)
            .findFirst();
    kettles.saveAndFlush(
        new KettleEntity(
            before, venue, called, litres, centimetres, watts, false, me(), clock.instant()));
  }

  /**
   * Takes a kettle out of use.
   *
   * @param id its number
   */
  @PreAuthorize("hasAuthority('DECIDE_PURPOSE') and @here.of('KETTLE', #id)")
  public void retire(long id) {
    PotBook.Stood old = book.kettle(id);
    kettles.saveAndFlush(
        new KettleEntity(
            Optional.of(old.number()),
            old.venue(),
            old.kettle().name(),
            old.kettle().litres(),
            old.kettle().centimetres(),
            old.kettle().watts(),
            true,
            me(),
            clock.instant()));
  }

  private long me() {
    return current.get().id();
  }

  /**
   * What is to be put on.
   *
   * @param method the code of the method
   * @param answers what is done one way or the other
   * @param litres how many litres are wanted
   * @param kettle the number of the kettle
   * @param wanted when it is needed, if somebody said so
   * @param scraps the numbers of what other stations give
   */
  public record Wish(
      String method,
      Set<Answer> answers,
      double litres,
      long kettle,
      Optional<Instant> wanted,
      Set<Long> scraps) {

    /** A wish without scraps. */
    public Wish(
        String method, Set<Answer> answers, double litres, long kettle, Optional<Instant> wanted) {
      this(method, answers, litres, kettle, wanted, Set.of());
    }
  }

  /**
   * What a wish comes to.
   *
   * @param use what is made
   * @param graded the bones on hand
   * @param plan what fits and what comes out; empty if there are no bones for it
   * @param picked the bones that would go in
   */
  public record Worked(
      FishUse use, List<Bones.Graded> graded, Optional<PotPlan> plan, Map<OnHand, Mass> picked) {

    /**
     * Returns the bones that would go in.
     *
     * @return the same as what something is made of
     */
    public List<Input> inputs() {
      return picked.entrySet().stream()
          .flatMap(
              one ->
                  one.getKey().id() instanceof HandId.Here here
                      ? Stream.of(new Input(here, one.getValue()))
                      : Stream.empty())
          .toList();
    }
  }

  /**
   * Works a wish out with the bones on hand.
   *
   * @param wish what is wanted
   * @return bones, amounts and times
   * @throws Refusal if the house makes nothing by that method
   */
  @Transactional(readOnly = true)
  public Worked work(Wish wish) {
    StockMethod method = book.method(wish.method());
    Map<String, FishUse> all = uses.uses();
    FishUse use =
        method.uses().stream()
            .sorted()
            .map(all::get)
            .filter(java.util.Objects::nonNull)
            .findFirst()
            .orElseThrow(() -> Refusal.ofInput("pot.problem.no-use", method.name()));
    List<Bones.Graded> graded = Bones.grade(use, hand.waiting());
    Mass there = Bones.there(graded);
    if (!there.isPositive()) {
      return new Worked(use, graded, Optional.empty(), Map.of());
    }
    PotBook.Stood kettle = book.kettle(wish.kettle());
    PotPlan plan =
        PotPlan.of(
            scraps.into(method, wish.scraps(), method.bones(wish.litres(), there)),
            wish.answers(),
            there,
            wish.litres(),
            kettle.kettle());
    return new Worked(
        use, graded, Optional.of(plan), Bones.pick(graded, plan.bones(), kettle.venue()));
  }

  /**
   * Puts a batch on: its bones are promised from now on.
   *
   * @param clientId the identifier the sender made
   * @param wish what is wanted
   * @return the number of the batch
   * @throws Refusal if there are no bones for a litre, or the service is over already
   */
  @PreAuthorize("hasAuthority('DECIDE_PURPOSE') and @here.of('KETTLE', #wish.kettle())")
  @SentTwice
  public long start(UUID clientId, Wish wish) {
    Optional<PotBatchEntity> before = batches.findByClientId(clientId);
    if (before.isPresent()) {
      return before.get().id();
    }
    if (wish.wanted().filter(at -> at.isBefore(clock.instant())).isPresent()) {
      throw Refusal.ofField("wanted", "pot.problem.over");
    }
    Worked worked = work(wish);
    PotPlan plan = worked.plan().orElseThrow(() -> Refusal.ofInput("pot.problem.no-bones"));
    if (plan.kettles() == 0) {
      throw Refusal.ofField("kettle", "pot.problem.dry", plan.kettle().name());
    }
    long venue = book.kettle(wish.kettle()).venue();
    Mass all = Mass.total(worked.picked().values());
    long units =
        Math.min(
            (long) Math.floor(plan.litres() + 0.001), new Batch(worked.use(), all, all).units());
    if (units < 1) {
      throw Refusal.ofField("litres", "pot.problem.no-litre");
    }
    Map<HandId, Mass> from = new HashMap<>();
    worked.picked().forEach((part, mass) -> from.put(part.id(), mass));
    long making = decisions.accept(clientId, new Choice(worked.use().code(), venue, units, from));
    long batch =
        batches
            .saveAndFlush(
                new PotBatchEntity(
                    clientId,
                    making,
                    wish.kettle(),
                    plan.method().write(),
                    wish.answers().stream()
                        .map(Enum::name)
                        .sorted()
                        .collect(Collectors.joining(",")),
                    BigDecimal.valueOf(plan.litres()).setScale(3, RoundingMode.HALF_EVEN),
                    wish.wanted().orElse(null),
                    me(),
                    clock.instant()))
            .id();
    scraps.used(wish.scraps(), batch);
    return batch;
  }

  private Brew brew(long id) {
    batches.lock(Math.toIntExact(id));
    return book.find(id).orElseThrow(() -> Refusal.ofStale("pot.problem.packed-already"));
  }

  /**
   * Writes down that a step was begun.
   *
   * @param id the number of the batch
   * @param step the code of the step
   * @param at when
   * @throws Refusal if another comes first, somebody began it already, or that lies ahead
   */
  @PreAuthorize("hasAnyAuthority('WEIGH', 'DECIDE_PURPOSE') and @here.of('POT', #id)")
  public void begin(long id, String step, Instant at) {
    notAhead(at);
    refuse(brew(id).run().beginning(step));
    marks.saveAndFlush(new PotMarkEntity(id, step, "BEGUN", me(), at));
  }

  private void notAhead(Instant at) {
    Instant now = clock.instant();
    if (at.isAfter(now.plus(AHEAD)) || at.isBefore(now.minus(LONGEST))) {
      throw Refusal.ofField("at", "pot.problem.not-then");
    }
  }

  /**
   * Writes down that a step is done, and begins the next one: there is no pause on a hob.
   *
   * @param id the number of the batch
   * @param step the code of the step
   * @param at when
   * @throws Refusal if it was not begun by then, or somebody ended it already
   */
  @PreAuthorize("hasAnyAuthority('WEIGH', 'DECIDE_PURPOSE') and @here.of('POT', #id)")
  public void done(long id, String step, Instant at) {
    notAhead(at);
    PotRun run = brew(id).run();
    refuse(run.ending(step));
    boolean cools =
        run.steps().stream()
            .anyMatch(one -> one.code().equals(step) && one.work() == PotStep.Work.COOL);
    if (cools) {
      Refusal.ifFound(brew(id).cooling(rule()).coldness());
    }
    Instant begun = run.marks().get(step).begun();
    if (at.isBefore(begun)) {
      throw Refusal.ofField("at", "pot.problem.not-then");
    }
    marks.saveAndFlush(new PotMarkEntity(id, step, "DONE", me(), at));
    Map<String, PotRun.Mark> after = new HashMap<>(run.marks());
    after.put(step, new PotRun.Mark(begun, Optional.of(at)));
    new PotRun(run.steps(), after)
        .current()
        .ifPresent(
            next -> marks.saveAndFlush(new PotMarkEntity(id, next.code(), "BEGUN", me(), at)));
  }

  private static void refuse(Optional<PotRun.Problem> problem) {
    problem.ifPresent(
        what -> {
          throw Refusal.ofStale("PotRun.Problem." + what.name());
        });
  }

  /**
   * Writes down what a probe showed.
   *
   * @param clientId the identifier the sender made
   * @param id the number of the batch
   * @param temperature what it showed
   * @param at when
   * @param instrument which thermometer
   * @throws Refusal if that lies ahead, or days back, or nobody says which
   */
  @PreAuthorize("hasAnyAuthority('WEIGH', 'DECIDE_PURPOSE') and @here.of('POT', #id)")
  public void read(UUID clientId, long id, Temperature temperature, Instant at, String instrument) {
    notAhead(at);
    String which = PlainText.needed(instrument, LONGEST_NAME, "instrument", FieldName.INSTRUMENT);
    brew(id);
    note(clientId, id, temperature, at, Optional.of(which), me());
  }

  private CoolingRule rule() {
    return CoolingRule.of(limits.limits());
  }

  /**
   * Reads the probe of the house now.
   *
   * @param clientId the identifier the sender made
   * @param id the number of the batch
   * @return what it showed
   * @throws Refusal if it does not answer
   */
  @PreAuthorize("hasAnyAuthority('WEIGH', 'DECIDE_PURPOSE') and @here.of('POT', #id)")
  public Temperature read(UUID clientId, long id) {
    Temperature shown = probe.read().orElseThrow(() -> Refusal.ofInput("pot.problem.probe-silent"));
    brew(id);
    note(clientId, id, shown, clock.instant(), Optional.empty(), me());
    return shown;
  }

  private void note(
      UUID clientId,
      long id,
      Temperature temperature,
      Instant at,
      Optional<String> typed,
      long by) {
    if (!readings.existsByClientId(clientId)) {
      readings.saveAndFlush(
          new PotReadingEntity(
              clientId,
              id,
              temperature.tenths(),
              at,
              typed.isEmpty(),
              typed.orElse(""),
              null,
              by,
              clock.instant()));
    }
  }

  /**
   * Strikes a reading that was wrong.
   *
   * @param id the number of the batch
   * @param reading the number of the reading
   * @throws Refusal if the batch has none of that number
   */
  @PreAuthorize("hasAnyAuthority('WEIGH', 'DECIDE_PURPOSE') and @here.of('POT', #id)")
  public void strike(long id, long reading) {
    Brew.Probed wrong =
        brew(id).probed().stream()
            .filter(one -> one.id() == reading)
            .findFirst()
            .orElseThrow(() -> Refusal.ofStale("pot.problem.no-such-reading"));
    readings.saveAndFlush(
        new PotReadingEntity(
            UUID.randomUUID(),
            id,
            wrong.temperature().tenths(),
            wrong.at(),
            wrong.byProbe(),
            wrong.instrument(),
            reading,
            me(),
            clock.instant()));
  }

  /**
   * Says where a batch stands to cool, and whether the probe is in it.
   *
   * @param id the number of the batch
   * @param where where
   * @param inIt whether the probe of the house is in it
   */
  @PreAuthorize("hasAnyAuthority('WEIGH', 'DECIDE_PURPOSE') and @here.of('POT', #id)")
  public void stand(long id, Surroundings where, boolean inIt) {
    brew(id);
    if (inIt) {
      book.running().stream()
          .filter(other -> other.id() != id && other.probe())
          .forEach(other -> stood(other.id(), other.where(), false));
      probe.stands(where);
    }
    stood(id, where, inIt);
  }

  private void stood(long id, Surroundings where, boolean inIt) {
    stands.saveAndFlush(new PotStandEntity(id, where.name(), inIt, me(), clock.instant()));
  }

  /**
   * Reads the probe for the batch it is in, once: whoever put it there is who reads.
   *
   * @return whether anything was read
   */
  public boolean log() {
    Optional<Brew> in = book.running().stream().filter(Brew::probe).findFirst();
    Optional<Temperature> shown = in.flatMap(one -> probe.read());
    shown.ifPresent(
        temperature -> {
          long id = in.get().id();
          List<PotStandEntity> stood = stands.findAllByBatchIdInOrderById(List.of(id));
          long by = stood.get(stood.size() - 1).by();
          note(UUID.randomUUID(), id, temperature, clock.instant(), Optional.empty(), by);
        });
    return shown.isPresent();
  }

  /** How a stock set when it was cold. */
  public enum Jelly {
    /** It holds its shape. */
    SET,
    /** It trembles. */
    SOFT,
    /** It runs. */
    LOOSE,
    /** Not cold yet, or nobody looked. */
    UNKNOWN
  }

  /** How a stock looks. */
  public enum Look {
    /** Clear. */
    CLEAR,
    /** A little hazy. */
    HAZY,
    /** Cloudy. */
    CLOUDY
  }

  /**
   * What a batch gave.
   *
   * @param litres how many litres
   * @param jelly how it set
   * @param look how it looks
   * @param taste a word on its taste, possibly empty
   */
  public record Gave(BigDecimal litres, Jelly jelly, Look look, String taste) {}

  /**
   * Packs a batch: it goes into the larder with its day, and what it gave is remembered for its
   * method.
   *
   * @param id the number of the batch
   * @param made the packs
   * @param gave what it gave
   * @return the code of its label
   * @throws Refusal if it was packed already, or is not done
   */
  @PreAuthorize("hasAnyAuthority('WEIGH', 'DECIDE_PURPOSE') and @here.of('POT', #id)")
  public String pack(long id, Makings.Made made, Gave gave) {
    Brew brew = brew(id);
    Optional<PotStep> before = brew.run().beforePacking();
    if (before.isPresent()) {
      throw Refusal.ofInput("pot.problem.not-done", before.get().name());
    }
    Refusal.ifFound(brew.cooling(rule()).shelving(brew.since(clock.instant())));
    Set<Allergen> allergens =
        brew.plan().ingredients().stream()
            .flatMap(one -> one.line().allergens().stream())
            .collect(Collectors.toSet());
    allergens.add(Allergen.FISH);
    String code =
        makings.made(
            brew.making().id(),
            made,
            Optional.of(new Makings.WentIn(prices.outlay(brew.plan()), allergens)));
    results.saveAndFlush(
        new PotResultEntity(
            id,
            gave.litres(),
            brew.making().mass().milligrams(),
            gave.jelly().name(),
            gave.look().name(),
            PlainText.line(gave.taste(), LONGEST_TASTE, "taste", FieldName.NOTE),
            me(),
            clock.instant()));
    return code;
  }
}
