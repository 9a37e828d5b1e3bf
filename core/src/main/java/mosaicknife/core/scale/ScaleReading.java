package mosaicknife.core.scale;

import mosaicknife.core.check.Check;
import mosaicknife.core.quantity.Mass;

/**
 * What a scale shows at one moment.
 *
 * @param gross everything on the pan since the last zero; may be negative
 * @param tare what is taken off as container
 * @param motion whether the figure can be trusted
 * @param readability the step of the display, positive
 */
public record ScaleReading(Mass gross, Mass tare, Motion motion, Mass readability) {

  /** Refuses a reading without step. */
  public ScaleReading {
    Check.notNull(gross, "gross");
    Check.notNull(tare, "tare");
    Check.notNull(motion, "motion");
    Check.that(readability.isPositive(), "Expected a readability above 0 g, found ", readability);
  }

  /** Whether the figure can be trusted. */
  public enum Motion {
    /** The figure stands still: it may be taken. */
    STEADY,
    /** The figure still moves. */
    MOVING,
    /** More lies on the pan than the scale can carry: there is no figure. */
    OVERLOADED
  }

  /**
   * Returns what is on the pan without the container.
   *
   * @return gross less tare
   */
  public Mass net() {
    return gross.minus(tare);
  }

  /**
   * Returns whether this reading may be taken as a weight.
   *
   * @return true if it is steady and above zero
   */
  public boolean isTakeable() {
    return motion == Motion.STEADY && net().isPositive();
  }
}
