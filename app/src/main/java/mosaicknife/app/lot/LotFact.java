package mosaicknife.app.lot;

import jakarta.persistence.Column;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.MappedSuperclass;
import java.time.Instant;
import java.util.UUID;

/** Something that was found or done about a lot, by somebody, at a moment; sent twice it is one. */
@MappedSuperclass
abstract class LotFact {

  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  @Column(name = "client_id", updatable = false)
  private UUID clientId;

  @Column(name = "lot_id", updatable = false)
  private long lotId;

  @Column(name = "made_by", updatable = false)
  private long madeBy;

  @Column(name = "made_at", updatable = false)
  private Instant madeAt;

  protected LotFact() {}

  LotFact(UUID clientId, long lotId, long by, Instant at) {
    this.clientId = clientId;
    this.lotId = lotId;
    this.madeBy = by;
    this.madeAt = at;
  }

  Long id() {
    return id;
  }

  UUID clientId() {
    return clientId;
  }

  long lotId() {
    return lotId;
  }

  long madeBy() {
    return madeBy;
  }

  Instant madeAt() {
    return madeAt;
  }
}
