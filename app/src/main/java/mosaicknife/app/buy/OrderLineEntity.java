package mosaicknife.app.buy;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.JoinColumn;
import jakarta.persistence.ManyToOne;
import jakarta.persistence.Table;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.Currency;
import java.util.UUID;
import mosaicknife.core.anatomy.SizeGrade;
import mosaicknife.core.anatomy.Species;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.buying.Candidate;
import mosaicknife.core.buying.Candidate.Form;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.UnitPrice;

@Entity
@Table(name = "order_line")
class OrderLineEntity {

  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  @Column(name = "client_id", updatable = false)
  private UUID clientId;

  @ManyToOne(optional = false)
  @JoinColumn(name = "order_id")
  private OrderEntity order;

  private String species;

  @Enumerated(EnumType.STRING)
  private Form form;

  @Enumerated(EnumType.STRING)
  private State state;

  @Column(name = "from_mg")
  private long fromMg;

  @Column(name = "to_mg")
  private long toMg;

  private int fish;

  @Column(name = "mass_mg")
  private long massMg;

  @Column(name = "price_per_kg")
  private BigDecimal pricePerKg;

  private String currency;

  @Column(name = "dish_id")
  private Long dishId;

  private BigDecimal surplus;

  @Column(name = "surplus_home")
  private String surplusHome;

  private String reason;

  protected OrderLineEntity() {}

  OrderLineEntity(
      UUID clientId,
      Candidate candidate,
      int fish,
      Mass mass,
      Long dishId,
      double surplus,
      String surplusHome,
      String reason) {
    this.clientId = clientId;
    this.species = candidate.species().code();
    this.form = candidate.form();
    this.state = candidate.state();
    this.fromMg = candidate.grade().from().milligrams();
    this.toMg = candidate.grade().to().milligrams();
    this.fish = fish;
    this.massMg = mass.milligrams();
    ExactMoney perKilogram = candidate.price().perKilogram();
    this.pricePerKg =
        perKilogram.amount().setScale(PriceEntity.PRICE_DECIMALS, RoundingMode.HALF_EVEN);
    this.currency = perKilogram.currency().getCurrencyCode();
    this.dishId = dishId;
    this.surplus = BigDecimal.valueOf(surplus).setScale(1, RoundingMode.HALF_UP);
    this.surplusHome = surplusHome;
    this.reason = reason;
  }

  long id() {
    return id == null ? 0 : id;
  }

  UUID clientId() {
    return clientId;
  }

  String species() {
    return species;
  }

  void belongTo(OrderEntity owner) {
    order = owner;
  }

  OrderEntity order() {
    return order;
  }

  OrderLine toLine(Species known, String dish) {
    return new OrderLine(
        id,
        known,
        form,
        state,
        new SizeGrade(Mass.ofMilligrams(fromMg), Mass.ofMilligrams(toMg)),
        fish,
        Mass.ofMilligrams(massMg),
        UnitPrice.ofPerKilogram(new ExactMoney(pricePerKg, Currency.getInstance(currency))),
        dish,
        surplus.doubleValue(),
        surplusHome,
        reason);
  }

  Long dishId() {
    return dishId;
  }
}
