package mosaicknife.app.larder;

import java.security.SecureRandom;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;
import mosaicknife.app.account.CurrentPerson;
import mosaicknife.app.account.PeopleRegister;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.larder.LarderSourceEntity.Direction;
import mosaicknife.app.lot.ColdChainKeeper;
import mosaicknife.app.lot.LotChanged;
import mosaicknife.app.lot.LotClosed;
import mosaicknife.app.lot.RawGateKeeper;
import mosaicknife.app.shared.FieldName;
import mosaicknife.app.shared.PlainText;
import mosaicknife.app.shared.Refusal;
import mosaicknife.app.shared.SentTwice;
import mosaicknife.app.weighing.LotSheets;
import mosaicknife.core.anatomy.Purpose;
import mosaicknife.core.cost.Outlay;
import mosaicknife.core.heat.Chilled;
import mosaicknife.core.heat.CoolingRule;
import mosaicknife.core.larder.Entry;
import mosaicknife.core.larder.Item;
import mosaicknife.core.larder.Keeping;
import mosaicknife.core.larder.LabelFacts;
import mosaicknife.core.larder.LarderRules;
import mosaicknife.core.larder.Shelved;
import mosaicknife.core.larder.Trace;
import mosaicknife.core.lot.Held;
import mosaicknife.core.lot.Lot;
import mosaicknife.core.lot.LotPart;
import mosaicknife.core.lot.LotRules;
import mosaicknife.core.lot.LotSheet;
import mosaicknife.core.quantity.Length;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.Temperature;
import mosaicknife.core.safety.Allergen;
import mosaicknife.core.safety.FoodState;
import mosaicknife.core.safety.FreezingRecord;
import mosaicknife.core.safety.Limit;
import mosaicknife.core.use.HandId;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.context.event.EventListener;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Puts things on shelves and takes them out. What is sent twice happens once. */
@Service
@Transactional
@PreAuthorize("hasAnyAuthority('WEIGH', 'DECIDE_PURPOSE')")
public class LarderKeeper {

  private static final String HANDS = "hasAnyAuthority('WEIGH', 'DECIDE_PURPOSE') and ";

  private static final String LETTERS = "0123456789ABCDEFGHJKMNPQRSTVWXYZ";
  private static final int CODE_LENGTH = 5;
  private static final int LONGEST_PLACE = 80;
  private static final int LONGEST_REASON = 160;

  private final LarderItemRepository items;
  private final LarderEntryRepository entries;
  private final LarderSourceRepository sources;
  private final ChilledRepository colds;
  private final LarderBook book;
  private final LotSheets sheets;
  private final ColdChainKeeper limits;
  private final RawGateKeeper gates;
  private final HouseSettings houses;
  private final PeopleRegister people;
  private final CurrentPerson current;
  private final ApplicationEventPublisher events;
  private final Clock clock;
  private final Random random = new SecureRandom();

  LarderKeeper(
      LarderItemRepository items,
      LarderEntryRepository entries,
      LarderSourceRepository sources,
      ChilledRepository colds,
      LarderBook book,
      LotSheets sheets,
      ColdChainKeeper limits,
      RawGateKeeper gates,
      HouseSettings houses,
      PeopleRegister people,
      CurrentPerson current,
      ApplicationEventPublisher events,
      Clock clock) {
    this.items = items;
    this.entries = entries;
    this.sources = sources;
    this.colds = colds;
    this.book = book;
    this.sheets = sheets;
    this.limits = limits;
    this.gates = gates;
    this.houses = houses;
    this.people = people;
    this.current = current;
    this.events = events;
    this.clock = clock;
  }

  /**
   * Some grams of a part or of an item.
   *
   * @param of which
   * @param mass how much, positive
   */
  public record Input(HandId.Here of, Mass mass) {

    /**
     * Makes one of a part at the board.
     *
     * @param lot the number of the lot
     * @param slot the slot
     * @param mass how much
     * @return the input
     */
    public static Input part(long lot, String slot, Mass mass) {
      return new Input(new HandId.Cut(lot, slot), mass);
    }

    /**
     * Returns the part it is of, at the board or before it was put away.
     *
     * @return lot and slot
     */
    public HandId.Cut cut() {
      return new HandId.Cut(of.lot(), of.slot());
    }

    /**
     * Returns the label it lies under.
     *
     * @return the code; empty at the board
     */
    public Optional<String> label() {
      return of instanceof HandId.Kept kept ? Optional.of(kept.label()) : Optional.empty();
    }
  }

  /**
   * What is put on a shelf.
   *
   * @param name what it is
   * @param use the code of the use it was made by; empty for a part as it was cut
   * @param mass what it weighs, positive
   * @param units how many units it is; 0 where it is counted by weight
   * @param beside what was laid out beside the fish
   * @param allergens what that brought in
   * @param traits what the label says of it
   * @param useBy its last day
   * @param keeping how long it may be kept at the most
   * @param state what was done to it
   * @param spot where it lies
   */
  public record PutAway(
      String name,
      Optional<String> use,
      Mass mass,
      long units,
      Outlay beside,
      Set<Allergen> allergens,
      Shelved.Traits traits,
      LocalDate useBy,
      Keeping keeping,
      FoodState state,
      Shelved.Spot spot) {}

  /** What is held of a lot that is closed goes on its shelf, unless it lies there already. */
  @EventListener
  void closed(LotClosed event) {
    LotSheet sheet = sheets.get(event.lotId());
    for (LotPart part : sheet.parts()) {
      Mass left = part.mass().minus(part.part().shelf().in());
      boolean held = part.purpose().filter(Purpose.HOLD::equals).isPresent();
      if (held && part.held().isPresent() && left.isPositive()) {
        Held where = part.held().get();
        long venue = part.venueId().orElseGet(() -> sheet.lot().venue().id());
        Keeping keeping = keeping(Optional.empty(), false, List.of(of(sheet, part)));
        store(
            UUID.randomUUID(),
            plain(
                sheet,
                part,
                left,
                keeping.atMost(where.until()),
                keeping,
                new Shelved.Spot(venue, where.place(), where.keeper())),
            Map.of(new Trace.Source(event.lotId(), part.slot()), left),
            Trace.NOTHING);
      }
    }
  }

  private PutAway plain(
      LotSheet sheet,
      LotPart part,
      Mass mass,
      LocalDate useBy,
      Keeping keeping,
      Shelved.Spot spot) {
    boolean raw = sheet.mayBeRaw(part);
    return new PutAway(
        sheet.lot().species().name() + ", " + part.name().toLowerCase(java.util.Locale.ROOT),
        Optional.empty(),
        mass,
        0,
        Outlay.none(houses.house().formats().currency()),
        Set.of(),
        new Shelved.Traits(LabelFacts.bones(part.kind(), sheet.lot().species()), raw, false),
        useBy,
        keeping,
        FoodState.RAW,
        spot);
  }

  /**
   * Puts a part of a lot, or some of it, on a shelf as it was cut.
   *
   * @param clientId the identifier the sender made
   * @param lot the number of the lot
   * @param slot the slot of the part
   * @param mass how much; empty for all that is not on a shelf yet
   * @param useBy its last day, if one was given
   * @param spot where it lies
   * @return the code of its label
   * @throws Refusal if there is less, or a day or place is missing
   */
  @PreAuthorize(HANDS + "@here.of('LOT', #lot)")
  @SentTwice
  public String put(
      UUID clientId,
      long lot,
      String slot,
      Optional<Mass> mass,
      Optional<LocalDate> useBy,
      Shelved.Spot spot) {
    Optional<LarderItemEntity> there = items.findByClientId(clientId);
    if (there.isPresent()) {
      return there.get().code();
    }
    items.lockLot(lot);
    LotSheet sheet = sheets.get(lot);
    LotPart part = part(sheet, slot);
    Mass some = mass.orElse(part.mass().minus(part.part().shelf().in()));
    LocalDate today = houses.today();
    Refusal.ifFound(LotRules.neverFood(sheet.lot(), part));
    Refusal.ifFound(LarderRules.keeping(today, useBy, spot.place(), today));
    useBy.ifPresent(until -> checkRaw(List.of(Input.part(lot, slot, some)), until));
    Keeping keeping = keeping(Optional.empty(), false, List.of(of(sheet, part)));
    PutAway away = plain(sheet, part, some, useBy.orElseThrow(), keeping, spot);
    return store(clientId, away, Map.of(new Trace.Source(lot, slot), some), Trace.NOTHING);
  }

  /**
   * Works out how long something may be kept that is made now.
   *
   * @param becomes what it is made into; empty for raw fish as it was cut or hung
   * @param airless whether it is packed without air
   * @param fish parts and items it is made of
   * @return the latest day, and why
   */
  @Transactional(readOnly = true)
  public Keeping keeping(Optional<FoodState> becomes, boolean airless, Collection<Input> fish) {
    return keeping(becomes, airless, fish.stream().map(this::of).toList());
  }

  private Keeping keeping(Optional<FoodState> becomes, boolean airless, List<Keeping.Of> of) {
    return Keeping.of(becomes, airless, of, limits.limits(), houses.today());
  }

  private Keeping.Of of(Input input) {
    if (input.label().isPresent()) {
      return Keeping.Of.item(book.get(input.label().get()));
    }
    LotSheet sheet = sheets.get(input.of().lot());
    return of(sheet, planned(sheet, input.of().slot()));
  }

  private Keeping.Of of(LotSheet sheet, LotPart part) {
    LocalDate last = LotRules.lastRawDay(sheet.lot(), part, houses.today(), zone());
    return new Keeping.Of(part.name(), FoodState.RAW, false, last);
  }

  /**
   * Checks that fish may lie raw until a day.
   *
   * @param fish parts and items
   * @param until the last day
   * @throws Refusal if a fish that forms histamine was not looked at, or may not lie so long
   */
  public void checkRaw(List<Input> fish, LocalDate until) {
    sources(fish)
        .forEach(
            one ->
                Refusal.ifFound(
                    LotRules.keptRaw(
                        one.sheet().lot(), one.part(), houses.today(), until, zone())));
  }

  private record Of(LotSheet sheet, LotPart part) {}

  private static Trace.Source source(Input input) {
    return new Trace.Source(input.of().lot(), input.of().slot());
  }

  private Stream<Of> sources(List<Input> fish) {
    return fish.stream()
        .flatMap(
            input ->
                input.of() instanceof HandId.Kept kept
                    ? book.kept(kept.label()).item().shelved().trace().grams().keySet().stream()
                    : Stream.of(source(input)))
        .map(
            source -> {
              LotSheet sheet = sheets.get(source.lot());
              return new Of(sheet, part(sheet, source.slot()));
            });
  }

  private ZoneId zone() {
    return houses.house().formats().zone();
  }

  private static LotPart part(LotSheet sheet, String slot) {
    LotPart part = planned(sheet, slot);
    if (!part.isStarted()) {
      throw Refusal.ofInput("larder.problem.not-weighed", sheet.lot().id(), slot);
    }
    return part;
  }

  /** Something is planned of a part before it is cut. */
  private static LotPart planned(LotSheet sheet, String slot) {
    return sheet
        .find(slot)
        .orElseThrow(() -> Refusal.ofInput("larder.problem.not-weighed", sheet.lot().id(), slot));
  }

  /**
   * Puts something on a shelf that was made of parts and of what lay on shelves.
   *
   * @param clientId the identifier the sender made
   * @param away what it is
   * @param inputs what it was made of
   * @return the code of its label
   * @throws Refusal if less is there than it was made of, or a day or place is missing
   */
  @PreAuthorize(HANDS + "@here.at(#away.spot().venue())")
  public String make(UUID clientId, PutAway away, List<Input> inputs) {
    Optional<LarderItemEntity> there = items.findByClientId(clientId);
    if (there.isPresent()) {
      return there.get().code();
    }
    Map<Trace.Source, Mass> board = new java.util.TreeMap<>();
    Map<Kept, Entry.Taken> taken = new java.util.LinkedHashMap<>();
    Trace shelves = Trace.NOTHING;
    Outlay beside = away.beside();
    Set<Allergen> allergens = new java.util.HashSet<>(away.allergens());
    for (Input input : inputs) {
      if (input.label().isEmpty()) {
        LotSheet sheet = sheets.get(input.of().lot());
        Refusal.ifFound(LotRules.neverFood(sheet.lot(), part(sheet, input.of().slot())));
        board.merge(source(input), input.mass(), Mass::plus);
      } else {
        Kept kept = book.locked(input.label().get());
        Refusal.ifFound(
            LarderRules.taking(kept.item(), input.mass(), Entry.Out.MADE_INTO, "", houses.today()));
        Entry.Taken some =
            kept.item().taking(input.mass(), Entry.Out.MADE_INTO, "", clock.instant());
        taken.put(kept, some);
        shelves = shelves.plus(some.trace());
        beside = beside.plus(some.beside());
        allergens.addAll(kept.item().shelved().allergens());
      }
    }
    PutAway whole =
        new PutAway(
            away.name(),
            away.use(),
            away.mass(),
            away.units(),
            beside,
            allergens,
            away.traits(),
            away.useBy(),
            away.keeping(),
            away.state(),
            away.spot());
    Refusal.ifFound(
        LarderRules.keeping(
            houses.today(), Optional.of(away.useBy()), away.spot().place(), houses.today()));
    Refusal.ifFound(away.keeping().problem(away.useBy()));
    String code = store(clientId, whole, board, shelves);
    long made = items.findByCode(code).orElseThrow().id();
    taken.forEach((kept, some) -> write(UUID.randomUUID(), kept, some, made));
    return code;
  }

  /**
   * Returns the number of an item in the database.
   *
   * @param code its code
   * @return the number
   */
  public long numberOf(String code) {
    return book.kept(code).id();
  }

  private String store(UUID clientId, PutAway away, Map<Trace.Source, Mass> board, Trace shelves) {
    LocalDate today = houses.today();
    houses.getVenue(away.spot().venue());
    board.forEach(this::checkThere);
    Trace whole = new Trace(board).plus(shelves);
    Shelved shelved =
        new Shelved(
            code(),
            away.name(),
            away.use(),
            whole,
            away.mass(),
            away.units(),
            away.beside(),
            away.allergens(),
            away.traits(),
            away.useBy().isBefore(today) ? away.useBy() : today,
            away.useBy(),
            away.keeping().ever(),
            away.state(),
            away.spot(),
            clock.instant());
    LarderItemEntity item =
        items.saveAndFlush(new LarderItemEntity(clientId, shelved, current.get().id()));
    board.forEach(
        (source, mass) ->
            sources.save(new LarderSourceEntity(item.id(), null, source, mass, Direction.IN)));
    shelves
        .grams()
        .forEach(
            (source, mass) ->
                sources.save(
                    new LarderSourceEntity(item.id(), null, source, mass, Direction.FROM)));
    board.keySet().stream()
        .map(Trace.Source::lot)
        .distinct()
        .forEach(lot -> events.publishEvent(new LotChanged(lot)));
    return item.code();
  }

  private void checkThere(Trace.Source source, Mass mass) {
    items.lockLot(source.lot());
    LotPart part = part(sheets.get(source.lot()), source.slot());
    Mass left = part.mass().minus(part.part().shelf().in());
    if (mass.compareTo(left) > 0 || !mass.isPositive()) {
      throw Refusal.ofField("mass", "larder.problem.less-left", part.name(), left);
    }
  }

  private String code() {
    String code;
    do {
      StringBuilder letters = new StringBuilder();
      for (int i = 0; i < CODE_LENGTH; i++) {
        letters.append(LETTERS.charAt(random.nextInt(LETTERS.length())));
      }
      code = letters.toString();
    } while (items.existsByCode(code));
    return code;
  }

  /**
   * Takes some of an item out.
   *
   * @param clientId the identifier the sender made
   * @param code the code of the item
   * @param mass how much; empty for all
   * @param out what for, not to make something
   * @param reason why, for waste
   * @throws Refusal if there is less, or it may not be used any more
   */
  @PreAuthorize(HANDS + "@here.of('ITEM', #code)")
  @SentTwice
  public void take(UUID clientId, String code, Optional<Mass> mass, Entry.Out out, String reason) {
    change(
        clientId,
        code,
        kept -> {
          String why = PlainText.line(reason, LONGEST_REASON, "reason", FieldName.REASON);
          Mass some = mass.orElse(kept.item().mass());
          Refusal.ifFound(LarderRules.taking(kept.item(), some, out, why, houses.today()));
          return kept.item().taking(some, out, why, clock.instant());
        });
  }

  /**
   * Takes units of an item out.
   *
   * @param clientId the identifier the sender made
   * @param code the code of the item
   * @param units how many, from 1
   * @param out what for, not to make something
   * @param reason why, for waste
   * @throws Refusal if there are fewer, or it may not be used any more
   */
  @PreAuthorize(HANDS + "@here.of('ITEM', #code)")
  @SentTwice
  public void takeUnits(UUID clientId, String code, int units, Entry.Out out, String reason) {
    change(
        clientId,
        code,
        kept -> {
          String why = PlainText.line(reason, LONGEST_REASON, "reason", FieldName.REASON);
          Refusal.ifFound(LarderRules.units(kept.item(), units));
          Mass some = kept.item().massOf(units);
          Refusal.ifFound(LarderRules.taking(kept.item(), some, out, why, houses.today()));
          return kept.item().taking(some, out, why, clock.instant());
        });
  }

  /**
   * Weighs an item again: what is missing dried off, and its money stays.
   *
   * @param clientId the identifier the sender made
   * @param code the code of the item
   * @param mass what it weighs
   * @param trim how much was cut off, from 0
   * @param note what was seen, possibly empty
   * @throws Refusal if it got heavier
   */
  @PreAuthorize(HANDS + "@here.of('ITEM', #code)")
  @SentTwice
  public void weigh(UUID clientId, String code, Mass mass, Mass trim, String note) {
    change(
        clientId,
        code,
        kept -> {
          Refusal.ifFound(LarderRules.weighing(kept.item(), mass.plus(trim)));
          return new Entry.Weighed(
              mass,
              trim,
              PlainText.line(note, LONGEST_REASON, "note", FieldName.NOTE),
              clock.instant());
        });
  }

  /**
   * Counts an item in a stock-take.
   *
   * @param clientId the identifier the sender made
   * @param code the code of the item
   * @param mass what is there; empty for none of it
   * @param missing whether what is not there is missing; else it dried off
   * @throws Refusal if it got heavier, or is gone
   */
  @PreAuthorize(HANDS + "@here.of('ITEM', #code)")
  @SentTwice
  public void count(UUID clientId, String code, Optional<Mass> mass, boolean missing) {
    if (entries.existsByClientId(clientId)) {
      return;
    }
    Kept kept = book.locked(code);
    Mass there = mass.orElse(Mass.ZERO);
    Refusal.ifFound(LarderRules.weighing(kept.item(), there));
    Mass lost = kept.item().mass().minus(there);
    Instant now = clock.instant();
    if (lost.isPositive() && (missing || mass.isEmpty())) {
      Entry.Taken gone = kept.item().taking(lost, Entry.Out.MISSING, Item.STOCK_TAKE, now);
      write(mass.isEmpty() ? clientId : UUID.randomUUID(), kept, gone, null);
    }
    if (mass.isPresent()) {
      write(clientId, kept, new Entry.Weighed(there, Mass.ZERO, Item.STOCK_TAKE, now), null);
    }
  }

  /**
   * Moves an item within its venue, or receives one that was sent here.
   *
   * @param clientId the identifier the sender made
   * @param code the code of the item
   * @param spot where it lies now
   * @param weighed what arrived, if it was weighed: what is missing is written down as such
   * @throws Refusal if it was sent elsewhere
   */
  @PreAuthorize(HANDS + "@here.of('ITEM', #code)")
  @SentTwice
  public void move(UUID clientId, String code, Shelved.Spot spot, Optional<Mass> weighed) {
    if (entries.existsByClientId(clientId)) {
      return;
    }
    Kept kept = book.locked(code);
    houses.getVenue(spot.venue());
    Refusal.ifFound(LarderRules.moving(kept.item(), spot));
    Instant now = clock.instant();
    weighed.ifPresent(
        mass -> {
          Refusal.ifFound(LarderRules.weighing(kept.item(), mass));
          Mass missing = kept.item().mass().minus(mass);
          if (missing.isPositive()) {
            String why = houses.getVenue(spot.venue()).name();
            write(
                UUID.randomUUID(),
                kept,
                kept.item().taking(missing, Entry.Out.MISSING, why, now),
                null);
          }
        });
    write(clientId, kept, new Entry.Moved(spot, now), null);
  }

  /**
   * Sends an item to another venue.
   *
   * @param clientId the identifier the sender made
   * @param code the code of the item
   * @param venue the number of the venue
   * @throws Refusal if it is there or under way already
   */
  @PreAuthorize(HANDS + "@here.of('ITEM', #code)")
  @SentTwice
  public void send(UUID clientId, String code, long venue) {
    change(
        clientId,
        code,
        kept -> {
          houses.getVenue(venue);
          Refusal.ifFound(LarderRules.sending(kept.item(), venue));
          return new Entry.Sent(venue, clock.instant());
        });
  }

  /**
   * Checks that what comes from the heat may lie on a shelf.
   *
   * @param cold by which reading it is cold
   * @throws Refusal if none says so, or it was not in time
   */
  public void checkCold(Optional<Chilled> cold) {
    Refusal.ifFound(Chilled.shelving(cold, CoolingRule.of(limits.limits())));
  }

  /**
   * Checks that a core made something cooked that was smoked hot.
   *
   * @param cold by which reading it is cold, with the core it reached
   * @throws Refusal if none was measured, or it is below what the code asks for
   */
  public void checkCore(Optional<Chilled> cold) {
    Refusal.ifFound(Chilled.cooked(cold, limits.limits().temperature(Limit.CORE_CODE)));
  }

  /**
   * Writes down by which reading something on a shelf is cold.
   *
   * @param code its code
   * @param cold the reading
   */
  @PreAuthorize(HANDS + "@here.of('ITEM', #code)")
  public void chilled(String code, Chilled cold) {
    colds.save(new ChilledEntity(numberOf(code), cold, current.get().id()));
  }

  /**
   * Freezes, thaws or cooks an item; how long it keeps from then on the limits of the house say.
   *
   * @param clientId the identifier the sender made
   * @param code the code of the item
   * @param state what it becomes
   * @param cold by which reading it is cold, of something cooked
   * @throws Refusal if that cannot be, such as freezing again, or no reading says it is cold
   */
  @PreAuthorize(HANDS + "@here.of('ITEM', #code)")
  @SentTwice
  public void turn(UUID clientId, String code, FoodState state, Optional<Chilled> cold) {
    change(
        clientId,
        code,
        kept -> {
          LocalDate today = houses.today();
          Refusal.ifFound(LarderRules.turning(kept.item(), state, today));
          if (state == FoodState.COOKED) {
            checkCold(cold);
            chilled(code, cold.orElseThrow());
          }
          Keeping keeping =
              keeping(Optional.of(state), false, List.of(Keeping.Of.item(kept.item())));
          return new Entry.Turned(state, keeping.latest(), keeping.ever(), clock.instant());
        });
  }

  /**
   * Moves the last day of an item.
   *
   * @param clientId the identifier the sender made
   * @param code the code of the item
   * @param until its new last day
   * @param reason why
   * @throws Refusal if the day is one of safety, or there is no reason
   */
  @PreAuthorize("hasAuthority('EDIT_CATALOGUE') and @here.of('ITEM', #code)")
  @SentTwice
  public void date(UUID clientId, String code, LocalDate until, String reason) {
    change(
        clientId,
        code,
        kept -> {
          String why = PlainText.line(reason, LONGEST_REASON, "reason", FieldName.REASON);
          Refusal.ifFound(LarderRules.dating(kept.item(), until, why, houses.today()));
          return new Entry.Dated(until, why, clock.instant());
        });
  }

  /**
   * Writes down how an item was frozen; it opens the raw gate of its part, if the rules of the
   * house say so.
   *
   * @param clientId the identifier the sender made
   * @param code the code of the item
   * @param core the temperature of the core that was held
   * @param hours how long
   * @param thickness how thick it was, if it was measured
   * @throws Refusal if the item is not frozen, or only some of its part
   */
  @PreAuthorize("hasAuthority('RECEIVE') and @here.of('ITEM', #code)")
  @SentTwice
  public void froze(
      UUID clientId, String code, Temperature core, int hours, Optional<Length> thickness) {
    Item item = book.locked(code).item();
    Trace.Source source = item.shelved().trace().grams().keySet().iterator().next();
    LotPart part = part(sheets.get(source.lot()), source.slot());
    Refusal.ifFound(LarderRules.recording(item, part.mass()));
    Instant now = clock.instant();
    Lot lot = sheets.get(source.lot()).lot();
    gates.froze(
        lot,
        clientId,
        new RawGateKeeper.Frozen(
            Optional.of(source.slot()),
            FreezingRecord.Froze.HOUSE,
            Optional.of(now.minus(Duration.ofHours(hours))),
            Optional.of(now),
            core,
            core,
            thickness,
            "",
            item.spot().place(),
            "",
            Optional.empty()));
  }

  /** What happens to an item. */
  private interface Change {
    Entry to(Kept kept);
  }

  private void change(UUID clientId, String code, Change change) {
    Kept kept = book.locked(code);
    if (!entries.existsByClientId(clientId)) {
      write(clientId, kept, change.to(kept), null);
    }
  }

  private void write(UUID clientId, Kept kept, Entry entry, Long into) {
    LarderEntryEntity stored =
        entries.saveAndFlush(
            new LarderEntryEntity(clientId, kept.id(), entry, into, current.get().id()));
    if (entry instanceof Entry.Taken taken) {
      taken
          .trace()
          .grams()
          .forEach(
              (source, mass) ->
                  sources.save(
                      new LarderSourceEntity(
                          kept.id(), stored.id(), source, mass, Direction.of(taken.out()))));
      taken.trace().lots().forEach(lot -> events.publishEvent(new LotChanged(lot)));
    }
  }

  /**
   * Reads where something is to lie, as typed.
   *
   * @param venue the number of the venue
   * @param place the shelf
   * @param keeper the number of the person; empty for whoever is signed in
   * @return the spot
   * @throws Refusal if the place is missing or there is no such person
   */
  public Shelved.Spot spot(long venue, String place, Optional<Long> keeper) {
    String where = PlainText.needed(place, LONGEST_PLACE, "place", FieldName.PLACE);
    long who = keeper.orElseGet(() -> current.get().id());
    if (!people.names().containsKey(who)) {
      throw Refusal.ofField("keeper", "shared.problem.not-chosen");
    }
    houses.getVenue(venue);
    return new Shelved.Spot(venue, where, who);
  }
}
