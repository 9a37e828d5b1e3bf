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
@Table(name = "pot_mark")
class PotMarkEntity {

  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  @Column(name = "batch_id")
  private long batchId;

  private String step;

  private String what;

  @Column(name = "made_by")
  private long madeBy;

  @Column(name = "made_at")
  private Instant madeAt;

  protected PotMarkEntity() {}

  PotMarkEntity(long batchId, String step, String what, long madeBy, Instant madeAt) {
    this.batchId = batchId;
    this.step = step;
    this.what = what;
    this.madeBy = madeBy;
    this.madeAt = madeAt;
  }

  /** When it happened. */
  Instant at() {
    return madeAt;
  }

  long by() {
    return madeBy;
  }

  long id() {
    return id;
  }

  long batchId() {
    return batchId;
  }

  String step() {
    return step;
  }

  String what() {
    return what;
  }
}
