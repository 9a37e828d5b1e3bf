package mosaicknife.app.lot;

import jakarta.persistence.Basic;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.FetchType;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;

@Entity
@Table(name = "evidence")
class EvidenceEntity extends LotFact {

  @Enumerated(EnumType.STRING)
  @Column(name = "kind")
  private Evidence.Kind kind;

  private String name;

  /** Read without the bytes, by the heads of the repository. */
  @SuppressWarnings("UnusedVariable")
  private String shows;

  @Column(name = "media_type")
  private String mediaType;

  @Basic(fetch = FetchType.LAZY)
  private byte[] content;

  private byte[] thumbnail;

  protected EvidenceEntity() {}

  EvidenceEntity(
      UUID clientId,
      long lotId,
      Evidence.Kind kind,
      String shows,
      String name,
      EvidenceReader.Checked checked,
      long by,
      Instant at) {
    super(clientId, lotId, by, at);
    this.kind = kind;
    this.shows = shows;
    this.name = name;
    this.mediaType = checked.mediaType();
    this.content = checked.content();
    this.thumbnail = checked.thumbnail();
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
