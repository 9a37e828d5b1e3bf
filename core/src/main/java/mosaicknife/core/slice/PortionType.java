package mosaicknife.core.slice;

import mosaicknife.core.check.Check;
import mosaicknife.core.portion.Serving;
import mosaicknife.core.quantity.Mass;

/**
 * What is cut of a fillet.
 *
 * @param name what it is for
 * @param target what it should weigh, positive
 * @param lightest the least it may weigh, above 0
 * @param heaviest the most it may weigh, not below the least
 * @param millimetres how thick it must be everywhere, from 0
 * @param boneless whether no pin bone may be in it
 * @param value what one is worth, in minor units of the house's currency, from 0
 */
public record PortionType(
    String name,
    Mass target,
    Mass lightest,
    Mass heaviest,
    double millimetres,
    boolean boneless,
    long value) {

  /** Refuses limits that do not hold the target. */
  public PortionType {
    Check.text(name, "name");
    Check.that(
        lightest.isPositive() && lightest.compareTo(target) <= 0 && target.compareTo(heaviest) <= 0,
        "Expected limits around the target, found %s, %s, %s"
            .formatted(lightest, target, heaviest));
    Check.inRange(millimetres, 0, 200, "thickness in millimetres");
    Check.that(value >= 0, "Expected a value from 0, found " + value);
  }

  /**
   * Returns the cut of a dish.
   *
   * @param name what the dish is called
   * @param serving what it calls a portion
   * @param millimetres how thick it must be everywhere, from 0
   * @param boneless whether no pin bone may be in it
   * @return the type, each worth the same
   */
  public static PortionType of(String name, Serving serving, double millimetres, boolean boneless) {
    return new PortionType(
        name, serving.target(), serving.lightest(), serving.heaviest(), millimetres, boneless, 1);
  }
}
