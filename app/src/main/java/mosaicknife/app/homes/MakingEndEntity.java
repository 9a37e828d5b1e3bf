package mosaicknife.app.homes;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import org.hibernate.annotations.Immutable;
import org.springframework.data.domain.Persistable;

@Entity
@Immutable
@Table(name = "making_end")
class MakingEndEntity implements Persistable<Long> {

  @Id
  @Column(name = "making_id")
  private Long makingId;

  @Column(name = "item_id")
  private Long itemId;

  private String reason;

  @Column(name = "ended_by")
  private long endedBy;

  @Column(name = "ended_at")
  private Instant endedAt;

  protected MakingEndEntity() {}

  MakingEndEntity(long makingId, Long itemId, String reason, long by, Instant at) {
    this.makingId = makingId;
    this.itemId = itemId;
    this.reason = reason;
    this.endedBy = by;
    this.endedAt = at;
  }

  String reason() {
    return reason;
  }

  @Override
  public Long getId() {
    return makingId;
  }

  /** A making ends once; a second end is refused by the database. */
  @Override
  public boolean isNew() {
    return true;
  }
}
