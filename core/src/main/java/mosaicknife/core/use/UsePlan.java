package mosaicknife.core.use;

import java.util.List;
import mosaicknife.core.check.Check;
import mosaicknife.core.finding.Finding;
import mosaicknife.core.quantity.Mass;

/**
 * The plan: what is made where of which grams, and what is left with the reason.
 *
 * @param makings what is made, in the order of the wishes
 * @param left what finds no use
 * @param worth what all units are worth together, as {@link PlanQuestion.Wanted#worth}
 * @param bound no plan can be worth more than this
 */
public record UsePlan(List<Making> makings, List<Left> left, long worth, long bound) {

  /** Copies the lists. */
  public UsePlan {
    makings = List.copyOf(makings);
    left = List.copyOf(left);
    Check.that(bound >= worth, "Expected a bound from %d, found %d".formatted(worth, bound));
  }

  /**
   * Returns whether no better plan exists.
   *
   * @return true if that was proved
   */
  public boolean isProved() {
    return worth == bound;
  }

  /**
   * What is made of one use at one venue.
   *
   * @param wanted the use and the venue
   * @param units how many whole units
   * @param from the grams it takes
   */
  public record Making(PlanQuestion.Wanted wanted, long units, List<Grams> from) {

    /** Copies the grams. */
    public Making {
      from = List.copyOf(from);
    }

    /**
     * Returns the fish in it.
     *
     * @return the sum of the grams
     */
    public Mass mass() {
      return Mass.total(from.stream().map(Grams::mass).toList());
    }
  }

  /**
   * Grams of a part.
   *
   * @param part the part
   * @param mass how much of it
   * @param locked whether somebody decided that by hand
   */
  public record Grams(OnHand part, Mass mass, boolean locked) {}

  /** Why something is left. */
  public enum Why {
    /** It qualifies for nothing that is wanted: the reason of the nearest use. */
    NOTHING_FITS,
    /** What it fits is not wanted any more. */
    NOT_WANTED,
    /** Less than one unit. */
    LESS_THAN_A_UNIT,
    /** The equipment is full: which. */
    NO_ROOM,
    /** The last hour comes before it is ready. */
    TOO_LATE,
    /** No hands are left. */
    NO_HANDS,
    /** What it would become is worth less than the work and what goes in. */
    NOT_WORTH_IT
  }

  /** What is done with the rest, the first that can be. */
  public enum Next {
    /** To the freezer. */
    FREEZE,
    /** To the compost. */
    COMPOST
  }

  /**
   * What finds no use.
   *
   * @param part the part
   * @param mass how much of it
   * @param why the reason
   * @param next the next best
   */
  public record Left(OnHand part, Mass mass, Finding why, Next next) {}
}
