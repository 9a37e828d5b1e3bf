package mosaicknife.core.portion;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertThrows;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import mosaicknife.core.portion.Serving.Form;
import mosaicknife.core.quantity.Mass;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** What cooks call a portion, counted by hand. */
public class ServingTest {

  private static List<Mass> grams(long... grams) {
    return Arrays.stream(grams).mapToObj(Mass::ofGrams).toList();
  }

  /** Each list is one cut, fish by fish. */
  private static List<Eaten> eaten(List<List<Mass>> cuts, Eaten.Cut how) {
    List<Eaten> all = new ArrayList<>();
    for (List<Mass> cut : cuts) {
      for (int fish = 0; fish < cut.size(); fish++) {
        all.add(new Eaten(fish + 1, cut.get(fish), Mass.ofGrams(1), how));
      }
    }
    return all;
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
      // a whole main cut is a piece: 108 g is 60 % of 180 g and served, 107 g is asked about
      {of(Form.PIECES, 180, 0.05, 1, false), List.of(grams(141), grams(139)), 2},
      {of(Form.PIECES, 180, 0.05, 1, false), List.of(grams(108, 107), grams(169, 400)), 3},
      {of(Form.PIECES, 180, 0.05, 2, false), List.of(grams(90, 84, 96), grams(91, 88, 50)), 2},
      // mince and scrapings know no piece
      {of(Form.BY_WEIGHT, 150, 0, 1, false), List.of(grams(110, 120), grams(112, 118)), 3},
      // a fish of 1.250 kg with 500 g to eat feeds two guests at 230 g, a small one still one
      {of(Form.SHARED, 230, 0, 1, false), List.of(grams(500)), 2},
      {of(Form.SHARED, 230, 0, 1, false), List.of(grams(250, 150), grams(250, 60)), 3},
      // nobody gets less than four fifths: 345 g are one and a half, and one; 368 g are two
      {of(Form.SHARED, 230, 0, 1, false), List.of(grams(345)), 1},
      {of(Form.SHARED, 230, 0, 1, false), List.of(grams(368)), 2},
      {of(Form.SHARED, 230, 0, 1, false), List.of(grams(552)), 2},
      {of(Form.SHARED, 230, 0, 1, false), List.of(grams(575)), 3},
      // two sides of 19.8 % of a fish of 520 g, 560 g, 600 g, 1.4 kg
      {of(Form.SLICES, 150, 0, 1, false), List.of(grams(103), grams(111), grams(119)), 0},
      {of(Form.SLICES, 150, 0, 1, false), List.of(grams(277), grams(277)), 2},
      // half a step of the scale more or less is no portion less, and two steps are
      {of(Form.SLICES, 180, 0, 1, false), List.of(grams(360), grams(359)), 3},
      {of(Form.BY_WEIGHT, 180, 0, 1, false), List.of(grams(180), grams(179)), 1},
      {of(Form.FISH, 120, 0, 3, false), List.of(Collections.nCopies(46, Mass.ofGrams(40))), 15},
      {of(Form.FISH, 120, 0, 1, false), List.of(grams(60, 60), grams(60, 60)), 2},
      {of(Form.SHARED, 230, 0, 1, false), List.of(), 0},
    };
  }

  @Test(dataProvider = "plates")
  public void platesAreCountedAsTheDishServesThem(
      Serving serving, List<List<Mass>> cuts, long plates) {
    assertEquals(serving.plates(eaten(cuts, Eaten.Cut.MAIN)), plates);
  }

  @Test
  public void ouncesOfAPoundAreCountedExactly() {
    // 1.25 lb = 566.9904625 g; 5 oz = 141.747615625 g, both kept to the milligram
    Serving serving = Serving.slices(Mass.ofMilligrams(141_748));
    assertEquals(serving.plates(List.of(Eaten.of(1, Mass.ofMilligrams(566_990)))), 4);
    assertEquals(serving.plates(List.of(Eaten.of(1, Mass.ofMilligrams(566_900)))), 3);
  }

  @DataProvider
  public Object[][] readings() {
    // portions typed in ounces, against fillets read on a scale: mass mg, step mg, ounces mg
    return new Object[][] {
      {337_000, 1000, 170_097, 1},
      {836_000, 1000, 141_748, 5},
      // twenty of an ounce are 566.990 g: 567 g on a dial, 20.0 oz on another, 566 g not
      {567_000, 1000, 28_350, 20},
      {566_990, 2835, 28_350, 20},
      {566_000, 1000, 28_350, 19},
      {566_600, 1000, 28_350, 20},
    };
  }

  @Test(dataProvider = "readings")
  public void ouncesAreComparedAtTheReadingOnceForTheTotal(
      long mass, long step, long portion, long plates) {
    Eaten piece = new Eaten(1, Mass.ofMilligrams(mass), Mass.ofMilligrams(step), Eaten.Cut.MAIN);
    assertEquals(Serving.slices(Mass.ofMilligrams(portion)).served(piece), plates);
  }

  @Test
  public void aPieceOfACutKeepsItsLimitsAndAPortionThatWasCutIsOne() {
    Serving pieces = of(Form.PIECES, 180, 0.05, 1, false);
    List<List<Mass>> light = List.of(grams(141), grams(171));
    assertEquals(pieces.plates(eaten(light, Eaten.Cut.MAIN)), 2);
    assertEquals(pieces.plates(eaten(light, Eaten.Cut.PIECE)), 1);
    Eaten main = Eaten.of(1, Mass.ofGrams(141));
    assertEquals(pieces.weightOf(main), Serving.Weight.LIGHT);
    assertEquals(pieces.weightOf(Eaten.of(1, Mass.ofGrams(100))), Serving.Weight.ASKED);
    assertEquals(pieces.weightOf(Eaten.of(1, Mass.ofGrams(172))), Serving.Weight.RIGHT);
    List<List<Mass>> cut = List.of(grams(150, 400));
    assertEquals(of(Form.SLICES, 180, 0, 1, false).plates(eaten(cut, Eaten.Cut.PORTION)), 2);
    assertEquals(of(Form.PIECES, 180, 0, 2, false).plates(eaten(cut, Eaten.Cut.PORTION)), 1);
  }

  @Test
  public void twoGramsShortOfAnotherPlateAreSaid() {
    Serving dish = Serving.slices(Mass.ofGrams(180));
    // 358 g: one portion, and two of 179 g; 2 % of 180 g are 3.6 g
    Serving.Near near = dish.near(Eaten.of(1, Mass.ofGrams(358))).orElseThrow();
    assertEquals(near, new Serving.Near(Mass.ofGrams(2), 2, Mass.ofGrams(179)));
    assertEquals(dish.near(Eaten.of(1, Mass.ofGrams(356))), Optional.empty());
    assertEquals(dish.near(Eaten.of(1, Mass.ofGrams(360))), Optional.empty(), "it has them");
    assertEquals(
        of(Form.PIECES, 180, 0, 1, false).near(Eaten.of(1, Mass.ofGrams(179))), Optional.empty());
  }

  @DataProvider
  public Object[][] over() {
    return new Object[][] {
      {of(Form.SLICES, 165, 0, 1, false), grams(790), 130},
      {of(Form.SLICES, 165, 0.05, 1, false), grams(790), 0},
      {of(Form.SLICES, 180, 0, 1, false), grams(110), 110},
      {of(Form.SLICES, 180, 0, 1, true), grams(110), 0},
      // what is above the heaviest plate, and a piece nobody serves unasked
      {of(Form.PIECES, 180, 0.1, 1, false), grams(165, 190, 150, 210), 12},
      {of(Form.PIECES, 180, 0.1, 1, false), grams(165, 107), 107},
      {of(Form.SLICES, 180, 0.1, 1, false), grams(165, 190, 198), 0},
      {of(Form.BY_WEIGHT, 180, 0, 1, false), grams(110), 0},
      {of(Form.SHARED, 230, 0, 1, false), grams(500), 0},
    };
  }

  @Test(dataProvider = "over")
  public void whatDoesNotGoOnAPlateIsOver(Serving serving, List<Mass> pieces, long over) {
    List<Eaten> eaten = eaten(List.of(pieces), Eaten.Cut.MAIN);
    assertEquals(Mass.total(eaten.stream().map(serving::over).toList()), Mass.ofGrams(over));
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
