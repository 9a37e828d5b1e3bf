package mosaicknife.app.kitchen;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import org.hibernate.annotations.Immutable;

/** It came out. */
@Entity
@Immutable
@Table(name = "soak_end")
class SoakEndEntity {

  @Id
  @Column(name = "soak_id")
  private long soakId;

  @Column(name = "ended_by")
  private long endedBy;

  @Column(name = "ended_at")
  private Instant endedAt;

  protected SoakEndEntity() {}

  SoakEndEntity(long soakId, long by, Instant at) {
    this.soakId = soakId;
    this.endedBy = by;
    this.endedAt = at;
  }
}
