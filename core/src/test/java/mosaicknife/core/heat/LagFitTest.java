package mosaicknife.core.heat;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertNotEquals;
import static org.testng.Assert.assertSame;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import mosaicknife.core.quantity.Temperature;
import org.testng.annotations.Test;

/** The law of cooling from readings, against curves worked by hand. */
public class LagFitTest {

  static Reading at(double minutes, double degrees) {
    return new Reading(minutes, new Temperature((int) Math.round(degrees * 10)));
  }

  @Test
  public void threeReadingsTellTheTimeConstant() {
    // 3.6 + 56.4 · e^(−t/60): 60 at once, 43.8 after 20 min, 32.6 after 40
    LagFit fit =
        LagFit.of(List.of(at(0, 60), at(20, 44), at(40, 32.6)), Surroundings.FRIDGE).orElseThrow();
    assertEquals(fit.best().minutes(), 60, 1.5);
    assertEquals(fit.best().surroundings(), 3.6, 1);
    // 60 · ln(56.4 / 17.4)
    assertEquals(fit.reaches(21).orElseThrow().likely(), 70.6, 2);
  }

  @Test
  public void twoReadingsLeaveTheSurroundingsAsTheyAreThoughtOf() {
    List<Reading> two = List.of(at(0, 80), at(30, 60));
    LagFit fit = LagFit.of(two, Surroundings.ROOM).orElseThrow();
    // (60 − 22) / (80 − 22) = e^(−30/τ): τ = 70.9 min; 30 °C after 70.9 × ln(58 / 8) = 140 min
    assertEquals(fit.best().minutes(), 70.9, 2);
    LagFit.When when = fit.reaches(30).orElseThrow();
    assertEquals(when.likely(), 140.5, 8);
    assertTrue(when.earliest() < 130, "" + when);
    assertTrue(when.latest().orElse(1e9) > 150, "" + when);
    assertEquals(fit.reaches(5), Optional.empty(), "a room of 22 °C cools nothing to 5");
  }

  @Test
  public void theSameReadingsAreFittedOnce() {
    LagFit fit = LagFit.of(List.of(at(0, 80), at(31, 60)), Surroundings.ROOM).orElseThrow();
    assertSame(LagFit.of(List.of(at(0, 80), at(31, 60)), Surroundings.ROOM).orElseThrow(), fit);
    LagFit colder = LagFit.of(List.of(at(0, 80), at(31, 60)), Surroundings.FRIDGE).orElseThrow();
    assertNotEquals(colder.best().minutes(), fit.best().minutes());
  }

  @Test
  public void oneReadingAndOneMomentSayNothing() {
    assertEquals(LagFit.of(List.of(at(0, 80)), Surroundings.ROOM), Optional.empty());
    assertEquals(LagFit.of(List.of(at(0, 80), at(0, 79)), Surroundings.ROOM), Optional.empty());
  }

  @Test
  public void nineOfTenForecastsHoldWhatCame() {
    Random random = new Random(12);
    int held = 0;
    int all = 300;
    double widest = 0;
    for (int i = 0; i < all; i++) {
      double around = 4 + 2 * random.nextGaussian();
      double tau = 60 + random.nextInt(240);
      double start = 75 + random.nextInt(15);
      List<Reading> readings = new ArrayList<>();
      for (int minute = 0; minute <= 30; minute += 5) {
        double noise = 0.3 * random.nextGaussian();
        readings.add(at(minute, around + (start - around) * Math.exp(-minute / tau) + noise));
      }
      double truth = tau * Math.log((start - around) / (21 - around));
      LagFit.When when =
          LagFit.of(readings, Surroundings.FRIDGE).orElseThrow().reaches(21).orElseThrow();
      boolean within = truth >= when.earliest() && truth <= when.latest().orElse(1e9);
      held += within ? 1 : 0;
      widest = Math.max(widest, (when.latest().orElse(1e9) - when.earliest()) / truth);
    }
    // without a wall, melting ice or a full shelf it holds more often: see BandsTest for those
    assertTrue(held >= 0.85 * all, held + " of " + all);
    assertTrue(widest < 1, "half an hour of readings says it to within " + widest);
  }
}
