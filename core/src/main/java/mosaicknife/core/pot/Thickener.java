package mosaicknife.core.pot;

import java.util.Optional;
import mosaicknife.core.check.Check;
import mosaicknife.core.quantity.Mass;

/**
 * Dough of butter and flour that binds a sauce or a soup; equal weights of both. It is the flour
 * that binds: one rule of grams a litre for both, a starting estimate.
 */
public enum Thickener {
  /** Kneaded butter: raw flour, cooked out after it went in; mostly sauces, at the end. */
  KNEADED_BUTTER(3, 60, 5, 10),
  /** Roux: cooked before; for soups and large pots, from the beginning. */
  ROUX(4, 90, 15, 25);

  /** From so much on a pot is bound with roux: kneaded butter bit by bit takes too long. */
  private static final double LARGE_POT = 5;

  private final int chilled;
  private final int frozen;
  private final int least;
  private final int most;

  Thickener(int chilled, int frozen, int least, int most) {
    this.chilled = chilled;
    this.frozen = frozen;
    this.least = least;
    this.most = most;
  }

  /**
   * Returns what else usually binds so much: roux a large pot, kneaded butter a sauce.
   *
   * @param litres the litres to bind, above 0
   * @return the other one; empty if this is usual
   */
  public Optional<Thickener> otherwise(double litres) {
    Thickener usual = litres >= LARGE_POT ? ROUX : KNEADED_BUTTER;
    return Optional.of(usual).filter(other -> other != this);
  }

  /**
   * Returns for how many days packs of it keep.
   *
   * @param isFrozen whether they lie in the freezer; else in the fridge
   * @return the days, a starting estimate; the house and its code may say fewer
   */
  public int keeps(boolean isFrozen) {
    return isFrozen ? frozen : chilled;
  }

  /** How thick it gets, by the flour a litre takes. */
  public enum Body {
    /** It just coats. */
    LIGHT(25),
    /** A sauce. */
    MEDIUM(40),
    /** It stands. */
    HEAVY(60);

    private final int flour;

    Body(int flour) {
      this.flour = flour;
    }
  }

  /**
   * What a day takes.
   *
   * @param dough the dough
   * @param butter the butter in it
   * @param flour the flour in it
   * @param packs how many packs that is, rounded up
   * @param least the fewest minutes it simmers until the flour is cooked out
   * @param most the most minutes
   */
  public record Need(Mass dough, Mass butter, Mass flour, int packs, int least, int most) {}

  /**
   * Works out how much.
   *
   * @param litres the litres to bind, above 0 up to 500
   * @param body how thick
   * @param pack what one pack weighs, positive
   * @return the dough, half butter and half flour; a starting estimate
   */
  public Need of(double litres, Body body, Mass pack) {
    Check.that(litres > 0 && litres <= 500, "Expected litres from 0 to 500, found ", litres);
    Check.that(pack.isPositive(), "Expected a pack above 0 g, found ", pack);
    Mass flour = Mass.ofGrams(Math.round(litres * body.flour));
    Mass dough = flour.multipliedBy(2);
    long packs = (dough.milligrams() + pack.milligrams() - 1) / pack.milligrams();
    return new Need(dough, flour, flour, Math.toIntExact(packs), least, most);
  }
}
