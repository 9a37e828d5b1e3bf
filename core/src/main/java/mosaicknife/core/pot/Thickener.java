package mosaicknife.core.pot;

import mosaicknife.core.check.Check;
import mosaicknife.core.quantity.Mass;

/** Dough of butter and flour that binds a sauce or a soup; equal weights of both. */
public enum Thickener {
  /** Kneaded butter: raw flour, cooked out after it went in; mostly sauces. */
  KNEADED_BUTTER(20, 35, 50, 3, 60),
  /** Roux: cooked before; for soups, and more of it. */
  ROUX(60, 90, 120, 4, 90);

  private final int light;
  private final int medium;
  private final int heavy;
  private final int chilled;
  private final int frozen;

  Thickener(int light, int medium, int heavy, int chilled, int frozen) {
    this.chilled = chilled;
    this.frozen = frozen;
    this.light = light;
    this.medium = medium;
    this.heavy = heavy;
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

  /** How thick it gets. */
  public enum Body {
    /** It just coats. */
    LIGHT,
    /** A sauce. */
    MEDIUM,
    /** It stands. */
    HEAVY
  }

  /**
   * What a day takes.
   *
   * @param dough the dough
   * @param butter the butter in it
   * @param flour the flour in it
   * @param packs how many packs that is, rounded up
   */
  public record Need(Mass dough, Mass butter, Mass flour, int packs) {}

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
    int grams = body == Body.LIGHT ? light : body == Body.MEDIUM ? medium : heavy;
    Mass dough = Mass.ofGrams(Math.round(litres * grams));
    Mass half = Mass.ofMilligrams(dough.milligrams() / 2);
    long packs = (dough.milligrams() + pack.milligrams() - 1) / pack.milligrams();
    return new Need(dough, half, dough.minus(half), Math.toIntExact(packs));
  }
}
