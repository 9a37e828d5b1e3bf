package mosaicknife.core.larder;

import java.time.LocalDate;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import mosaicknife.core.finding.Finding;
import mosaicknife.core.larder.Entry.Out;
import mosaicknife.core.lot.Lot;
import mosaicknife.core.quantity.Fraction;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.safety.FoodState;

/**
 * What may happen on a shelf and what cannot be right. Each rule answers with the first thing that
 * is wrong, or with nothing.
 */
public final class LarderRules {

  /** Nothing is kept longer than this; a typing error, not a plan. */
  public static final int LONGEST_DAYS = 730;

  private LarderRules() {}

  /** What cannot be right. */
  public enum Problem {
    /** Nothing is kept without date, place and owner. */
    NOWHERE,
    /** Its last day lies before the day it was made: both. */
    USE_BY_BEFORE_MADE,
    /** Kept for years: the most days. */
    TOO_LONG,
    /** Its last day is over already. */
    OVER,
    /** More taken than there is: what is there. */
    MORE_THAN_THERE_IS,
    /** More units taken than there are: how many there are. */
    MORE_UNITS,
    /** Nothing is left of it. */
    GONE,
    /** Nothing is thrown without a reason. */
    NO_REASON,
    /** It is still frozen. */
    STILL_FROZEN,
    /** It was thawed and is never frozen again. */
    NEVER_REFROZEN,
    /** It is not frozen, so it does not thaw. */
    NOT_FROZEN,
    /** It is frozen already. */
    FROZEN_ALREADY,
    /** It weighs more than before: what it weighed. */
    HEAVIER,
    /** It is on its way to another venue. */
    UNDER_WAY,
    /** It lies there already. */
    THERE_ALREADY,
    /** Only some of its part lies in it, so that no record of it opens a gate. */
    NOT_THE_WHOLE_PART,
    /** Less is there than there should be, and nobody said why: how much less. */
    SOME_NOT_THERE,
    /** Its last day is over: it is composted or thrown. */
    OVERDUE,
    /** A core made it cooked once; to heat it again gives it no new days. */
    COOKED_ALREADY,
    /** Cured, dried or smoked is what is made, with what goes in: not a button. */
    MADE_NOT_TURNED,
    /** Nobody moves a day of safety: the latest it may be. */
    DAY_OF_SAFETY,
    /** A day is moved for a reason. */
    NO_REASON_FOR_DAY
  }

  /** Fish on the same scale never weighs more after drying; wet paper may weigh a little. */
  /** Less than this is the scale. */
  private static final Mass LEAST_LOST = Mass.ofGrams(2);

  private static final Fraction WET = Fraction.of(2, 100);

  /**
   * Looks at something that is to be kept.
   *
   * @param made the day it was made
   * @param useBy its last day, if one was given
   * @param place where it lies, possibly empty
   * @param today the day
   * @return what is wrong with it, or nothing
   */
  public static Optional<Finding> keeping(
      LocalDate made, Optional<LocalDate> useBy, String place, LocalDate today) {
    if (useBy.isEmpty() || place.isBlank()) {
      return found(Problem.NOWHERE, "until");
    }
    if (useBy.get().isBefore(made)) {
      return found(Problem.USE_BY_BEFORE_MADE, "until", useBy.get(), made);
    }
    if (useBy.get().isAfter(made.plusDays(LONGEST_DAYS))) {
      return found(Problem.TOO_LONG, "until", LONGEST_DAYS);
    }
    return useBy.get().isBefore(today) ? found(Problem.OVER, "until") : Optional.empty();
  }

  /**
   * Looks at something that is to be taken out.
   *
   * @param item the item
   * @param mass how much, positive
   * @param out what for
   * @param reason why, possibly empty
   * @param today the day
   * @return what is wrong with it, or nothing
   */
  public static Optional<Finding> taking(
      Item item, Mass mass, Out out, String reason, LocalDate today) {
    if (item.isGone()) {
      return found(Problem.GONE, "");
    }
    if (item.underWay().isPresent() && out != Out.MISSING) {
      return found(Problem.UNDER_WAY, "");
    }
    if (mass.compareTo(item.mass()) > 0) {
      return found(Problem.MORE_THAN_THERE_IS, "mass", item.mass());
    }
    if (out.isWaste()) {
      return reason.isBlank() ? found(Problem.NO_REASON, "reason") : Optional.empty();
    }
    if (item.daysLeft(today) < 0) {
      return found(Problem.OVERDUE, "");
    }
    return item.state() == FoodState.FROZEN && out != Out.SOLD
        ? found(Problem.STILL_FROZEN, "")
        : Optional.empty();
  }

  /**
   * Looks at units that are to be taken out.
   *
   * @param item the item
   * @param units how many
   * @return what is wrong with it, or nothing
   */
  public static Optional<Finding> units(Item item, long units) {
    if (item.isGone()) {
      return found(Problem.GONE, "");
    }
    return units > item.units()
        ? found(Problem.MORE_UNITS, "mass", item.units())
        : Optional.empty();
  }

  /**
   * Looks at a new weight of an item.
   *
   * @param item the item
   * @param mass what it weighs now
   * @return what is wrong with it, or nothing
   */
  public static Optional<Finding> weighing(Item item, Mass mass) {
    if (item.isGone()) {
      return found(Problem.GONE, "");
    }
    Mass most = item.mass().plus(item.mass().multipliedBy(WET, java.math.RoundingMode.CEILING));
    return mass.compareTo(most) > 0
        ? found(Problem.HEAVIER, "mass", item.mass())
        : Optional.empty();
  }

  /**
   * Looks at what was counted and found to be all there.
   *
   * @param item the item
   * @param mass what is there
   * @return that some is not there, or nothing
   */
  public static Optional<Finding> allThere(Item item, Mass mass) {
    Mass lost = item.mass().minus(mass);
    return lost.compareTo(LEAST_LOST) > 0
        ? found(Problem.SOME_NOT_THERE, "amount", lost)
        : Optional.empty();
  }

  /**
   * Looks at something that is to be frozen, thawed or cooked.
   *
   * @param item the item
   * @param state what it becomes
   * @param today the day
   * @return what is wrong with it, or nothing
   */
  public static Optional<Finding> turning(Item item, FoodState state, LocalDate today) {
    if (item.isGone()) {
      return found(Problem.GONE, "");
    }
    if (item.underWay().isPresent()) {
      return found(Problem.UNDER_WAY, "");
    }
    if (item.daysLeft(today) < 0) {
      return found(Problem.OVERDUE, "");
    }
    return switch (state) {
      case FROZEN ->
          item.state() == FoodState.FROZEN
              ? found(Problem.FROZEN_ALREADY, "")
              : item.was(FoodState.THAWED::equals)
                  ? found(Problem.NEVER_REFROZEN, "")
                  : Optional.empty();
      case THAWED ->
          item.state() == FoodState.FROZEN ? Optional.empty() : found(Problem.NOT_FROZEN, "");
      case COOKED ->
          item.state() == FoodState.FROZEN
              ? found(Problem.STILL_FROZEN, "")
              : item.wasHeated() ? found(Problem.COOKED_ALREADY, "") : Optional.empty();
      default -> found(Problem.MADE_NOT_TURNED, "");
    };
  }

  /**
   * Returns what an item may be turned into.
   *
   * @param item the item
   * @param today the day
   * @return the states
   */
  public static Set<FoodState> turns(Item item, LocalDate today) {
    return Arrays.stream(FoodState.values())
        .filter(state -> turning(item, state, today).isEmpty())
        .collect(Collectors.toCollection(() -> EnumSet.noneOf(FoodState.class)));
  }

  /**
   * Looks at a new last day for something on a shelf. A day of quality may be moved with a reason,
   * also when it is over; a day of safety never beyond what the rules gave it.
   *
   * @param item the item
   * @param until the new day
   * @param reason why
   * @param today the day
   * @return what is wrong with it, or nothing
   */
  public static Optional<Finding> dating(
      Item item, LocalDate until, String reason, LocalDate today) {
    if (item.isGone()) {
      return found(Problem.GONE, "");
    }
    if (until.isAfter(item.latest())) {
      return found(Problem.DAY_OF_SAFETY, "until", item.latest());
    }
    if (until.isBefore(today)) {
      return found(Problem.OVER, "until");
    }
    return reason.isBlank() ? found(Problem.NO_REASON_FOR_DAY, "reason") : Optional.empty();
  }

  /**
   * Looks whether a freezing record of an item may open the raw gate of its part: only if all of
   * the part lies in it, and it is frozen. A record of some of a part would open the rest of it
   * too.
   *
   * @param item the item
   * @param part what the whole part weighed
   * @return why not, or nothing
   */
  public static Optional<Finding> recording(Item item, Mass part) {
    if (item.isGone()) {
      return found(Problem.GONE, "");
    }
    if (item.state() != FoodState.FROZEN) {
      return found(Problem.NOT_FROZEN, "");
    }
    boolean whole =
        item.shelved().use().isEmpty()
            && item.shelved().trace().grams().size() == 1
            && item.shelved().trace().mass().compareTo(part) >= 0;
    return whole ? Optional.empty() : found(Problem.NOT_THE_WHOLE_PART, "");
  }

  /**
   * Returns whether an item may still hang in the rack on a day: fish that forms histamine no
   * longer than its label says, and not at all while its lot is held.
   *
   * @param item the item
   * @param lot the lot it is of
   * @param day the day
   * @return false where more days are not offered
   */
  public static boolean mayAge(Item item, Lot lot, LocalDate day) {
    return !lot.isHistamineWatched() || lot.hold().isEmpty() && !day.isAfter(item.useBy());
  }

  /**
   * Looks at something that is to go to another place or venue.
   *
   * @param item the item
   * @param spot where it is to lie
   * @return what is wrong with it, or nothing
   */
  public static Optional<Finding> moving(Item item, Shelved.Spot spot) {
    if (item.isGone()) {
      return found(Problem.GONE, "");
    }
    return item.underWay().isPresent() && item.underWay().getAsLong() != spot.venue()
        ? found(Problem.UNDER_WAY, "")
        : Optional.empty();
  }

  /**
   * Looks at something that is to be sent to another venue.
   *
   * @param item the item
   * @param venue the number of the venue
   * @return what is wrong with it, or nothing
   */
  public static Optional<Finding> sending(Item item, long venue) {
    if (item.isGone()) {
      return found(Problem.GONE, "");
    }
    if (item.underWay().isPresent()) {
      return found(Problem.UNDER_WAY, "");
    }
    return item.spot().venue() == venue ? found(Problem.THERE_ALREADY, "") : Optional.empty();
  }

  private static Optional<Finding> found(Problem what, String field, Object... figures) {
    return Optional.of(Finding.of(what, figures).at(field));
  }
}
