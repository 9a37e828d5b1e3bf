package mosaicknife.app.lot;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import mosaicknife.core.quantity.Length;
import mosaicknife.core.quantity.Temperature;
import mosaicknife.core.safety.FreezingRecord;
import mosaicknife.core.safety.FreezingRecord.Froze;
import mosaicknife.core.safety.ProbeCurve;

@Entity
@Table(name = "freezing_record")
class FreezingRecordEntity extends LotFact {

  @Column(updatable = false)
  private String part;

  @Column(name = "core_dc", updatable = false)
  private Temperature core;

  @Column(name = "core_after_dc", updatable = false)
  private Temperature coreAfter;

  @Enumerated(EnumType.STRING)
  @Column(updatable = false)
  private Froze froze;

  @Column(name = "frozen_from", updatable = false)
  private Instant from;

  @Column(name = "frozen_to", updatable = false)
  private Instant to;

  @Column(updatable = false)
  private String place;

  @Column(updatable = false)
  private String paper;

  @Column(name = "caught_on", updatable = false)
  private LocalDate caught;

  @Column(name = "thickness_mm", updatable = false)
  private Length thickness;

  @Column(updatable = false)
  private String curve;

  protected FreezingRecordEntity() {}

  FreezingRecordEntity(UUID clientId, long lotId, FreezingRecord record, long by) {
    super(clientId, lotId, by, record.at());
    part = record.part().orElse(null);
    core = record.before();
    coreAfter = record.after();
    froze = record.span().froze();
    from = record.span().from();
    to = record.span().to();
    place = record.span().place();
    paper = record.span().paper();
    caught = record.span().caught().orElse(null);
    thickness = record.thickness().orElse(null);
    curve = record.curve().map(ProbeCurve::text).orElse(null);
  }

  FreezingRecord toRecord(Map<Long, String> names) {
    return new FreezingRecord(
        Optional.ofNullable(part),
        new FreezingRecord.Span(froze, from, to, place, paper, Optional.ofNullable(caught)),
        core,
        coreAfter,
        Optional.ofNullable(thickness),
        Optional.ofNullable(curve).map(text -> ProbeCurve.parse(text, ZoneOffset.UTC)),
        names.getOrDefault(madeBy(), ""),
        madeAt());
  }
}
