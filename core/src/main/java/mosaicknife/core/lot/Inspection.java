package mosaicknife.core.lot;

import java.time.Instant;
import java.util.Map;
import java.util.OptionalDouble;
import mosaicknife.core.safety.Fitness;
import mosaicknife.core.safety.Sign;

/**
 * What was seen of a lot and what was decided.
 *
 * @param grades the grade of each sign that could be looked at
 * @param demerits the weighted demerits as a fraction of the most there could be
 * @param daysLeft estimated days left, counted from the inspection; empty where the temperature was
 *     not measured
 * @param proposal what the signs proposed
 * @param decision what the person decided
 * @param reason why, if it is not the proposal
 * @param by who inspected
 * @param at when
 */
public record Inspection(
    Map<Sign, Integer> grades,
    double demerits,
    OptionalDouble daysLeft,
    Fitness proposal,
    Fitness decision,
    String reason,
    String by,
    Instant at) {

  /** Copies the grades. */
  public Inspection {
    grades = Map.copyOf(grades);
  }
}
