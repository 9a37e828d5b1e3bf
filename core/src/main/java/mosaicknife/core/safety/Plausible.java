package mosaicknife.core.safety;

import java.util.Optional;
import mosaicknife.core.anatomy.BodyPlan;
import mosaicknife.core.anatomy.Species;
import mosaicknife.core.finding.Finding;
import mosaicknife.core.quantity.Length;
import mosaicknife.core.quantity.Mass;

/**
 * Questions figures that no fish of a species has, before they are stored.
 *
 * <p>Mass and length are compared by the condition factor K = 100 · grams / centimetres³ (Fulton,
 * 1904), with limits so wide that only a slip of the pen is outside.
 */
public final class Plausible {

  /** The slimmest fish by body plan: ribbon-like ones are far slimmer than others. */
  private static final double SLIMMEST_LONG = 0.02;

  private static final double SLIMMEST = 0.2;
  private static final double STOUTEST = 12;

  /** A fish may be this many times heavier than the heaviest usual one before it is questioned. */
  private static final double RARE = 3;

  private Plausible() {}

  /** What may be questioned. */
  public enum Question {
    /** Longer than such a fish grows: its name, the length, the longest in centimetres. */
    TOO_LONG,
    /** Length and mass do not go together on one fish: both. */
    LENGTH_AGAINST_MASS,
    /** Far off the usual mass: its name, the mass of one, lightest and heaviest usual one. */
    UNUSUAL_MASS
  }

  /**
   * Questions the length of a fish.
   *
   * @param species the species
   * @param length its length
   * @param mass its mass, if it is known
   * @return what is questioned, or empty
   */
  public static Optional<Finding> question(Species species, Length length, Optional<Mass> mass) {
    double centimetres = length.millimetres() / 10.0;
    double slimmest =
        species.plan().traits().contains(BodyPlan.Trait.LONG) ? SLIMMEST_LONG : SLIMMEST;
    double heaviest = species.usualMass().highest().milligrams() / 1000.0 * RARE;
    double longest = Math.cbrt(100 * heaviest / slimmest);
    if (centimetres > longest) {
      return Optional.of(
          Finding.of(Question.TOO_LONG, species.name(), length.toString(), Math.round(longest)));
    }
    if (mass.isEmpty()) {
      return Optional.empty();
    }
    double condition = 100 * (mass.get().milligrams() / 1000.0) / Math.pow(centimetres, 3);
    return condition < slimmest / 2 || condition > STOUTEST
        ? Optional.of(Finding.of(Question.LENGTH_AGAINST_MASS, length.toString(), mass.get()))
        : Optional.empty();
  }

  /**
   * Questions the mean mass of the fish of a lot.
   *
   * @param species the species
   * @param total the mass of all fish
   * @param fish how many there are, at least 1
   * @return what is questioned, or empty
   */
  public static Optional<Finding> question(Species species, Mass total, int fish) {
    double mean = total.milligrams() / (double) fish;
    double highest = species.usualMass().highest().milligrams();
    double lowest = species.usualMass().lowest().milligrams();
    if (mean > RARE * highest || mean < lowest / (2 * RARE)) {
      return Optional.of(
          Finding.of(
              Question.UNUSUAL_MASS,
              species.name(),
              Mass.ofMilligrams(Math.round(mean)),
              species.usualMass().lowest(),
              species.usualMass().highest()));
    }
    return Optional.empty();
  }
}
