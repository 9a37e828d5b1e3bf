package mosaicknife.core.scale;

import java.time.Duration;
import java.time.Instant;
import java.util.UUID;
import mosaicknife.core.check.Check;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.scale.ScaleReading.Motion;

/**
 * What lies on the pan and was taken: until that is gone it is not taken once more.
 *
 * <p>Scales differ. Some send twenty readings a second with every swing, some one a second, some
 * only when they stand still; so nothing leans on a figure that is seen to move. It is gone when
 * less lies there than can be taken, when the figure stands still at something clearly else (a
 * fillet that drips is not the next part), or when a tare was set. A hand that shakes the pan while
 * it taps twice takes one: nothing ends in the first two seconds.
 *
 * @param weighing the weighing it was taken for
 * @param gross what the scale showed
 * @param tare what was taken off
 * @param step the step of its display
 * @param at when it was taken
 * @param over whether it was seen to be gone
 */
public record Claim(UUID weighing, Mass gross, Mass tare, Mass step, Instant at, boolean over) {

  /** The least that can be taken: with less on the pan a part is gone. */
  public static final Mass LEAST = Mass.ofGrams(2);

  /** Two taps within this are one. */
  public static final Duration TWO_TAPS = Duration.ofSeconds(2);

  private static final int STEPS = 3;
  private static final int HUNDRED = 100;

  /** Refuses what is missing. */
  public Claim {
    Check.notNull(weighing, "weighing");
    Check.notNull(gross, "gross");
    Check.notNull(tare, "tare");
    Check.that(step.isPositive(), "Expected a step above 0 g, found ", step);
    Check.notNull(at, "moment");
  }

  /**
   * Takes what a scale shows.
   *
   * @param weighing the weighing it is for
   * @param reading what the scale shows
   * @param at when
   * @return the claim
   */
  public static Claim of(UUID weighing, ScaleReading reading, Instant at) {
    return new Claim(weighing, reading.gross(), reading.tare(), reading.readability(), at, false);
  }

  /**
   * Returns how far another figure may lie off and still be the same part.
   *
   * @return three steps of the display, or a hundredth of what was taken if that is more
   */
  public Mass slack() {
    Mass steps = step.multipliedBy(STEPS);
    Mass share = Mass.ofMilligrams(gross.minus(tare).abs().milligrams() / HUNDRED);
    return share.compareTo(steps) > 0 ? share : steps;
  }

  /**
   * Returns the figure below which a part is gone.
   *
   * @return the tare and the least that can be taken
   */
  public Mass least() {
    return tare.plus(LEAST);
  }

  /**
   * Looks whether a reading shows that the part is gone.
   *
   * @param reading what the scale shows next
   * @return the claim, over if it does
   */
  public Claim after(ScaleReading reading) {
    boolean gone =
        !reading.tare().equals(tare)
            || reading.gross().compareTo(least()) < 0
            || reading.motion() == Motion.STEADY
                && reading.gross().minus(gross).abs().compareTo(slack()) > 0;
    return gone && !over ? new Claim(weighing, gross, tare, step, at, true) : this;
  }

  /**
   * Returns whether what lies there is still taken.
   *
   * @param now the moment
   * @return true until it is gone, and for two seconds whatever the scale shows
   */
  public boolean holds(Instant now) {
    return !over || now.isBefore(at.plus(TWO_TAPS));
  }
}
