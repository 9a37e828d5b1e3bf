package mosaicknife.app.buy;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import mosaicknife.app.buy.PriceKeeper.Past;
import mosaicknife.app.shared.Decimals;
import mosaicknife.app.shared.Formats;

/**
 * The prices of a fish over time, one line a supplier and thing, and as a table.
 *
 * @param lines the lines of the drawing
 * @param rows the table, the newest first
 * @param highest the highest price, as text
 * @param from the first day, as text
 * @param to the last day, as text
 */
record PriceHistory(List<Line> lines, List<Row> rows, String highest, String from, String to) {

  private static final double WIDTH = 600;
  private static final double HEIGHT = 200;

  /** One line through its points. */
  record Line(String name, String path, List<String[]> dots, int dash) {}

  /** One price. */
  record Row(String day, String what, String supplier, String price) {}

  static PriceHistory of(List<Past> past, Formats formats) {
    if (past.isEmpty()) {
      return new PriceHistory(List.of(), List.of(), "", "", "");
    }
    LocalDate first = past.get(past.size() - 1).day();
    LocalDate last = past.get(0).day();
    double days = Math.max(1, ChronoUnit.DAYS.between(first, last));
    double most = past.stream().mapToDouble(PriceHistory::amount).max().orElse(1);
    Map<String, List<Past>> series = new LinkedHashMap<>();
    for (Past one : past) {
      String name = PurchasePlanView.name(one.offer(), formats) + ", " + one.offer().supplier();
      series.computeIfAbsent(name, n -> new ArrayList<>()).add(one);
    }
    List<Line> lines = new ArrayList<>();
    series.forEach(
        (name, points) -> {
          points.sort(Comparator.comparing(Past::day));
          StringBuilder path = new StringBuilder();
          List<String[]> dots = new ArrayList<>();
          for (Past point : points) {
            String x = number(WIDTH * ChronoUnit.DAYS.between(first, point.day()) / days);
            String y = number(HEIGHT - HEIGHT * amount(point) / (most * 1.05));
            path.append(path.isEmpty() ? "M" : "L").append(x).append(' ').append(y);
            dots.add(new String[] {x, y});
          }
          lines.add(new Line(name, path.toString(), dots, lines.size()));
        });
    List<Row> rows =
        past.stream()
            .map(
                one ->
                    new Row(
                        formats.day(one.day()),
                        PurchasePlanView.name(one.offer(), formats),
                        one.offer().supplier(),
                        formats.price(one.offer().price())))
            .toList();
    Past dearest = past.stream().max(Comparator.comparingDouble(PriceHistory::amount)).get();
    return new PriceHistory(
        lines, rows, formats.price(dearest.offer().price()), formats.day(first), formats.day(last));
  }

  private static double amount(Past past) {
    return past.offer().price().perKilogram().amount().doubleValue();
  }

  private static String number(double value) {
    return Decimals.of(value, 1);
  }
}
