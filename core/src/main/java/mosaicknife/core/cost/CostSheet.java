package mosaicknife.core.cost;

import java.util.Map;
import java.util.Optional;
import java.util.Set;
import mosaicknife.core.breakdown.Breakdown;
import mosaicknife.core.check.Check;
import mosaicknife.core.portion.Serving;
import mosaicknife.core.portion.WholePortions;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Fraction;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.UnitPrice;

/**
 * The way from the purchase to the plate for one lot, one method and one portion.
 *
 * <p>Worked example: a gutted hake of 4.860 kg at 11.40/kg with 2.610 kg of fillets costs 21.2276
 * per edible kilogram, a factor of 1.86207; at 180 g that is 3.8210 by weight and, with 14 whole
 * portions, 3.9574 by portions really cut.
 *
 * @param costing the cost spread over the parts
 * @param cost the lot's cost
 * @param mains what is eaten of the main cuts (EP), positive: of a fish served whole its flesh
 * @param portions the whole portions inside the mains
 */
public record CostSheet(Costing costing, LotCost cost, Mass mains, WholePortions portions) {

  /** Refuses mains without mass. */
  public CostSheet {
    Check.that(mains.isPositive(), "Expected mains above 0 g, found ", mains);
  }

  /**
   * Works out the sheet.
   *
   * @param method the costing method
   * @param breakdown the parts with their purposes
   * @param cost the lot's cost
   * @param values what parts are worth, see {@link Costing#by}
   * @param target the mass of one portion, positive
   * @return the sheet; empty while no part is for the plate or none carries cost
   */
  public static Optional<CostSheet> of(
      CostingMethod method,
      Breakdown breakdown,
      LotCost cost,
      Map<String, UnitPrice> values,
      Mass target) {
    return of(
        method,
        breakdown,
        cost,
        values,
        Set.of(),
        WholePortions.in(breakdown.mains(), Serving.slices(target)));
  }

  /**
   * Works out the sheet for portions that were counted already.
   *
   * @param method the costing method
   * @param breakdown the parts with their purposes
   * @param cost the lot's cost
   * @param values what parts are worth, see {@link Costing#by}
   * @param held the main cuts that are kept for another day, by part identifier
   * @param portions the portions inside the mains
   * @return the sheet; empty while no part is for the plate or none carries cost
   */
  public static Optional<CostSheet> of(
      CostingMethod method,
      Breakdown breakdown,
      LotCost cost,
      Map<String, UnitPrice> values,
      Set<String> held,
      WholePortions portions) {
    return breakdown.mains().isEmpty() || !portions.eaten().isPositive()
        ? Optional.empty()
        : Costing.by(method, breakdown, cost, values, held)
            .map(costing -> new CostSheet(costing, cost, portions.eaten(), portions));
  }

  /**
   * Returns what an edible kilogram costs.
   *
   * @return cost on the mains over their mass
   */
  public UnitPrice ediblePrice() {
    return costing.onMains().per(mains);
  }

  /**
   * Returns how many times dearer an edible kilogram is than a purchased one.
   *
   * @return edible price over purchase price; empty if the fish was free
   */
  public Optional<Fraction> costFactor() {
    ExactMoney purchase = cost.price().perKilogram();
    return purchase.isPositive()
        ? Optional.of(
            costing.onMains().dividedBy(purchase).dividedBy(Fraction.of(mains.inKilograms())))
        : Optional.empty();
  }

  /**
   * Returns what a portion costs if every gram could be sold at the target mass.
   *
   * @return the cost by weight
   */
  public ExactMoney portionByWeight() {
    return costing.onMains().multipliedBy(portions.serving().target().dividedBy(mains));
  }

  /**
   * Returns what a plate of one dish costs, where the main cuts go to several.
   *
   * @param some the mass of the cuts that go to it
   * @param plates the plates they give
   * @return their share of the cost by plate; empty without a plate
   */
  public Optional<ExactMoney> plateOf(Mass some, long plates) {
    return plates == 0 ? Optional.empty() : Optional.of(ofMains(some).dividedBy(plates));
  }

  /**
   * Returns what some of the main cuts carry, by their mass.
   *
   * @param some the mass of those cuts
   * @return their share of what the main cuts carry
   */
  public ExactMoney ofMains(Mass some) {
    return costing.onMains().multipliedBy(some.dividedBy(mains));
  }

  /**
   * Returns what a portion costs with the whole portions that really lie inside the fillets.
   *
   * @return the cost by portions cut; empty if not one whole portion fits
   */
  public Optional<ExactMoney> portionByCount() {
    return portions.count() == 0
        ? Optional.empty()
        : Optional.of(costing.onMains().dividedBy(portions.count()));
  }
}
