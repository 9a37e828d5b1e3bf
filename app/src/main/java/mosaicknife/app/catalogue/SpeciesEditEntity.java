package mosaicknife.app.catalogue;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;

@Entity
@Table(name = "species_edit")
class SpeciesEditEntity {

  enum Kind {
    CHANGED("changed"),
    SHIPPED("put back to the shipped fish"),
    REMOVED("taken out");

    private final String words;

    Kind(String words) {
      this.words = words;
    }

    String words() {
      return words;
    }
  }

  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  @Column(updatable = false)
  private String code;

  @Enumerated(EnumType.STRING)
  @Column(updatable = false)
  private Kind kind;

  @Column(updatable = false)
  private String document;

  @Column(updatable = false)
  private String reason;

  @Column(name = "edited_by", updatable = false)
  private long editedBy;

  @Column(name = "edited_at", updatable = false)
  private Instant editedAt;

  protected SpeciesEditEntity() {}

  SpeciesEditEntity(
      String code, Kind kind, String document, String reason, long editedBy, Instant editedAt) {
    this.code = code;
    this.kind = kind;
    this.document = document;
    this.reason = reason;
    this.editedBy = editedBy;
    this.editedAt = editedAt;
  }

  Long id() {
    return id;
  }

  String code() {
    return code;
  }

  Kind kind() {
    return kind;
  }

  String document() {
    return document;
  }

  String reason() {
    return reason;
  }

  long editedBy() {
    return editedBy;
  }

  Instant editedAt() {
    return editedAt;
  }
}
