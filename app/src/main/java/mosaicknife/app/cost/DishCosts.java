package mosaicknife.app.cost;

import java.time.Clock;
import java.time.Duration;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mosaicknife.app.buy.Dish;
import mosaicknife.app.buy.DishEditor;
import mosaicknife.app.buy.PriceKeeper;
import mosaicknife.app.catalogue.CatalogueEditor;
import mosaicknife.app.catalogue.HouseOptions;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.lot.LotRegister;
import mosaicknife.app.weighing.LotSheets;
import mosaicknife.core.anatomy.Specification;
import mosaicknife.core.breakdown.HouseNorms;
import mosaicknife.core.buying.Contenders;
import mosaicknife.core.buying.Offer;
import mosaicknife.core.cost.Contender;
import mosaicknife.core.cost.CostSheet;
import mosaicknife.core.cost.DishLimit;
import mosaicknife.core.lot.BetterCut;
import mosaicknife.core.lot.LotPortions;
import mosaicknife.core.lot.LotSheet;
import mosaicknife.core.quantity.ExactMoney;
import org.springframework.stereotype.Component;

/** What plates of each dish cost lately, and what brings a dear one back. */
@Component
public class DishCosts {

  private static final Duration LATELY = Duration.ofDays(60);
  private static final Duration DAYS = Duration.ofDays(10);

  private final DishEditor dishes;
  private final PriceKeeper prices;
  private final CatalogueEditor catalogue;
  private final HouseOptions options;
  private final LotRegister lots;
  private final LotSheets sheets;
  private final HouseSettings houses;
  private final Clock clock;

  DishCosts(
      DishEditor dishes,
      PriceKeeper prices,
      CatalogueEditor catalogue,
      HouseOptions options,
      LotRegister lots,
      LotSheets sheets,
      HouseSettings houses,
      Clock clock) {
    this.dishes = dishes;
    this.prices = prices;
    this.catalogue = catalogue;
    this.options = options;
    this.lots = lots;
    this.sheets = sheets;
    this.houses = houses;
    this.clock = clock;
  }

  /**
   * Returns the dishes whose newest plate of the last days passed its limit.
   *
   * @return the dishes, by name
   */
  public List<Passed> passed() {
    return costed(lately(DAYS)).stream()
        .filter(Costed::isPassed)
        .map(
            one ->
                new Passed(
                    one.dish().name(), one.last().plate(), one.dish().limit().orElseThrow().most()))
        .toList();
  }

  /**
   * A dish that costs more than it may.
   *
   * @param dish its name
   * @param plate what its newest plate cost
   * @param most what it may cost
   */
  public record Passed(String dish, ExactMoney plate, ExactMoney most) {}

  /** The lots of the last months whose plates can be costed, the newest first. */
  List<LotSheet> lately() {
    return lately(LATELY);
  }

  private List<LotSheet> lately(Duration since) {
    return sheets.of(lots.since(clock.instant().minus(since))).stream()
        .filter(sheet -> sheet.costs(sheet.lot().costingMethod()).isPresent())
        .toList();
  }

  /** A lot with its dishes. */
  Plates plates(LotSheet sheet) {
    return new Plates(sheet, byNumber(), houses.house().labourPerHour());
  }

  /** By number, in the order of their names. */
  private Map<Long, Dish> byNumber() {
    Map<Long, Dish> byNumber = new LinkedHashMap<>();
    dishes.all().forEach(dish -> byNumber.put(dish.id(), dish));
    return byNumber;
  }

  /**
   * What a plate of a dish cost of one lot.
   *
   * @param sheet the lot
   * @param of the parts that went to it
   * @param plate what one cost
   */
  record Plate(LotSheet sheet, LotPortions.OfDish of, ExactMoney plate) {

    LocalDate day() {
      return sheet.lot().landedOn();
    }
  }

  /**
   * A dish with what its plates cost, the newest last.
   *
   * @param dish the dish
   * @param plates its plates
   * @param remedies what would bring it back below its limit, or nearer, the cheapest plate first;
   *     empty while it is within
   */
  record Costed(Dish dish, List<Plate> plates, List<Remedy> remedies) {

    Plate last() {
      return plates.get(plates.size() - 1);
    }

    boolean isPassed() {
      return dish.limit().filter(limit -> limit.isPassedBy(last().plate())).isPresent();
    }
  }

  /** What brings a plate down. */
  sealed interface Remedy {

    /** What a plate costs then. */
    ExactMoney plate();

    /** A lighter portion. */
    record Lighter(DishLimit.Lighter portion) implements Remedy {

      @Override
      public ExactMoney plate() {
        return portion.plate();
      }
    }

    /** Another fish that is on offer. */
    record OtherFish(Offer offer, ExactMoney plate) implements Remedy {}

    /** Another answer to a cutting option. */
    record OtherCut(BetterCut cut, ExactMoney plate) implements Remedy {}
  }

  /** Every dish that was costed lately, by name. */
  List<Costed> costed(List<LotSheet> lately) {
    Map<Long, Dish> known = byNumber();
    ExactMoney labour = houses.house().labourPerHour();
    Map<Dish, List<Plate>> byDish = new LinkedHashMap<>();
    known.values().forEach(dish -> byDish.put(dish, new ArrayList<>()));
    for (int i = lately.size() - 1; i >= 0; i--) {
      LotSheet sheet = lately.get(i);
      Plates plates = new Plates(sheet, known, labour);
      Optional<CostSheet> costs = sheet.costs(sheet.lot().costingMethod());
      for (LotPortions.OfDish of : plates.dishes()) {
        Optional<ExactMoney> cost = costs.flatMap(one -> plates.plateOf(of, one));
        plates
            .dish(of)
            .ifPresent(
                dish -> cost.ifPresent(plate -> byDish.get(dish).add(new Plate(sheet, of, plate))));
      }
    }
    return byDish.entrySet().stream()
        .filter(one -> !one.getValue().isEmpty())
        .map(one -> costed(one.getKey(), one.getValue()))
        .toList();
  }

  private Costed costed(Dish dish, List<Plate> plates) {
    Costed costed = new Costed(dish, plates, List.of());
    return costed.isPassed() ? new Costed(dish, plates, remedies(dish, costed.last())) : costed;
  }

  /** One of each kind where it helps, the cheapest plate first. */
  private List<Remedy> remedies(Dish dish, Plate last) {
    ExactMoney garnish = dish.garnish().orElse(ExactMoney.zero(last.plate().currency()));
    ExactMoney labour = houses.house().labourPerHour();
    DishLimit limit = dish.limit().orElseThrow();
    List<Remedy> remedies = new ArrayList<>();
    limit
        .portion(last.of().portions(), last.plate().minus(garnish), garnish)
        .ifPresent(lighter -> remedies.add(new Remedy.Lighter(lighter)));
    otherFish(dish, last, garnish).ifPresent(remedies::add);
    BetterCut.of(last.sheet(), catalogue.now(), labour)
        .map(
            cut ->
                new Remedy.OtherCut(
                    cut, last.plate().minus(garnish).multipliedBy(cut.factor()).plus(garnish)))
        .ifPresent(remedies::add);
    remedies.sort(Comparator.comparing(Remedy::plate));
    return remedies;
  }

  private Optional<Remedy> otherFish(Dish dish, Plate last, ExactMoney garnish) {
    String species = last.sheet().lot().species().code();
    return prices.offers().stream()
        .filter(offer -> !dish.isSubstitute(offer.species().code()))
        .filter(offer -> !offer.species().code().equals(species))
        .flatMap(
            offer ->
                contender(offer, dish)
                    .flatMap(one -> one.plate(dish.serving()))
                    .map(plate -> new Remedy.OtherFish(offer, plate.plus(garnish)))
                    .stream())
        .filter(one -> one.plate().compareTo(last.plate()) < 0)
        .map(Remedy.class::cast)
        .min(Comparator.comparing(Remedy::plate));
  }

  private Optional<Contender> contender(Offer offer, Dish dish) {
    return contender(offer, Optional.of(dish));
  }

  /** An offer at the plate of a dish; of none, cut in its skin. */
  Optional<Contender> contender(Offer offer, Optional<Dish> dish) {
    return Contenders.of(
        offer,
        dish.map(Dish::specification).orElse(Specification.SKIN_ON),
        options.choices(),
        HouseNorms.STARTING,
        catalogue.now(),
        houses.house().labourPerHour());
  }
}
