package mosaicknife.app.buy;

import java.util.Collections;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import mosaicknife.app.house.Named;
import mosaicknife.core.anatomy.Specification;
import mosaicknife.core.buying.Demand;
import mosaicknife.core.cost.DishLimit;
import mosaicknife.core.portion.Serving;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Fraction;
import mosaicknife.core.safety.Allergen;

/**
 * A dish that is made of fish.
 *
 * @param id its number
 * @param name its name
 * @param venue where it is served
 * @param serving what counts as a portion
 * @param specification how far the cuts are worked
 * @param price what the guest pays, if it is known
 * @param garnish what else lies on the plate costs, if it is known
 * @param costLimit how much of the price a plate may cost, if the house said
 * @param raw whether it is served raw, cured or underdone
 * @param allergens what guests are told of; fish is always among them
 * @param fish the codes of the fish it may be made of, its own first
 * @param soldAs the codes of those it is sold as; the others are substitutes
 * @param demand what is wanted in each profile that was filled in
 * @param version counts changes
 */
public record Dish(
    long id,
    String name,
    Named venue,
    Serving serving,
    Specification specification,
    Optional<ExactMoney> price,
    Optional<ExactMoney> garnish,
    Optional<Fraction> costLimit,
    boolean raw,
    Set<Allergen> allergens,
    List<String> fish,
    Set<String> soldAs,
    Map<ProfileName, Demand> demand,
    int version) {

  /** Copies the collections. */
  public Dish {
    Set<Allergen> told = EnumSet.of(Allergen.FISH);
    told.addAll(allergens);
    allergens = Collections.unmodifiableSet(told);
    fish = List.copyOf(fish);
    soldAs = Set.copyOf(soldAs);
    demand = Map.copyOf(demand);
  }

  /**
   * Returns what a plate of it may cost.
   *
   * @return the limit; empty without a price or a share of it
   */
  public Optional<DishLimit> limit() {
    return price
        .filter(ExactMoney::isPositive)
        .flatMap(paid -> costLimit.map(share -> new DishLimit(paid, share)));
  }

  /**
   * Returns whether a fish would be a substitute: the guest is told of it.
   *
   * @param species the code of the fish
   * @return true if the dish is sold as another
   */
  public boolean isSubstitute(String species) {
    return !soldAs.contains(species);
  }

  /**
   * Returns whether the fish is served whole.
   *
   * @return true if nothing is cut off for the plate
   */
  public boolean whole() {
    return serving.form().isWhole();
  }
}
