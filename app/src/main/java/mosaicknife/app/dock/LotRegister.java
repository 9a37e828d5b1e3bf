package mosaicknife.app.dock;

import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import mosaicknife.app.account.CurrentPerson;
import mosaicknife.app.account.PeopleRegister;
import mosaicknife.app.buy.Order;
import mosaicknife.app.buy.OrderLine;
import mosaicknife.app.buy.OrderPlacer;
import mosaicknife.app.catalogue.CatalogueEditor;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.house.Named;
import mosaicknife.app.shared.Refusal;
import mosaicknife.core.anatomy.Catalogue;
import mosaicknife.core.cost.CostingMethod;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.safety.Plausible;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps the lots: received at the dock, costed, finished. */
@Service
@Transactional
public class LotRegister {

  /** A fish older than this on arrival is a typing error, not a delivery. */
  private static final int OLDEST_DAYS = 30;

  /** More than this between invoice and own scale is a unit mixed up, not ice. */
  private static final int MOST_TIMES_APART = 2;

  private static final Mass SMALLEST_PORTION = Mass.ofGrams(5);
  private static final Mass LARGEST_PORTION = Mass.ofGrams(5000);

  private final LotRepository lots;
  private final InspectionRepository inspections;
  private final ClaimRepository claims;
  private final OrderPlacer orders;
  private final CatalogueEditor catalogue;
  private final HouseSettings houses;
  private final PeopleRegister people;
  private final CurrentPerson current;
  private final ApplicationEventPublisher events;
  private final Clock clock;

  LotRegister(
      LotRepository lots,
      InspectionRepository inspections,
      ClaimRepository claims,
      OrderPlacer orders,
      CatalogueEditor catalogue,
      HouseSettings houses,
      PeopleRegister people,
      CurrentPerson current,
      ApplicationEventPublisher events,
      Clock clock) {
    this.lots = lots;
    this.inspections = inspections;
    this.claims = claims;
    this.orders = orders;
    this.catalogue = catalogue;
    this.houses = houses;
    this.people = people;
    this.current = current;
    this.events = events;
    this.clock = clock;
  }

  /**
   * Stores a delivery as a lot. The same delivery sent again is the same lot.
   *
   * @param receipt the delivery
   * @return the lot
   * @throws Refusal if dates, counts or masses cannot be right
   */
  @PreAuthorize("hasAuthority('RECEIVE')")
  public Lot receive(Receipt receipt) {
    Optional<LotEntity> sentBefore = lots.findByClientId(receipt.clientId());
    if (sentBefore.isPresent()) {
      return toLot(sentBefore.get());
    }
    check(receipt);
    Named venue = houses.getVenue(receipt.venue());
    Named supplier = houses.addSupplier(receipt.supplier());
    LotEntity stored =
        lots.saveAndFlush(
            new LotEntity(receipt, venue.id(), supplier.id(), current.get().id(), clock.instant()));
    Lot lot = toLot(stored);
    events.publishEvent(new LotReceived(lot));
    return lot;
  }

  private void check(Receipt receipt) {
    if (receipt.fish() < 1 || receipt.fish() > 500) {
      throw Refusal.ofField(
          "fish", "%d fish cannot be one lot. Type 1 to 500.".formatted(receipt.fish()));
    }
    LocalDate today = LocalDate.now(clock.withZone(houses.house().formats().zone()));
    if (receipt.landedOn().isAfter(today)) {
      throw Refusal.ofField("landedOn", "It cannot be landed after today. Check the date.");
    }
    if (receipt.landedOn().isBefore(today.minusDays(OLDEST_DAYS))) {
      throw Refusal.ofField(
          "landedOn", "That is more than %d days ago. Check the date.".formatted(OLDEST_DAYS));
    }
    receipt.own().ifPresent(own -> checkApart(receipt.invoiced(), own));
    receipt
        .arrival()
        .gross()
        .filter(gross -> receipt.own().filter(own -> own.compareTo(gross) > 0).isPresent())
        .ifPresent(
            gross -> {
              throw Refusal.ofField(
                  "gross",
                  "The net weight is more than the gross weight with ice and box. Check both.");
            });
    Plausible.question(receipt.species(), receipt.own().orElse(receipt.invoiced()), receipt.fish())
        .ifPresent(
            question -> {
              throw Refusal.ofField("fish", question);
            });
    receipt
        .arrival()
        .orderLine()
        .ifPresent(
            line -> {
              if (orders.findByLine(line).isEmpty()) {
                throw Refusal.ofField("line", "The order it came for is gone. Receive it without.");
              }
            });
  }

  private static void checkApart(Mass invoiced, Mass own) {
    boolean apart =
        own.compareTo(invoiced.multipliedBy(MOST_TIMES_APART)) > 0
            || invoiced.compareTo(own.multipliedBy(MOST_TIMES_APART)) > 0;
    if (apart) {
      throw Refusal.ofField(
          "own",
          "Own scale and invoice are more than %d times apart. Check the units, kg or lb."
              .formatted(MOST_TIMES_APART));
    }
  }

  /**
   * Returns a lot.
   *
   * @param id the lot number
   * @return the lot
   * @throws Refusal if there is none of that number
   */
  @Transactional(readOnly = true)
  public Lot get(long id) {
    return toLot(find(id));
  }

  /**
   * Returns the lots, open ones first, newest first, up to 200.
   *
   * @return the lots
   */
  @Transactional(readOnly = true)
  public List<Lot> all() {
    Map<Long, String> suppliers = byId(houses.suppliers());
    Map<Long, String> venues = byId(houses.venues());
    Map<Long, String> names = people.names();
    Catalogue fish = catalogue.now();
    List<LotEntity> found = lots.findOpenFirstNewestFirst();
    List<Long> numbers = found.stream().map(LotEntity::id).toList();
    Map<Long, Inspection> inspected =
        inspections.findNewestOf(numbers).stream()
            .collect(Collectors.toMap(InspectionEntity::lotId, i -> i.toInspection(names)));
    Map<Long, ExactMoney> credits =
        claims.findAllByStatusAndLotIdIn(Claim.Status.CREDITED, numbers).stream()
            .collect(
                Collectors.toMap(
                    ClaimEntity::lotId, c -> c.toClaim(names).amount(), ExactMoney::plus));
    return found.stream()
        .map(
            lot ->
                lot.toLot(
                    fish.getSpecies(lot.species()),
                    suppliers.get(lot.supplierId()),
                    venues.get(lot.venueId()),
                    names.get(lot.receivedBy()),
                    Optional.ofNullable(inspected.get(lot.id())),
                    credits.getOrDefault(lot.id(), ExactMoney.zero(lot.currency()))))
        .toList();
  }

  /**
   * Chooses how a lot is costed.
   *
   * @param id the lot number
   * @param version the version the page showed
   * @param method the costing method
   * @param portionTarget the mass of one portion, 5 g to 5 kg
   * @throws Refusal if the page was stale or the portion cannot be one
   */
  @PreAuthorize("hasAuthority('SEE_COSTS')")
  public void costBy(long id, int version, CostingMethod method, Mass portionTarget) {
    if (portionTarget.compareTo(SMALLEST_PORTION) < 0
        || portionTarget.compareTo(LARGEST_PORTION) > 0) {
      throw Refusal.ofField("portion", "A portion weighs 5 g to 5 kg. Check the figure.");
    }
    if (method == CostingMethod.RELATIVE_VALUE) {
      throw Refusal.ofField("method", "Relative value needs sales prices, which are not kept yet.");
    }
    fresh(id, version).costBy(method, portionTarget);
  }

  /**
   * Closes a lot.
   *
   * @param id the lot number
   * @param version the version the page showed
   * @throws Refusal if the page was stale
   */
  @PreAuthorize("hasAuthority('FINISH_LOT')")
  public void finish(long id, int version) {
    fresh(id, version).finish(current.get().id(), clock.instant());
  }

  /**
   * Opens a closed lot again.
   *
   * @param id the lot number
   * @param version the version the page showed
   * @throws Refusal if the page was stale
   */
  @PreAuthorize("hasAuthority('FINISH_LOT')")
  public void reopen(long id, int version) {
    fresh(id, version).reopen();
  }

  private LotEntity fresh(long id, int version) {
    LotEntity lot = find(id);
    if (lot.version() != version) {
      throw Refusal.ofStale(
          "Somebody else changed lot %d since this page was opened. Nothing was stored. Load the page again and repeat it."
              .formatted(id));
    }
    return lot;
  }

  private LotEntity find(long id) {
    return lots.findById(id)
        .orElseThrow(
            () -> Refusal.ofMissing("There is no lot %d. Choose one on Today.".formatted(id)));
  }

  private Lot toLot(LotEntity lot) {
    Map<Long, String> names = people.names();
    ExactMoney credited =
        claims.findAllByLotIdOrderById(lot.id()).stream()
            .map(claim -> claim.toClaim(names))
            .filter(claim -> claim.status() == Claim.Status.CREDITED)
            .map(Claim::amount)
            .reduce(ExactMoney.zero(lot.currency()), ExactMoney::plus);
    return lot.toLot(
        catalogue.now().getSpecies(lot.species()),
        houses.getSupplier(lot.supplierId()).name(),
        houses.getVenue(lot.venueId()).name(),
        names.get(lot.receivedBy()),
        inspections.findFirstByLotIdOrderByIdDesc(lot.id()).map(i -> i.toInspection(names)),
        credited);
  }

  /**
   * Returns the lots that came for the lines of an order.
   *
   * @param order the order
   * @return the lots
   */
  @Transactional(readOnly = true)
  public List<Lot> of(Order order) {
    return lots.findAllByOrderLineIdIn(order.lines().stream().map(OrderLine::id).toList()).stream()
        .map(this::toLot)
        .toList();
  }

  private static Map<Long, String> byId(List<Named> rows) {
    return rows.stream().collect(Collectors.toMap(Named::id, Named::name));
  }
}
