package mosaicknife.app.homes;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import mosaicknife.core.quantity.Mass;
import org.hibernate.annotations.Immutable;

@Entity
@Immutable
@Table(name = "making_source")
class MakingSourceEntity {

  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  @Column(name = "making_id")
  private long makingId;

  @Column(name = "lot_id")
  private long lotId;

  private String slot;

  @Column(name = "item_id")
  private Long itemId;

  private long milligrams;

  protected MakingSourceEntity() {}

  MakingSourceEntity(long makingId, long lotId, String slot, Long itemId, Mass mass) {
    this.itemId = itemId;
    this.makingId = makingId;
    this.lotId = lotId;
    this.slot = slot;
    this.milligrams = mass.milligrams();
  }

  long makingId() {
    return makingId;
  }

  long lotId() {
    return lotId;
  }

  /** The item on a shelf it is of; null for a part at the board. */
  Long itemId() {
    return itemId;
  }

  String slot() {
    return slot;
  }

  Mass mass() {
    return Mass.ofMilligrams(milligrams);
  }
}
