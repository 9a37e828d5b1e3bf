package mosaicknife.app.kitchen;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.time.LocalDate;
import java.util.UUID;
import mosaicknife.core.pot.Thickener;
import org.hibernate.annotations.Immutable;

@Entity
@Immutable
@Table(name = "dough_pack")
class DoughEntity {

  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  @Column(name = "client_id")
  private UUID clientId;

  @Column(name = "venue_id")
  private long venueId;

  @Enumerated(EnumType.STRING)
  private Thickener thickener;

  private int packs;

  @Column(name = "pack_mg")
  private long packMilligrams;

  private boolean frozen;

  private String place;

  @Column(name = "use_by")
  private LocalDate useBy;

  @Column(name = "made_by")
  private long madeBy;

  @Column(name = "made_at")
  private Instant madeAt;

  protected DoughEntity() {}

  DoughEntity(UUID clientId, Doughs.Put put, LocalDate useBy, long madeBy, Instant madeAt) {
    this.clientId = clientId;
    this.venueId = put.venue();
    this.thickener = put.thickener();
    this.packs = put.packs();
    this.packMilligrams = put.pack().milligrams();
    this.frozen = put.frozen();
    this.place = put.place();
    this.useBy = useBy;
    this.madeBy = madeBy;
    this.madeAt = madeAt;
  }

  long id() {
    return id;
  }

  long venueId() {
    return venueId;
  }

  Thickener thickener() {
    return thickener;
  }

  int packs() {
    return packs;
  }

  long packMilligrams() {
    return packMilligrams;
  }

  boolean isFrozen() {
    return frozen;
  }

  String place() {
    return place;
  }

  LocalDate useBy() {
    return useBy;
  }
}
