package mosaicknife.core.lot;

import mosaicknife.core.check.Check;
import mosaicknife.core.quantity.Fraction;
import mosaicknife.core.quantity.Mass;

/**
 * How much of a part was put on a shelf, and how much of that was really used since. A by-product
 * earns its credit with the grams that were used, never by hope.
 *
 * @param in what was put on a shelf, from 0 g
 * @param used what was eaten, sold or made into something of it, from 0 g
 */
public record OnShelf(Mass in, Mass used) {

  /** Nothing of it lies on a shelf. */
  public static final OnShelf NOTHING = new OnShelf(Mass.ZERO, Mass.ZERO);

  /** Refuses masses below nothing. */
  public OnShelf {
    Check.that(!in.isNegative() && !used.isNegative(), "Expected masses from 0 g");
  }

  /**
   * Returns which share of a part was really taken: what never lay on a shelf, and what was used.
   *
   * @param whole the mass of the part, positive
   * @return the share, from 0 to 1
   */
  public Fraction taken(Mass whole) {
    if (!in.isPositive()) {
      return Fraction.ONE;
    }
    Mass waiting = in.minus(used);
    if (!waiting.isPositive()) {
      return Fraction.ONE;
    }
    return waiting.compareTo(whole) >= 0 ? Fraction.ZERO : whole.minus(waiting).dividedBy(whole);
  }
}
