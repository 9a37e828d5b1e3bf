package mosaicknife.app.slice;

import java.math.RoundingMode;
import java.time.DayOfWeek;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import mosaicknife.app.buy.Dish;
import mosaicknife.app.buy.DishEditor;
import mosaicknife.app.buy.ProfileName;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.lot.LotRegister;
import mosaicknife.app.shared.Typed;
import mosaicknife.app.weighing.LotSheets;
import mosaicknife.core.buying.Demand;
import mosaicknife.core.lot.Lot;
import mosaicknife.core.lot.LotRules;
import mosaicknife.core.lot.LotSheet;
import mosaicknife.core.lot.OnBoard;
import mosaicknife.core.portion.Serving;
import mosaicknife.core.slice.Fillet;
import mosaicknife.core.slice.PortionType;
import mosaicknife.core.slice.Service;
import mosaicknife.core.slice.Service.OnTheBoard;
import mosaicknife.core.slice.Service.Wanted;
import org.springframework.stereotype.Component;

/** Collects the fillets that lie at a venue and what its dishes want of them. */
@Component
class Evening {

  private static final int MOST_WANTED = 5_000;

  private final DishEditor dishes;
  private final LotRegister lots;
  private final LotSheets sheets;
  private final HouseSettings houses;

  Evening(DishEditor dishes, LotRegister lots, LotSheets sheets, HouseSettings houses) {
    this.dishes = dishes;
    this.lots = lots;
    this.sheets = sheets;
    this.houses = houses;
  }

  /**
   * What is asked.
   *
   * @param dishes the dishes, in the order of what is wanted
   * @param fillets the fillets, in the order of the service
   * @param wanted how many of each dish, as it stands in the field
   * @param service the question
   * @param heldBack lots whose fillets are not shared out: held, for the pot only, refused, or past
   *     their last day
   */
  record Asked(
      List<Dish> dishes,
      List<OnALot> fillets,
      Map<Long, String> wanted,
      Service service,
      List<Lot> heldBack) {}

  /** A fillet with its lot. */
  record OnALot(LotSheet sheet, OnBoard piece, Fillet shape) {

    String id() {
      return sheet.lot().id() + " " + piece.part().slot() + " " + piece.fish();
    }
  }

  Asked asked(long venue, Map<String, String> typed) {
    List<Lot> all = lots.openAt(venue);
    List<LotSheet> here = sheets.of(all.stream().filter(LotRules::isServedToday).toList());
    List<OnALot> fillets = new ArrayList<>();
    for (LotSheet sheet : here) {
      OnBoard.toSlice(sheet).stream()
          .filter(OnBoard::isWeighed)
          .forEach(
              one ->
                  one.shape(sheet.lot(), Optional.empty())
                      .ifPresent(shape -> fillets.add(new OnALot(sheet, one, shape))));
    }
    List<Dish> served =
        dishes.all().stream()
            .filter(dish -> dish.venue().id() == venue && isCut(dish))
            .filter(dish -> fillets.stream().anyMatch(one -> goesTo(one, dish)))
            .toList();
    Map<Long, String> fields = new LinkedHashMap<>();
    List<Wanted> wanted = new ArrayList<>();
    boolean priced = served.stream().allMatch(dish -> dish.price().isPresent());
    for (Dish dish : served) {
      String field = "w" + dish.id();
      String text = typed.getOrDefault(field, "" + usual(dish)).strip();
      fields.put(dish.id(), text);
      int plates = text.isEmpty() ? 0 : Typed.count(text, 0, MOST_WANTED, field);
      int pieces = dish.serving().form() == Serving.Form.PIECES ? dish.serving().count() : 1;
      wanted.add(new Wanted(type(dish, pieces, priced), Math.min(Wanted.MOST, plates * pieces)));
    }
    return new Asked(
        served,
        fillets,
        fields,
        new Service(board(fillets, served), wanted),
        all.stream().filter(lot -> !LotRules.isServedToday(lot)).toList());
  }

  /** Fish that the dish is sold as; another only where somebody sent it there knowingly. */
  private static boolean goesTo(OnALot one, Dish dish) {
    return !dish.isSubstitute(one.sheet().lot().species().code())
        || one.piece().part().part().dish().filter(to -> to.id() == dish.id()).isPresent();
  }

  private static boolean isCut(Dish dish) {
    return dish.serving().form() == Serving.Form.SLICES
        || dish.serving().form() == Serving.Form.PIECES;
  }

  /** Worth of a plate: its price where every dish has one, else its grams. */
  private static PortionType type(Dish dish, int pieces, boolean priced) {
    PortionType type =
        PortionType.ofAny(dish.name(), dish.serving(), dish.specification().isBoneless());
    long worth =
        priced
            ? dish.price().orElseThrow().rounded(RoundingMode.HALF_UP).minorUnits() / pieces
            : type.target().milligrams() / 1000;
    return type.worth(Math.max(1, worth));
  }

  /** Raw is served only of lots whose gate a record has opened. */
  private static List<OnTheBoard> board(List<OnALot> fillets, List<Dish> dishes) {
    List<OnTheBoard> board = new ArrayList<>();
    for (OnALot one : fillets) {
      Set<Integer> kinds = new HashSet<>();
      for (int i = 0; i < dishes.size(); i++) {
        Dish dish = dishes.get(i);
        boolean may =
            (!dish.raw() || SliceView.isRaw(one.sheet(), one.piece()))
                && dish.serving()
                        .leastServed(one.piece().eaten().cut())
                        .compareTo(one.piece().eaten().mass())
                    <= 0;
        if (may && goesTo(one, dish)) {
          kinds.add(i);
        }
      }
      board.add(new OnTheBoard(one.id(), one.shape(), kinds));
    }
    return board;
  }

  /** What one service of such a day usually wants. */
  private int usual(Dish dish) {
    DayOfWeek day = houses.today().getDayOfWeek();
    ProfileName profile =
        day.compareTo(DayOfWeek.FRIDAY) >= 0 ? ProfileName.WEEKEND : ProfileName.MIDWEEK;
    return Optional.ofNullable(dish.demand().get(profile))
        .map(demand -> demand.over(Demand.Per.SERVICE, profile.profile()).portions())
        .orElse(0);
  }
}
