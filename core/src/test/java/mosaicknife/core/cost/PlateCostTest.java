package mosaicknife.core.cost;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.expectThrows;

import java.util.Currency;
import java.util.List;
import java.util.Map;
import mosaicknife.core.cost.PlateCost.Line;
import mosaicknife.core.quantity.ExactMoney;
import org.testng.annotations.Test;

public class PlateCostTest {

  private static ExactMoney euros(String amount) {
    return ExactMoney.of(amount, Currency.getInstance("EUR"));
  }

  @Test
  public void aPlateIsItsLinesAndKnowsWhatIsLeftOut() {
    PlateCost plate = PlateCost.of(euros("3.96"), euros("0.60"));
    assertEquals(plate.total(), euros("4.56"));
    assertEquals(plate.leftOut(), List.of(Line.BY_PRODUCTS, Line.EXTRAS));
    PlateCost more = plate.with(Line.BY_PRODUCTS, euros("-0.44"));
    assertEquals(more.total(), euros("4.12"));
    assertEquals(more.leftOut(), List.of(Line.EXTRAS));
    assertEquals(plate.lines().size(), 2, "the plate before is as it was");
  }

  @Test
  public void aPlateWithoutFishOrWithByProductsThatCostIsRefused() {
    expectThrows(
        IllegalArgumentException.class, () -> new PlateCost(Map.of(Line.LABOUR, euros("1"))));
    PlateCost plate = PlateCost.of(euros("3"), euros("0"));
    expectThrows(IllegalArgumentException.class, () -> plate.with(Line.BY_PRODUCTS, euros("0.01")));
  }
}
