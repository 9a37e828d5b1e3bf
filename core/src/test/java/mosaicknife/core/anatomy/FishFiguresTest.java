package mosaicknife.core.anatomy;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertThrows;
import static org.testng.Assert.assertTrue;

import java.time.Month;
import java.util.List;
import java.util.Optional;
import mosaicknife.core.anatomy.Season.Hemisphere;
import mosaicknife.core.anatomy.StartingFigures.HeadSize;
import mosaicknife.core.anatomy.StartingFigures.Ribs;
import mosaicknife.core.plan.CuttingOptions;
import mosaicknife.core.quantity.Mass;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class FishFiguresTest {

  private final Catalogue catalogue = Catalogue.shipped();

  @DataProvider
  Object[][] plans() {
    return catalogue.plans().stream().map(plan -> new Object[] {plan}).toArray(Object[][]::new);
  }

  @Test(dataProvider = "plans")
  public void theUsualFishOfAPlanAddsUpToOne(BodyPlan plan) {
    List<Share> usual = catalogue.usualShares(plan);
    assertEquals(usual.size(), plan.slots().size(), "a norm for every part");
    assertEquals(usual.stream().mapToDouble(Share::mean).sum(), 1, 0.0005);
    assertTrue(CuttingOptions.routesOf(plan).size() >= 2, "a choice of routes");
  }

  @Test(dataProvider = "plans")
  public void aFishNobodyKnowsGetsNormsThatAddUpAndAreWide(BodyPlan plan) {
    List<Share> usual = catalogue.usualShares(plan);
    for (Ribs ribs : Ribs.values()) {
      for (HeadSize head : HeadSize.values()) {
        List<Share> guessed = StartingFigures.guess(usual, ribs, head).applyTo(usual, 1.6);
        assertEquals(guessed.stream().mapToDouble(Share::mean).sum(), 1, 1e-9);
        assertTrue(guessed.stream().allMatch(share -> share.mean() > 0), guessed.toString());
        assertTrue(spread(guessed) > 1.3 * spread(usual), "wider than the plan's");
      }
    }
  }

  private static double spread(List<Share> shares) {
    return shares.stream().mapToDouble(Share::spread).sum();
  }

  @Test
  public void hardRibsAndALargeHeadCostFlesh() {
    List<Share> usual = catalogue.usualShares(catalogue.findPlan("round-bodied").orElseThrow());
    double plain = StartingFigures.guess(usual, Ribs.USUAL, HeadSize.USUAL).flesh();
    assertEquals(plain, 0.47, 1e-9);
    assertEquals(
        StartingFigures.guess(usual, Ribs.HARD, HeadSize.USUAL).flesh(), 0.82 * plain, 1e-9);
    // a head of .19 grows to .2565: what is left for everything else shrinks from .81 to .7435
    assertEquals(
        StartingFigures.guess(usual, Ribs.USUAL, HeadSize.LARGE).flesh(),
        plain * 0.7435 / 0.81,
        1e-9);
    assertThrows(IllegalArgumentException.class, () -> new StartingFigures(0.4, 0.5, 0.2));
  }

  @Test(dataProvider = "plans")
  public void aMassProfileRisesFromNothingToAll(BodyPlan plan) {
    for (PartSlot slot : plan.slots()) {
      if (slot.usual() != Purpose.PLATE) {
        continue;
      }
      MassProfile profile = MassProfile.of(plan, slot.code()).orElseThrow();
      assertTrue(profile.to() - profile.from() > 0.15, plan.code() + " " + slot.code() + " short");
      double last = 0;
      for (double part : profile.cumulative()) {
        assertTrue(part >= last, plan.code() + " " + slot.code());
        last = part;
      }
      assertEquals(profile.before(profile.placeOf(0.37)), 0.37, 1e-6);
      assertEquals(profile.before(-3), 0.0);
      assertEquals(profile.before(3), 1.0);
    }
  }

  @Test
  public void aFilletIsHeavierTowardsItsHead() {
    BodyPlan round = catalogue.findPlan("round-bodied").orElseThrow();
    MassProfile fillet = MassProfile.of(round, "fillet-right").orElseThrow();
    assertTrue(fillet.before(0.5) > 0.6, "half of its length holds " + fillet.before(0.5));
    assertTrue(fillet.before(0.9) > 0.97, "the last tenth is thin: " + fillet.before(0.9));
    assertEquals(MassProfile.of(round, "fins"), Optional.empty());
  }

  @Test
  public void aSeasonRunsOverTheTurnOfTheYear() {
    Season season = Season.parse("N6-2,S11-5");
    assertTrue(season.isBest(Month.DECEMBER, Hemisphere.NORTH));
    assertTrue(season.isBest(Month.FEBRUARY, Hemisphere.NORTH));
    assertFalse(season.isBest(Month.MARCH, Hemisphere.NORTH));
    assertTrue(season.isBest(Month.MARCH, Hemisphere.SOUTH));
    assertFalse(season.isBest(Month.AUGUST, Hemisphere.SOUTH));
    assertTrue(Season.ALL_YEAR.isBest(Month.MAY, Hemisphere.NORTH));
    assertTrue(Season.parse("N6-2").isBest(Month.AUGUST, Hemisphere.SOUTH), "nothing is known");
    for (String text : List.of("N6-2,S11-5", "-", "N1-12", "S3-4")) {
      assertEquals(Season.parse(text).toString(), text);
    }
    for (String text : List.of("", "6-2", "N13-2", "X6-2", "N6", "N6-2;S1-2")) {
      assertThrows(IllegalArgumentException.class, () -> Season.parse(text));
    }
  }

  @Test
  public void readsNamesAndGrades() {
    assertEquals(MarketName.parse("ES:merluza").region(), "ES");
    assertEquals(MarketName.parse("huss").toString(), "xx:huss");
    assertThrows(IllegalArgumentException.class, () -> MarketName.parse("ESP:merluza"));
    assertThrows(IllegalArgumentException.class, () -> MarketName.parse("ES: "));
    SizeGrade grade = SizeGrade.parseKilograms("1.5-2.5");
    assertEquals(grade.middle(), Mass.ofKilograms("2"));
    assertTrue(grade.contains(Mass.ofKilograms("1.5")));
    assertFalse(grade.contains(Mass.ofKilograms("2.5")));
    assertThrows(IllegalArgumentException.class, () -> SizeGrade.parseKilograms("2.5-1.5"));
    assertThrows(IllegalArgumentException.class, () -> SizeGrade.parseKilograms("2.5"));
  }
}
