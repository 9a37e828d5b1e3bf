package mosaicknife.app.clock;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import org.hibernate.annotations.Immutable;

@Entity
@Immutable
@Table(name = "clock_worker")
class WorkerEntity {

  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  @Column(name = "person_id")
  private long personId;

  @Column(name = "venue_id")
  private Long venueId;

  private boolean knife;

  private boolean stove;

  @Column(name = "from_minute")
  private int fromMinute;

  @Column(name = "to_minute")
  private int toMinute;

  private String days;

  private boolean retired;

  @Column(name = "kept_by")
  private long keptBy;

  @Column(name = "kept_at")
  private Instant keptAt;

  protected WorkerEntity() {}

  WorkerEntity(
      long personId,
      Long venueId,
      boolean knife,
      boolean stove,
      int fromMinute,
      int toMinute,
      String days,
      boolean retired,
      long keptBy,
      Instant keptAt) {
    this.personId = personId;
    this.venueId = venueId;
    this.knife = knife;
    this.stove = stove;
    this.fromMinute = fromMinute;
    this.toMinute = toMinute;
    this.days = days;
    this.retired = retired;
    this.keptBy = keptBy;
    this.keptAt = keptAt;
  }

  long id() {
    return id;
  }

  long personId() {
    return personId;
  }

  Long venueId() {
    return venueId;
  }

  boolean isKnife() {
    return knife;
  }

  boolean isStove() {
    return stove;
  }

  int fromMinute() {
    return fromMinute;
  }

  int toMinute() {
    return toMinute;
  }

  String days() {
    return days;
  }

  boolean isRetired() {
    return retired;
  }

  long keptBy() {
    return keptBy;
  }

  Instant keptAt() {
    return keptAt;
  }
}
