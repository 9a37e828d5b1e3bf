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
import java.util.Arrays;
import java.util.Currency;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import mosaicknife.core.larder.Shelved;
import mosaicknife.core.larder.Trace;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.safety.Allergen;
import mosaicknife.core.safety.FoodState;
import org.hibernate.annotations.Immutable;

@Entity
@Immutable
@Table(name = "larder_item")
class LarderItemEntity {

  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  @Column(name = "client_id")
  private UUID clientId;

  private String code;
  private String name;

  @Column(name = "use_code")
  private String useCode;

  @Column(name = "mass_mg")
  private long massMilligrams;

  private int units;
  private OutlayColumns beside;

  /** The names of the allergens, with commas between them. */
  private String allergens;

  private boolean bones;

  @Column(name = "may_raw")
  private boolean mayRaw;

  private boolean estimated;

  private LocalDate made;

  @Column(name = "use_by")
  private LocalDate useBy;

  private LocalDate latest;

  @Enumerated(EnumType.STRING)
  private FoodState state;

  @Column(name = "venue_id")
  private long venueId;

  private String place;

  @Column(name = "keeper_id")
  private long keeperId;

  @Column(name = "made_by")
  private long madeBy;

  @Column(name = "made_at")
  private Instant madeAt;

  protected LarderItemEntity() {}

  LarderItemEntity(UUID clientId, Shelved shelved, long by) {
    this.clientId = clientId;
    this.code = shelved.code();
    this.name = shelved.name();
    this.useCode = shelved.use().orElse(null);
    this.massMilligrams = shelved.mass().milligrams();
    this.units = Math.toIntExact(shelved.units());
    this.beside = new OutlayColumns(shelved.beside());
    this.allergens =
        shelved.allergens().stream().sorted().map(Enum::name).collect(Collectors.joining(","));
    this.bones = shelved.traits().bones();
    this.mayRaw = shelved.traits().raw();
    this.estimated = shelved.traits().estimated();
    this.made = shelved.made();
    this.useBy = shelved.useBy();
    this.latest = shelved.latest();
    this.state = shelved.state();
    this.venueId = shelved.spot().venue();
    this.place = shelved.spot().place();
    this.keeperId = shelved.spot().keeper();
    this.madeBy = by;
    this.madeAt = shelved.at();
  }

  long id() {
    return id;
  }

  String code() {
    return code;
  }

  long madeBy() {
    return madeBy;
  }

  Shelved toShelved(Trace trace, Currency currency) {
    return new Shelved(
        code,
        name,
        Optional.ofNullable(useCode),
        trace,
        Mass.ofMilligrams(massMilligrams),
        units,
        beside.toOutlay(currency),
        Arrays.stream(Allergen.values())
            .filter(one -> List.of(allergens.split(",")).contains(one.name()))
            .collect(Collectors.toSet()),
        new Shelved.Traits(bones, mayRaw, estimated),
        made,
        useBy,
        latest,
        state,
        new Shelved.Spot(venueId, place, keeperId),
        madeAt);
  }
}
