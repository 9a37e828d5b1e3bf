package mosaicknife.core.practice;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertNotEquals;
import static org.testng.Assert.assertTrue;

import java.util.Map;
import java.util.Random;
import mosaicknife.core.WorkedHake;
import mosaicknife.core.anatomy.Species;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.breakdown.HouseNorms;
import mosaicknife.core.quantity.Mass;
import org.testng.annotations.Test;

public class FishSimulatorTest {

  private static final Species HAKE = WorkedHake.CATALOGUE.getSpecies("hake");
  private static final Mass FISH = Mass.ofGrams(5000);

  @Test
  public void theSameSeedGivesTheSameFish() {
    assertEquals(fish(4), fish(4));
    assertNotEquals(fish(4), fish(5));
  }

  @Test
  public void partsAndLossAreTheFishAndNoPartIsMissing() {
    for (int seed = 0; seed < 200; seed++) {
      Map<String, Mass> parts = fish(seed);
      Mass sum = Mass.total(parts.values());
      Mass loss = FISH.minus(sum);
      assertTrue(loss.isPositive() && loss.compareTo(Mass.ofGrams(250)) < 0, "loss " + loss);
      assertEquals(parts.size(), HAKE.sharesIn(State.GUTTED).size());
      parts.forEach((slot, mass) -> assertTrue(mass.isPositive(), slot));
    }
  }

  @Test
  public void theFilletsOfManyFishAverageTheNormAndTheirSidesAreAlike() {
    double sum = 0;
    double apart = 0;
    int fish = 400;
    for (int seed = 0; seed < fish; seed++) {
      double left = grams(fish(seed).get("fillet-left"));
      double right = grams(fish(seed).get("fillet-right"));
      sum += left;
      apart += Math.abs(left - right) / left;
    }
    // the norm is 1 329.75 g with a spread near 88 g; 400 fish leave a standard error of 4.4 g
    assertEquals(sum / fish, 1329.75, 5 * 4.4);
    assertTrue(apart / fish < 0.04, "sides differ by " + apart / fish);
  }

  private static Map<String, Mass> fish(int seed) {
    return FishSimulator.draw(HAKE, State.GUTTED, FISH, HouseNorms.STARTING, new Random(seed));
  }

  private static double grams(Mass mass) {
    return mass.inGrams().doubleValue();
  }
}
