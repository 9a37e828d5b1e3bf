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
@Table(name = "clock_pin")
class ClockPinEntity {

  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  private String task;

  @Column(name = "starts_at")
  private Instant startsAt;

  @Column(name = "made_by")
  private long madeBy;

  @Column(name = "made_at")
  private Instant madeAt;

  protected ClockPinEntity() {}

  ClockPinEntity(String task, Instant startsAt, long madeBy, Instant madeAt) {
    this.task = task;
    this.startsAt = startsAt;
    this.madeBy = madeBy;
    this.madeAt = madeAt;
  }

  long id() {
    return id;
  }

  String task() {
    return task;
  }

  Instant startsAt() {
    return startsAt;
  }

  long madeBy() {
    return madeBy;
  }

  Instant madeAt() {
    return madeAt;
  }
}
