package mosaicknife.app.kitchen;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.math.BigDecimal;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.Immutable;

@Entity
@Immutable
@Table(name = "soak")
class SoakEntity {

  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  @Column(name = "client_id")
  private UUID clientId;

  private String marinade;

  @Column(name = "lot_id")
  private long lotId;

  private String what;
  private BigDecimal millimetres;
  private boolean measured;

  @Column(name = "mass_mg")
  private long massMilligrams;

  private String vessel;

  @Column(name = "begun_by")
  private long begunBy;

  @Column(name = "begun_at")
  private Instant begunAt;

  protected SoakEntity() {}

  SoakEntity(UUID clientId, Soaks.Put put, String marinade, long by, Instant at) {
    this.clientId = clientId;
    this.marinade = marinade;
    this.lotId = put.lot();
    this.what = put.what();
    this.millimetres = put.millimetres();
    this.measured = put.measured();
    this.massMilligrams = put.mass().milligrams();
    this.vessel = put.vessel().name();
    this.begunBy = by;
    this.begunAt = at;
  }

  long id() {
    return id;
  }

  String marinade() {
    return marinade;
  }

  long lotId() {
    return lotId;
  }

  String what() {
    return what;
  }

  BigDecimal millimetres() {
    return millimetres;
  }

  boolean isMeasured() {
    return measured;
  }

  long massMilligrams() {
    return massMilligrams;
  }

  String vessel() {
    return vessel;
  }

  Instant begunAt() {
    return begunAt;
  }
}
