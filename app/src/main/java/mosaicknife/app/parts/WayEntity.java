package mosaicknife.app.parts;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;

@Entity
@Table(name = "house_way")
class WayEntity {

  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  private String species;

  @Column(name = "from_mg")
  private long fromMg;

  @Column(name = "to_mg")
  private long toMg;

  private String name;
  private String document;

  @Column(name = "saved_by")
  private long savedBy;

  @Column(name = "saved_at")
  private Instant savedAt;

  protected WayEntity() {}

  WayEntity(String species, long fromMg, long toMg, String name, String document) {
    this.species = species;
    this.fromMg = fromMg;
    this.toMg = toMg;
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

  long fromMg() {
    return fromMg;
  }

  long toMg() {
    return toMg;
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
