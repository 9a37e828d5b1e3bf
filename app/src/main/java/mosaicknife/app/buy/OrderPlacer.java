package mosaicknife.app.buy;

import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import mosaicknife.app.account.CurrentPerson;
import mosaicknife.app.account.PeopleRegister;
import mosaicknife.app.catalogue.CatalogueEditor;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.house.Named;
import mosaicknife.app.house.Supplier;
import mosaicknife.app.house.SupplierEditor;
import mosaicknife.app.shared.FieldName;
import mosaicknife.app.shared.Paged;
import mosaicknife.app.shared.PlainText;
import mosaicknife.app.shared.Refusal;
import mosaicknife.core.anatomy.Catalogue;
import org.springframework.data.domain.PageRequest;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps the orders: put together from plans, placed with a supplier, expected at the dock. */
@Service
@Transactional
public class OrderPlacer {

  private static final int PAGE = 50;

  private static final int LONGEST_NOTE = 500;
  private static final int FURTHEST_DAYS = 60;

  private final OrderRepository orders;
  private final DishEditor dishes;
  private final CatalogueEditor catalogue;
  private final HouseSettings houses;
  private final SupplierEditor suppliers;
  private final PeopleRegister people;
  private final CurrentPerson current;
  private final Clock clock;

  OrderPlacer(
      OrderRepository orders,
      DishEditor dishes,
      CatalogueEditor catalogue,
      HouseSettings houses,
      SupplierEditor suppliers,
      PeopleRegister people,
      CurrentPerson current,
      Clock clock) {
    this.orders = orders;
    this.dishes = dishes;
    this.catalogue = catalogue;
    this.houses = houses;
    this.suppliers = suppliers;
    this.people = people;
    this.current = current;
    this.clock = clock;
  }

  /**
   * Returns a page of all orders, the newest first.
   *
   * @param wanted which page, from 1
   * @return the page
   */
  @Transactional(readOnly = true)
  public Paged<Order> all(int wanted) {
    Names names = names();
    return Paged.of(
        orders.count(),
        wanted,
        PAGE,
        page ->
            orders.findAllByOrderByIdDesc(PageRequest.of(page, PAGE)).stream()
                .map(names::order)
                .toList());
  }

  /**
   * Returns the orders that the dock expects, the earliest first.
   *
   * @return the placed orders
   */
  @Transactional(readOnly = true)
  public List<Order> expected() {
    Names names = names();
    return orders.findAllByStatusOrderByDeliverOnAscIdAsc(OrderStatus.PLACED).stream()
        .map(names::order)
        .toList();
  }

  /**
   * Returns an order.
   *
   * @param id its number
   * @return the order
   * @throws Refusal if there is none
   */
  @Transactional(readOnly = true)
  public Order get(long id) {
    return names().order(find(id));
  }

  /**
   * Returns the order of a line.
   *
   * @param lineId the number of the line
   * @return the order, or empty if there is no such line
   */
  @Transactional(readOnly = true)
  public Optional<Order> findByLine(long lineId) {
    return orders.findByLine(lineId).map(names()::order);
  }

  /** Names that orders refer to by number, looked up once. */
  private record Names(
      Map<Long, Supplier> suppliers,
      Map<Long, String> venues,
      Map<Long, String> people,
      Map<Long, String> dishes,
      String gone,
      Catalogue fish) {

    Order order(OrderEntity order) {
      return new Order(
          order.id(),
          suppliers.get(order.supplierId()),
          order.venueId(),
          venues.get(order.venueId()),
          order.deliverOn(),
          order.status(),
          order.note(),
          people.get(order.madeBy()),
          order.lines().stream()
              .map(
                  line ->
                      line.toLine(
                          fish.getSpecies(line.species()),
                          line.dishId() == null ? "" : dishes.getOrDefault(line.dishId(), gone)))
              .toList(),
          order.version());
    }
  }

  private Names names() {
    return new Names(
        suppliers.suppliers().stream().collect(Collectors.toMap(Supplier::id, s -> s)),
        byId(houses.venues()),
        people.names(),
        dishes.all().stream().collect(Collectors.toMap(Dish::id, Dish::name)),
        houses.house().formats().say("buy.said.dish-taken-off"),
        catalogue.now());
  }

  private static Map<Long, String> byId(List<Named> rows) {
    return rows.stream().collect(Collectors.toMap(Named::id, Named::name));
  }

  private OrderEntity find(long id) {
    return orders
        .findById(id)
        .orElseThrow(() -> Refusal.ofMissing("buy.problem.there-is-no-such-order"));
  }

  /**
   * Puts a line on the draft order to its supplier for a venue and day; makes the order if there is
   * none.
   *
   * @param supplier the name of the supplier
   * @param venue the number of the venue
   * @param deliverOn the day of delivery, today or later
   * @param line the line
   * @return the number of the order
   */
  @PreAuthorize("hasAuthority('BUY') and @here.at(#venue)")
  long put(String supplier, long venue, LocalDate deliverOn, OrderLineEntity line) {
    Optional<Long> sentBefore = orders.findByClientId(line.clientId());
    if (sentBefore.isPresent()) {
      return sentBefore.get();
    }
    checkDay(deliverOn);
    long supplierId = houses.addSupplier(supplier).id();
    OrderEntity order =
        orders
            .findFirstBySupplierIdAndVenueIdAndDeliverOnAndStatusOrderByIdDesc(
                supplierId, houses.getVenue(venue).id(), deliverOn, OrderStatus.DRAFT)
            .orElseGet(
                () ->
                    new OrderEntity(
                        supplierId, venue, deliverOn, current.get().id(), clock.instant()));
    order.add(line);
    return orders.saveAndFlush(order).id();
  }

  private void checkDay(LocalDate day) {
    LocalDate today = houses.today();
    if (day.isBefore(today) || day.isAfter(today.plusDays(FURTHEST_DAYS))) {
      throw Refusal.ofField("deliverOn", "buy.problem.the-day-of-delivery-is", FURTHEST_DAYS);
    }
  }

  /** Changes the day and the note of a draft. */
  @PreAuthorize("hasAuthority('BUY') and @here.of('ORDER', #id)")
  void change(long id, int version, LocalDate day, String note) {
    checkDay(day);
    draft(id, version).change(day, PlainText.line(note, LONGEST_NOTE, "note", FieldName.NOTE));
  }

  /** Takes a line off a draft; an order without lines is gone. */
  @PreAuthorize("hasAuthority('BUY') and @here.of('ORDER', #id)")
  void dropLine(long id, int version, long lineId) {
    OrderEntity order = draft(id, version);
    order.drop(lineId);
    if (order.lines().isEmpty()) {
      orders.delete(order);
    }
  }

  /**
   * Gives an order to the supplier: from now on the dock expects it.
   *
   * @param id its number
   * @param version the version the page showed
   * @throws Refusal if the page was stale or nothing is on the order
   */
  @PreAuthorize("hasAuthority('BUY') and @here.of('ORDER', #id)")
  public void place(long id, int version) {
    OrderEntity order = draft(id, version);
    if (order.lines().isEmpty()) {
      throw Refusal.ofInput("buy.problem.there-is-nothing-on-this");
    }
    order.place(clock.instant());
  }

  /** Makes a placed order a draft again. */
  @PreAuthorize("hasAuthority('BUY') and @here.of('ORDER', #id)")
  void takeBack(long id, int version) {
    OrderEntity order = fresh(id, version);
    if (order.status() == OrderStatus.CLOSED) {
      throw Refusal.ofStale("buy.problem.this-order-is-closed-it");
    }
    order.takeBack();
  }

  /**
   * Closes a placed order: all of it came, or the rest will not come.
   *
   * @param id its number
   */
  @PreAuthorize("hasAuthority('RECEIVE') and @here.of('ORDER', #id)")
  public void close(long id) {
    OrderEntity order = find(id);
    if (order.status() == OrderStatus.PLACED) {
      order.close();
    }
  }

  private OrderEntity draft(long id, int version) {
    OrderEntity order = fresh(id, version);
    if (order.status() != OrderStatus.DRAFT) {
      throw Refusal.ofStale("buy.problem.this-order-is-placed-take");
    }
    return order;
  }

  private OrderEntity fresh(long id, int version) {
    OrderEntity order = find(id);
    if (order.version() != version) {
      throw Refusal.ofStale("buy.problem.somebody-else-changed-this-order");
    }
    return order;
  }
}
