package mosaicknife.app.bench;

import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mosaicknife.app.house.HouseTray;
import mosaicknife.core.breakdown.GrossErrors;
import mosaicknife.core.breakdown.GrossErrors.Finding;
import mosaicknife.core.breakdown.GrossErrors.Habits;
import mosaicknife.core.breakdown.GrossErrors.Question;
import mosaicknife.core.breakdown.LossNorm;
import mosaicknife.core.breakdown.ScaleError;
import mosaicknife.core.breakdown.TallyLine;
import mosaicknife.core.breakdown.TallyLine.Input;
import mosaicknife.core.breakdown.TallyLine.Standing;
import mosaicknife.core.breakdown.Tray;
import mosaicknife.core.quantity.Fraction;
import mosaicknife.core.quantity.Mass;

/** Puts the tally of a lot as a question to the search for gross errors. */
final class TallyCheck {

  private static final Mass STEP = ScaleError.BENCH.readability();

  private final BenchSheet sheet;
  private final List<HouseTray> trays;

  private TallyCheck(BenchSheet sheet, List<HouseTray> trays) {
    this.sheet = sheet;
    this.trays = trays;
  }

  /** Searches the tally of a lot; a lot without any weight has nothing to search. */
  static Optional<Finding> of(BenchSheet sheet, List<HouseTray> trays) {
    List<TallyLine> lines = new TallyCheck(sheet, trays).lines();
    if (lines.stream().noneMatch(line -> line.standing() == Standing.WEIGHED)) {
      return Optional.empty();
    }
    Question question =
        new Question(
            sheet.lot().purchased(),
            lines,
            LossNorm.STARTING,
            ScaleError.BENCH,
            trays.stream().map(HouseTray::tray).toList(),
            Habits.STARTING);
    return Optional.of(GrossErrors.search(question));
  }

  /** Only what is cut off the whole fish; a part cut further counts as it was weighed whole. */
  private List<TallyLine> lines() {
    List<TallyLine> lines = new ArrayList<>();
    for (BenchPart part : sheet.parts()) {
      if (sheet.parentOf(part).filter(BenchPart::isStarted).isPresent()) {
        continue;
      }
      part.taken().forEach(taken -> lines.add(weighed(part, taken)));
      unweighed(part).ifPresent(lines::add);
    }
    return lines;
  }

  private TallyLine weighed(BenchPart part, Taken taken) {
    int fish = sheet.lot().fish();
    boolean one = taken.fishNo() != 0 && fish > 1;
    Fraction share = one ? Fraction.of(1, fish) : Fraction.ONE;
    return new TallyLine(
        taken.id().toString(),
        part.kind().code() + "#" + taken.fishNo(),
        Optional.of(taken.mass()),
        part.expected().map(mass -> mass.multipliedBy(share, RoundingMode.HALF_EVEN)),
        part.spreadOf(fish, one),
        taken.source() == Source.TYPED ? Input.TYPED : Input.SCALE,
        taken.step().orElse(STEP),
        tray(taken),
        Standing.WEIGHED);
  }

  private Optional<TallyLine> unweighed(BenchPart part) {
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
            STEP,
            Optional.empty(),
            toCome ? Standing.TO_COME : Standing.LEFT_OUT));
  }

  private Optional<Tray> tray(Taken taken) {
    return taken
        .trayId()
        .flatMap(id -> trays.stream().filter(tray -> tray.id() == id).findFirst())
        .map(HouseTray::tray);
  }
}
