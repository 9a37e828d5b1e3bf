package mosaicknife.core.lot;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Currency;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.UUID;
import mosaicknife.core.anatomy.Catalogue;
import mosaicknife.core.anatomy.PartKind;
import mosaicknife.core.anatomy.Purpose;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.breakdown.HouseNorms;
import mosaicknife.core.cost.CostingMethod;
import mosaicknife.core.plan.Choices;
import mosaicknife.core.plan.CutPlan;
import mosaicknife.core.portion.Serving;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.UnitPrice;
import mosaicknife.core.safety.Limits;
import mosaicknife.core.safety.RawPapers;

/** A lot written out for a test: received, laid out by the usual plan, and weighed part by part. */
public final class TestLot {

  public static final LocalDate TODAY = LocalDate.of(2026, 11, 25);
  public static final Instant NOON = Instant.parse("2026-11-25T12:00:00Z");
  public static final Currency EUR = Currency.getInstance("EUR");
  static final Weigher TOBIAH = new Weigher(2, "Tobiah Lund");
  static final Weigher MAREN = new Weigher(3, "Maren Oake");

  private static final Catalogue CATALOGUE = Catalogue.shipped();

  private Receipt receipt;
  private CutPlan plan;
  private List<Mass> each = List.of();
  private Optional<Serving> portion = Optional.empty();
  private final List<Part> parts = new ArrayList<>();
  private final List<Weighing> weighings = new ArrayList<>();
  private Optional<Instant> finished = Optional.empty();
  private Optional<Inspection> inspection = Optional.empty();
  private Weigher hands = TOBIAH;
  private CostingMethod method = CostingMethod.ALL_ON_THE_MAINS;
  private UnitPrice extras = UnitPrice.ofPerKilogram("0", EUR);

  /** Some fish of a species, invoiced at 10.00 a kilogram. */
  public TestLot(String species, State state, int fish, String invoiced, String own) {
    receipt =
        new Receipt(
            CATALOGUE.getSpecies(species),
            state,
            fish,
            kilograms(invoiced),
            own.isEmpty() ? Optional.empty() : Optional.of(kilograms(own)),
            Optional.of(UnitPrice.ofPerKilogram("10.00", EUR)),
            "Grey Skerry Landings",
            Origin.WILD,
            TODAY,
            "",
            Arrival.UNASKED);
    cutBy(Choices.USUAL);
  }

  /** Cut by other answers than the usual ones. */
  TestLot cutBy(Choices choices) {
    CutPlan.Fish toCut =
        new CutPlan.Fish(
            receipt.species(),
            receipt.state(),
            receipt.fish(),
            receipt.purchased(),
            each,
            HouseNorms.STARTING);
    plan = CutPlan.of(toCut, choices, CATALOGUE);
    parts.clear();
    long id = 1;
    for (CutPlan.Planned planned : plan.parts()) {
      parts.add(
          new Part(
              id++,
              planned.slot().code(),
              planned.slot().number(),
              planned.slot().name(),
              planned.slot().kind(),
              Optional.empty(),
              true,
              false,
              Optional.empty(),
              Optional.empty(),
              false,
              Optional.empty(),
              Optional.empty(),
              Destination.OPEN,
              Optional.empty(),
              Optional.empty(),
              OnShelf.NOTHING,
              0));
    }
    return this;
  }

  /** Another answer after the parts were laid out: they stay, the plan changes. */
  TestLot routed(String option, String choice) {
    CutPlan.Fish toCut = plan.fish();
    plan = CutPlan.of(toCut, plan.choices().with(option, choice), CATALOGUE);
    return this;
  }

  static Mass kilograms(String kilograms) {
    return Mass.ofMilligrams(
        new java.math.BigDecimal(kilograms).movePointRight(6).longValueExact());
  }

  Receipt receipt() {
    return receipt;
  }

  /** Who weighs from now on. */
  TestLot by(Weigher person) {
    hands = person;
    return this;
  }

  /** One weight of one fish, a minute after the one before. */
  public TestLot weigh(String slot, int fish, int grams) {
    return weigh(slot, fish, 0, grams);
  }

  /** One piece of a part weighed in a row. */
  TestLot weigh(String slot, int fish, int piece, int grams) {
    return weigh(slot, fish, piece, Mass.ofGrams(grams));
  }

  TestLot weigh(String slot, int fish, int piece, Mass mass) {
    weighings.add(
        new Weighing(
            UUID.nameUUIDFromBytes((slot + fish + "/" + piece).getBytes()),
            slot,
            fish,
            piece,
            Weighing.Kind.TAKEN,
            Optional.of(mass),
            Source.TYPED,
            Optional.empty(),
            Optional.of(mass.toString()),
            Optional.empty(),
            Optional.empty(),
            "",
            hands,
            NOON.plusSeconds(60L * weighings.size())));
    return this;
  }

  /** Says for which line of an order it came. */
  TestLot forLine(long line) {
    Arrival arrival =
        new Arrival(
            OptionalLong.of(line),
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            "",
            Optional.empty());
    return received(receipt.landedOn(), arrival);
  }

  TestLot landed(LocalDate day) {
    return received(day, receipt.arrival());
  }

  private TestLot received(LocalDate landed, Arrival arrival) {
    receipt =
        new Receipt(
            receipt.species(),
            receipt.state(),
            receipt.fish(),
            receipt.invoiced(),
            receipt.own(),
            receipt.price(),
            receipt.supplier(),
            receipt.origin(),
            landed,
            receipt.note(),
            arrival);
    return this;
  }

  public TestLot decide(Purpose purpose, String... slots) {
    for (String slot : slots) {
      change(slot, part -> with(part, part.skipped(), Optional.of(purpose)));
    }
    return this;
  }

  TestLot skip(String slot) {
    return change(slot, part -> with(part, true, part.purpose()));
  }

  /** A part that is not taken off, and stays on another one. */
  public TestLot stay(String slot, String on) {
    return change(slot, part -> with(part, true, Optional.of(on), part.purpose()));
  }

  /** What was weighed and goes back into another part. */
  TestLot putBack(String slot, String into) {
    return change(
        slot,
        part ->
            with(
                part,
                false,
                Optional.empty(),
                Optional.of(into),
                Optional.of(Purpose.PLATE),
                part.goesTo()));
  }

  /** A piece of a part, before anything is weighed of either. */
  TestLot cut(String parent, String kind) {
    return cutFrom(parent, kind + "-of-" + parent, CATALOGUE.findKind(kind).orElseThrow(), false);
  }

  /** A part cut from another one, of the kind of the first. */
  TestLot cutFrom(String parent, String slot, String kindOf, boolean inARow) {
    return cutFrom(parent, slot, find(kindOf).kind(), inARow);
  }

  /** Starts a row of portions. */
  TestLot portioned(String parent) {
    return cutFrom(
        parent, "portion-of-" + parent, CATALOGUE.findKind("portion").orElseThrow(), true);
  }

  private TestLot cutFrom(String parent, String slot, PartKind kind, boolean inARow) {
    Part from = find(parent);
    parts.add(
        new Part(
            parts.size() + 1L,
            slot,
            from.number(),
            slot,
            kind,
            Optional.of(from.id()),
            false,
            false,
            Optional.empty(),
            Optional.empty(),
            inARow,
            Optional.empty(),
            Optional.empty(),
            Destination.OPEN,
            Optional.empty(),
            Optional.empty(),
            OnShelf.NOTHING,
            0));
    return this;
  }

  /** Each fish was weighed by itself. */
  TestLot each(String... kilograms) {
    each = Arrays.stream(kilograms).map(Mass::ofKilograms).toList();
    return cutBy(plan.choices());
  }

  TestLot portion(String grams) {
    portion = Optional.of(Serving.slices(Mass.ofGrams(Long.parseLong(grams))));
    return this;
  }

  /** A part goes to a dish with a portion of its own. */
  TestLot dish(String slot, String dish, Serving serving) {
    return served(slot, new Destination.ToDish(dish.hashCode(), dish, false, serving));
  }

  /** A part goes to a dish that is raw. */
  TestLot rawDish(String slot, String dish) {
    return served(slot, new Destination.ToDish(1, dish, true, Serving.slices(Mass.ofGrams(60))));
  }

  private TestLot served(String slot, Destination to) {
    return change(
        slot,
        part ->
            with(
                part,
                part.skipped(),
                part.staysOn(),
                part.putInto(),
                Optional.of(Purpose.PLATE),
                to));
  }

  TestLot inspected(Inspection seen) {
    inspection = Optional.of(seen);
    return this;
  }

  /** Spreads its cost by another method. */
  public TestLot by(CostingMethod other) {
    method = other;
    return this;
  }

  public TestLot finish() {
    finished = Optional.of(NOON);
    return this;
  }

  private Part find(String slot) {
    return parts.stream().filter(part -> part.slot().equals(slot)).findFirst().orElseThrow();
  }

  private TestLot change(String slot, java.util.function.UnaryOperator<Part> change) {
    parts.set(parts.indexOf(find(slot)), change.apply(find(slot)));
    return this;
  }

  private static Part with(Part part, boolean skipped, Optional<Purpose> purpose) {
    return with(part, skipped, Optional.empty(), purpose);
  }

  /** What the house would pay for a part, and what of it lies on a shelf or was used since. */
  public TestLot shelve(String slot, Optional<UnitPrice> value, OnShelf shelf) {
    return change(
        slot,
        part ->
            new Part(
                part.id(),
                part.slot(),
                part.number(),
                part.name(),
                part.kind(),
                part.parentId(),
                part.planned(),
                part.skipped(),
                part.staysOn(),
                part.putInto(),
                part.inARow(),
                part.venueId(),
                part.purpose(),
                part.goesTo(),
                value,
                part.held(),
                shelf,
                part.version()));
  }

  private static Part with(
      Part part, boolean skipped, Optional<String> staysOn, Optional<Purpose> purpose) {
    return with(
        part, skipped || staysOn.isPresent(), staysOn, part.putInto(), purpose, part.goesTo());
  }

  private static Part with(
      Part part,
      boolean skipped,
      Optional<String> staysOn,
      Optional<String> putInto,
      Optional<Purpose> purpose,
      Destination goesTo) {
    return new Part(
        part.id(),
        part.slot(),
        part.number(),
        part.name(),
        part.kind(),
        part.parentId(),
        part.planned(),
        skipped,
        staysOn,
        putInto,
        part.inARow(),
        part.venueId(),
        purpose,
        goesTo,
        part.value(),
        part.held(),
        part.shelf(),
        part.version());
  }

  /** Freight, ice and box share by invoiced kilogram. */
  public TestLot freight(String perKilogram) {
    extras = UnitPrice.ofPerKilogram(perKilogram, EUR);
    return this;
  }

  public LotSheet sheet() {
    Lot lot =
        new Lot(
            7,
            receipt,
            new Venue(1, "Lantern House"),
            NOON,
            "Ines Varga",
            each,
            portion,
            method,
            finished,
            inspection,
            ExactMoney.zero(EUR),
            extras,
            RawPapers.NONE,
            new ColdChain(List.of(), Limits.STARTING, new ColdChain.Day(TODAY, ZoneOffset.UTC)),
            0);
    return LotSheet.of(lot, plan, parts, weighings, HouseNorms.STARTING);
  }
}
