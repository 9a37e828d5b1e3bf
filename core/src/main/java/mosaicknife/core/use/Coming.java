package mosaicknife.core.use;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mosaicknife.core.anatomy.PartKind;
import mosaicknife.core.anatomy.Purpose;
import mosaicknife.core.lot.LotRules;
import mosaicknife.core.plan.CutPlan;
import mosaicknife.core.plan.CutPlan.Planned;

/** What an order will leave beside the plates, days before it comes. */
public final class Coming {

  private Coming() {}

  /**
   * Returns the parts of fish that are ordered which will want a home.
   *
   * @param id the identifier of the order line
   * @param plan how such fish are usually cut here
   * @param venue the number of the venue that ordered them
   * @return the parts by the norms, as if they will be sound, and scaled where that is asked
   */
  public static List<OnHand> parts(String id, CutPlan plan, long venue) {
    List<OnHand> parts = new ArrayList<>();
    CutPlan.Fish fish = plan.fish();
    for (Planned planned : plan.parts()) {
      PartKind kind = planned.slot().kind();
      boolean free =
          planned.purpose() != Purpose.PLATE
              && planned.purpose() != Purpose.COMPOST
              && planned.purpose() != Purpose.BIN
              && kind.mayBeFor(Purpose.POT)
              && !kind.is(PartKind.Trait.WHOLE_FISH);
      if (free && planned.mass().compareTo(LotRules.SMALLEST_PART) >= 0) {
        parts.add(
            new OnHand(
                new HandId.Coming(id, planned.slot().code()),
                fish.species().name()
                    + ", "
                    + planned.slot().name().toLowerCase(java.util.Locale.ROOT),
                kind,
                fish.species(),
                planned.mass(),
                Hand.pieces(kind, planned.slot().code(), fish.count()),
                Optional.of(fish.mean()),
                venue,
                new OnHand.Condition(
                    true, false, false, false, Optional.empty(), false, false, false),
                0,
                false));
      }
    }
    return parts;
  }
}
