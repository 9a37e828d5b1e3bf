package mosaicknife.app.pot;

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
@Table(name = "house_method")
class HouseMethodEntity {

  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  private String code;

  private String body;

  private boolean retired;

  @Column(name = "kept_by")
  private long keptBy;

  @Column(name = "kept_at")
  private Instant keptAt;

  protected HouseMethodEntity() {}

  HouseMethodEntity(String code, String body, boolean retired, long keptBy, Instant keptAt) {
    this.code = code;
    this.body = body;
    this.retired = retired;
    this.keptBy = keptBy;
    this.keptAt = keptAt;
  }

  long id() {
    return id;
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
