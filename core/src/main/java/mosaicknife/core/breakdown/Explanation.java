package mosaicknife.core.breakdown;

import java.util.Optional;
import mosaicknife.core.check.Check;
import mosaicknife.core.quantity.Mass;

/**
 * One way in which a tally that does not add up may have come about.
 *
 * @param line the identifier of the line at fault; {@link #WHOLE} where the whole fish was weighed
 *     wrong, and {@link #NO_LINE} for a part without a row
 * @param other the second line of two that belong together: their figures are exchanged, or the
 *     piece was weighed there already
 * @param cause what happened
 * @param tray the tray in question, for causes with a tare
 * @param corrected what the line should read; about what it should weigh where nobody can know
 * @param after what the tally leaves of the whole after the correction; negative if over
 * @param probability how likely it is, from 0 to 1; with "nothing happened" all ways are 1
 *     together, but that of two errors in one tally each is counted
 */
public record Explanation(
    String line,
    Optional<String> other,
    Cause cause,
    Optional<Tray> tray,
    Mass corrected,
    Mass after,
    double probability) {

  /** Stands for the whole fish in place of a line. */
  public static final String WHOLE = "(whole)";

  /** Stands for a part that has no row. */
  public static final String NO_LINE = "(none)";

  /** A mend in one tap is offered from here on. */
  private static final double MENDED_FROM = 0.6;

  /** A posterior, and how often it is right. */
  private static final double[][] HONEST = {
    {0, 0},
    {0.55, 0.55},
    {0.65, 0.64},
    {0.75, 0.7},
    {0.85, 0.8},
    {0.93, 0.905},
    {0.967, 0.93},
    {0.99, 0.966},
    {0.998, 0.98},
    {1, 0.988}
  };

  /** What can happen to one figure of a tally. */
  public enum Cause {
    /** The tray was weighed with the part. */
    TARE_NOT_TAKEN,
    /** The tray was taken off twice. */
    TARE_TAKEN_TWICE,
    /** The part has no figure although something of its mass is missing. */
    NEVER_WEIGHED,
    /** The part was counted twice. */
    WEIGHED_TWICE,
    /** A figure in pounds was taken for kilograms. */
    POUNDS_AS_KILOGRAMS,
    /** A figure in kilograms was taken for pounds. */
    KILOGRAMS_AS_POUNDS,
    /** Two digits changed places. */
    DIGITS_SWAPPED,
    /** The decimal point slipped by one place. */
    POINT_SLIPPED,
    /** The figures of two rows are exchanged. */
    ROWS_EXCHANGED,
    /** Three rows or more have each other's figures. */
    ROWS_SHIFTED,
    /** The same piece was weighed again under the name of another part. */
    UNDER_ANOTHER_NAME,
    /** A part that has no row was not weighed. */
    IN_NO_ROW,
    /** None of the others: the figure is far from what the part weighs, nobody knows why. */
    ANYTHING_ELSE,
    /** The whole fish was weighed in its tray. */
    WHOLE_ON_TRAY,
    /** The whole fish was weighed with ice or water, or its figure is too high otherwise. */
    WHOLE_TOO_HEAVY,
    /** The whole fish weighs more than was written down. */
    WHOLE_TOO_LIGHT;

    /**
     * Returns whether two causes are of one kind: both ways to get a tare wrong are.
     *
     * @param another the other cause
     * @return true if they are alike
     */
    public boolean isLike(Cause another) {
      return this == another || isTare() && another.isTare();
    }

    private boolean isTare() {
      return this == TARE_NOT_TAKEN || this == TARE_TAKEN_TWICE;
    }

    /**
     * Returns whether one tap can put it right.
     *
     * @return false where a weight has to be taken again, or rows sorted by hand
     */
    public boolean isMendable() {
      return switch (this) {
        case ROWS_SHIFTED,
            IN_NO_ROW,
            ANYTHING_ELSE,
            WHOLE_ON_TRAY,
            WHOLE_TOO_HEAVY,
            WHOLE_TOO_LIGHT ->
            false;
        default -> true;
      };
    }
  }

  /** Refuses a probability outside 0–1. */
  public Explanation {
    Check.text(line, "line");
    Check.notNull(other, "other line");
    Check.notNull(cause, "cause");
    Check.notNull(tray, "tray");
    Check.notNull(corrected, "corrected");
    Check.notNull(after, "what is left after it");
    Check.inRange(probability, 0, 1, "probability");
  }

  /**
   * Returns how likely it may be called: norms are a tenth off and one fish in ten is odd, which
   * the posterior does not know. Held against cases with such norms and such fish.
   *
   * @return from 0 to 1; the posterior less what it is too sure of
   */
  public double claimed() {
    int i = 1;
    while (probability > HONEST[i][0]) {
      i++;
    }
    double share = (probability - HONEST[i - 1][0]) / (HONEST[i][0] - HONEST[i - 1][0]);
    return HONEST[i - 1][1] + share * (HONEST[i][1] - HONEST[i - 1][1]);
  }

  /**
   * Returns whether it is likely enough, and of a kind, to be mended in one tap.
   *
   * @return true above 60 %
   */
  public boolean isMendable() {
    return cause.isMendable() && probability > MENDED_FROM;
  }
}
