package mosaicknife.core.breakdown;

import mosaicknife.core.check.Check;

/**
 * How alike two sides of one fish are.
 *
 * <p>The deviation of a part from its norm is made of one that the whole fish shares and one of its
 * own: {@code z = √ρ · shared + √(1 − ρ) · own}, so that two sides have the correlation ρ.
 *
 * @param correlation ρ, from 0 to below 1
 */
public record Likeness(double correlation) {

  /** A starting estimate: most of what makes a fish meaty is the same on both of its sides. */
  public static final Likeness STARTING = new Likeness(0.9);

  /** Refuses a correlation outside 0–1, or of 1: no two sides are the same. */
  public Likeness {
    Check.inRange(correlation, 0, 0.999999, "correlation of two sides");
  }

  /**
   * Returns the weight of the deviation that the whole fish shares.
   *
   * @return √ρ
   */
  public double shared() {
    return Math.sqrt(correlation);
  }

  /**
   * Returns the weight of the deviation that a side has of its own.
   *
   * @return √(1 − ρ)
   */
  public double own() {
    return Math.sqrt(1 - correlation);
  }
}
