package mosaicknife.app.homes;

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
@Table(name = "house_use")
class HouseUseEntity {

  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  private String code;

  /** The use as a line of the shipped file. */
  private String body;

  private boolean retired;

  @Column(name = "kept_by")
  private long keptBy;

  @Column(name = "kept_at")
  private Instant keptAt;

  protected HouseUseEntity() {}

  HouseUseEntity(String code, String body, boolean retired, long by, Instant at) {
    this.code = code;
    this.body = body;
    this.retired = retired;
    this.keptBy = by;
    this.keptAt = at;
  }

  String code() {
    return code;
  }

  String body() {
    return body;
  }

  boolean isRetired() {
    return retired;
  }
}
