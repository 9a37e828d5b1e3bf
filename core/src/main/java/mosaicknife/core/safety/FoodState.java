package mosaicknife.core.safety;

import java.util.Set;

/**
 * What was done to something that is kept. Raw stays raw when it is cured, dried, fermented or
 * smoked cold: only a core makes it cooked.
 */
public enum FoodState {
  /** Raw and chilled. */
  RAW(Limit.RAW_KEEPS),
  /** Cooked and chilled. */
  COOKED(Limit.COOKED_KEEPS),
  /** Frozen. */
  FROZEN(Limit.FROZEN_KEEPS),
  /** Thawed: used soon and never frozen again. */
  THAWED(Limit.THAWED_KEEPS),
  /** Salted or soured, not heated. */
  CURED(Limit.CURED_KEEPS),
  /** Dried, not heated. */
  DRIED(Limit.DRIED_KEEPS),
  /** Under salt for weeks, not heated. */
  FERMENTED(Limit.FERMENTED_KEEPS),
  /** Smoked and not heated. */
  COLD_SMOKED(Limit.COLD_SMOKED_KEEPS),
  /** Smoked and heated to its core. */
  HOT_SMOKED(Limit.HOT_SMOKED_KEEPS);

  private static final Set<FoodState> OF_HEAT = Set.of(COOKED, HOT_SMOKED);
  private static final Set<FoodState> BY_QUALITY = Set.of(FROZEN, DRIED, FERMENTED);

  private final Limit keeps;

  FoodState(Limit keeps) {
    this.keeps = keeps;
  }

  /**
   * Returns which limit says for how many days something keeps that was made so.
   *
   * @return the limit of the house
   */
  public Limit keeps() {
    return keeps;
  }

  /**
   * Returns whether a core made it so.
   *
   * @return true if it was heated through
   */
  public boolean isHeated() {
    return OF_HEAT.contains(this);
  }

  /**
   * Returns whether its days are of quality: the cold or the dryness keeps it safe, and a sous chef
   * may move its day.
   *
   * @return false where the days are of safety, and nobody moves them
   */
  public boolean isOfQuality() {
    return BY_QUALITY.contains(this);
  }
}
