package mosaicknife.core.buying;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import mosaicknife.core.finding.Finding;

/** Where portions go that come because fish come whole. */
public enum SurplusHome {
  /** Another dish may be made of the same fish: dish, venue. */
  OTHER_DISH,
  /** No other dish takes them: the staff's meal, or the freezer with a date. */
  STAFF_OR_FREEZER;

  /**
   * A dish that may take them.
   *
   * @param id its number
   * @param name its name
   * @param venue where it is served
   * @param fish the codes of the fish it may be made of
   */
  public record Taker(long id, String name, String venue, Collection<String> fish) {}

  /**
   * Finds a home.
   *
   * @param of the dish they are left over from
   * @param all all dishes, itself too
   * @return the first other dish of the same fish, else the staff's meal or the freezer
   */
  public static Finding find(Taker of, List<Taker> all) {
    Optional<Taker> other =
        all.stream()
            .filter(dish -> dish.id() != of.id())
            .filter(dish -> dish.fish().stream().anyMatch(of.fish()::contains))
            .findFirst();
    return other
        .map(dish -> Finding.of(OTHER_DISH, dish.name(), dish.venue()))
        .orElseGet(() -> Finding.of(STAFF_OR_FREEZER));
  }
}
