package mosaicknife.app.bench;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.IntStream;
import mosaicknife.app.shared.Formats;
import mosaicknife.core.lot.LotPart;
import mosaicknife.core.lot.LotSheet;

/**
 * The bench as the script keeps it, so that work goes on while the server is away.
 *
 * @param stamp when it was made, so that the newer of two is known
 * @param lot the lot number
 * @param person who works, so that weights that wait are sent as theirs alone
 * @param fish how many fish
 * @param open whether weights are taken
 * @param mine the last weighing of this person, empty if there is none to take back
 * @param parts the parts in cutting order
 */
record BenchModel(
    long stamp, long lot, long person, int fish, boolean open, String mine, List<PartModel> parts) {

  /**
   * A part.
   *
   * @param norms about what the next figure is: of all fish together, of fish 1, of fish 2 and so
   *     on; null where nobody knows
   */
  record PartModel(
      String slot,
      int number,
      String name,
      boolean row,
      boolean skipped,
      boolean passed,
      List<NormModel> norms,
      List<TakenModel> taken) {}

  /**
   * About what a figure is.
   *
   * @param said as it is written beside the part
   * @param expected in mg
   * @param spread its standard deviation in mg
   * @param others how many fish are weighed together, where some were weighed alone; 0 where none
   */
  record NormModel(String said, long expected, long spread, int others) {}

  /** A weighing that stands. */
  record TakenModel(UUID id, int fish, String text, long at) {}

  static BenchModel of(
      Instant now, LotSheet sheet, long person, Optional<UUID> mine, Formats formats) {
    return new BenchModel(
        now.toEpochMilli(),
        sheet.lot().id(),
        person,
        sheet.lot().fish(),
        !sheet.lot().isFinished(),
        mine.map(UUID::toString).orElse(""),
        sheet.parts().stream().map(part -> part(sheet, part, formats)).toList());
  }

  private static PartModel part(LotSheet sheet, LotPart part, Formats formats) {
    return new PartModel(
        part.slot(),
        part.number(),
        part.name(),
        part.inARow(),
        part.skipped(),
        sheet.isPassedOver(part),
        IntStream.rangeClosed(0, sheet.lot().fish())
            .mapToObj(fish -> norm(sheet, part, fish, formats))
            .toList(),
        part.taken().stream()
            .map(
                t ->
                    new TakenModel(t.id(), t.fish(), formats.mass(t.mass()), t.at().toEpochMilli()))
            .toList());
  }

  private static NormModel norm(LotSheet sheet, LotPart part, int fishNo, Formats formats) {
    return sheet
        .about(part, fishNo)
        .map(
            about ->
                new NormModel(
                    formats.about(about),
                    about.milligrams(),
                    sheet.spreadAbout(part, fishNo).milligrams(),
                    BenchView.others(sheet, part, fishNo)))
        .orElse(null);
  }
}
