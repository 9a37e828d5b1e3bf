package mosaicknife.core.clock;

/** What somebody must be able to do. */
public enum Skill {
  /** Breaks fish and cuts portions. */
  KNIFE,
  /** Cooks: stocks, sauces, frying, smoking. */
  STOVE,
  /** What everybody can do: packing, soaking, turning, cleaning. */
  ANY
}
