package mosaicknife.app.larder;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import mosaicknife.core.larder.Entry;
import mosaicknife.core.larder.LotMoney;
import mosaicknife.core.larder.Trace;
import mosaicknife.core.quantity.Mass;
import org.hibernate.annotations.Immutable;

@Entity
@Immutable
@Table(name = "larder_source")
class LarderSourceEntity {

  /** Which way grams went. */
  enum Direction {
    /** From the board. */
    IN(LotMoney.Place.SHELF),
    /** From another item. */
    FROM(LotMoney.Place.SHELF),
    EATEN(LotMoney.Place.EATEN),
    SOLD(LotMoney.Place.SOLD),
    WASTED(LotMoney.Place.WASTE),
    /** Into another item. */
    INTO(LotMoney.Place.SHELF);

    private final LotMoney.Place place;

    Direction(LotMoney.Place place) {
      this.place = place;
    }

    LotMoney.Place place() {
      return place;
    }

    boolean isIn() {
      return this == IN || this == FROM;
    }

    static Direction of(Entry.Out out) {
      return switch (out) {
        case EATEN -> EATEN;
        case SOLD -> SOLD;
        case MADE_INTO -> INTO;
        case COMPOST, BIN, MISSING -> WASTED;
      };
    }
  }

  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  @Column(name = "item_id")
  private long itemId;

  @Column(name = "entry_id")
  private Long entryId;

  @Column(name = "lot_id")
  private long lotId;

  private String slot;
  private long milligrams;

  @Enumerated(EnumType.STRING)
  private Direction direction;

  protected LarderSourceEntity() {}

  LarderSourceEntity(
      long itemId, Long entryId, Trace.Source source, Mass mass, Direction direction) {
    this.itemId = itemId;
    this.entryId = entryId;
    this.lotId = source.lot();
    this.slot = source.slot();
    this.milligrams = mass.milligrams();
    this.direction = direction;
  }

  long itemId() {
    return itemId;
  }

  Long entryId() {
    return entryId;
  }

  long lotId() {
    return lotId;
  }

  String slot() {
    return slot;
  }

  Direction direction() {
    return direction;
  }

  Mass mass() {
    return Mass.ofMilligrams(milligrams);
  }

  Trace toTrace() {
    return Trace.of(lotId, slot, mass());
  }
}
