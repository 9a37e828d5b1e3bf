package mosaicknife.app.weighing;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.Optional;
import mosaicknife.core.lot.Cooked;
import mosaicknife.core.quantity.Mass;

@Entity
@Table(name = "cooked")
class CookedEntity {

  @Id
  @Column(name = "part_id")
  private Long partId;

  @Column(name = "out_mg")
  private Mass out;

  @Column(name = "flesh_mg")
  private Mass flesh;

  @Column(name = "cooked_by")
  private long cookedBy;

  @Column(name = "cooked_at")
  private Instant cookedAt;

  protected CookedEntity() {}

  CookedEntity(long partId) {
    this.partId = partId;
  }

  void weigh(Mass cameOut, Optional<Mass> offTheBone, long by, Instant at) {
    out = cameOut;
    flesh = offTheBone.orElse(null);
    cookedBy = by;
    cookedAt = at;
  }

  long partId() {
    return partId;
  }

  long cookedBy() {
    return cookedBy;
  }

  Cooked toCooked(String slot, String by) {
    return new Cooked(slot, out, Optional.ofNullable(flesh), by, cookedAt);
  }
}
