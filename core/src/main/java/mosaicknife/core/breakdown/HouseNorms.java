package mosaicknife.core.breakdown;

import mosaicknife.core.check.Check;

/**
 * What the house believes before it weighs: how much is lost, how far a scale is off, how often
 * what goes wrong, how alike two sides of a fish and two fish of a lot are.
 *
 * <p>Passed in once wherever something is judged; no page and no calculation keeps a belief of its
 * own.
 *
 * @param loss what a breakdown usually loses
 * @param scale how far a reading may be off where the weighing itself does not say
 * @param habits how often what goes wrong at the bench
 * @param sides how alike two sides of one fish are
 * @param sizes how much fish of one lot differ in mass where each was not weighed, as a fraction of
 *     the mean fish (standard deviation)
 */
public record HouseNorms(
    LossNorm loss, ScaleError scale, Habits habits, Likeness sides, double sizes) {

  /** Starting estimates, until the house has fish of its own. */
  public static final HouseNorms STARTING =
      new HouseNorms(LossNorm.STARTING, ScaleError.BENCH, Habits.STARTING, Likeness.STARTING, 0.2);

  /**
   * Returns the same beliefs about a breakdown that loses otherwise.
   *
   * @param other its loss
   * @return the norms
   */
  public HouseNorms with(LossNorm other) {
    return new HouseNorms(other, scale, habits, sides, sizes);
  }

  /** Refuses sizes outside 0–1. */
  public HouseNorms {
    Check.notNull(loss, "loss");
    Check.notNull(scale, "scale");
    Check.notNull(habits, "habits");
    Check.notNull(sides, "sides");
    Check.inRange(sizes, 0, 1, "spread of sizes");
  }
}
