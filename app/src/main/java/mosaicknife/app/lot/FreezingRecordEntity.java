package mosaicknife.app.lot;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import mosaicknife.core.quantity.Length;
import mosaicknife.core.quantity.Temperature;
import mosaicknife.core.safety.FreezingRecord;
import mosaicknife.core.safety.ProbeCurve;

@Entity
@Table(name = "freezing_record")
class FreezingRecordEntity extends LotFact {

  @Column(updatable = false)
  private String part;

  @Column(name = "core_dc", updatable = false)
  private Temperature core;

  @Column(updatable = false)
  private int hours;

  @Column(name = "thickness_mm", updatable = false)
  private Length thickness;

  @Column(updatable = false)
  private String curve;

  protected FreezingRecordEntity() {}

  FreezingRecordEntity(
      UUID clientId,
      long lotId,
      Optional<String> part,
      Temperature core,
      int hours,
      Optional<Length> thickness,
      Optional<ProbeCurve> curve,
      long by,
      Instant at) {
    super(clientId, lotId, by, at);
    this.part = part.orElse(null);
    this.core = core;
    this.hours = hours;
    this.thickness = thickness.orElse(null);
    this.curve = curve.map(ProbeCurve::text).orElse(null);
  }

  FreezingRecord toRecord(Map<Long, String> names) {
    return new FreezingRecord(
        Optional.ofNullable(part),
        core,
        hours,
        Optional.ofNullable(thickness),
        Optional.ofNullable(curve).map(text -> ProbeCurve.parse(text, ZoneOffset.UTC)),
        names.getOrDefault(madeBy(), ""),
        madeAt());
  }
}
