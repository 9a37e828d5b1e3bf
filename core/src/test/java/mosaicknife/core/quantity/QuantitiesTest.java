package mosaicknife.core.quantity;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertThrows;
import static org.testng.Assert.expectThrows;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.Currency;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import mosaicknife.core.finding.Finding;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class QuantitiesTest {

  private static final Currency EUR = Currency.getInstance("EUR");

  @Test
  public void massAddsAndSubtractsExactly() {
    Mass fillet = Mass.ofKilograms("1.318");
    assertEquals(fillet.plus(Mass.ofGrams(87)), Mass.ofGrams(1405));
    assertEquals(Mass.ofGrams(87).minus(fillet), Mass.ofGrams(-1231));
    assertEquals(Mass.total(List.of()), Mass.ZERO);
    assertThrows(
        ArithmeticException.class,
        () -> Mass.ofMilligrams(Long.MAX_VALUE).plus(Mass.ofMilligrams(1)));
    assertThrows(ArithmeticException.class, () -> Mass.ofKilograms("0.0000001"));
  }

  @Test
  public void wholeTimesCountsPortionsAndNeverBelowNone() {
    assertEquals(Mass.ofGrams(790).wholeTimes(Mass.ofGrams(165)), 4);
    assertEquals(Mass.ofGrams(-790).wholeTimes(Mass.ofGrams(165)), 0);
    assertThrows(IllegalArgumentException.class, () -> Mass.ofGrams(1).wholeTimes(Mass.ZERO));
  }

  @Test
  public void aFractionHasOneForm() {
    assertEquals(Fraction.of(2610, 4860), Fraction.of(29, 54));
    assertEquals(Fraction.of(-1, -2), Fraction.of(1, 2));
    assertEquals(Fraction.of(new BigDecimal("0.50")), Fraction.of(1, 2));
    assertEquals(Fraction.of(new BigDecimal("1E+2")), Fraction.of(100, 1));
    assertEquals(Fraction.of(29, 54).toPercent(2, RoundingMode.HALF_UP), new BigDecimal("53.70"));
    assertThrows(IllegalArgumentException.class, () -> Fraction.of(1, 0));
  }

  @Test
  public void twoCurrenciesDoNotMix() {
    CurrencyMismatchException mismatch =
        expectThrows(
            CurrencyMismatchException.class,
            () -> ExactMoney.of("1", EUR).plus(ExactMoney.of("1", Currency.getInstance("GBP"))));
    assertEquals(mismatch.getMessage(), "Expected an amount in EUR, found GBP");
  }

  @Test
  public void aPriceKeepsAllItsDigits() {
    UnitPrice price = UnitPrice.ofPerKilogram("11.40", EUR);
    ExactMoney cost = price.times(Mass.ofKilograms("4.860"));
    assertEquals(cost, ExactMoney.of("55.404", EUR));
    assertEquals(cost.rounded(RoundingMode.HALF_UP), Money.ofMinor(5540, EUR));
    // 5.17 per pound is 5.17 / 0.45359237 = 11.397899…, worked with bc
    BigDecimal perKilogram =
        UnitPrice.ofPerPound(ExactMoney.of("5.17", EUR)).perKilogram().amount();
    assertEquals(perKilogram.setScale(6, RoundingMode.HALF_UP), new BigDecimal("11.397899"));
  }

  @Test
  public void tenSplitInThreeIsStillTen() {
    List<Money> shares =
        Money.ofMinor(1000, EUR).allocate(List.of(Fraction.ONE, Fraction.ONE, Fraction.ONE));
    assertEquals(shares.stream().map(Money::minorUnits).toList(), List.of(334L, 333L, 333L));
  }

  @Test
  public void allocationAlwaysAddsUpAndIsNeverOffByAUnit() {
    Random random = new Random(41);
    for (int round = 0; round < 500; round++) {
      long whole = random.nextInt(2_000_000) - 500_000L;
      List<Fraction> weights = new ArrayList<>();
      for (int i = 0; i <= random.nextInt(14); i++) {
        weights.add(Fraction.of(random.nextInt(5_000), 1 + random.nextInt(97)));
      }
      weights.add(Fraction.ONE);
      Fraction sum = weights.stream().reduce(Fraction.ZERO, Fraction::plus);
      List<Money> shares = Money.ofMinor(whole, EUR).allocate(weights);
      assertEquals(shares.stream().mapToLong(Money::minorUnits).sum(), whole);
      for (int i = 0; i < weights.size(); i++) {
        double quota = whole * weights.get(i).dividedBy(sum).toDouble();
        assertEquals((double) shares.get(i).minorUnits(), quota, 1.0);
      }
    }
  }

  @Test
  public void allocationRefusesWeightsThatSayNothing() {
    Money money = Money.ofMinor(100, EUR);
    assertThrows(IllegalArgumentException.class, () -> money.allocate(List.of()));
    assertThrows(IllegalArgumentException.class, () -> money.allocate(List.of(Fraction.ZERO)));
    assertThrows(
        IllegalArgumentException.class,
        () -> money.allocate(List.of(Fraction.of(-1, 2), Fraction.ONE)));
  }

  @DataProvider
  Object[][] prices() {
    return new Object[][] {
      {"11.40", "11.4", "11.40/kg = 5.17/lb"},
      {"11,40/kg", "11.4", "11.40/kg = 5.17/lb"},
      {"11.40 per kg", "11.4", "11.40/kg = 5.17/lb"},
      {"0", "0", "0.00/kg = 0.00/lb"},
      {"12 €/kg", "12", "12.00/kg = 5.44/lb"},
      {"€12,50", "12.5", "12.50/kg = 5.67/lb"},
      {"12 EUR per kg", "12", "12.00/kg = 5.44/lb"},
    };
  }

  @Test(dataProvider = "prices")
  public void aTypedPriceSaysBackWhatWasUnderstood(String typed, String perKilogram, String echo) {
    PriceText text = PriceText.parse(typed, MassUnit.KILOGRAM, EUR);
    assertEquals(text.price(), UnitPrice.ofPerKilogram(perKilogram, EUR));
    assertEquals(text.echo(), echo);
  }

  @DataProvider
  Object[][] refusedPrices() {
    return new Object[][] {
      {"", Finding.of(QuantityProblem.NO_PRICE, "kg")},
      {"-3", Finding.of(QuantityProblem.PRICE_BELOW_ZERO, "-3")},
      {"11.40/box", Finding.of(QuantityProblem.NOT_A_PRICE_UNIT, "box")},
      {"11.40/g", Finding.of(QuantityProblem.NOT_A_PRICE_UNIT, "g")},
      {"123456", Finding.of(QuantityProblem.TOO_DEAR, "123456")},
      {"cheap", Finding.of(QuantityProblem.NOT_A_NUMBER, "cheap")},
      {"12 $/kg", Finding.of(QuantityProblem.OTHER_MONEY, "$", "EUR")},
      {"12 GBP/kg", Finding.of(QuantityProblem.OTHER_MONEY, "GBP", "EUR")},
    };
  }

  @Test(dataProvider = "refusedPrices")
  public void refusesAPriceWithWhatIsWrong(String typed, Finding problem) {
    QuantityFormatException refusal =
        expectThrows(
            QuantityFormatException.class, () -> PriceText.parse(typed, MassUnit.KILOGRAM, EUR));
    assertEquals(refusal.finding(), problem);
  }

  @Test
  public void aBareNumberIsMeantInTheUnitThatComesNearest() {
    UnitSystem metric = UnitSystem.METRIC;
    Optional<Mass> fillet = Optional.of(Mass.ofGrams(1290));
    assertEquals(metric.meant("1.318", fillet), MassUnit.KILOGRAM);
    assertEquals(metric.meant("1452", fillet), MassUnit.GRAM);
    assertEquals(metric.meant("2", Optional.of(Mass.ofGrams(40))), MassUnit.GRAM);
    assertEquals(metric.meant("2", Optional.of(Mass.ofGrams(1800))), MassUnit.KILOGRAM);
    assertEquals(metric.meant("0,062", Optional.of(Mass.ofGrams(70))), MassUnit.KILOGRAM);
    assertEquals(metric.meant("1452", Optional.empty()), MassUnit.KILOGRAM);
    assertEquals(metric.meant("a lot", fillet), MassUnit.KILOGRAM);
    UnitSystem pounds = UnitSystem.IMPERIAL;
    assertEquals(pounds.meant("2.9", fillet), MassUnit.POUND);
    assertEquals(pounds.meant("46.5", fillet), MassUnit.OUNCE);
  }
}
