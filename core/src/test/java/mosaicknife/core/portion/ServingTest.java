package mosaicknife.core.portion;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertThrows;

import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import mosaicknife.core.portion.Serving.Form;
import mosaicknife.core.quantity.Mass;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** What cooks call a portion, counted by hand. */
public class ServingTest {

  private static List<Mass> grams(long... grams) {
    return Arrays.stream(grams).mapToObj(Mass::ofGrams).toList();
  }

  private static Serving of(Form form, long target, double tolerance, int count, boolean filled) {
    return new Serving(form, Mass.ofGrams(target), tolerance, count, filled);
  }

  @DataProvider
  public Object[][] plates() {
    return new Object[][] {
      // two fillets of 790 g: four of 165 g each, five of each if a little less will do
      {of(Form.SLICES, 165, 0, 1, false), List.of(grams(790), grams(790)), 8},
      {of(Form.SLICES, 165, 0.05, 1, false), List.of(grams(790), grams(790)), 10},
      // a fillet lighter than a portion is none, unless the dish fills it up: two make a plate
      {of(Form.SLICES, 180, 0.05, 1, false), List.of(grams(110, 120), grams(112, 118)), 0},
      {of(Form.SLICES, 180, 0.05, 1, true), List.of(grams(110, 120), grams(112, 118)), 2},
      {of(Form.SLICES, 180, 0.05, 1, true), List.of(grams(110, 400)), 2},
      // eight fillets of 165 to 190 g for a dish that takes 160 to 200 g
      {
        of(Form.PIECES, 180, 0.112, 1, false),
        List.of(grams(165, 170, 188, 190), grams(166, 172, 175, 189)),
        8
      },
      {of(Form.PIECES, 180, 0.05, 1, false), List.of(grams(170, 171), grams(169, 400)), 2},
      {of(Form.PIECES, 180, 0.05, 2, false), List.of(grams(90, 84, 96), grams(91, 88, 120)), 2},
      // mince and scrapings know no piece
      {of(Form.BY_WEIGHT, 150, 0, 1, false), List.of(grams(110, 120), grams(112, 118)), 3},
      // a fish of 1.250 kg with 500 g to eat feeds two guests at 230 g, a small one still one
      {of(Form.SHARED, 230, 0, 1, false), List.of(grams(500)), 2},
      {of(Form.SHARED, 230, 0, 1, false), List.of(grams(250, 150), grams(250, 60)), 3},
      {of(Form.FISH, 120, 0, 3, false), List.of(Collections.nCopies(46, Mass.ofGrams(40))), 15},
      {of(Form.FISH, 120, 0, 1, false), List.of(grams(60, 60), grams(60, 60)), 2},
      {of(Form.SHARED, 230, 0, 1, false), List.of(), 0},
    };
  }

  @Test(dataProvider = "plates")
  public void platesAreCountedAsTheDishServesThem(
      Serving serving, List<List<Mass>> cuts, long plates) {
    assertEquals(serving.plates(cuts), plates);
  }

  @Test
  public void ouncesOfAPoundAreCountedExactly() {
    // 1.25 lb = 566.9904625 g; 5 oz = 141.747615625 g, both kept to the milligram
    Serving serving = Serving.slices(Mass.ofMilligrams(141_748));
    assertEquals(serving.plates(List.of(List.of(Mass.ofMilligrams(566_990)))), 4);
    assertEquals(serving.plates(List.of(List.of(Mass.ofMilligrams(566_900)))), 3);
  }

  @DataProvider
  public Object[][] over() {
    return new Object[][] {
      {of(Form.SLICES, 165, 0, 1, false), grams(790), 130},
      {of(Form.SLICES, 165, 0.05, 1, false), grams(790), 0},
      {of(Form.SLICES, 180, 0, 1, false), grams(110), 110},
      {of(Form.SLICES, 180, 0, 1, true), grams(110), 0},
      {of(Form.PIECES, 180, 0.1, 1, false), grams(165, 190, 150, 210), 150 + 12},
      {of(Form.BY_WEIGHT, 180, 0, 1, false), grams(110), 0},
      {of(Form.SHARED, 230, 0, 1, false), grams(500), 0},
    };
  }

  @Test(dataProvider = "over")
  public void whatDoesNotGoOnAPlateIsOver(Serving serving, List<Mass> pieces, long over) {
    assertEquals(serving.over(pieces), Mass.ofGrams(over));
  }

  @Test
  public void onlyFormsThatCountKeepACountAndOnlySlicesAreFilledUp() {
    assertEquals(of(Form.SLICES, 180, 0, 7, false).count(), 1);
    assertEquals(of(Form.FISH, 180, 0, 7, true), of(Form.FISH, 180, 0, 7, false));
    assertThrows(IllegalArgumentException.class, () -> of(Form.FISH, 180, 0, 0, false));
    assertThrows(IllegalArgumentException.class, () -> of(Form.SLICES, 180, 0.31, 1, false));
    assertThrows(IllegalArgumentException.class, () -> of(Form.SLICES, 0, 0, 1, false));
    assertEquals(of(Form.SLICES, 180, 0.05, 1, false).lightest(), Mass.ofGrams(171));
    assertEquals(of(Form.SLICES, 180, 0.05, 1, false).heaviest(), Mass.ofGrams(189));
  }
}
