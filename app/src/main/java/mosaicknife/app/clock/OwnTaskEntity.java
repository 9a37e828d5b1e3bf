package mosaicknife.app.clock;

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
@Table(name = "clock_task")
class OwnTaskEntity {

  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  @Column(name = "client_id")
  private UUID clientId;

  @Column(name = "venue_id")
  private long venueId;

  private String name;

  private int minutes;

  private String skill;

  @Column(name = "wanted_at")
  private Instant wantedAt;

  @Column(name = "made_by")
  private long madeBy;

  @Column(name = "made_at")
  private Instant madeAt;

  protected OwnTaskEntity() {}

  OwnTaskEntity(
      UUID clientId,
      long venueId,
      String name,
      int minutes,
      String skill,
      Instant wantedAt,
      long madeBy,
      Instant madeAt) {
    this.clientId = clientId;
    this.venueId = venueId;
    this.name = name;
    this.minutes = minutes;
    this.skill = skill;
    this.wantedAt = wantedAt;
    this.madeBy = madeBy;
    this.madeAt = madeAt;
  }

  long id() {
    return id;
  }

  UUID clientId() {
    return clientId;
  }

  long venueId() {
    return venueId;
  }

  String name() {
    return name;
  }

  int minutes() {
    return minutes;
  }

  String skill() {
    return skill;
  }

  Instant wantedAt() {
    return wantedAt;
  }

  long madeBy() {
    return madeBy;
  }

  Instant madeAt() {
    return madeAt;
  }
}
