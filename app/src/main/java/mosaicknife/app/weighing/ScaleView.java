package mosaicknife.app.weighing;

import java.time.Instant;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import mosaicknife.app.device.Scale;
import mosaicknife.app.device.Scale.Numbered;
import mosaicknife.app.house.HouseTray;
import mosaicknife.app.shared.Formats;
import mosaicknife.core.scale.Claim;
import mosaicknife.core.scale.ScaleReading;
import mosaicknife.core.scale.ScaleReading.Motion;

/**
 * The live scale as the bench shows it.
 *
 * @param number the number of the reading, 0 without a scale
 * @param figure the figure without its last unit
 * @param unit the last unit
 * @param tare the tare as text; empty if there is none
 * @param motion {@code steady}, {@code moving}, {@code overloaded} or {@code gone}
 * @param words the motion in words
 * @param takeable whether the reading may be taken
 * @param grossMg the raw reading, so that a weight taken while the database is away keeps it
 * @param tareMg the tare of the scale itself
 * @param stepMg the step of its display
 * @param goneBelowMg once it is taken, it is gone when the scale shows less than this
 * @param goneBeyondMg or stands still further off than this
 */
public record ScaleView(
    long number,
    String figure,
    String unit,
    String tare,
    String motion,
    String words,
    boolean takeable,
    long grossMg,
    long tareMg,
    long stepMg,
    long goneBelowMg,
    long goneBeyondMg) {

  private static final UUID NOBODY = new UUID(0, 0);

  public static ScaleView of(Scale scale, Optional<HouseTray> tray, Formats formats) {
    boolean taken = scale.isClaimed();
    return scale
        .latest()
        .map(numbered -> of(numbered, tray, taken, formats))
        .orElse(
            new ScaleView(
                0,
                "– – –",
                "",
                "",
                "gone",
                formats.say("weighing.said.no-scale-type-the-weight"),
                false,
                0,
                0,
                0,
                0,
                0));
  }

  private static ScaleView of(
      Numbered numbered, Optional<HouseTray> tray, boolean taken, Formats formats) {
    ScaleReading reading = Entry.withTray(numbered.reading(), tray);
    String text = formats.mass(reading.net());
    int split = text.lastIndexOf(' ');
    boolean over = reading.motion() == Motion.OVERLOADED;
    Claim ifTaken = Claim.of(NOBODY, numbered.reading(), Instant.EPOCH);
    return new ScaleView(
        numbered.number(),
        over ? formats.say("weighing.said.too-much") : text.substring(0, split),
        over ? "" : text.substring(split + 1),
        reading.tare().isPositive() ? formats.mass(reading.tare()) : "",
        reading.motion().name().toLowerCase(Locale.ROOT),
        taken && !over
            ? formats.say("weighing.said.taken-put-the-next-part")
            : words(reading, formats),
        reading.isTakeable() && !taken,
        numbered.reading().gross().milligrams(),
        numbered.reading().tare().milligrams(),
        reading.readability().milligrams(),
        ifTaken.least().milligrams(),
        ifTaken.slack().milligrams());
  }

  private static String words(ScaleReading reading, Formats formats) {
    return switch (reading.motion()) {
      case MOVING -> formats.say("weighing.said.settling");
      case OVERLOADED -> formats.say("weighing.said.overloaded");
      case STEADY -> {
        if (reading.net().isPositive()) {
          yield formats.say("weighing.said.steady");
        }
        yield reading.net().isNegative()
            ? formats.say("weighing.said.below-zero")
            : formats.say("weighing.said.empty");
      }
    };
  }

  /** Whether a bench that shows another view need not be told: only the number differs. */
  boolean looksLike(ScaleView other) {
    return other != null
        && figure.equals(other.figure)
        && unit.equals(other.unit)
        && tare.equals(other.tare)
        && motion.equals(other.motion)
        && words.equals(other.words)
        // a steady reading must be recent to be taken, so its number is sent on
        && (!takeable || number - other.number < 20);
  }
}
