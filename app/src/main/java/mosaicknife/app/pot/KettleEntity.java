package mosaicknife.app.pot;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.math.BigDecimal;
import java.time.Instant;
import org.hibernate.annotations.Immutable;

@Entity
@Immutable
@Table(name = "kettle")
class KettleEntity {

  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  @Column(name = "venue_id")
  private long venueId;

  private String name;

  private BigDecimal litres;

  private int centimetres;

  private int watts;

  private boolean retired;

  @Column(name = "kept_by")
  private long keptBy;

  @Column(name = "kept_at")
  private Instant keptAt;

  protected KettleEntity() {}

  KettleEntity(
      long venueId,
      String name,
      BigDecimal litres,
      int centimetres,
      int watts,
      boolean retired,
      long keptBy,
      Instant keptAt) {
    this.venueId = venueId;
    this.name = name;
    this.litres = litres;
    this.centimetres = centimetres;
    this.watts = watts;
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

  BigDecimal litres() {
    return litres;
  }

  int centimetres() {
    return centimetres;
  }

  int watts() {
    return watts;
  }

  boolean isRetired() {
    return retired;
  }
}
