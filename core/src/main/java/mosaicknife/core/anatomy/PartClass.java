package mosaicknife.core.anatomy;

/** What a part kind is by nature, before anyone decides what it is for. */
public enum PartClass {
  /** Meat that can be served. */
  FLESH,
  /** Everything else that has a use: frame, head, skin, collar. */
  BY_PRODUCT,
  /** Gills, gall bladder, guts: no use, compost at best. */
  IRREDUCIBLE
}
