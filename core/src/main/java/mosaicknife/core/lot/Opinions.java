package mosaicknife.core.lot;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import mosaicknife.core.anatomy.PartKind;
import mosaicknife.core.craft.Drift;
import mosaicknife.core.craft.Pace;
import mosaicknife.core.craft.SecondOpinion;
import mosaicknife.core.craft.SecondOpinion.PartRole;
import mosaicknife.core.craft.SecondOpinion.Remark;
import mosaicknife.core.craft.SecondOpinion.Seen;
import mosaicknife.core.plan.CutPlan.Planned;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.UnitPrice;

/** What a second pair of eyes says of a lot and of a shift. */
public final class Opinions {

  private Opinions() {}

  /**
   * Looks at what was weighed of one fish.
   *
   * @param sheet the lot
   * @param fish which fish, from 1; 0 for all together
   * @return the remarks, what is worth most first, with what it is worth
   */
  public static List<Remark> of(LotSheet sheet, int fish) {
    List<Seen> seen = new ArrayList<>();
    for (LotPart part : sheet.expectedParts()) {
      seen(sheet, part, fish).ifPresent(seen::add);
    }
    Optional<UnitPrice> worth = sheet.worthOfMains();
    return SecondOpinion.of(seen, sheet.plates().serving().target(), worth, sheet.norms().sides());
  }

  private static Optional<Seen> seen(LotSheet sheet, LotPart part, int fish) {
    Optional<Weighing> taken =
        part.taken().stream().filter(t -> t.fish() == fish && t.piece() == 0).findFirst();
    Optional<Planned> planned = sheet.planned(part.slot());
    Optional<Mass> expected = sheet.about(part, fish);
    Mass spread = sheet.spreadAbout(part, fish);
    if (taken.isEmpty() || planned.isEmpty() || expected.isEmpty() || !spread.isPositive()) {
      return Optional.empty();
    }
    return Optional.of(
        new Seen(part.name(), role(planned.get()), taken.get().mass(), expected.get(), spread));
  }

  private static PartRole role(Planned planned) {
    if (planned.slot().isMain()) {
      return PartRole.MAIN;
    }
    return planned.slot().kind().is(PartKind.Trait.FRAME) ? PartRole.FRAME : PartRole.OTHER;
  }

  /**
   * A main cut one person took off one fish.
   *
   * @param at when it was weighed
   * @param overNorm its mass over what the lot expects of one fish, above 0
   */
  public record OverNorm(Instant at, double overNorm) {}

  /**
   * The main cuts a person took, fish by fish; weighings of a whole lot together say nothing.
   *
   * @param sheet the lot
   * @param person the number of the person
   * @return the cuts, in the order of the parts
   */
  public static List<OverNorm> mainCuts(LotSheet sheet, long person) {
    List<OverNorm> cuts = new ArrayList<>();
    for (LotPart part : sheet.parts()) {
      if (sheet.planned(part.slot()).filter(p -> p.slot().isMain()).isEmpty()) {
        continue;
      }
      for (Weighing taken : part.taken()) {
        Optional<Mass> expected = sheet.about(part, taken.fish()).filter(Mass::isPositive);
        if (taken.by().id() == person && taken.fish() != 0 && expected.isPresent()) {
          cuts.add(new OverNorm(taken.at(), taken.mass().dividedBy(expected.get()).toDouble()));
        }
      }
    }
    return cuts;
  }

  /**
   * Whether the main cuts of one person get lighter over a shift.
   *
   * @param cuts cuts of one species, in any order
   * @return the drift; empty where there is none or too few cuts to tell
   */
  public static Optional<Drift> drift(List<OverNorm> cuts) {
    return Drift.in(
        cuts.stream().sorted(Comparator.comparing(OverNorm::at)).map(OverNorm::overNorm).toList());
  }

  /**
   * Reads the minutes of a lot off the moments of its weighings; corrections count for nothing.
   *
   * @param sheet the lot
   * @param opened when work on it began, if that is known
   * @return the pace
   */
  public static Pace pace(LotSheet sheet, Optional<Instant> opened) {
    return Pace.of(
        sheet.parts().stream()
            .flatMap(
                part ->
                    part.taken().stream()
                        .filter(taken -> !taken.isCorrection())
                        .map(taken -> new Pace.Stroke(part.name(), taken.fish(), taken.at())))
            .toList(),
        opened);
  }
}
