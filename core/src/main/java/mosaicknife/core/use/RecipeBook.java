package mosaicknife.core.use;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import mosaicknife.core.safety.Allergen;

/**
 * The uses of the house beside each other: a line of one that bears the name of another is that
 * product, made here, with everything it brings in.
 *
 * @param uses the uses by code
 */
public record RecipeBook(Map<String, FishUse> uses) {

  /** Copies the uses, in their order. */
  public RecipeBook {
    uses = java.util.Collections.unmodifiableMap(new java.util.LinkedHashMap<>(uses));
  }

  /**
   * Returns the product of the house that a line names.
   *
   * @param line the line
   * @return the use it is made by; empty if it is bought or made elsewhere
   */
  public Optional<FishUse> product(RecipeLine line) {
    return uses.values().stream()
        .filter(use -> use.name().equalsIgnoreCase(line.name()))
        .findFirst();
  }

  /**
   * Returns what guests are told of, through every product that goes in.
   *
   * @param use the use
   * @return fish, what its lines say, and what the products in them bring
   */
  public Set<Allergen> allergens(FishUse use) {
    Set<Allergen> all = EnumSet.of(Allergen.FISH);
    inside(use).forEach(one -> all.addAll(one.allergens()));
    return all;
  }

  private Set<FishUse> inside(FishUse use) {
    Set<FishUse> seen = new LinkedHashSet<>();
    List<FishUse> open = new ArrayList<>(List.of(use));
    while (!open.isEmpty()) {
      FishUse next = open.remove(0);
      if (seen.add(next)) {
        next.lines().forEach(line -> product(line).ifPresent(open::add));
      }
    }
    return seen;
  }

  /**
   * Looks whether something would be made of itself.
   *
   * @param use the use, which need not be in the book yet
   * @return the way from it back to it, both ends named; empty if there is none
   */
  public List<FishUse> circle(FishUse use) {
    RecipeBook with = with(use);
    return with.wayBack(use, List.of(use));
  }

  private RecipeBook with(FishUse use) {
    Map<String, FishUse> all = new java.util.LinkedHashMap<>(uses);
    all.put(use.code(), use);
    return new RecipeBook(all);
  }

  private List<FishUse> wayBack(FishUse to, List<FishUse> way) {
    FishUse last = way.get(way.size() - 1);
    for (RecipeLine line : last.lines()) {
      Optional<FishUse> next = product(line);
      if (next.isPresent()) {
        List<FishUse> further = new ArrayList<>(way);
        further.add(next.get());
        if (next.get().code().equals(to.code())) {
          return List.copyOf(further);
        }
        List<FishUse> found = way.contains(next.get()) ? List.of() : wayBack(to, further);
        if (!found.isEmpty()) {
          return found;
        }
      }
    }
    return List.of();
  }
}
