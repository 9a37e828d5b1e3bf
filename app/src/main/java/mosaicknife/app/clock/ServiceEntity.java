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
@Table(name = "clock_service")
class ServiceEntity {

  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  @Column(name = "venue_id")
  private long venueId;

  private String name;

  @Column(name = "at_minute")
  private int atMinute;

  private String days;

  private boolean retired;

  @Column(name = "kept_by")
  private long keptBy;

  @Column(name = "kept_at")
  private Instant keptAt;

  protected ServiceEntity() {}

  ServiceEntity(
      long venueId,
      String name,
      int atMinute,
      String days,
      boolean retired,
      long keptBy,
      Instant keptAt) {
    this.venueId = venueId;
    this.name = name;
    this.atMinute = atMinute;
    this.days = days;
    this.retired = retired;
    this.keptBy = keptBy;
    this.keptAt = keptAt;
  }

  long id() {
    return id;
  }

  long venueId() {
    return venueId;
  }

  String name() {
    return name;
  }

  int atMinute() {
    return atMinute;
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
