package mosaicknife.core.lot;

import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import mosaicknife.core.anatomy.PartClass;
import mosaicknife.core.anatomy.PartSlot;
import mosaicknife.core.anatomy.Purpose;
import mosaicknife.core.anatomy.SizeGrade;
import mosaicknife.core.buying.Counts;
import mosaicknife.core.buying.FishPortions;
import mosaicknife.core.cost.LotCost;
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
   * @param to the dish, or what else was said
   * @param mass what is eaten of them
   * @param portions their plates
   */
  public record OfDish(Destination to, Mass mass, WholePortions portions) {

    /**
     * Returns the name of the dish.
     *
     * @return its name now; empty for parts without one
     */
    public String dish() {
      return to.name();
    }
  }

  /**
   * Returns what one portion of a part is.
   *
   * @param slot the slot of the part
   * @return what somebody said for this lot, else what its dish calls a portion, else the usual
   */
  public Serving servingOf(String slot) {
    return lot.portioned().or(() -> ofDish(slot)).orElseGet(this::serving);
  }

  /**
   * Returns what one portion of the lot is, where it is one.
   *
   * @return what somebody said for it, else what its only dish calls a portion, else the usual
   */
  public Serving serving() {
    List<Serving> dishes =
        sheet.parts().stream()
            .filter(part -> part.kind().nature() == PartClass.FLESH)
            .flatMap(part -> part.part().dish().stream())
            .map(Destination.ToDish::serving)
            .distinct()
            .toList();
    return lot.portioned().orElse(dishes.size() == 1 ? dishes.get(0) : LotRules.USUAL_SERVING);
  }

  /**
   * Returns whether anybody said what one portion is: a person, or a dish.
   *
   * @return false while the usual one is shown as a starting value
   */
  public boolean isSaid() {
    return lot.portioned().isPresent()
        || sheet.parts().stream().anyMatch(part -> part.part().dish().isPresent());
  }

  /** Portions of a row, and pieces nobody sent anywhere, go where they were cut from. */
  private Optional<Serving> ofDish(String slot) {
    Optional<LotPart> part = sheet.find(slot);
    return part.flatMap(one -> one.part().dish())
        .map(Destination.ToDish::serving)
        .or(
            () ->
                part.filter(one -> one.part().goesTo().isOpen())
                    .flatMap(sheet::parentOf)
                    .flatMap(parent -> ofDish(parent.slot())));
  }

  /**
   * A dish whose portion does not count, because somebody said another for this lot.
   *
   * @param dish the dish
   * @param lot what counts
   */
  public record Overruled(Destination.ToDish dish, Serving lot) {}

  /**
   * Returns the dishes whose portion this lot overrules: both figures are to be said.
   *
   * @return one entry for each dish whose portion differs
   */
  public List<Overruled> overruled() {
    return lot.portioned().stream()
        .flatMap(
            said ->
                sheet.parts().stream()
                    .flatMap(part -> part.part().dish().stream())
                    .filter(dish -> !dish.serving().equals(said))
                    .distinct()
                    .map(dish -> new Overruled(dish, said)))
        .toList();
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
   * Returns the plates of the lot that another station may tell otherwise, by why it does.
   *
   * @return how many, from 1; a reason that no plate has is not in it, and nothing is to come of a
   *     lot of which nothing was weighed: it is all by the norm
   */
  public Map<Apart, Long> apart() {
    List<OnBoard> board = OnBoard.of(sheet);
    List<OnBoard> weighed = board.stream().filter(OnBoard::isWeighed).toList();
    List<LotPart> kept = sheet.kept();
    Map<Apart, List<OnBoard>> by = new EnumMap<>(Apart.class);
    if (!weighed.isEmpty()) {
      by.put(Apart.TO_COME, board.stream().filter(piece -> !piece.isWeighed()).toList());
    }
    by.put(
        Apart.UNDECIDED,
        weighed.stream().filter(piece -> piece.part().purpose().isEmpty()).toList());
    by.put(
        Apart.HELD,
        new Board(sheet, this::isHeldMain).pieces().stream().filter(OnBoard::isWeighed).toList());
    by.put(
        Apart.WITHHELD, tonight().stream().filter(piece -> kept.contains(piece.part())).toList());
    by.put(Apart.NOT_SERVED, isServed() ? List.of() : tonight());
    Map<Apart, Long> plates = new EnumMap<>(Apart.class);
    by.forEach(
        (why, pieces) -> {
          long count = pieces.isEmpty() ? 0 : count(pieces).count();
          if (count > 0) {
            plates.put(why, count);
          }
        });
    return plates;
  }

  /** Of a closed lot the last day is over for long: its plates were served. */
  private boolean isServed() {
    return lot.isFinished() ? lot.mayBeServed() : LotRules.isServedToday(lot);
  }

  private boolean isHeldMain(LotPart part) {
    return part.purpose().equals(Optional.of(Purpose.HOLD))
        && sheet.usualPurpose(part).equals(Optional.of(Purpose.PLATE));
  }

  /**
   * Counts the plates by dish.
   *
   * @return one entry for each dish that parts go to, in cutting order
   */
  public List<OfDish> byDish() {
    Map<Destination, List<OnBoard>> byDish =
        tonight().stream()
            .collect(
                Collectors.groupingBy(
                    piece -> piece.part().part().goesTo(),
                    LinkedHashMap::new,
                    Collectors.toList()));
    List<OfDish> dishes = new ArrayList<>();
    byDish.forEach(
        (to, pieces) -> {
          WholePortions portions = count(pieces);
          dishes.add(new OfDish(to, portions.eaten(), portions));
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
    return all.size() == 1 ? all.get(0) : WholePortions.together(serving(), all);
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
    ExactMoney cost =
        lot.cost().map(LotCost::total).orElse(ExactMoney.zero(labourPerHour.currency()));
    Plate plate =
        odds(plan)
            .map(odds -> plan.plate(odds.quantile(0.5), cost, labourPerHour))
            .orElseGet(() -> plan.plate(this::servingOf, cost, labourPerHour));
    return lot.cost().isPresent() ? plate : new Plate(plate.portions(), Optional.empty());
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
