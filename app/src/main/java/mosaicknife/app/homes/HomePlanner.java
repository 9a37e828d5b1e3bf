package mosaicknife.app.homes;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import mosaicknife.app.account.CurrentPerson;
import mosaicknife.app.cutplan.PreWorkTicker;
import mosaicknife.app.homes.UseBook.Room;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.larder.LarderBook;
import mosaicknife.app.larder.LarderKeeper;
import mosaicknife.app.larder.LarderKeeper.Input;
import mosaicknife.app.larder.LarderKeeper.PutAway;
import mosaicknife.app.lot.LotRegister;
import mosaicknife.app.parts.PurposeAssigner;
import mosaicknife.app.parts.Use;
import mosaicknife.app.shared.FieldName;
import mosaicknife.app.shared.PlainText;
import mosaicknife.app.shared.Refusal;
import mosaicknife.app.weighing.LotSheets;
import mosaicknife.core.anatomy.Purpose;
import mosaicknife.core.larder.Entry;
import mosaicknife.core.larder.Item;
import mosaicknife.core.larder.LabelFacts;
import mosaicknife.core.larder.Shelved;
import mosaicknife.core.larder.Shelved.State;
import mosaicknife.core.larder.Trace;
import mosaicknife.core.lot.Held;
import mosaicknife.core.lot.Lot;
import mosaicknife.core.lot.LotPart;
import mosaicknife.core.lot.LotSheet;
import mosaicknife.core.plan.PreWork;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.UnitPrice;
import mosaicknife.core.safety.RawGate;
import mosaicknife.core.use.Batch;
import mosaicknife.core.use.FishUse;
import mosaicknife.core.use.FishUse.Caution;
import mosaicknife.core.use.Hand;
import mosaicknife.core.use.OnHand;
import mosaicknife.core.use.PlanQuestion;
import mosaicknife.core.use.PlanQuestion.Lock;
import mosaicknife.core.use.PlanQuestion.Place;
import mosaicknife.core.use.PlanQuestion.Wanted;
import mosaicknife.core.use.Qualification;
import mosaicknife.core.use.UseCatalogue;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Gathers what is on hand and wanted, and keeps what is to be made of it. */
@Service
@Transactional
public class HomePlanner {

  private static final int MOST_LOTS = 60;
  private static final int LATELY_DAYS = 7;

  /** Under this number stands what is promised of items on shelves, by their codes. */
  private static final long SHELVES = 0;

  private final LotRegister lots;
  private final LotSheets sheets;
  private final PreWorkTicker works;
  private final UseBook book;
  private final MakingRepository makings;
  private final MakingSourceRepository sources;
  private final MakingEndRepository ends;
  private final LarderKeeper larder;
  private final LarderBook shelves;
  private final PurposeAssigner purposes;
  private final HouseSettings houses;
  private final CurrentPerson current;
  private final Clock clock;

  HomePlanner(
      LotRegister lots,
      LotSheets sheets,
      PreWorkTicker works,
      UseBook book,
      MakingRepository makings,
      MakingSourceRepository sources,
      MakingEndRepository ends,
      LarderKeeper larder,
      LarderBook shelves,
      PurposeAssigner purposes,
      HouseSettings houses,
      CurrentPerson current,
      Clock clock) {
    this.lots = lots;
    this.sheets = sheets;
    this.works = works;
    this.book = book;
    this.makings = makings;
    this.sources = sources;
    this.ends = ends;
    this.larder = larder;
    this.shelves = shelves;
    this.purposes = purposes;
    this.houses = houses;
    this.current = current;
    this.clock = clock;
  }

  /**
   * Something that is to be made.
   *
   * @param id its number
   * @param use what
   * @param venue the number of the venue
   * @param units how many units
   * @param from the grams it takes, by lot and slot
   * @param fat how much fat of belly or skin is to be added; empty if it is fat enough or does not
   *     matter
   */
  public record ToMake(
      long id, FishUse use, long venue, int units, List<Input> from, Optional<Mass> fat) {

    /**
     * Returns the fish in it.
     *
     * @return the sum of the grams
     */
    public Mass mass() {
      return Mass.total(from.stream().map(Input::mass).toList());
    }
  }

  /**
   * Returns what was decided and is not made yet.
   *
   * @return the makings, the oldest first
   */
  @Transactional(readOnly = true)
  public List<ToMake> toMake() {
    List<MakingEntity> open = makings.findOpen();
    Map<Long, List<Input>> from =
        makings.findSources(open.stream().map(MakingEntity::id).toList()).stream()
            .collect(
                Collectors.groupingBy(
                    MakingSourceEntity::makingId,
                    Collectors.mapping(
                        one ->
                            new Input(
                                one.lotId(),
                                one.slot(),
                                one.itemId() == null ? "" : shelves.codeOf(one.itemId()),
                                one.mass()),
                        Collectors.toList())));
    return open.stream()
        .map(
            one ->
                new ToMake(
                    one.id(),
                    book.get(one.useCode()),
                    one.venueId(),
                    one.units(),
                    from.getOrDefault(one.id(), List.of()),
                    fat(book.get(one.useCode()), from.getOrDefault(one.id(), List.of()))))
        .toList();
  }

  /**
   * Returns what the parts are called that something is to be made of.
   *
   * @param open what is to be made
   * @return fish and part by lot and slot, with a colon between
   */
  @Transactional(readOnly = true)
  public Map<String, String> names(List<ToMake> open) {
    List<Long> ids =
        open.stream().flatMap(one -> one.from().stream()).map(Input::lot).distinct().toList();
    Map<String, String> names = new HashMap<>();
    for (LotSheet sheet : sheets.of(ids.stream().map(lots::get).toList())) {
      sheet
          .parts()
          .forEach(
              part ->
                  names.put(
                      sheet.lot().id() + ":" + part.slot(),
                      sheet.lot().species().name() + ", " + part.name()));
    }
    return names;
  }

  /** How much fat a lean batch takes, by the starting figures of what is in it. */
  private Optional<Mass> fat(FishUse use, List<Input> from) {
    if (use.fat().isEmpty() || from.isEmpty()) {
      return Optional.empty();
    }
    Map<OnHand.Kind, Mass> meat = new LinkedHashMap<>();
    for (Input input : from) {
      LotSheet sheet = sheets.get(input.lot());
      sheet
          .find(input.slot())
          .ifPresent(
              part ->
                  meat.merge(
                      new OnHand.Kind(part.kind(), sheet.lot().species()),
                      input.mass(),
                      Mass::plus));
    }
    return Optional.of(UseCatalogue.fatToAdd(meat, use.fat().get())).filter(Mass::isPositive);
  }

  /**
   * Gathers what is to be shared out, without what was decided already.
   *
   * @return the question
   */
  @Transactional(readOnly = true)
  public PlanQuestion question() {
    Map<Long, Map<String, Mass>> promised = promised(toMake());
    return question(parts(promised), toMake(), false);
  }

  /**
   * Gathers the same with what was decided as locks, so that its price can be seen.
   *
   * @return the question
   */
  @Transactional(readOnly = true)
  public PlanQuestion decided() {
    return question(parts(Map.of()), toMake(), true);
  }

  private PlanQuestion question(List<OnHand> parts, List<ToMake> decided, boolean locked) {
    Map<Long, Room> rooms = book.rooms();
    ExactMoney labour = houses.house().labourPerHour();
    Map<String, FishUse> uses = book.uses();
    List<Wanted> wanted = new ArrayList<>();
    rooms.forEach(
        (venue, room) ->
            uses.values()
                .forEach(
                    use -> {
                      long units = decidedUnits(decided, use, venue);
                      int most = room.wanted().getOrDefault(use.code(), 0);
                      long left = locked ? Math.max(most, units) : Math.max(0, most - units);
                      if (left > 0) {
                        wanted.add(new Wanted(use, venue, left, Hand.worth(use, labour)));
                      }
                    }));
    Map<Long, Long> hands = new HashMap<>();
    rooms.forEach((venue, room) -> room.hands().ifPresent(m -> hands.put(venue, (long) m)));
    Map<Place, Long> equipment = book.equipment(rooms);
    if (!locked) {
      decided.forEach(one -> takeRoom(one, hands, equipment));
    }
    List<Lock> locks = new ArrayList<>();
    if (locked) {
      Map<String, OnHand> byId = parts.stream().collect(Collectors.toMap(OnHand::id, part -> part));
      for (ToMake one : decided) {
        for (Input input : one.from()) {
          String id =
              input.lot() + ":" + input.slot() + (input.item().isEmpty() ? "" : ":" + input.item());
          if (byId.containsKey(id) && input.mass().compareTo(byId.get(id).mass()) <= 0) {
            locks.add(new Lock(id, one.use().code(), one.venue(), input.mass()));
          }
        }
      }
    }
    return new PlanQuestion(parts, wanted, equipment, hands, locks);
  }

  /** What is to be made already takes its hands and its room. */
  private static void takeRoom(ToMake one, Map<Long, Long> hands, Map<Place, Long> equipment) {
    FishUse.Work work = one.use().work();
    long minutes = work.start() + rounded(work.each(), one.units());
    long load = rounded(work.load(), one.units());
    hands.computeIfPresent(one.venue(), (venue, left) -> Math.max(0, left - minutes));
    equipment.computeIfPresent(
        new Place(one.venue(), work.equipment()), (place, left) -> Math.max(0, left - load));
  }

  private static long rounded(BigDecimal each, int units) {
    return each.multiply(BigDecimal.valueOf(units)).setScale(0, RoundingMode.CEILING).longValue();
  }

  private static long decidedUnits(List<ToMake> decided, FishUse use, long venue) {
    return decided.stream()
        .filter(one -> one.use().code().equals(use.code()) && one.venue() == venue)
        .mapToLong(ToMake::units)
        .sum();
  }

  private static Map<Long, Map<String, Mass>> promised(List<ToMake> open) {
    Map<Long, Map<String, Mass>> promised = new HashMap<>();
    open.stream()
        .flatMap(one -> one.from().stream())
        .forEach(
            input ->
                promised
                    .computeIfAbsent(
                        input.item().isEmpty() ? input.lot() : SHELVES, key -> new HashMap<>())
                    .merge(
                        input.item().isEmpty() ? input.slot() : input.item(),
                        input.mass(),
                        Mass::plus));
    return promised;
  }

  /** The lots of the last days, open or closed. */
  private List<Lot> lately() {
    return Stream.concat(lots.open(MOST_LOTS).stream(), lots.newest().stream())
        .collect(Collectors.toMap(Lot::id, lot -> lot, (a, b) -> a, LinkedHashMap::new))
        .values()
        .stream()
        .filter(lot -> !lot.landedOn().isBefore(houses.today().minusDays(LATELY_DAYS)))
        .toList();
  }

  /**
   * A lot of the last days with what it missed.
   *
   * @param sheet the lot
   * @param missed parts that had a use and went to compost or bin
   */
  public record Looked(LotSheet sheet, List<Hand.Missed> missed) {}

  /**
   * Returns the lots of the last days with what they missed.
   *
   * @return the lots
   */
  @Transactional(readOnly = true)
  public List<Looked> looked() {
    List<Lot> wanted = lately();
    Map<Long, Set<PreWork.Task>> done = works.done(wanted.stream().map(Lot::id).toList());
    Collection<FishUse> uses = book.uses().values();
    return sheets.of(wanted).stream()
        .map(
            sheet ->
                new Looked(
                    sheet,
                    Hand.missed(
                        sheet,
                        0,
                        done.getOrDefault(sheet.lot().id(), Set.of()),
                        uses,
                        houses.house().labourPerHour(),
                        houses.today())))
        .toList();
  }

  private List<OnHand> parts(Map<Long, Map<String, Mass>> promised) {
    List<Lot> wanted = lately();
    Collection<Long> ids = wanted.stream().map(Lot::id).toList();
    Map<Long, Set<PreWork.Task>> done = works.done(ids);
    Map<String, Long> venues =
        houses.venues().stream().collect(Collectors.toMap(v -> v.name(), v -> v.id(), (a, b) -> a));
    Stream<OnHand> cut =
        sheets.of(wanted).stream()
            .flatMap(
                sheet ->
                    Hand.of(
                        sheet,
                        venues.getOrDefault(sheet.lot().venue(), 0L),
                        done.getOrDefault(sheet.lot().id(), Set.of()),
                        promised.getOrDefault(sheet.lot().id(), Map.of()),
                        houses.today())
                        .stream());
    return Stream.concat(cut, onShelves(promised.getOrDefault(SHELVES, Map.of()))).toList();
  }

  /**
   * Parts as they were cut that lie on shelves, of one lot each, raw or thawed and in their days.
   */
  private Stream<OnHand> onShelves(Map<String, Mass> promised) {
    List<Item> items =
        shelves.onShelves().stream()
            .filter(item -> item.shelved().use().isEmpty() && item.underWay().isEmpty())
            .filter(item -> item.trace().grams().size() == 1)
            .filter(item -> item.state() == State.RAW || item.state() == State.THAWED)
            .filter(item -> item.daysLeft(houses.today()) >= 0)
            .toList();
    List<Long> ids =
        items.stream().flatMap(item -> item.trace().lots().stream()).distinct().toList();
    Map<Long, Set<PreWork.Task>> done = works.done(ids);
    Map<Long, LotSheet> of =
        sheets.of(ids.stream().map(lots::get).toList()).stream()
            .collect(Collectors.toMap(sheet -> sheet.lot().id(), sheet -> sheet));
    List<OnHand> parts = new ArrayList<>();
    for (Item item : items) {
      Trace.Source source = item.trace().grams().keySet().iterator().next();
      String code = item.shelved().code();
      Mass left = item.mass().minus(promised.getOrDefault(code, Mass.ZERO));
      Optional<LotPart> part =
          of.get(source.lot())
              .find(source.slot())
              .filter(cut -> !isMain(of.get(source.lot()), cut));
      if (part.isPresent() && left.isPositive()) {
        Set<PreWork.Task> tasks = done.getOrDefault(source.lot(), Set.of());
        parts.add(
            Hand.onHand(
                    of.get(source.lot()),
                    part.get(),
                    left,
                    item.spot().venue(),
                    tasks,
                    houses.today())
                .shelved(
                    source.lot() + ":" + source.slot() + ":" + code, item.state() == State.THAWED));
      }
    }
    return parts.stream();
  }

  /** A main cut that is kept waits for its own plate. */
  private static boolean isMain(LotSheet sheet, LotPart part) {
    return sheet.usualPurpose(part).filter(Purpose.PLATE::equals).isPresent();
  }

  /**
   * Something of a plan that is to be made as it was shown.
   *
   * @param code the code of the use
   * @param venue the number of the venue
   * @param units how many units
   * @param from the grams it takes, by part on hand
   */
  public record Choice(String code, long venue, long units, Map<String, Mass> from) {}

  /**
   * Decides that what a plan says is made.
   *
   * @param clientId the identifier the sender made
   * @param choices what is made
   * @throws Refusal if something changed since the plan was shown, so that it does not fit any more
   */
  @PreAuthorize("hasAuthority('DECIDE_PURPOSE')")
  public void accept(UUID clientId, List<Choice> choices) {
    makings.lockAll();
    int number = 0;
    for (Choice choice : choices) {
      UUID own = derived(clientId + ":" + number++);
      if (!makings.existsByClientId(own)) {
        accept(own, choice);
      }
    }
  }

  private void accept(UUID clientId, Choice choice) {
    FishUse use = Optional.ofNullable(book.uses().get(choice.code())).orElseGet(() -> changed());
    Map<String, OnHand> onHand =
        parts(promised(toMake())).stream().collect(Collectors.toMap(OnHand::id, part -> part));
    List<Input> from = new ArrayList<>();
    choice
        .from()
        .forEach(
            (id, mass) -> {
              OnHand part = Optional.ofNullable(onHand.get(id)).orElseGet(() -> changed());
              if (mass.compareTo(part.mass()) > 0
                  || !mass.isPositive()
                  || !Qualification.qualifies(use, part)) {
                changed();
              }
              from.add(input(part, mass));
            });
    Mass all = Mass.total(choice.from().values());
    boolean pieces = use.measure() instanceof FishUse.Measure.Pieces;
    if (choice.units() < 1 || !pieces && new Batch(use, all, all).units() < choice.units()) {
      changed();
    }
    decide(clientId, use, choice.venue(), choice.units(), from);
  }

  private static <T> T changed() {
    throw Refusal.ofStale("homes.problem.plan-changed");
  }

  private static UUID derived(String text) {
    return UUID.nameUUIDFromBytes(text.getBytes(StandardCharsets.UTF_8));
  }

  private static Input input(OnHand part, Mass mass) {
    String[] id = part.id().split(":", -1);
    return new Input(Long.parseLong(id[0]), id[1], id.length > 2 ? id[2] : "", mass);
  }

  /**
   * Decides by hand what grams of a part become; the plan leaves them alone from then on.
   *
   * @param clientId the identifier the sender made
   * @param code the code of the use
   * @param venue the number of the venue
   * @param partId the identifier of the part on hand
   * @param mass how much of it; empty for all that is left
   * @throws Refusal if the part may not become that, or less of it is left
   */
  @PreAuthorize("hasAuthority('DECIDE_PURPOSE')")
  public void decide(UUID clientId, String code, long venue, String partId, Optional<Mass> mass) {
    makings.lockAll();
    FishUse use = Optional.ofNullable(book.uses().get(code)).orElseGet(() -> refused(code));
    OnHand part =
        parts(promised(toMake())).stream()
            .filter(one -> one.id().equals(partId))
            .findFirst()
            .orElseThrow(() -> Refusal.ofInput("homes.problem.not-on-hand"));
    Qualification.whyNot(use, part).stream()
        .findFirst()
        .ifPresent(
            why -> {
              throw Refusal.of(why.at("use"));
            });
    Mass some = mass.orElse(part.mass());
    if (some.compareTo(part.mass()) > 0) {
      throw Refusal.ofField("amount", "larder.problem.less-left", part.name(), part.mass());
    }
    long units = new Batch(use, some, part.piece()).units();
    if (units == 0) {
      throw Refusal.ofField("amount", "homes.problem.less-than-one", some, use.name());
    }
    decide(clientId, use, venue, units, List.of(input(part, some)));
  }

  private static FishUse refused(String code) {
    throw Refusal.ofInput("homes.problem.no-such-use", code);
  }

  private void decide(UUID clientId, FishUse use, long venue, long units, List<Input> from) {
    if (makings.existsByClientId(clientId)) {
      return;
    }
    houses.getVenue(venue);
    MakingEntity making =
        makings.saveAndFlush(
            new MakingEntity(
                clientId,
                use.code(),
                use.name(),
                venue,
                units,
                current.get().id(),
                clock.instant()));
    from.forEach(
        input ->
            sources.save(
                new MakingSourceEntity(
                    making.id(),
                    input.lot(),
                    input.slot(),
                    input.item().isEmpty() ? null : larder.numberOf(input.item()),
                    input.mass())));
    if (use.purpose() != Purpose.HOLD) {
      from.forEach(input -> give(input, use, Optional.empty()));
    }
  }

  /** The part's letter follows what is made of it, as long as its lot is open and it has none. */
  private void give(Input input, FishUse use, Optional<Held> held) {
    if (!input.item().isEmpty()) {
      return;
    }
    LotSheet sheet = sheets.get(input.lot());
    Optional<LotPart> part = sheet.find(input.slot());
    if (sheet.lot().isFinished() || part.flatMap(LotPart::purpose).isPresent() || part.isEmpty()) {
      return;
    }
    purposes.assign(
        input.lot(),
        input.slot(),
        part.get().version(),
        use.purpose(),
        new Use(use.name(), value(use), held));
  }

  /** What a kilogram of the part is worth to the house when it becomes this. */
  private Optional<UnitPrice> value(FishUse use) {
    Mass piece = use.lightest().orElse(Mass.ofGrams(150));
    Mass fish = Batch.forUnits(use, 1, piece).fish();
    BigDecimal worth =
        use.value().subtract(new Batch(use, fish, piece).additions(currency()).amount());
    return worth.signum() > 0
        ? Optional.of(new ExactMoney(worth, currency()).per(fish))
        : Optional.empty();
  }

  private java.util.Currency currency() {
    return houses.house().formats().currency();
  }

  /**
   * What came out when something was made.
   *
   * @param units how many units
   * @param mass what they weigh; empty to take what the recipe says
   * @param useBy the last day; empty for as long as the use says
   * @param spot where it lies
   * @param served whether it goes out at once
   */
  public record Made(
      int units,
      Optional<Mass> mass,
      Optional<LocalDate> useBy,
      Shelved.Spot spot,
      boolean served) {}

  /**
   * Writes down that something was made: it goes on a shelf with its trace, cost and allergens.
   *
   * @param id the number of the making
   * @param made what came out
   * @return the code of its label
   * @throws Refusal if it was made or dropped already, or less of a part is there
   */
  @PreAuthorize("hasAnyAuthority('WEIGH', 'DECIDE_PURPOSE')")
  public String made(long id, Made made) {
    ToMake planned = open(id);
    FishUse use = planned.use();
    List<Input> there = there(planned);
    LocalDate until = made.useBy().orElse(houses.today().plusDays(use.keeps()));
    if (use.purpose() == Purpose.HOLD) {
      Held held = new Held(until, made.spot().place(), made.spot().keeper());
      there.forEach(input -> give(input, use, Optional.of(held)));
    }
    Mass fish = Mass.total(there.stream().map(Input::mass).toList());
    Batch batch = new Batch(use, fish, fish);
    PutAway away =
        new PutAway(
            use.name(),
            Optional.of(use.code()),
            made.mass().orElse(batch.out()),
            made.units(),
            batch.additions(currency()),
            use.allergens(),
            new Shelved.Traits(hasBones(use, there), mayBeRaw(use, there)),
            Optional.of(until),
            state(use),
            made.spot());
    String code = larder.make(derived("making:" + id), away, there);
    end(id, larder.numberOf(code), "");
    if (made.served()) {
      larder.take(UUID.randomUUID(), code, Optional.empty(), Entry.Out.EATEN, "");
    }
    return code;
  }

  /**
   * What was planned, as far as it is cut and still there: the hand makes it of what lies there.
   */
  private List<Input> there(ToMake planned) {
    List<Input> there = new ArrayList<>();
    for (Input input : planned.from()) {
      left(input)
          .filter(Mass::isPositive)
          .map(left -> left.compareTo(input.mass()) < 0 ? left : input.mass())
          .ifPresent(some -> there.add(new Input(input.lot(), input.slot(), input.item(), some)));
    }
    if (there.isEmpty()) {
      throw Refusal.ofInput("homes.problem.nothing-cut", planned.use().name());
    }
    return there;
  }

  private Optional<Mass> left(Input input) {
    return input.item().isEmpty()
        ? sheets
            .get(input.lot())
            .find(input.slot())
            .map(part -> part.mass().minus(part.part().shelf().in()))
        : Optional.of(shelves.get(input.item()).mass());
  }

  private boolean mayBeRaw(FishUse use, List<Input> from) {
    return use.raw()
        && from.stream()
            .map(input -> sheets.get(input.lot()).lot().rawGate(Optional.of(input.slot())))
            .allMatch(gate -> gate.filter(RawGate::isOpen).isPresent());
  }

  private boolean hasBones(FishUse use, List<Input> from) {
    return use.cautions().contains(Caution.BONES)
        || use.measure() instanceof FishUse.Measure.Pieces
            && from.stream().anyMatch(this::hasBones);
  }

  private boolean hasBones(Input input) {
    LotSheet sheet = sheets.get(input.lot());
    return sheet
        .find(input.slot())
        .filter(part -> LabelFacts.bones(part.kind(), sheet.lot().species()))
        .isPresent();
  }

  private static Shelved.State state(FishUse use) {
    if (use.work().equipment() == FishUse.Equipment.FREEZER) {
      return Shelved.State.FROZEN;
    }
    return switch (use.work().equipment()) {
      case KETTLE, SMOKER, DRYER -> Shelved.State.COOKED;
      default -> Shelved.State.RAW;
    };
  }

  /**
   * Drops what was to be made; its parts are free again.
   *
   * @param id the number of the making
   * @param reason why
   * @throws Refusal if no reason was given, or it was made or dropped already
   */
  @PreAuthorize("hasAuthority('DECIDE_PURPOSE')")
  public void drop(long id, String reason) {
    ToMake dropped = open(id);
    end(id, null, PlainText.needed(reason, 160, "reason", FieldName.REASON));
    dropped.from().forEach(input -> forget(input, dropped.use()));
  }

  /** A part whose letter followed what is not made any more waits again, with its letter. */
  private void forget(Input input, FishUse use) {
    if (!input.item().isEmpty()) {
      return;
    }
    LotSheet sheet = sheets.get(input.lot());
    sheet
        .find(input.slot())
        .filter(part -> !sheet.lot().isFinished() && part.becomes().equals(use.name()))
        .ifPresent(
            part ->
                purposes.assign(
                    input.lot(), input.slot(), part.version(), use.purpose(), Use.PLAIN));
  }

  private void end(long id, Long item, String reason) {
    ends.saveAndFlush(new MakingEndEntity(id, item, reason, current.get().id(), clock.instant()));
  }

  private ToMake open(long id) {
    makings.lockAll();
    if (ends.existsById(id)) {
      throw Refusal.ofStale("homes.problem.made-already");
    }
    return toMake().stream()
        .filter(one -> one.id() == id)
        .findFirst()
        .orElseThrow(() -> Refusal.ofMissing("homes.problem.no-such-making"));
  }
}
