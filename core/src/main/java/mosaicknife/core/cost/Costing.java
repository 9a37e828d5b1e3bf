package mosaicknife.core.cost;

import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Predicate;
import mosaicknife.core.anatomy.Purpose;
import mosaicknife.core.breakdown.Breakdown;
import mosaicknife.core.breakdown.Node.Leaf;
import mosaicknife.core.check.Check;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Fraction;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.Money;
import mosaicknife.core.quantity.UnitPrice;

/**
 * The cost of a lot spread over its parts by one method.
 *
 * <p>The rounded amounts add up to the rounded lot cost to the minor unit, by largest remainder.
 *
 * @param method the method
 * @param lotCost the whole cost, exactly
 * @param credit what by-products take off the mains; zero in methods without credit
 * @param excess credit beyond the lot cost, which the mains cannot use; the mains never cost less
 *     than nothing
 * @param onMains what the main cuts of tonight carry, exactly
 * @param onHeld what main cuts carry that are kept for another day: their grams at the same price
 * @param parts what each part that carries cost carries, in cutting order
 */
public record Costing(
    CostingMethod method,
    ExactMoney lotCost,
    ExactMoney credit,
    ExactMoney excess,
    ExactMoney onMains,
    ExactMoney onHeld,
    List<PartCost> parts) {

  /** Copies the parts. */
  public Costing {
    parts = List.copyOf(parts);
  }

  /**
   * What one part carries.
   *
   * @param id the identifier of the part
   * @param exact the exact amount
   * @param rounded the amount in minor units; all parts together are the rounded lot cost
   */
  public record PartCost(String id, ExactMoney exact, Money rounded) {}

  /**
   * Spreads the cost of a lot.
   *
   * @param method the method
   * @param breakdown the parts with their purposes
   * @param cost the lot's cost
   * @param values what a part is worth per mass, by part identifier: for by-product credit what the
   *     house would pay for it, for relative value what it sells for; a part without one is worth
   *     nothing
   * @return the costing; empty if no part carries cost yet, because none is for the plate or, for
   *     relative value, because not every main cut has a value: it would cost nothing then, and the
   *     by-products all
   */
  public static Optional<Costing> by(
      CostingMethod method, Breakdown breakdown, LotCost cost, Map<String, UnitPrice> values) {
    return by(method, breakdown, cost, values, Set.of());
  }

  /**
   * Spreads the cost of a lot of which some main cuts are kept for another day: they carry their
   * share into the larder, and tonight's plates carry tonight's grams.
   *
   * @param method the method
   * @param breakdown the parts with their purposes
   * @param cost the lot's cost
   * @param values what a part is worth per mass
   * @param held the main cuts on hold, by part identifier
   * @return the costing; empty as above
   */
  public static Optional<Costing> by(
      CostingMethod method,
      Breakdown breakdown,
      LotCost cost,
      Map<String, UnitPrice> values,
      Set<String> held) {
    Check.notNull(method, "method");
    return switch (method) {
      case ALL_ON_THE_MAINS -> withCredit(method, breakdown, cost, Map.of(), held);
      case BY_PRODUCT_CREDIT -> withCredit(method, breakdown, cost, values, held);
      case RELATIVE_VALUE ->
          mains(breakdown, held).stream().allMatch(main -> isPositive(worth(main, values)))
              ? inProportion(method, breakdown, cost, held, leaf -> worth(leaf, values))
              : Optional.empty();
      case BY_WEIGHT -> inProportion(method, breakdown, cost, held, leaf -> eatenMass(leaf, held));
    };
  }

  /** The main cuts of tonight and those that are kept. */
  private static List<Leaf> mains(Breakdown breakdown, Set<String> held) {
    return breakdown.leaves().stream()
        .filter(leaf -> leaf.isFor(Purpose.PLATE) || held.contains(leaf.id()))
        .toList();
  }

  private static Optional<Costing> withCredit(
      CostingMethod method,
      Breakdown breakdown,
      LotCost cost,
      Map<String, UnitPrice> values,
      Set<String> held) {
    if (breakdown.mains().isEmpty()) {
      return Optional.empty();
    }
    List<Leaf> mains = mains(breakdown, held);
    ExactMoney total = cost.total();
    ExactMoney nothing = ExactMoney.zero(total.currency());
    Map<String, ExactMoney> credits = credits(breakdown, values);
    ExactMoney claimed = credits.values().stream().reduce(nothing, ExactMoney::plus);
    ExactMoney excess = claimed.compareTo(total) > 0 ? claimed.minus(total) : nothing;
    ExactMoney credit = claimed.minus(excess);
    ExactMoney carried = total.minus(credit);
    Mass tonight = Mass.total(breakdown.mains().stream().map(Leaf::mass).toList());

    Mass mainsMass = Mass.total(mains.stream().map(Leaf::mass).toList());
    List<Leaf> carriers = new ArrayList<>();
    List<ExactMoney> amounts = new ArrayList<>();
    for (Leaf leaf : breakdown.leaves()) {
      ExactMoney own = credits.get(leaf.id());
      if (mains.contains(leaf)) {
        carriers.add(leaf);
        amounts.add(carried.multipliedBy(leaf.mass().dividedBy(mainsMass)));
      } else if (own != null) {
        carriers.add(leaf);
        amounts.add(credit.multipliedBy(own.dividedBy(claimed)));
      }
    }
    ExactMoney onMains = carried.multipliedBy(tonight.dividedBy(mainsMass));
    return Optional.of(
        new Costing(
            method,
            total,
            credit,
            excess,
            onMains,
            carried.minus(onMains),
            parts(carriers, amounts, total)));
  }

  /** A by-product earns its credit only where a dish or the pot takes it and a value is set. */
  private static Map<String, ExactMoney> credits(
      Breakdown breakdown, Map<String, UnitPrice> values) {
    Map<String, ExactMoney> credits = new LinkedHashMap<>();
    for (Leaf leaf : breakdown.leaves()) {
      boolean taken = leaf.isFor(Purpose.SECOND_PLATE) || leaf.isFor(Purpose.POT);
      UnitPrice value = values.get(leaf.id());
      if (taken && value != null && value.perKilogram().isPositive()) {
        credits.put(leaf.id(), value.times(leaf.mass()));
      }
    }
    return credits;
  }

  private static Optional<Costing> inProportion(
      CostingMethod method,
      Breakdown breakdown,
      LotCost cost,
      Set<String> held,
      Function<Leaf, Fraction> weight) {
    List<Leaf> carriers =
        breakdown.leaves().stream().filter(leaf -> isPositive(weight.apply(leaf))).toList();
    if (carriers.isEmpty()) {
      return Optional.empty();
    }
    Fraction sum = carriers.stream().map(weight).reduce(Fraction.ZERO, Fraction::plus);
    ExactMoney total = cost.total();
    ExactMoney nothing = ExactMoney.zero(total.currency());
    // in one step: a sum of rounded quotients could be a digit above the whole
    ExactMoney onMains = share(total, sum, carriers, weight, leaf -> leaf.isFor(Purpose.PLATE));
    ExactMoney onHeld = share(total, sum, carriers, weight, leaf -> held.contains(leaf.id()));
    List<ExactMoney> amounts = new ArrayList<>();
    for (Leaf leaf : carriers) {
      amounts.add(total.multipliedBy(weight.apply(leaf).dividedBy(sum)));
    }
    return Optional.of(
        new Costing(
            method, total, nothing, nothing, onMains, onHeld, parts(carriers, amounts, total)));
  }

  private static ExactMoney share(
      ExactMoney total,
      Fraction sum,
      List<Leaf> carriers,
      Function<Leaf, Fraction> weight,
      Predicate<Leaf> which) {
    Fraction part =
        carriers.stream().filter(which).map(weight).reduce(Fraction.ZERO, Fraction::plus);
    return total.multipliedBy(part.dividedBy(sum));
  }

  private static boolean isPositive(Fraction fraction) {
    return fraction.compareTo(Fraction.ZERO) > 0;
  }

  private static Fraction worth(Leaf leaf, Map<String, UnitPrice> values) {
    UnitPrice value = values.get(leaf.id());
    boolean sold = leaf.purpose().filter(Purpose::isUsed).isPresent() && value != null;
    return sold ? Fraction.of(value.times(leaf.mass()).amount()) : Fraction.ZERO;
  }

  /** What is eaten on plates, tonight or, of a main cut that is kept, another day. */
  private static Fraction eatenMass(Leaf leaf, Set<String> held) {
    boolean eaten = leaf.purpose().filter(Purpose::isServed).isPresent();
    return eaten || held.contains(leaf.id())
        ? Fraction.of(leaf.mass().inKilograms())
        : Fraction.ZERO;
  }

  private static List<PartCost> parts(
      List<Leaf> carriers, List<ExactMoney> amounts, ExactMoney total) {
    Money whole = total.rounded(RoundingMode.HALF_UP);
    boolean free = amounts.stream().noneMatch(ExactMoney::isPositive);
    List<Fraction> weights =
        amounts.stream().map(a -> free ? Fraction.ONE : Fraction.of(a.amount())).toList();
    List<Money> rounded = whole.allocate(weights);
    List<PartCost> parts = new ArrayList<>();
    for (int i = 0; i < carriers.size(); i++) {
      parts.add(new PartCost(carriers.get(i).id(), amounts.get(i), rounded.get(i)));
    }
    return parts;
  }
}
