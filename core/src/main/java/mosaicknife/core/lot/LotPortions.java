package mosaicknife.core.lot;

import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mosaicknife.core.anatomy.PartKind;
import mosaicknife.core.anatomy.PartSlot;
import mosaicknife.core.anatomy.SizeGrade;
import mosaicknife.core.breakdown.Node;
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
   * @param mass what they weigh
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
   * Counts the plates inside the main cuts weighed so far.
   *
   * @return the plates
   */
  public WholePortions counted() {
    Map<Serving, List<Node.Leaf>> byServing = new LinkedHashMap<>();
    served()
        .forEach(
            leaf ->
                byServing
                    .computeIfAbsent(servingOf(slotOf(leaf)), serving -> new ArrayList<>())
                    .add(leaf));
    List<WholePortions> all = new ArrayList<>();
    byServing.forEach((serving, leaves) -> all.add(count(leaves, serving)));
    return all.size() == 1 ? all.get(0) : WholePortions.together(lot.serving(), all);
  }

  /**
   * Counts the plates by dish.
   *
   * @return one entry for each dish that parts go to, in cutting order
   */
  public List<OfDish> byDish() {
    Map<String, List<Node.Leaf>> byDish = new LinkedHashMap<>();
    served()
        .forEach(
            leaf ->
                byDish
                    .computeIfAbsent(
                        sheet.partOf(leaf).map(LotPart::becomes).orElse(""),
                        dish -> new ArrayList<>())
                    .add(leaf));
    List<OfDish> dishes = new ArrayList<>();
    byDish.forEach(
        (dish, leaves) -> {
          Mass mass = Mass.total(leaves.stream().map(Node.Leaf::mass).toList());
          dishes.add(new OfDish(dish, mass, count(leaves, servingOf(slotOf(leaves.get(0))))));
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
    Optional<Long> id = sheet.find(slot).map(LotPart::id);
    List<Node.Leaf> inside =
        served().stream()
            .filter(
                leaf ->
                    sheet
                        .partOf(leaf)
                        .filter(part -> part.slot().equals(slot) || part.parentId().equals(id))
                        .isPresent())
            .toList();
    return count(inside, servingOf(slot)).count();
  }

  /**
   * Returns what is eaten of the main cuts weighed so far.
   *
   * @return one list for each cut, one mass for each piece
   */
  public List<List<Mass>> cuts() {
    return served().stream().map(this::eaten).toList();
  }

  /** What was put back into a part is served with it and no piece of its own. */
  private List<Node.Leaf> served() {
    return sheet.breakdown().mains().stream()
        .filter(leaf -> sheet.partOf(leaf).filter(p -> p.part().putInto().isPresent()).isEmpty())
        .toList();
  }

  private WholePortions count(List<Node.Leaf> leaves, Serving serving) {
    return WholePortions.in(leaves, serving, this::eaten, LotPortions::slotOf);
  }

  private static String slotOf(Node.Leaf leaf) {
    return LeafId.slotOf(leaf.id());
  }

  /** What is eaten of each piece: without bones and head, and as unequal as the fish were. */
  private List<Mass> eaten(Node.Leaf leaf) {
    Fraction edible =
        sheet
            .planned(slotOf(leaf))
            .filter(part -> leaf.kind().is(PartKind.Trait.EATEN_IN_PART))
            .map(part -> part.edible().dividedBy(part.mass()))
            .orElse(Fraction.ONE);
    List<Mass> pieces =
        leaf.pieces() == lot.each().size()
            ? lot.shared(leaf.mass())
            : WholePortions.equalPieces(leaf);
    Fraction with = edible.plus(putBackInto(leaf));
    return pieces.stream().map(piece -> piece.multipliedBy(with, RoundingMode.HALF_EVEN)).toList();
  }

  /** What was put back into a part, as a fraction of it. */
  private Fraction putBackInto(Node.Leaf leaf) {
    return sheet
        .partOf(leaf)
        .map(
            part ->
                Mass.total(sheet.backIn(part).stream().map(LotPart::mass).toList())
                    .dividedBy(part.mass()))
        .orElse(Fraction.ZERO);
  }

  /**
   * Works out the plates by the plan, each part by its own dish.
   *
   * @param plan the plan of the sheet, or another one of the same lot
   * @param labourPerHour what an hour of work costs
   * @return the plates and what one costs
   */
  public Plate planned(CutPlan plan, ExactMoney labourPerHour) {
    return plan.plate(this::servingOf, lot.cost().total(), labourPerHour);
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
    List<Serving> servings =
        sheet.plan().parts().stream()
            .filter(part -> part.edible().isPositive())
            .map(part -> servingOf(part.slot()))
            .distinct()
            .toList();
    return servings.size() == 1 ? Optional.of(odds(servings.get(0))) : Optional.empty();
  }

  private Counts odds(Serving serving) {
    if (lot.fish() > 1 && !lot.each().isEmpty()) {
      List<FishPortions> each =
          lot.each().stream().map(fish -> ofOne(fish, KNOWN, serving)).toList();
      if (each.stream().allMatch(fish -> fish.together().isEmpty())) {
        return each.stream()
            .map(FishPortions::perFish)
            .reduce(Counts.exactly(0), (sum, fish) -> sum.plus(fish, MOST_PLATES));
      }
    }
    Mass mean = CutPlan.meanOf(lot.purchased(), lot.fish());
    double apart = lot.fish() == 1 ? KNOWN : 2 * sheet.norms().sizes();
    return ofOne(mean, apart, serving).of(lot.fish(), MOST_PLATES);
  }

  private FishPortions ofOne(Mass fish, double apart, Serving serving) {
    SizeGrade grade =
        new SizeGrade(
            fish.multipliedBy(Fraction.ofEstimate(1 - apart), RoundingMode.HALF_EVEN),
            fish.multipliedBy(Fraction.ofEstimate(1 + apart), RoundingMode.HALF_EVEN));
    return FishPortions.of(sheet.plan().mainCuts(), grade, serving, sheet.norms().sides());
  }
}
