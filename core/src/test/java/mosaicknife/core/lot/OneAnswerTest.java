package mosaicknife.core.lot;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mosaicknife.core.cost.CostSheet;
import mosaicknife.core.cost.CostingMethod;
import mosaicknife.core.lot.NaiveCount.Lying;
import mosaicknife.core.portion.Eaten;
import mosaicknife.core.portion.Serving.Form;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Fraction;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.slice.PortionType;
import mosaicknife.core.slice.Slicer;
import org.testng.annotations.Test;

/** However a lot is cut, every station counts the plates a pencil counts, and the same money. */
public class OneAnswerTest {

  private static final int LOTS = 500;

  @Test
  public void everyStationCountsThePlatesAPencilCounts() {
    Map<Form, Integer> seen = new EnumMap<>(Form.class);
    for (long seed = 1; seed <= LOTS; seed++) {
      RandomBoard one = new RandomBoard(seed);
      if (!one.isUndecided()) {
        check("seed " + seed, one);
        seen.merge(one.serving().form(), 1, Integer::sum);
      }
    }
    for (Form form : Form.values()) {
      assertTrue(seen.getOrDefault(form, 0) > 50, form + " was cut " + seen.get(form) + " times");
    }
  }

  static void check(String lot, RandomBoard one) {
    LotSheet sheet = one.sheet();
    long plates = one.naive().plates(one.board());
    String at = lot + " " + one.serving() + " of " + one.board();
    assertEquals(sheet.portions().count(), plates, "Cost, Today and the API: " + at);
    assertEquals(
        sheet.plates().count(OnBoard.of(sheet)).count(), plates, "Slice, nothing to come: " + at);
    assertEquals(
        sheet.plates().byDish().stream().mapToLong(dish -> dish.portions().count()).sum(),
        plates,
        "dish by dish: " + at);
    Mass eaten = Mass.total(OnBoard.of(sheet).stream().map(piece -> piece.eaten().mass()).toList());
    double grams = one.board().stream().mapToDouble(piece -> piece.grams().doubleValue()).sum();
    assertEquals(
        eaten.milligrams() / 1000.0, grams, 0.001 * (10 + one.board().size()), "grams: " + at);
    money(sheet, plates, eaten, at);
    if (one.serving().form() == Form.SLICES) {
      sliced(one, sheet, at);
    }
  }

  private static void money(LotSheet sheet, long plates, Mass eaten, String at) {
    Optional<CostSheet> costs = sheet.costs(CostingMethod.ALL_ON_THE_MAINS);
    assertEquals(costs.map(CostSheet::mains), Optional.of(eaten), at);
    ExactMoney all = sheet.lot().cost().orElseThrow().total();
    assertEquals(
        costs.orElseThrow().portionByCount(),
        plates == 0 ? Optional.empty() : Optional.of(all.dividedBy(plates)),
        at);
    if (plates > 0) {
      ExactMoney work = ExactMoney.zero(TestLot.EUR);
      assertEquals(sheet.plate(work).orElseThrow().total(), all.dividedBy(plates), at);
      sheet
          .contender(work)
          .ifPresent(
              contender -> {
                assertEquals(contender.plates(sheet.portions().serving()), plates, "Compare " + at);
                assertEquals(
                    contender.cost().multipliedBy(Fraction.ONE).amount().stripTrailingZeros(),
                    all.amount().stripTrailingZeros(),
                    at);
              });
    }
  }

  /** Where the knife goes there are as many portions as were counted. */
  private static void sliced(RandomBoard one, LotSheet sheet, String at) {
    List<Lying> main = one.board().stream().filter(piece -> piece.how() == 'm').toList();
    List<OnBoard> drawn =
        OnBoard.toSlice(sheet).stream()
            .filter(piece -> piece.eaten().cut() == Eaten.Cut.MAIN)
            .toList();
    assertEquals(drawn.size(), main.size(), at);
    // one of each lot: a fillet is cut gram by gram, and that takes its time
    for (OnBoard piece : drawn.subList(0, Math.min(1, drawn.size()))) {
      piece
          .shape(sheet.lot(), Optional.empty())
          .ifPresent(
              fillet -> {
                PortionType type = PortionType.of("dish", one.serving(), piece.eaten());
                assertEquals(
                    Slicer.best(fillet, List.of(type), 0).portions().size(),
                    one.serving().served(piece.eaten()),
                    "Slice of " + piece.key() + ": " + at);
              });
    }
  }
}
