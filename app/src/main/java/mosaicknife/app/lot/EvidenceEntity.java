package mosaicknife.app.lot;

import jakarta.persistence.Basic;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.FetchType;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;

@Entity
@Table(name = "evidence")
class EvidenceEntity {

  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  @Column(name = "client_id", updatable = false)
  private UUID clientId;

  @Column(name = "lot_id", updatable = false)
  private long lotId;

  @Enumerated(EnumType.STRING)
  @Column(name = "kind")
  private Evidence.Kind kind;

  private String name;

  @Column(name = "media_type")
  private String mediaType;

  @Basic(fetch = FetchType.LAZY)
  private byte[] content;

  private byte[] thumbnail;

  @Column(name = "added_by")
  private long addedBy;

  @Column(name = "added_at")
  private Instant addedAt;

  protected EvidenceEntity() {}

  EvidenceEntity(
      UUID clientId,
      long lotId,
      Evidence.Kind kind,
      String name,
      EvidenceReader.Checked checked,
      long by,
      Instant at) {
    this.clientId = clientId;
    this.lotId = lotId;
    this.kind = kind;
    this.name = name;
    this.mediaType = checked.mediaType();
    this.content = checked.content();
    this.thumbnail = checked.thumbnail();
    this.addedBy = by;
    this.addedAt = at;
  }

  Long id() {
    return id;
  }

  UUID clientId() {
    return clientId;
  }

  long lotId() {
    return lotId;
  }

  Evidence.Kind kind() {
    return kind;
  }

  String mediaType() {
    return mediaType;
  }

  byte[] content() {
    return content;
  }

  byte[] thumbnail() {
    return thumbnail;
  }

  String name() {
    return name;
  }
}
