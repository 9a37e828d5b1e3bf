package mosaicknife.app.bench;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;

@Entity
@Table(name = "bench_note")
class NoteEntity {

  @Id private UUID id;

  @Column(name = "lot_id")
  private long lotId;

  @Column(name = "part_id")
  private Long partId;

  private String note;

  @Column(name = "written_by")
  private long writtenBy;

  @Column(name = "written_at")
  private Instant writtenAt;

  protected NoteEntity() {}

  NoteEntity(UUID id, long lotId, Long partId, String note) {
    this.id = id;
    this.lotId = lotId;
    this.partId = partId;
    this.note = note;
  }

  NoteEntity writtenBy(long person, Instant at) {
    writtenBy = person;
    writtenAt = at;
    return this;
  }

  Long partId() {
    return partId;
  }

  long writtenBy() {
    return writtenBy;
  }

  Note toNote(String part, String by) {
    return new Note(part, note, by, writtenAt);
  }
}
