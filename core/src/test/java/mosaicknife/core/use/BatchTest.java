package mosaicknife.core.use;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertThrows;
import static org.testng.Assert.assertTrue;

import java.math.BigDecimal;
import java.util.Currency;
import java.util.List;
import java.util.Map;
import java.util.Set;
import mosaicknife.core.anatomy.PartClass;
import mosaicknife.core.anatomy.PartKind;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Fraction;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.safety.Allergen;
import org.testng.annotations.Test;

/** Batches and the catalogue of uses, with figures worked by hand. */
public class BatchTest {

  private static final Currency EUR = Currency.getInstance("EUR");

  @Test
  public void fatToAddIsMeatTimesWantedLessOwnOverFatLessWanted() {
    Fraction own = Fraction.of(3, 100);
    Fraction wanted = Fraction.of(12, 100);
    Fraction belly = Fraction.of(70, 100);
    assertEquals(Batch.fat(Mass.ofGrams(1820), own, wanted, belly), Mass.ofGrams(282));
    assertEquals(Batch.fat(Mass.ofGrams(1820), wanted, own, belly), Mass.ZERO, "fat enough");
    assertThrows(
        IllegalArgumentException.class,
        () -> Batch.fat(Mass.ofGrams(1820), own, belly, Fraction.of(35, 100)));
  }

  @Test
  public void theFatOfAMixedBatchIsThatOfAllItsMeat() {
    OnHand.Kind lean = kind("trim", "hake");
    OnHand.Kind oily = kind("trim", "mackerel");
    // 600 g at 1 % and 400 g at 12 % are 5.4 %; to 12 % with fat of 70 %: 66 / 580 of a kilogram
    assertEquals(
        UseCatalogue.fatToAdd(
            Map.of(lean, Mass.ofGrams(600), oily, Mass.ofGrams(400)), Fraction.of(12, 100)),
        Mass.ofGrams(114));
    assertEquals(
        UseCatalogue.fatToAdd(Map.of(oily, Mass.ofGrams(400)), Fraction.of(12, 100)), Mass.ZERO);
  }

  private static OnHand.Kind kind(String kind, String species) {
    return new OnHand.Kind(
        Kitchen.CATALOGUE.findKind(kind).orElseThrow(), Kitchen.CATALOGUE.getSpecies(species));
  }

  @Test
  public void aBatchScalesBothWays() {
    // patties: 8 % crumbs, 5 % egg, 2 % herbs, 1.2 % salt, 2 % lost: 1.162 × 0.98 = 1.13876
    FishUse patties = Kitchen.shipped("patties");
    Batch batch = new Batch(patties, Mass.ofGrams(1820), Mass.ofGrams(1820));
    assertEquals(batch.out(), Mass.ofMilligrams(2_072_543));
    assertEquals(batch.units(), 29, "2072.5 / 70");
    assertEquals(batch.ingredients().get(0).mass(), Mass.ofMilligrams(145_600));
    assertEquals(batch.over(), Mass.ofMilligrams(37_360), "1820 − 29 × 61.47037");
    assertEquals(batch.minutes(), 44, "20 and 29 × 0.8 = 23.2");
    // 0.1456 × 2.40 + 0.091 × 4.50 + 0.0364 × 9 + 0.02184 × 0.60
    assertEquals(batch.additions(EUR), ExactMoney.of("1.099644", EUR));
    Batch thirty = Batch.forUnits(patties, 30, Mass.ofGrams(1));
    assertEquals(thirty.fish(), Mass.ofMilligrams(1_844_112), "30 × 70 / 1.13876, rounded up");
    assertEquals(thirty.units(), 30);
  }

  @Test
  public void piecesAreCountedAndStockIsLitres() {
    Batch collars =
        new Batch(Kitchen.shipped("grilled-collar"), Mass.ofGrams(600), Mass.ofGrams(150));
    assertEquals(collars.units(), 4);
    assertEquals(collars.over(), Mass.ZERO);
    Batch stock = new Batch(Kitchen.shipped("clear-stock"), Mass.ofGrams(1600), Mass.ofGrams(400));
    assertEquals(stock.units(), 3, "520 g a litre");
  }

  @Test
  public void allergensComeFromEveryLine() {
    assertEquals(
        Kitchen.shipped("cheek-dumplings").allergens(),
        Set.of(Allergen.FISH, Allergen.WHEAT, Allergen.SOY, Allergen.SESAME));
    assertEquals(Kitchen.shipped("aged-loin").allergens(), Set.of(Allergen.FISH));
  }

  @Test
  public void whatCannotBeMadeIsRefused() {
    assertThrows(IllegalArgumentException.class, () -> new FishUse.Measure.OfPart(Mass.ZERO));
    assertThrows(IllegalArgumentException.class, () -> new FishUse.Measure.Pieces(0));
    assertThrows(
        IllegalArgumentException.class,
        () -> new RecipeLine("salt", Fraction.ZERO, BigDecimal.ONE, Set.of()));
    assertThrows(
        IllegalArgumentException.class,
        () -> new RecipeLine("salt", Fraction.ONE, new BigDecimal("-1"), Set.of()));
  }

  @Test
  public void everyPartThatCanBeUsedHasAUse() {
    Map<String, FishUse> uses = UseCatalogue.shipped(Kitchen.CATALOGUE);
    assertTrue(uses.size() >= 60, "found " + uses.size());
    List<String> without =
        Kitchen.CATALOGUE.kinds().stream()
            .filter(kind -> kind.nature() == PartClass.BY_PRODUCT)
            .map(PartKind::code)
            .filter(code -> uses.values().stream().noneMatch(use -> use.kinds().contains(code)))
            .toList();
    assertEquals(without, List.of("skin-and-bones"));
  }

  @Test
  public void noUseIsMadeOfWhatHasNone() {
    for (FishUse use : UseCatalogue.shipped(Kitchen.CATALOGUE).values()) {
      for (String code : use.kinds()) {
        PartKind kind = Kitchen.CATALOGUE.findKind(code).orElseThrow();
        assertTrue(kind.mayBeFor(use.purpose()), use.code() + " of " + code);
      }
    }
  }
}
