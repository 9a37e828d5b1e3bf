package mosaicknife.app.buy;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Currency;
import mosaicknife.core.anatomy.SizeGrade;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.buying.Candidate.Form;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.UnitPrice;

@Entity
@Table(name = "price")
class PriceEntity {

  static final int PRICE_DECIMALS = 10;

  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  @Column(name = "supplier_id")
  private long supplierId;

  private String species;

  @Enumerated(EnumType.STRING)
  private Form form;

  @Enumerated(EnumType.STRING)
  private State state;

  @Column(name = "from_mg")
  private long fromMg;

  @Column(name = "to_mg")
  private long toMg;

  @Column(name = "price_per_kg")
  private BigDecimal pricePerKg;

  private String currency;

  @Column(name = "valid_on")
  private LocalDate validOn;

  @Column(name = "imported_by")
  private long importedBy;

  @Column(name = "imported_at")
  private Instant importedAt;

  protected PriceEntity() {}

  PriceEntity(long supplierId, PriceLine line, LocalDate validOn, long importedBy, Instant at) {
    this.supplierId = supplierId;
    this.species = line.species().code();
    this.form = line.form();
    this.state = line.state();
    this.fromMg = line.grade().from().milligrams();
    this.toMg = line.grade().to().milligrams();
    this.validOn = validOn;
    ask(line.price(), importedBy, at);
  }

  final void ask(UnitPrice price, long person, Instant at) {
    ExactMoney perKilogram = price.perKilogram();
    pricePerKg = perKilogram.amount().setScale(PRICE_DECIMALS, RoundingMode.HALF_EVEN);
    currency = perKilogram.currency().getCurrencyCode();
    importedBy = person;
    importedAt = at;
  }

  Long id() {
    return id;
  }

  long supplierId() {
    return supplierId;
  }

  String species() {
    return species;
  }

  Form form() {
    return form;
  }

  State state() {
    return state;
  }

  SizeGrade grade() {
    return new SizeGrade(Mass.ofMilligrams(fromMg), Mass.ofMilligrams(toMg));
  }

  LocalDate validOn() {
    return validOn;
  }

  UnitPrice price() {
    return UnitPrice.ofPerKilogram(new ExactMoney(pricePerKg, Currency.getInstance(currency)));
  }
}
