package mosaicknife.core.kitchen;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertThrows;
import static org.testng.Assert.assertTrue;

import java.util.List;
import java.util.Map;
import java.util.Set;
import mosaicknife.core.anatomy.Catalogue;
import mosaicknife.core.anatomy.Eating.Texture;
import mosaicknife.core.anatomy.Species;
import mosaicknife.core.kitchen.Marinade.Standing;
import mosaicknife.core.kitchen.Marinade.Vessel;
import mosaicknife.core.kitchen.Marinade.Window;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.safety.Allergen;
import org.testng.annotations.Test;

/** Marinades: how much, and how long, worked by hand. */
public class MarinadeTest {

  private static final Map<String, Marinade> ALL = Marinade.shipped();
  private static final Marinade MISO = ALL.get("miso-sake");
  private static final Marinade CITRUS = ALL.get("citrus-oil");

  @Test
  public void timeGrowsWithTheSquareOfTheThickness() {
    // 20 mm of flaky flesh four hours; half as thick a quarter of it, 35 mm (35/20)² of it
    assertEquals(MISO.window(20, Texture.FLAKY).ready(), 240);
    assertEquals(MISO.window(10, Texture.FLAKY).ready(), 60);
    assertEquals(MISO.window(35, Texture.FLAKY).ready(), 735);
    assertEquals(MISO.window(20, Texture.MEATY).ready(), 310, "240 × 1.3 to five minutes");
    assertEquals(MISO.window(2, Texture.SOFT).ready(), 20, "never under twenty minutes");
    assertThrows(IllegalArgumentException.class, () -> MISO.window(0, Texture.SOFT));
    // (55/20)² × 240 × 1.3 = 2360 minutes
    assertTrue(MISO.window(55, Texture.MEATY).isTooThick());
    assertFalse(MISO.window(40, Texture.MEATY).isTooThick());
  }

  @Test
  public void acidIsQuickerAndItsWindowNarrower() {
    Window sour = CITRUS.window(20, Texture.FLAKY);
    assertEquals(sour.ready(), 85, "240 × 0.35 to five minutes");
    assertEquals(sour.best(), 135);
    assertEquals(sour.spoiled(), 205);
    for (Marinade one : ALL.values()) {
      for (int millimetres : List.of(5, 12, 20, 40)) {
        Window window = one.window(millimetres, Texture.FIRM);
        assertTrue(window.ready() <= window.best(), one.code());
        assertTrue(window.best() <= window.spoiled(), one.code());
      }
    }
  }

  @Test
  public void aPieceIsTooShortReadyPastItsBestOrSpoiled() {
    Window window = CITRUS.window(20, Texture.FLAKY);
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
    assertEquals(MISO.allergens(), Set.of(Allergen.FISH, Allergen.SOY, Allergen.SULPHITES));
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
