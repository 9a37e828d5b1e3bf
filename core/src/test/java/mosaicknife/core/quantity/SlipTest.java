package mosaicknife.core.quantity;

import static org.testng.Assert.assertEquals;

import java.util.Optional;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Figures of a part that should weigh about 65 g, give or take 20 g. */
public class SlipTest {

  /** Grams typed, and the slip asked about. */
  @DataProvider
  public Object[][] figures() {
    return new Object[][] {
      {"65", null},
      {"120", null},
      {"10", null},
      {"0.4", null},
      {"650", Slip.POINT},
      {"500", Slip.POINT},
      {"6.5", null},
      {"1843", Slip.OUNCES_AND_GRAMS},
      {"29484", Slip.POUNDS_AND_GRAMS},
      {"65000", Slip.KILOGRAMS_AND_GRAMS},
      {"7000", null}
    };
  }

  @Test(dataProvider = "figures")
  public void aFigureIsAskedAboutWhereAUsualSlipMadeIt(String grams, Slip asked) {
    assertEquals(Slip.find(mass(grams), mass("65"), mass("22")), Optional.ofNullable(asked), grams);
  }

  @Test
  public void aPartOfAClearNormIsAskedAboutDownwardsToo() {
    assertEquals(Slip.find(mass("132"), mass("1320"), mass("150")), Optional.of(Slip.POINT));
    assertEquals(
        Slip.find(mass("46.5"), mass("1320"), mass("150")), Optional.of(Slip.OUNCES_AND_GRAMS));
    assertEquals(
        Slip.find(mass("2.9"), mass("1320"), mass("150")), Optional.of(Slip.POUNDS_AND_GRAMS));
    assertEquals(
        Slip.find(mass("1.3"), mass("1320"), mass("150")), Optional.of(Slip.KILOGRAMS_AND_GRAMS));
  }

  private static Mass mass(String grams) {
    return Mass.ofMilligrams(new java.math.BigDecimal(grams).movePointRight(3).longValueExact());
  }
}
