package mosaicknife.core.safety;

import java.util.Arrays;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * What guests are told of: a vocabulary to mark dishes with. Which of them must be named, and how,
 * the local code decides.
 */
public enum Allergen {
  /** Fish, named by the kind of fish. */
  FISH,
  /** Prawns, crabs, lobsters. */
  CRUSTACEANS,
  /** Mussels, oysters, squid. */
  MOLLUSCS,
  /** Gluten of wheat and spelt. */
  WHEAT,
  /** Gluten of rye. */
  RYE,
  /** Gluten of barley. */
  BARLEY,
  /** Gluten of oats. */
  OATS,
  /** Milk and all that is made of it. */
  MILK,
  /** Eggs. */
  EGG,
  /** Soy. */
  SOY,
  /** Mustard. */
  MUSTARD,
  /** Celery and celeriac. */
  CELERY,
  /** Sulphites, as in wine. */
  SULPHITES,
  /** Sesame. */
  SESAME,
  /** Nuts of trees. */
  NUTS,
  /** Peanuts. */
  PEANUTS,
  /** Lupin. */
  LUPIN;

  private static final String NONE = "NONE";

  /**
   * Reads allergens as our files state them.
   *
   * @param text names with plus signs between them, or NONE
   * @return the allergens
   * @throws IllegalArgumentException if one is no allergen, or nothing is said
   */
  public static Set<Allergen> read(String text) {
    return text.equals(NONE)
        ? Set.of()
        : Arrays.stream(text.split("\\+")).map(Allergen::valueOf).collect(Collectors.toSet());
  }

  /**
   * Writes allergens as {@link #read} reads them.
   *
   * @param allergens the allergens
   * @return their names in the order of this list, or NONE
   */
  public static String write(Set<Allergen> allergens) {
    return allergens.isEmpty()
        ? NONE
        : allergens.stream().sorted().map(Enum::name).collect(Collectors.joining("+"));
  }
}
