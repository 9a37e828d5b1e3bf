package mosaicknife.app.buy;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import mosaicknife.app.catalogue.CatalogueEditor;
import mosaicknife.app.catalogue.HouseOptions;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.shared.Refusal;
import mosaicknife.app.shared.SentTwice;
import mosaicknife.core.anatomy.Catalogue;
import mosaicknife.core.anatomy.Species;
import mosaicknife.core.breakdown.HouseNorms;
import mosaicknife.core.buying.Alternative;
import mosaicknife.core.buying.Candidate;
import mosaicknife.core.buying.Demand;
import mosaicknife.core.buying.Demand.Per;
import mosaicknife.core.buying.Offer;
import mosaicknife.core.buying.Offer.Form;
import mosaicknife.core.buying.OrderPlanner;
import mosaicknife.core.buying.OrderPlanner.Considered;
import mosaicknife.core.buying.StockNeed;
import mosaicknife.core.buying.SurplusHome;
import mosaicknife.core.buying.Wish;
import mosaicknife.core.finding.Finding;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Makes plans: for one dish all that is on offer, for all dishes the best of each. */
@Service
public class PurchasePlanner {

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
   * @param candidates what keeps the promise, the cheapest by served portion first; only fish the
   *     dish is sold as
   * @param others the same of fish that would be substitutes, to be chosen knowingly
   * @param leftOut offers that are none for the dish, with the reason
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
      List<Candidate> others,
      List<Considered> leftOut,
      Optional<Candidate> bought,
      List<Alternative> substitutes,
      List<Species> madeOf,
      List<Species> without,
      Optional<StockNeed> stock,
      Finding surplusHome) {

    Optional<Candidate> best() {
      return candidates.stream().findFirst();
    }
  }

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
  @PreAuthorize("hasAuthority('BUY') and @here.of('DISH', #dishId)")
  @Transactional
  @SentTwice
  public long order(
      long dishId, PlanWish wish, Optional<Long> price, LocalDate deliverOn, UUID clientId) {
    Plan plan = plan(dishId, wish);
    Candidate candidate =
        Stream.concat(
                plan.candidates().stream(),
                plan.others().stream().filter(other -> price.isPresent()))
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
            houses.house().formats().say(plan.surplusHome()),
            PurchasePlanView.reason(candidate, plan, houses.house().formats())));
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
    List<Considered> own = List.of();
    List<Considered> others = List.of();
    if (demand.isPresent()) {
      Wish wanted = wish(dish, demand.get(), wish);
      own = planner.considered(wanted, offers(dish, offered, false));
      others = planner.considered(wanted, offers(dish, offered, true));
    }
    List<Candidate> candidates = OrderPlanner.cheapest(own);
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
        OrderPlanner.cheapest(others),
        Stream.concat(own.stream(), others.stream())
            .filter(one -> one.leftOut().isPresent())
            .toList(),
        candidates.stream()
            .filter(candidate -> candidate.offer().form() == Form.FILLET)
            .findFirst(),
        demand.isPresent()
            ? alternatives(dish, demand.get(), wish, fish, offered, planner)
            : List.of(),
        dish.fish().stream().flatMap(code -> fish.findSpecies(code).stream()).toList(),
        without,
        candidates.stream().findFirst().map(best -> new StockNeed(best.bones(), wish.litres())),
        SurplusHome.find(portion(dish), all.stream().map(PurchasePlanner::portion).toList()));
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
        dish.serving(),
        dish.specification(),
        options.choices(),
        demand.distribution(),
        wish.onHand(),
        wish.level() / 100,
        houses.house().labourPerHour());
  }

  /** A dish served whole cannot be made of fillet. */
  private static List<Offer> offers(Dish dish, List<Offer> offered, boolean substitutes) {
    return offered.stream()
        .filter(offer -> dish.fish().contains(offer.species().code()))
        .filter(offer -> dish.isSubstitute(offer.species().code()) == substitutes)
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
    return dish.fish().stream()
        .findFirst()
        .flatMap(fish::findSpecies)
        .map(
            first ->
                Alternative.of(
                    new Alternative.Question(
                        first, dish.fish(), houses.today().getMonth(), houses.house().hemisphere()),
                    fish.species(),
                    offered,
                    planner,
                    wish(dish, demand, wish)))
        .orElse(List.of());
  }

  private static SurplusHome.Taker portion(Dish dish) {
    return new SurplusHome.Taker(dish.id(), dish.name(), dish.venue().name(), dish.soldAs());
  }
}
