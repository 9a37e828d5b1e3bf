package mosaicknife.core.breakdown;

import java.util.Optional;
import mosaicknife.core.check.Check;
import mosaicknife.core.quantity.Mass;

/**
 * One way in which a tally that does not add up may have come about.
 *
 * @param line the identifier of the line at fault
 * @param cause what happened
 * @param tray the tray in question, for the two causes with a tare
 * @param corrected what the line should read; for a part never weighed, about what it should weigh
 * @param probability how likely it is, from 0 to 1, all ways and "nothing happened" together being
 *     1
 */
public record Explanation(
    String line, Cause cause, Optional<Tray> tray, Mass corrected, double probability) {

  /** What can happen to one figure of a tally. */
  public enum Cause {
    /** The tray was weighed with the part. */
    TARE_NOT_TAKEN,
    /** The tray was taken off twice. */
    TARE_TAKEN_TWICE,
    /** The part has no figure although it was taken off. */
    NEVER_WEIGHED,
    /** The part was counted twice. */
    WEIGHED_TWICE,
    /** A figure in pounds was taken for kilograms. */
    POUNDS_AS_KILOGRAMS,
    /** Two digits changed places. */
    DIGITS_SWAPPED,
    /** The decimal point slipped by one place. */
    POINT_SLIPPED;

    /**
     * Returns whether two causes are of one kind: both ways to get a tare wrong are.
     *
     * @param other the other cause
     * @return true if they are alike
     */
    public boolean isLike(Cause other) {
      return this == other || isTare() && other.isTare();
    }

    private boolean isTare() {
      return this == TARE_NOT_TAKEN || this == TARE_TAKEN_TWICE;
    }
  }

  /** Refuses a probability outside 0–1. */
  public Explanation {
    Check.text(line, "line");
    Check.notNull(cause, "cause");
    Check.notNull(tray, "tray");
    Check.notNull(corrected, "corrected");
    Check.inRange(probability, 0, 1, "probability");
  }
}
