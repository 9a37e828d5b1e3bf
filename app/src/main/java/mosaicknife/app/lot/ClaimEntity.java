package mosaicknife.app.lot;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
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
class ClaimEntity extends LotFact {

  private static final int AMOUNT_DIGITS = 4;

  @Enumerated(EnumType.STRING)
  private Claim.Kind kind;

  @Column(name = "mass_mg")
  private Mass mass;

  private BigDecimal amount;
  private String currency;
  private String reason;

  @Enumerated(EnumType.STRING)
  private Claim.Status status = Claim.Status.ASKED;

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
    super(clientId, lotId, by, at);
    this.kind = kind;
    this.mass = mass.orElse(null);
    this.amount = amount.amount().setScale(AMOUNT_DIGITS, RoundingMode.HALF_UP);
    this.currency = amount.currency().getCurrencyCode();
    this.reason = reason;
  }

  int version() {
    return version;
  }

  boolean isGivenUp() {
    return status == Claim.Status.DROPPED;
  }

  void settle(Claim.Status newStatus, ExactMoney credited) {
    status = newStatus;
    amount = credited.amount().setScale(AMOUNT_DIGITS, RoundingMode.HALF_UP);
  }

  Claim toClaim(Map<Long, String> names) {
    return new Claim(
        id(),
        kind,
        Optional.ofNullable(mass),
        new ExactMoney(amount, Currency.getInstance(currency)),
        reason,
        status,
        names.get(madeBy()),
        madeAt(),
        version);
  }
}
