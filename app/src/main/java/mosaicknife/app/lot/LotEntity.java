package mosaicknife.app.lot;

import jakarta.persistence.AttributeOverride;
import jakarta.persistence.Column;
import jakarta.persistence.Embedded;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Currency;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import mosaicknife.app.shared.StoredPrice;
import mosaicknife.app.shared.StoredServing;
import mosaicknife.core.anatomy.Species;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.cost.CostingMethod;
import mosaicknife.core.lot.Arrival;
import mosaicknife.core.lot.CatchMethod;
import mosaicknife.core.lot.ColdChain;
import mosaicknife.core.lot.Inspection;
import mosaicknife.core.lot.Killing;
import mosaicknife.core.lot.Lot;
import mosaicknife.core.lot.Origin;
import mosaicknife.core.lot.Receipt;
import mosaicknife.core.lot.Venue;
import mosaicknife.core.portion.Serving;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.Temperature;
import mosaicknife.core.quantity.UnitPrice;
import mosaicknife.core.safety.RawPapers;

@Entity
@Table(name = "lot")
class LotEntity {

  private static final int DECIMALS = 10;

  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  @Column(name = "client_id", updatable = false)
  private UUID clientId;

  @Column(updatable = false)
  private String species;

  @Enumerated(EnumType.STRING)
  @Column(updatable = false)
  private State state;

  @Column(name = "fish_count")
  private int fishCount;

  @Column(name = "invoiced_mg")
  private Mass invoiced;

  @Column(name = "own_mg")
  private Mass own;

  @Embedded
  @AttributeOverride(name = "perKilogram", column = @Column(name = "price_per_kg"))
  @AttributeOverride(name = "currency", column = @Column(name = "currency", updatable = false))
  private StoredPrice price;

  @Column(name = "supplier_id", updatable = false)
  private Long supplierId;

  @Column(name = "venue_id", updatable = false)
  private long venueId;

  @Enumerated(EnumType.STRING)
  @Column(updatable = false)
  private Origin origin;

  @Column(name = "landed_on", updatable = false)
  private LocalDate landedOn;

  @Column(name = "received_at", updatable = false)
  private Instant receivedAt;

  @Column(name = "received_by", updatable = false)
  private long receivedBy;

  @Embedded private StoredServing serving;

  @Enumerated(EnumType.STRING)
  @Column(name = "costing_method")
  private CostingMethod costingMethod = CostingMethod.ALL_ON_THE_MAINS;

  /** Freight, ice and box share. */
  @Column(name = "extras_per_kg")
  private BigDecimal extrasPerKilogram = BigDecimal.ZERO;

  @Column(updatable = false)
  private String note;

  @Column(name = "order_line_id", updatable = false)
  private Long orderLineId;

  @Column(name = "gross_mg")
  private Mass gross;

  @Column(name = "temperature_dc", updatable = false)
  private Temperature temperature;

  @Enumerated(EnumType.STRING)
  @Column(updatable = false)
  private CatchMethod method;

  @Column(updatable = false)
  private String area = "";

  /** The steps by name, in order. */
  @Column(updatable = false)
  private String killing;

  @Column(updatable = false)
  private boolean scaled;

  @Column(name = "by_catch", updatable = false)
  private boolean byCatch;

  @Column(name = "finished_at")
  private Instant finishedAt;

  @Column(name = "finished_by")
  private Long finishedBy;

  @Version private int version;

  protected LotEntity() {}

  LotEntity(
      UUID clientId,
      Receipt receipt,
      long venueId,
      Long supplierId,
      long receivedBy,
      Instant receivedAt,
      Currency currency) {
    this.clientId = clientId;
    this.species = receipt.species().code();
    this.state = receipt.state();
    this.fishCount = receipt.fish();
    this.invoiced = receipt.invoiced();
    this.own = receipt.own().orElse(null);
    this.price = StoredPrice.of(receipt.price(), currency);
    this.venueId = venueId;
    this.supplierId = supplierId;
    this.origin = receipt.origin();
    this.landedOn = receipt.landedOn();
    this.note = receipt.note();
    Arrival arrival = receipt.arrival();
    this.orderLineId = arrival.orderLine().isPresent() ? arrival.orderLine().getAsLong() : null;
    this.gross = arrival.gross().orElse(null);
    this.temperature = arrival.temperature().orElse(null);
    this.method = arrival.method().orElse(null);
    this.area = arrival.area();
    this.killing =
        arrival.killing().isEmpty()
            ? null
            : arrival.killing().stream().map(Killing::name).collect(Collectors.joining(","));
    this.scaled = arrival.scaled();
    this.byCatch = arrival.byCatch();
    this.receivedBy = receivedBy;
    this.receivedAt = receivedAt;
  }

  Long id() {
    return id;
  }

  /** A lot of some of its fish, received with it. */
  LotEntity takenOut(UUID sentAs, Receipt taken) {
    LotEntity lot =
        new LotEntity(sentAs, taken, venueId, supplierId, receivedBy, receivedAt, currency());
    lot.serving = serving;
    lot.costingMethod = costingMethod;
    lot.extrasPerKilogram = extrasPerKilogram;
    return lot;
  }

  /** What it has after fish left it or came back. */
  void keep(Receipt receipt) {
    fishCount = receipt.fish();
    invoiced = receipt.invoiced();
    own = receipt.own().orElse(null);
    gross = receipt.arrival().gross().orElse(null);
  }

  int version() {
    return version;
  }

  String species() {
    return species;
  }

  Optional<Long> supplierId() {
    return Optional.ofNullable(supplierId);
  }

  long venueId() {
    return venueId;
  }

  long receivedBy() {
    return receivedBy;
  }

  void costBy(CostingMethod method) {
    costingMethod = method;
  }

  /** What it cost, written down after it came. */
  void priceAt(UnitPrice known) {
    price = StoredPrice.of(known);
  }

  /** Shares freight, ice and boxes out to its kilograms. */
  void add(ExactMoney extras) {
    extrasPerKilogram =
        extras.per(invoiced).perKilogram().amount().setScale(DECIMALS, RoundingMode.HALF_EVEN);
  }

  Optional<Serving> serving() {
    return Optional.ofNullable(serving).map(StoredServing::serving);
  }

  void serve(Serving wanted) {
    serving = StoredServing.of(wanted);
  }

  void serveAsItsDishes() {
    serving = null;
  }

  void finish(long person, Instant at) {
    finishedAt = at;
    finishedBy = person;
  }

  void reopen() {
    finishedAt = null;
    finishedBy = null;
  }

  private Arrival arrival() {
    return new Arrival(
        orderLineId == null ? OptionalLong.empty() : OptionalLong.of(orderLineId),
        Optional.ofNullable(gross),
        Optional.ofNullable(temperature),
        Optional.ofNullable(method),
        area,
        Stream.ofNullable(killing)
            .flatMap(steps -> Stream.of(steps.split(",")))
            .map(Killing::valueOf)
            .toList(),
        scaled,
        byCatch);
  }

  Currency currency() {
    return price.money();
  }

  Lot toLot(
      Species fish,
      String supplier,
      Venue venue,
      String receiver,
      Optional<Inspection> inspection,
      List<Mass> each,
      ExactMoney credited,
      RawPapers papers,
      ColdChain cold) {
    return new Lot(
        id,
        new Receipt(
            fish,
            state,
            fishCount,
            invoiced,
            Optional.ofNullable(own),
            price.known(),
            supplier,
            origin,
            landedOn,
            note,
            arrival()),
        venue,
        receivedAt,
        receiver,
        each.size() == fishCount ? each : List.of(),
        serving(),
        costingMethod,
        Optional.ofNullable(finishedAt),
        inspection,
        credited,
        UnitPrice.ofPerKilogram(new ExactMoney(extrasPerKilogram, currency())),
        papers,
        cold,
        version);
  }
}
