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
@Table(name = "clock_mark")
class ClockMarkEntity {

  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  private String task;

  private String what;

  @Column(name = "made_by")
  private long madeBy;

  @Column(name = "made_at")
  private Instant madeAt;

  protected ClockMarkEntity() {}

  ClockMarkEntity(String task, String what, long madeBy, Instant madeAt) {
    this.task = task;
    this.what = what;
    this.madeBy = madeBy;
    this.madeAt = madeAt;
  }

  long id() {
    return id;
  }

  String task() {
    return task;
  }

  String what() {
    return what;
  }

  long madeBy() {
    return madeBy;
  }

  Instant madeAt() {
    return madeAt;
  }
}
