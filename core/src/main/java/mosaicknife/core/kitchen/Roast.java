package mosaicknife.core.kitchen;

import java.math.RoundingMode;
import mosaicknife.core.check.Check;
import mosaicknife.core.quantity.Fraction;
import mosaicknife.core.quantity.Mass;

/**
 * A fish cooked whole, and how many it serves.
 *
 * @param whole the fish as it goes in, positive
 * @param edible what is eaten of it, uncooked, from 0 up to the whole
 * @param each what one person is served, cooked, positive
 */
public record Roast(Mass whole, Mass edible, Mass each) {

  /** What cooking takes of the flesh: a starting estimate, between 12 and 25 %. */
  public static final Fraction LOSS = Fraction.of(18, 100);

  /** Refuses a fish of nothing. */
  public Roast {
    Check.that(whole.isPositive(), "Expected a fish above 0 g, found ", whole);
    Check.that(each.isPositive(), "Expected a portion above 0 g, found ", each);
    Check.that(edible.compareTo(whole) <= 0, "Expected no more than the fish, found ", edible);
  }

  /**
   * Returns what lies on the plates.
   *
   * @return the edible mass less what cooking takes, an estimate
   */
  public Mass cooked() {
    return edible.multipliedBy(Fraction.ONE.minus(LOSS), RoundingMode.HALF_EVEN);
  }

  /**
   * Returns how many it serves.
   *
   * @return whole persons, from 0
   */
  public long serves() {
    return cooked().milligrams() / each.milligrams();
  }
}
