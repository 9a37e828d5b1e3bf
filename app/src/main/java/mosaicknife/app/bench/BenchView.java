package mosaicknife.app.bench;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import mosaicknife.app.shared.Formats;
import mosaicknife.core.anatomy.Purpose;
import mosaicknife.core.breakdown.Balance;
import mosaicknife.core.lot.Lot;
import mosaicknife.core.lot.LotPart;
import mosaicknife.core.lot.LotSheet;
import mosaicknife.core.lot.OnBoard;
import mosaicknife.core.lot.Source;
import mosaicknife.core.lot.Weighing;
import mosaicknife.core.quantity.Mass;

/**
 * The bench of one lot, ready for the template.
 *
 * @param sheet the lot with its parts
 * @param fishNo which fish is worked, from 1; 0 for all together
 * @param fishChoices the fish to choose from; empty for a single fish
 * @param selected the part to be weighed now; empty when all are
 * @param asked whether that part was asked for, or is the next by itself
 * @param previous the weighing of the selected part that stands, if it is weighed again
 * @param cutAt the selected part as it lies on the board to be portioned; empty if it is none
 * @param about about what the selected part of that fish weighs; empty if nobody knows
 * @param others how many fish it is weighed of together, where some were weighed alone; else 0
 * @param nextFish the fish to go on with when all of this one is weighed; 0 while it is not
 * @param rows one row per part
 * @param tally what the tally says
 * @param weighingId the identifier of the next weighing
 */
record BenchView(
    LotSheet sheet,
    int fishNo,
    List<Integer> fishChoices,
    Optional<LotPart> selected,
    boolean asked,
    Optional<Weighing> previous,
    String cutAt,
    String about,
    int others,
    int nextFish,
    List<Row> rows,
    TallyTable tally,
    UUID weighingId) {

  /** One part in the list. */
  record Row(
      LotPart part,
      String weight,
      boolean weighed,
      boolean typed,
      boolean corrected,
      boolean chosen,
      String share,
      String letter,
      String inside,
      String left,
      String title) {}

  /** The sums under the list and the sentence that judges them. */
  record TallyTable(
      String verdict,
      String sentence,
      String purchased,
      String tallied,
      String remainder,
      String remainderShare,
      String outstanding) {}

  static BenchView of(
      LotSheet sheet, Optional<String> wanted, int fishNo, boolean suspected, Formats formats) {
    Lot lot = sheet.lot();
    Optional<LotPart> selected = wanted.flatMap(sheet::find).or(() -> sheet.next(fishNo));
    Optional<Weighing> previous =
        selected.filter(part -> !part.inARow()).flatMap(part -> part.find(fishNo));
    List<Integer> choices = new ArrayList<>();
    for (int fish = 1; lot.fish() > 1 && fish <= lot.fish(); fish++) {
      choices.add(fish);
    }
    List<Row> rows =
        sheet.parts().stream().map(part -> row(sheet, part, selected, fishNo, formats)).toList();
    return new BenchView(
        sheet,
        fishNo,
        choices,
        selected,
        wanted.flatMap(sheet::find).isPresent(),
        previous,
        cutAt(sheet, selected, fishNo),
        selected.flatMap(part -> sheet.about(part, fishNo)).map(formats::about).orElse(""),
        selected.map(part -> others(sheet, part, fishNo)).orElse(0),
        selected.isPresent() ? 0 : sheet.nextFish(fishNo).orElse(0),
        rows,
        tally(sheet, suspected, formats),
        UUID.randomUUID());
  }

  private static String cutAt(LotSheet sheet, Optional<LotPart> selected, int fishNo) {
    return OnBoard.of(sheet).stream()
        .filter(OnBoard::measured)
        .filter(one -> selected.filter(one.part()::equals).isPresent())
        .filter(one -> one.fish() == Math.max(1, fishNo))
        .findFirst()
        .map(OnBoard::key)
        .orElse("");
  }

  private static Row row(
      LotSheet sheet, LotPart part, Optional<LotPart> selected, int fishNo, Formats formats) {
    Optional<Weighing> taken = part.find(fishNo);
    Optional<Mass> weighed = part.inARow() ? part.rowOf(fishNo) : taken.map(Weighing::mass);
    Optional<Mass> expected = part.inARow() ? part.expected() : sheet.about(part, fishNo);
    String weight = weighed.map(formats::mass).or(() -> expected.map(formats::about)).orElse("");
    Mass shown = weighed.or(() -> expected).orElse(Mass.ZERO);
    Mass fish = sheet.fishWith(part, fishNo);
    String inside =
        part.inARow()
            ? formats.say("bench.said.so-far", part.pieces(fishNo))
            : with(sheet, part, formats);
    return new Row(
        part,
        weight,
        taken.isPresent(),
        taken.filter(t -> t.source() == Source.TYPED).isPresent(),
        taken.filter(Weighing::isCorrection).isPresent(),
        selected.filter(part::equals).isPresent(),
        shown.isPositive() && fish.isPositive() ? formats.percent(shown.dividedBy(fish)) : "",
        part.purpose().map(Purpose::letter).map(String::valueOf).orElse("·"),
        inside,
        part.skipped() ? left(sheet, part, formats) : "",
        taken
            .map(
                t ->
                    formats
                        .say("bench.said.at", t.by().name(), formats.time(t.at()), t.reason())
                        .strip())
            .orElse(part.kind().meaning()));
  }

  /** How many fish a part is weighed of together, where some were weighed alone; else 0. */
  static int others(LotSheet sheet, LotPart part, int fishNo) {
    int fish = part.fishOf(fishNo, sheet.lot().fish()).size();
    return fishNo == 0 && fish < sheet.lot().fish() ? fish : 0;
  }

  /** What stays on a part or was put back into it, and where it was put back itself. */
  private static String with(LotSheet sheet, LotPart part, Formats formats) {
    List<String> staying =
        Stream.concat(sheet.stayingOn(part).stream(), sheet.backIn(part).stream())
            .map(
                p ->
                    Stream.concat(
                            Stream.of(p.name().toLowerCase(Locale.ROOT)),
                            sheet.shareOf(p).map(formats::about).stream())
                        .collect(Collectors.joining(" ")))
            .toList();
    return staying.isEmpty()
        ? part.part()
            .putInto()
            .flatMap(sheet::find)
            .map(into -> formats.say("bench.said.put-back", into.name().toLowerCase(Locale.ROOT)))
            .orElse("")
        : formats.say("bench.said.with", formats.list(staying));
  }

  private static String left(LotSheet sheet, LotPart part, Formats formats) {
    return part.part()
        .staysOn()
        .flatMap(sheet::find)
        .map(on -> formats.say("bench.said.stays-on", on.name().toLowerCase(Locale.ROOT)))
        .orElseGet(() -> formats.say("bench.not-taken-off"));
  }

  static TallyTable tally(LotSheet sheet, boolean suspected, Formats formats) {
    Balance balance = sheet.balance();
    return new TallyTable(
        balance.verdict().name(),
        suspected ? gap(sheet, formats) : sentence(sheet, formats),
        formats.mass(balance.purchased()),
        formats.mass(balance.tallied()),
        formats.mass(balance.remainder()),
        formats.percent(balance.remainderShare()),
        formats.about(balance.outstanding()));
  }

  /** Only by how much: what it may be is said by the suspicions below it. */
  private static String gap(LotSheet sheet, Formats formats) {
    Balance balance = sheet.balance();
    Mass gap = balance.unexplained();
    if (balance.verdict() == Balance.Verdict.OVER) {
      return formats.say(
          "bench.said.the-tally-is-over-the", formats.mass(balance.remainder().abs()));
    }
    return gap.isNegative()
        ? formats.say("bench.said.the-tally-is-too-heavy", formats.mass(gap.abs()))
        : formats.say("bench.said.are-missing", formats.mass(gap));
  }

  private static String sentence(LotSheet sheet, Formats formats) {
    Balance balance = sheet.balance();
    return switch (balance.verdict()) {
      case OPEN ->
          balance.tallied().isPositive()
              ? formats.say(
                  "bench.said.of-weighed-still-inside",
                  sheet.weightsTaken(),
                  sheet.weights(),
                  formats.mass(balance.remainder()))
              : formats.say("bench.said.nothing-weighed-yet-put-the");
      case CLOSED ->
          formats.say(
              "bench.said.it-adds-up-not-accounted",
              formats.mass(balance.remainder()),
              formats.percent(balance.remainderShare()));
      case OVER ->
          formats.say(
              "bench.said.the-tally-is-over-the-2", formats.mass(balance.remainder().abs()));
      case SHORT ->
          formats.say(
              "bench.said.are-missing-more-than-drip",
              formats.mass(balance.remainder()),
              formats.percent(balance.remainderShare()));
    };
  }
}
