package mosaicknife.app.weighing;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.PostLoad;
import jakarta.persistence.PostPersist;
import jakarta.persistence.Table;
import jakarta.persistence.Transient;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import mosaicknife.app.house.HouseTray;
import mosaicknife.core.lot.Source;
import mosaicknife.core.lot.Weigher;
import mosaicknife.core.lot.Weighing;
import mosaicknife.core.lot.Weighing.Kind;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.scale.ScaleReading;
import mosaicknife.core.scale.ScaleReading.Motion;
import org.hibernate.annotations.Immutable;
import org.springframework.data.domain.Persistable;

/** A fact: inserted once, never changed. The database refuses anything else. */
@Entity
@Immutable
@Table(name = "weighing")
class WeighingEntity implements Persistable<UUID> {

  @Id private UUID id;

  @Column(name = "part_id")
  private long partId;

  @Column(name = "fish_no")
  private int fishNo;

  @Enumerated(EnumType.STRING)
  private Kind kind;

  @Column(name = "mass_mg")
  private Mass mass;

  @Enumerated(EnumType.STRING)
  private Source source;

  @Column(name = "gross_mg")
  private Mass gross;

  @Column(name = "tare_mg")
  private Mass tare;

  @Column(name = "readability_mg")
  private Mass readability;

  private String typed;

  @Column(name = "piece_no")
  private int pieceNo;

  @Column(name = "tray_id")
  private Long trayId;

  private UUID supersedes;
  private String reason = "";

  @Column(name = "taken_by")
  private long takenBy;

  @Column(name = "taken_at")
  private Instant takenAt;

  @Transient private boolean fresh = true;

  protected WeighingEntity() {}

  /** Who weighed and when. */
  record Stamp(long person, Instant at) {}

  /** Where a weighing belongs: a part, a fish, and the piece of a part weighed in a row. */
  record Place(long part, int fish, int piece) {}

  static WeighingEntity taken(UUID id, Place place, Entry entry, Stamp stamp) {
    WeighingEntity weighing = new WeighingEntity();
    weighing.id = id;
    weighing.partId = place.part();
    weighing.fishNo = place.fish();
    weighing.pieceNo = place.piece();
    weighing.trayId = entry.tray().map(HouseTray::id).orElse(null);
    weighing.kind = Kind.TAKEN;
    weighing.mass = entry.mass();
    weighing.source = entry.source();
    entry
        .reading()
        .ifPresent(
            reading -> {
              weighing.gross = reading.gross();
              weighing.tare = reading.tare();
              weighing.readability = reading.readability();
            });
    weighing.typed = entry.typed().orElse(null);
    weighing.takenBy = stamp.person();
    weighing.takenAt = stamp.at();
    return weighing;
  }

  /** The same weighing as the next link after another. */
  WeighingEntity after(WeighingEntity earlier, String why) {
    supersedes = earlier.id;
    if (!earlier.isTakenBack()) {
      kind = Kind.CORRECTED;
      reason = why;
    }
    return this;
  }

  /** The same reading on another part: it was booked on the wrong row. */
  WeighingEntity movedTo(UUID newId, Place place, long person) {
    WeighingEntity moved = new WeighingEntity();
    moved.id = newId;
    moved.partId = place.part();
    moved.fishNo = place.fish();
    moved.pieceNo = place.piece();
    moved.trayId = trayId;
    moved.kind = Kind.TAKEN;
    moved.mass = mass;
    moved.source = source;
    moved.gross = gross;
    moved.tare = tare;
    moved.readability = readability;
    moved.typed = typed;
    moved.takenBy = person;
    moved.takenAt = takenAt;
    return moved;
  }

  static WeighingEntity takingBack(UUID id, WeighingEntity last, Stamp stamp) {
    WeighingEntity back = new WeighingEntity();
    back.id = id;
    back.partId = last.partId;
    back.fishNo = last.fishNo;
    back.pieceNo = last.pieceNo;
    back.kind = Kind.TAKEN_BACK;
    back.source = last.source;
    back.supersedes = last.id;
    back.reason = "taken back at the bench";
    back.takenBy = stamp.person();
    back.takenAt = stamp.at();
    return back;
  }

  /** A correction taken back: the figure before it stands again, as a new fact. */
  static WeighingEntity restoring(
      UUID id, WeighingEntity corrected, WeighingEntity before, Stamp stamp) {
    return following(id, corrected, before, "correction taken back", stamp);
  }

  /** The same reading mended: another tare, half of it, the digits as they were meant. */
  static WeighingEntity mending(
      UUID id, WeighingEntity wrong, Mass right, String why, Stamp stamp) {
    WeighingEntity mended = following(id, wrong, wrong, why, stamp);
    mended.mass = right;
    return mended;
  }

  /** A correction that follows one link and repeats the reading of another, as a new fact. */
  private static WeighingEntity following(
      UUID id, WeighingEntity last, WeighingEntity reading, String why, Stamp stamp) {
    WeighingEntity next = new WeighingEntity();
    next.id = id;
    next.partId = reading.partId;
    next.fishNo = reading.fishNo;
    next.pieceNo = reading.pieceNo;
    next.trayId = reading.trayId;
    next.kind = Kind.CORRECTED;
    next.mass = reading.mass;
    next.source = reading.source;
    next.gross = reading.gross;
    next.tare = reading.tare;
    next.readability = reading.readability;
    next.typed = reading.typed;
    next.supersedes = last.id;
    next.reason = why;
    next.takenBy = stamp.person();
    next.takenAt = stamp.at();
    return next;
  }

  UUID id() {
    return id;
  }

  int pieceNo() {
    return pieceNo;
  }

  long partId() {
    return partId;
  }

  int fishNo() {
    return fishNo;
  }

  boolean isTakenBack() {
    return kind == Kind.TAKEN_BACK;
  }

  Optional<UUID> supersedes() {
    return Optional.ofNullable(supersedes);
  }

  long takenBy() {
    return takenBy;
  }

  Instant takenAt() {
    return takenAt;
  }

  /** The fact as the core knows it: of a part by its slot, by a person with a name. */
  Weighing toWeighing(String slot, String name) {
    return new Weighing(
        id,
        slot,
        fishNo,
        pieceNo,
        kind,
        mass(),
        source,
        reading(),
        Optional.ofNullable(typed),
        Optional.ofNullable(trayId),
        supersedes(),
        reason,
        new Weigher(takenBy, name),
        takenAt);
  }

  Optional<Mass> mass() {
    return Optional.ofNullable(mass);
  }

  private Optional<ScaleReading> reading() {
    return gross == null || tare == null || readability == null
        ? Optional.empty()
        : Optional.of(new ScaleReading(gross, tare, Motion.STEADY, readability));
  }

  @Override
  public UUID getId() {
    return id;
  }

  @Override
  public boolean isNew() {
    return fresh;
  }

  @PostLoad
  @PostPersist
  void isStored() {
    fresh = false;
  }
}
