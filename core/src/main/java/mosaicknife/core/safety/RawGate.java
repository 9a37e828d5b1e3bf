package mosaicknife.core.safety;

import java.util.Optional;

/**
 * Whether a lot or one of its parts may be served raw or underdone, and what is missing. It is
 * closed until a record opens it, whatever the fish.
 *
 * <p>Rules differ from place to place: the gate only remembers and asks, the local code decides.
 */
public enum RawGate {
  /** A record of freezing meets a pair of the house. */
  FROZEN,
  /** A named exemption with its evidence is attached. */
  EXEMPT,
  /** A freezing record or a named exemption is needed first. */
  FREEZING_NEEDED,
  /** Its temperature was not measured when it came in. */
  NOT_MEASURED,
  /** The lot is not fit for raw. */
  CLOSED;

  /**
   * Sets the gate.
   *
   * @param fitness what the person decided the lot may become
   * @param measured whether its temperature was measured at receipt
   * @param papers its records and exemptions
   * @param part the part; empty for the whole lot
   * @return the gate
   */
  public static RawGate of(
      Fitness fitness, boolean measured, RawPapers papers, Optional<String> part) {
    if (fitness.isStricterThan(Fitness.RAW)) {
      return CLOSED;
    }
    if (!measured) {
      return NOT_MEASURED;
    }
    if (papers.frozenBy(part).isPresent()) {
      return FROZEN;
    }
    return papers.exemptions().isEmpty() ? FREEZING_NEEDED : EXEMPT;
  }

  /**
   * Returns whether it is open.
   *
   * @return true if a record or an exemption opened it
   */
  public boolean isOpen() {
    return this == FROZEN || this == EXEMPT;
  }
}
