package mosaicknife.core.lot;

import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mosaicknife.core.breakdown.GrossErrors;
import mosaicknife.core.breakdown.GrossErrors.Diagnosis;
import mosaicknife.core.breakdown.GrossErrors.Question;
import mosaicknife.core.breakdown.TallyLine;
import mosaicknife.core.breakdown.TallyLine.Input;
import mosaicknife.core.breakdown.TallyLine.Standing;
import mosaicknife.core.breakdown.Tray;
import mosaicknife.core.quantity.Fraction;
import mosaicknife.core.quantity.Mass;

/** Puts the tally of a lot as a question to the search for gross errors. */
public final class Tally {

  private final LotSheet sheet;
  private final Map<Long, Tray> trays;

  private Tally(LotSheet sheet, Map<Long, Tray> trays) {
    this.sheet = sheet;
    this.trays = trays;
  }

  /**
   * Searches the tally of a lot.
   *
   * @param sheet the lot
   * @param trays the trays of the house by number
   * @return what was found; empty before the first weight
   */
  public static Optional<Diagnosis> search(LotSheet sheet, Map<Long, Tray> trays) {
    List<TallyLine> lines = new Tally(sheet, trays).lines();
    if (lines.stream().noneMatch(line -> line.standing() == Standing.WEIGHED)) {
      return Optional.empty();
    }
    return Optional.of(
        GrossErrors.search(
            new Question(
                sheet.lot().purchased(), lines, List.copyOf(trays.values()), sheet.norms())));
  }

  /** Only what is cut off the whole fish; a part cut further counts as it was weighed whole. */
  private List<TallyLine> lines() {
    List<TallyLine> lines = new ArrayList<>();
    for (LotPart part : sheet.parts()) {
      if (sheet.parentOf(part).filter(LotPart::isStarted).isPresent()) {
        continue;
      }
      part.taken().forEach(taken -> lines.add(weighed(part, taken)));
      unweighed(part).ifPresent(lines::add);
    }
    return lines;
  }

  private TallyLine weighed(LotPart part, Weighing taken) {
    int fish = sheet.lot().fish();
    boolean one = taken.fish() != 0 && fish > 1;
    Fraction share = one ? Fraction.of(1, fish) : Fraction.ONE;
    return new TallyLine(
        taken.id().toString(),
        part.kind().code() + "#" + taken.fish(),
        Optional.of(taken.mass()),
        part.expected().map(mass -> mass.multipliedBy(share, RoundingMode.HALF_EVEN)),
        part.spreadOf(fish, one),
        taken.source() == Source.TYPED ? Input.TYPED : Input.SCALE,
        taken.step().orElse(assumedStep()),
        taken.tray().map(trays::get),
        Standing.WEIGHED);
  }

  private Mass assumedStep() {
    return sheet.norms().scale().readability();
  }

  private Optional<TallyLine> unweighed(LotPart part) {
    boolean toCome = !part.skipped() && part.outstanding().isPositive();
    boolean leftOut = part.skipped() && part.expected().isPresent() && !part.isStarted();
    if (!toCome && !leftOut) {
      return Optional.empty();
    }
    return Optional.of(
        new TallyLine(
            part.slot(),
            part.slot(),
            Optional.empty(),
            toCome ? Optional.of(part.outstanding()) : part.expected(),
            part.spreadOf(sheet.lot().fish(), false),
            Input.UNKNOWN,
            assumedStep(),
            Optional.empty(),
            toCome ? Standing.TO_COME : Standing.LEFT_OUT));
  }
}
