package mosaicknife.app.lot;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.Collection;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import mosaicknife.app.account.CurrentPerson;
import mosaicknife.app.buy.Order;
import mosaicknife.app.buy.OrderLine;
import mosaicknife.app.buy.OrderPlacer;
import mosaicknife.app.catalogue.CatalogueEditor;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.house.Named;
import mosaicknife.app.shared.AskedOnce;
import mosaicknife.app.shared.Paged;
import mosaicknife.app.shared.Refusal;
import mosaicknife.app.shared.SentTwice;
import mosaicknife.core.anatomy.Catalogue;
import mosaicknife.core.anatomy.Species;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.cost.CostingMethod;
import mosaicknife.core.lot.Lot;
import mosaicknife.core.lot.LotRules;
import mosaicknife.core.lot.Receipt;
import mosaicknife.core.portion.Serving;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.UnitPrice;
import mosaicknife.core.safety.Plausible;
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
  private final LotAssembler assembler;
  private final OrderPlacer orders;
  private final CatalogueEditor catalogue;
  private final HouseSettings houses;
  private final CurrentPerson current;
  private final ApplicationEventPublisher events;
  private final Clock clock;

  LotRegister(
      LotRepository lots,
      LotAssembler assembler,
      OrderPlacer orders,
      CatalogueEditor catalogue,
      HouseSettings houses,
      CurrentPerson current,
      ApplicationEventPublisher events,
      Clock clock) {
    this.lots = lots;
    this.assembler = assembler;
    this.orders = orders;
    this.catalogue = catalogue;
    this.houses = houses;
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
      return same(assembler.toLot(sentBefore.get()), receipt);
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
    Lot lot = assembler.toLot(stored);
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
    return assembler.lots(List.of(id), numbers -> List.of(find(id))).get(0);
  }

  /**
   * Returns some lots.
   *
   * @param ids their numbers
   * @return the lots that there are, each once
   */
  @Transactional(readOnly = true)
  public List<Lot> all(Collection<Long> ids) {
    return assembler.lots(ids, lots::findAllByIdIn);
  }

  /**
   * Returns the open lots, the newest first. All of them: what is summed up, planned or promised
   * counts every fish.
   *
   * @return the lots
   */
  @Transactional(readOnly = true)
  @AskedOnce
  public List<Lot> open() {
    return assembler.toLots(lots.findOpen());
  }

  /**
   * Returns the open lots of a venue, the newest first.
   *
   * @param venue the venue
   * @return all of them
   */
  @Transactional(readOnly = true)
  @AskedOnce
  public List<Lot> openAt(long venue) {
    return assembler.toLots(lots.findOpenAt(venue));
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
    return assembler.toLots(lots.findTop8ByOrderByReceivedAtDescIdDesc());
  }

  /**
   * Returns lots received lately, open or closed, the newest first.
   *
   * @param since from when on
   * @return all of them
   */
  @Transactional(readOnly = true)
  public List<Lot> since(Instant since) {
    return assembler.toLots(lots.findReceivedSince(since));
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
    if (assembler.toLot(lot).price().isPresent()) {
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

  /**
   * Returns the lots that came for the lines of an order.
   *
   * @param order the order
   * @return the lots
   */
  @Transactional(readOnly = true)
  public List<Lot> of(Order order) {
    return assembler.toLots(
        lots.findAllByOrderLineIdIn(order.lines().stream().map(OrderLine::id).toList()));
  }
}
