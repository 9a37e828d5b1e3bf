package mosaicknife.core.safety;

import mosaicknife.core.anatomy.Species;
import mosaicknife.core.anatomy.Species.Trait;

/**
 * Whether a lot may be served raw or underdone, and what is missing.
 *
 * <p>Rules differ from place to place: the gate only remembers and asks, the local code decides.
 */
public enum RawGate {
  /** Nothing known speaks against it. */
  OPEN,
  /** A freezing record or a named exemption is needed first. */
  FREEZING_NEEDED,
  /** The lot is not fit for raw. */
  CLOSED;

  /**
   * Sets the gate for a lot.
   *
   * @param species the species
   * @param farmed whether the lot is farmed; by itself no exemption
   * @param fitness what the person decided the lot may become
   * @return the gate
   */
  public static RawGate of(Species species, boolean farmed, Fitness fitness) {
    if (fitness.isStricterThan(Fitness.RAW)) {
      return CLOSED;
    }
    boolean parasites = species.traits().contains(Trait.PARASITES);
    return parasites || !farmed ? FREEZING_NEEDED : OPEN;
  }
}
