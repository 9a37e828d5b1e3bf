package mosaicknife.core.portion;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.List;
import java.util.Optional;
import mosaicknife.core.WorkedHake;
import mosaicknife.core.anatomy.Purpose;
import mosaicknife.core.breakdown.Knowledge;
import mosaicknife.core.breakdown.Node;
import mosaicknife.core.quantity.Mass;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class WholePortionsTest {

  @DataProvider
  Object[][] targets() {
    // two fillets of 790 g: nine portions of 165 g fit the total weight, eight fit the fillets
    return new Object[][] {{165, 8}, {158, 10}, {790, 2}, {791, 0}};
  }

  @Test(dataProvider = "targets")
  public void portionsFitInsideEachFillet(int grams, int count) {
    List<Node.Leaf> fillets =
        List.of(
            WorkedHake.leaf("fillet-left", "fillet", "0.790", Purpose.PLATE),
            WorkedHake.leaf("fillet-right", "fillet", "0.790", Purpose.PLATE));
    WholePortions portions = WholePortions.in(fillets, Serving.slices(Mass.ofGrams(grams)));
    assertEquals(portions.count(), count);
    assertEquals(portions.over(), Mass.ofGrams(1580 - (long) count * grams));
    assertFalse(portions.isEstimated());
  }

  @Test
  public void filletsWeighedTogetherAreTakenAsEqualPiecesAndSaySo() {
    Node.Leaf pooled =
        new Node.Leaf(
            "fillet-left",
            "Left fillet",
            WorkedHake.CATALOGUE.findKind("fillet").orElseThrow(),
            Mass.ofGrams(2370),
            Knowledge.MEASURED,
            Optional.of(Purpose.PLATE),
            3);
    WholePortions portions = WholePortions.in(List.of(pooled), Serving.slices(Mass.ofGrams(165)));
    // 2 370 g would hold 14 portions as one piece, but three pieces of 790 g hold 3 × 4
    assertEquals(portions.count(), 12);
    assertTrue(portions.isEstimated());
  }
}
