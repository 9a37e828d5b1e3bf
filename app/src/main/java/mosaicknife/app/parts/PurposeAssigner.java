package mosaicknife.app.parts;

import java.util.Currency;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import mosaicknife.app.account.CurrentPerson;
import mosaicknife.app.account.Permission;
import mosaicknife.app.buy.DishChanged;
import mosaicknife.app.catalogue.CatalogueEditor;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.lot.LotChanged;
import mosaicknife.app.lot.LotRegister;
import mosaicknife.app.shared.FieldName;
import mosaicknife.app.shared.PlainText;
import mosaicknife.app.shared.Refusal;
import mosaicknife.core.anatomy.PartClass;
import mosaicknife.core.anatomy.Purpose;
import mosaicknife.core.finding.Finding;
import mosaicknife.core.lot.Destination;
import mosaicknife.core.lot.Held;
import mosaicknife.core.lot.Lot;
import mosaicknife.core.lot.LotRules;
import mosaicknife.core.lot.Part;
import mosaicknife.core.portion.Serving;
import mosaicknife.core.quantity.UnitPrice;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.context.event.EventListener;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Decides what parts are for. */
@Service
@Transactional
public class PurposeAssigner {

  private static final int LONGEST_DISH = 120;

  private final LotRegister lots;
  private final LotPartRepository parts;
  private final CatalogueEditor catalogue;
  private final DishRowRepository dishes;
  private final HouseSettings houses;
  private final CurrentPerson current;
  private final ApplicationEventPublisher events;

  PurposeAssigner(
      LotRegister lots,
      LotPartRepository parts,
      CatalogueEditor catalogue,
      DishRowRepository dishes,
      HouseSettings houses,
      CurrentPerson current,
      ApplicationEventPublisher events) {
    this.lots = lots;
    this.parts = parts;
    this.catalogue = catalogue;
    this.dishes = dishes;
    this.houses = houses;
    this.current = current;
    this.events = events;
  }

  /**
   * Gives a part its purpose.
   *
   * @param lotId the lot number
   * @param slot the part
   * @param version the version of the part the page showed
   * @param purpose the purpose
   * @param use what becomes of it
   * @throws Refusal if the page was stale, the lot is closed, or the purpose does not fit the part
   */
  @PreAuthorize("hasAuthority('DECIDE_PURPOSE') and @here.of('LOT', #lotId)")
  public void assign(long lotId, String slot, int version, Purpose purpose, Use use) {
    LotPartEntity part = openPart(lotId, slot, version);
    check(part, purpose, use.held());
    send(
        part,
        purpose,
        current.may(Permission.SEE_COSTS) ? use : use.at(value(part)),
        part.venueId());
    events.publishEvent(new LotChanged(lotId));
  }

  /**
   * Plans a part before it is cut: what it is for, the dish, the venue it goes to. What else was
   * said of it stays as long as the purpose does.
   *
   * @param lotId the lot number
   * @param slot the part
   * @param version the version of the part the page showed
   * @param purpose the purpose; empty to leave it as it is
   * @param becomes the dish or what else it becomes, possibly empty
   * @param venue the venue it goes to; empty for the one that took the lot
   * @throws Refusal if the page was stale, the lot is closed, or the purpose does not fit the part
   */
  @PreAuthorize("hasAuthority('DECIDE_PURPOSE') and @here.of('LOT', #lotId)")
  public void plan(
      long lotId,
      String slot,
      int version,
      Optional<Purpose> purpose,
      String becomes,
      Optional<Long> venue) {
    LotPartEntity part = openPart(lotId, slot, version);
    Optional<Purpose> wanted = purpose.or(part::purpose);
    String dish = PlainText.line(becomes, LONGEST_DISH, "becomes", FieldName.DISH);
    venue.ifPresent(houses::getVenue);
    if (wanted.isPresent()) {
      boolean same = part.purpose().equals(wanted);
      Optional<Held> held = same ? part.held() : Optional.empty();
      Optional<UnitPrice> value =
          same || !current.may(Permission.SEE_COSTS) ? value(part) : Optional.empty();
      check(part, wanted.get(), held);
      send(part, wanted.get(), new Use(dish, value, held), venue);
    } else if (!dish.isEmpty()) {
      throw Refusal.ofInput("parts.problem.what-is-for-tap-its", part.name());
    }
    part.sendTo(venue.orElse(null));
    events.publishEvent(new LotChanged(lotId));
  }

  /** The way to any destination leads through the gate. */
  private void send(LotPartEntity part, Purpose purpose, Use use, Optional<Long> venue) {
    Refusal.ifFound(gateOf(part, purpose, use, venue));
    Destination before = part.goesTo();
    part.assign(purpose, use, dish(part, use.to(), venue));
    // who sends a part to another dish wants the portion of that dish
    if (known(part).kind().nature() == PartClass.FLESH
        && purpose == Purpose.PLATE
        && part.goesTo() instanceof Destination.ToDish
        && !part.goesTo().equals(before)) {
      lots.serveAsItsDishes(part.lotId());
    }
  }

  /** Gives a part what a way of the house foresees; what the gate keeps stays open. */
  void fate(LotPartEntity part, Way.Fate fate) {
    Destination to =
        dishes
            .findById(fate.dish())
            .filter(DishRow::isActive)
            .<Destination>map(DishRow::toDish)
            .orElseGet(fate::inWords);
    Use use = new Use(to, Optional.empty(), Optional.empty());
    Optional<Long> venue = Optional.of(fate.venue()).filter(number -> number != 0);
    if (gateOf(part, fate.purpose(), use, venue).isEmpty()) {
      send(part, fate.purpose(), use, venue);
      part.sendTo(venue.orElse(null));
    }
  }

  /** What a part may be that is put into another: it is served with it. */
  void servedWith(LotPartEntity part, LotPartEntity other) {
    Refusal.ifFound(
        LotRules.gate(lots.get(part.lotId()), goingTo(part, Purpose.PLATE, other.goesTo())));
  }

  private Optional<Finding> gateOf(
      LotPartEntity part, Purpose purpose, Use use, Optional<Long> venue) {
    Destination to = dish(part, use.to(), venue).<Destination>map(DishRow::toDish).orElse(use.to());
    return LotRules.gate(lots.get(part.lotId()), goingTo(part, purpose, to));
  }

  private Part goingTo(LotPartEntity part, Purpose purpose, Destination to) {
    return known(part).goingTo(purpose, to);
  }

  /** A name means the dish at the venue the part goes to before one elsewhere. */
  private Optional<DishRow> dish(LotPartEntity part, Destination to, Optional<Long> venue) {
    if (to instanceof Destination.ToDish known) {
      return dishes.findById(known.id()).filter(DishRow::isActive);
    }
    if (!(to instanceof Destination.InWords) || to.isOpen()) {
      return Optional.empty();
    }
    long at = venue.orElseGet(() -> lots.get(part.lotId()).venue().id());
    return dishes.findNamed(to.name().strip(), at).stream().findFirst();
  }

  /**
   * Chooses what one portion of a lot is, whatever dishes its parts go to.
   *
   * @param lotId the lot number
   * @param serving the portion
   * @throws Refusal if the lot is closed or the portion cannot be one
   */
  @PreAuthorize("hasAuthority('DECIDE_PURPOSE') and @here.of('LOT', #lotId)")
  public void serve(long lotId, Serving serving) {
    lots.serve(lotId, serving);
  }

  /**
   * A dish that changed is asked for again by whatever goes there: none turns raw over fish that
   * may not be served so, by its name neither, and none is taken off while fish goes there. What
   * was written with its name goes there from now on.
   */
  @EventListener
  void changed(DishChanged dish) {
    List<LotPartEntity> going = parts.findGoingTo(dish.id(), dish.name());
    if (!dish.active()) {
      refuse(
          going.stream().filter(part -> part.isGoingTo(dish.id())).toList(),
          "version",
          "parts.problem.go-there-still",
          dish);
      return;
    }
    DishRow row = dishes.findById(dish.id()).orElseThrow();
    if (dish.raw()) {
      refuse(
          going.stream().filter(part -> !mayGoTo(part, row)).toList(),
          "raw",
          "parts.problem.go-there-not-raw",
          dish);
    }
    going.stream()
        .filter(part -> !part.isGoingTo(dish.id()) && venueOf(part) == row.venueId())
        .forEach(part -> part.goTo(row));
  }

  private boolean mayGoTo(LotPartEntity part, DishRow row) {
    return part.purpose()
        .map(purpose -> goingTo(part, purpose, row.toDish()))
        .flatMap(there -> LotRules.gate(lots.get(part.lotId()), there))
        .isEmpty();
  }

  private long venueOf(LotPartEntity part) {
    return part.venueId().orElseGet(() -> lots.get(part.lotId()).venue().id());
  }

  private static void refuse(
      List<LotPartEntity> parts, String field, String sentence, DishChanged dish) {
    if (!parts.isEmpty()) {
      String names =
          parts.stream()
              .map(part -> part.name() + " (" + part.lotId() + ")")
              .collect(Collectors.joining(", "));
      throw Refusal.ofField(field, sentence, dish.name(), names);
    }
  }

  /** Who may not see what a part is worth neither sets it nor wipes it. */
  private Optional<UnitPrice> value(LotPartEntity part) {
    return part.value(lots.get(part.lotId()).currency());
  }

  private LotPartEntity openPart(long lotId, String slot, int version) {
    lots.checkOpen(lotId);
    LotPartEntity part =
        parts
            .findByLotIdAndSlot(lotId, slot)
            .orElseThrow(() -> Refusal.ofMissing("parts.problem.lot-has-no-such-part", lotId));
    if (part.version() != version) {
      throw Refusal.ofStale("parts.problem.someone-else-decided-on-first", part.name());
    }
    return part;
  }

  /** Whether a part may be given a purpose today, unasked. */
  boolean isOpen(Lot lot, LotPartEntity part, Purpose purpose) {
    return LotRules.closed(lot, known(part), purpose).isEmpty();
  }

  private void check(LotPartEntity part, Purpose purpose, Optional<Held> held) {
    Currency currency = houses.house().formats().currency();
    Part itself = known(part, currency);
    Refusal.ifFound(LotRules.purpose(itself, purpose, held, houses.today()));
    Lot lot = lots.get(part.lotId());
    Refusal.ifFound(LotRules.closed(lot, itself, purpose));
    held.filter(wanted -> purpose == Purpose.HOLD)
        .ifPresent(
            wanted ->
                Refusal.ifFound(
                    LotRules.holding(
                        lot, itself, wanted, houses.today(), houses.house().formats().zone())));
    List<Part> all =
        parts.findByLotIdInOrderByNumber(List.of(part.lotId())).stream()
            .map(other -> known(other, currency))
            .toList();
    Refusal.ifFound(LotRules.pot(itself, purpose, all));
  }

  private Part known(LotPartEntity part) {
    return known(part, houses.house().formats().currency());
  }

  private Part known(LotPartEntity part, Currency currency) {
    return part.toPart(catalogue.findKind(part.kind()).orElseThrow(), currency);
  }
}
