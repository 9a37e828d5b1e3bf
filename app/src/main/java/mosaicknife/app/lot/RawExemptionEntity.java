package mosaicknife.app.lot;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.Map;
import java.util.UUID;
import mosaicknife.core.safety.RawExemption;

@Entity
@Table(name = "raw_exemption")
class RawExemptionEntity extends LotFact {

  @Column(updatable = false)
  private String name;

  @Column(updatable = false)
  private String evidence;

  protected RawExemptionEntity() {}

  RawExemptionEntity(UUID clientId, long lotId, String name, String evidence, long by, Instant at) {
    super(clientId, lotId, by, at);
    this.name = name;
    this.evidence = evidence;
  }

  RawExemption toExemption(Map<Long, String> names) {
    return new RawExemption(name, evidence, names.getOrDefault(madeBy(), ""), madeAt());
  }
}
