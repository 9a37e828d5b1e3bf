package mosaicknife.core.lot;

import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mosaicknife.core.breakdown.Diagnosis;
import mosaicknife.core.breakdown.Explanation;
import mosaicknife.core.breakdown.GrossErrors;
import mosaicknife.core.breakdown.GrossErrors.Question;
import mosaicknife.core.breakdown.TallyLine;
import mosaicknife.core.breakdown.TallyLine.Input;
import mosaicknife.core.breakdown.TallyLine.Standing;
import mosaicknife.core.breakdown.Tray;
import mosaicknife.core.quantity.Fraction;
import mosaicknife.core.quantity.Mass;

/** Puts the tally of a lot as a question to the search for gross errors. */
public final class Tally {

  private static final Fraction REST_SPREAD = Fraction.of(3, 10);

  private final LotSheet sheet;
  private final Map<Long, Tray> trays;
  private final FishShares shares;

  private Tally(LotSheet sheet, Map<Long, Tray> trays) {
    this.sheet = sheet;
    this.trays = trays;
    this.shares = sheet.shares();
  }

  /**
   * Searches the tally of a lot: of the whole fish, and of each part that was weighed and cut
   * further.
   *
   * @param sheet the lot
   * @param trays the trays of the house by number
   * @return what was found, of the first tally that is worth a word; empty for a sound lot
   */
  public static Optional<Diagnosis> search(LotSheet sheet, Map<Long, Tray> trays) {
    return new Tally(sheet, trays).search();
  }

  private Optional<Diagnosis> search() {
    List<LotPart> cutOff =
        sheet.parts().stream()
            .filter(part -> sheet.parentOf(part).filter(LotPart::isStarted).isEmpty())
            .toList();
    Optional<Diagnosis> found =
        ask(sheet.lot().purchased(), otherFigure(), lines(cutOff), Optional.empty());
    for (LotPart part : sheet.parts()) {
      List<LotPart> pieces =
          sheet.parts().stream()
              .filter(piece -> piece.parentId().filter(id -> id == part.id()).isPresent())
              .filter(piece -> !piece.inARow())
              .toList();
      if (found.isEmpty() && part.isDone(sheet.lot().fish()) && !pieces.isEmpty()) {
        List<TallyLine> lines = lines(pieces);
        lines.add(rest(part, pieces));
        found = ask(part.mass(), Optional.empty(), lines, Optional.of(whole(part)));
      }
    }
    return found;
  }

  /** What is whole here is one figure of the tally of the fish, or the sum of several. */
  private TallyLine whole(LotPart part) {
    return part.taken().size() == 1
        ? weighed(part, part.taken().get(0))
        : open(part.slot(), part.expected(), part.spread());
  }

  private Optional<Diagnosis> ask(
      Mass whole, Optional<Mass> invoiced, List<TallyLine> lines, Optional<TallyLine> part) {
    return lines.stream().noneMatch(line -> line.standing() == Standing.WEIGHED)
        ? Optional.empty()
        : GrossErrors.worthAWord(
            new Question(whole, invoiced, lines, List.copyOf(trays.values()), sheet.norms(), part));
  }

  /** The invoice, where the own scale says something else. */
  private Optional<Mass> otherFigure() {
    Lot lot = sheet.lot();
    return Optional.of(lot.invoiced()).filter(invoice -> !invoice.equals(lot.purchased()));
  }

  /** Only what is cut off the same; a part cut further counts as it was weighed whole. */
  private List<TallyLine> lines(List<LotPart> parts) {
    List<TallyLine> lines = new ArrayList<>();
    for (LotPart part : parts) {
      part.taken().forEach(taken -> lines.add(weighed(part, taken)));
      toCome(part).ifPresent(lines::add);
    }
    return lines;
  }

  /** What is left of a part that is cut further may weigh anything up to all of it. */
  private TallyLine rest(LotPart part, List<LotPart> pieces) {
    Mass expected =
        Mass.total(pieces.stream().flatMap(piece -> piece.expected().stream()).toList());
    Mass left = part.mass().minus(expected);
    return open(
        Explanation.NO_LINE,
        Optional.of(left.isPositive() ? left : Mass.ZERO),
        part.mass().multipliedBy(REST_SPREAD, RoundingMode.HALF_EVEN));
  }

  private TallyLine weighed(LotPart part, Weighing taken) {
    List<Integer> fish = part.fishOf(taken.fish(), sheet.lot().fish());
    return new TallyLine(
        taken.id().toString(),
        part.kind().code() + "#" + taken.fish(),
        Optional.of(taken.mass()),
        part.expected().map(all -> shares.of(all, fish)),
        shares.spreadOf(part, fish),
        taken.source() == Source.TYPED ? Input.TYPED : Input.SCALE,
        taken.step().orElse(assumedStep()),
        taken.figure(),
        taken.tray().map(trays::get),
        Standing.WEIGHED);
  }

  private Mass assumedStep() {
    return sheet.norms().scale().readability();
  }

  /** A part that was said not to be taken off is on another, or is no part this time. */
  private Optional<TallyLine> toCome(LotPart part) {
    return part.skipped() || !part.outstanding().isPositive()
        ? Optional.empty()
        : Optional.of(open(part.slot(), Optional.of(part.outstanding()), part.spread()));
  }

  private TallyLine open(String id, Optional<Mass> expected, Mass spread) {
    return new TallyLine(
        id,
        id,
        Optional.empty(),
        expected,
        spread,
        Input.UNKNOWN,
        assumedStep(),
        Optional.empty(),
        Standing.TO_COME);
  }
}
