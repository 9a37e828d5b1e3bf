package mosaicknife.core.heat;

import static mosaicknife.core.heat.LagFitTest.at;
import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertNotEquals;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.Set;
import mosaicknife.core.finding.Finding;
import mosaicknife.core.heat.Cooling.Goal;
import mosaicknife.core.heat.Cooling.Standing;
import mosaicknife.core.heat.Cooling.Way;
import mosaicknife.core.heat.Doneness.Plausible;
import org.testng.annotations.Test;

/** Whether a pot is cold in time, and a piece done. */
public class CoolingTest {

  /** From 60 °C to 21 in two hours, and to 5 in six in all. */
  private static final CoolingRule RULE = new CoolingRule(60, 21, 120, 5, 360);

  /** Readings of a pot every few minutes. */
  private static List<Reading> pot(double around, double start, double tau, int until) {
    List<Reading> readings = new ArrayList<>();
    for (int minute = 0; minute <= until; minute += 5) {
      readings.add(at(minute, around + (start - around) * Math.exp(-minute / tau)));
    }
    return readings;
  }

  private static Cooling cooling(List<Reading> readings, Surroundings where) {
    return new Cooling(readings, where, RULE);
  }

  @Test
  public void aDeepPotInTheRoomIsSeenToBeLateWhileThereIsTime() {
    // τ = 180 min in a room of 22 °C: it never gets to 21
    Cooling pot = cooling(pot(22, 58, 180, 25), Surroundings.ROOM);
    assertEquals(pot.standing(25), Standing.LATE);
    assertTrue(pot.due().get(0).never() || pot.due().get(0).when().isPresent());
    assertEquals(pot.due().get(0).deadline(), 120, 0.01);
    Set<Way> help = pot.help(25);
    assertTrue(help.contains(Way.ICE_BATH), "" + help);
    assertFalse(help.contains(Way.PADDLE), "stirring alone does not cool below the room");
  }

  @Test
  public void aShallowTrayInTheColdIsLeftInPeace() {
    // τ = 60 min at 2 °C: 21 after 60 × ln(56/19) = 65 min, 5 after 60 × ln(56/3) = 176
    Cooling tray = cooling(pot(2, 58, 60, 20), Surroundings.FRIDGE);
    assertEquals(tray.standing(20), Standing.TOO_EARLY, "the later limit is not yet sure");
    assertEquals(cooling(pot(2, 58, 60, 90), Surroundings.FRIDGE).standing(90), Standing.IN_TIME);
    LagFit.When first = tray.due().get(0).when().orElseThrow();
    assertEquals(first.likely(), 65, 5);
  }

  /** Off the heat 150 minutes before the first reading, as after standing and straining. */
  private static Cooling stood(Reading... readings) {
    return new Cooling(
        List.of(readings),
        Surroundings.ICE_BATH,
        RULE,
        OptionalDouble.of(-150),
        OptionalDouble.empty());
  }

  @Test
  public void standingAndStrainingArePartOfTheTimeUnlessAReadingShowsItWasHotter() {
    // 52 °C when it was read first: nobody knows when it passed 60, so it counts from the heat
    assertEquals(stood(at(0, 52)).standing(1), Standing.MISSED, "two hours for 21 °C are gone");
    // 64 °C when it was read first: it passed 60 a third of the way to 52 at the next reading
    Cooling hotter = stood(at(0, 64), at(12, 52));
    assertEquals(hotter.due().get(0).deadline(), 4 + 120, 0.01);
    assertNotEquals(hotter.standing(12), Standing.MISSED);
    assertEquals(
        new Cooling(List.of(at(0, 52)), Surroundings.ICE_BATH, RULE).due().get(0).deadline(),
        120,
        0.01,
        "without a word of the heat it counts from the reading");
  }

  @Test
  public void nothingButAReadingShowsThatItIsCold() {
    assertEquals(what(stood().coldness()), Cooling.Problem.NOT_READ_COLD);
    assertEquals(what(stood(at(0, 64), at(30, 20)).coldness()), Cooling.Problem.NOT_READ_COLD);
    assertEquals(
        what(stood(at(0, 64), at(100, 4.8), at(110, 7)).shelving(110)),
        Cooling.Problem.NOT_READ_COLD,
        "it is warm again");
    assertEquals(
        what(stood(at(0, 64), at(2, 4)).coldness()), Cooling.Problem.DOUBTFUL, "nothing cools so");
    assertEquals(stood(at(0, 64), at(60, 18), at(180, 5)).shelving(180), Optional.empty());
    assertEquals(
        what(stood(at(0, 52), at(60, 18), at(180, 5)).shelving(180)), Cooling.Problem.MISSED);
    assertEquals(
        stood(at(0, 52), at(60, 18), at(180, 5)).coldness(),
        Optional.empty(),
        "its cooling ends, what becomes of it is another matter");
  }

  private static Object what(Optional<Finding> finding) {
    return finding.orElseThrow().what();
  }

  @Test
  public void theClockStartsWhenItFallsBelowTheFirstTemperature() {
    // 80 °C, τ = 60 in ice of 1 °C: 60 is reached after 60 × ln(79/59) = 17.5 min
    List<Reading> readings = pot(1, 80, 60, 60);
    Cooling pot = cooling(readings, Surroundings.ICE_BATH);
    assertEquals(pot.due().get(0).deadline(), 137.5, 0.6);
    assertEquals(cooling(readings.subList(0, 3), Surroundings.ICE_BATH).standing(10), Standing.HOT);
    assertEquals(cooling(List.of(), Surroundings.ICE_BATH).standing(0), Standing.TOO_EARLY);
  }

  @Test
  public void whatIsReachedInTimeIsColdAndWhatIsNotIsMissed() {
    Cooling cold = cooling(pot(1, 60, 60, 240), Surroundings.ICE_BATH);
    assertEquals(cold.standing(240), Standing.COLD);
    assertEquals(cold.due(), List.of());
    Cooling late = cooling(pot(22, 58, 180, 130), Surroundings.ROOM);
    assertEquals(late.standing(130), Standing.MISSED);
    Cooling forgotten = cooling(pot(2, 58, 60, 20), Surroundings.FRIDGE);
    assertEquals(forgotten.standing(121), Standing.MISSED, "nobody read it in time");
    assertEquals(
        cooling(pot(1, 60, 60, 90), Surroundings.ICE_BATH).due().get(0).goal(),
        Goal.COLD,
        "the first stage is done");
  }

  @Test
  public void aReadingThatCannotBeTellsNothing() {
    List<Reading> fridge = List.of(at(0, 85), at(5, 80), at(10, 75), at(15, 4));
    assertEquals(cooling(fridge, Surroundings.FRIDGE).doubt(), Optional.of(Cooling.Doubt.JUMPS));
    List<Reading> out = List.of(at(0, 50), at(5, 48), at(10, 55));
    assertEquals(cooling(out, Surroundings.FRIDGE).doubt(), Optional.of(Cooling.Doubt.RISES));
    assertEquals(cooling(out, Surroundings.FRIDGE).standing(10), Standing.TOO_EARLY);
    List<Reading> cold = List.of(at(0, 12), at(30, 6));
    assertEquals(
        cooling(cold, Surroundings.ROOM).doubt(), Optional.of(Cooling.Doubt.COLDER_THAN_AROUND));
    assertEquals(cooling(pot(2, 58, 60, 20), Surroundings.FRIDGE).doubt(), Optional.empty());
  }

  @Test
  public void soundPotsAreNotCalledLateAndLateOnesAre() {
    Random random = new Random(7);
    int falseAlarms = 0;
    int missed = 0;
    int late = 0;
    int sound = 0;
    for (int i = 0; i < 400; i++) {
      double around = 4 + 1.5 * random.nextGaussian();
      double tau = 40 + random.nextInt(120);
      List<Reading> readings = new ArrayList<>();
      for (int minute = 0; minute <= 30; minute += 5) {
        double noise = 0.25 * random.nextGaussian();
        readings.add(at(minute, around + (59 - around) * Math.exp(-minute / tau) + noise));
      }
      Cooling pot = cooling(readings, Surroundings.FRIDGE);
      double first = tau * Math.log((59 - around) / (21 - around));
      double cold = around >= 5 ? 1e9 : tau * Math.log((59 - around) / (5 - around));
      boolean isLate = first > 120 || cold > 360;
      boolean called = pot.standing(30) == Standing.LATE;
      late += isLate ? 1 : 0;
      sound += isLate ? 0 : 1;
      falseAlarms += !isLate && called ? 1 : 0;
      missed += isLate && pot.standing(30) == Standing.IN_TIME ? 1 : 0;
    }
    assertTrue(late > 50 && sound > 50, late + " late, " + sound + " sound");
    assertTrue(falseAlarms <= 0.05 * sound, falseAlarms + " false of " + sound);
    assertTrue(missed <= 0.15 * late, missed + " missed of " + late);
  }

  @Test
  public void aCoreThatEndsBelowTheCodeSaysSo() {
    Doneness.Done done =
        Doneness.of(List.of(at(0, 5), at(5, 46), at(10, 54)), 63, 20, 60).orElseThrow();
    assertEquals(done.at(), Optional.empty(), "it is not as hot as that around it");
    assertTrue(done.ends() > 54 && done.ends() < 63, "" + done.ends());
    Doneness.Done house =
        Doneness.of(List.of(at(0, 5), at(5, 46), at(10, 54)), 50, 20, 60).orElseThrow();
    assertEquals(house.at().orElseThrow().likely(), 6.5, 1.0);
    assertTrue(house.pull().orElseThrow().likely() <= house.at().orElseThrow().likely());
  }

  @Test
  public void twoReadingsAreAFirstForecastAndAWideOne() {
    // from 8 to 20 °C in 6 min in an oven of 180, 2 ° a minute at least: 50 after 15 more or sooner
    Doneness.Done done = Doneness.of(List.of(at(0, 8), at(6, 20)), 50, 45, 180).orElseThrow();
    LagFit.When when = done.at().orElseThrow();
    assertTrue(when.likely() > 12 && when.likely() < 22, "" + when);
    assertTrue(when.latest().orElseThrow() - when.earliest() > 4, "" + when);
    assertTrue(done.carried() > 2 && done.carried() <= 8, "" + done.carried());
    assertTrue(done.pull().orElseThrow().likely() < when.likely());
    assertEquals(Doneness.of(List.of(at(0, 20), at(6, 19)), 50, 45, 180), Optional.empty());
    assertEquals(Doneness.of(List.of(at(0, 20)), 50, 45, 180), Optional.empty());
  }

  @Test
  public void aTimeThatHeatCannotKeepIsQuestioned() {
    // 60 mm: τ = 0.06² / (π² × 1.4e−7) = 2605 s; (90 − 55)/(90 − 5) left: ln(1.273 × 85 / 35)
    assertEquals(Doneness.slabMinutes(60, 5, 55, 90), 2605.4 / 60 * 1.1288, 0.1);
    assertEquals(Doneness.question(10, 60, 5, 55, 90), Plausible.TOO_SHORT, "2.1 kg whole");
    assertEquals(Doneness.question(45, 60, 5, 55, 90), Plausible.YES);
    assertEquals(Doneness.question(150, 60, 5, 55, 90), Plausible.TOO_LONG);
  }
}
