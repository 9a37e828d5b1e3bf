package mosaicknife.app.homes;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import org.hibernate.annotations.Immutable;

/** A part that went on its way to where something is made of it, under a label. */
@Entity
@Immutable
@Table(name = "making_way")
class MakingWayEntity {

  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  @Column(name = "making_id")
  private long makingId;

  @Column(name = "lot_id")
  private long lotId;

  private String slot;

  @Column(name = "item_id")
  private long itemId;

  @Column(name = "sent_by")
  private long sentBy;

  @Column(name = "sent_at")
  private Instant sentAt;

  protected MakingWayEntity() {}

  MakingWayEntity(long makingId, long lotId, String slot, long itemId, long by, Instant at) {
    this.makingId = makingId;
    this.lotId = lotId;
    this.slot = slot;
    this.itemId = itemId;
    this.sentBy = by;
    this.sentAt = at;
  }

  /** Whether it is the way of that source. */
  boolean isOf(MakingSourceEntity source) {
    return makingId == source.makingId()
        && lotId == source.lotId()
        && slot.equals(source.slot())
        && source.itemId() == null;
  }

  long itemId() {
    return itemId;
  }
}
