package mosaicknife.app.parts;

import java.util.Currency;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import mosaicknife.app.account.CurrentPerson;
import mosaicknife.app.account.Permission;
import mosaicknife.app.buy.Dish;
import mosaicknife.app.buy.DishEditor;
import mosaicknife.app.buy.DishTurnsRaw;
import mosaicknife.app.catalogue.CatalogueEditor;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.lot.LotChanged;
import mosaicknife.app.lot.LotRegister;
import mosaicknife.app.lot.PortionTyped;
import mosaicknife.app.shared.FieldName;
import mosaicknife.app.shared.PlainText;
import mosaicknife.app.shared.Refusal;
import mosaicknife.core.anatomy.Purpose;
import mosaicknife.core.finding.Finding;
import mosaicknife.core.lot.Held;
import mosaicknife.core.lot.LotRules;
import mosaicknife.core.lot.Part;
import mosaicknife.core.portion.Serving;
import mosaicknife.core.quantity.UnitPrice;
import mosaicknife.core.safety.RawGate;
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
  private final DishEditor dishes;
  private final HouseSettings houses;
  private final CurrentPerson current;
  private final ApplicationEventPublisher events;

  PurposeAssigner(
      LotRegister lots,
      LotPartRepository parts,
      CatalogueEditor catalogue,
      DishEditor dishes,
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
  @PreAuthorize("hasAuthority('DECIDE_PURPOSE')")
  public void assign(long lotId, String slot, int version, Purpose purpose, Use use) {
    LotPartEntity part = openPart(lotId, slot, version);
    check(part, purpose, use.held());
    raw(part, purpose, use.becomes());
    part.assign(purpose, current.may(Permission.SEE_COSTS) ? use : use.at(value(part)));
    portion(part);
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
  @PreAuthorize("hasAuthority('DECIDE_PURPOSE')")
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
      raw(part, wanted.get(), dish);
      part.assign(wanted.get(), new Use(dish, value, held));
    } else if (!dish.isEmpty()) {
      throw Refusal.ofInput("parts.problem.what-is-for-tap-its", part.name());
    }
    part.sendTo(venue.orElse(null));
    portion(part);
    events.publishEvent(new LotChanged(lotId));
  }

  /** A dish that is raw, cured or underdone takes only what passed the raw gate. */
  void raw(LotPartEntity part, Purpose purpose, String becomes) {
    Refusal.ifFound(gate(part, purpose, becomes));
  }

  /** What keeps a part from a dish that is raw, if anything does. */
  Optional<Finding> gate(LotPartEntity part, Purpose purpose, String becomes) {
    if (!purpose.isServed() || dishes.find(becomes).filter(Dish::raw).isEmpty()) {
      return Optional.empty();
    }
    Optional<RawGate> gate = lots.get(part.lotId()).rawGate(Optional.of(part.slot()));
    return LotRules.raw(part.name(), becomes, gate);
  }

  /** A part is portioned as the dish is that it goes to, and the lot as its last one. */
  void portion(LotPartEntity part) {
    Optional<Serving> serving =
        LotRules.dishOf(known(part)).flatMap(dishes::find).map(Dish::serving);
    part.serve(serving.orElse(null));
    serving.ifPresent(portion -> lots.serve(part.lotId(), portion));
  }

  /**
   * Chooses what one portion of a lot is, whatever dishes its parts go to.
   *
   * @param lotId the lot number
   * @param serving the portion
   * @throws Refusal if the lot is closed or the portion cannot be one
   */
  @PreAuthorize("hasAuthority('DECIDE_PURPOSE')")
  public void serve(long lotId, Serving serving) {
    lots.serve(lotId, serving);
    typed(new PortionTyped(lotId));
  }

  /** A dish does not turn raw while parts go there that may not be served so. */
  @EventListener
  void turnsRaw(DishTurnsRaw dish) {
    String names =
        parts.findGoingTo(dish.name()).stream()
            .filter(part -> part.purpose().filter(Purpose::isServed).isPresent())
            .filter(
                part ->
                    lots.get(part.lotId())
                        .rawGate(Optional.of(part.slot()))
                        .filter(RawGate::isOpen)
                        .isEmpty())
            .map(part -> part.name() + " (" + part.lotId() + ")")
            .collect(Collectors.joining(", "));
    if (!names.isEmpty()) {
      throw Refusal.ofField("raw", "parts.problem.go-there-not-raw", dish.name(), names);
    }
  }

  @EventListener
  void typed(PortionTyped event) {
    parts.findByLotIdInOrderByNumber(List.of(event.lotId())).forEach(part -> part.serve(null));
  }

  /** Who may not see what a part is worth neither sets it nor wipes it. */
  private Optional<UnitPrice> value(LotPartEntity part) {
    return part.value(lots.get(part.lotId()).price().perKilogram().currency());
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

  private void check(LotPartEntity part, Purpose purpose, Optional<Held> held) {
    Currency currency = houses.house().formats().currency();
    Part itself = known(part, currency);
    Refusal.ifFound(LotRules.purpose(itself, purpose, held, houses.today()));
    Refusal.ifFound(LotRules.held(lots.get(part.lotId()), purpose));
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
