package mosaicknife.app.pot;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.math.BigDecimal;
import java.time.Instant;
import java.util.Optional;
import org.hibernate.annotations.Immutable;

@Entity
@Immutable
@Table(name = "kettle")
class KettleEntity {

  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  /** The first row of the same kettle; empty in that row itself. */
  @Column(name = "first_id")
  private Long firstId;

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
      Optional<Long> number,
      long venueId,
      String name,
      BigDecimal litres,
      int centimetres,
      int watts,
      boolean retired,
      long keptBy,
      Instant keptAt) {
    this.firstId = number.orElse(null);
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

  /** The number of the kettle, whatever was changed of it since. */
  long number() {
    return firstId == null ? id : firstId;
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
