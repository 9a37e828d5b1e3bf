package mosaicknife.app.slice;

import java.time.Clock;
import java.time.Duration;
import java.util.List;
import mosaicknife.app.buy.Dish;
import mosaicknife.app.buy.DishEditor;
import mosaicknife.app.buy.ProfileName;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.lot.LotRegister;
import mosaicknife.app.shared.Formats;
import mosaicknife.app.weighing.LotSheets;
import mosaicknife.core.buying.Demand;
import mosaicknife.core.lot.Destination;
import mosaicknife.core.lot.LotSheet;
import mosaicknife.core.lot.PortionRow;
import org.springframework.stereotype.Component;

/** Portions that were weighed on the bench, and what their spread costs in a week. */
@Component
class WeighedRows {

  private static final Duration A_WEEK = Duration.ofDays(7);

  private final LotRegister lots;
  private final LotSheets sheets;
  private final DishEditor dishes;
  private final HouseSettings houses;
  private final Clock clock;

  WeighedRows(
      LotRegister lots, LotSheets sheets, DishEditor dishes, HouseSettings houses, Clock clock) {
    this.clock = clock;
    this.lots = lots;
    this.sheets = sheets;
    this.dishes = dishes;
    this.houses = houses;
  }

  /** Of the lots a venue took in the last seven days. */
  List<WeighedView> thisWeek(long venue) {
    return of(
        sheets.of(
            lots.since(clock.instant().minus(A_WEEK)).stream()
                .filter(lot -> lot.venue().id() == venue)
                .toList()));
  }

  List<WeighedView> of(List<LotSheet> of) {
    Formats formats = houses.house().formats();
    List<Dish> known = dishes.all();
    return PortionRow.of(of).stream()
        .map(row -> WeighedView.of(row, platesAWeek(row, known), formats))
        .toList();
  }

  /** What the dish wants in a week; of no dish, as many as were weighed. */
  private static long platesAWeek(PortionRow row, List<Dish> known) {
    long wanted =
        known.stream()
            .filter(dish -> row.to() instanceof Destination.ToDish to && to.id() == dish.id())
            .findFirst()
            .map(WeighedRows::week)
            .orElse(0L);
    return wanted > 0 ? wanted : row.weighed().masses().size();
  }

  private static long week(Dish dish) {
    return dish.demand().entrySet().stream()
        .filter(one -> one.getKey() != ProfileName.FUNCTION)
        .mapToLong(one -> one.getValue().over(Demand.Per.WEEK, one.getKey().profile()).portions())
        .sum();
  }
}
