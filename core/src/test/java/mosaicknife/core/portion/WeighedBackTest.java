package mosaicknife.core.portion;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertThrows;

import java.util.Arrays;
import java.util.Currency;
import java.util.List;
import java.util.Optional;
import mosaicknife.core.portion.WeighedBack.Advice;
import mosaicknife.core.quantity.Fraction;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.UnitPrice;
import org.testng.annotations.Test;

/** What is said of portions that were weighed, and when nothing is. */
public class WeighedBackTest {

  private static final Currency EUR = Currency.getInstance("EUR");

  private static final Serving DISH =
      new Serving(Serving.Form.SLICES, Mass.ofGrams(180), 0.05, 1, false);

  private static WeighedBack of(Integer... grams) {
    return new WeighedBack(DISH, Arrays.stream(grams).map(Mass::ofGrams).toList());
  }

  @Test
  public void meanSpreadShareAndGiveaway() {
    WeighedBack eight = of(184, 190, 188, 179, 192, 186, 185, 190);
    // 1494 / 8; squares of the deviations from 186.75: 121.5; / 7
    assertEquals(eight.mean(), Mass.ofMilligrams(186_750));
    assertEquals(eight.spread(), Math.sqrt(121.5 / 7), 0.001);
    assertEquals(eight.within(), Fraction.of(5, 8), "171 to 189 g");
    assertEquals(eight.giveaway(), Mass.ofMilligrams(6750));
    // 6.75 g at 21.20 a kilogram on 200 plates
    assertEquals(
        eight.giveaway(UnitPrice.ofPerKilogram("21.20", EUR), 200).amount().toPlainString(),
        "28.62");
    assertEquals(eight.advice(), Optional.of(Advice.CUT_LIGHTER));
  }

  @Test
  public void nothingIsSaidOfFewNorOfWhatIsRight() {
    assertEquals(of(200, 201, 199, 205, 200).advice(), Optional.empty(), "five");
    assertEquals(of(178, 181, 183, 179, 180, 182, 177, 181).advice(), Optional.empty());
    assertEquals(of(181, 181, 181, 181, 181, 181).advice(), Optional.empty(), "a gram is nothing");
    assertEquals(of(180).spread(), 0.0);
  }

  @Test
  public void lightAndUneven() {
    assertEquals(of(170, 172, 168, 171, 173, 169).advice(), Optional.of(Advice.CUT_HEAVIER));
    assertEquals(of(150, 210, 160, 200, 155, 205).advice(), Optional.of(Advice.CUT_MORE_EVENLY));
  }

  @Test
  public void aPortionWeighsSomething() {
    assertThrows(IllegalArgumentException.class, () -> of(0));
    assertThrows(IllegalArgumentException.class, () -> new WeighedBack(DISH, List.of()));
  }
}
