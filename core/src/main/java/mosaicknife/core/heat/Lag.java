package mosaicknife.core.heat;

import java.util.OptionalDouble;

/**
 * One way something may warm or cool: T(t) = surroundings + difference · e^(−t/τ).
 *
 * @param surroundings the temperature it ends at, in degrees Celsius
 * @param difference how far above that it began, in degrees; below 0 if it warms
 * @param minutes τ, the time in which the difference shrinks to 37 %, positive
 * @param weight how likely it is beside the others, from 0
 */
public record Lag(double surroundings, double difference, double minutes, double weight) {

  /**
   * Returns the temperature at a time.
   *
   * @param at minutes since the first reading
   * @return degrees Celsius
   */
  public double at(double at) {
    return surroundings + difference * Math.exp(-at / minutes);
  }

  /**
   * Returns when a temperature is reached.
   *
   * @param degrees degrees Celsius
   * @return minutes since the first reading, below 0 if that was before it; empty if never
   */
  public OptionalDouble reaches(double degrees) {
    double left = (degrees - surroundings) / difference;
    return difference == 0 || left <= 0
        ? OptionalDouble.empty()
        : OptionalDouble.of(-minutes * Math.log(left));
  }
}
