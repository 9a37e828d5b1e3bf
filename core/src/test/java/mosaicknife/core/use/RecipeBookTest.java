package mosaicknife.core.use;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.math.BigDecimal;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import mosaicknife.core.anatomy.Purpose;
import mosaicknife.core.quantity.Fraction;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.safety.Allergen;
import mosaicknife.core.safety.FoodState;
import mosaicknife.core.use.FishUse.Equipment;
import org.testng.annotations.Test;

/** Products that go into other products. */
public class RecipeBookTest {

  private static FishUse product(String name, RecipeLine... lines) {
    return new FishUse(
        name,
        name,
        Purpose.POT,
        Set.of("frame"),
        Set.of(),
        OptionalInt.empty(),
        Optional.empty(),
        Kitchen.grams(500),
        FishUse.Unit.LITRE,
        1,
        List.of(lines),
        Fraction.ZERO,
        Kitchen.work(5, "1", Equipment.NONE, "0"),
        BigDecimal.ONE,
        new FishUse.Kept(false, FoodState.RAW, 2),
        Set.of(),
        Optional.empty());
  }

  private static RecipeLine line(String name, Allergen... allergens) {
    return new RecipeLine(name, Fraction.of(1, 4), new BigDecimal("4.00"), Set.of(allergens));
  }

  private static RecipeBook book(FishUse... uses) {
    Map<String, FishUse> all = new LinkedHashMap<>();
    for (FishUse use : uses) {
      all.put(use.code(), use);
    }
    return new RecipeBook(all);
  }

  @Test
  public void allergensTravelThroughEveryProduct() {
    FishUse stock = product("Stock", line("celery", Allergen.CELERY));
    FishUse velvet = product("Velvet", line("stock"), line("flour", Allergen.WHEAT));
    FishUse pie = product("Pie", line("VELVET"), line("potato"));
    assertEquals(
        book(stock, velvet, pie).allergens(pie),
        Set.of(Allergen.FISH, Allergen.CELERY, Allergen.WHEAT));
    assertEquals(book(stock, velvet, pie).product(line("potato")), Optional.empty());
  }

  @Test
  public void nothingIsMadeOfItselfNotEvenByWayOfOthers() {
    FishUse stock = product("Stock", line("glaze"));
    FishUse glaze = product("Glaze", line("sauce"));
    FishUse sauce = product("Sauce", line("salt"));
    RecipeBook book = book(stock, glaze, sauce);
    assertEquals(book.circle(stock), List.of());
    FishUse changed = product("Sauce", line("salt"), line("Stock"));
    assertEquals(
        book.circle(changed).stream().map(FishUse::name).toList(),
        List.of("Sauce", "Stock", "Glaze", "Sauce"));
    FishUse own = product("Butter", line("butter"));
    assertEquals(book.circle(own).size(), 2, "a line of its own name");
  }

  @Test
  public void aCircleElsewhereDoesNotHoldUpAnother() {
    FishUse one = product("One", line("two"));
    FishUse two = product("Two", line("one"));
    FishUse third = product("Third", line("one"));
    assertEquals(book(one, two).circle(third), List.of());
    assertTrue(book(one, two).allergens(third).contains(Allergen.FISH));
  }

  @Test
  public void whatIsShippedHasNoCircle() {
    Map<String, FishUse> shipped = UseCatalogue.shipped(Kitchen.CATALOGUE);
    for (FishUse use : shipped.values()) {
      assertEquals(new RecipeBook(shipped).circle(use), List.of(), use.code());
    }
  }

  @Test
  public void whatLiesOnAShelfAlreadyIsNotBoughtAgain() {
    FishUse velvet = product("Velvet", line("Stock"), line("flour", Allergen.WHEAT));
    Batch batch = new Batch(velvet, Mass.ofGrams(2000), Mass.ofGrams(2000));
    java.util.Currency euro = java.util.Currency.getInstance("EUR");
    // 500 g of each at 4.00 a kilogram
    assertEquals(batch.additions(euro).amount().compareTo(new BigDecimal("4.00")), 0);
    assertEquals(
        batch
            .additions(euro, Map.of(velvet.lines().get(0), Mass.ofGrams(300)))
            .amount()
            .compareTo(new BigDecimal("2.80")),
        0);
  }
}
