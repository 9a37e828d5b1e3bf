package mosaicknife.core.safety;

import java.util.Map;
import mosaicknife.core.anatomy.Eating;
import mosaicknife.core.anatomy.Species;

/**
 * Fish that age alike: how long they keep on ice and which signs tell most. Starting estimates with
 * a wide spread.
 */
public enum FreshnessGroup {
  /** White fish: cod, hake, bream. */
  WHITE(12, Map.of(Sign.GILLS, 1.5, Sign.SMELL, 1.5)),
  /** Flatfish keep longest. */
  FLAT(14, Map.of(Sign.SMELL, 1.5, Sign.FLESH, 1.2)),
  /** Oily fish turn quickly, and the belly goes first. */
  OILY(7, Map.of(Sign.BELLY, 1.6, Sign.SMELL, 1.8)),
  /** Rays and sharks: ammonia tells before anything else. */
  CARTILAGE(8, Map.of(Sign.SMELL, 2.5)),
  /** Farmed salmon-like fish, fed before slaughter or not. */
  SALMON(13, Map.of(Sign.GILLS, 1.3, Sign.FLESH, 1.3));

  private final int daysOnIce;
  private final Map<Sign, Double> weights;

  FreshnessGroup(int daysOnIce, Map<Sign, Double> weights) {
    this.daysOnIce = daysOnIce;
    this.weights = Map.copyOf(weights);
  }

  /**
   * Returns how many days a perfect fish keeps on ice.
   *
   * @return the days, a starting estimate
   */
  public int daysOnIce() {
    return daysOnIce;
  }

  /**
   * Returns how much a sign counts.
   *
   * @param sign the sign
   * @return the weight, 1 for an ordinary one
   */
  public double weight(Sign sign) {
    return weights.getOrDefault(sign, 1.0);
  }

  /**
   * Returns the group of a species.
   *
   * @param species the species
   * @return the group, by its body plan and flesh
   */
  public static FreshnessGroup of(Species species) {
    return switch (species.plan().code()) {
      case "flatfish" -> FLAT;
      case "ray-wings", "trunk-fish" -> CARTILAGE;
      case "salmon-like" -> SALMON;
      default -> species.eating().flesh() == Eating.Flesh.OILY ? OILY : WHITE;
    };
  }
}
