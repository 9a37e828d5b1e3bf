package mosaicknife.app.cost;

import java.math.RoundingMode;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import mosaicknife.app.buy.Dish;
import mosaicknife.app.shared.Formats;
import mosaicknife.app.shared.PlateLines;
import mosaicknife.app.shared.PlateWords;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.breakdown.Breakdown;
import mosaicknife.core.breakdown.Knowledge;
import mosaicknife.core.breakdown.Yields;
import mosaicknife.core.cost.CostLadder;
import mosaicknife.core.cost.CostSheet;
import mosaicknife.core.cost.Costing;
import mosaicknife.core.cost.Costing.PartCost;
import mosaicknife.core.cost.CostingMethod;
import mosaicknife.core.cost.DishLimit;
import mosaicknife.core.lot.LotPart;
import mosaicknife.core.lot.LotSheet;
import mosaicknife.core.portion.Serving;
import mosaicknife.core.portion.WholePortions;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Fraction;
import mosaicknife.core.quantity.Mass;

/**
 * The costs of one lot, ready for the template.
 *
 * @param answer the cost of a portion and what it rests on; empty while nothing is for the plate, a
 *     main cut is to be weighed or the method lacks a value
 * @param plate what a plate costs with the work; empty without a whole portion
 * @param isForThePlate whether something is for the plate
 * @param toCome the main cuts that are still to be weighed, in words; empty if none
 * @param ladder the rungs from purchase to plate
 * @param methods the methods beside each other
 * @param fillets the whole portions inside each main cut
 * @param dishes the plates of each dish, where the fish goes to several
 * @param parts what each part carries
 * @param yields the yields on each basis
 * @param usable the usable yield as text
 * @param kept what is cooked or kept as text
 * @param discarded what is composted or binned as text
 */
record CostView(
    Optional<PortionCost> answer,
    Optional<PlateLines> plate,
    boolean isForThePlate,
    String toCome,
    List<RungRow> ladder,
    List<MethodRow> methods,
    List<FilletRow> fillets,
    List<DishRow> dishes,
    List<PartRow> parts,
    List<YieldRow> yields,
    String usable,
    String kept,
    String discarded) {

  private static final int FULL_WIDTH = 560;
  private static final double WIDEST = 1.1;

  /** The figures the eye lands on. */
  record PortionCost(
      String byCount,
      String byCountExact,
      String byWeight,
      String byWeightExact,
      long portions,
      boolean estimated,
      String serving,
      String over,
      String edible,
      String factor,
      String onMains,
      String credit,
      String excess) {}

  /** One rung: how much is left, what stands on it, and what that is by portion and kilogram. */
  record RungRow(
      String step,
      String name,
      String note,
      String mass,
      String money,
      String portion,
      String price,
      int width) {}

  /** One method beside the others. */
  record MethodRow(
      CostingMethod method, boolean chosen, String onMains, String edible, String portion) {}

  /** The portions inside one main cut. */
  record FilletRow(
      String name, String mass, long count, String over, boolean estimated, List<String> said) {}

  /** What one part carries. */
  record PartRow(String name, String mass, String share, String purpose, String carries) {}

  /** The yields on one basis. */
  record YieldRow(String basis, String mass, String mains, boolean estimated, String how) {}

  /** What one dish takes of the fish, and what a plate of it costs. */
  record DishRow(
      String dish,
      String serving,
      long plates,
      String mass,
      String cost,
      String share,
      boolean passed) {}

  /** Only where a dish is known, or the fish goes to several: with none the answer is the same. */
  private static List<DishRow> dishes(Plates plates, Optional<CostSheet> costs, Formats formats) {
    return plates.dishes().stream()
        .map(
            dish -> {
              Optional<ExactMoney> plate = costs.flatMap(known -> plates.plateOf(dish, known));
              Optional<DishLimit> limit = plates.dish(dish).flatMap(Dish::limit);
              Optional<Fraction> share = plate.flatMap(cost -> plates.shareOf(dish, cost));
              return new DishRow(
                  dish.dish(),
                  formats.serving(dish.portions().serving()),
                  dish.portions().count(),
                  formats.mass(dish.mass()),
                  plate.map(cost -> "≈\u00a0" + formats.money(cost)).orElse("–"),
                  share.map(formats::percent).orElse(""),
                  plate
                      .filter(cost -> limit.filter(one -> one.isPassedBy(cost)).isPresent())
                      .isPresent());
            })
        .toList();
  }

  static CostView of(LotSheet sheet, Plates plates, Formats formats) {
    Optional<CostSheet> costs = sheet.costs(sheet.lot().costingMethod());
    Yields yields = Yields.of(sheet.breakdown(), sheet.lot().species());
    return new CostView(
        costs.map(c -> answer(c, sheet, formats)),
        plates.plate().map(plate -> PlateLines.of(plate, !sheet.portions().isEstimated(), formats)),
        !sheet.breakdown().mains().isEmpty(),
        formats.list(sheet.mainsToCome().stream().map(LotPart::name).toList()),
        plates.ladder().rungs().stream().map(rung -> rung(rung, costs, formats)).toList(),
        methods(sheet, formats),
        fillets(sheet.portions(), formats),
        dishes(plates, costs, formats),
        parts(sheet.breakdown(), costs, formats),
        yields(sheet.portions().eaten(), yields, formats),
        formats.percent(yields.usable()),
        formats.percent(yields.kept()),
        formats.percent(yields.discarded()));
  }

  private static PortionCost answer(CostSheet costs, LotSheet sheet, Formats formats) {
    WholePortions portions = costs.portions();
    Costing costing = costs.costing();
    return new PortionCost(
        costs
            .portionByCount()
            .map(formats::money)
            .orElse(formats.say("cost.said.no-whole-portion")),
        costs.portionByCount().map(formats::fineMoney).orElse(""),
        formats.money(costs.portionByWeight()),
        formats.fineMoney(costs.portionByWeight()),
        portions.count(),
        portions.isEstimated(),
        served(sheet, formats),
        portions.over().isPositive() ? formats.mass(portions.over()) : "",
        formats.price(costs.ediblePrice()),
        costs
            .costFactor()
            .map(factor -> formats.number(factor.toDecimal(3, RoundingMode.HALF_UP)))
            .orElse("–"),
        formats.money(costing.onMains()),
        costing.credit().isPositive() ? formats.money(costing.credit()) : "",
        costing.excess().isPositive() ? formats.money(costing.excess()) : "");
  }

  private static String served(LotSheet sheet, Formats formats) {
    List<Serving> servings =
        sheet.plates().byDish().stream().map(dish -> dish.portions().serving()).distinct().toList();
    return servings.size() == 1
        ? formats.serving(servings.get(0))
        : formats.say("cost.said.each-as-its-dish-says");
  }

  private static RungRow rung(CostLadder.Rung rung, Optional<CostSheet> costs, Formats formats) {
    double share = Math.min(WIDEST, rung.share().toDouble());
    return new RungRow(
        rung.step().name(),
        formats.say(rung.step()),
        note(rung, costs, formats),
        rung.mass().map(formats::mass).orElse(""),
        about(rung.step()) + formats.money(rung.money()),
        rung.portion().map(one -> about(rung.step()) + formats.money(one)).orElse(""),
        rung.price().map(formats::price).orElse(""),
        rung.mass().isEmpty() ? 0 : (int) Math.round(share * FULL_WIDTH));
  }

  /** The work in a plate is an estimate of the plan. */
  private static String about(CostLadder.Step step) {
    return step == CostLadder.Step.PLATE ? "≈\u00a0" : "";
  }

  private static String note(CostLadder.Rung rung, Optional<CostSheet> costs, Formats formats) {
    String went = rung.went().map(one -> formats.money(absolute(one))).orElse("");
    return switch (rung.step()) {
      case PURCHASE -> formats.say("cost.said.what-is-paid-for");
      case FREIGHT -> formats.say("cost.said.freight", went);
      case CLAIMS ->
          rung.went().filter(ExactMoney::isNegative).isPresent()
              ? formats.say("cost.said.claims", went)
              : formats.say("cost.said.own-scale");
      case LOSS -> formats.say("cost.said.loss", went);
      case BIN -> formats.say("cost.said.bin", went);
      case BY_PRODUCTS ->
          rung.went().filter(ExactMoney::isNegative).isPresent()
              ? formats.say("cost.said.by-products", went)
              : formats.say("cost.said.by-products-free");
      case USABLE -> formats.say("cost.said.edible-portion");
      case PORTIONS ->
          went.isEmpty()
              ? formats.say("cost.said.plates", plates(costs))
              : formats.say("cost.said.plates-and-over", plates(costs), went);
      case PLATE -> formats.say("cost.said.work-and-garnish", went);
      case PRICE ->
          rung.went().filter(ExactMoney::isNegative).isPresent()
              ? formats.say("cost.said.sold-below-cost", went)
              : formats.say("cost.said.what-is-left", went);
    };
  }

  private static long plates(Optional<CostSheet> costs) {
    return costs.map(known -> known.portions().count()).orElse(0L);
  }

  private static ExactMoney absolute(ExactMoney money) {
    return money.isNegative() ? ExactMoney.zero(money.currency()).minus(money) : money;
  }

  private static List<MethodRow> methods(LotSheet sheet, Formats formats) {
    return Stream.of(CostingMethod.values())
        .map(
            method -> {
              Optional<CostSheet> costs = sheet.costs(method);
              return new MethodRow(
                  method,
                  method == sheet.lot().costingMethod(),
                  costs.map(c -> formats.money(c.costing().onMains())).orElse("–"),
                  costs
                      .map(c -> formats.price(c.ediblePrice()))
                      .orElseGet(() -> without(sheet, formats)),
                  costs.flatMap(CostSheet::portionByCount).map(formats::money).orElse("–"));
            })
        .toList();
  }

  private static String without(LotSheet sheet, Formats formats) {
    return sheet.mainsToCome().isEmpty() ? formats.say("cost.said.needs-values") : "–";
  }

  private static List<FilletRow> fillets(WholePortions portions, Formats formats) {
    return portions.fillets().stream()
        .map(
            inside ->
                new FilletRow(
                    inside.part().name(),
                    formats.mass(inside.mass()),
                    inside.count(),
                    formats.mass(inside.over()),
                    inside.part().estimated(),
                    PlateWords.of(List.of(inside), formats)))
        .toList();
  }

  private static List<PartRow> parts(
      Breakdown breakdown, Optional<CostSheet> costs, Formats formats) {
    Map<String, PartCost> carried =
        costs.map(c -> c.costing().parts()).orElse(List.of()).stream()
            .collect(Collectors.toMap(PartCost::id, part -> part));
    return breakdown.leaves().stream()
        .map(
            leaf ->
                new PartRow(
                    leaf.name(),
                    formats.mass(leaf.mass()),
                    formats.percent(leaf.mass().dividedBy(breakdown.purchased())),
                    leaf.purpose().map(formats::say).orElseGet(() -> formats.say("cost.said.open")),
                    Optional.ofNullable(carried.get(leaf.id()))
                        .map(part -> formats.money(part.rounded().toExact()))
                        .orElse("–")))
        .toList();
  }

  private static List<YieldRow> yields(Mass mains, Yields yields, Formats formats) {
    return Stream.of(State.UNGUTTED, State.GUTTED, State.HEADED_AND_GUTTED)
        .map(yields::basis)
        .flatMap(Optional::stream)
        .map(
            basis ->
                new YieldRow(
                    formats.say(basis.state()),
                    formats.mass(basis.mass()),
                    formats.percent(Yields.share(mains, basis)),
                    basis.knowledge() == Knowledge.ESTIMATED,
                    formats.say(basis.knowledge())))
        .toList();
  }
}
