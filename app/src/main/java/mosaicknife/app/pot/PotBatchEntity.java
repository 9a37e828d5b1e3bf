package mosaicknife.app.pot;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.math.BigDecimal;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.Immutable;

@Entity
@Immutable
@Table(name = "pot_batch")
class PotBatchEntity {

  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  @Column(name = "client_id")
  private UUID clientId;

  @Column(name = "making_id")
  private long makingId;

  @Column(name = "kettle_id")
  private long kettleId;

  @Column(name = "method_body")
  private String methodBody;

  private String answers;

  private BigDecimal litres;

  @Column(name = "wanted_at")
  private Instant wantedAt;

  @Column(name = "started_by")
  private long startedBy;

  @Column(name = "started_at")
  private Instant startedAt;

  protected PotBatchEntity() {}

  PotBatchEntity(
      UUID clientId,
      long makingId,
      long kettleId,
      String methodBody,
      String answers,
      BigDecimal litres,
      Instant wantedAt,
      long startedBy,
      Instant startedAt) {
    this.clientId = clientId;
    this.makingId = makingId;
    this.kettleId = kettleId;
    this.methodBody = methodBody;
    this.answers = answers;
    this.litres = litres;
    this.wantedAt = wantedAt;
    this.startedBy = startedBy;
    this.startedAt = startedAt;
  }

  long id() {
    return id;
  }

  long makingId() {
    return makingId;
  }

  long kettleId() {
    return kettleId;
  }

  String methodBody() {
    return methodBody;
  }

  String answers() {
    return answers;
  }

  BigDecimal litres() {
    return litres;
  }

  Instant wantedAt() {
    return wantedAt;
  }

  Instant startedAt() {
    return startedAt;
  }
}
