package mosaicknife.app.shared;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.expectThrows;

import java.time.ZoneId;
import java.util.Currency;
import mosaicknife.core.quantity.MassText;
import mosaicknife.core.quantity.MassUnit;
import mosaicknife.core.quantity.PriceText;
import mosaicknife.core.quantity.QuantityFormatException;
import mosaicknife.core.quantity.UnitSystem;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** What is said to who typed no weight or price: what was wrong, and what to type instead. */
public class QuantityWordsTest {

  private static final Currency EUR = Currency.getInstance("EUR");

  private static final Formats FORMATS = new Formats(UnitSystem.METRIC, EUR, ZoneId.of("UTC"));

  @DataProvider
  Object[][] refused() {
    return new Object[][] {
      {"MASS", null, "No weight was typed. Type one, such as 1.318 kg."},
      {"MASS", "   ", "No weight was typed. Type one, such as 1.318 kg."},
      {"MASS", "abc", "“abc” is not a number. Type figures, such as 1.318."},
      {"MASS", "-5", "“-5” is below zero. A weight is above zero: check the tare."},
      {"MASS", "−5 kg", "“−5 kg” is below zero. A weight is above zero: check the tare."},
      {"MASS", "0", "“0” is no weight. A weight is above zero."},
      {"MASS", "0.0000001", "“0.0000001” is no weight. A weight is above zero."},
      {"MASS", "10 t", "“t” is not a unit this house weighs in. Type g, kg, oz or lb."},
      {"MASS", "10000 kg", "“10000 kg” is more than 2 tonnes. Check the figure and the unit."},
      {
        "MASS",
        "99999999999999999999 kg",
        "“99999999999999999999 kg” is more than 2 tonnes. Check the figure and the unit."
      },
      {
        "MASS",
        "50 lb 20 oz",
        "20 oz is a pound or more. A pound has 16 oz: type 51 lb 4 oz, or the weight in lb alone."
      },
      {
        "MASS",
        "12.5 lb 3 oz",
        "“12.5 lb 3 oz” has a part of a pound and ounces as well. Type whole pounds, such as 12 lb 9.6 oz."
      },
      {
        "MASS",
        "1 kg 3 lb",
        "“1 kg 3 lb” mixes two units. Type one number with one unit, or pounds and ounces as 12 lb 9.6 oz."
      },
      {"MASS", "1.2.3", "“1.2.3” is not a number. Type figures, such as 1.318."},
      {"MASS", "1e5", "“1e5” is not a number. Type figures, such as 1.318."},
      {
        "MASS",
        "<script>alert(1)</script>",
        "“<script>alert(1)</script…” is not a number. Type figures, such as 1.318."
      },
      {
        "MASS",
        "1".repeat(10_000),
        "That is too long for a weight. Type figures and a unit, such as 1.318 kg."
      },
      {"PRICE", "", "No price was typed. Type one, such as 11.40/kg."},
      {"PRICE", "-3", "“-3” is below zero. A price is zero or more."},
      {"PRICE", "11.40/box", "“box” is not a unit fish is priced in. Type kg or lb."},
      {"PRICE", "11.40/g", "“g” is not a unit fish is priced in. Type kg or lb."},
      {"PRICE", "123456", "“123456” is more than 10 000. Check the figure and the unit."},
      {"PRICE", "cheap", "“cheap” is not a number. Type figures, such as 1.318."},
    };
  }

  @Test(dataProvider = "refused")
  public void whatWasTypedIsRefusedWithASentence(String what, String typed, String sentence) {
    QuantityFormatException refusal =
        expectThrows(
            QuantityFormatException.class,
            () -> {
              if (what.equals("MASS")) {
                MassText.parse(typed, MassUnit.KILOGRAM);
              } else {
                PriceText.parse(typed, MassUnit.KILOGRAM, EUR);
              }
            });
    assertEquals(FORMATS.say(refusal), sentence);
  }

  @Test
  public void aCommaThatCouldBeEitherIsSaid() {
    assertEquals(
        FORMATS.say(MassText.parse("1,318", MassUnit.KILOGRAM).note().orElseThrow()),
        "1,318 was read as 1.318: the comma is the decimal sign.");
    assertEquals(
        FORMATS.say(MassText.parse("1,318 g", MassUnit.KILOGRAM).note().orElseThrow()),
        "1,318 was read as 1318: the comma marks thousands.");
  }
}
