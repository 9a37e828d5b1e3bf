package mosaicknife.app.lot;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;

/** That a lot was taken out of another, by whom and when. */
@Entity
@Table(name = "lot_division")
class DivisionEntity {

  @Id
  @Column(name = "lot_id")
  private Long lotId;

  @Column(name = "from_lot_id", updatable = false)
  private long fromLotId;

  @Column(name = "divided_by", updatable = false)
  private long dividedBy;

  @Column(name = "divided_at", updatable = false)
  private Instant dividedAt;

  protected DivisionEntity() {}

  DivisionEntity(long lotId, long fromLotId, long by, Instant at) {
    this.lotId = lotId;
    this.fromLotId = fromLotId;
    this.dividedBy = by;
    this.dividedAt = at;
  }

  long lotId() {
    return lotId;
  }

  long fromLotId() {
    return fromLotId;
  }

  Instant dividedAt() {
    return dividedAt;
  }
}
