package mosaicknife.app.bench;

import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mosaicknife.app.shared.Formats;
import mosaicknife.core.craft.Drift;
import mosaicknife.core.craft.SecondOpinion;
import mosaicknife.core.craft.SecondOpinion.Remark;
import mosaicknife.core.craft.SecondOpinion.Role;
import mosaicknife.core.craft.SecondOpinion.Seen;
import mosaicknife.core.plan.CutPlan.Planned;
import mosaicknife.core.plan.CuttingOptions;
import mosaicknife.core.quantity.Fraction;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.UnitPrice;

/** The second opinion on the fish on the board, in words. */
final class Opinions {

  private static final int SHOWN = 2;

  private Opinions() {}

  /**
   * One remark.
   *
   * @param sentence what is seen and what to do
   * @param sure how sure it is, in percent
   */
  record Opinion(String sentence, String sure) {}

  /** Looks at what was weighed of one fish; money only for those who may see it. */
  static List<Opinion> of(
      BenchSheet sheet, int fishNo, boolean money, Optional<Drift> drift, Formats formats) {
    List<Seen> seen = new ArrayList<>();
    for (BenchPart part : sheet.expectedParts()) {
      seen(sheet, part, fishNo).ifPresent(seen::add);
    }
    List<Opinion> opinions = new ArrayList<>();
    Optional<UnitPrice> worth = money ? worth(sheet) : Optional.empty();
    for (Remark remark : SecondOpinion.of(seen, sheet.lot().portionTarget(), worth)) {
      if (opinions.size() < SHOWN) {
        opinions.add(new Opinion(sentence(remark, formats), sure(remark.sure())));
      }
    }
    drift.ifPresent(d -> opinions.add(new Opinion(sentence(d, formats), sure(d.sure()))));
    return opinions;
  }

  /** A kilogram of main cut costs what the lot costs over what the plan expects of it. */
  private static Optional<UnitPrice> worth(BenchSheet sheet) {
    Mass mains = sheet.plan().mains();
    return mains.isPositive()
        ? Optional.of(sheet.lot().cost().total().per(mains))
        : Optional.empty();
  }

  private static Optional<Seen> seen(BenchSheet sheet, BenchPart part, int fishNo) {
    Optional<Taken> taken =
        part.taken().stream().filter(t -> t.fishNo() == fishNo && t.pieceNo() == 0).findFirst();
    Optional<Planned> planned =
        sheet.plan().parts().stream().filter(p -> p.slot().code().equals(part.slot())).findFirst();
    int fish = sheet.lot().fish();
    boolean one = fishNo != 0 && fish > 1;
    Mass spread = part.spreadOf(fish, one);
    if (taken.isEmpty() || planned.isEmpty() || !spread.isPositive()) {
      return Optional.empty();
    }
    Mass expected =
        planned
            .get()
            .mass()
            .multipliedBy(one ? Fraction.of(1, fish) : Fraction.ONE, RoundingMode.HALF_EVEN);
    return Optional.of(
        new Seen(part.name(), role(planned.get()), taken.get().mass(), expected, spread));
  }

  private static Role role(Planned planned) {
    if (CuttingOptions.isMain(planned.slot())) {
      return Role.MAIN;
    }
    return planned.slot().kind().code().equals("frame") ? Role.FRAME : Role.OTHER;
  }

  private static String sentence(Remark remark, Formats formats) {
    String gap = formats.roughly(remark.gap());
    String band = formats.range(remark.low(), remark.high());
    String worth =
        (remark.portions() > 0
                ? ", %d portion%s".formatted(remark.portions(), remark.portions() == 1 ? "" : "s")
                : "")
            + remark.worth().map(money -> ", ≈ " + formats.money(money)).orElse("");
    return switch (remark.about()) {
      case LIGHT ->
          "%s is light: most fish of this size give %s. Missing %s%s. Look at the frame."
              .formatted(remark.part(), band, gap, worth);
      case HEAVY ->
          "%s is heavy: most fish of this size give %s. Are bones or belly still on it?"
              .formatted(remark.part(), band);
      case UNEVEN ->
          "%s is %s lighter than %s%s. Two sides of one fish differ less: look under that side."
              .formatted(
                  remark.part(), gap, Suspicion.lower(remark.other().orElse("the other")), worth);
      case FRAME ->
          "%s of meat on the %s (%s)%s. Worth a spoon."
              .formatted(gap, Suspicion.lower(remark.part()), band, worth);
    };
  }

  private static String sentence(Drift drift, Formats formats) {
    return "Your last %d cuts get lighter, %s in all. Sharpen the knife?"
        .formatted(
            drift.cuts(), formats.percent(Fraction.of(Math.round(drift.total() * 1000), 1000)));
  }

  private static String sure(double probability) {
    return Math.min(99, Math.round(100 * probability)) + " % sure";
  }
}
