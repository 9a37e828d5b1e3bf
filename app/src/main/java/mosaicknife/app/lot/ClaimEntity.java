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
import java.util.Currency;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Mass;

@Entity
@Table(name = "claim")
class ClaimEntity {

  private static final int AMOUNT_DIGITS = 4;

  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  @Column(name = "client_id", updatable = false)
  private UUID clientId;

  @Column(name = "lot_id", updatable = false)
  private long lotId;

  @Enumerated(EnumType.STRING)
  private Claim.Kind kind;

  @Column(name = "mass_mg")
  private Long massMg;

  private BigDecimal amount;
  private String currency;
  private String reason;

  @Enumerated(EnumType.STRING)
  private Claim.Status status = Claim.Status.ASKED;

  @Column(name = "made_by", updatable = false)
  private long madeBy;

  @Column(name = "made_at", updatable = false)
  private Instant madeAt;

  @Version private int version;

  protected ClaimEntity() {}

  ClaimEntity(
      UUID clientId,
      long lotId,
      Claim.Kind kind,
      Optional<Mass> mass,
      ExactMoney amount,
      String reason,
      long by,
      Instant at) {
    this.clientId = clientId;
    this.lotId = lotId;
    this.kind = kind;
    this.massMg = mass.map(Mass::milligrams).orElse(null);
    this.amount = amount.amount().setScale(AMOUNT_DIGITS, RoundingMode.HALF_UP);
    this.currency = amount.currency().getCurrencyCode();
    this.reason = reason;
    this.madeBy = by;
    this.madeAt = at;
  }

  Long id() {
    return id;
  }

  UUID clientId() {
    return clientId;
  }

  long lotId() {
    return lotId;
  }

  int version() {
    return version;
  }

  void settle(Claim.Status newStatus, ExactMoney credited) {
    status = newStatus;
    amount = credited.amount().setScale(AMOUNT_DIGITS, RoundingMode.HALF_UP);
  }

  Claim toClaim(Map<Long, String> names) {
    return new Claim(
        id,
        kind,
        Optional.ofNullable(massMg).map(Mass::ofMilligrams),
        new ExactMoney(amount, Currency.getInstance(currency)),
        reason,
        status,
        names.get(madeBy),
        madeAt,
        version);
  }
}
