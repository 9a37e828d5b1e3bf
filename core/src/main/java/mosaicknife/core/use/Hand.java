package mosaicknife.core.use;

import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.Currency;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import mosaicknife.core.anatomy.PartKind;
import mosaicknife.core.anatomy.Purpose;
import mosaicknife.core.lot.LotPart;
import mosaicknife.core.lot.LotRules;
import mosaicknife.core.lot.LotSheet;
import mosaicknife.core.lot.Origin;
import mosaicknife.core.lot.Part;
import mosaicknife.core.plan.PreWork;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.UnitPrice;
import mosaicknife.core.use.FishUse.Measure;

/** What of a lot waits for a use, and what a unit of a use is worth. */
public final class Hand {

  /** Kinds a fish has two of in one part; each is a piece. */
  private static final Set<String> IN_PAIRS = Set.of("collar", "cheek", "belly", "roe", "milt");

  private static final Mass USUAL_PIECE = Mass.ofGrams(150);
  private static final BigDecimal MINUTES_AN_HOUR = BigDecimal.valueOf(60);
  private static final int WORTH_DECIMALS = 2;

  private Hand() {}

  /**
   * Returns the parts of a lot that wait for a use: cut or still to come, on no plate, in no bin,
   * on no shelf and not promised.
   *
   * @param sheet the lot
   * @param venue the number of the venue where it lies
   * @param done what was done to it before the first cut
   * @param promised grams of its parts that something is to be made of, by slot
   * @param today the day
   * @return the parts, each with what is left of it
   */
  public static List<OnHand> of(
      LotSheet sheet,
      long venue,
      Set<PreWork.Task> done,
      Map<String, Mass> promised,
      LocalDate today) {
    List<OnHand> waiting = new ArrayList<>();
    for (LotPart part : sheet.expectedParts()) {
      if (isWaiting(sheet, part, promised.containsKey(part.slot()))) {
        Mass whole = part.isStarted() ? part.mass() : part.expected().orElse(Mass.ZERO);
        Mass left =
            whole
                .minus(part.part().shelf().in())
                .minus(promised.getOrDefault(part.slot(), Mass.ZERO));
        if (left.compareTo(LotRules.SMALLEST_PART) >= 0) {
          waiting.add(onHand(sheet, part, left, venue, done, today));
        }
      }
    }
    return waiting;
  }

  /** A part of which some grams have a home waits with the others. */
  private static boolean isWaiting(LotSheet sheet, LotPart part, boolean promised) {
    Optional<Purpose> purpose = part.purpose().or(() -> sheet.usualPurpose(part));
    boolean shared = promised || part.part().shelf().in().isPositive();
    boolean decided = part.purpose().isPresent() && !part.part().goesTo().isOpen() && !shared;
    return part.kind().mayBeFor(Purpose.POT)
        && !part.kind().is(PartKind.Trait.WHOLE_FISH)
        && !sheet.isOpened(part)
        && part.part().putInto().isEmpty()
        && !decided
        && purpose
            .filter(p -> p == Purpose.PLATE || p == Purpose.COMPOST || p == Purpose.BIN)
            .isEmpty();
  }

  /**
   * Describes some of a part of a lot.
   *
   * @param sheet the lot
   * @param part the part
   * @param left how much of it, positive
   * @param venue the number of the venue where it lies
   * @param done what was done to the lot before the first cut
   * @param today the day
   * @return the part on hand
   */
  public static OnHand onHand(
      LotSheet sheet,
      LotPart part,
      Mass left,
      long venue,
      Set<PreWork.Task> done,
      LocalDate today) {
    List<Part> all = sheet.parts().stream().map(LotPart::part).toList();
    boolean scaled = sheet.lot().arrival().scaled() || PreWork.isScaled(done, part.kind());
    return new OnHand(
        new HandId.Cut(sheet.lot().id(), part.slot()),
        sheet.lot().species().name() + ", " + part.name().toLowerCase(Locale.ROOT),
        part.kind(),
        sheet.lot().species(),
        left,
        pieces(part, sheet.lot().fish()),
        Optional.of(Mass.ofMilligrams(sheet.lot().purchased().milligrams() / sheet.lot().fish())),
        venue,
        new OnHand.Condition(
            scaled,
            sheet.lot().origin() == Origin.FARMED,
            LotRules.pot(part.part(), Purpose.POT, all).isPresent(),
            sheet.mayBeRaw(part),
            sheet.lot().fitness(),
            sheet.lot().hold().isPresent(),
            LotRules.isOver(sheet.lot(), part),
            false),
        (int) Math.max(0, sheet.lot().landedOn().until(today, ChronoUnit.DAYS)),
        part.isStarted());
  }

  /**
   * The best use that a composted or binned part missed.
   *
   * @param part the part
   * @param use what it could have become
   * @param units how many whole units
   * @param worth what they would have been worth, as {@link #worth}
   */
  public record Missed(OnHand part, FishUse use, long units, long worth) {}

  /**
   * Returns what a lot missed: parts that have uses and went to compost or bin.
   *
   * @param sheet the lot
   * @param venue the number of the venue where it lay
   * @param done what was done to it before the first cut
   * @param uses the uses of the house
   * @param labourPerHour what an hour of work costs
   * @param today the day
   * @return the best missed use of each such part, where it would have been worth the work
   */
  public static List<Missed> missed(
      LotSheet sheet,
      long venue,
      Set<PreWork.Task> done,
      Iterable<FishUse> uses,
      ExactMoney labourPerHour,
      LocalDate today) {
    List<Missed> all = new ArrayList<>();
    for (LotPart part : sheet.parts()) {
      boolean wasted =
          part.purpose().filter(p -> p == Purpose.COMPOST || p == Purpose.BIN).isPresent();
      if (part.isStarted() && wasted && part.kind().mayBeFor(Purpose.POT)) {
        OnHand lay = onHand(sheet, part, part.mass(), venue, done, today);
        best(lay, uses, labourPerHour).ifPresent(all::add);
      }
    }
    return all;
  }

  private static Optional<Missed> best(
      OnHand part, Iterable<FishUse> uses, ExactMoney labourPerHour) {
    return UseCatalogue.fitting(uses, part).stream()
        .map(
            use -> {
              long units = new Batch(use, part.mass(), part.piece()).units();
              return new Missed(part, use, units, units * worth(use, labourPerHour));
            })
        .filter(missed -> missed.worth() > 0)
        .max(Comparator.comparingLong(Missed::worth));
  }

  private static int pieces(LotPart part, int fish) {
    return pieces(part.kind(), part.slot(), fish);
  }

  /** How many pieces a part of so many fish is. */
  static int pieces(PartKind kind, String slot, int fish) {
    boolean both = IN_PAIRS.contains(kind.code()) && !slot.contains("-");
    return both ? 2 * fish : fish;
  }

  /**
   * Returns what one unit is worth when what goes in and the work are paid.
   *
   * @param use the use
   * @param labourPerHour what an hour of work costs
   * @return the worth in hundredths of the minor unit of money; below 0 if it costs more than it
   *     brings
   */
  public static long worth(FishUse use, ExactMoney labourPerHour) {
    Mass piece = use.lightest().orElse(USUAL_PIECE);
    Mass fish =
        use.measure() instanceof Measure.Pieces ? piece : Batch.forUnits(use, 1, piece).fish();
    BigDecimal additions = new Batch(use, fish, piece).additions(labourPerHour.currency()).amount();
    BigDecimal labour =
        labourPerHour
            .amount()
            .multiply(use.work().each())
            .divide(MINUTES_AN_HOUR, MathContext.DECIMAL64);
    int minor = labourPerHour.currency().getDefaultFractionDigits();
    return use.value()
        .subtract(additions)
        .subtract(labour)
        .movePointRight(minor + WORTH_DECIMALS)
        .setScale(0, RoundingMode.HALF_EVEN)
        .longValueExact();
  }

  /**
   * Returns what a kilogram of a part is worth to the house when it becomes something: the unit's
   * value less what goes in, over the fish in it. Work is paid apart.
   *
   * @param use what it becomes
   * @param currency the currency of the house
   * @return the price; empty if it is worth nothing
   */
  public static Optional<UnitPrice> value(FishUse use, Currency currency) {
    Mass piece = use.lightest().orElse(USUAL_PIECE);
    Mass fish = Batch.forUnits(use, 1, piece).fish();
    ExactMoney worth =
        new ExactMoney(use.value(), currency)
            .minus(new Batch(use, fish, piece).additions(currency));
    return worth.isPositive() ? Optional.of(worth.per(fish)) : Optional.empty();
  }

  /**
   * Where a leftover goes.
   *
   * @param use what it may become
   * @param worth what a kilogram of it is worth so
   */
  public record Home(FishUse use, UnitPrice worth) {}

  /**
   * Returns the best home of what is left over of a part, such as the thin end of a fillet.
   *
   * @param whole the part it is left of
   * @param kind what is left: its kind
   * @param left how much, positive
   * @param uses the uses of the house
   * @param currency the currency of the house
   * @return the use it is enough for and that is worth most by the kilogram; empty if there is none
   */
  public static Optional<Home> home(
      OnHand whole, PartKind kind, Mass left, Iterable<FishUse> uses, Currency currency) {
    OnHand piece =
        new OnHand(
            whole.id(),
            whole.name(),
            kind,
            whole.species(),
            left,
            1,
            whole.fish(),
            whole.venue(),
            whole.condition(),
            whole.days(),
            false);
    return UseCatalogue.fitting(uses, piece).stream()
        .filter(use -> new Batch(use, left, left).units() > 0)
        .flatMap(use -> value(use, currency).map(worth -> new Home(use, worth)).stream())
        .max(Comparator.comparing(Home::worth));
  }

  /**
   * Returns a worth as money.
   *
   * @param worth hundredths of the minor unit
   * @param like money of the currency
   * @return the amount
   */
  public static ExactMoney money(long worth, ExactMoney like) {
    int minor = like.currency().getDefaultFractionDigits();
    return new ExactMoney(BigDecimal.valueOf(worth, minor + WORTH_DECIMALS), like.currency());
  }
}
