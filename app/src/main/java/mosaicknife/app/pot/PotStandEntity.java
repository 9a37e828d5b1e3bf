package mosaicknife.app.pot;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import org.hibernate.annotations.Immutable;

@Entity
@Immutable
@Table(name = "pot_stand")
class PotStandEntity {

  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  @Column(name = "batch_id")
  private long batchId;

  private String stands;

  private boolean probe;

  @Column(name = "made_by")
  private long madeBy;

  @Column(name = "made_at")
  private Instant madeAt;

  protected PotStandEntity() {}

  PotStandEntity(long batchId, String stands, boolean probe, long madeBy, Instant madeAt) {
    this.batchId = batchId;
    this.stands = stands;
    this.probe = probe;
    this.madeBy = madeBy;
    this.madeAt = madeAt;
  }

  long id() {
    return id;
  }

  Instant at() {
    return madeAt;
  }

  long by() {
    return madeBy;
  }

  long batchId() {
    return batchId;
  }

  String stands() {
    return stands;
  }

  boolean isProbe() {
    return probe;
  }
}
