package mosaicknife.app.buy;

import jakarta.persistence.Column;
import jakarta.persistence.Embedded;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.JoinColumn;
import jakarta.persistence.ManyToOne;
import jakarta.persistence.Table;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.UUID;
import mosaicknife.core.anatomy.Species;
import mosaicknife.core.buying.Candidate;
import mosaicknife.core.buying.Offer;
import mosaicknife.core.quantity.Mass;

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

  @Embedded private Ware ware;

  private int fish;

  @Column(name = "mass_mg")
  private Mass mass;

  @Column(name = "dish_id")
  private Long dishId;

  private BigDecimal surplus;

  @Column(name = "surplus_home")
  private String surplusHome;

  private String reason;

  protected OrderLineEntity() {}

  OrderLineEntity(
      UUID clientId, Candidate candidate, Long dishId, String surplusHome, String reason) {
    Offer wanted = candidate.offer();
    this.clientId = clientId;
    this.ware =
        Ware.of(wanted.species(), wanted.form(), wanted.state(), wanted.grade(), wanted.price());
    this.fish = candidate.fish();
    this.mass = candidate.mass();
    this.dishId = dishId;
    this.surplus = BigDecimal.valueOf(candidate.surplus()).setScale(1, RoundingMode.HALF_UP);
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
    return ware.species();
  }

  void belongTo(OrderEntity owner) {
    order = owner;
  }

  OrderEntity order() {
    return order;
  }

  Long dishId() {
    return dishId;
  }

  OrderLine toLine(Species known, String dish) {
    return new OrderLine(
        id,
        known,
        ware.form(),
        ware.state(),
        ware.grade(),
        fish,
        mass,
        ware.price(),
        dish,
        surplus.doubleValue(),
        surplusHome,
        reason);
  }
}
