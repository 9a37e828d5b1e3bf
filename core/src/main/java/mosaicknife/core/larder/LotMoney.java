package mosaicknife.core.larder;

import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import mosaicknife.core.anatomy.Purpose;
import mosaicknife.core.breakdown.Node;
import mosaicknife.core.cost.CostSheet;
import mosaicknife.core.cost.Costing;
import mosaicknife.core.cost.LotCost;
import mosaicknife.core.lot.LeafId;
import mosaicknife.core.lot.LotPart;
import mosaicknife.core.lot.LotSheet;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Fraction;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.Money;

/**
 * Where the money of a lot is: on the board, on shelves, eaten, sold, or wasted. It is worked out
 * from what the lot's costing says its parts carry and from where their grams went, so that it
 * equals what the lot cost at every moment.
 *
 * @param total what the lot cost, exactly
 * @param places what lies where, in minor units; together the rounded total
 * @param perSlot what each part that carries cost carries, exactly
 * @param masses what each part weighs, or what was taken of it if that is more
 */
public record LotMoney(
    ExactMoney total,
    Map<Place, Money> places,
    Map<String, ExactMoney> perSlot,
    Map<String, Mass> masses) {

  /** Copies the maps. */
  public LotMoney {
    places = Map.copyOf(places);
    perSlot = Map.copyOf(perSlot);
    masses = Map.copyOf(masses);
  }

  /** Where money is. */
  public enum Place {
    /** At the board, not decided or not cut yet. */
    BOARD,
    /** On a shelf. */
    SHELF,
    /** Eaten on a plate or in the pot. */
    EATEN,
    /** Sold as it was. */
    SOLD,
    /** Composted, thrown away or missing. */
    WASTE
  }

  /**
   * Where grams of a part went by way of a shelf.
   *
   * @param slot the slot of the part
   * @param place where they are now
   * @param mass how much
   */
  public record Went(String slot, Place place, Mass mass) {}

  /**
   * Works out the money of a lot.
   *
   * @param sheet the lot
   * @param went where grams went that were put on a shelf
   * @return where its money is; all of it at the board while no part carries any, none while the
   *     price is to come
   */
  public static LotMoney of(LotSheet sheet, List<Went> went) {
    ExactMoney total =
        sheet.lot().cost().map(LotCost::total).orElse(ExactMoney.zero(sheet.lot().currency()));
    Map<String, ExactMoney> perSlot =
        sheet
            .costs(sheet.lot().costingMethod())
            .map(CostSheet::costing)
            .map(LotMoney::perSlot)
            .orElse(Map.of());
    Map<String, Mass> weighed =
        sheet.breakdown().leaves().stream()
            .collect(
                Collectors.toMap(
                    leaf -> LeafId.slotOf(leaf.id()),
                    Node.Leaf::mass,
                    Mass::plus,
                    LinkedHashMap::new));
    Map<String, Mass> masses = new LinkedHashMap<>();
    Map<Place, Fraction> weights = new EnumMap<>(Place.class);
    weighed.forEach(
        (slot, mass) -> {
          List<Went> of = went.stream().filter(one -> one.slot().equals(slot)).toList();
          Mass gone = Mass.total(of.stream().map(Went::mass).toList());
          Mass all = gone.compareTo(mass) > 0 ? gone : mass;
          masses.put(slot, all);
          ExactMoney cost = perSlot.getOrDefault(slot, ExactMoney.zero(total.currency()));
          of.forEach(one -> add(weights, one.place(), cost, one.mass(), all));
          add(weights, rest(sheet, slot), cost, all.minus(gone), all);
        });
    return new LotMoney(total, rounded(total, weights), perSlot, masses);
  }

  private static Map<String, ExactMoney> perSlot(Costing costing) {
    return costing.parts().stream()
        .collect(
            Collectors.toMap(
                part -> LeafId.slotOf(part.id()), Costing.PartCost::exact, ExactMoney::plus));
  }

  private static void add(
      Map<Place, Fraction> weights, Place place, ExactMoney cost, Mass some, Mass all) {
    if (some.isPositive() && cost.isPositive()) {
      Fraction money = Fraction.of(cost.amount()).multipliedBy(some.dividedBy(all));
      weights.merge(place, money, Fraction::plus);
    }
  }

  /** Where grams are that never lay on a shelf. */
  private static Place rest(LotSheet sheet, String slot) {
    Optional<Purpose> purpose = sheet.find(slot).flatMap(LotPart::purpose);
    if (!sheet.lot().isFinished() || purpose.isEmpty() || purpose.get() == Purpose.HOLD) {
      return Place.BOARD;
    }
    return purpose.get().isUsed() ? Place.EATEN : Place.WASTE;
  }

  private static Map<Place, Money> rounded(ExactMoney total, Map<Place, Fraction> weights) {
    Money whole = total.rounded(java.math.RoundingMode.HALF_UP);
    Map<Place, Money> places = new EnumMap<>(Place.class);
    if (weights.isEmpty()) {
      places.put(Place.BOARD, whole);
      return places;
    }
    List<Money> shares = whole.allocate(List.copyOf(weights.values()));
    int i = 0;
    for (Place place : weights.keySet()) {
      places.put(place, shares.get(i++));
    }
    return places;
  }

  /**
   * Returns whether a part carries any of the lot's cost.
   *
   * @param slot the slot of the part
   * @return false before the lot is costed, or for a part that is not decided or not used
   */
  public boolean carries(String slot) {
    return perSlot.containsKey(slot) && perSlot.get(slot).isPositive();
  }

  /**
   * Returns what some grams of a part carry of the lot's cost.
   *
   * @param slot the slot of the part
   * @param grams how much of it
   * @return the exact amount; zero for a part that carries none
   */
  public ExactMoney carried(String slot, Mass grams) {
    ExactMoney cost = perSlot.get(slot);
    return cost == null || !masses.containsKey(slot)
        ? ExactMoney.zero(total.currency())
        : cost.multipliedBy(grams.dividedBy(masses.get(slot)));
  }
}
