package mosaicknife.core.larder;

import mosaicknife.core.anatomy.PartClass;
import mosaicknife.core.anatomy.PartKind;
import mosaicknife.core.anatomy.Species;

/** What a label says of a part as it was cut. */
public final class LabelFacts {

  private LabelFacts() {}

  /**
   * Returns whether bones are in a part. A fillet of a fish with pin bones counts as having them:
   * nobody wrote down that they were pulled.
   *
   * @param kind its kind
   * @param species the fish
   * @return true unless there are surely none
   */
  public static boolean bones(PartKind kind, Species species) {
    boolean clean =
        kind.nature() == PartClass.FLESH
            && !kind.is(PartKind.Trait.EATEN_IN_PART)
            && (kind.is(PartKind.Trait.SCRAPED)
                || kind.is(PartKind.Trait.TRIM)
                || species.eating().pinBonesTo() == 0);
    return !clean && !kind.is(PartKind.Trait.SKIN);
  }
}
