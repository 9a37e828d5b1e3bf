package mosaicknife.core.safety;

import java.util.HashMap;
import java.util.Map;
import mosaicknife.core.anatomy.Eating;
import mosaicknife.core.anatomy.Species;

/**
 * Fish that age alike: how long they keep on ice and which signs tell most. Starting estimates with
 * a wide spread.
 */
public enum FreshnessGroup {
  /** White fish: cod, hake, bream. */
  WHITE(Limit.DAYS_WHITE, Map.of(Sign.GILLS, 1.5, Sign.SMELL, 1.5)),
  /** Flatfish keep longest. */
  FLAT(Limit.DAYS_FLAT, Map.of(Sign.SMELL, 1.5, Sign.FLESH, 1.2)),
  /** Oily fish turn quickly, and the belly goes first. */
  OILY(Limit.DAYS_OILY, Map.of(Sign.BELLY, 1.6, Sign.SMELL, 1.8)),
  /** Rays and sharks: ammonia tells before anything else. */
  CARTILAGE(Limit.DAYS_CARTILAGE, Map.of(Sign.SMELL, 2.5)),
  /** Salmon, trout, char and whitefish, fed before slaughter or not. */
  SALMON(Limit.DAYS_SALMON, Map.of(Sign.GILLS, 1.3, Sign.FLESH, 1.3)),
  /** Tunas and their kin, billfish: the flesh tells more than the eyes. */
  TUNA(Limit.DAYS_TUNA, Map.of(Sign.FLESH, 1.6, Sign.SMELL, 1.6, Sign.EYES, 0.7));

  private static final Map<String, FreshnessGroup> BY_GENUS = new HashMap<>();

  static {
    put(SALMON, "Salmo", "Oncorhynchus", "Salvelinus", "Coregonus", "Thymallus");
    put(TUNA, "Thunnus", "Katsuwonus", "Sarda", "Euthynnus", "Auxis", "Xiphias", "Makaira");
    put(WHITE, "Acipenser", "Huso");
    put(TUNA, "Istiophorus", "Tetrapturus", "Kajikia");
    put(CARTILAGE, "Raja", "Leucoraja", "Amblyraja", "Dipturus", "Scyliorhinus", "Mustelus");
    put(CARTILAGE, "Squalus", "Galeorhinus", "Prionace", "Isurus", "Lamna", "Alopias");
  }

  private static void put(FreshnessGroup group, String... genera) {
    for (String genus : genera) {
      BY_GENUS.put(genus, group);
    }
  }

  private final Limit daysOnIce;
  private final Map<Sign, Double> weights;

  FreshnessGroup(Limit daysOnIce, Map<Sign, Double> weights) {
    this.daysOnIce = daysOnIce;
    this.weights = Map.copyOf(weights);
  }

  /**
   * Returns which limit says how many days a perfect fish keeps on ice.
   *
   * @return the limit
   */
  public Limit daysOnIce() {
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
   * @return the group of its genus, else of its body plan and flesh
   */
  public static FreshnessGroup of(Species species) {
    String genus = species.scientificName().replaceAll(" .*", "");
    FreshnessGroup byFlesh = species.eating().flesh() == Eating.Flesh.OILY ? OILY : WHITE;
    return switch (species.plan().code()) {
      case "flatfish" -> FLAT;
      case "ray-wings" -> CARTILAGE;
      case "trunk-fish" -> BY_GENUS.getOrDefault(genus, CARTILAGE);
      default -> BY_GENUS.getOrDefault(genus, byFlesh);
    };
  }
}
