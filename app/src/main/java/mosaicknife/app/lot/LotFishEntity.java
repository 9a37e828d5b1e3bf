package mosaicknife.app.lot;

import jakarta.persistence.Column;
import jakarta.persistence.Embeddable;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import java.io.Serializable;
import java.util.Optional;
import mosaicknife.core.quantity.Length;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.safety.LengthRule;

@Entity
@Table(name = "lot_fish")
class LotFishEntity {

  @EmbeddedId private Key key;

  @Column(name = "mass_mg")
  private Mass mass;

  @Column(name = "length_mm")
  private Length length;

  @Enumerated(EnumType.STRING)
  private LengthRule.Basis basis;

  /** Which fish of which lot. */
  @Embeddable
  record Key(@Column(name = "lot_id") long lotId, @Column(name = "fish_no") int fishNo)
      implements Serializable {}

  protected LotFishEntity() {}

  LotFishEntity(long lotId, MeasuredFish fish) {
    this.key = new Key(lotId, fish.number());
    this.mass = fish.mass().orElse(null);
    this.length = fish.length().orElse(null);
    this.basis = fish.length().isPresent() ? fish.basis() : null;
  }

  long lotId() {
    return key.lotId();
  }

  Optional<Mass> mass() {
    return Optional.ofNullable(mass);
  }

  MeasuredFish toFish() {
    return new MeasuredFish(
        key.fishNo(),
        Optional.ofNullable(mass),
        Optional.ofNullable(length),
        basis == null ? LengthRule.Basis.TOTAL : basis);
  }
}
