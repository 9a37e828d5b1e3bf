package mosaicknife.core.lot;

import mosaicknife.core.portion.WholePortions;

/**
 * The plates of a sheet, counted when they are asked for first: every page asks, and of the same
 * sheet they are the same. All of them are equal, for they say nothing that the sheet does not.
 */
final class CountedOnce {

  private volatile WholePortions known;

  WholePortions of(LotPortions plates) {
    WholePortions counted = known;
    if (counted == null) {
      counted = plates.counted();
      known = counted;
    }
    return counted;
  }

  @Override
  public boolean equals(Object other) {
    return other instanceof CountedOnce;
  }

  @Override
  public int hashCode() {
    return 1;
  }
}
