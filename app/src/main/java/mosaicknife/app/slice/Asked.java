package mosaicknife.app.slice;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mosaicknife.app.shared.Formats;
import mosaicknife.app.shared.Refusal;
import mosaicknife.app.shared.Typed;
import mosaicknife.core.lot.Lot;
import mosaicknife.core.lot.LotSheet;
import mosaicknife.core.lot.OnBoard;
import mosaicknife.core.portion.Serving;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.MassText;
import mosaicknife.core.quantity.Money;
import mosaicknife.core.slice.PinBoneCut;
import mosaicknife.core.slice.PortionType;
import mosaicknife.core.slice.Slicer;
import mosaicknife.core.slice.Style;

/**
 * What is asked of the fillets of a lot: as typed, or as the dish has it.
 *
 * @param serving what the first kind of portion is
 * @param types what is cut, the first kind first
 * @param bones what is done about pin bones
 * @param boneless how many portions without bones are wanted
 * @param length how long the chosen fillet is, if somebody measured it
 * @param priced whether somebody said what portions are worth
 * @param isOfDish whether nothing but what the dish wants is asked
 */
record Asked(
    Serving serving,
    List<PortionType> types,
    PinBoneCut.Way bones,
    int boneless,
    Optional<Double> length,
    boolean priced,
    boolean isOfDish) {

  private static final BigDecimal MOST_THICK = BigDecimal.valueOf(200);
  private static final BigDecimal LEAST_LENGTH = BigDecimal.ONE;
  private static final BigDecimal MOST_LENGTH = BigDecimal.valueOf(300);
  private static final BigDecimal MOST_TOLERANCE = BigDecimal.valueOf(30);
  private static final BigDecimal MOST_WORTH = BigDecimal.valueOf(100_000);
  private static final int HUNDRED = 100;

  /** So many kinds of portion are asked for on the page. */
  static final int KINDS = 3;

  /** What the dish of a cut asks. */
  static Asked ofDish(Serving dish, OnBoard piece, Formats formats) {
    return new Asked(
        dish,
        List.of(
            worth(
                PortionType.of(formats.mass(dish.target()), dish, piece.eaten()),
                Optional.empty())),
        PinBoneCut.Way.LEFT_IN,
        0,
        Optional.empty(),
        false,
        true);
  }

  /** Reads what was typed; what was not is the dish's. */
  static Asked of(
      Map<String, String> typed, Serving dish, OnBoard piece, LotSheet sheet, Formats formats) {
    String tolerance = text(typed, "tolerance");
    double share =
        tolerance.isEmpty()
            ? dish.tolerance()
            : Typed.percent(tolerance, BigDecimal.ZERO, MOST_TOLERANCE, "tolerance").doubleValue()
                / HUNDRED;
    String thick = text(typed, "thick");
    double millimetres =
        thick.isEmpty()
            ? 0
            : Typed.decimal(thick, 1, BigDecimal.ZERO, MOST_THICK, "thick").doubleValue();
    Style style = Typed.choice(Style.values(), text(typed, "style")).orElse(Style.STRAIGHT);
    if (style == Style.BLOCK && sheet.plan().squares()) {
      // it was weighed when its edges were off already
      style = Style.STRAIGHT;
    }
    boolean boneless = typed.containsKey("boneless");
    if (boneless && style == Style.STEAK) {
      throw Refusal.ofField("style", "slice.problem.a-steak-has-its-bone");
    }
    List<PortionType> types = new ArrayList<>();
    Serving first = dish;
    boolean priced = false;
    for (int kind = 1; kind <= KINDS; kind++) {
      String weight = text(typed, kind == 1 ? "portion" : "portion" + kind);
      if (kind == 1 || !weight.isEmpty()) {
        Serving serving =
            serving(weight, dish, share, "portion" + (kind == 1 ? "" : kind), formats);
        Optional<Money> worth = worth(text(typed, "worth" + kind), "worth" + kind, formats);
        priced = priced || worth.isPresent();
        types.add(
            worth(
                PortionType.of(formats.mass(serving.target()), serving, millimetres, boneless)
                    .cut(style),
                worth));
        first = kind == 1 ? serving : first;
      }
    }
    String without = text(typed, "without");
    return new Asked(
        first,
        types,
        Typed.choice(PinBoneCut.Way.values(), text(typed, "bones")).orElse(PinBoneCut.Way.LEFT_IN),
        without.isEmpty() ? 0 : Typed.count(without, 0, Slicer.MOST_BONELESS, "without"),
        length(text(typed, "length"), piece, sheet.lot()),
        priced,
        false);
  }

  private static String text(Map<String, String> typed, String name) {
    return typed.getOrDefault(name, "").strip();
  }

  private static Serving serving(
      String weight, Serving dish, double tolerance, String field, Formats formats) {
    // as shown it is the dish's, to the last ounce
    Mass target =
        weight.isEmpty() || weight.equals(formats.mass(dish.target()))
            ? dish.target()
            : MassText.parse(weight, formats.system().small()).mass();
    if (!target.isPositive()) {
      throw Refusal.ofField(field, "slice.problem.no-portion");
    }
    boolean pieces = dish.form() == Serving.Form.PIECES;
    return new Serving(
        pieces ? dish.form() : Serving.Form.SLICES, target, tolerance, dish.count(), false);
  }

  private static Optional<Money> worth(String typed, String field, Formats formats) {
    return typed.isEmpty()
        ? Optional.empty()
        : Optional.of(
            Typed.money(typed, MOST_WORTH, formats.currency(), field)
                .rounded(RoundingMode.HALF_UP));
  }

  /** Where nobody says what it is worth, a portion is worth its grams. */
  private static PortionType worth(PortionType type, Optional<Money> worth) {
    return type.worth(
        worth.map(Money::minorUnits).orElse(Math.max(1, type.target().milligrams() / 1000)));
  }

  private static Optional<Double> length(String typed, OnBoard piece, Lot lot) {
    if (typed.isEmpty()) {
      return Optional.empty();
    }
    double length = Typed.decimal(typed, 1, LEAST_LENGTH, MOST_LENGTH, "length").doubleValue();
    if (!piece.isLength(lot, length)) {
      throw Refusal.ofField("length", "slice.problem.length", typed);
    }
    return Optional.of(length);
  }

  /** The same for another fillet of the lot, whose length nobody measured. */
  Asked elsewhere() {
    return new Asked(serving, types, bones, boneless, Optional.empty(), priced, isOfDish);
  }
}
