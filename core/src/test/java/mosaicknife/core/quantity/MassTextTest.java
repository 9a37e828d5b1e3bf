package mosaicknife.core.quantity;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.expectThrows;

import java.util.Optional;
import mosaicknife.core.finding.Finding;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class MassTextTest {

  @DataProvider
  Object[][] understood() {
    return new Object[][] {
      // typed, unit of a bare number, milligrams, echo
      {"1.318", MassUnit.KILOGRAM, 1_318_000L, "1.318 kg = 2 lb 14.5 oz"},
      {"1318 g", MassUnit.KILOGRAM, 1_318_000L, "1318 g = 2 lb 14.5 oz"},
      {"  87g ", MassUnit.KILOGRAM, 87_000L, "87 g = 3.1 oz"},
      {"0,5 kg", MassUnit.KILOGRAM, 500_000L, "0.5 kg = 1 lb 1.6 oz"},
      // 12.6 lb = 12.6 × 453.59237 g = 5 715.263862 g, worked by hand
      {"12.6 lb", MassUnit.KILOGRAM, 5_715_264L, "12.6 lb = 12 lb 9.6 oz = 5.715 kg"},
      // 12 lb 6 oz = 198 oz = 198 × 28.349523125 g = 5 613.205579 g
      {"12 lb 6 oz", MassUnit.KILOGRAM, 5_613_206L, "12 lb 6.0 oz = 5.613 kg"},
      {"12lb 6oz", MassUnit.GRAM, 5_613_206L, "12 lb 6.0 oz = 5.613 kg"},
      {"3 OZ.", MassUnit.KILOGRAM, 85_049L, "3 oz = 0.085 kg"},
      {"2", MassUnit.POUND, 907_185L, "2 lb = 2 lb 0.0 oz = 0.907 kg"},
      {"1 234,5 g", MassUnit.GRAM, 1_234_500L, "1234.5 g = 2 lb 11.5 oz"},
      {"1.234,5 g", MassUnit.GRAM, 1_234_500L, "1234.5 g = 2 lb 11.5 oz"},
    };
  }

  /** As people write it elsewhere: typed, grams times a thousand. */
  @DataProvider
  Object[][] waysToWrite() {
    return new Object[][] {
      {"1'318 g", 1_318_000},
      {"1’318 g", 1_318_000},
      {"1 318 g", 1_318_000},
      {"12'500 g", 12_500_000},
      {"½ kg", 500_000},
      {"1½ kg", 1_500_000},
      {"1 1/2 kg", 1_500_000},
      {"3/4 kg", 750_000},
      {"2⅛ kg", 2_125_000},
      {"½ lb", 226_796},
      {"2 kg 300 g", 2_300_000},
      {"2kg300g", 2_300_000},
      {"2 kg, 40 g", 2_040_000},
      {"0.318 g", 318},
      {"1.3 g", 1_300},
      {"1318 g", 1_318_000},
      {"1.318 kg", 1_318_000},
    };
  }

  @Test(dataProvider = "waysToWrite")
  public void readsWhatIsWrittenElsewhere(String typed, long milligrams) {
    assertEquals(MassText.parse(typed, MassUnit.KILOGRAM).mass(), Mass.ofMilligrams(milligrams));
  }

  @Test
  public void aPointThatMayMarkThousandsOfGramsIsAskedAndNotGuessed() {
    for (String typed : new String[] {"1.318 g", "1.318"}) {
      QuantityFormatException asked =
          expectThrows(QuantityFormatException.class, () -> MassText.parse(typed, MassUnit.GRAM));
      assertEquals(
          asked.finding(), Finding.of(QuantityProblem.POINT_OR_THOUSANDS, typed, "1318", "1.3"));
    }
    assertEquals(MassText.parse("1.3 g", MassUnit.GRAM).mass(), Mass.ofMilligrams(1_300));
  }

  @Test
  public void saysHowToWriteWhatItDoesNotRead() {
    for (String[] one :
        new String[][] {
          {"2 stone", "STONES"},
          {"2 st 3 lb", "STONES"},
          {"2.5 kg 300 g", "KILOGRAMS_AND_GRAMS"},
          {"2 kg 1300 g", "KILOGRAMS_AND_GRAMS"},
          {"1/0 kg", "NOT_A_NUMBER"},
          {"1'31 g", "NOT_A_NUMBER"}
        }) {
      QuantityFormatException refused =
          expectThrows(
              QuantityFormatException.class, () -> MassText.parse(one[0], MassUnit.KILOGRAM));
      assertEquals(refused.finding().what().name(), one[1], one[0]);
    }
  }

  @Test(dataProvider = "understood")
  public void saysBackWhatWasUnderstood(String typed, MassUnit unit, long milligrams, String echo) {
    MassText text = MassText.parse(typed, unit);
    assertEquals(text.mass().milligrams(), milligrams);
    assertEquals(text.echo(), echo);
  }

  @Test
  public void aCommaBeforeThreeDigitsIsTheDecimalSignInKilogramsAndSaysSo() {
    MassText text = MassText.parse("1,318", MassUnit.KILOGRAM);
    assertEquals(text.mass(), Mass.ofGrams(1318));
    assertEquals(
        text.note(), Optional.of(Finding.of(QuantityProblem.COMMA_IS_DECIMAL, "1,318", "1.318")));
    assertEquals(MassText.parse("1.318", MassUnit.KILOGRAM).note(), Optional.empty());
  }

  @Test
  public void aCommaBeforeThreeDigitsMarksThousandsInGramsAndSaysSo() {
    MassText text = MassText.parse("1,318 g", MassUnit.KILOGRAM);
    assertEquals(text.mass(), Mass.ofGrams(1318));
    assertEquals(
        text.note(), Optional.of(Finding.of(QuantityProblem.COMMA_IS_THOUSANDS, "1,318", "1318")));
  }

  @DataProvider
  Object[][] refused() {
    return new Object[][] {
      {null, Finding.of(QuantityProblem.NO_WEIGHT, "kg")},
      {"   ", Finding.of(QuantityProblem.NO_WEIGHT, "kg")},
      {"abc", Finding.of(QuantityProblem.NOT_A_NUMBER, "abc")},
      {"-5", Finding.of(QuantityProblem.WEIGHT_BELOW_ZERO, "-5")},
      {"−5 kg", Finding.of(QuantityProblem.WEIGHT_BELOW_ZERO, "−5 kg")},
      {"0", Finding.of(QuantityProblem.NO_WEIGHT_AT_ALL, "0")},
      {"0.0000001", Finding.of(QuantityProblem.NO_WEIGHT_AT_ALL, "0.0000001")},
      {"10 t", Finding.of(QuantityProblem.NOT_A_WEIGHT_UNIT, "t")},
      {"10000 kg", Finding.of(QuantityProblem.TOO_HEAVY, "10000 kg", 2)},
      {
        "99999999999999999999 kg",
        Finding.of(QuantityProblem.TOO_HEAVY, "99999999999999999999 kg", 2)
      },
      {"50 lb 20 oz", Finding.of(QuantityProblem.SIXTEEN_OUNCES, "20", "51 lb 4 oz")},
      {"12.5 lb 3 oz", Finding.of(QuantityProblem.PART_OF_A_POUND, "12.5 lb 3 oz")},
      {"1 kg 3 lb", Finding.of(QuantityProblem.MIXED_UNITS, "1 kg 3 lb")},
      {"1.2.3", Finding.of(QuantityProblem.NOT_A_NUMBER, "1.2.3")},
      {"1e5", Finding.of(QuantityProblem.NOT_A_NUMBER, "1e5")},
      {
        "<script>alert(1)</script>",
        Finding.of(QuantityProblem.NOT_A_NUMBER, "<script>alert(1)</script…")
      },
      {"1".repeat(10_000), Finding.of(QuantityProblem.WEIGHT_TOO_LONG)},
    };
  }

  @Test(dataProvider = "refused")
  public void refusesWithWhatIsWrongInTheCharactersThatWereTyped(String typed, Finding problem) {
    QuantityFormatException refusal =
        expectThrows(QuantityFormatException.class, () -> MassText.parse(typed, MassUnit.KILOGRAM));
    assertEquals(refusal.finding(), problem);
  }

  @DataProvider
  Object[][] shown() {
    return new Object[][] {
      {1_318_000L, UnitSystem.METRIC, "1.318 kg"},
      {87_400L, UnitSystem.METRIC, "87 g"},
      {999_600L, UnitSystem.METRIC, "1.000 kg"},
      {-214_000L, UnitSystem.METRIC, "−214 g"},
      {-300L, UnitSystem.METRIC, "0 g"},
      {0L, UnitSystem.METRIC, "0 g"},
      {1_318_000L, UnitSystem.IMPERIAL, "2 lb 14.5 oz"},
      // 15.97 oz must not be shown as 0 lb 16.0 oz
      {452_800L, UnitSystem.IMPERIAL, "1 lb 0.0 oz"},
      {87_000L, UnitSystem.IMPERIAL, "3.1 oz"},
    };
  }

  @Test(dataProvider = "shown")
  public void showsNoMoreDigitsThanAKitchenScaleHas(
      long milligrams, UnitSystem system, String text) {
    assertEquals(MassText.format(Mass.ofMilligrams(milligrams), system), text);
  }

  @Test
  public void readsBackWhatToStringWrites() {
    for (long milligrams : new long[] {1, 500, 87_000, 1_318_000, 99_999_999}) {
      Mass mass = Mass.ofMilligrams(milligrams);
      assertEquals(MassText.parse(mass.toString(), MassUnit.KILOGRAM).mass(), mass);
    }
  }
}
