package mosaicknife.app.parts;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import mosaicknife.core.quantity.Mass;

@Entity
@Table(name = "house_way")
class WayEntity {

  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  private String species;

  @Column(name = "from_mg")
  private Mass from;

  @Column(name = "to_mg")
  private Mass to;

  private String name;
  private String document;

  @Column(name = "saved_by")
  private long savedBy;

  @Column(name = "saved_at")
  private Instant savedAt;

  protected WayEntity() {}

  WayEntity(String species, Mass from, Mass to, String name, String document) {
    this.species = species;
    this.from = from;
    this.to = to;
    this.name = name;
    this.document = document;
  }

  WayEntity savedBy(long person, Instant at) {
    savedBy = person;
    savedAt = at;
    return this;
  }

  long id() {
    return id;
  }

  String species() {
    return species;
  }

  Mass from() {
    return from;
  }

  Mass to() {
    return to;
  }

  String name() {
    return name;
  }

  String document() {
    return document;
  }

  long savedBy() {
    return savedBy;
  }

  Instant savedAt() {
    return savedAt;
  }
}
