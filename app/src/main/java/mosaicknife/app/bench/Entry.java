package mosaicknife.app.bench;

import java.util.Optional;
import mosaicknife.app.shared.Refusal;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.MassText;
import mosaicknife.core.scale.ScaleReading;

/**
 * A weight as it reached the bench.
 *
 * @param mass the mass taken
 * @param source where it came from
 * @param reading the raw reading, if it came from the scale
 * @param typed what was typed, if it was
 */
public record Entry(
    Mass mass, Source source, Optional<ScaleReading> reading, Optional<String> typed) {

  /**
   * Takes a reading of the scale.
   *
   * @param reading the reading
   * @return the entry
   * @throws Refusal if the reading may not be taken
   */
  public static Entry of(ScaleReading reading) {
    switch (reading.motion()) {
      case MOVING ->
          throw Refusal.ofInput("The scale is still settling. Wait for “steady” and take again.");
      case OVERLOADED ->
          throw Refusal.ofInput("The scale is overloaded. Take something off the pan.");
      case STEADY -> {
        if (!reading.net().isPositive()) {
          throw Refusal.ofInput(
              "Nothing is on the scale, or less than its tare. Put the part on and take again.");
        }
      }
    }
    return new Entry(reading.net(), Source.SCALE, Optional.of(reading), Optional.empty());
  }

  /**
   * Takes a weight that was typed.
   *
   * @param text what was understood
   * @return the entry
   */
  public static Entry of(MassText text) {
    return new Entry(text.mass(), Source.TYPED, Optional.empty(), Optional.of(text.typed()));
  }
}
