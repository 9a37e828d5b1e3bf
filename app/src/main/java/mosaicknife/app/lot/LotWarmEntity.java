package mosaicknife.app.lot;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.Map;
import java.util.UUID;
import mosaicknife.core.lot.ColdChain;

@Entity
@Table(name = "lot_warm")
class LotWarmEntity extends LotFact {

  @Column(updatable = false)
  private int minutes;

  @Column(updatable = false)
  private String why;

  protected LotWarmEntity() {}

  LotWarmEntity(UUID clientId, long lotId, int minutes, String why, long by, Instant at) {
    super(clientId, lotId, by, at);
    this.minutes = minutes;
    this.why = why;
  }

  ColdChain.Warm toWarm(Map<Long, String> names) {
    return new ColdChain.Warm(minutes, why, names.getOrDefault(madeBy(), ""), madeAt());
  }
}
