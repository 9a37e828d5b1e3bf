package mosaicknife.core.buying;

import java.math.RoundingMode;
import mosaicknife.core.check.Check;
import mosaicknife.core.quantity.Fraction;
import mosaicknife.core.quantity.Mass;

/**
 * The bones that come with an order against the stock that the kitchen asks for.
 *
 * @param bones the bones that come, fit for a clear stock
 * @param litres the litres wanted, from 0 to 500
 */
public record StockNeed(Mass bones, double litres) {

  /** Bones packed for one litre of finished stock; a starting estimate. */
  private static final long GRAMS_A_LITRE = 550;

  /** Refuses litres out of range. */
  public StockNeed {
    Check.notNull(bones, "bones");
    Check.inRange(litres, 0, 500, "litres of stock");
  }

  /**
   * Returns the bones that the wanted litres take.
   *
   * @return the mass
   */
  public Mass wanted() {
    return Mass.ofGrams(GRAMS_A_LITRE)
        .multipliedBy(Fraction.of(Math.round(litres * 1000), 1000), RoundingMode.HALF_EVEN);
  }

  /**
   * Returns the litres that the bones give.
   *
   * @return the litres
   */
  public double possible() {
    return bones.milligrams() / 1000.0 / GRAMS_A_LITRE;
  }

  /**
   * Returns the bones beyond what is wanted: a surplus that needs a plan.
   *
   * @return the mass, zero if there are not enough
   */
  public Mass surplus() {
    Mass over = bones.minus(wanted());
    return over.isPositive() ? over : Mass.ZERO;
  }
}
