package mosaicknife.core.larder;

import java.time.Instant;
import java.time.LocalDate;
import mosaicknife.core.check.Check;
import mosaicknife.core.cost.Outlay;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.safety.FoodState;

/** Something that happened to an item on a shelf. */
public sealed interface Entry {

  /**
   * Returns when it happened.
   *
   * @return the moment
   */
  Instant at();

  /** What was taken out for. */
  enum Out {
    /** Eaten on a plate or in the pot. */
    EATEN,
    /** Made into something else that is on a shelf now. */
    MADE_INTO,
    /** Sold as it is. */
    SOLD,
    /** Composted. */
    COMPOST,
    /** Thrown away. */
    BIN,
    /** Not there when it arrived or was counted. */
    MISSING;

    /**
     * Returns whether it was of use to anybody.
     *
     * @return true if eaten, sold or made into something
     */
    public boolean isUsed() {
      return this == EATEN || this == MADE_INTO || this == SOLD;
    }

    /**
     * Returns whether it is waste that is weighed and has a reason.
     *
     * @return true if composted, thrown away or missing
     */
    public boolean isWaste() {
      return !isUsed();
    }
  }

  /**
   * Some was taken out.
   *
   * @param out what for
   * @param mass how much, positive
   * @param units how many units of it; 0 where it is counted by weight
   * @param trace which grams of which lots that was
   * @param beside what that carries of what was laid out beside the fish
   * @param reason why, for waste
   * @param at when
   */
  record Taken(
      Out out, Mass mass, long units, Trace trace, Outlay beside, String reason, Instant at)
      implements Entry {

    /** Refuses nothing taken. */
    public Taken {
      Check.notNull(out, "out");
      Check.that(mass.isPositive(), "Expected a mass above 0 g, found ", mass);
      Check.notNull(trace, "trace");
      Check.notNull(reason, "reason");
    }
  }

  /**
   * It was weighed again: what it lost went into the air or was cut off, and its money stays with
   * what is left, so that the plate pays for both.
   *
   * @param mass what it weighs now, positive
   * @param trim how much was cut off as hard or dark, beside what dried off; from 0
   * @param note what was seen: humidity, temperature, the rack
   * @param at when
   */
  record Weighed(Mass mass, Mass trim, String note, Instant at) implements Entry {

    /** Refuses less than nothing. */
    public Weighed {
      Check.that(!trim.isNegative(), "Expected trim from 0 g, found ", trim);
    }
  }

  /**
   * It lies somewhere else now.
   *
   * @param spot where
   * @param at when
   */
  record Moved(Shelved.Spot spot, Instant at) implements Entry {}

  /**
   * It was sent to another venue and is on its way.
   *
   * @param venue the number of the venue
   * @param at when
   */
  record Sent(long venue, Instant at) implements Entry {}

  /**
   * It was frozen, thawed or cooked.
   *
   * @param state what it is now
   * @param useBy until when it keeps from now on
   * @param latest the latest that day may be
   * @param at when
   */
  record Turned(FoodState state, LocalDate useBy, LocalDate latest, Instant at) implements Entry {}

  /**
   * Somebody who may moved its day.
   *
   * @param useBy its last day now
   * @param reason why
   * @param at when
   */
  record Dated(LocalDate useBy, String reason, Instant at) implements Entry {

    /** Refuses a day without a reason. */
    public Dated {
      Check.text(reason, "reason");
    }
  }
}
