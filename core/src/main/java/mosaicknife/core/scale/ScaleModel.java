package mosaicknife.core.scale;

import java.util.random.RandomGenerator;
import mosaicknife.core.check.Check;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.scale.ScaleReading.Motion;

/**
 * A model of a bench scale: it swings after the load changed, settles, and trembles a little.
 *
 * <p>After a change the figure is load + change · e^(−t/τ) · cos(ωt), plus Gaussian noise, rounded
 * to the step of the display. It is steady once the swing is below a quarter of a step, and not
 * before {@value #SHORTEST_WAIT_MILLIS} ms, the wait of a real display filter.
 *
 * @param readability the step of the display, positive
 * @param capacity the most it can carry, above the step
 * @param noise the standard deviation of a still reading in steps, from 0 to 1
 */
public record ScaleModel(Mass readability, Mass capacity, double noise) {

  private static final double TAU_MILLIS = 140;
  private static final double SWING_MILLIS = 260;
  private static final int SHORTEST_WAIT_MILLIS = 350;

  /** Refuses a scale that can carry nothing. */
  public ScaleModel {
    Check.that(readability.isPositive(), "Expected a readability above 0 g, found ", readability);
    Check.that(
        capacity.compareTo(readability) > 0, "Expected a capacity above a step, found ", capacity);
    Check.inRange(noise, 0, 1, "noise");
  }

  /**
   * What lies on the pan and since when.
   *
   * @param before what lay there before the change
   * @param now what lies there since
   * @param changedAtMillis when it changed, in milliseconds of any clock
   */
  public record Load(Mass before, Mass now, long changedAtMillis) {}

  /**
   * Returns what the scale shows.
   *
   * @param load what lies on the pan
   * @param tare what is taken off
   * @param atMillis the time, on the clock of the load
   * @param random where the noise comes from
   * @return the reading
   */
  public ScaleReading reading(Load load, Mass tare, long atMillis, RandomGenerator random) {
    if (load.now().compareTo(capacity) > 0) {
      return new ScaleReading(capacity, tare, Motion.OVERLOADED, readability);
    }
    double step = readability.milligrams();
    double elapsed = Math.max(0, atMillis - load.changedAtMillis());
    double swing =
        Math.abs(load.now().minus(load.before()).milligrams()) * Math.exp(-elapsed / TAU_MILLIS);
    boolean steady = swing < step / 4 && elapsed >= SHORTEST_WAIT_MILLIS;
    // the display filter of a scale holds a steady figure still: no rest of the swing, no tremble
    double off = steady ? 0 : swingAt(load, elapsed) + random.nextGaussian() * noise * step;
    long steps = Math.round((load.now().milligrams() + off) / step);
    return new ScaleReading(
        readability.multipliedBy(steps), tare, steady ? Motion.STEADY : Motion.MOVING, readability);
  }

  private static double swingAt(Load load, double elapsed) {
    double change = load.before().minus(load.now()).milligrams() * Math.exp(-elapsed / TAU_MILLIS);
    return change * Math.cos(2 * Math.PI * elapsed / SWING_MILLIS);
  }
}
