package mosaicknife.app.parts;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.FetchType;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.JoinColumn;
import jakarta.persistence.ManyToOne;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.LocalDate;
import java.util.Currency;
import java.util.Locale;
import java.util.Optional;
import mosaicknife.core.anatomy.PartKind;
import mosaicknife.core.anatomy.PartSlot;
import mosaicknife.core.anatomy.Purpose;
import mosaicknife.core.lot.Destination;
import mosaicknife.core.lot.Held;
import mosaicknife.core.lot.OnShelf;
import mosaicknife.core.lot.Part;
import mosaicknife.core.plan.Pieces;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.UnitPrice;
import org.hibernate.annotations.Formula;

@Entity
@Table(name = "lot_part")
class LotPartEntity {

  private static final int PRICE_DECIMALS = 10;

  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  @Column(name = "lot_id", updatable = false)
  private long lotId;

  @Column(updatable = false)
  private String slot;

  @Column(updatable = false)
  private String kind;

  private String name;

  private int number;

  @Column(updatable = false)
  private boolean planned;

  private boolean skipped;

  @Column(name = "stays_on")
  private String staysOn;

  @Column(name = "put_into")
  private String putInto;

  @Column(name = "in_a_row", updatable = false)
  private boolean inARow;

  @Column(name = "venue_id")
  private Long venueId;

  @Column(name = "parent_id", updatable = false)
  private Long parentId;

  @Enumerated(EnumType.STRING)
  private Purpose purpose;

  /** What was written, or the name of the use when it was decided; nothing where it is a dish. */
  private String becomes = "";

  @Column(name = "use_code")
  private String useCode;

  @ManyToOne(fetch = FetchType.LAZY)
  @JoinColumn(name = "dish_id")
  private DishRow dish;

  @Column(name = "value_per_kg")
  private BigDecimal valuePerKg;

  @Column(name = "hold_until")
  private LocalDate holdUntil;

  @Column(name = "hold_place")
  private String holdPlace;

  @Column(name = "hold_keeper")
  private Long holdKeeper;

  // counted in the same statement: a lot with nothing on a shelf costs no other one
  @Formula(
      "(select coalesce(sum(s.milligrams), 0) from larder_source s"
          + " where s.lot_id = lot_id and s.slot = slot and s.direction = 'IN')")
  private long shelvedMilligrams;

  @Formula(
      "(select coalesce(sum(s.milligrams), 0) from larder_source s"
          + " where s.lot_id = lot_id and s.slot = slot and s.direction in ('EATEN', 'SOLD'))")
  private long usedMilligrams;

  @Version private int version;

  protected LotPartEntity() {}

  static LotPartEntity planned(long lotId, PartSlot slot, int number) {
    LotPartEntity part = new LotPartEntity();
    part.lotId = lotId;
    part.slot = slot.code();
    part.kind = slot.kind().code();
    part.name = slot.name();
    part.number = number;
    part.planned = true;
    return part;
  }

  static LotPartEntity added(long lotId, PartKind kind, int number, String name) {
    LotPartEntity part = new LotPartEntity();
    part.lotId = lotId;
    part.slot = kind.code() + "-" + number;
    part.kind = kind.code();
    part.name = name;
    part.number = number;
    return part;
  }

  /** A piece of a part: it goes where the part goes until it is told otherwise. */
  static LotPartEntity cutFrom(LotPartEntity from, PartKind fromKind, PartKind kind, int number) {
    LotPartEntity part = piece(from, kind, number, "%s, %s");
    part.purpose = Pieces.inherited(fromKind, from.purpose(), kind).orElse(null);
    if (part.purpose != null && part.purpose == from.purpose) {
      part.goWith(from);
      part.venueId = from.venueId;
    }
    return part;
  }

  /** Portions of a part: every reading is one of them, and they go where the part goes. */
  static LotPartEntity inARow(LotPartEntity from, PartKind kind, int number) {
    LotPartEntity part = piece(from, kind, number, "%ss of %s");
    part.slot = kind.code() + "-of-" + from.slot;
    part.inARow = true;
    part.purpose = Purpose.PLATE;
    if (from.purpose == Purpose.PLATE) {
      part.goWith(from);
    }
    part.venueId = from.venueId;
    return part;
  }

  private static LotPartEntity piece(LotPartEntity from, PartKind kind, int number, String name) {
    LotPartEntity part =
        added(
            from.lotId,
            kind,
            number,
            name.formatted(kind.name(), from.name.toLowerCase(Locale.ROOT)));
    part.parentId = from.id;
    return part;
  }

  Long id() {
    return id;
  }

  boolean isInARow() {
    return inARow;
  }

  Optional<Long> venueId() {
    return Optional.ofNullable(venueId);
  }

  void sendTo(Long venue) {
    venueId = venue;
  }

  long lotId() {
    return lotId;
  }

  String slot() {
    return slot;
  }

  String kind() {
    return kind;
  }

  String name() {
    return name;
  }

  /** The body plan names what it foresees; what was cut or added may have a name of its own. */
  void call(String another) {
    name = another;
  }

  int number() {
    return number;
  }

  void number(int now) {
    number = now;
  }

  boolean isPlanned() {
    return planned;
  }

  boolean isSkipped() {
    return skipped;
  }

  Optional<Long> parentId() {
    return Optional.ofNullable(parentId);
  }

  Optional<Purpose> purpose() {
    return Optional.ofNullable(purpose);
  }

  Destination goesTo() {
    if (dish != null) {
      return dish.toDish();
    }
    return useCode == null
        ? new Destination.InWords(becomes)
        : new Destination.ToUse(useCode, becomes);
  }

  boolean isGoingTo(long wanted) {
    return dish != null && dish.toDish().id() == wanted;
  }

  private void goWith(LotPartEntity other) {
    becomes = other.becomes;
    useCode = other.useCode;
    dish = other.dish;
  }

  /** Sends it to a dish, whatever was said before; its purpose stays. */
  void goTo(DishRow other) {
    dish = other;
    useCode = null;
    becomes = "";
  }

  private void goTo(Destination words) {
    dish = null;
    useCode = words instanceof Destination.ToUse use ? use.code() : null;
    becomes = words.name();
  }

  Optional<UnitPrice> value(Currency currency) {
    return Optional.ofNullable(valuePerKg)
        .map(value -> UnitPrice.ofPerKilogram(new ExactMoney(value, currency)));
  }

  Optional<Held> held() {
    return Optional.ofNullable(holdUntil).map(until -> new Held(until, holdPlace, holdKeeper));
  }

  int version() {
    return version;
  }

  Part toPart(PartKind ofKind, Currency currency) {
    return new Part(
        id,
        slot,
        number,
        name,
        ofKind,
        parentId(),
        planned,
        skipped,
        Optional.ofNullable(staysOn),
        Optional.ofNullable(putInto),
        inARow,
        venueId(),
        purpose(),
        goesTo(),
        value(currency),
        held(),
        new OnShelf(Mass.ofMilligrams(shelvedMilligrams), Mass.ofMilligrams(usedMilligrams)),
        version);
  }

  void skip() {
    skipped = true;
    putInto = null;
  }

  /** It is served with the other part, and goes where that goes. */
  void putInto(LotPartEntity other) {
    putInto = other.slot;
    assign(Purpose.PLATE, Use.PLAIN, Optional.empty());
    goWith(other);
    venueId = other.venueId;
  }

  void takeOut() {
    putInto = null;
  }

  /** It is not taken off: it goes where the other part goes. */
  void stayOn(LotPartEntity other) {
    skip();
    staysOn = other.slot;
  }

  void expectAgain() {
    skipped = false;
    staysOn = null;
  }

  /** Gives the part its purpose; what belonged to another purpose is forgotten. */
  void assign(Purpose newPurpose, Use use, Optional<DishRow> toDish) {
    purpose = newPurpose;
    toDish.ifPresentOrElse(this::goTo, () -> goTo(use.to()));
    valuePerKg =
        use.value()
            .map(v -> v.perKilogram().amount().setScale(PRICE_DECIMALS, RoundingMode.HALF_EVEN))
            .orElse(null);
    holdUntil = use.held().map(Held::until).orElse(null);
    holdPlace = use.held().map(Held::place).orElse(null);
    holdKeeper = use.held().map(Held::keeper).orElse(null);
  }
}
