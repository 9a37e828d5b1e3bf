package mosaicknife.core.buying;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertThrows;
import static org.testng.Assert.assertTrue;

import mosaicknife.core.buying.Demand.Per;
import mosaicknife.core.buying.Demand.Profile;
import mosaicknife.core.portion.Serving;
import mosaicknife.core.portion.Serving.Form;
import mosaicknife.core.quantity.Mass;
import org.testng.annotations.Test;

public class CountsTest {

  @Test
  public void twoDiceMakeSevenMostOften() {
    Counts die = Counts.of(0, 1 / 6.0, 1 / 6.0, 1 / 6.0, 1 / 6.0, 1 / 6.0, 1 / 6.0);
    Counts two = die.plus(die);
    assertEquals(two.probability(7), 6 / 36.0, 1e-12);
    assertEquals(two.probability(2), 1 / 36.0, 1e-12);
    assertEquals(two.most(), 12);
    assertEquals(two.mean(), 7, 1e-12);
    assertEquals(two.below(4), 3 / 36.0, 1e-12);
  }

  @Test
  public void aboveTheCapEverythingCountsAsTheCap() {
    Counts die = Counts.of(0, 1 / 6.0, 1 / 6.0, 1 / 6.0, 1 / 6.0, 1 / 6.0, 1 / 6.0);
    Counts two = die.plus(die, 5);
    assertEquals(two.most(), 5);
    assertEquals(two.below(5), die.plus(die).below(5), 1e-12);
    assertEquals(two.probability(5), 1 - 6 / 36.0, 1e-12);
  }

  @Test
  public void refusesWhatIsNoDistribution() {
    assertThrows(IllegalArgumentException.class, Counts::of);
    assertThrows(IllegalArgumentException.class, () -> Counts.of(0.5, 0.4));
    assertThrows(IllegalArgumentException.class, () -> Counts.of(1.5, -0.5));
    assertThrows(IllegalArgumentException.class, () -> Counts.exactly(-1));
    assertEquals(Counts.exactly(3), Counts.of(0, 0, 0, 1));
    assertEquals(Counts.exactly(3).hashCode(), Counts.of(0, 0, 0, 1).hashCode());
  }

  @Test
  public void demandGrowsWithTheServicesAndItsGiveWithTheirRoot() {
    Demand dinner = new Demand(24, 4, Per.SERVICE);
    Profile weekend = new Profile(2, 3);
    assertEquals(dinner.over(Per.DAY, weekend), new Demand(48, 4 * Math.sqrt(2), Per.DAY));
    assertEquals(dinner.over(Per.WEEK, weekend).portions(), 144);
    assertEquals(dinner.over(Per.WEEK, weekend).forecastError(), 4 * Math.sqrt(6), 1e-9);
    assertEquals(new Demand(100, 0, Per.WEEK).over(Per.SERVICE, weekend).portions(), 17);
    assertEquals(dinner.over(Per.SERVICE, weekend), dinner);
    assertThrows(IllegalArgumentException.class, () -> new Demand(1_000_000, 0, Per.DAY));
    assertThrows(IllegalArgumentException.class, () -> new Demand(-1, 0, Per.DAY));
    assertThrows(IllegalArgumentException.class, () -> new Profile(0, 3));
  }

  @Test
  public void demandIsCertainOrSpreadAboutItsMiddle() {
    assertEquals(new Demand(30, 0, Per.DAY).distribution(), Counts.exactly(30));
    Counts spread = new Demand(30, 5, Per.DAY).distribution();
    assertEquals(spread.mean(), 30, 0.01);
    assertEquals(
        Math.sqrt(spread.expected(k -> (k - 30) * (k - 30))), Math.sqrt(25 + 1 / 12.0), 0.02);
    Counts nothing = new Demand(0, 0, Per.DAY).distribution();
    assertEquals(nothing.most(), 0);
    assertTrue(new Demand(1, 3, Per.DAY).distribution().probability(0) > 0.4);
  }

  @Test
  public void aPortionMayBeLighterByItsTolerance() {
    assertEquals(
        new Serving(Form.SLICES, Mass.ofGrams(180), 0.05, 1, true).lightest(), Mass.ofGrams(171));
    assertThrows(
        IllegalArgumentException.class,
        () -> new Serving(Form.SLICES, Mass.ofGrams(180), 0.5, 1, true));
  }
}
