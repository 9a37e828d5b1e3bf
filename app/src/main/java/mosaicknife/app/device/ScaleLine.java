package mosaicknife.app.device;

import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.scale.ScaleReading;
import mosaicknife.core.scale.ScaleReading.Motion;

/**
 * One line of the scale protocol: {@code W <gross> <tare> <step> <steady|moving|over>}, masses in
 * whole milligrams.
 */
final class ScaleLine {

  private static final Pattern READING =
      Pattern.compile("W (-?\\d{1,12}) (\\d{1,12}) (\\d{1,9}) (steady|moving|over)");

  private ScaleLine() {}

  static String write(ScaleReading reading) {
    return "W "
        + reading.gross().milligrams()
        + " "
        + reading.tare().milligrams()
        + " "
        + reading.readability().milligrams()
        + " "
        + word(reading.motion());
  }

  /** Reads a line; a line that is no reading is passed over, a cut one is lost with its weight. */
  static Optional<ScaleReading> read(String line) {
    Matcher match = READING.matcher(line.strip());
    if (!match.matches() || Long.parseLong(match.group(3)) == 0) {
      return Optional.empty();
    }
    return Optional.of(
        new ScaleReading(
            Mass.ofMilligrams(Long.parseLong(match.group(1))),
            Mass.ofMilligrams(Long.parseLong(match.group(2))),
            motion(match.group(4)),
            Mass.ofMilligrams(Long.parseLong(match.group(3)))));
  }

  private static String word(Motion motion) {
    return switch (motion) {
      case STEADY -> "steady";
      case MOVING -> "moving";
      case OVERLOADED -> "over";
    };
  }

  private static Motion motion(String word) {
    return switch (word) {
      case "steady" -> Motion.STEADY;
      case "moving" -> Motion.MOVING;
      default -> Motion.OVERLOADED;
    };
  }
}
