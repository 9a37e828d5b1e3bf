package mosaicknife.app.bench;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import mosaicknife.app.shared.Formats;
import mosaicknife.core.breakdown.Explanation;
import mosaicknife.core.breakdown.Explanation.Cause;
import mosaicknife.core.breakdown.GrossErrors.Diagnosis;
import mosaicknife.core.lot.LotPart;
import mosaicknife.core.lot.LotSheet;
import mosaicknife.core.lot.Weighing;
import mosaicknife.core.quantity.Mass;

/**
 * What may be wrong with a tally, in words, with the one tap that mends it.
 *
 * @param sentence what happened, with the part and the figures
 * @param remedy what the button says
 * @param line the weighing at fault, or the slot of a part never weighed
 * @param cause what happened
 * @param chance how likely it is, in percent
 */
record Suspicion(String sentence, String remedy, String line, Cause cause, long chance) {

  private static final int SHOWN = 3;
  private static final double ALMOST_CERTAIN = 0.9;
  private static final double LIKELY = 0.5;
  private static final double WORTH_A_WORD = 0.03;

  /** The likeliest first; none without alarm. */
  static List<Suspicion> of(LotSheet sheet, Optional<Diagnosis> finding, Formats formats) {
    return finding.filter(Diagnosis::isAlarm).stream()
        .flatMap(found -> found.explanations().stream().limit(SHOWN))
        .filter(e -> e.probability() >= WORTH_A_WORD)
        .flatMap(e -> of(sheet, e, formats).stream())
        .toList();
  }

  private static Optional<Suspicion> of(LotSheet sheet, Explanation e, Formats formats) {
    boolean never = e.cause() == Cause.NEVER_WEIGHED;
    Optional<LotPart> part = never ? sheet.find(e.line()) : sheet.partWeighedBy(e.line());
    return part.map(
        p ->
            new Suspicion(
                sentence(p, e, formats),
                remedy(p, e, formats),
                e.line(),
                e.cause(),
                Math.min(99, Math.round(100 * e.probability()))));
  }

  private static String sentence(LotPart part, Explanation e, Formats formats) {
    String sure = sure(e.probability(), formats);
    String right = formats.mass(e.corrected());
    String read = formats.mass(read(part, e));
    return switch (e.cause()) {
      case TARE_NOT_TAKEN ->
          formats.say(
              "bench.said.the-weighs-its-tare-was",
              tray(e),
              trayMass(e, formats),
              sure,
              part.name());
      case TARE_TAKEN_TWICE ->
          formats.say(
              "bench.said.the-weighs-its-tare-was-2",
              tray(e),
              trayMass(e, formats),
              sure,
              part.name());
      case NEVER_WEIGHED ->
          formats.say(
              "bench.said.never-weighed-are-missing",
              part.name(),
              sure + " was",
              formats.roughly(e.corrected()).substring(2));
      case WEIGHED_TWICE ->
          formats.say("bench.said.was-weighed-twice-not", part.name(), sure, right, read);
      case POUNDS_AS_KILOGRAMS ->
          formats.say("bench.said.was-typed-in-pounds-not", part.name(), sure, right, read);
      case DIGITS_SWAPPED ->
          formats.say("bench.said.two-digits-changed-places-in", sure, part.name(), right, read);
      case POINT_SLIPPED ->
          formats.say("bench.said.the-point-slipped-in-not", sure, part.name(), right, read);
    };
  }

  private static String remedy(LotPart part, Explanation e, Formats formats) {
    String right = formats.mass(e.corrected());
    return switch (e.cause()) {
      case TARE_NOT_TAKEN -> formats.say("bench.said.take-it-off", right);
      case TARE_TAKEN_TWICE -> formats.say("bench.said.put-it-back-on", right);
      case NEVER_WEIGHED -> formats.say("bench.said.weigh", part.name());
      case WEIGHED_TWICE -> formats.say("bench.said.count-it-once", right);
      case POUNDS_AS_KILOGRAMS, DIGITS_SWAPPED, POINT_SLIPPED ->
          formats.say("bench.said.make-it", right);
    };
  }

  /** Why a weighing was corrected, as it is kept with the fact. */
  static String reason(Explanation e, Formats formats) {
    return switch (e.cause()) {
      case TARE_NOT_TAKEN ->
          formats.say("bench.said.tare-of-the-taken-off", tray(e), trayMass(e, formats));
      case TARE_TAKEN_TWICE ->
          formats.say("bench.said.tare-of-the-had-been", tray(e), trayMass(e, formats));
      case NEVER_WEIGHED -> formats.say("bench.said.never-weighed");
      case WEIGHED_TWICE -> formats.say("bench.said.had-been-weighed-twice");
      case POUNDS_AS_KILOGRAMS -> formats.say("bench.said.had-been-typed-in-pounds");
      case DIGITS_SWAPPED -> formats.say("bench.said.two-digits-had-changed-places");
      case POINT_SLIPPED -> formats.say("bench.said.the-point-had-slipped");
    };
  }

  private static Mass read(LotPart part, Explanation e) {
    return part.taken().stream()
        .filter(taken -> taken.id().toString().equals(e.line()))
        .map(Weighing::mass)
        .findFirst()
        .orElse(Mass.ZERO);
  }

  private static String tray(Explanation e) {
    return e.tray().map(tray -> lower(tray.name())).orElse("tray");
  }

  /** The name of a part or tray inside a sentence. */
  static String lower(String name) {
    return name.substring(0, 1).toLowerCase(Locale.ROOT) + name.substring(1);
  }

  private static String trayMass(Explanation e, Formats formats) {
    return e.tray().map(tray -> formats.mass(tray.mass())).orElse("");
  }

  private static String sure(double probability, Formats formats) {
    if (probability >= ALMOST_CERTAIN) {
      return formats.say("bench.said.almost-certainly");
    }
    return formats.say(probability >= LIKELY ? "bench.said.probably" : "bench.said.perhaps");
  }
}
