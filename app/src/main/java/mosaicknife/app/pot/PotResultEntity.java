package mosaicknife.app.pot;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.math.BigDecimal;
import java.time.Instant;
import org.hibernate.annotations.Immutable;

@Entity
@Immutable
@Table(name = "pot_result")
class PotResultEntity {

  @Id
  @Column(name = "batch_id")
  private long batchId;

  private BigDecimal litres;

  @Column(name = "bones_mg")
  private long bonesMilligrams;

  private String jelly;

  private String look;

  private String taste;

  @Column(name = "made_by")
  private long madeBy;

  @Column(name = "made_at")
  private Instant madeAt;

  protected PotResultEntity() {}

  PotResultEntity(
      long batchId,
      BigDecimal litres,
      long bonesMilligrams,
      String jelly,
      String look,
      String taste,
      long madeBy,
      Instant madeAt) {
    this.batchId = batchId;
    this.litres = litres;
    this.bonesMilligrams = bonesMilligrams;
    this.jelly = jelly;
    this.look = look;
    this.taste = taste;
    this.madeBy = madeBy;
    this.madeAt = madeAt;
  }

  long batchId() {
    return batchId;
  }

  BigDecimal litres() {
    return litres;
  }

  long bonesMilligrams() {
    return bonesMilligrams;
  }

  String jelly() {
    return jelly;
  }

  String look() {
    return look;
  }

  String taste() {
    return taste;
  }
}
