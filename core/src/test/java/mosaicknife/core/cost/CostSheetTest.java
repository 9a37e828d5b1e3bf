package mosaicknife.core.cost;

import static mosaicknife.core.WorkedHake.COST;
import static mosaicknife.core.WorkedHake.EUR;
import static mosaicknife.core.WorkedHake.leaf;
import static mosaicknife.core.WorkedHake.price;
import static mosaicknife.core.WorkedHake.values;
import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertThrows;
import static org.testng.Assert.assertTrue;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mosaicknife.core.WorkedHake;
import mosaicknife.core.anatomy.Purpose;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.UnitPrice;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** The worked hake, to the digit; expected figures by hand from the figures in WorkedHake. */
public class CostSheetTest {

  private static final Mass PORTION = Mass.ofGrams(180);

  @Test
  public void allOnTheMains() {
    CostSheet sheet = sheet(CostingMethod.ALL_ON_THE_MAINS, Map.of());
    assertEquals(sheet.costing().lotCost(), ExactMoney.of("55.404", EUR));
    assertEquals(sheet.cost().total().rounded(RoundingMode.HALF_UP).minorUnits(), 5540);
    assertEquals(four(sheet.ediblePrice().perKilogram()), "21.2276");
    assertEquals(
        sheet.costFactor().orElseThrow().toDecimal(5, RoundingMode.HALF_UP),
        new BigDecimal("1.86207"));
    assertEquals(sheet.portions().fillets().stream().map(f -> f.count()).toList(), List.of(7L, 7L));
    assertEquals(sheet.portions().over(), Mass.ofGrams(90));
    assertEquals(four(sheet.portionByWeight()), "3.8210");
    assertEquals(four(sheet.portionByCount().orElseThrow()), "3.9574");
  }

  @Test
  public void byProductCredit() {
    CostSheet sheet = sheet(CostingMethod.BY_PRODUCT_CREDIT, values("1.80", "9.00", "8.00"));
    assertEquals(sheet.costing().credit(), ExactMoney.of("6.1346", EUR));
    assertEquals(sheet.costing().onMains(), ExactMoney.of("49.2694", EUR));
    assertEquals(four(sheet.portionByCount().orElseThrow()), "3.5192");
  }

  @Test
  public void relativeValue() {
    Map<String, UnitPrice> sold = new HashMap<>(values("1.80", "12", "14"));
    sold.put("fillet-left", price("30"));
    sold.put("fillet-right", price("30"));
    Costing costing = sheet(CostingMethod.RELATIVE_VALUE, sold).costing();
    assertEquals(
        costing.onMains().dividedBy(costing.lotCost()).toPercent(4, RoundingMode.HALF_UP),
        new BigDecimal("90.7988"));
    assertEquals(four(costing.onMains()), "50.3062");
  }

  @Test
  public void relativeValueNeedsAValueForEveryMainCut() {
    Map<String, UnitPrice> sold = new HashMap<>(values("1.80", "12", "14"));
    assertTrue(costing(CostingMethod.RELATIVE_VALUE, sold).isEmpty(), "no plate is worth nothing");
    sold.put("fillet-left", price("30"));
    assertTrue(costing(CostingMethod.RELATIVE_VALUE, sold).isEmpty(), "one fillet has none");
    sold.put("fillet-right", price("0"));
    assertTrue(costing(CostingMethod.RELATIVE_VALUE, sold).isEmpty(), "one fillet is for nothing");
  }

  @Test
  public void byWeightEveryKilogramOnAPlateCostsTheSame() {
    Costing costing = sheet(CostingMethod.BY_WEIGHT, Map.of()).costing();
    // on plates: fillets 2.610, belly 0.172, collar 0.214 = 2.996 kg; 2.610/2.996 × 55.404
    assertEquals(four(costing.onMains()), "48.2658");
    assertEquals(costing.parts().size(), 4);
  }

  @Test(dataProvider = "methods")
  public void aFilletThatIsKeptCarriesItsGramsAndTonightPaysForTonight(CostingMethod method) {
    var half =
        WorkedHake.with(
            leaf("fillet-left", "fillet", "1.318", Purpose.PLATE),
            leaf("fillet-right", "fillet", "1.292", Purpose.HOLD),
            leaf("frame", "frame", "0.612", Purpose.POT));
    Map<String, UnitPrice> values = Map.of("fillet-left", price("30"), "fillet-right", price("30"));
    Costing costing =
        Costing.by(method, half, COST, values, java.util.Set.of("fillet-right")).orElseThrow();
    // 1.318 / 2.610 × 55.404, and the rest
    assertEquals(four(costing.onMains()), "27.9780");
    assertEquals(four(costing.onHeld()), "27.4260");
    assertEquals(costing.parts().size(), 2);
    Costing forgotten = Costing.by(method, half, COST, values).orElseThrow();
    assertTrue(forgotten.onHeld().equals(ExactMoney.zero(EUR)), "nobody said it is a main cut");
  }

  @Test
  public void compostIsNeverSold() {
    var thrown =
        WorkedHake.with(
            leaf("fillet-left", "fillet", "1.318", Purpose.PLATE),
            leaf("head", "head", "0.985", Purpose.COMPOST));
    Map<String, UnitPrice> values = Map.of("fillet-left", price("30"), "head", price("5"));
    Costing costing = Costing.by(CostingMethod.RELATIVE_VALUE, thrown, COST, values).orElseThrow();
    assertEquals(costing.onMains(), costing.lotCost());
  }

  @DataProvider
  Object[][] methods() {
    return new Object[][] {
      {CostingMethod.ALL_ON_THE_MAINS},
      {CostingMethod.BY_PRODUCT_CREDIT},
      {CostingMethod.RELATIVE_VALUE},
      {CostingMethod.BY_WEIGHT}
    };
  }

  private static Map<String, UnitPrice> sold() {
    Map<String, UnitPrice> sold = new HashMap<>(values("1.80", "9.00", "8.00"));
    sold.put("fillet-left", price("31"));
    sold.put("fillet-right", price("29"));
    return sold;
  }

  @Test(dataProvider = "methods")
  public void theRoundedPartsAddUpToTheLotToTheCent(CostingMethod method) {
    Costing costing = sheet(method, sold()).costing();
    long sum = costing.parts().stream().mapToLong(part -> part.rounded().minorUnits()).sum();
    assertEquals(sum, 5540);
  }

  @Test
  public void creditBeyondTheLotIsReportedAndTheMainsNeverCostLessThanNothing() {
    Costing costing = sheet(CostingMethod.BY_PRODUCT_CREDIT, values("30", "90", "80")).costing();
    // 1.597 × 30 + 0.172 × 90 + 0.214 × 80 = 80.51
    assertEquals(costing.credit(), ExactMoney.of("55.404", EUR));
    assertEquals(costing.excess(), ExactMoney.of("25.106", EUR));
    assertEquals(costing.onMains(), ExactMoney.zero(EUR));
  }

  @Test
  public void aByProductEarnsNothingUntilAUseTakesIt() {
    var open =
        WorkedHake.with(
            leaf("fillet-left", "fillet", "1.318", Purpose.PLATE),
            leaf("frame", "frame", "0.612", null),
            leaf("head", "head", "0.985", Purpose.COMPOST),
            leaf("belly", "belly", "0.172", Purpose.HOLD));
    Costing costing =
        Costing.by(CostingMethod.BY_PRODUCT_CREDIT, open, COST, values("1.80", "9", "8"))
            .orElseThrow();
    assertEquals(costing.credit(), ExactMoney.zero(EUR));
  }

  @Test
  public void withoutMainsThereIsNoSheetAndWithoutAWholePortionNoCostByCount() {
    var bones = WorkedHake.with(leaf("frame", "frame", "0.612", Purpose.POT));
    assertEquals(
        CostSheet.of(CostingMethod.ALL_ON_THE_MAINS, bones, COST, Map.of(), PORTION),
        Optional.empty());
    CostSheet large =
        CostSheet.of(
                CostingMethod.ALL_ON_THE_MAINS,
                WorkedHake.breakdown(),
                COST,
                Map.of(),
                Mass.ofKilograms("1.4"))
            .orElseThrow();
    assertEquals(large.portionByCount(), Optional.empty());
  }

  @Test
  public void aFreeFishHasNoFactorAndCostsNothing() {
    LotCost free = LotCost.of(price("0"), WorkedHake.PURCHASED);
    CostSheet sheet =
        CostSheet.of(
                CostingMethod.ALL_ON_THE_MAINS, WorkedHake.breakdown(), free, Map.of(), PORTION)
            .orElseThrow();
    assertEquals(sheet.costFactor(), Optional.empty());
    assertEquals(sheet.portionByWeight(), ExactMoney.zero(EUR));
    assertEquals(sheet.costing().parts().get(0).rounded().minorUnits(), 0);
  }

  @Test
  public void extrasAddAndClaimsTakeOffButNotMoreThanTheLot() {
    LotCost cost =
        new LotCost(
            price("10"), Mass.ofKilograms("5"), ExactMoney.of("3", EUR), ExactMoney.of("8", EUR));
    assertEquals(cost.total(), ExactMoney.of("45", EUR));
    assertThrows(
        IllegalArgumentException.class,
        () ->
            new LotCost(
                price("10"),
                Mass.ofKilograms("5"),
                ExactMoney.zero(EUR),
                ExactMoney.of("51", EUR)));
  }

  private static Optional<CostSheet> costing(CostingMethod method, Map<String, UnitPrice> values) {
    return CostSheet.of(method, WorkedHake.breakdown(), COST, values, PORTION);
  }

  private static CostSheet sheet(CostingMethod method, Map<String, UnitPrice> values) {
    return costing(method, values).orElseThrow();
  }

  private static String four(ExactMoney money) {
    return money.amount().setScale(4, RoundingMode.HALF_UP).toPlainString();
  }
}
