package mosaicknife.core.lot;

import static mosaicknife.core.lot.TestLot.EUR;
import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.math.RoundingMode;
import java.util.List;
import java.util.Optional;
import mosaicknife.core.anatomy.Catalogue;
import mosaicknife.core.anatomy.Purpose;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.cost.Contender;
import mosaicknife.core.plan.Choices;
import mosaicknife.core.portion.Serving;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Mass;
import org.testng.annotations.Test;

/** Freight, fish beside each other, what a row of portions says, and a better way to cut. */
public class PlateCostsTest {

  private static final ExactMoney HOUR = ExactMoney.of("18", EUR);

  /** A gutted hake of 4.860 kg at 10.00 with fillets of 1310 and 1300 g. */
  private static TestLot hake() {
    return new TestLot("hake", State.GUTTED, 1, "4.860", "")
        .weigh("fillet-left", 1, 1310)
        .weigh("fillet-right", 1, 1300);
  }

  private static String two(ExactMoney money) {
    return money.amount().setScale(2, RoundingMode.HALF_UP).toPlainString();
  }

  @Test
  public void freightIsPartOfWhatTheLotCost() {
    // 48.60 and 0.50 on each of 4.860 kg
    LotSheet sheet =
        hake().freight("0.50").decide(Purpose.PLATE, "fillet-left", "fillet-right").sheet();
    assertEquals(two(sheet.lot().cost().orElseThrow().extras()), "2.43");
    assertEquals(two(sheet.lot().cost().orElseThrow().total()), "51.03");
    Contender contender = sheet.contender(HOUR).orElseThrow();
    assertEquals(two(contender.paid()), "51.03");
    assertEquals(contender.plates(Serving.slices(Mass.ofGrams(180))), 14);
  }

  @Test
  public void ofALotWithACutThatIsKeptTonightsPartOfTheFishIsCompared() {
    LotSheet all = hake().decide(Purpose.PLATE, "fillet-left", "fillet-right").sheet();
    LotSheet half =
        hake().decide(Purpose.PLATE, "fillet-left").decide(Purpose.HOLD, "fillet-right").sheet();
    Contender tonight = half.contender(HOUR).orElseThrow();
    // 1310 of 2610 g of the mains: as much of the purchase and of its cost
    assertEquals(tonight.purchased(), Mass.ofMilligrams(2_439_310));
    assertEquals(two(tonight.price().perKilogram()), "10.00");
    assertEquals(
        tonight.share().toDouble(), all.contender(HOUR).orElseThrow().share().toDouble(), 1e-6);
    assertEquals(
        new TestLot("hake", State.GUTTED, 1, "4.860", "").sheet().contender(HOUR),
        Optional.empty());
  }

  @Test
  public void aRowOfPortionsIsHeldAgainstItsDish() {
    Serving dish = new Serving(Serving.Form.PIECES, Mass.ofGrams(180), 0.05, 2, false);
    LotSheet sheet =
        hake()
            .portioned("fillet-left")
            .dish("fillet-left", "Hake, two pieces", dish)
            .weigh("portion-of-fillet-left", 1, 1, 92)
            .weigh("portion-of-fillet-left", 1, 2, 95)
            .sheet();
    List<PortionRow> rows = PortionRow.of(List.of(sheet));
    assertEquals(rows.size(), 1);
    assertEquals(rows.get(0).to().name(), "Hake, two pieces");
    assertEquals(rows.get(0).weighed().serving().target(), Mass.ofGrams(90), "one of two pieces");
    assertEquals(rows.get(0).weighed().masses(), List.of(Mass.ofGrams(92), Mass.ofGrams(95)));
    assertEquals(PortionRow.of(List.of(hake().sheet())), List.of());
  }

  @Test
  public void aBetterCutIsCheaperAndServesTheSame() {
    LotSheet sheet =
        new TestLot("turbot", State.GUTTED, 1, "3.400", "").cutBy(Choices.USUAL).sheet();
    BetterCut better = BetterCut.of(sheet, Catalogue.shipped(), HOUR).orElseThrow();
    assertTrue(better.factor().toDouble() < 1, "" + better.factor());
    assertEquals(
        better.choice().traits(),
        sheet.plan().choices().in(better.option()).traits(),
        "skin and bones are as before");
  }
}
