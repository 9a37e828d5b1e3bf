package mosaicknife.app.pot;

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
@Table(name = "pot_scrap")
class ScrapEntity {

  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  @Column(name = "client_id")
  private UUID clientId;

  @Column(name = "venue_id")
  private long venueId;

  private String name;

  @Column(name = "mass_mg")
  private long massMilligrams;

  private String allergens;

  @Column(name = "made_by")
  private long madeBy;

  @Column(name = "made_at")
  private Instant madeAt;

  protected ScrapEntity() {}

  ScrapEntity(
      UUID clientId,
      long venueId,
      String name,
      long massMilligrams,
      String allergens,
      long madeBy,
      Instant madeAt) {
    this.clientId = clientId;
    this.venueId = venueId;
    this.name = name;
    this.massMilligrams = massMilligrams;
    this.allergens = allergens;
    this.madeBy = madeBy;
    this.madeAt = madeAt;
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

  long massMilligrams() {
    return massMilligrams;
  }

  String allergens() {
    return allergens;
  }
}
