package mosaicknife.app.pot;

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
@Table(name = "pot_reading")
class PotReadingEntity {

  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  @Column(name = "client_id")
  private UUID clientId;

  @Column(name = "batch_id")
  private long batchId;

  private int tenths;

  @Column(name = "read_at")
  private Instant readAt;

  @Column(name = "by_probe")
  private boolean byProbe;

  private Long strikes;

  private String instrument;

  @Column(name = "made_by")
  private long madeBy;

  @Column(name = "made_at")
  private Instant madeAt;

  protected PotReadingEntity() {}

  PotReadingEntity(
      UUID clientId,
      long batchId,
      int tenths,
      Instant readAt,
      boolean byProbe,
      String instrument,
      Long strikes,
      long madeBy,
      Instant madeAt) {
    this.clientId = clientId;
    this.batchId = batchId;
    this.tenths = tenths;
    this.readAt = readAt;
    this.byProbe = byProbe;
    this.instrument = instrument;
    this.strikes = strikes;
    this.madeBy = madeBy;
    this.madeAt = madeAt;
  }

  long id() {
    return id;
  }

  long batchId() {
    return batchId;
  }

  int tenths() {
    return tenths;
  }

  Instant readAt() {
    return readAt;
  }

  boolean isByProbe() {
    return byProbe;
  }

  String instrument() {
    return instrument;
  }

  long by() {
    return madeBy;
  }

  /** The number of a reading that was wrong; null for a reading of its own. */
  Long strikes() {
    return strikes;
  }
}
