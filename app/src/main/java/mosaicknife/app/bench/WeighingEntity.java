package mosaicknife.app.bench;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.PostLoad;
import jakarta.persistence.PostPersist;
import jakarta.persistence.Table;
import jakarta.persistence.Transient;
import java.math.BigDecimal;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import mosaicknife.app.house.HouseTray;
import mosaicknife.core.quantity.Mass;
import org.hibernate.annotations.Immutable;
import org.springframework.data.domain.Persistable;

/** A fact: inserted once, never changed. The database refuses anything else. */
@Entity
@Immutable
@Table(name = "weighing")
class WeighingEntity implements Persistable<UUID> {

  /** What a link of the chain does. */
  enum Kind {
    TAKEN,
    CORRECTED,
    TAKEN_BACK
  }

  @Id private UUID id;

  @Column(name = "part_id")
  private long partId;

  @Column(name = "fish_no")
  private int fishNo;

  @Enumerated(EnumType.STRING)
  private Kind kind;

  @Column(name = "mass_mg")
  private Long massMg;

  @Enumerated(EnumType.STRING)
  private Source source;

  @Column(name = "gross_mg")
  private Long grossMg;

  @Column(name = "tare_mg")
  private Long tareMg;

  @Column(name = "readability_mg")
  private Long readabilityMg;

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
    weighing.massMg = entry.mass().milligrams();
    weighing.source = entry.source();
    entry
        .reading()
        .ifPresent(
            reading -> {
              weighing.grossMg = reading.gross().milligrams();
              weighing.tareMg = reading.tare().milligrams();
              weighing.readabilityMg = reading.readability().milligrams();
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
    mended.massMg = right.milligrams();
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
    next.massMg = reading.massMg;
    next.source = reading.source;
    next.grossMg = reading.grossMg;
    next.tareMg = reading.tareMg;
    next.readabilityMg = reading.readabilityMg;
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

  boolean isCorrection() {
    return kind == Kind.CORRECTED;
  }

  Optional<UUID> supersedes() {
    return Optional.ofNullable(supersedes);
  }

  long takenBy() {
    return takenBy;
  }

  Taken toTaken(String name) {
    return new Taken(
        id,
        fishNo,
        pieceNo,
        Mass.ofMilligrams(massMg),
        source,
        Optional.ofNullable(readabilityMg).map(Mass::ofMilligrams),
        Optional.ofNullable(trayId),
        name,
        takenAt,
        isCorrection(),
        reason);
  }

  WeighingFact toFact(String part, String by) {
    return new WeighingFact(
        id,
        part,
        fishNo,
        kind.name(),
        grams(massMg),
        grams(grossMg),
        grams(tareMg),
        typed,
        source,
        supersedes,
        reason,
        by,
        takenAt);
  }

  private static BigDecimal grams(Long milligrams) {
    return milligrams == null ? null : Mass.ofMilligrams(milligrams).inGrams();
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
