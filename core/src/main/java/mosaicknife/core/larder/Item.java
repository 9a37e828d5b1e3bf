package mosaicknife.core.larder;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.function.Predicate;
import mosaicknife.core.check.Check;
import mosaicknife.core.cost.Outlay;
import mosaicknife.core.finding.Finding;
import mosaicknife.core.quantity.Fraction;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.safety.FoodState;

/**
 * An item on a shelf as it is now, folded from what was put there and what happened since.
 *
 * @param shelved what was put there
 * @param entries what happened, in order
 * @param mass what is left
 * @param units how many units are left; 0 if it is counted by weight or gone
 * @param trace which grams of which lots are left in it
 * @param beside what was laid out beside the fish, as far as it is left
 * @param state what was done to it last
 * @param useBy the last day to use it
 * @param latest the latest that day may be, whoever moves it
 * @param spot where it lies, or where it was sent from
 * @param underWay the venue it was sent to and has not arrived at
 */
public record Item(
    Shelved shelved,
    List<Entry> entries,
    Mass mass,
    long units,
    Trace trace,
    Outlay beside,
    FoodState state,
    LocalDate useBy,
    LocalDate latest,
    Shelved.Spot spot,
    OptionalLong underWay) {

  /** The note by which a weight of a stock-take is known. */
  public static final String STOCK_TAKE = "stock-take";

  /** Copies the entries. */
  public Item {
    entries = List.copyOf(entries);
    Check.that(!mass.isNegative(), "Expected a mass from 0 g, found ", mass);
    Check.that(units >= 0, "Expected units from 0, found ", units);
  }

  /**
   * Folds an item.
   *
   * @param shelved what was put there
   * @param entries what happened, in order
   * @return the item as it is after the last entry
   */
  public static Item of(Shelved shelved, List<Entry> entries) {
    Item item =
        new Item(
            shelved,
            List.of(),
            shelved.mass(),
            shelved.units(),
            shelved.trace(),
            shelved.beside(),
            shelved.state(),
            shelved.useBy(),
            shelved.latest(),
            shelved.spot(),
            OptionalLong.empty());
    for (Entry entry : entries) {
      item = item.after(entry);
    }
    return new Item(
        shelved,
        entries,
        item.mass,
        item.units,
        item.trace,
        item.beside,
        item.state,
        item.useBy,
        item.latest,
        item.spot,
        item.underWay);
  }

  private Item after(Entry entry) {
    if (entry instanceof Entry.Taken taken) {
      return with(
          mass.minus(taken.mass()),
          units - taken.units(),
          trace.minus(taken.trace()),
          beside.minus(taken.beside()));
    }
    if (entry instanceof Entry.Weighed weighed) {
      return with(weighed.mass(), units, trace, beside);
    }
    if (entry instanceof Entry.Sent sent) {
      return at(spot, OptionalLong.of(sent.venue()));
    }
    if (entry instanceof Entry.Moved moved) {
      return at(moved.spot(), OptionalLong.empty());
    }
    if (entry instanceof Entry.Dated dated) {
      return until(state, dated.useBy(), latest);
    }
    Entry.Turned turned = (Entry.Turned) entry;
    return until(turned.state(), turned.useBy(), turned.latest());
  }

  private Item until(FoodState now, LocalDate day, LocalDate last) {
    return new Item(shelved, entries, mass, units, trace, beside, now, day, last, spot, underWay);
  }

  private Item with(Mass left, long unitsLeft, Trace traceLeft, Outlay besideLeft) {
    return new Item(
        shelved,
        entries,
        left,
        unitsLeft,
        traceLeft,
        besideLeft,
        state,
        useBy,
        latest,
        spot,
        underWay);
  }

  private Item at(Shelved.Spot other, OptionalLong to) {
    return new Item(shelved, entries, mass, units, trace, beside, state, useBy, latest, other, to);
  }

  /**
   * Returns whether nothing is left of it.
   *
   * @return true without a gram
   */
  public boolean isGone() {
    return !mass.isPositive();
  }

  /**
   * Returns whether it is counted in units.
   *
   * @return false if it is taken by weight
   */
  public boolean isCounted() {
    return shelved.units() > 0;
  }

  /**
   * Returns whether a core made it cooked once, whatever was done to it after.
   *
   * @return true if heating it again gives it no new days
   */
  public boolean wasHeated() {
    return was(FoodState::isHeated);
  }

  /**
   * Returns whether it ever was in some state.
   *
   * @param state which
   * @return true if it is, or was before it was turned
   */
  boolean was(Predicate<FoodState> state) {
    return state.test(shelved.state())
        || entries.stream()
            .anyMatch(e -> e instanceof Entry.Turned turned && state.test(turned.state()));
  }

  /**
   * Returns whether its mass is only what the recipe says.
   *
   * @return true until somebody weighs it
   */
  public boolean isEstimated() {
    return shelved.traits().estimated()
        && entries.stream().noneMatch(Entry.Weighed.class::isInstance);
  }

  /**
   * Returns whether its last day can be moved at all.
   *
   * @param today the day
   * @return false once the latest it may be is over
   */
  public boolean isMovable(LocalDate today) {
    return !isGone() && !latest.isBefore(today);
  }

  /**
   * Returns how many days are left.
   *
   * @param today the day
   * @return the days, 0 on the last one, below 0 if it is over
   */
  public long daysLeft(LocalDate today) {
    return today.until(useBy, java.time.temporal.ChronoUnit.DAYS);
  }

  /**
   * Works out what is taken with so much of it. The last of it takes all that is left.
   *
   * @param some the mass, positive, up to what is left
   * @param out what for
   * @param reason why, for waste; possibly empty
   * @param when when
   * @return the entry to write down
   */
  public Entry.Taken taking(Mass some, Entry.Out out, String reason, java.time.Instant when) {
    boolean all = some.equals(mass);
    Fraction share = some.dividedBy(mass);
    long taken =
        all
            ? units
            : Fraction.of(units, 1)
                .multipliedBy(share)
                .toDecimal(0, java.math.RoundingMode.HALF_UP)
                .longValueExact();
    return new Entry.Taken(
        out,
        some,
        taken,
        all ? trace : trace.share(share),
        all ? beside : beside.multipliedBy(share),
        reason,
        when);
  }

  /**
   * Returns what so many units weigh.
   *
   * @param some how many, up to what is left
   * @return their mass; all that is left for the last ones
   */
  public Mass massOf(long some) {
    return some == units
        ? mass
        : mass.multipliedBy(Fraction.of(some, units), java.math.RoundingMode.HALF_EVEN);
  }

  /**
   * Returns what it lost in the air so far.
   *
   * @return first weight less every reweighing, of what was there then; zero if it was never
   *     weighed again
   */
  public Mass dried() {
    Mass lost = Mass.ZERO;
    Mass before = shelved.mass();
    for (Entry entry : entries) {
      if (entry instanceof Entry.Taken taken) {
        before = before.minus(taken.mass());
      } else if (entry instanceof Entry.Weighed weighed) {
        lost = lost.plus(before.minus(weighed.mass()));
        before = weighed.mass();
      }
    }
    return lost;
  }

  /**
   * Returns when it was counted last.
   *
   * @return the moment of the last stock-take; empty if it never was
   */
  public Optional<java.time.Instant> counted() {
    return entries.stream()
        .filter(e -> e instanceof Entry.Weighed weighed && weighed.note().equals(STOCK_TAKE))
        .map(Entry::at)
        .reduce((first, last) -> last);
  }

  /**
   * Says what is to be done about it.
   *
   * @param today the day
   * @return that it is over, lapses today, or is on its way; empty if nothing is to be done
   */
  public Optional<Finding> due(LocalDate today) {
    if (isGone()) {
      return Optional.empty();
    }
    if (daysLeft(today) < 0) {
      return Optional.of(Finding.of(Due.OVERDUE, shelved.name(), useBy));
    }
    if (underWay.isPresent()) {
      return Optional.of(Finding.of(Due.UNDER_WAY, shelved.name()));
    }
    if (daysLeft(today) == 0) {
      return Optional.of(Finding.of(Due.TODAY, shelved.name()));
    }
    return state == FoodState.FROZEN && daysLeft(today) <= 1
        ? Optional.of(Finding.of(Due.THAW_TONIGHT, shelved.name()))
        : Optional.empty();
  }

  /** What is to be done about an item. */
  public enum Due {
    /** Its last day is over: its name, the day. */
    OVERDUE,
    /** Today is its last day. */
    TODAY,
    /** It was sent and nobody has received it. */
    UNDER_WAY,
    /** To be thawed tonight for its last day. */
    THAW_TONIGHT
  }
}
