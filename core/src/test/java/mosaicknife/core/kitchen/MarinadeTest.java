package mosaicknife.core.kitchen;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertThrows;
import static org.testng.Assert.assertTrue;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import mosaicknife.core.anatomy.Catalogue;
import mosaicknife.core.anatomy.Eating;
import mosaicknife.core.anatomy.Eating.Texture;
import mosaicknife.core.anatomy.Species;
import mosaicknife.core.kitchen.Marinade.Grams;
import mosaicknife.core.kitchen.Marinade.Standing;
import mosaicknife.core.kitchen.Marinade.Vessel;
import mosaicknife.core.kitchen.Marinade.Window;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.safety.Allergen;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Marinades: how much, and how long, worked by hand. */
public class MarinadeTest {

  private static final Map<String, Marinade> ALL = Marinade.shipped();
  private static final Marinade MISO = ALL.get("miso-sake");
  private static final Marinade CITRUS = ALL.get("citrus-oil");

  private static Eating eating(Texture texture, Eating.Flesh flesh) {
    Eating cod = Catalogue.shipped().getSpecies("cod").eating();
    return new Eating(
        flesh,
        texture,
        cod.flavour(),
        cod.skin(),
        cod.scales(),
        cod.pinBonesTo(),
        cod.headFrom(),
        cod.skinShare());
  }

  private static Eating white(Texture texture) {
    return eating(texture, Eating.Flesh.WHITE);
  }

  @Test
  public void aWetOneGoesInAsTheSquareOfTheThickness() {
    Marinade wet =
        new Marinade(
            "wet",
            "Wet",
            Marinade.Kind.MARINADE,
            Marinade.Acid.NONE,
            MISO.parts(),
            MISO.grams(),
            false,
            Optional.empty());
    // 20 mm of flaky flesh four hours; half as thick a quarter of it, 35 mm (35/20)² of it
    assertEquals(wet.window(20, white(Texture.FLAKY)).ready(), 240);
    assertEquals(wet.window(10, white(Texture.FLAKY)).ready(), 60);
    assertEquals(wet.window(35, white(Texture.FLAKY)).ready(), 735);
    assertEquals(wet.window(20, white(Texture.MEATY)).ready(), 310, "240 × 1.3 to five minutes");
    assertEquals(wet.window(2, white(Texture.SOFT)).ready(), 20, "never under twenty minutes");
    assertThrows(IllegalArgumentException.class, () -> wet.window(0, white(Texture.SOFT)));
    // (55/20)² × 240 × 1.3 = 2360 minutes
    assertTrue(wet.isTooThick(wet.window(55, white(Texture.MEATY))));
    assertFalse(wet.isTooThick(wet.window(40, white(Texture.MEATY))));
  }

  /** What is taught: which, millimetres, flesh, at least and at most so many hours. */
  @DataProvider
  public Object[][] days() {
    return new Object[][] {
      {"miso-sake", 15, Eating.Flesh.WHITE, 8, 24},
      {"miso-sake", 25, Eating.Flesh.WHITE, 18, 48},
      {"miso-sake", 40, Eating.Flesh.OILY, 48, 96},
      {"dry-cure", 20, Eating.Flesh.WHITE, 8, 24},
      {"dry-cure", 35, Eating.Flesh.OILY, 24, 72},
      {"dry-cure", 50, Eating.Flesh.OILY, 36, 96},
      {"citrus-oil", 20, Eating.Flesh.WHITE, 0.5, 2},
      {"sour-cure", 10, Eating.Flesh.WHITE, 0.2, 1},
      {"soy-ginger", 25, Eating.Flesh.OILY, 2, 8},
    };
  }

  @Test(dataProvider = "days")
  public void pastesAndDryCuresTakeDaysForAThickOilyPiece(
      String code, int millimetres, Eating.Flesh flesh, double least, double most) {
    Window window = ALL.get(code).window(millimetres, eating(Texture.FIRM, flesh));
    double hours = window.ready() / 60.0;
    assertTrue(hours >= least && hours <= most, code + ": " + hours + " h");
    assertFalse(ALL.get(code).isTooThick(window));
  }

  @Test
  public void moreSaltOnTheFishCuresItSooner() {
    Marinade dry = ALL.get("dry-cure");
    Marinade twice =
        new Marinade(
            "d",
            "D",
            dry.kind(),
            dry.acid(),
            dry.parts(),
            new Grams(2 * dry.grams().bag(), dry.grams().tray()),
            true,
            Optional.empty());
    Eating flaky = white(Texture.FLAKY);
    // half the square root of two: 720 to 509
    assertEquals(dry.window(20, flaky).ready(), 720);
    assertEquals(twice.window(20, flaky).ready(), 510);
  }

  @Test
  public void theHousesOwnTimesGoBeforeTheEstimateAndGrowWithTheThickness() {
    Marinade own =
        new Marinade(
            "o",
            "O",
            Marinade.Kind.MARINADE,
            Marinade.Acid.NONE,
            MISO.parts(),
            MISO.grams(),
            false,
            Optional.of(new Window(120, 300, 480)));
    // half as thick a quarter of it; the estimate stays four hours and its factors 2.2 and 4
    assertEquals(own.window(20, white(Texture.FLAKY)), new Window(120, 300, 480));
    assertEquals(own.window(10, white(Texture.FLAKY)), new Window(30, 75, 120));
    assertEquals(own.estimate(20, white(Texture.FLAKY)), new Window(240, 530, 960));
    assertEquals(Marinade.read(own.write()), own);
    for (Window wrong : List.of(new Window(0, 1, 2), new Window(3, 2, 4), new Window(1, 3, 2))) {
      assertFalse(wrong.isInOrder(), wrong.toString());
    }
    assertTrue(new Window(60, 60, 43_200).isInOrder());
    assertFalse(new Window(60, 60, 43_201).isInOrder(), "more than thirty days");
    assertEquals(Marinade.read("o;O;MARINADE;NONE;salt/1/NONE;180;320;").own(), Optional.empty());
  }

  @Test
  public void acidIsQuickerAndItsWindowNarrower() {
    Window sour = CITRUS.window(20, white(Texture.FLAKY));
    assertEquals(sour.ready(), 85, "240 × 0.35 to five minutes");
    assertEquals(sour.best(), 135);
    assertEquals(sour.spoiled(), 205);
    for (Marinade one : ALL.values()) {
      for (int millimetres : List.of(5, 12, 20, 40)) {
        Window window = one.window(millimetres, white(Texture.FIRM));
        assertTrue(window.ready() <= window.best(), one.code());
        assertTrue(window.best() <= window.spoiled(), one.code());
      }
    }
  }

  @Test
  public void aPieceIsTooShortReadyPastItsBestOrSpoiled() {
    Window window = CITRUS.window(20, white(Texture.FLAKY));
    assertEquals(Marinade.standing(window, 84), Standing.TOO_SHORT);
    assertEquals(Marinade.standing(window, 85), Standing.READY);
    assertEquals(Marinade.standing(window, 136), Standing.PAST_BEST);
    assertEquals(Marinade.standing(window, 206), Standing.SPOILED);
  }

  @Test
  public void partsOfABaseBecomeGrams() {
    // 1.5 kg in a bag at 180 g a kilogram are 270 g: 4 + 2 + 1 parts
    List<Mass> grams = List.copyOf(MISO.amounts(Mass.ofGrams(1500), Vessel.BAG).values());
    assertEquals(grams, List.of(Mass.ofGrams(154), Mass.ofGrams(77), Mass.ofGrams(39)));
    assertTrue(
        Mass.total(MISO.amounts(Mass.ofGrams(1500), Vessel.TRAY).values())
                .compareTo(Mass.total(grams))
            > 0);
    assertEquals(
        MISO.allergens(), Set.of(Allergen.FISH, Allergen.SOY, Allergen.BARLEY, Allergen.SULPHITES));
  }

  @Test
  public void aFilletIsAsThickAsItsFishIsLarge() {
    Species hake = Catalogue.shipped().getSpecies("hake");
    double small = hake.filletMillimetres(Mass.ofGrams(1000));
    double large = hake.filletMillimetres(Mass.ofGrams(8000));
    assertEquals(large / small, 2, 1e-9, "eight times the mass, twice the length");
    assertTrue(small > 10 && small < 40, "" + small);
  }

  @Test
  public void whatLiesAlreadyHasLessLeft() {
    assertEquals(new Marinade.Window(60, 120, 240).after(90), new Marinade.Window(0, 30, 150));
    assertEquals(new Marinade.Window(60, 120, 240).after(300), new Marinade.Window(0, -180, -60));
  }
}
