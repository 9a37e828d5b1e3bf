package mosaicknife.core.use;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mosaicknife.core.anatomy.Eating;
import mosaicknife.core.anatomy.Eating.Flesh;
import mosaicknife.core.anatomy.Hazard;
import mosaicknife.core.anatomy.Species.Trait;
import mosaicknife.core.finding.Finding;
import mosaicknife.core.safety.Fitness;
import mosaicknife.core.use.FishUse.Equipment;
import mosaicknife.core.use.FishUse.Need;

/** Why a part may not become something. An empty list of reasons means that it may. */
public final class Qualification {

  private Qualification() {}

  /** A reason why not. */
  public enum WhyNot {
    /** The use is not made of this kind of part. */
    OTHER_KIND,
    /** Somebody must decide about the lot first. */
    HELD,
    /** What is in it is never food: the hazard. */
    POISON,
    /** Its last day is over. */
    OVER,
    /** The lot was refused. */
    REFUSED,
    /** The inspection says pot only. */
    POT_ONLY,
    /** Nobody has inspected the lot, and this is raw. */
    NOT_INSPECTED,
    /** Older than the use allows: its days, the days allowed. */
    TOO_OLD,
    /** Pieces too light: one piece, the lightest. */
    TOO_LIGHT,
    /** The scales are still on, and this is eaten with its skin. */
    UNSCALED,
    /** Farmed: poor for this stock. */
    FARMED,
    /** Oily: clouds and tastes in this. */
    OILY,
    /** Too lean for this. */
    LEAN,
    /** Gills or guts are still on it. */
    GILLS_IN,
    /** The head is too small to pick: the fish, the lightest. */
    NO_HEAD_TO_PICK,
    /** This skin is not eaten. */
    SKIN_NOT_EATEN,
    /** No freezing record and no exemption. */
    RAW_GATE_CLOSED,
    /** It was frozen once and does not go back. */
    THAWED
  }

  /**
   * Looks whether a part may become something.
   *
   * @param use what it would become
   * @param part the part
   * @return the reasons why not, the first the one that decides; empty if it may
   */
  public static List<Finding> whyNot(FishUse use, OnHand part) {
    return use.kinds().contains(part.kind().code())
        ? reasons(use, part)
        : List.of(Finding.of(WhyNot.OTHER_KIND, part.kind().name()));
  }

  private static List<Finding> reasons(FishUse use, OnHand part) {
    List<Finding> reasons = new ArrayList<>();
    Hazard.closing(part.species(), part.kind().code())
        .ifPresent(hazard -> reasons.add(Finding.of(WhyNot.POISON, hazard)));
    fitness(use, part).ifPresent(reasons::add);
    if (use.oldest().isPresent() && part.days() > use.oldest().getAsInt()) {
      reasons.add(Finding.of(WhyNot.TOO_OLD, part.days(), use.oldest().getAsInt()));
    }
    use.lightest()
        .filter(lightest -> part.piece().compareTo(lightest) < 0)
        .ifPresent(lightest -> reasons.add(Finding.of(WhyNot.TOO_LIGHT, part.piece(), lightest)));
    if (part.condition().thawed() && use.work().equipment() == Equipment.FREEZER) {
      reasons.add(Finding.of(WhyNot.THAWED));
    }
    for (Need need : Need.values()) {
      if (use.needs().contains(need)) {
        missing(need, part).ifPresent(reasons::add);
      }
    }
    return List.copyOf(reasons);
  }

  /**
   * Returns whether a part may become something.
   *
   * @param use what it would become
   * @param part the part
   * @return true without a reason against it
   */
  public static boolean qualifies(FishUse use, OnHand part) {
    return whyNot(use, part).isEmpty();
  }

  /**
   * Returns whether a part may be added to something that is too lean without it: fat of belly or
   * skin, of this fish or another.
   *
   * @param use what it would be added to
   * @param part the part
   * @return true if it is fatter than wanted, no meat of the use, and nothing else is against it
   */
  public static boolean fattens(FishUse use, OnHand part) {
    return use.fat().filter(wanted -> UseCatalogue.fat(part).compareTo(wanted) > 0).isPresent()
        && UseCatalogue.isFat(part.kind())
        && !use.kinds().contains(part.kind().code())
        && reasons(use, part).isEmpty();
  }

  private static Optional<Finding> fitness(FishUse use, OnHand part) {
    if (part.condition().held()) {
      return found(WhyNot.HELD);
    }
    if (part.condition().over()) {
      return found(WhyNot.OVER);
    }
    Optional<Fitness> fit = part.condition().fitness();
    if (fit.filter(Fitness.REFUSE::equals).isPresent()) {
      return found(WhyNot.REFUSED);
    }
    boolean potOnly = fit.filter(Fitness.POT::equals).isPresent();
    if (potOnly && use.work().equipment() != Equipment.KETTLE) {
      return found(WhyNot.POT_ONLY);
    }
    return use.raw() && fit.isEmpty() ? found(WhyNot.NOT_INSPECTED) : Optional.empty();
  }

  private static Optional<Finding> missing(Need need, OnHand part) {
    Eating eating = part.species().eating();
    OnHand.Condition condition = part.condition();
    return switch (need) {
      case SCALED ->
          unless(condition.scaled() || eating.scales() == Eating.Scales.NONE, WhyNot.UNSCALED);
      case NOT_FARMED -> unless(!condition.farmed(), WhyNot.FARMED);
      case NOT_OILY -> unless(eating.flesh() != Flesh.OILY, WhyNot.OILY);
      case OILY -> unless(eating.flesh() != Flesh.WHITE, WhyNot.LEAN);
      case GILLS_OUT -> unless(!condition.soiled(), WhyNot.GILLS_IN);
      case HEAD_TO_PICK ->
          part.fish().filter(fish -> fish.compareTo(eating.headFrom()) < 0).isPresent()
              ? found(WhyNot.NO_HEAD_TO_PICK, part.fish().get(), eating.headFrom())
              : Optional.empty();
      case SKIN_EATEN -> unless(eating.skin() != Eating.Skin.NO, WhyNot.SKIN_NOT_EATEN);
      case RAW_GATE -> unless(condition.rawOpen() && !isNeverRaw(part), WhyNot.RAW_GATE_CLOSED);
    };
  }

  private static boolean isNeverRaw(OnHand part) {
    return part.species().traits().contains(Trait.TOXIC_BLOOD);
  }

  private static Optional<Finding> unless(boolean met, WhyNot why) {
    return met ? Optional.empty() : found(why);
  }

  private static Optional<Finding> found(WhyNot why, Object... figures) {
    return Optional.of(Finding.of(why, figures));
  }
}
