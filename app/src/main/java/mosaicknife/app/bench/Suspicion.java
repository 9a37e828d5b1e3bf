package mosaicknife.app.bench;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import mosaicknife.app.shared.Formats;
import mosaicknife.core.breakdown.Diagnosis;
import mosaicknife.core.breakdown.Diagnosis.Sureness;
import mosaicknife.core.breakdown.Explanation;
import mosaicknife.core.breakdown.Explanation.Cause;
import mosaicknife.core.lot.LotPart;
import mosaicknife.core.lot.LotSheet;
import mosaicknife.core.lot.Weighing;

/**
 * What may be wrong with a tally, in words, with the one tap that mends it.
 *
 * @param sentence what happened, with the part and the figures
 * @param remedy what the button says
 * @param after what the tally says once it is mended
 * @param mendable whether the button is offered: likely enough, and a thing one tap can do
 * @param slot the part to look at where no button is offered; empty if there is none
 * @param look what the link to it says
 * @param line the weighing at fault, or the slot of a part never weighed
 * @param cause what happened
 * @param chance how likely it is, in percent
 */
record Suspicion(
    String sentence,
    String remedy,
    String after,
    boolean mendable,
    String slot,
    String look,
    String line,
    Cause cause,
    long chance) {

  /** The likeliest first; none without alarm. */
  static List<Suspicion> of(LotSheet sheet, Optional<Diagnosis> finding, Formats formats) {
    return finding.stream()
        .flatMap(
            found ->
                found.open().stream()
                    .flatMap(e -> of(sheet, e, found.sureness(e), formats).stream()))
        .toList();
  }

  private static Optional<Suspicion> of(
      LotSheet sheet, Explanation e, Sureness sureness, Formats formats) {
    Optional<LotPart> part = part(sheet, e.line());
    boolean needsPart =
        !e.line().equals(Explanation.WHOLE) && !e.line().equals(Explanation.NO_LINE);
    if (needsPart && part.isEmpty()) {
      return Optional.empty();
    }
    Words words = new Words(sheet, e, formats);
    return Optional.of(
        new Suspicion(
            words.sentence(formats.say(sureness)),
            words.remedy(),
            formats.say("bench.said.then-not-accounted-for", formats.mass(e.after())),
            e.isMendable(),
            part.map(LotPart::slot).orElse(""),
            part.map(p -> formats.say("bench.said.look-at", p.name())).orElse(""),
            e.line(),
            e.cause(),
            Math.min(99, Math.round(100 * e.claimed()))));
  }

  /** Why a weighing was corrected, as it is kept with the fact. */
  static String reason(LotSheet sheet, Explanation e, Formats formats) {
    return new Words(sheet, e, formats).reason();
  }

  private static Optional<LotPart> part(LotSheet sheet, String line) {
    return sheet.partWeighedBy(line).or(() -> sheet.find(line));
  }

  /** The name of a part or tray inside a sentence. */
  static String lower(String name) {
    return name.substring(0, 1).toLowerCase(Locale.ROOT) + name.substring(1);
  }

  /** The words of one explanation. */
  private static final class Words {

    private final LotSheet sheet;
    private final Explanation e;
    private final Formats formats;
    private final String part;
    private final String other;
    private final String right;
    private final String read;

    Words(LotSheet sheet, Explanation e, Formats formats) {
      this.sheet = sheet;
      this.e = e;
      this.formats = formats;
      this.part = name(e.line());
      this.other = e.other().map(this::name).orElse("");
      this.right = formats.mass(e.corrected());
      this.read = weighing(e.line()).map(w -> formats.mass(w.mass())).orElse("");
    }

    private Optional<Weighing> weighing(String line) {
      return sheet.parts().stream()
          .flatMap(p -> p.taken().stream())
          .filter(taken -> taken.id().toString().equals(line))
          .findFirst();
    }

    /** With its fish, where the lot has several and they were weighed one by one. */
    private String name(String line) {
      String name = part(sheet, line).map(LotPart::name).orElse("");
      return weighing(line)
          .filter(taken -> sheet.lot().fish() > 1 && taken.fish() > 0)
          .map(taken -> formats.say("bench.said.part-of-fish", name, (long) taken.fish()))
          .orElse(name);
    }

    String sentence(String sure) {
      return switch (e.cause()) {
        case TARE_NOT_TAKEN ->
            formats.say("bench.said.the-weighs-its-tare-was", tray(), trayMass(), sure, part);
        case TARE_TAKEN_TWICE ->
            formats.say("bench.said.the-weighs-its-tare-was-2", tray(), trayMass(), sure, part);
        case NEVER_WEIGHED ->
            formats.say("bench.said.never-weighed-are-missing", part, sure, roughly());
        case WEIGHED_TWICE ->
            formats.say("bench.said.was-weighed-twice-not", part, sure, right, read);
        case POUNDS_AS_KILOGRAMS ->
            formats.say("bench.said.was-typed-in-pounds-not", part, sure, right, read);
        case KILOGRAMS_AS_POUNDS ->
            formats.say("bench.said.was-typed-in-kilograms-not", part, sure, right, read);
        case DIGITS_SWAPPED ->
            formats.say("bench.said.two-digits-changed-places-in", sure, part, right, read);
        case POINT_SLIPPED ->
            formats.say("bench.said.the-point-slipped-in-not", sure, part, right, read);
        case ROWS_EXCHANGED -> formats.say("bench.said.have-each-others-figure", part, other, sure);
        case ROWS_SHIFTED ->
            formats.say("bench.said.stands-in-the-row-of", read, part, sure, other);
        case UNDER_ANOTHER_NAME ->
            formats.say("bench.said.is-the-same-piece-as", part, sure, other, read);
        case IN_NO_ROW -> formats.say("bench.said.are-in-no-row", roughly(), leftOut());
        case ANYTHING_ELSE -> formats.say("bench.said.is-far-from-what", part, read, roughly());
        case WHOLE_ON_TRAY ->
            formats.say("bench.said.the-fish-was-weighed-in", sure, tray(), trayMass(), right);
        case WHOLE_TOO_HEAVY -> formats.say("bench.said.the-fish-weighs-less", sure, roughly());
        case WHOLE_TOO_LIGHT -> formats.say("bench.said.the-fish-weighs-more", sure, roughly());
      };
    }

    String remedy() {
      return switch (e.cause()) {
        case TARE_NOT_TAKEN -> formats.say("bench.said.take-it-off", right);
        case TARE_TAKEN_TWICE -> formats.say("bench.said.put-it-back-on", right);
        case NEVER_WEIGHED -> formats.say("bench.said.weigh", part);
        case WEIGHED_TWICE -> formats.say("bench.said.count-it-once", right);
        case POUNDS_AS_KILOGRAMS, KILOGRAMS_AS_POUNDS, DIGITS_SWAPPED, POINT_SLIPPED ->
            formats.say("bench.said.make-it", right);
        case ROWS_EXCHANGED -> formats.say("bench.said.exchange-them");
        case UNDER_ANOTHER_NAME -> formats.say("bench.said.take-back", part);
        case ROWS_SHIFTED,
            IN_NO_ROW,
            ANYTHING_ELSE,
            WHOLE_ON_TRAY,
            WHOLE_TOO_HEAVY,
            WHOLE_TOO_LIGHT ->
            "";
      };
    }

    String reason() {
      return switch (e.cause()) {
        case TARE_NOT_TAKEN -> formats.say("bench.said.tare-of-the-taken-off", tray(), trayMass());
        case TARE_TAKEN_TWICE -> formats.say("bench.said.tare-of-the-had-been", tray(), trayMass());
        case NEVER_WEIGHED -> formats.say("bench.said.never-weighed");
        case WEIGHED_TWICE -> formats.say("bench.said.had-been-weighed-twice");
        case POUNDS_AS_KILOGRAMS -> formats.say("bench.said.had-been-typed-in-pounds");
        case KILOGRAMS_AS_POUNDS -> formats.say("bench.said.had-been-typed-in-kilograms");
        case DIGITS_SWAPPED -> formats.say("bench.said.two-digits-had-changed-places");
        case POINT_SLIPPED -> formats.say("bench.said.the-point-had-slipped");
        case ROWS_EXCHANGED, ROWS_SHIFTED -> formats.say("bench.said.had-the-figure-of", other);
        case UNDER_ANOTHER_NAME -> formats.say("bench.said.had-been-weighed-as", other);
        case IN_NO_ROW, ANYTHING_ELSE, WHOLE_ON_TRAY, WHOLE_TOO_HEAVY, WHOLE_TOO_LIGHT -> "";
      };
    }

    /** What was left out without staying on another part may be what is missing. */
    private String leftOut() {
      List<String> names =
          sheet.parts().stream()
              .filter(p -> p.skipped() && p.part().staysOn().isEmpty() && !p.isStarted())
              .map(LotPart::name)
              .toList();
      return names.isEmpty()
          ? ""
          : formats.say("bench.said.left-out", formats.list(names), (long) names.size());
    }

    private String roughly() {
      return formats.roughly(e.corrected()).substring(2);
    }

    private String tray() {
      return e.tray().map(tray -> lower(tray.name())).orElse("tray");
    }

    private String trayMass() {
      return e.tray().map(tray -> formats.mass(tray.mass())).orElse("");
    }
  }
}
