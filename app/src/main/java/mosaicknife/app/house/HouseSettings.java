package mosaicknife.app.house;

import java.math.BigDecimal;
import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Currency;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.atomic.AtomicInteger;
import mosaicknife.app.shared.AskedOnce;
import mosaicknife.app.shared.FieldName;
import mosaicknife.app.shared.Formats;
import mosaicknife.app.shared.PlainText;
import mosaicknife.app.shared.Refusal;
import mosaicknife.app.shared.Typed;
import mosaicknife.core.quantity.UnitSystem;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/** Keeps the house: its name and units, its venues and suppliers. */
@Service
@Transactional
public class HouseSettings {

  private static final int LONGEST_NAME = 80;
  private static final long KEPT_NANOS = 500_000_000;
  private static final BigDecimal MOST_LABOUR = new BigDecimal(1000);
  private static final Currency EUR = Currency.getInstance("EUR");
  private static final ZoneId UTC = ZoneId.of("UTC");

  private final HouseRepository houses;
  private final VenueRepository venues;
  private final SupplierRepository suppliers;
  private final Clock clock;

  private volatile Kept kept;
  private final AtomicInteger changes = new AtomicInteger();

  HouseSettings(
      HouseRepository houses, VenueRepository venues, SupplierRepository suppliers, Clock clock) {
    this.clock = clock;
    this.houses = houses;
    this.venues = venues;
    this.suppliers = suppliers;
  }

  /**
   * Returns the house; before it is founded, a nameless one in kilograms and euros.
   *
   * @return the house
   */
  @Transactional(propagation = Propagation.SUPPORTS, readOnly = true)
  public House house() {
    Kept known = kept;
    int change = changes.get();
    if (known != null
        && known.change() == change
        && System.nanoTime() - known.readAt() < KEPT_NANOS) {
      return known.house();
    }
    House house =
        houses
            .findById(HouseEntity.ONLY_ID)
            .orElseGet(() -> new HouseEntity("Mosaic Knife", EUR, UnitSystem.METRIC, UTC))
            .toHouse(clock);
    if (!TransactionSynchronizationManager.isActualTransactionActive()) {
      kept = new Kept(house, change, System.nanoTime());
    }
    return house;
  }

  /**
   * Returns the day at the house.
   *
   * @return the day in its time zone
   */
  @Transactional(propagation = Propagation.SUPPORTS, readOnly = true)
  public LocalDate today() {
    return LocalDate.now(clock.withZone(house().formats().zone()));
  }

  /**
   * Every request asks several times how the house writes, so a known house takes no transaction;
   * another instance's change comes late. What a transaction read is its own: it may have met the
   * house before a change, and would tell everyone of that house as new.
   *
   * @param change the change of the house before which it was begun to be read: a reader that was
   *     slower than a change does not bring the old house back
   */
  private record Kept(House house, int change, long readAt) {}

  private void forgetAfterCommit() {
    changes.incrementAndGet();
    if (TransactionSynchronizationManager.isSynchronizationActive()) {
      TransactionSynchronizationManager.registerSynchronization(
          new TransactionSynchronization() {
            @Override
            public void afterCompletion(int status) {
              changes.incrementAndGet();
            }
          });
    }
  }

  /**
   * Founds the house with its first venue.
   *
   * @param name the name of the house
   * @param firstVenue the name of its first venue
   * @param currency the code of the currency it pays in
   * @param zone its time zone, such as {@code Europe/Lisbon}; without one the days are those of UTC
   * @throws Refusal if a name is missing or too long, there is no such currency or time zone, or
   *     the house is founded already
   */
  public void found(String name, String firstVenue, String currency, String zone) {
    if (houses.findById(HouseEntity.ONLY_ID).isPresent()) {
      throw Refusal.ofStale("house.problem.the-house-is-founded-already");
    }
    String houseName = PlainText.needed(name, LONGEST_NAME, "house", FieldName.HOUSE);
    ZoneId of = zone == null || zone.isBlank() ? UTC : zone(zone.strip());
    houses.save(new HouseEntity(houseName, currency(currency), UnitSystem.METRIC, of));
    forgetAfterCommit();
    addVenue(firstVenue);
  }

  /**
   * Changes how the house is called and how it writes numbers.
   *
   * @param form what was typed; the hour of work from 0 to 1000, another currency only while {@link
   *     #canChangeCurrency()}
   * @throws Refusal if the name is missing or too long, there is no such time zone or currency, the
   *     currency is fixed by now, or the labour is no amount
   */
  @PreAuthorize("hasAuthority('MANAGE_HOUSE')")
  public void change(HouseForm form) {
    HouseEntity house =
        houses
            .findById(HouseEntity.ONLY_ID)
            .orElseThrow(() -> Refusal.ofMissing("house.problem.the-house-is-not-founded"));
    Currency before = house.toHouse(clock).formats().currency();
    Currency money = form.currency() == null ? before : currency(form.currency());
    if (!money.equals(before) && !canChangeCurrency()) {
      throw Refusal.ofField("currency", "house.problem.the-currency-is-fixed", before);
    }
    house.change(
        PlainText.needed(form.name(), LONGEST_NAME, "name", FieldName.HOUSE),
        new Formats(form.system(), money, zone(form.zone())),
        Typed.decimal(
            form.labour(),
            Math.max(2, money.getDefaultFractionDigits()),
            BigDecimal.ZERO,
            MOST_LABOUR,
            "labour"),
        form.hemisphere(),
        form.costing() == null ? house.toHouse(clock).costingMethod() : form.costing());
    forgetAfterCommit();
  }

  /**
   * Returns whether the house may still pay in another currency.
   *
   * @return false once a price is written down: its amount would mean something else
   */
  @Transactional(readOnly = true)
  public boolean canChangeCurrency() {
    return !houses.hasPrices();
  }

  private static ZoneId zone(String typed) {
    if (typed == null || !ZoneId.getAvailableZoneIds().contains(typed)) {
      throw Refusal.ofField("zone", "house.problem.is-not-a-time-zone", typed);
    }
    return ZoneId.of(typed);
  }

  private static Currency currency(String typed) {
    String code = typed == null ? "" : typed.strip().toUpperCase(Locale.ROOT);
    return Currency.getAvailableCurrencies().stream()
        .filter(currency -> currency.getCurrencyCode().equals(code))
        .findFirst()
        .orElseThrow(
            () -> Refusal.ofField("currency", "house.problem.is-not-a-currency-type", typed));
  }

  /**
   * Returns the names of the venues.
   *
   * @return the names by number
   */
  @Transactional(readOnly = true)
  @AskedOnce
  public java.util.Map<Long, String> venueNames() {
    return venues().stream().collect(java.util.stream.Collectors.toMap(Named::id, Named::name));
  }

  /**
   * Returns all venues by name.
   *
   * @return the venues
   */
  @Transactional(readOnly = true)
  @AskedOnce
  public List<Named> venues() {
    return venues.findAllByOrderByName().stream().map(NamedRow::toNamed).toList();
  }

  /**
   * Returns all suppliers by name.
   *
   * @return the suppliers
   */
  @Transactional(readOnly = true)
  @AskedOnce
  public List<Named> suppliers() {
    return suppliers.findAllByOrderByName().stream().map(NamedRow::toNamed).toList();
  }

  /**
   * Returns the venue of a name, which it adds if it is new.
   *
   * @param typed the name
   * @return the venue
   * @throws Refusal if the name is missing or too long
   */
  @PreAuthorize("hasAuthority('MANAGE_HOUSE')")
  public Named addVenue(String typed) {
    String name = PlainText.needed(typed, LONGEST_NAME, "venue", FieldName.VENUE);
    return venues
        .findByNameIgnoreCase(name)
        .orElseGet(() -> venues.save(new VenueEntity(name)))
        .toNamed();
  }

  /**
   * Returns the supplier of a name, which it adds if it is new.
   *
   * @param typed the name
   * @return the supplier
   * @throws Refusal if the name is missing or too long
   */
  public Named addSupplier(String typed) {
    String name = PlainText.needed(typed, LONGEST_NAME, "supplier", FieldName.SUPPLIER);
    return suppliers
        .findByNameIgnoreCase(name)
        .orElseGet(() -> suppliers.save(new SupplierEntity(name)))
        .toNamed();
  }

  /**
   * Returns a venue that must exist.
   *
   * @param id its number
   * @return the venue
   * @throws Refusal if there is none
   */
  @Transactional(readOnly = true)
  public Named getVenue(long id) {
    return venues
        .findById(id)
        .map(NamedRow::toNamed)
        .orElseThrow(() -> Refusal.ofField("venue", "house.problem.there-is-no-such-venue"));
  }

  /**
   * Returns a supplier that must exist.
   *
   * @param id its number
   * @return the supplier
   * @throws Refusal if there is none
   */
  @Transactional(readOnly = true)
  public Named getSupplier(long id) {
    return suppliers
        .findById(id)
        .map(NamedRow::toNamed)
        .orElseThrow(() -> Refusal.ofMissing("house.problem.there-is-no-supplier-with", id));
  }
}
