package mosaicknife.app.pot;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.math.BigDecimal;
import java.time.Instant;
import org.hibernate.annotations.Immutable;

@Entity
@Immutable
@Table(name = "pot_price")
class PotPriceEntity {

  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  private BigDecimal kilowatt;

  private BigDecimal bought;

  @Column(name = "kept_by")
  private long keptBy;

  @Column(name = "kept_at")
  private Instant keptAt;

  protected PotPriceEntity() {}

  PotPriceEntity(BigDecimal kilowatt, BigDecimal bought, long keptBy, Instant keptAt) {
    this.kilowatt = kilowatt;
    this.bought = bought;
    this.keptBy = keptBy;
    this.keptAt = keptAt;
  }

  BigDecimal kilowatt() {
    return kilowatt;
  }

  BigDecimal bought() {
    return bought;
  }
}
