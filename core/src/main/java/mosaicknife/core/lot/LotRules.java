package mosaicknife.core.lot;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import mosaicknife.core.anatomy.Hazard;
import mosaicknife.core.anatomy.PartClass;
import mosaicknife.core.anatomy.PartKind;
import mosaicknife.core.anatomy.Purpose;
import mosaicknife.core.finding.Finding;
import mosaicknife.core.portion.Serving;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.safety.Fitness;
import mosaicknife.core.safety.Freshness;
import mosaicknife.core.safety.FreshnessGroup;
import mosaicknife.core.safety.RawGate;
import mosaicknife.core.safety.Sign;

/**
 * What may be written down of a lot and what cannot be right. Each rule answers with the first
 * thing that is wrong, or with nothing.
 */
public final class LotRules {

  /** The most fish of one lot. */
  public static final int MOST_FISH = 500;

  /** The most parts of one lot. */
  public static final int MOST_PARTS = 60;

  /** A fish older than this on arrival is a typing error, not a delivery. */
  public static final int OLDEST_DAYS = 30;

  /** More than this between invoice and own scale is a unit mixed up, not ice. */
  public static final int MOST_TIMES_APART = 2;

  /** The lightest part that is weighed. */
  public static final Mass SMALLEST_PART = Mass.ofGrams(2);

  /** The lightest portion. */
  public static final Mass SMALLEST_PORTION = Mass.ofGrams(5);

  /** The heaviest portion. */
  public static final Mass LARGEST_PORTION = Mass.ofGrams(5000);

  /** How much lighter or heavier a portion may be where nobody said; a starting value. */
  public static final double USUAL_TOLERANCE = 0.05;

  /** The portion of a lot whose dish is not known yet; a starting value, and shown as one. */
  public static final Serving USUAL_SERVING =
      new Serving(Serving.Form.SLICES, Mass.ofGrams(180), USUAL_TOLERANCE, 1, false);

  private LotRules() {}

  /**
   * Looks at a delivery.
   *
   * @param receipt the delivery
   * @param today the day at the house
   * @return what cannot be right; empty if nothing speaks against it
   */
  public static Optional<Finding> problem(Receipt receipt, LocalDate today) {
    if (receipt.fish() < 1 || receipt.fish() > MOST_FISH) {
      return found(LotProblem.FISH_COUNT, "fish", receipt.fish(), MOST_FISH);
    }
    if (receipt.state().isCut() && receipt.fish() != 1) {
      return found(LotProblem.FILLETS_COUNTED, "fish");
    }
    if (receipt.landedOn().isAfter(today)) {
      return found(LotProblem.LANDED_LATER, "landedOn");
    }
    if (receipt.landedOn().isBefore(today.minusDays(OLDEST_DAYS))) {
      return found(LotProblem.LANDED_LONG_AGO, "landedOn", OLDEST_DAYS);
    }
    if (receipt.own().filter(own -> areApart(receipt.invoiced(), own)).isPresent()) {
      return found(LotProblem.SCALES_APART, "own", MOST_TIMES_APART);
    }
    boolean above =
        receipt.arrival().gross().stream()
            .anyMatch(gross -> receipt.own().filter(own -> own.compareTo(gross) > 0).isPresent());
    return above ? found(LotProblem.NET_ABOVE_GROSS, "gross") : Optional.empty();
  }

  private static boolean areApart(Mass one, Mass other) {
    return other.compareTo(one.multipliedBy(MOST_TIMES_APART)) > 0
        || one.compareTo(other.multipliedBy(MOST_TIMES_APART)) > 0;
  }

  /**
   * Looks at the mass of a portion.
   *
   * @param portion the mass
   * @return what is wrong with it, or nothing
   */
  public static Optional<Finding> portion(Mass portion) {
    return portion.compareTo(SMALLEST_PORTION) < 0 || portion.compareTo(LARGEST_PORTION) > 0
        ? found(LotProblem.PORTION_RANGE, "portion", SMALLEST_PORTION, LARGEST_PORTION)
        : Optional.empty();
  }

  /**
   * Looks at the mass of a part by itself.
   *
   * @param part the name of the part
   * @param mass its mass
   * @param lot the mass of the lot
   * @param fish the mass of the fish on the board where it is known, else of the lot
   * @return what is wrong with it, or nothing
   */
  public static Optional<Finding> weight(String part, Mass mass, Mass lot, Mass fish) {
    if (mass.compareTo(SMALLEST_PART) < 0) {
      return found(LotProblem.PART_TOO_LIGHT, "", SMALLEST_PART);
    }
    if (mass.compareTo(lot) > 0) {
      return found(LotProblem.PART_ABOVE_LOT, "", part, mass, lot);
    }
    return mass.compareTo(fish) > 0
        ? found(LotProblem.PART_ABOVE_FISH, "", part, mass, fish)
        : Optional.empty();
  }

  /**
   * Looks whether what is cut from a part outweighs it.
   *
   * @param part the name of the part
   * @param whole what it weighs; zero while it is not weighed
   * @param others what the other pieces of it weigh together
   * @param mass what the piece weighs
   * @return what is wrong, or nothing
   */
  public static Optional<Finding> inside(String part, Mass whole, Mass others, Mass mass) {
    Mass pieces = others.plus(mass);
    return whole.isPositive() && pieces.compareTo(whole) > 0
        ? found(LotProblem.PIECES_ABOVE_PART, "", part, pieces, whole)
        : Optional.empty();
  }

  /**
   * Looks whether a part weighs less than what was cut from it.
   *
   * @param part the name of the part
   * @param mass what it would weigh
   * @param pieces what its pieces weigh together; zero without
   * @return what is wrong, or nothing
   */
  public static Optional<Finding> above(String part, Mass mass, Mass pieces) {
    return mass.compareTo(pieces) < 0
        ? found(LotProblem.PART_BELOW_PIECES, "", part, mass, pieces)
        : Optional.empty();
  }

  /**
   * Looks which fish a weighing is of: one of the lot that has no weight yet. Where some were
   * weighed alone, all together are the others.
   *
   * @param lot the lot number
   * @param all how many fish the lot has
   * @param part the name of the part
   * @param fish which fish, from 1; 0 for all together
   * @param weighed the fish of the weighings of the part that stand
   * @return what is wrong, or nothing
   */
  public static Optional<Finding> fish(
      long lot, int all, String part, int fish, List<Integer> weighed) {
    if (fish < 0 || fish > all) {
      return found(LotProblem.NO_SUCH_FISH, "", lot, fish);
    }
    if (fish == 0 && !weighed.contains(0) && weighed.stream().distinct().count() >= all) {
      return found(LotProblem.WEIGHED_FISH_BY_FISH, "", part);
    }
    return fish != 0 && !weighed.contains(fish) && weighed.contains(0)
        ? found(LotProblem.WEIGHED_TOGETHER, "", part)
        : Optional.empty();
  }

  /**
   * Looks whether the weight of one fish can be taken back: not while the others were weighed
   * together as what is left beside it.
   *
   * @param part the name of the part
   * @param fish which fish the weight is of, from 1; 0 for all together
   * @param weighed the fish of the weighings of the part that stand
   * @return what is wrong, or nothing
   */
  public static Optional<Finding> back(String part, int fish, List<Integer> weighed) {
    return fish != 0 && weighed.contains(0)
        ? found(LotProblem.WEIGHED_BESIDE_THE_REST, "", part)
        : Optional.empty();
  }

  /**
   * Looks at a purpose.
   *
   * @param part the part
   * @param purpose the purpose
   * @param held where it is held, if that was said
   * @param today the day at the house
   * @return what is wrong, or nothing
   */
  public static Optional<Finding> purpose(
      Part part, Purpose purpose, Optional<Held> held, LocalDate today) {
    if (!part.kind().mayBeFor(purpose)) {
      return found(LotProblem.NO_USE, "", part.name());
    }
    if (purpose != Purpose.HOLD) {
      return Optional.empty();
    }
    if (held.isEmpty()) {
      return found(LotProblem.HELD_WITHOUT_PLACE, "until");
    }
    return held.get().until().isBefore(today)
        ? found(LotProblem.HELD_PAST, "until")
        : Optional.empty();
  }

  /**
   * Looks whether parts of a lot may be given a purpose while somebody has to decide about it.
   *
   * @param lot the lot
   * @param purpose the purpose
   * @return that it is held, unless it is thrown away
   */
  public static Optional<Finding> held(Lot lot, Purpose purpose) {
    return purpose.isUsed() && lot.hold().isPresent()
        ? found(LotProblem.LOT_HELD, "", lot.id())
        : Optional.empty();
  }

  /**
   * Returns the last day a part may lie raw, in a rack or under ice: never past what the signs, the
   * temperature and the time it stood warm leave, and for the pot only the day it was looked at. If
   * nobody looked or measured, a fish that forms histamine has only the day it is put there, and
   * another as long as a perfect one of its kind keeps from its landing.
   *
   * @param lot its lot
   * @param part the part
   * @param from the day it is put there
   * @param zone the time zone of the house
   * @return the last whole day; before {@code from} if it is over
   */
  public static LocalDate lastRawDay(Lot lot, LotPart part, LocalDate from, ZoneId zone) {
    return lastRawDay(lot, lot.useBy(part), from, zone);
  }

  private static LocalDate lastRawDay(
      Lot lot, Optional<Instant> useBy, LocalDate from, ZoneId zone) {
    if (lot.hold().isPresent()) {
      return from;
    }
    Optional<LocalDate> seen =
        useBy
            .map(ends -> ends.atZone(zone).toLocalDate())
            .map(ends -> ends.isAfter(from) ? ends.minusDays(1) : ends);
    Optional<LocalDate> pot =
        lot.inspection()
            .filter(looked -> looked.decision() == Fitness.POT)
            .map(looked -> looked.at().atZone(zone).toLocalDate());
    boolean known = lot.inspection().filter(looked -> looked.daysLeft().isPresent()).isPresent();
    LocalDate usual =
        lot.isHistamineWatched()
            ? from
            : lot.landedOn()
                .plusDays(lot.cold().limits().value(FreshnessGroup.of(lot.species()).daysOnIce()));
    return Stream.of(seen, pot, known ? Optional.<LocalDate>empty() : Optional.of(usual))
        .flatMap(Optional::stream)
        .min(Comparator.naturalOrder())
        .orElseThrow();
  }

  /**
   * Returns whether the last day of a part at the board is over: nothing becomes food of it.
   *
   * @param lot its lot
   * @param part the part
   * @return true after its last day
   */
  public static boolean isOver(Lot lot, LotPart part) {
    ColdChain.Day on = lot.cold().on();
    return lastRawDay(lot, part, on.today(), on.zone()).isBefore(on.today());
  }

  /**
   * Looks whether a lot may be inspected: once looked at, a fish past its last day gets no new
   * days.
   *
   * @param lot the lot
   * @param decision what is decided
   * @return that its last day is over, unless it is refused; or nothing
   */
  public static Optional<Finding> inspecting(Lot lot, Fitness decision) {
    ColdChain.Day on = lot.cold().on();
    LocalDate last = lastRawDay(lot, lot.useBy(), on.today(), on.zone());
    return decision != Fitness.REFUSE && lot.useBy().isPresent() && last.isBefore(on.today())
        ? found(LotProblem.LOT_OVER, "decision", last)
        : Optional.empty();
  }

  /**
   * Returns whether the fillets of a lot are shared out tonight.
   *
   * @param lot the lot
   * @return false while it is held, of one that is for the pot only or was refused, and after its
   *     last day
   */
  public static boolean isServedToday(Lot lot) {
    ColdChain.Day on = lot.cold().on();
    return lot.mayBeServed()
        && !lastRawDay(lot, lot.useBy(), on.today(), on.zone()).isBefore(on.today());
  }

  /**
   * Looks whether a part may be given a purpose today.
   *
   * @param lot its lot
   * @param part the part; of scrapings it is asked again when they are put away
   * @param purpose the purpose
   * @return that it is poisonous, the lot held, or the last day over, unless it is thrown away
   */
  public static Optional<Finding> closed(Lot lot, Part part, Purpose purpose) {
    return purpose.isUsed()
        ? held(lot, purpose).or(() -> neverFood(lot, alone(part)))
        : Optional.empty();
  }

  /**
   * Looks whether a part can be food at all today.
   *
   * @param lot its lot
   * @param part the part
   * @return that it is poisonous, or its last day over; empty if it can
   */
  public static Optional<Finding> neverFood(Lot lot, LotPart part) {
    Optional<Hazard.Kind> poison = Hazard.closing(lot.species(), part.kind().code());
    if (poison.isPresent()) {
      return found(LotProblem.PART_POISONOUS, "", part.name(), poison.get());
    }
    ColdChain.Day on = lot.cold().on();
    return isOver(lot, part)
        ? found(LotProblem.PART_OVER, "", part.name(), lastRawDay(lot, part, on.today(), on.zone()))
        : Optional.empty();
  }

  private static LotPart alone(Part part) {
    return new LotPart(part, Optional.empty(), Mass.ZERO, Mass.ZERO, List.of(), 0);
  }

  /**
   * Looks whether a part may lie raw until a day.
   *
   * @param lot its lot
   * @param part the part
   * @param from the day it is put there
   * @param until the last day it is to lie there
   * @param zone the time zone of the house
   * @return what is wrong, or nothing
   */
  public static Optional<Finding> keptRaw(
      Lot lot, LotPart part, LocalDate from, LocalDate until, ZoneId zone) {
    LocalDate last = lastRawDay(lot, part, from, zone);
    if (!until.isAfter(last)) {
      return Optional.empty();
    }
    if (lot.hold().isPresent()) {
      return found(LotProblem.LOT_HELD, "until", lot.id());
    }
    if (!lot.isHistamineWatched()) {
      return found(LotProblem.RAW_DAY, "until", last, part.name());
    }
    return lot.useBy(part).isEmpty()
        ? found(LotProblem.HISTAMINE_NOT_SEEN, "until", lot.id())
        : found(LotProblem.HISTAMINE_DAY, "until", last, part.name());
  }

  /**
   * Looks whether a part may be held as long as somebody wants to.
   *
   * @param lot its lot
   * @param part the part; how long it was scraped ago is asked again when it is put away
   * @param held until when, and where
   * @param today the day
   * @param zone the time zone of the house
   * @return what is wrong, or nothing
   */
  public static Optional<Finding> holding(
      Lot lot, Part part, Held held, LocalDate today, ZoneId zone) {
    return keptRaw(lot, alone(part), today, held.until(), zone);
  }

  /**
   * Looks whether a part may go where it goes: to a dish that is raw, cured or underdone only
   * through the raw gate. It is the one door: whoever sends a part anywhere asks here, and whoever
   * shows where it goes asks again.
   *
   * @param lot its lot
   * @param part the part, with its purpose and where it goes
   * @return what keeps it from there, or nothing
   */
  public static Optional<Finding> gate(Lot lot, Part part) {
    return part.dish()
        .filter(Destination.ToDish::raw)
        .flatMap(dish -> raw(part.name(), dish.name(), lot.rawGate(Optional.of(part.slot()))));
  }

  private static Optional<Finding> raw(String part, String dish, Optional<RawGate> gate) {
    if (gate.isEmpty()) {
      return found(LotProblem.RAW_NOT_INSPECTED, "becomes", part, dish);
    }
    return gate.get().isOpen()
        ? Optional.empty()
        : found(LotProblem.RAW_GATE_CLOSED, "becomes", part, dish, gate.get());
  }

  /**
   * Looks whether a part may go to the pot: never with gills or guts still on it.
   *
   * @param part the part
   * @param purpose what it is to be for
   * @param all the parts of the lot
   * @return what is wrong, or nothing
   */
  public static Optional<Finding> pot(Part part, Purpose purpose, List<Part> all) {
    return all.stream()
        .filter(other -> purpose == Purpose.POT && isGuts(other))
        .filter(other -> other.staysOn().filter(part.slot()::equals).isPresent())
        .findFirst()
        .map(other -> Finding.of(LotProblem.GUTS_IN_THE_POT, other.name(), part.name()));
  }

  /**
   * Looks whether a part may stay on another: gills and guts never on what goes to the pot.
   *
   * @param part the part that stays
   * @param on the part it stays on
   * @return what is wrong, or nothing
   */
  public static Optional<Finding> staying(Part part, Part on) {
    return isGuts(part) && on.purpose().filter(Purpose.POT::equals).isPresent()
        ? found(LotProblem.GUTS_IN_THE_POT, "", part.name(), on.name())
        : Optional.empty();
  }

  /**
   * Looks whether a part may be put back into another and be served with it.
   *
   * @param part the part
   * @param weighed whether it was weighed: what joins a plate has a mass
   * @param into the part it is put into
   * @return what is wrong, or nothing
   */
  public static Optional<Finding> puttingBack(Part part, boolean weighed, Part into) {
    boolean may =
        weighed
            && part.kind().mayBeFor(Purpose.PLATE)
            && !part.slot().equals(into.slot())
            && isServed(into);
    return may ? Optional.empty() : found(LotProblem.NOT_PUT_BACK, "", part.name(), into.name());
  }

  /** Only what is served by itself takes another part in. */
  static boolean isServed(Part part) {
    return part.kind().nature() == PartClass.FLESH
        && !part.skipped()
        && part.putInto().isEmpty()
        && part.purpose().filter(purpose -> purpose != Purpose.PLATE).isEmpty();
  }

  private static boolean isGuts(Part part) {
    return part.kind().is(PartKind.Trait.GUTS) || part.kind().is(PartKind.Trait.GILLS);
  }

  /**
   * Works out what a claim asks for: the amount that was named, else the mass at the lot's price.
   *
   * @param receipt the delivery
   * @param mass the mass it is about, if it is about mass
   * @param amount the amount, if it was named
   * @return the amount; empty if neither was named
   */
  public static Optional<ExactMoney> claimed(
      Receipt receipt, Optional<Mass> mass, Optional<ExactMoney> amount) {
    return amount.or(() -> mass.flatMap(about -> receipt.price().map(price -> price.times(about))));
  }

  /**
   * Looks at a claim.
   *
   * @param receipt the delivery
   * @param mass the mass it is about, if it is about mass
   * @param amount what it asks for; empty if neither mass nor amount was named
   * @param others what all other claims that stand ask for together
   * @return what is wrong, or nothing
   */
  public static Optional<Finding> claim(
      Receipt receipt, Optional<Mass> mass, Optional<ExactMoney> amount, ExactMoney others) {
    if (mass.filter(m -> m.compareTo(receipt.invoiced()) > 0).isPresent()) {
      return found(LotProblem.CLAIM_ABOVE_LOT, "mass");
    }
    if (receipt.price().isEmpty()) {
      return found(LotProblem.CLAIM_BEFORE_PRICE, "amount");
    }
    if (amount.isEmpty()) {
      return found(LotProblem.CLAIM_WITHOUT_FIGURE, "amount");
    }
    if (!amount.get().isPositive()) {
      return found(LotProblem.CLAIM_OF_NOTHING, "amount");
    }
    ExactMoney cost = receipt.price().get().times(receipt.invoiced());
    return others.plus(amount.get()).compareTo(cost) > 0
        ? found(LotProblem.CLAIMS_ABOVE_COST, "amount")
        : Optional.empty();
  }

  /**
   * Looks whether every sign that is there was looked at.
   *
   * @param signs the signs that are there
   * @param grades the grades that were given
   * @return the first sign that was left out, or nothing
   */
  public static Optional<Finding> signs(List<Sign> signs, Map<Sign, Integer> grades) {
    return signs.stream()
        .filter(sign -> !grades.containsKey(sign))
        .findFirst()
        .map(sign -> Finding.of(LotProblem.SIGN_NOT_LOOKED_AT, sign).at(sign.name()));
  }

  /**
   * Looks at the decision on an inspected lot: it may be laxer than what the signs propose, with a
   * reason, but what they refuse is never for raw. To be stricter needs no reason.
   *
   * @param judged what the signs say
   * @param decision the decision
   * @param reason why it is laxer, possibly empty
   * @return what is wrong, or nothing
   */
  public static Optional<Finding> decision(Freshness judged, Fitness decision, String reason) {
    if (decision.compareTo(judged.proposal()) < 0 && reason.isEmpty()) {
      return found(LotProblem.REASON_MISSING, "reason", judged.proposal(), decision);
    }
    return judged.proposal() == Fitness.REFUSE && decision == Fitness.RAW
        ? found(LotProblem.REFUSED_FOR_RAW, "decision")
        : Optional.empty();
  }

  /**
   * Looks at fish measured one by one.
   *
   * @param receipt the delivery
   * @param measured how many were typed
   * @param together what those that were weighed weigh together
   * @return what is wrong, or nothing
   */
  public static Optional<Finding> measured(Receipt receipt, int measured, Mass together) {
    if (measured > receipt.fish()) {
      return found(LotProblem.MORE_FISH_MEASURED, "fish", receipt.fish(), measured);
    }
    return receipt.isClearlyLessThan(together)
        ? found(LotProblem.FISH_ABOVE_LOT, "fish", together)
        : Optional.empty();
  }

  private static Optional<Finding> found(LotProblem what, String field, Object... figures) {
    return Optional.of(Finding.of(what, figures).at(field));
  }
}
