package mosaicknife.core.safety;

import java.time.Instant;
import java.util.Optional;
import mosaicknife.core.check.Check;
import mosaicknife.core.finding.Finding;
import mosaicknife.core.quantity.Length;
import mosaicknife.core.quantity.Temperature;

/**
 * That fish was frozen: how cold the core was, for how long, and how thick the piece.
 *
 * @param part the slot of the part; empty for the whole lot
 * @param core the temperature of the core that was held
 * @param hours how long it was held, from 1
 * @param thickness how thick the piece was where it is thickest, if that was measured
 * @param curve what a probe in the core read, if one was in; it then says how long it was held
 * @param by who measured it
 * @param at when it was written down
 */
public record FreezingRecord(
    Optional<String> part,
    Temperature core,
    int hours,
    Optional<Length> thickness,
    Optional<ProbeCurve> curve,
    String by,
    Instant at) {

  /** What is wrong with a record. */
  public enum Problem {
    /** Not frozen: the temperature, the warmest that freezes. */
    TOO_WARM,
    /** No time nobody freezes for: hours, the most. */
    HOURS
  }

  /** Refuses what is missing. */
  public FreezingRecord {
    Check.notNull(part, "part");
    Check.notNull(core, "temperature");
    Check.notNull(thickness, "thickness");
    Check.notNull(curve, "curve");
  }

  /**
   * Looks at what was measured.
   *
   * @param core the temperature of the core
   * @param hours how long it was held
   * @return what cannot be a record of freezing, or nothing
   */
  public static Optional<Finding> problem(Temperature core, int hours) {
    if (core.compareTo(FreezingRule.WARMEST) > 0) {
      return Optional.of(Finding.of(Problem.TOO_WARM, core, FreezingRule.WARMEST).at("core"));
    }
    return hours < 1 || hours > FreezingRule.MOST_HOURS
        ? Optional.of(Finding.of(Problem.HOURS, hours, FreezingRule.MOST_HOURS).at("hours"))
        : Optional.empty();
  }
}
