package mosaicknife.app.cost;

import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mosaicknife.app.shared.Decimals;
import mosaicknife.app.shared.Formats;
import mosaicknife.core.cost.CostSheet;
import mosaicknife.core.cost.DishLimit;
import mosaicknife.core.cost.FactorRange;
import mosaicknife.core.lot.LotSheet;
import mosaicknife.core.portion.Serving;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Fraction;
import mosaicknife.core.quantity.UnitPrice;

/**
 * What plates cost lately, and the factors of this house's fish for quick sums.
 *
 * @param dishes the dishes
 * @param factors the fish
 */
record DishesView(List<DishRow> dishes, List<FactorRow> factors) {

  private static final double WIDE = 220;
  private static final double HIGH = 48;
  private static final int THREE = 3;

  /**
   * A dish with its last plates.
   *
   * @param name the dish
   * @param id its number
   * @param lot the lot of the last plate
   * @param plate what the last plate cost
   * @param share how much of the price that is; empty without a price
   * @param limit what it may cost; empty without a limit
   * @param passed whether it costs more
   * @param remedies what would help, the cheapest plate first
   * @param line the plates as a line, the newest right
   * @param limitAt where the limit lies, in pixels from the top; below 0 without one
   * @param newest where the newest plate lies
   * @param words the same line in words
   */
  record DishRow(
      String name,
      long id,
      long lot,
      String plate,
      String share,
      String limit,
      boolean passed,
      List<String> remedies,
      String line,
      double limitAt,
      double newest,
      String words) {}

  /** A fish: how much dearer an edible kilogram is than one as purchased. */
  record FactorRow(String fish, String state, int lots, String factor, String range, String sum) {}

  static DishesView of(List<DishCosts.Costed> costed, List<LotSheet> lately, Formats formats) {
    return new DishesView(
        costed.stream().map(one -> dish(one, formats)).toList(), factors(lately, formats));
  }

  private static DishRow dish(DishCosts.Costed costed, Formats formats) {
    ExactMoney last = costed.last().plate();
    Optional<DishLimit> limit = costed.dish().limit();
    double most =
        Math.max(
            costed.plates().stream().mapToDouble(one -> major(one.plate())).max().orElse(1),
            limit.map(one -> major(one.most())).orElse(0.0));
    List<String> points = new ArrayList<>();
    int count = costed.plates().size();
    for (int i = 0; i < count; i++) {
      double x = count == 1 ? WIDE : WIDE * i / (count - 1);
      points.add(
          Decimals.of(x, 1) + "," + Decimals.of(at(costed.plates().get(i).plate(), most), 1));
    }
    return new DishRow(
        costed.dish().name(),
        costed.dish().id(),
        costed.last().sheet().lot().id(),
        "≈\u00a0" + formats.money(last),
        costed
            .dish()
            .price()
            .filter(ExactMoney::isPositive)
            .map(price -> formats.percent(last.dividedBy(price)))
            .orElse(""),
        limit.map(one -> formats.money(one.most())).orElse(""),
        costed.isPassed(),
        remedies(costed, formats),
        String.join(" ", points),
        limit.map(one -> at(one.most(), most)).orElse(-1.0),
        at(last, most),
        formats.list(
            costed.plates().stream()
                .map(one -> formats.say("cost.said.plate-of", formats.day(one.day()), one.plate()))
                .toList()));
  }

  private static List<String> remedies(DishCosts.Costed costed, Formats formats) {
    Serving.Form form = costed.dish().serving().form();
    List<String> all =
        new ArrayList<>(costed.remedies().stream().map(one -> words(one, formats)).toList());
    if (costed.isPassed() && !form.isLighterForMore()) {
      all.add(formats.say("cost.said.no-lighter", formats.serving(costed.dish().serving())));
    }
    return all;
  }

  private static double major(ExactMoney money) {
    return money.amount().doubleValue();
  }

  private static double at(ExactMoney money, double most) {
    return 4 + (HIGH - 8) * (1 - (most <= 0 ? 0 : major(money) / most));
  }

  private static String words(DishCosts.Remedy remedy, Formats formats) {
    if (remedy instanceof DishCosts.Remedy.Lighter lighter) {
      return formats.say(
          "cost.said.remedy-portion",
          lighter.portion().portion(),
          formats.money(lighter.plate()),
          lighter.portion().plates());
    }
    if (remedy instanceof DishCosts.Remedy.OtherFish other) {
      return formats.say(
          "cost.said.remedy-fish",
          other.offer().species().name(),
          formats.price(other.offer().price()),
          other.offer().supplier(),
          formats.money(other.plate()));
    }
    DishCosts.Remedy.OtherCut cut = (DishCosts.Remedy.OtherCut) remedy;
    return formats.say(
        "cost.said.remedy-cut",
        cut.cut().option().title(),
        cut.cut().choice().title(),
        formats.money(cut.plate()));
  }

  /** By fish and state. */
  private static List<FactorRow> factors(List<LotSheet> lately, Formats formats) {
    Map<String, List<LotSheet>> byFish = new LinkedHashMap<>();
    for (LotSheet sheet : lately.stream().filter(one -> one.lot().price().isPresent()).toList()) {
      byFish
          .computeIfAbsent(
              sheet.lot().species().code() + " " + sheet.lot().state(), key -> new ArrayList<>())
          .add(sheet);
    }
    return byFish.values().stream().flatMap(of -> factorRow(of, formats).stream()).toList();
  }

  private static Optional<FactorRow> factorRow(List<LotSheet> of, Formats formats) {
    LotSheet newest = of.get(0);
    UnitPrice price = newest.lot().price().orElseThrow();
    List<CostSheet> costs =
        of.stream().flatMap(sheet -> sheet.costs(sheet.lot().costingMethod()).stream()).toList();
    return FactorRange.of(costs)
        .map(
            range ->
                new FactorRow(
                    newest.lot().species().name(),
                    formats.say(newest.lot().state()),
                    of.size(),
                    number(range.mean(), formats),
                    of.size() == 1
                        ? ""
                        : formats.say(
                            "cost.said.from-to",
                            number(range.least(), formats),
                            number(range.most(), formats)),
                    formats.say(
                        "cost.said.quick-sum",
                        formats.price(price),
                        number(range.mean(), formats),
                        formats.price(range.times(price)))));
  }

  private static String number(Fraction fraction, Formats formats) {
    return formats.number(fraction.toDecimal(THREE, RoundingMode.HALF_UP));
  }
}
