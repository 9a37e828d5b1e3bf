package mosaicknife.app.buy;

import java.time.LocalDate;
import java.time.Month;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import mosaicknife.app.catalogue.CatalogueEditor;
import mosaicknife.app.catalogue.HouseOptions;
import mosaicknife.app.house.House;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.shared.Formats;
import mosaicknife.app.shared.Refusal;
import mosaicknife.core.anatomy.Catalogue;
import mosaicknife.core.anatomy.Species;
import mosaicknife.core.breakdown.HouseNorms;
import mosaicknife.core.buying.Candidate;
import mosaicknife.core.buying.Demand;
import mosaicknife.core.buying.Demand.Per;
import mosaicknife.core.buying.Offer;
import mosaicknife.core.buying.Offer.Form;
import mosaicknife.core.buying.OrderPlanner;
import mosaicknife.core.buying.StockNeed;
import mosaicknife.core.buying.Substitutes;
import mosaicknife.core.buying.Substitutes.Substitute;
import mosaicknife.core.buying.Wish;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Makes plans: for one dish all that is on offer, for all dishes the best of each. */
@Service
public class PurchasePlanner {

  /** More different than this is another dish. */
  private static final double FAR = 6;

  private static final int MOST_SUBSTITUTES = 6;

  private final DishEditor dishes;
  private final PriceKeeper prices;
  private final OrderPlacer orders;
  private final CatalogueEditor catalogue;
  private final HouseOptions options;
  private final HouseSettings houses;

  PurchasePlanner(
      DishEditor dishes,
      PriceKeeper prices,
      OrderPlacer orders,
      CatalogueEditor catalogue,
      HouseOptions options,
      HouseSettings houses) {
    this.dishes = dishes;
    this.prices = prices;
    this.orders = orders;
    this.catalogue = catalogue;
    this.options = options;
    this.houses = houses;
  }

  /**
   * The plan of one dish.
   *
   * @param dish the dish
   * @param wish what it was made for
   * @param demand the demand over that time; empty if the profile was not filled in
   * @param candidates what keeps the promise, the cheapest by served portion first
   * @param bought the cheapest bought-in fillet, if one is on offer
   * @param substitutes fish that eat alike, the nearest first, only those in season or on offer
   * @param madeOf the fish the dish may be made of
   * @param without fish of the dish that nobody offers
   * @param stock the bones of the best candidate against the stock wanted; empty if there is no
   *     candidate
   * @param surplusHome where surplus portions of this dish could go
   */
  record Plan(
      Dish dish,
      PlanWish wish,
      Optional<Demand> demand,
      List<Candidate> candidates,
      Optional<Candidate> bought,
      List<Alternative> substitutes,
      List<Species> madeOf,
      List<Species> without,
      Optional<StockNeed> stock,
      String surplusHome) {

    Optional<Candidate> best() {
      return candidates.stream().findFirst();
    }
  }

  /** A fish in place of another, with season and its best candidate. */
  record Alternative(Substitute substitute, boolean inSeason, Optional<Candidate> candidate) {}

  Plan plan(long dishId, PlanWish wish) {
    return plan(dishes.get(dishId), wish, dishes.all(), prices.offers(), planner());
  }

  /**
   * Puts a candidate on the draft order to its supplier, worked out anew so that no stale figure
   * counts.
   *
   * @param dishId the dish
   * @param wish what it is planned for
   * @param price the number of the price on offer; empty for the best candidate
   * @param deliverOn the day of delivery
   * @param clientId the identifier the sender made, so that a double tap is one line
   * @return the number of the order
   * @throws Refusal if the candidate is gone or does not keep the promise any more
   */
  @PreAuthorize("hasAuthority('BUY')")
  @Transactional
  public long order(
      long dishId, PlanWish wish, Optional<Long> price, LocalDate deliverOn, UUID clientId) {
    Plan plan = plan(dishId, wish);
    Candidate candidate =
        plan.candidates().stream()
            .filter(o -> price.isEmpty() || o.offer().id().equals("" + price.get()))
            .findFirst()
            .orElseThrow(() -> Refusal.ofStale("buy.problem.this-offer-is-gone-or"));
    return orders.put(
        candidate.offer().supplier(),
        plan.dish().venue().id(),
        deliverOn,
        new OrderLineEntity(
            clientId,
            candidate,
            dishId,
            plan.surplusHome(),
            PlanView.reason(candidate, plan, houses.house().formats())));
  }

  /** Plans every dish that is wanted in the profile, with what is on hand counted as nothing. */
  List<Plan> all(PlanWish wish) {
    List<Dish> all = dishes.all();
    List<Offer> offers = prices.offers();
    OrderPlanner planner = planner();
    return all.stream().map(dish -> plan(dish, wish, all, offers, planner)).toList();
  }

  private Plan plan(
      Dish dish, PlanWish wish, List<Dish> all, List<Offer> offered, OrderPlanner planner) {
    Catalogue fish = catalogue.now();
    Optional<Demand> demand = demand(dish, wish.profile(), wish.per());
    List<Candidate> candidates = List.of();
    if (demand.isPresent()) {
      candidates = planner.plan(wish(dish, demand.get(), wish), offers(dish, offered));
    }
    List<Species> without =
        dish.fish().stream()
            .filter(
                code -> offered.stream().noneMatch(offer -> offer.species().code().equals(code)))
            .flatMap(code -> fish.findSpecies(code).stream())
            .toList();
    return new Plan(
        dish,
        wish,
        demand,
        candidates,
        candidates.stream()
            .filter(candidate -> candidate.offer().form() == Form.FILLET)
            .findFirst(),
        demand.isPresent()
            ? alternatives(dish, demand.get(), wish, fish, offered, planner)
            : List.of(),
        dish.fish().stream().flatMap(code -> fish.findSpecies(code).stream()).toList(),
        without,
        candidates.stream().findFirst().map(best -> new StockNeed(best.bones(), wish.litres())),
        surplusHome(dish, all, houses.house().formats()));
  }

  private OrderPlanner planner() {
    return new OrderPlanner(HouseNorms.STARTING, catalogue.now());
  }

  private static Optional<Demand> demand(Dish dish, ProfileName profile, Per per) {
    return Optional.ofNullable(dish.demand().get(profile))
        .filter(demand -> demand.portions() > 0)
        .map(demand -> demand.over(per, profile.profile()));
  }

  private Wish wish(Dish dish, Demand demand, PlanWish wish) {
    return new Wish(
        dish.rule(),
        dish.specification(),
        dish.whole(),
        options.choices(),
        demand.distribution(),
        wish.onHand(),
        wish.level() / 100,
        houses.house().labourPerHour());
  }

  /** A dish served whole cannot be made of fillet. */
  private static List<Offer> offers(Dish dish, List<Offer> offered) {
    return offered.stream()
        .filter(offer -> dish.fish().contains(offer.species().code()))
        .filter(offer -> !dish.whole() || offer.form() == Form.WHOLE)
        .toList();
  }

  private List<Alternative> alternatives(
      Dish dish,
      Demand demand,
      PlanWish wish,
      Catalogue fish,
      List<Offer> offered,
      OrderPlanner planner) {
    Optional<Species> first = dish.fish().stream().findFirst().flatMap(fish::findSpecies);
    if (first.isEmpty()) {
      return List.of();
    }
    House house = houses.house();
    Month month = houses.today().getMonth();
    Wish asked = wish(dish, demand, wish);
    List<Alternative> found = new ArrayList<>();
    for (Substitute substitute : Substitutes.of(first.get(), fish.species())) {
      if (substitute.distance() > FAR || dish.fish().contains(substitute.species().code())) {
        continue;
      }
      Optional<Candidate> candidate =
          offered.stream()
              .filter(c -> c.species().equals(substitute.species()) && c.form() == Form.WHOLE)
              .flatMap(offer -> planner.candidate(asked, offer).stream())
              .min(Comparator.comparing(Candidate::costPerServed));
      boolean inSeason = substitute.species().season().isBest(month, house.hemisphere());
      if (candidate.isPresent() || inSeason) {
        found.add(new Alternative(substitute, inSeason, candidate));
      }
    }
    // what can be bought today goes first; within that, what eats most alike
    found.sort(
        Comparator.comparing((Alternative a) -> a.candidate().isEmpty())
            .thenComparing(a -> a.substitute().distance()));
    return found.stream().limit(MOST_SUBSTITUTES).toList();
  }

  /** Another dish that may be made of the same fish takes the surplus; else it is frozen. */
  private static String surplusHome(Dish dish, List<Dish> all, Formats formats) {
    return all.stream()
        .filter(other -> other.id() != dish.id())
        .filter(other -> other.fish().stream().anyMatch(dish.fish()::contains))
        .findFirst()
        .map(other -> other.name() + ", " + other.venue().name())
        .orElseGet(() -> formats.say("buy.said.staff-or-freezer"));
  }
}
