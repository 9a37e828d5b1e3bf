package mosaicknife.app.bench;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Transient;
import java.time.Instant;
import org.springframework.data.domain.Persistable;

/** When work on a lot began. */
@Entity
@Table(name = "bench_opening")
class OpeningEntity implements Persistable<Long> {

  @Id
  @Column(name = "lot_id")
  private Long lotId;

  @Column(name = "opened_by")
  private long openedBy;

  @Column(name = "opened_at")
  private Instant openedAt;

  @Transient private boolean fresh;

  protected OpeningEntity() {}

  OpeningEntity(long lotId, long person, Instant at) {
    this.lotId = lotId;
    this.openedBy = person;
    this.openedAt = at;
    this.fresh = true;
  }

  Instant openedAt() {
    return openedAt;
  }

  @Override
  public Long getId() {
    return lotId;
  }

  @Override
  public boolean isNew() {
    return fresh;
  }
}
