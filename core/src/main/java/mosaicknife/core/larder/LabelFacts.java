package mosaicknife.core.larder;

import java.util.Collection;
import mosaicknife.core.anatomy.PartClass;
import mosaicknife.core.anatomy.PartKind;
import mosaicknife.core.anatomy.Purpose;
import mosaicknife.core.anatomy.Species;
import mosaicknife.core.safety.FoodState;
import mosaicknife.core.use.FishUse;
import mosaicknife.core.use.FishUse.Caution;
import mosaicknife.core.use.FishUse.Measure;
import mosaicknife.core.use.OnHand;

/** What a label says, on the safe side where nobody wrote it down. */
public final class LabelFacts {

  private LabelFacts() {}

  /**
   * Returns whether bones are in a part. A fillet of a fish with pin bones counts as having them:
   * nobody wrote down that they were pulled. Of a fish full of fine bones only what was scraped off
   * them has none.
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
                || !species.isFullOfFineBones()
                    && (kind.is(PartKind.Trait.TRIM) || species.eating().pinBonesTo() == 0));
    return !clean && !kind.is(PartKind.Trait.SKIN);
  }

  /**
   * Returns whether bones are in what was made: where the use says so, and where pieces with bones
   * went in that were neither minced nor strained.
   *
   * @param use what was made
   * @param of what it was made of
   * @return true unless there are surely none
   */
  public static boolean bones(FishUse use, Collection<OnHand.Kind> of) {
    boolean whole = !(use.measure() instanceof Measure.Finished) && use.purpose() != Purpose.POT;
    return use.cautions().contains(Caution.BONES)
        || whole && of.stream().anyMatch(one -> bones(one.kind(), one.species()));
  }

  /**
   * Returns whether something is hot when it is made, so that a reading must say it is cold before
   * it lies on a shelf.
   *
   * @param use what was made
   * @return true of what was heated
   */
  public static boolean comesHot(FishUse use) {
    return use.kept().state().isHeated();
  }

  /**
   * Returns whether only a core that was measured makes it what it is called.
   *
   * @param use what was made
   * @return true of what was smoked hot
   */
  public static boolean needsCore(FishUse use) {
    return use.kept().state() == FoodState.HOT_SMOKED;
  }
}
