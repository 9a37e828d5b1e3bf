package mosaicknife.core.anatomy;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import mosaicknife.core.anatomy.Species.MassRange;
import mosaicknife.core.anatomy.Species.Trait;
import mosaicknife.core.anatomy.StartingFigures.HeadSize;
import mosaicknife.core.anatomy.StartingFigures.Ribs;
import mosaicknife.core.check.Check;
import mosaicknife.core.finding.Finding;
import mosaicknife.core.quantity.Mass;

/**
 * A fish nobody here knows, described by what the eye sees. It becomes a species with the norms of
 * fish built alike, widened, and with every caution that such a fish may need.
 *
 * @param plan the body plan it looks like
 * @param ribs how its ribs stand under the knife
 * @param head how large its head is
 * @param flesh its flesh
 * @param one what one weighs
 */
public record UnknownFish(BodyPlan plan, Ribs ribs, HeadSize head, Eating.Flesh flesh, Mass one) {

  /** An unknown fish is known this much worse than the usual one of its body plan. */
  private static final double WIDENING = 1.6;

  private static final Mass LIGHTEST = Mass.ofGrams(10);
  private static final Mass HEAVIEST = Mass.ofGrams(400_000);

  /** Flesh of medium firmness and taste, few scales, pin bones to the middle; starting values. */
  private static final double PIN_BONES_TO = 0.45;

  private static final Mass HEAD_WORTH_EATING = Mass.ofKilograms("2");
  private static final double SKIN_SHARE = 0.08;

  /** What cannot be right about it. */
  public enum Problem {
    /** Nobody cuts a fish of that mass: least, most. */
    MASS
  }

  /** Refuses what is missing. */
  public UnknownFish {
    Check.notNull(plan, "plan");
    Check.notNull(ribs, "ribs");
    Check.notNull(head, "head");
    Check.notNull(flesh, "flesh");
    Check.notNull(one, "mass");
  }

  /**
   * Looks at the mass.
   *
   * @return that no fish to be cut weighs so; empty if one may
   */
  public Optional<Finding> problem() {
    return one.compareTo(LIGHTEST) < 0 || one.compareTo(HEAVIEST) > 0
        ? Optional.of(Finding.of(Problem.MASS, LIGHTEST, HEAVIEST).at("mass"))
        : Optional.empty();
  }

  /**
   * Makes a species of it.
   *
   * @param code its lasting identifier
   * @param name what the house calls it
   * @param usual the usual shares of its body plan
   * @return the species: never for raw without freezing, kept cold if it is oily
   */
  public Species toSpecies(String code, String name, List<Share> usual) {
    Mass half = Mass.ofMilligrams(one.milligrams() / 2);
    Mass twice = one.multipliedBy(2);
    return new Species(
        code,
        name,
        "unknown",
        List.of(),
        plan,
        flesh == Eating.Flesh.OILY
            ? Set.of(Trait.PARASITES, Trait.HISTAMINE)
            : Set.of(Trait.PARASITES),
        new Eating(
            flesh,
            Eating.Texture.FIRM,
            Eating.Flavour.MEDIUM,
            Eating.Skin.SOFT,
            Eating.Scales.FEW,
            PIN_BONES_TO,
            HEAD_WORTH_EATING,
            SKIN_SHARE),
        new MassRange(half, twice),
        List.of(new SizeGrade(half, twice)),
        Season.ALL_YEAR,
        StartingFigures.guess(usual, ribs, head).applyTo(usual, WIDENING));
  }
}
