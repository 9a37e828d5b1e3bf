package mosaicknife.core.cost;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertThrows;
import static org.testng.Assert.assertTrue;

import java.util.Currency;
import java.util.Optional;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Fraction;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.UnitPrice;
import org.testng.annotations.Test;

/** What a little more or less is worth, against sums by hand. */
public class WhatIfTest {

  private static final Currency EUR = Currency.getInstance("EUR");

  private static ExactMoney euros(String amount) {
    return ExactMoney.of(amount, EUR);
  }

  /** 10 kg for 100 €, 20 € carried by other parts, 5 kg of mains, 10 € of work, 200 g a plate. */
  private static final WhatIf LOT =
      new WhatIf(
          euros("100"),
          euros("80"),
          euros("10"),
          Mass.ofKilograms("10"),
          Mass.ofKilograms("5"),
          Mass.ofGrams(200));

  private static double of(ExactMoney money) {
    return money.amount().doubleValue();
  }

  @Test
  public void aPlateAPointAndAHeavierPortion() {
    assertEquals(of(LOT.plate()), 3.6, 1e-9, "90 over 25 plates");
    assertEquals(LOT.share(), Fraction.of(1, 2));
    assertEquals(of(LOT.point()), 3.6 - 90 / 25.5, 1e-9, "51 % are 25.5 plates");
    assertEquals(of(LOT.heavier(Mass.ofGrams(5), 300)), 24, 1e-9, "1.5 kg at 16 €");
    assertEquals(of(LOT.menuPrice(Fraction.of(30, 100))), 12, 1e-9);
    assertThrows(IllegalArgumentException.class, () -> LOT.menuPrice(Fraction.ZERO));
  }

  @Test
  public void againstTheCutBoughtIn() {
    UnitPrice bought = UnitPrice.ofPerKilogram(euros("20"));
    // 5 kg at 20 are 100; less 10 of work, and 20 that other parts carry: 110 for 10 kg
    assertEquals(LOT.highestPrice(bought).map(price -> of(price.perKilogram())), Optional.of(11.0));
    assertEquals(LOT.lowestYield(bought), Fraction.of(45, 100), "90 € at 20 € are 4.5 kg");
    // at that yield a plate costs what it costs bought in
    WhatIf there =
        new WhatIf(
            euros("100"),
            euros("80"),
            euros("10"),
            Mass.ofKilograms("10"),
            Mass.ofKilograms("4.5"),
            Mass.ofGrams(200));
    assertEquals(of(there.plate()), 4, 1e-9, "200 g at 20 €");
    UnitPrice cheap = UnitPrice.ofPerKilogram(euros("1"));
    assertTrue(LOT.lowestYield(cheap).compareTo(Fraction.ONE) > 0, "nothing is enough");
    WhatIf dearWork =
        new WhatIf(
            euros("100"),
            euros("100"),
            euros("10"),
            Mass.ofKilograms("10"),
            Mass.ofKilograms("5"),
            Mass.ofGrams(200));
    assertEquals(dearWork.highestPrice(cheap), Optional.empty(), "the work alone costs more");
  }
}
