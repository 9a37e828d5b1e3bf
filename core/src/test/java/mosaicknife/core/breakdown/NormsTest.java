package mosaicknife.core.breakdown;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertThrows;
import static org.testng.Assert.assertTrue;

import mosaicknife.core.WorkedHake;
import mosaicknife.core.anatomy.Species;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.quantity.Mass;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class NormsTest {

  private static final Species HAKE = WorkedHake.CATALOGUE.getSpecies("hake");

  @Test
  public void theStartingLossIsOneAndAHalfPercentUpToThreePointOne() {
    assertEquals(LossNorm.STARTING.expected(Mass.ofGrams(4860)), Mass.ofMilligrams(72_900));
    assertEquals(LossNorm.STARTING.highest(Mass.ofGrams(4860)), Mass.ofMilligrams(150_660));
    assertThrows(IllegalArgumentException.class, () -> new LossNorm(-0.01, 0.008));
    assertThrows(IllegalArgumentException.class, () -> new LossNorm(0.015, Double.NaN));
  }

  @DataProvider
  Object[][] scales() {
    // step, readings, sigma in grams: sqrt(n × (d²/12 + (d/2)²)) = d × sqrt(n/3), by hand
    return new Object[][] {
      {1, 1, 0.57735}, {2, 1, 1.15470}, {5, 1, 2.88675}, {2, 9, 3.46410}, {2, 0, 0.0},
    };
  }

  @Test(dataProvider = "scales")
  public void theErrorOfASumGrowsWithTheRootOfItsReadings(int step, int readings, double sigma) {
    assertEquals(ScaleError.of(Mass.ofGrams(step)).sigmaGrams(readings), sigma, 1e-5);
  }

  @Test
  public void aScaleWithoutStepOrWithNegativeRepeatabilityIsNone() {
    assertThrows(IllegalArgumentException.class, () -> ScaleError.of(Mass.ZERO));
    assertThrows(
        IllegalArgumentException.class, () -> new ScaleError(Mass.ofGrams(2), Mass.ofGrams(-1)));
  }

  @Test
  public void expectsTheFilletsOfAGuttedHake() {
    Expectation expectation =
        Expectation.of(HAKE, State.GUTTED, Mass.ofGrams(5000), LossNorm.STARTING);
    // 5 000 g less 1.5 % is 4 925 g; a fillet is 0.243 of the ungutted and 0.243/0.9 of the gutted
    assertEquals(
        expectation.find("fillet-left").orElseThrow().mass(), Mass.ofMilligrams(1_329_750));
    assertEquals(
        expectation.find("fillet-left").orElseThrow().spread().inGrams().doubleValue(),
        4925 * 0.016 / 0.9,
        0.001);
    assertTrue(expectation.find("guts").isEmpty());
    assertTrue(expectation.find("wing-left").isEmpty());
  }

  @Test
  public void theSameFishWeighsLessInEveryCleanerState() {
    Mass whole = Mass.ofGrams(5000);
    Mass last = Mass.ZERO;
    for (State state : State.OF_FISH) {
      Mass fillet =
          Expectation.of(HAKE, state, whole, LossNorm.STARTING)
              .find("fillet-left")
              .orElseThrow()
              .mass();
      assertTrue(fillet.compareTo(last) > 0, "a fillet is more of a cleaner fish: " + state);
      last = fillet;
    }
  }

  @Test
  public void aFishWithoutMassHasNoExpectation() {
    assertThrows(
        IllegalArgumentException.class,
        () -> Expectation.of(HAKE, State.GUTTED, Mass.ZERO, LossNorm.STARTING));
  }
}
