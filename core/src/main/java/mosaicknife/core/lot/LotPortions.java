package mosaicknife.core.lot;

import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import mosaicknife.core.anatomy.PartSlot;
import mosaicknife.core.anatomy.SizeGrade;
import mosaicknife.core.buying.Counts;
import mosaicknife.core.buying.FishPortions;
import mosaicknife.core.plan.CutPlan;
import mosaicknife.core.plan.CutPlan.Plate;
import mosaicknife.core.portion.Serving;
import mosaicknife.core.portion.WholePortions;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Fraction;
import mosaicknife.core.quantity.Mass;

/**
 * The plates of one lot: by the plan before its main cuts are weighed, with their odds, and counted
 * after. Every page asks here, so one fish has one number of plates. Parts of one fish may go to
 * several dishes, each with a portion of its own.
 */
public final class LotPortions {

  /** More plates than this are not told apart. */
  private static final int MOST_PLATES = 2_000;

  /** How far off a fish is that was weighed. */
  private static final double KNOWN = 0.005;

  private final LotSheet sheet;
  private final Lot lot;

  LotPortions(LotSheet sheet) {
    this.sheet = sheet;
    this.lot = sheet.lot();
  }

  /**
   * What the parts for one dish give.
   *
   * @param dish its name; empty for parts without one
   * @param mass what is eaten of them
   * @param portions their plates
   */
  public record OfDish(String dish, Mass mass, WholePortions portions) {}

  /**
   * Returns what one portion of a part is.
   *
   * @param slot the slot of the part
   * @return what its dish calls a portion, else what the lot does
   */
  public Serving servingOf(String slot) {
    return sheet.find(slot).flatMap(part -> part.part().serving()).orElse(lot.serving());
  }

  /**
   * Returns the pieces that were weighed and are for the plate: what the plates of the lot are
   * counted in.
   *
   * @return the pieces in cutting order and by fish
   */
  public List<OnBoard> tonight() {
    return OnBoard.of(sheet).stream().filter(p -> p.isWeighed() && p.isForThePlate()).toList();
  }

  /**
   * Counts the plates inside the main cuts weighed so far.
   *
   * @return the plates
   */
  public WholePortions counted() {
    return count(tonight());
  }

  /**
   * Counts the plates by dish.
   *
   * @return one entry for each dish that parts go to, in cutting order
   */
  public List<OfDish> byDish() {
    Map<String, List<OnBoard>> byDish =
        tonight().stream()
            .collect(
                Collectors.groupingBy(
                    piece -> piece.part().becomes(), LinkedHashMap::new, Collectors.toList()));
    List<OfDish> dishes = new ArrayList<>();
    byDish.forEach(
        (dish, pieces) -> {
          WholePortions portions = count(pieces);
          dishes.add(new OfDish(dish, portions.eaten(), portions));
        });
    return dishes;
  }

  /**
   * Returns how many plates a part gave.
   *
   * @param slot the slot of the part
   * @return the plates inside it, of all fish; those of its pieces where it was cut further
   */
  public long platesOf(String slot) {
    return count(tonight().stream().filter(piece -> isOf(piece.part(), slot)).toList()).count();
  }

  private boolean isOf(LotPart part, String slot) {
    return part.slot().equals(slot)
        || sheet.parentOf(part).filter(parent -> isOf(parent, slot)).isPresent();
  }

  /**
   * Counts the plates inside pieces of the lot: the one way to do it.
   *
   * @param pieces the pieces
   * @return their plates, by what the dish of each calls a portion
   */
  public WholePortions count(List<OnBoard> pieces) {
    Map<Serving, Map<LotPart, List<OnBoard>>> byServing = new LinkedHashMap<>();
    for (OnBoard piece : pieces) {
      byServing
          .computeIfAbsent(servingOf(piece.part().slot()), serving -> new LinkedHashMap<>())
          .computeIfAbsent(piece.part(), part -> new ArrayList<>())
          .add(piece);
    }
    List<WholePortions> all = new ArrayList<>();
    byServing.forEach(
        (serving, parts) ->
            all.add(
                WholePortions.of(
                    parts.entrySet().stream().map(LotPortions::part).toList(), serving)));
    return all.size() == 1 ? all.get(0) : WholePortions.together(lot.serving(), all);
  }

  private static WholePortions.Part part(Map.Entry<LotPart, List<OnBoard>> part) {
    return new WholePortions.Part(
        part.getKey().slot(),
        part.getKey().name(),
        part.getValue().stream().map(OnBoard::eaten).toList(),
        part.getValue().stream().anyMatch(piece -> !piece.measured()));
  }

  /**
   * Works out the plates by the plan, each part by its own dish.
   *
   * @param plan the plan of the sheet, or another one of the same lot
   * @param labourPerHour what an hour of work costs
   * @return the plates that are as likely passed as not, where odds are known, else those of mean
   *     fish; and what one costs
   */
  public Plate planned(CutPlan plan, ExactMoney labourPerHour) {
    return odds(plan)
        .map(odds -> plan.plate(odds.quantile(0.5), lot.cost().total(), labourPerHour))
        .orElseGet(() -> plan.plate(this::servingOf, lot.cost().total(), labourPerHour));
  }

  private Serving servingOf(PartSlot slot) {
    return servingOf(slot.code());
  }

  /**
   * Returns how many plates the fish may give before its main cuts are weighed, by the plan: fish
   * of a kind differ, and two sides of one fish do.
   *
   * @return how probable each number is; empty where parts go to dishes with unlike portions
   */
  public Optional<Counts> odds() {
    return odds(sheet.plan());
  }

  private Optional<Counts> odds(CutPlan plan) {
    List<Serving> servings =
        plan.parts().stream()
            .filter(part -> part.edible().isPositive())
            .map(part -> servingOf(part.slot()))
            .distinct()
            .toList();
    return servings.size() == 1 ? Optional.of(odds(plan, servings.get(0))) : Optional.empty();
  }

  private Counts odds(CutPlan plan, Serving serving) {
    if (lot.fish() > 1 && !lot.each().isEmpty()) {
      List<FishPortions> each =
          lot.each().stream().map(fish -> ofOne(plan, fish, KNOWN, serving)).toList();
      if (each.stream().allMatch(fish -> fish.together().isEmpty())) {
        return each.stream()
            .map(FishPortions::perFish)
            .reduce(Counts.exactly(0), (sum, fish) -> sum.plus(fish, MOST_PLATES));
      }
    }
    Mass mean = CutPlan.meanOf(lot.purchased(), lot.fish());
    double apart = lot.fish() == 1 ? KNOWN : 2 * sheet.norms().sizes();
    return ofOne(plan, mean, apart, serving).of(lot.fish(), MOST_PLATES);
  }

  private FishPortions ofOne(CutPlan plan, Mass fish, double apart, Serving serving) {
    SizeGrade grade =
        new SizeGrade(
            fish.multipliedBy(Fraction.ofEstimate(1 - apart), RoundingMode.HALF_EVEN),
            fish.multipliedBy(Fraction.ofEstimate(1 + apart), RoundingMode.HALF_EVEN));
    return FishPortions.of(plan.mainCuts(), grade, serving, sheet.norms().sides());
  }
}
