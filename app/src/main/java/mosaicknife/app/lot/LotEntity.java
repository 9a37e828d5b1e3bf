package mosaicknife.app.lot;

import jakarta.persistence.Column;
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
import java.util.Optional;
import java.util.OptionalLong;
import java.util.UUID;
import mosaicknife.core.anatomy.Species;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.cost.CostingMethod;
import mosaicknife.core.lot.Arrival;
import mosaicknife.core.lot.CatchMethod;
import mosaicknife.core.lot.Inspection;
import mosaicknife.core.lot.Killing;
import mosaicknife.core.lot.Lot;
import mosaicknife.core.lot.LotRules;
import mosaicknife.core.lot.Origin;
import mosaicknife.core.lot.Receipt;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.Temperature;
import mosaicknife.core.quantity.UnitPrice;

@Entity
@Table(name = "lot")
class LotEntity {

  private static final int PRICE_DECIMALS = 10;

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

  @Column(name = "fish_count", updatable = false)
  private int fishCount;

  @Column(name = "invoiced_mg", updatable = false)
  private long invoicedMg;

  @Column(name = "own_mg", updatable = false)
  private Long ownMg;

  @Column(name = "price_per_kg", updatable = false)
  private BigDecimal pricePerKg;

  @Column(updatable = false)
  private String currency;

  @Column(name = "supplier_id", updatable = false)
  private long supplierId;

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

  @Column(name = "portion_target_mg")
  private long portionTargetMg = LotRules.USUAL_PORTION.milligrams();

  @Enumerated(EnumType.STRING)
  @Column(name = "costing_method")
  private CostingMethod costingMethod = CostingMethod.ALL_ON_THE_MAINS;

  @Column(updatable = false)
  private String note;

  @Column(name = "order_line_id", updatable = false)
  private Long orderLineId;

  @Column(name = "gross_mg", updatable = false)
  private Long grossMg;

  @Column(name = "temperature_dc", updatable = false)
  private Integer temperatureDc;

  @Enumerated(EnumType.STRING)
  @Column(updatable = false)
  private CatchMethod method;

  @Column(updatable = false)
  private String area = "";

  @Enumerated(EnumType.STRING)
  @Column(updatable = false)
  private Killing killing;

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
      long supplierId,
      long receivedBy,
      Instant receivedAt) {
    this.clientId = clientId;
    this.species = receipt.species().code();
    this.state = receipt.state();
    this.fishCount = receipt.fish();
    this.invoicedMg = receipt.invoiced().milligrams();
    this.ownMg = receipt.own().map(Mass::milligrams).orElse(null);
    ExactMoney perKilogram = receipt.price().perKilogram();
    this.pricePerKg = perKilogram.amount().setScale(PRICE_DECIMALS, RoundingMode.HALF_EVEN);
    this.currency = perKilogram.currency().getCurrencyCode();
    this.venueId = venueId;
    this.supplierId = supplierId;
    this.origin = receipt.origin();
    this.landedOn = receipt.landedOn();
    this.note = receipt.note();
    Arrival arrival = receipt.arrival();
    this.orderLineId = arrival.orderLine().isPresent() ? arrival.orderLine().getAsLong() : null;
    this.grossMg = arrival.gross().map(Mass::milligrams).orElse(null);
    this.temperatureDc = arrival.temperature().map(Temperature::tenths).orElse(null);
    this.method = arrival.method().orElse(null);
    this.area = arrival.area();
    this.killing = arrival.killing().orElse(null);
    this.receivedBy = receivedBy;
    this.receivedAt = receivedAt;
  }

  Long id() {
    return id;
  }

  int version() {
    return version;
  }

  String species() {
    return species;
  }

  long supplierId() {
    return supplierId;
  }

  long venueId() {
    return venueId;
  }

  long receivedBy() {
    return receivedBy;
  }

  void costBy(CostingMethod method, Mass portionTarget) {
    costingMethod = method;
    portionTargetMg = portionTarget.milligrams();
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
        Optional.ofNullable(grossMg).map(Mass::ofMilligrams),
        Optional.ofNullable(temperatureDc).map(Temperature::new),
        Optional.ofNullable(method),
        area,
        Optional.ofNullable(killing));
  }

  Currency currency() {
    return Currency.getInstance(currency);
  }

  Lot toLot(
      Species fish,
      String supplier,
      String venue,
      String receiver,
      Optional<Inspection> inspection,
      ExactMoney credited) {
    return new Lot(
        id,
        new Receipt(
            fish,
            state,
            fishCount,
            Mass.ofMilligrams(invoicedMg),
            Optional.ofNullable(ownMg).map(Mass::ofMilligrams),
            UnitPrice.ofPerKilogram(new ExactMoney(pricePerKg, Currency.getInstance(currency))),
            supplier,
            origin,
            landedOn,
            note,
            arrival()),
        venue,
        receivedAt,
        receiver,
        Mass.ofMilligrams(portionTargetMg),
        costingMethod,
        Optional.ofNullable(finishedAt),
        inspection,
        credited,
        version);
  }
}
