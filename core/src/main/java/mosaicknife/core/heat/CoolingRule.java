package mosaicknife.core.heat;

import mosaicknife.core.check.Check;

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
