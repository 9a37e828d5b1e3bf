package mosaicknife.app.cost;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import mosaicknife.app.buy.Dish;
import mosaicknife.core.cost.CostLadder;
import mosaicknife.core.cost.CostSheet;
import mosaicknife.core.cost.PlateCost;
import mosaicknife.core.lot.Destination;
import mosaicknife.core.lot.LotPortions;
import mosaicknife.core.lot.LotSheet;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Fraction;

/**
 * The plates of a lot with what their dishes add and sell for.
 *
 * @param sheet the lot
 * @param known the dishes of the house, by number
 * @param labourPerHour what an hour of work costs
 */
record Plates(LotSheet sheet, Map<Long, Dish> known, ExactMoney labourPerHour) {

  /** What the parts go to, one entry for each dish. */
  List<LotPortions.OfDish> dishes() {
    return sheet.plates().byDish();
  }

  Optional<Dish> dish(LotPortions.OfDish of) {
    return of.to() instanceof Destination.ToDish to
        ? Optional.ofNullable(known.get(to.id()))
        : Optional.empty();
  }

  /** The dish all of it goes to, if it is one. */
  Optional<Dish> only() {
    List<LotPortions.OfDish> all = dishes();
    return all.size() == 1 ? dish(all.get(0)) : Optional.empty();
  }

  /** What one plate costs, with its garnish where all goes to one dish that says. */
  Optional<PlateCost> plate() {
    Optional<ExactMoney> garnish = only().flatMap(Dish::garnish);
    return sheet
        .plate(labourPerHour)
        .map(plate -> garnish.map(one -> plate.with(PlateCost.Line.EXTRAS, one)).orElse(plate));
  }

  /** From the purchase to the plate; without a rung while the price is to come. */
  CostLadder ladder() {
    return sheet
        .lot()
        .cost()
        .map(
            cost ->
                CostLadder.of(
                    sheet.breakdown(),
                    sheet.weightsTaken() == sheet.weights(),
                    cost,
                    sheet.costs(sheet.lot().costingMethod()),
                    new CostLadder.Table(
                        sheet.plan().labour(labourPerHour),
                        only().flatMap(Dish::garnish),
                        only().flatMap(Dish::price))))
        .orElse(new CostLadder(List.of()));
  }

  /** The work for one plate, as on every plate of the lot. */
  private ExactMoney labour() {
    long plates = sheet.portions().count();
    ExactMoney all = sheet.plan().labour(labourPerHour);
    return plates == 0 ? all : all.dividedBy(plates);
  }

  /** What a plate of one dish costs: its share of the fish, the work, its garnish. */
  Optional<ExactMoney> plateOf(LotPortions.OfDish of, CostSheet costs) {
    return costs
        .plateOf(of.mass(), of.portions().count())
        .map(fish -> fish.plus(labour()))
        .map(cost -> dish(of).flatMap(Dish::garnish).map(cost::plus).orElse(cost));
  }

  /** How much of what the guest pays a plate is. */
  Optional<Fraction> shareOf(LotPortions.OfDish of, ExactMoney plate) {
    return dish(of)
        .flatMap(Dish::price)
        .filter(ExactMoney::isPositive)
        .map(price -> plate.dividedBy(price));
  }
}
