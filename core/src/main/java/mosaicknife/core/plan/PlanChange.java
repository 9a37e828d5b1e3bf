package mosaicknife.core.plan;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mosaicknife.core.plan.CutPlan.Planned;
import mosaicknife.core.plan.CutPlan.Plate;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Mass;

/**
 * What one plan changes against another.
 *
 * @param parts what each kind of part gains or loses, the largest change first; unchanged ones are
 *     left out
 * @param minutes minutes more, negative for less
 * @param portions portions more, negative for fewer
 * @param plate what a plate costs more, negative for less; empty if either has no portion
 */
public record PlanChange(
    List<Change> parts, double minutes, long portions, Optional<ExactMoney> plate) {

  /** Copies the parts. */
  public PlanChange {
    parts = List.copyOf(parts);
  }

  /**
   * What one kind of part gains or loses.
   *
   * @param name the name of the kind
   * @param by the mass, of either sign
   */
  public record Change(String name, Mass by) {}

  /**
   * Compares two plans of one lot.
   *
   * @param before the plan as it is
   * @param after the plan as it would be
   * @param plateBefore its plate
   * @param plateAfter the plate it would be
   * @return what changes
   */
  public static PlanChange between(
      CutPlan before, CutPlan after, Plate plateBefore, Plate plateAfter) {
    Map<String, Mass> changes = new LinkedHashMap<>();
    add(changes, after, 1);
    add(changes, before, -1);
    List<Change> parts = new ArrayList<>();
    changes.forEach(
        (name, by) -> {
          if (by.milligrams() != 0) {
            parts.add(new Change(name, by));
          }
        });
    parts.sort((a, b) -> b.by().abs().compareTo(a.by().abs()));
    return new PlanChange(
        parts,
        after.minutes() - before.minutes(),
        plateAfter.portions() - plateBefore.portions(),
        plateAfter.whole().flatMap(a -> plateBefore.whole().map(a::minus)));
  }

  private static void add(Map<String, Mass> changes, CutPlan plan, long sign) {
    for (Planned part : plan.parts()) {
      changes.merge(part.slot().kind().name(), part.mass().multipliedBy(sign), Mass::plus);
    }
  }

  /**
   * Returns whether nothing changes that anybody would notice.
   *
   * @return true without a change of parts, minutes, portions or cost
   */
  public boolean isNone() {
    return parts.isEmpty() && Math.abs(minutes) < 0.05 && portions == 0;
  }
}
