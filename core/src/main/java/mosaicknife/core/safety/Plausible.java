package mosaicknife.core.safety;

import java.util.Locale;
import java.util.Optional;
import mosaicknife.core.anatomy.BodyPlan;
import mosaicknife.core.anatomy.Species;
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

  /**
   * Questions the length of a fish.
   *
   * @param species the species
   * @param length its length
   * @param mass its mass, if it is known
   * @return a sentence that questions it, or empty
   */
  public static Optional<String> question(Species species, Length length, Optional<Mass> mass) {
    double centimetres = length.millimetres() / 10.0;
    double slimmest =
        species.plan().traits().contains(BodyPlan.Trait.LONG) ? SLIMMEST_LONG : SLIMMEST;
    double heaviest = species.usualMass().highest().milligrams() / 1000.0 * RARE;
    double longest = Math.cbrt(100 * heaviest / slimmest);
    if (centimetres > longest) {
      return Optional.of(
          "A %s of %s cannot be: the longest would be about %.0f cm. Check the figure and its unit."
              .formatted(species.name().toLowerCase(Locale.ROOT), length, longest));
    }
    if (mass.isEmpty()) {
      return Optional.empty();
    }
    double condition = 100 * (mass.get().milligrams() / 1000.0) / Math.pow(centimetres, 3);
    return condition < slimmest / 2 || condition > STOUTEST
        ? Optional.of(
            "%s and %s do not go together on one fish. Check both figures."
                .formatted(length, mass.get()))
        : Optional.empty();
  }

  /**
   * Questions the mean mass of the fish of a lot.
   *
   * @param species the species
   * @param total the mass of all fish
   * @param fish how many there are, at least 1
   * @return a sentence that questions it, or empty
   */
  public static Optional<String> question(Species species, Mass total, int fish) {
    double mean = total.milligrams() / (double) fish;
    double highest = species.usualMass().highest().milligrams();
    double lowest = species.usualMass().lowest().milligrams();
    if (mean > RARE * highest || mean < lowest / (2 * RARE)) {
      return Optional.of(
          "%.2f kg each is unusual for %s, which weighs %s to %s. Check number and weight."
              .formatted(
                  mean / 1e6,
                  species.name().toLowerCase(Locale.ROOT),
                  species.usualMass().lowest(),
                  species.usualMass().highest()));
    }
    return Optional.empty();
  }
}
