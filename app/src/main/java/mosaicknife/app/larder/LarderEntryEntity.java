package mosaicknife.app.larder;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Currency;
import java.util.UUID;
import mosaicknife.core.larder.Entry;
import mosaicknife.core.larder.Shelved;
import mosaicknife.core.larder.Trace;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.safety.FoodState;
import org.hibernate.annotations.Immutable;

@Entity
@Immutable
@Table(name = "larder_entry")
class LarderEntryEntity {

  /** What kind of entry it is. */
  enum Kind {
    TAKEN,
    WEIGHED,
    MOVED,
    SENT,
    TURNED,
    DATED
  }

  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  @Column(name = "client_id")
  private UUID clientId;

  @Column(name = "item_id")
  private long itemId;

  @Enumerated(EnumType.STRING)
  private Kind kind;

  @Enumerated(EnumType.STRING)
  @Column(name = "what_for")
  private Entry.Out whatFor;

  @Column(name = "mass_mg")
  private Long massMilligrams;

  @Column(name = "trim_mg")
  private long trimMilligrams;

  private Integer units;
  private OutlayColumns beside;
  private String reason = "";

  @Column(name = "venue_id")
  private Long venueId;

  private String place;

  @Column(name = "keeper_id")
  private Long keeperId;

  @Enumerated(EnumType.STRING)
  private FoodState state;

  @Column(name = "use_by")
  private LocalDate useBy;

  private LocalDate latest;

  @Column(name = "into_item")
  private Long intoItem;

  @Column(name = "made_by")
  private long madeBy;

  @Column(name = "made_at")
  private Instant madeAt;

  protected LarderEntryEntity() {}

  LarderEntryEntity(UUID clientId, long itemId, Entry entry, Long intoItem, long by) {
    this.clientId = clientId;
    this.itemId = itemId;
    this.intoItem = intoItem;
    this.madeBy = by;
    this.madeAt = entry.at();
    if (entry instanceof Entry.Taken taken) {
      kind = Kind.TAKEN;
      whatFor = taken.out();
      massMilligrams = taken.mass().milligrams();
      units = Math.toIntExact(taken.units());
      beside = new OutlayColumns(taken.beside());
      reason = taken.reason();
    } else if (entry instanceof Entry.Weighed weighed) {
      kind = Kind.WEIGHED;
      massMilligrams = weighed.mass().milligrams();
      trimMilligrams = weighed.trim().milligrams();
      reason = weighed.note();
    } else if (entry instanceof Entry.Moved moved) {
      kind = Kind.MOVED;
      venueId = moved.spot().venue();
      place = moved.spot().place();
      keeperId = moved.spot().keeper();
    } else if (entry instanceof Entry.Sent sent) {
      kind = Kind.SENT;
      venueId = sent.venue();
    } else if (entry instanceof Entry.Turned turned) {
      kind = Kind.TURNED;
      state = turned.state();
      useBy = turned.useBy();
      latest = turned.latest();
    } else if (entry instanceof Entry.Dated dated) {
      kind = Kind.DATED;
      useBy = dated.useBy();
      reason = dated.reason();
    }
  }

  long id() {
    return id;
  }

  long itemId() {
    return itemId;
  }

  long madeBy() {
    return madeBy;
  }

  Entry toEntry(Trace trace, Currency currency) {
    return switch (kind) {
      case TAKEN ->
          new Entry.Taken(
              whatFor,
              Mass.ofMilligrams(massMilligrams),
              units,
              trace,
              beside.toOutlay(currency),
              reason,
              madeAt);
      case WEIGHED ->
          new Entry.Weighed(
              Mass.ofMilligrams(massMilligrams), Mass.ofMilligrams(trimMilligrams), reason, madeAt);
      case MOVED -> new Entry.Moved(new Shelved.Spot(venueId, place, keeperId), madeAt);
      case SENT -> new Entry.Sent(venueId, madeAt);
      case TURNED -> new Entry.Turned(state, useBy, latest, madeAt);
      case DATED -> new Entry.Dated(useBy, reason, madeAt);
    };
  }
}
