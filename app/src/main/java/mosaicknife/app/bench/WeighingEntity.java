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

  static WeighingEntity taken(UUID id, long partId, int fishNo, Entry entry, Stamp stamp) {
    WeighingEntity weighing = new WeighingEntity();
    weighing.id = id;
    weighing.partId = partId;
    weighing.fishNo = fishNo;
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
    WeighingEntity again = new WeighingEntity();
    again.id = id;
    again.partId = before.partId;
    again.fishNo = before.fishNo;
    again.kind = Kind.CORRECTED;
    again.massMg = before.massMg;
    again.source = before.source;
    again.grossMg = before.grossMg;
    again.tareMg = before.tareMg;
    again.readabilityMg = before.readabilityMg;
    again.typed = before.typed;
    again.supersedes = corrected.id;
    again.reason = "correction taken back";
    again.takenBy = stamp.person();
    again.takenAt = stamp.at();
    return again;
  }

  UUID id() {
    return id;
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
        id, fishNo, Mass.ofMilligrams(massMg), source, name, takenAt, isCorrection(), reason);
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
