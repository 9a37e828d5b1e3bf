package mosaicknife.core.heat;

import mosaicknife.core.check.Check;
import mosaicknife.core.safety.Limit;
import mosaicknife.core.safety.Limits;

/**
 * How fast hot food must be cold, in two stages from the moment it falls below a temperature. The
 * figures are the house's own, with the source it names; the local code decides.
 *
 * @param from the clock starts when it falls below this, in degrees Celsius
 * @param first to be reached in the first stage
 * @param firstMinutes the time for that
 * @param cold to be reached in the end
 * @param allMinutes the time for both stages together
 */
public record CoolingRule(
    double from, double first, int firstMinutes, double cold, int allMinutes) {

  /**
   * Reads the house's own figures.
   *
   * @param limits its table
   * @return the rule
   */
  public static CoolingRule of(Limits limits) {
    return new CoolingRule(
        limits.value(Limit.COOL_FROM) / 10.0,
        limits.value(Limit.COOL_FIRST) / 10.0,
        limits.value(Limit.COOL_FIRST_TIME),
        limits.value(Limit.COOL_COLD) / 10.0,
        limits.value(Limit.COOL_TIME));
  }

  /** Refuses stages that do not follow each other. */
  public CoolingRule {
    Check.that(
        from > first && first > cold,
        "Expected stages that get colder, found %s, %s, %s".formatted(from, first, cold));
    Check.that(
        firstMinutes > 0 && allMinutes > firstMinutes,
        "Expected stages after each other, found %d, %d".formatted(firstMinutes, allMinutes));
  }
}
