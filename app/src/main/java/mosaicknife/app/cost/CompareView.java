package mosaicknife.app.cost;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.DoubleFunction;
import java.util.stream.Collectors;
import mosaicknife.app.shared.Decimals;
import mosaicknife.app.shared.Formats;
import mosaicknife.core.cost.Comparison;
import mosaicknife.core.cost.Contender;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Fraction;
import mosaicknife.core.quantity.UnitPrice;

/**
 * Fish beside each other at one plate.
 *
 * @param answer which is the cheapest and by how much; empty with fewer than two
 * @param rows the fish, the cheapest first
 * @param byYield what a portion costs at other yields
 * @param byPrice what a portion costs at other prices
 */
record CompareView(String answer, List<Row> rows, Chart byYield, Chart byPrice) {

  private static final int WIDTH = 560;
  private static final int HEIGHT = 260;
  private static final int LEFT = 64;
  private static final int BOTTOM = 34;
  private static final int TOP = 12;
  private static final int RIGHT = 28;
  private static final double LOWEST = 0.15;
  private static final double HIGHEST = 0.9;
  private static final int TICKS = 5;
  private static final double ROOM = 2.2;

  /** Lines of more fish than these look alike: names stand beside them. */
  private static final List<String> LINES =
      List.of("c-FIRST", "c-NEXT", "c-THIRD", "c-FOURTH", "c-FIFTH", "c-SIXTH");

  /** A fish with its figures; estimates look like ones. */
  record Row(
      String css,
      String name,
      String plate,
      String range,
      String price,
      String yield,
      long plates,
      String labour,
      String credit,
      String point,
      String breakEven) {}

  /** A chart: curves with today's point on them, and its axes. */
  record Chart(List<Curve> curves, List<Tick> across, List<Tick> up) {}

  /** A curve of one fish. */
  record Curve(String css, String path, double x, double y) {}

  /** A mark on an axis. */
  record Tick(double at, String text) {}

  static CompareView of(Comparison comparison, Formats formats) {
    List<Contender> all = comparison.contenders();
    return new CompareView(
        answer(comparison, formats),
        rows(comparison, formats),
        byYield(all, comparison, formats),
        byPrice(all, comparison, formats));
  }

  private static String answer(Comparison comparison, Formats formats) {
    List<Contender> plated =
        comparison.contenders().stream()
            .filter(one -> one.plate(comparison.serving()).isPresent())
            .toList();
    if (plated.size() < 2) {
      return "";
    }
    ExactMoney first = plated.get(0).plate(comparison.serving()).orElseThrow();
    ExactMoney next = plated.get(1).plate(comparison.serving()).orElseThrow();
    return formats.say(
        "cost.said.cheapest",
        plated.get(0).name(),
        "≈\u00a0" + formats.money(first),
        formats.money(next.minus(first)));
  }

  private static List<Row> rows(Comparison comparison, Formats formats) {
    List<Row> rows = new ArrayList<>();
    List<Contender> all = comparison.contenders();
    for (int i = 0; i < all.size(); i++) {
      Contender one = all.get(i);
      String about = one.measured() ? "" : "≈\u00a0";
      rows.add(
          new Row(
              LINES.get(i),
              one.name(),
              one.plate(comparison.serving())
                  .map(plate -> "≈\u00a0" + formats.money(plate))
                  .orElseGet(() -> formats.say("cost.said.no-whole-portion")),
              comparison
                  .range(one)
                  .map(
                      range ->
                          formats.say(
                              "cost.said.from-to",
                              formats.money(range.get(0)),
                              formats.money(range.get(1))))
                  .orElse(""),
              formats.price(one.price()),
              about + formats.percent(one.share()),
              one.plates(comparison.serving()),
              "≈\u00a0" + formats.money(perPlate(one.labour(), one, comparison)),
              one.credit().isPositive()
                  ? "−\u00a0" + formats.money(perPlate(one.credit(), one, comparison))
                  : "",
              formats.fineMoney(one.point(comparison.serving())),
              breakEven(comparison, one, formats)));
    }
    return rows;
  }

  private static ExactMoney perPlate(ExactMoney money, Contender one, Comparison comparison) {
    return money.dividedBy(Math.max(1, one.plates(comparison.serving())));
  }

  /** Against the cheapest, and of the cheapest against the next. */
  private static String breakEven(Comparison comparison, Contender one, Formats formats) {
    List<Contender> all = comparison.contenders();
    Optional<Contender> other =
        all.stream()
            .filter(two -> !two.equals(one))
            .filter(two -> two.plate(comparison.serving()).isPresent())
            .findFirst();
    if (other.isEmpty() || one.plate(comparison.serving()).isEmpty()) {
      return "";
    }
    Optional<Fraction> yield = comparison.lowestYield(one, other.get());
    Optional<UnitPrice> price = comparison.highestPrice(one, other.get());
    String name = other.get().name();
    if (yield.isEmpty() && price.isEmpty()) {
      return formats.say("cost.said.never-as-cheap", name);
    }
    if (yield.isEmpty()) {
      return formats.say("cost.said.as-cheap-at-price", name, formats.price(price.orElseThrow()));
    }
    return price
        .map(to -> formats.say("cost.said.as-cheap-at-both", name, yield.get(), formats.price(to)))
        .orElseGet(() -> formats.say("cost.said.as-cheap-at-yield", name, yield.get()));
  }

  private static Chart byYield(List<Contender> all, Comparison comparison, Formats formats) {
    List<List<Comparison.Point>> curves =
        all.stream().map(one -> comparison.byYield(one, LOWEST, HIGHEST)).toList();
    return chart(
        all,
        comparison,
        curves,
        all.stream().map(one -> one.share().toDouble()).toList(),
        LOWEST,
        HIGHEST,
        one -> "" + Math.round(one * 100) + " %",
        formats);
  }

  private static Chart byPrice(List<Contender> all, Comparison comparison, Formats formats) {
    double dearest =
        all.stream()
            .mapToDouble(one -> one.price().perKilogram().amount().doubleValue())
            .max()
            .orElse(0);
    double to = Math.max(1, dearest * 1.25);
    List<List<Comparison.Point>> curves =
        all.stream().map(one -> comparison.byPrice(one, to)).toList();
    return chart(
        all,
        comparison,
        curves,
        all.stream().map(one -> one.price().perKilogram().amount().doubleValue()).toList(),
        0,
        to,
        one -> money(one, formats),
        formats);
  }

  private static String money(double major, Formats formats) {
    return formats.money(new ExactMoney(BigDecimal.valueOf(major), formats.currency()));
  }

  private static Chart chart(
      List<Contender> all,
      Comparison comparison,
      List<List<Comparison.Point>> curves,
      List<Double> today,
      double from,
      double to,
      DoubleFunction<String> across,
      Formats formats) {
    double most =
        ROOM
            * all.stream()
                .flatMap(one -> one.plate(comparison.serving()).stream())
                .mapToDouble(plate -> plate.amount().doubleValue())
                .max()
                .orElse(1);
    Axes axes = new Axes(from, to, most <= 0 ? 1 : most);
    List<Curve> drawn = new ArrayList<>();
    for (int i = 0; i < all.size(); i++) {
      Optional<ExactMoney> plate = all.get(i).plate(comparison.serving());
      drawn.add(
          new Curve(
              LINES.get(i),
              axes.path(curves.get(i)),
              axes.x(today.get(i)),
              plate.map(cost -> axes.y(cost.amount().doubleValue())).orElse(-1.0)));
    }
    List<Tick> marks = new ArrayList<>();
    for (double at : ticks(from, to)) {
      marks.add(new Tick(axes.x(at), across.apply(at)));
    }
    List<Tick> up = new ArrayList<>();
    for (double at : ticks(0, axes.most())) {
      up.add(new Tick(axes.y(at), money(at, formats)));
    }
    return new Chart(drawn, marks, up);
  }

  /** Round figures, five or so between two ends. */
  private static List<Double> ticks(double from, double to) {
    double rough = (to - from) / TICKS;
    double power = Math.pow(10, Math.floor(Math.log10(rough)));
    double step =
        power * (rough / power < 1.5 ? 1 : rough / power < 3.5 ? 2 : rough / power < 7.5 ? 5 : 10);
    List<Double> ticks = new ArrayList<>();
    for (double at = Math.ceil(from / step - 1e-9) * step; at <= to + 1e-9; at += step) {
      ticks.add(at);
    }
    return ticks;
  }

  private record Axes(double from, double to, double most) {

    double x(double at) {
      return LEFT + (WIDTH - LEFT - RIGHT) * (at - from) / (to - from);
    }

    double y(double cost) {
      return TOP + (HEIGHT - TOP - BOTTOM) * (1 - Math.min(1, cost / most));
    }

    /** Points above the chart are left out: a line along its edge would be no curve. */
    String path(List<Comparison.Point> points) {
      return points.stream()
          .filter(point -> point.plate().filter(cost -> cost <= most).isPresent())
          .map(
              point ->
                  Decimals.of(x(point.at()), 1)
                      + ","
                      + Decimals.of(y(point.plate().orElse(0.0)), 1))
          .collect(Collectors.joining(" "));
    }
  }
}
