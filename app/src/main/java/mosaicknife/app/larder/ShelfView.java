package mosaicknife.app.larder;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.IntStream;
import mosaicknife.app.shared.Formats;
import mosaicknife.core.larder.Item;
import mosaicknife.core.larder.TraceMoney;
import mosaicknife.core.quantity.ExactMoney;

/**
 * All shelves as a picture by place and day: what lapses when, and how much money that is.
 *
 * @param columns the days, the first for what is over, the last for all that keeps longer
 * @param rows the places, by venue
 * @param total the money on all shelves; empty for who may not see it
 */
record ShelfView(List<Column> columns, List<Row> rows, String total) {

  private static final int DAYS = 6;
  private static final int OVER = 0;

  /** One day. */
  record Column(String name, String money, boolean pressing) {}

  /** One place with what lapses there on each day. */
  record Row(String venue, String place, List<List<Tile>> cells) {}

  /** One item. */
  record Tile(String code, String name, String amount, String state, boolean underWay) {}

  private record Where(String venue, String place) implements Comparable<Where> {
    @Override
    public int compareTo(Where other) {
      return Comparator.comparing(Where::venue).thenComparing(Where::place).compare(this, other);
    }
  }

  static ShelfView of(
      List<Item> items,
      Map<Long, String> venues,
      Optional<TraceMoney> costs,
      LocalDate today,
      Formats formats) {
    Map<Where, List<List<Tile>>> rows = new TreeMap<>();
    List<ExactMoney> money = new ArrayList<>();
    IntStream.range(0, DAYS + 2).forEach(i -> money.add(ExactMoney.zero(formats.currency())));
    for (Item item : items) {
      int column = column(item, today);
      Where where = new Where(venues.getOrDefault(item.spot().venue(), ""), item.spot().place());
      rows.computeIfAbsent(where, key -> cells())
          .get(column)
          .add(
              new Tile(
                  item.shelved().code(),
                  item.shelved().name(),
                  amount(item, formats),
                  item.state().name(),
                  item.underWay().isPresent()));
      costs.ifPresent(
          all ->
              money.set(
                  column, money.get(column).plus(all.of(item.trace(), item.beside()).total())));
    }
    List<Column> columns = new ArrayList<>();
    for (int i = 0; i < DAYS + 2; i++) {
      String sum =
          costs.isPresent() && money.get(i).isPositive() ? formats.money(money.get(i)) : "";
      columns.add(new Column(name(i, today, formats), sum, i <= 1));
    }
    ExactMoney total = money.stream().reduce(ExactMoney::plus).orElseThrow();
    return new ShelfView(
        columns,
        rows.entrySet().stream()
            .map(row -> new Row(row.getKey().venue(), row.getKey().place(), row.getValue()))
            .toList(),
        costs.isPresent() ? formats.money(total) : "");
  }

  private static List<List<Tile>> cells() {
    List<List<Tile>> cells = new ArrayList<>();
    IntStream.range(0, DAYS + 2).forEach(i -> cells.add(new ArrayList<>()));
    return cells;
  }

  private static int column(Item item, LocalDate today) {
    long days = item.daysLeft(today);
    return days < 0 ? OVER : (int) Math.min(days + 1, DAYS + 1);
  }

  private static String name(int column, LocalDate today, Formats formats) {
    if (column == OVER) {
      return formats.say("larder.said.over");
    }
    if (column == 1) {
      return formats.say("larder.said.today");
    }
    return column == DAYS + 1
        ? formats.say("larder.said.later")
        : formats.weekday(today.plusDays(column - 1).getDayOfWeek());
  }

  /** How much is left, as one takes it. */
  static String amount(Item item, Formats formats) {
    String mass = item.isEstimated() ? formats.about(item.mass()) : formats.mass(item.mass());
    return item.isCounted() ? formats.say("larder.said.units", item.units(), mass) : mass;
  }
}
