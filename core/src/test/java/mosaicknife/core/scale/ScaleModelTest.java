package mosaicknife.core.scale;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.Random;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.scale.ScaleModel.Load;
import mosaicknife.core.scale.ScaleReading.Motion;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class ScaleModelTest {

  private static final Mass CAPACITY = Mass.ofGrams(15_000);

  @DataProvider
  Object[][] steps() {
    // 1 317 g on a display that steps by 1, 2 and 5 g
    return new Object[][] {{1, 1317}, {2, 1318}, {5, 1315}};
  }

  @Test(dataProvider = "steps")
  public void settlesOnTheNearestStep(int step, int shown) {
    ScaleModel model = new ScaleModel(Mass.ofGrams(step), CAPACITY, 0.4);
    ScaleReading reading = model.reading(load(0, 1317), Mass.ofGrams(0), 3_000, new Random(1));
    assertEquals(reading.net(), Mass.ofGrams(shown));
    assertTrue(reading.isTakeable());
  }

  @Test
  public void aSteadyFigureStandsStill() {
    // 1 317 g lies on the edge between two steps: no rest of the swing may tip it
    ScaleModel model = new ScaleModel(Mass.ofGrams(2), CAPACITY, 1);
    Random random = new Random(5);
    for (int at = 0; at < 5_000; at += 10) {
      ScaleReading reading = model.reading(load(0, 1317), Mass.ZERO, at, random);
      if (reading.motion() == Motion.STEADY) {
        assertEquals(reading.net(), Mass.ofGrams(1318), "at " + at);
      }
    }
  }

  @Test
  public void cannotBeTakenWhileItSwings() {
    ScaleModel model = new ScaleModel(Mass.ofGrams(1), CAPACITY, 0.4);
    ScaleReading early = model.reading(load(0, 1317), Mass.ZERO, 120, new Random(1));
    assertEquals(early.motion(), Motion.MOVING);
    assertFalse(early.isTakeable());
    ScaleReading unchanged = model.reading(load(500, 500), Mass.ZERO, 100, new Random(1));
    assertEquals(unchanged.motion(), Motion.MOVING, "steady before the display filter's wait");
  }

  @Test
  public void takesTheTareOffAndGoesBelowZeroWhenTheTrayIsLifted() {
    ScaleModel model = new ScaleModel(Mass.ofGrams(2), CAPACITY, 0);
    Mass tray = Mass.ofGrams(212);
    assertEquals(
        model.reading(load(212, 1530), tray, 5_000, new Random(1)).net(), Mass.ofGrams(1318));
    ScaleReading lifted = model.reading(load(1530, 0), tray, 5_000, new Random(1));
    assertEquals(lifted.net(), Mass.ofGrams(-212));
    assertFalse(lifted.isTakeable());
  }

  @Test
  public void showsNoFigureAboveItsCapacity() {
    ScaleModel model = new ScaleModel(Mass.ofGrams(5), CAPACITY, 0);
    ScaleReading reading = model.reading(load(0, 15_001), Mass.ZERO, 5_000, new Random(1));
    assertEquals(reading.motion(), Motion.OVERLOADED);
    assertFalse(reading.isTakeable());
  }

  private static Load load(int before, int now) {
    return new Load(Mass.ofGrams(before), Mass.ofGrams(now), 0);
  }
}
