package mosaicknife.core.cost;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mosaicknife.core.anatomy.Purpose;
import mosaicknife.core.breakdown.Breakdown;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Fraction;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.UnitPrice;

/**
 * What a kilogram costs on every step from the invoice to the portion: less and less mass carries
 * the same money.
 *
 * @param rungs the steps from the top; steps without mass are left out
 */
public record CostLadder(List<Rung> rungs) {

  /** Copies the rungs. */
  public CostLadder {
    rungs = List.copyOf(rungs);
  }

  /** A step of the ladder. */
  public enum Step {
    /** The mass on the invoice. */
    INVOICED,
    /** The mass on the own scale, from which yields are counted. */
    OWN_SCALE,
    /** Everything somebody eats, tonight or later: plates, pot and hold. */
    USED,
    /** Everything that is served: main dish and second plate. */
    SERVED,
    /** The main cuts; from here on the money is what they carry in the chosen method. */
    MAINS,
    /** The main cuts as far as they make whole portions. */
    PORTIONS
  }

  /**
   * One rung.
   *
   * @param step the step
   * @param mass what is left on it, positive
   * @param price what a kilogram of that costs
   * @param share the mass as a fraction of the fish as purchased; the invoice may be above 1
   */
  public record Rung(Step step, Mass mass, UnitPrice price, Fraction share) {}

  /**
   * Builds the ladder of a lot.
   *
   * @param breakdown the parts with their purposes
   * @param cost the lot's cost
   * @param sheet the cost sheet, empty while nothing is for the plate
   * @return the ladder
   */
  public static CostLadder of(Breakdown breakdown, LotCost cost, Optional<CostSheet> sheet) {
    Mass whole = breakdown.purchased();
    ExactMoney total = cost.total();
    List<Rung> rungs = new ArrayList<>();
    add(rungs, Step.INVOICED, cost.invoiced(), total, whole);
    if (!whole.equals(cost.invoiced())) {
      add(rungs, Step.OWN_SCALE, whole, total, whole);
    }
    add(rungs, Step.USED, breakdown.massFor(Purpose::isUsed), total, whole);
    add(rungs, Step.SERVED, breakdown.massFor(Purpose::isServed), total, whole);
    sheet.ifPresent(
        s -> {
          ExactMoney onMains = s.costing().onMains();
          add(rungs, Step.MAINS, s.mains(), onMains, whole);
          add(rungs, Step.PORTIONS, s.portions().portioned(), onMains, whole);
        });
    return new CostLadder(rungs);
  }

  private static void add(List<Rung> rungs, Step step, Mass mass, ExactMoney money, Mass whole) {
    if (mass.isPositive()) {
      rungs.add(new Rung(step, mass, money.per(mass), mass.dividedBy(whole)));
    }
  }
}
