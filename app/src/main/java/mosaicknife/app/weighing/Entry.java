package mosaicknife.app.weighing;

import java.util.Optional;
import mosaicknife.app.house.HouseTray;
import mosaicknife.app.shared.Refusal;
import mosaicknife.core.lot.Source;
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
 * @param tray the tray that was chosen at the bench, if one was
 */
public record Entry(
    Mass mass,
    Source source,
    Optional<ScaleReading> reading,
    Optional<String> typed,
    Optional<HouseTray> tray) {

  /**
   * Takes a reading of the scale.
   *
   * @param reading the reading
   * @return the entry
   * @throws Refusal if the reading may not be taken
   */
  public static Entry of(ScaleReading reading) {
    return of(reading, Optional.empty());
  }

  /**
   * Takes a reading of the scale with a tray under the part. Its known tare is taken off unless the
   * scale was tared already.
   *
   * @param reading the reading
   * @param tray the tray that was chosen, if one was
   * @return the entry
   * @throws Refusal if the reading may not be taken
   */
  public static Entry of(ScaleReading reading, Optional<HouseTray> tray) {
    ScaleReading tared = withTray(reading, tray);
    switch (tared.motion()) {
      case MOVING -> throw Refusal.ofInput("weighing.problem.the-scale-is-still-settling");
      case OVERLOADED -> throw Refusal.ofInput("weighing.problem.the-scale-is-overloaded-take");
      case STEADY -> {
        if (!tared.net().isPositive()) {
          throw Refusal.ofInput("weighing.problem.nothing-is-on-the-scale");
        }
      }
    }
    return new Entry(tared.net(), Source.SCALE, Optional.of(tared), Optional.empty(), tray);
  }

  /**
   * Returns a reading with the tare of a chosen tray.
   *
   * @param reading the reading
   * @param tray the tray, if one was chosen
   * @return the reading; unchanged if the scale was tared, so that no tray is taken off twice
   */
  static ScaleReading withTray(ScaleReading reading, Optional<HouseTray> tray) {
    return tray.isEmpty() || reading.tare().isPositive()
        ? reading
        : new ScaleReading(
            reading.gross(), tray.get().tray().mass(), reading.motion(), reading.readability());
  }

  /**
   * Takes a weight that was typed.
   *
   * @param text what was understood
   * @return the entry
   */
  public static Entry of(MassText text) {
    return of(text, Optional.empty());
  }

  /**
   * Takes a weight that was typed; it is taken as the part alone.
   *
   * @param text what was understood
   * @param tray the tray that was chosen meanwhile, if one was
   * @return the entry
   */
  public static Entry of(MassText text, Optional<HouseTray> tray) {
    return new Entry(text.mass(), Source.TYPED, Optional.empty(), Optional.of(text.typed()), tray);
  }
}
