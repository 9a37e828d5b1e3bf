package mosaicknife.app.lot;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.Collection;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import mosaicknife.app.account.CurrentPerson;
import mosaicknife.app.account.PeopleRegister;
import mosaicknife.app.buy.Order;
import mosaicknife.app.buy.OrderLine;
import mosaicknife.app.buy.OrderPlacer;
import mosaicknife.app.catalogue.CatalogueEditor;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.house.Named;
import mosaicknife.app.shared.Paged;
import mosaicknife.app.shared.Refusal;
import mosaicknife.app.shared.SentTwice;
import mosaicknife.core.anatomy.Catalogue;
import mosaicknife.core.anatomy.Species;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.cost.CostingMethod;
import mosaicknife.core.lot.ColdChain;
import mosaicknife.core.lot.Inspection;
import mosaicknife.core.lot.Lot;
import mosaicknife.core.lot.LotRules;
import mosaicknife.core.lot.Receipt;
import mosaicknife.core.lot.Venue;
import mosaicknife.core.portion.Serving;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.UnitPrice;
import mosaicknife.core.safety.Plausible;
import mosaicknife.core.safety.RawPapers;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps the lots: received at the dock, costed, finished. */
@Service
@Transactional
public class LotRegister {

  private static final int PAGE = 40;

  private final LotRepository lots;
  private final InspectionRepository inspections;
  private final ClaimRepository claims;
  private final LotFishRepository measured;
  private final DivisionRepository divisions;
  private final RawGateKeeper gates;
  private final ColdChainKeeper cold;
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
      LotFishRepository measured,
      DivisionRepository divisions,
      RawGateKeeper gates,
      ColdChainKeeper cold,
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
    this.measured = measured;
    this.divisions = divisions;
    this.gates = gates;
    this.cold = cold;
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
   * @param delivery the delivery
   * @return the lot
   * @throws Refusal if dates, counts or masses cannot be right
   */
  @PreAuthorize(
      "hasAuthority('RECEIVE') and @here.at(#delivery.venue())"
          + " and @here.of('LINE', #delivery.receipt().arrival().orderLine().orElse(0L))")
  @SentTwice
  public Lot receive(Delivery delivery) {
    Optional<LotEntity> sentBefore = lots.findByClientId(delivery.clientId());
    Receipt receipt = delivery.receipt();
    if (sentBefore.isPresent()) {
      return same(toLot(sentBefore.get()), receipt);
    }
    check(receipt);
    Named venue = houses.getVenue(delivery.venue());
    Long supplier = receipt.isOwnCatch() ? null : houses.addSupplier(receipt.supplier()).id();
    LotEntity received =
        new LotEntity(
            delivery.clientId(),
            receipt,
            venue.id(),
            supplier,
            current.get().id(),
            clock.instant(),
            houses.house().formats().currency());
    received.costBy(houses.house().costingMethod());
    LotEntity stored = lots.saveAndFlush(received);
    Lot lot = toLot(stored);
    events.publishEvent(new LotReceived(lot));
    return lot;
  }

  private static Lot same(Lot sent, Receipt receipt) {
    boolean same =
        sent.species().code().equals(receipt.species().code())
            && sent.state() == receipt.state()
            && sent.invoiced().equals(receipt.invoiced());
    if (!same) {
      throw Refusal.ofStale("lot.problem.id-of-another");
    }
    return sent;
  }

  private void check(Receipt receipt) {
    LocalDate today = houses.today();
    Refusal.ifFound(LotRules.problem(receipt, today));
    Plausible.question(receipt.species(), receipt.purchased(), receipt.fish())
        .filter(question -> !receipt.state().isCut())
        .ifPresent(
            question -> {
              throw Refusal.of(question.at("fish"));
            });
    receipt
        .arrival()
        .orderLine()
        .ifPresent(
            line -> {
              if (orders.findByLine(line).isEmpty()) {
                throw Refusal.ofField("line", "lot.problem.the-order-it-came-for");
              }
            });
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
   * Returns some lots.
   *
   * @param ids their numbers
   * @return the lots that there are, each once
   */
  @Transactional(readOnly = true)
  public List<Lot> all(Collection<Long> ids) {
    return toLots(lots.findAllByIdIn(ids));
  }

  /**
   * Returns the open lots, the newest first. All of them: what is summed up, planned or promised
   * counts every fish.
   *
   * @return the lots
   */
  @Transactional(readOnly = true)
  public List<Lot> open() {
    return toLots(lots.findOpen());
  }

  /**
   * Returns the open lots of a venue, the newest first.
   *
   * @param venue the venue
   * @return all of them
   */
  @Transactional(readOnly = true)
  public List<Lot> openAt(long venue) {
    return toLots(lots.findOpenAt(venue));
  }

  /**
   * Returns how many lots are open.
   *
   * @return the count
   */
  @Transactional(readOnly = true)
  public long countOpen() {
    return lots.countOpen();
  }

  /**
   * Returns the lots received last, open or not.
   *
   * @return eight at most
   */
  @Transactional(readOnly = true)
  public List<Lot> newest() {
    return toLots(lots.findTop8ByOrderByReceivedAtDescIdDesc());
  }

  /**
   * Returns lots received lately, open or closed, the newest first.
   *
   * @param since from when on
   * @return all of them
   */
  @Transactional(readOnly = true)
  public List<Lot> since(Instant since) {
    return toLots(lots.findReceivedSince(since));
  }

  /**
   * Returns the fish received last, each once.
   *
   * @param most how many at most
   * @return the species
   */
  @Transactional(readOnly = true)
  public List<Species> lastSpecies(int most) {
    Catalogue fish = catalogue.now();
    return lots.findLastSpecies(most).stream()
        .flatMap(code -> fish.findSpecies(code).stream())
        .toList();
  }

  /**
   * Finds the lot on the board: the open one this person weighed on last, else the newest open one.
   *
   * @return the lot number, or empty if no lot is open
   */
  @Transactional(readOnly = true)
  public Optional<Long> onTheBoard() {
    return lots.findOnTheBoard(current.get().id()).or(lots::findNewestOpen);
  }

  /**
   * Finds lots, open ones first. No lot is left out: what does not fit a page is on the next.
   *
   * @param text a fish by any of its names, part of a supplier's name, a lot number, or a day such
   *     as {@code 2026-11-25}; empty for all
   * @param page which page, from 1
   * @return the page, the last one if there are not so many
   */
  @Transactional(readOnly = true)
  public Paged<LotLine> search(String text, int page) {
    String wanted = text == null ? "" : text.strip().toLowerCase(Locale.ROOT);
    List<String> codes =
        wanted.isEmpty()
            ? List.of("")
            : Stream.concat(
                    Stream.of(""), catalogue.now().search(wanted).stream().map(Species::code))
                .toList();
    String part = "%" + wanted.replaceAll("[%_\\\\]", "") + "%";
    long number =
        wanted.matches("(lot )?[0-9]{1,15}") ? Long.parseLong(wanted.replaceAll("\\D", "")) : -1;
    String day = isDay(wanted) ? wanted : "";
    String zone = houses.house().formats().zone().getId();
    Catalogue fish = catalogue.now();
    return Paged.of(
        lots.countLines(wanted, codes, part, number, zone, day),
        page,
        PAGE,
        shown ->
            lots
                .findLines(wanted, codes, part, number, zone, day, PAGE, (long) shown * PAGE)
                .stream()
                .map(row -> line(row, fish))
                .toList());
  }

  private static boolean isDay(String text) {
    try {
      LocalDate.parse(text);
      return true;
    } catch (DateTimeParseException e) {
      return false;
    }
  }

  private static LotLine line(LotRepository.LineRow row, Catalogue fish) {
    return new LotLine(
        row.getId(),
        fish.getSpecies(row.getSpecies()),
        State.valueOf(row.getState()),
        row.getFish(),
        Mass.ofMilligrams(row.getMass()),
        row.getSupplier(),
        row.getVenue(),
        row.getReceived(),
        row.getFinished());
  }

  private List<Lot> toLots(List<LotEntity> found) {
    Map<Long, String> suppliers = byId(houses.suppliers());
    Map<Long, String> venues = byId(houses.venues());
    Map<Long, String> names = people.names();
    Catalogue fish = catalogue.now();
    List<Long> numbers = found.stream().map(LotEntity::id).toList();
    List<DivisionEntity> divided = divisions.findAllByLotIdIn(numbers);
    Map<Long, Inspection> inspected = inspected(numbers, divided, names);
    Map<Long, ExactMoney> credits =
        claims.findAllByStatusAndLotIdIn(Claim.Status.CREDITED, numbers).stream()
            .collect(
                Collectors.toMap(
                    ClaimEntity::lotId, c -> c.toClaim(names).amount(), ExactMoney::plus));
    Map<Long, List<Mass>> masses = masses(numbers);
    Map<Long, RawPapers> papers = gates.of(numbers);
    Map<Long, ColdChain> chains = cold.of(numbers, divided);
    return found.stream()
        .map(
            lot ->
                lot.toLot(
                    fish.getSpecies(lot.species()),
                    lot.supplierId().map(suppliers::get).orElse(""),
                    new Venue(lot.venueId(), venues.get(lot.venueId())),
                    names.get(lot.receivedBy()),
                    Optional.ofNullable(inspected.get(lot.id())),
                    masses.getOrDefault(lot.id(), List.of()),
                    credits.getOrDefault(lot.id(), ExactMoney.zero(lot.currency())),
                    papers.get(lot.id()),
                    chains.get(lot.id())))
        .toList();
  }

  /**
   * Chooses how a lot is costed.
   *
   * @param id the lot number
   * @param version the version the page showed
   * @param method the costing method
   * @param portion what one portion is from now on; empty to leave it
   * @param extras freight, ice and box share of the whole lot, from 0
   * @throws Refusal if the page was stale or the portion cannot be one
   */
  @PreAuthorize("hasAuthority('SEE_COSTS') and @here.of('LOT', #id)")
  public void costBy(
      long id,
      int version,
      CostingMethod method,
      Optional<Serving> portion,
      Optional<ExactMoney> extras) {
    LotEntity lot = fresh(id, version);
    lot.costBy(method);
    extras.ifPresent(lot::add);
    portion.ifPresent(
        wanted -> {
          Refusal.ifFound(LotRules.portion(wanted.target()));
          lot.serve(wanted);
        });
  }

  /**
   * Writes down the price of a lot that was received by somebody who sees none.
   *
   * @param id the lot number
   * @param version the version the page showed
   * @param price the price per mass
   * @throws Refusal if the page was stale or the lot has a price
   */
  @PreAuthorize("hasAuthority('SEE_COSTS') and @here.of('LOT', #id)")
  public void price(long id, int version, UnitPrice price) {
    LotEntity lot = fresh(id, version);
    if (toLot(lot).price().isPresent()) {
      throw Refusal.ofStale("lot.problem.price-known");
    }
    lot.priceAt(price);
  }

  /**
   * Chooses what one portion of a lot is.
   *
   * @param id the lot number
   * @param serving the portion, of 5 g to 5 kg
   * @throws Refusal if the lot is closed or the portion cannot be one
   */
  @PreAuthorize("hasAnyAuthority('DECIDE_PURPOSE', 'RECEIVE') and @here.of('LOT', #id)")
  public void serve(long id, Serving serving) {
    Refusal.ifFound(LotRules.portion(serving.target()));
    checkOpen(id);
    find(id).serve(serving);
  }

  /**
   * Forgets the portion somebody chose for a lot: those of its dishes count again.
   *
   * @param id the lot number
   */
  @PreAuthorize("hasAnyAuthority('DECIDE_PURPOSE', 'RECEIVE') and @here.of('LOT', #id)")
  public void serveAsItsDishes(long id) {
    find(id).serveAsItsDishes();
  }

  /**
   * Closes a lot.
   *
   * @param id the lot number
   * @param version the version the page showed
   * @throws Refusal if the page was stale
   */
  @PreAuthorize("hasAuthority('FINISH_LOT') and @here.of('LOT', #id)")
  public void finish(long id, int version) {
    fresh(id, version).finish(current.get().id(), clock.instant());
    events.publishEvent(new LotClosed(id));
  }

  /**
   * Opens a closed lot again.
   *
   * @param id the lot number
   * @param version the version the page showed
   * @throws Refusal if the page was stale
   */
  @PreAuthorize("hasAuthority('FINISH_LOT') and @here.of('LOT', #id)")
  public void reopen(long id, int version) {
    fresh(id, version).reopen();
  }

  /**
   * Checks that a lot may be changed, with one look at the database.
   *
   * @param id the lot number
   * @throws Refusal if there is none of that number, or it is closed
   */
  @Transactional(readOnly = true)
  public void checkOpen(long id) {
    boolean finished =
        lots.isFinished(id)
            .orElseThrow(() -> Refusal.ofMissing("lot.problem.there-is-no-lot-choose", id));
    if (finished) {
      throw Refusal.ofInput("lot.problem.lot-is-closed-open-it", id);
    }
  }

  LotEntity fresh(long id, int version) {
    LotEntity lot = find(id);
    if (lot.version() != version) {
      throw Refusal.ofStale("lot.problem.someone-else-changed-lot-first", id);
    }
    return lot;
  }

  LotEntity find(long id) {
    return lots.findById(id)
        .orElseThrow(() -> Refusal.ofMissing("lot.problem.there-is-no-lot-choose", id));
  }

  private Lot toLot(LotEntity lot) {
    Map<Long, String> names = people.names();
    List<DivisionEntity> divided = divisions.findAllByLotIdIn(List.of(lot.id()));
    ExactMoney credited =
        claims.findAllByLotIdOrderById(lot.id()).stream()
            .map(claim -> claim.toClaim(names))
            .filter(claim -> claim.status() == Claim.Status.CREDITED)
            .map(Claim::amount)
            .reduce(ExactMoney.zero(lot.currency()), ExactMoney::plus);
    return lot.toLot(
        catalogue.now().getSpecies(lot.species()),
        lot.supplierId().map(houses::getSupplier).map(Named::name).orElse(""),
        new Venue(lot.venueId(), houses.getVenue(lot.venueId()).name()),
        names.get(lot.receivedBy()),
        Optional.ofNullable(inspected(List.of(lot.id()), divided, names).get(lot.id())),
        masses(List.of(lot.id())).getOrDefault(lot.id(), List.of()),
        credited,
        gates.of(List.of(lot.id())).get(lot.id()),
        cold.of(List.of(lot.id()), divided).get(lot.id()));
  }

  /** The newest inspection of each lot; fish that were taken out of one were inspected with it. */
  private Map<Long, Inspection> inspected(
      List<Long> numbers, List<DivisionEntity> divided, Map<Long, String> names) {
    Map<Long, Long> from =
        divided.stream()
            .collect(Collectors.toMap(DivisionEntity::lotId, DivisionEntity::fromLotId));
    List<Long> all = Stream.concat(numbers.stream(), from.values().stream()).distinct().toList();
    Map<Long, Inspection> newest =
        inspections.findNewestOf(all).stream()
            .collect(Collectors.toMap(InspectionEntity::lotId, i -> i.toInspection(names)));
    from.forEach(
        (lot, source) -> {
          if (newest.containsKey(source)) {
            newest.putIfAbsent(lot, newest.get(source));
          }
        });
    return newest;
  }

  /** What each fish weighs that was weighed by itself. */
  private Map<Long, List<Mass>> masses(Collection<Long> numbers) {
    return measured.findWeighedOf(numbers).stream()
        .collect(
            Collectors.groupingBy(
                LotFishEntity::lotId,
                Collectors.mapping(one -> one.mass().orElseThrow(), Collectors.toList())));
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
