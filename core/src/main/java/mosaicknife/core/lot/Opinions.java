package mosaicknife.core.lot;

import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import mosaicknife.core.anatomy.PartKind;
import mosaicknife.core.craft.Drift;
import mosaicknife.core.craft.Pace;
import mosaicknife.core.craft.SecondOpinion;
import mosaicknife.core.craft.SecondOpinion.Remark;
import mosaicknife.core.craft.SecondOpinion.Role;
import mosaicknife.core.craft.SecondOpinion.Seen;
import mosaicknife.core.plan.CutPlan.Planned;
import mosaicknife.core.quantity.Fraction;
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
    return SecondOpinion.of(seen, sheet.lot().portionTarget(), worth, sheet.norms().sides());
  }

  private static Optional<Seen> seen(LotSheet sheet, LotPart part, int fish) {
    Optional<Weighing> taken =
        part.taken().stream().filter(t -> t.fish() == fish && t.piece() == 0).findFirst();
    Optional<Planned> planned = sheet.planned(part.slot());
    int all = sheet.lot().fish();
    boolean one = fish != 0 && all > 1;
    Mass spread = part.spreadOf(all, one);
    if (taken.isEmpty() || planned.isEmpty() || !spread.isPositive()) {
      return Optional.empty();
    }
    Fraction share = one ? Fraction.of(1, all) : Fraction.ONE;
    Mass expected = planned.get().mass().multipliedBy(share, RoundingMode.HALF_EVEN);
    return Optional.of(
        new Seen(part.name(), role(planned.get()), taken.get().mass(), expected, spread));
  }

  private static Role role(Planned planned) {
    if (planned.slot().isMain()) {
      return Role.MAIN;
    }
    return planned.slot().kind().is(PartKind.Trait.FRAME) ? Role.FRAME : Role.OTHER;
  }

  /**
   * Returns whether the main cuts one person took of a species get lighter over several lots.
   *
   * @param sheets the lots, in any order; those of other species are left out
   * @param species the code of the species
   * @param person the number of the person
   * @return the drift; empty where there is none or too few cuts to tell
   */
  public static Optional<Drift> drift(List<LotSheet> sheets, String species, long person) {
    return Drift.in(
        sheets.stream()
            .filter(sheet -> sheet.lot().species().code().equals(species))
            .flatMap(sheet -> cuts(sheet, person))
            .sorted(Comparator.comparing(cut -> cut.taken().at()))
            .map(Cut::overNorm)
            .toList());
  }

  private record Cut(Weighing taken, Mass expected, int fish) {

    private double overNorm() {
      return taken.mass().dividedBy(expected).multipliedBy(Fraction.of(fish, 1)).toDouble();
    }
  }

  private static Stream<Cut> cuts(LotSheet sheet, long person) {
    int fish = sheet.lot().fish();
    return sheet.parts().stream()
        .filter(part -> sheet.planned(part.slot()).filter(p -> p.slot().isMain()).isPresent())
        .filter(part -> part.expected().filter(Mass::isPositive).isPresent())
        .flatMap(
            part ->
                part.taken().stream()
                    .filter(taken -> taken.by().id() == person && taken.fish() != 0)
                    .map(taken -> new Cut(taken, part.expected().orElseThrow(), fish)));
  }

  /**
   * Reads the minutes of a lot off the moments of its weighings; corrections count for nothing.
   *
   * @param sheet the lot
   * @param opened when work on it began, if that is known
   * @return the pace
   */
  public static Pace pace(LotSheet sheet, Optional<java.time.Instant> opened) {
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
