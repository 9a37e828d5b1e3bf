package mosaicknife.core.heat;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mosaicknife.core.quantity.Temperature;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Where nine of ten is said it is about nine of ten, in bodies and baths of other physics. */
public class BandsTest {

  private static final int MANY = 200;
  private static final long SEED = 23;

  private static final Map<SimulatedHeat.Family, HeatCount> COUNTED =
      new EnumMap<>(SimulatedHeat.Family.class);

  private static HeatCount count(SimulatedHeat.Family family) {
    return COUNTED.computeIfAbsent(family, one -> HeatCount.cooling(one, MANY, SEED));
  }

  /** What cools, and the widest median band as a share of the time that is left. */
  @DataProvider
  public Object[][] families() {
    return new Object[][] {
      {SimulatedHeat.Family.KETTLE_IN_ROOM, 84, 96, 0.65},
      {SimulatedHeat.Family.PAN_IN_ROOM, 85, 96, 0.65},
      {SimulatedHeat.Family.TRAY_IN_FRIDGE, 85, 96, 2},
      {SimulatedHeat.Family.BAG_IN_FRIDGE, 85, 96, 2},
      {SimulatedHeat.Family.BATH_THAT_MELTS, 85, 96, 1},
      {SimulatedHeat.Family.TRAY_IN_BLAST, 85, 96, 0.55},
      // ice that is changed in time: the band still allows for ice that is not
      {SimulatedHeat.Family.BATH_OF_ICE, 85, 99, 1},
      {SimulatedHeat.Family.BAG_IN_ICE, 85, 99, 1},
      {SimulatedHeat.Family.POT_MOVED, 85, 99, 1},
    };
  }

  @Test(dataProvider = "families")
  public void aBandOfCoolingHoldsAboutNineOfTenTimes(
      SimulatedHeat.Family family, int least, int most, double width) {
    HeatCount all = count(family);
    String line = all.line(family.name());
    assertTrue(all.share() >= least && all.share() <= most, line);
    assertTrue(Double.isNaN(all.medianWidth()) || all.medianWidth() <= width, line);
    assertTrue(all.saidButLate <= 0.03 * all.saidInTime + 1, line);
  }

  @Test
  public void inTimeIsSaidByHalfTimeOfMostThatAre() {
    int inTime = 0;
    int said = 0;
    for (SimulatedHeat.Family family : SimulatedHeat.Family.values()) {
      HeatCount all = count(family);
      inTime += all.inTime;
      said += all.byHalf;
    }
    assertTrue(said >= 0.6 * inTime, said + " of " + inTime);
  }

  @Test
  public void aBandOfACoreOnTheHeatHoldsAboutNineOfTenTimes() {
    HeatCount all = HeatCount.core(MANY / 2, SEED);
    assertTrue(all.share() >= 85 && all.share() <= 95, all.line("core"));
    assertTrue(all.medianWidth() <= 0.6, all.line("core"));
  }

  @Test
  public void threeEarlyReadingsNeverSayNeverAndAProbeIsNoBetterThanItIs() {
    List<Reading> early = List.of(at(0, 40), at(1, 46), at(2, 81));
    Optional<Doneness.Done> done = Doneness.of(early, 850 / 10.0, 20, 90);
    assertTrue(done.orElseThrow().at().isPresent());
    // a core that rises 4 ° a minute: a probe off by 0.6 ° is off by nine seconds
    List<Reading> steady = List.of(at(0, 20), at(2.5, 30), at(5, 40), at(6, 44), at(7, 48));
    LagFit.When when = Doneness.of(steady, 50, 25, 200).orElseThrow().at().orElseThrow();
    assertTrue(when.latest().orElseThrow() - when.earliest() >= 0.15, "" + when);
  }

  @Test
  public void aPotThatWasMovedIsJudgedByWhatItDidSince() {
    List<Reading> readings =
        List.of(at(0, 60), at(20, 58), at(40, 56), at(45, 40), at(50, 29), at(55, 21.5));
    Cooling moved =
        new Cooling(
            readings,
            Surroundings.ICE_BATH,
            HeatCount.RULE,
            java.util.OptionalDouble.of(0),
            java.util.OptionalDouble.of(40));
    assertEquals(moved.standing(55), Cooling.Standing.IN_TIME);
    assertTrue(moved.fit().orElseThrow().best().minutes() < 25);
  }

  private static Reading at(double minutes, double degrees) {
    return new Reading(minutes, new Temperature((int) Math.round(degrees * 10)));
  }
}
