package mosaicknife.core.breakdown;

import mosaicknife.core.check.Check;
import mosaicknife.core.quantity.Mass;

/**
 * A container whose mass the house knows, so that it can be taken off a reading.
 *
 * @param name the name on it, such as {@code Steel tray}
 * @param mass its mass, positive
 */
public record Tray(String name, Mass mass) {

  /** Refuses a tray without name or mass. */
  public Tray {
    Check.text(name, "name of the tray");
    Check.that(
        mass.isPositive(), "Expected '%s' to weigh something, found %s".formatted(name, mass));
  }
}
