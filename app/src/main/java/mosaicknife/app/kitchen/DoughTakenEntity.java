package mosaicknife.app.kitchen;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.Immutable;

@Entity
@Immutable
@Table(name = "dough_taken")
class DoughTakenEntity {

  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  @Column(name = "client_id")
  private UUID clientId;

  @Column(name = "dough_id")
  private long doughId;

  private int packs;

  @Column(name = "made_by")
  private long madeBy;

  @Column(name = "made_at")
  private Instant madeAt;

  protected DoughTakenEntity() {}

  DoughTakenEntity(UUID clientId, long doughId, int packs, long madeBy, Instant madeAt) {
    this.clientId = clientId;
    this.doughId = doughId;
    this.packs = packs;
    this.madeBy = madeBy;
    this.madeAt = madeAt;
  }

  long doughId() {
    return doughId;
  }

  int packs() {
    return packs;
  }
}
