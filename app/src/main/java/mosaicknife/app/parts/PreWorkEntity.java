package mosaicknife.app.parts;

import jakarta.persistence.Column;
import jakarta.persistence.Embeddable;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import java.io.Serializable;
import java.time.Instant;
import mosaicknife.core.plan.PreWork;

@Entity
@Table(name = "pre_work")
class PreWorkEntity {

  /** One thing to do before the first cut of a lot. */
  @Embeddable
  record Key(
      @Column(name = "lot_id") long lotId,
      @Enumerated(EnumType.STRING) PreWork.Place place,
      @Enumerated(EnumType.STRING) PreWork.Task task)
      implements Serializable {}

  @EmbeddedId private Key key;

  @Column(name = "done_by", updatable = false)
  private long doneBy;

  @Column(name = "done_at", updatable = false)
  private Instant doneAt;

  protected PreWorkEntity() {}

  PreWorkEntity(Key key, long doneBy, Instant doneAt) {
    this.key = key;
    this.doneBy = doneBy;
    this.doneAt = doneAt;
  }

  PreWork.Place place() {
    return key.place();
  }

  long lotId() {
    return key.lotId();
  }

  PreWork.Task task() {
    return key.task();
  }

  long doneBy() {
    return doneBy;
  }

  Instant doneAt() {
    return doneAt;
  }
}
