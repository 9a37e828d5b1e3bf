package mosaicknife.core.safety;

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
}
