package mosaicknife.app.larder;

import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.lot.LotClosed;
import mosaicknife.app.shared.Refusal;
import mosaicknife.app.shared.SentTwice;
import mosaicknife.app.weighing.LotSheets;
import mosaicknife.core.anatomy.Purpose;
import mosaicknife.core.cost.Outlay;
import mosaicknife.core.larder.Entry;
import mosaicknife.core.larder.Keeping;
import mosaicknife.core.larder.LabelFacts;
import mosaicknife.core.larder.LarderRules;
import mosaicknife.core.larder.Shelved;
import mosaicknife.core.larder.Trace;
import mosaicknife.core.lot.Held;
import mosaicknife.core.lot.LotPart;
import mosaicknife.core.lot.LotRules;
import mosaicknife.core.lot.LotSheet;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.safety.Allergen;
import mosaicknife.core.safety.FoodState;
import mosaicknife.core.use.HandId;
import org.springframework.context.event.EventListener;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Puts things on shelves. What is sent twice happens once. */
@Service
@Transactional
@PreAuthorize("hasAnyAuthority('WEIGH', 'DECIDE_PURPOSE')")
public class LarderKeeper {

  private static final String HANDS = "hasAnyAuthority('WEIGH', 'DECIDE_PURPOSE') and ";

  private final LarderBook book;
  private final LarderRows rows;
  private final KeepingDays days;
  private final LotSheets sheets;
  private final HouseSettings houses;
  private final Clock clock;

  LarderKeeper(
      LarderBook book,
      LarderRows rows,
      KeepingDays days,
      LotSheets sheets,
      HouseSettings houses,
      Clock clock) {
    this.book = book;
    this.rows = rows;
    this.days = days;
    this.sheets = sheets;
    this.houses = houses;
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
        Keeping keeping = days.of(Optional.empty(), false, List.of(days.of(sheet, part)));
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
    Optional<String> there = rows.codeOf(clientId);
    if (there.isPresent()) {
      return there.get();
    }
    rows.lock(lot);
    LotSheet sheet = sheets.get(lot);
    LotPart part = KeepingDays.part(sheet, slot);
    Mass some = mass.orElse(part.mass().minus(part.part().shelf().in()));
    LocalDate today = houses.today();
    Refusal.ifFound(LotRules.neverFood(sheet.lot(), part));
    Refusal.ifFound(LarderRules.keeping(today, useBy, spot.place(), today));
    useBy.ifPresent(until -> days.checkRaw(List.of(Input.part(lot, slot, some)), until));
    Keeping keeping = days.of(Optional.empty(), false, List.of(days.of(sheet, part)));
    PutAway away = plain(sheet, part, some, useBy.orElseThrow(), keeping, spot);
    return store(clientId, away, Map.of(new Trace.Source(lot, slot), some), Trace.NOTHING);
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
    Optional<String> there = rows.codeOf(clientId);
    if (there.isPresent()) {
      return there.get();
    }
    Map<Trace.Source, Mass> board = new java.util.TreeMap<>();
    Map<Kept, Entry.Taken> taken = new java.util.LinkedHashMap<>();
    Trace shelves = Trace.NOTHING;
    Outlay beside = away.beside();
    Set<Allergen> allergens = new java.util.HashSet<>(away.allergens());
    for (Input input : inputs) {
      if (input.label().isEmpty()) {
        LotSheet sheet = sheets.get(input.of().lot());
        Refusal.ifFound(
            LotRules.neverFood(sheet.lot(), KeepingDays.part(sheet, input.of().slot())));
        board.merge(KeepingDays.source(input), input.mass(), Mass::plus);
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
    long made = rows.numberOf(code);
    taken.forEach((kept, some) -> rows.write(UUID.randomUUID(), kept, some, made));
    return code;
  }

  /**
   * Returns the number of an item in the database.
   *
   * @param code its code
   * @return the number
   */
  @Transactional(readOnly = true)
  public long numberOf(String code) {
    return book.kept(code).id();
  }

  private String store(UUID clientId, PutAway away, Map<Trace.Source, Mass> board, Trace shelves) {
    houses.getVenue(away.spot().venue());
    board.forEach(this::checkThere);
    return rows.store(clientId, away, clock.instant(), houses.today(), board, shelves);
  }

  private void checkThere(Trace.Source source, Mass mass) {
    rows.lock(source.lot());
    LotPart part = KeepingDays.part(sheets.get(source.lot()), source.slot());
    Mass left = part.mass().minus(part.part().shelf().in());
    if (mass.compareTo(left) > 0 || !mass.isPositive()) {
      throw Refusal.ofField("mass", "larder.problem.less-left", part.name(), left);
    }
  }
}
