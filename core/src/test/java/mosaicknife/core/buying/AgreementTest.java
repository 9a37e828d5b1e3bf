package mosaicknife.core.buying;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.Currency;
import java.util.List;
import mosaicknife.core.anatomy.Catalogue;
import mosaicknife.core.anatomy.SizeGrade;
import mosaicknife.core.anatomy.Species;
import mosaicknife.core.anatomy.Specification;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.breakdown.HouseNorms;
import mosaicknife.core.buying.Offer.Form;
import mosaicknife.core.plan.Choices;
import mosaicknife.core.plan.CutPlan;
import mosaicknife.core.plan.CutPlan.MainCut;
import mosaicknife.core.plan.CutPlan.Planned;
import mosaicknife.core.plan.CuttingOptions;
import mosaicknife.core.portion.Serving;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.UnitPrice;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** One fish, one plan, one figure: what Buy says of a fish is what its cut plan says. */
public class AgreementTest {

  private static final Catalogue CATALOGUE = Catalogue.shipped();
  private static final Currency EUR = Currency.getInstance("EUR");

  @DataProvider
  Object[][] specifications() {
    return java.util.Arrays.stream(Specification.values())
        .map(s -> new Object[] {s})
        .toArray(Object[][]::new);
  }

  private static CutPlan plan(Species fish, State state, Specification to, Mass mass) {
    return CutPlan.of(
        new CutPlan.Fish(fish, state, 1, mass, HouseNorms.STARTING),
        Choices.USUAL.meeting(to, false, CuttingOptions.of(fish, state)),
        CATALOGUE);
  }

  @Test(dataProvider = "specifications")
  public void buyAndCutPlanAgreeOnMinutesPortionsAndPlate(Specification to) {
    for (Species fish : CATALOGUE.species()) {
      for (State state : List.of(State.UNGUTTED, State.GUTTED)) {
        // fish of one mass, so that nothing but the plan decides
        Mass most = fish.usualMass().highest();
        // plates of kilograms take more knife than any kitchen has
        Mass mass = most.compareTo(Mass.ofGrams(60_000)) > 0 ? Mass.ofGrams(60_000) : most;
        SizeGrade narrow = new SizeGrade(mass.minus(Mass.ofMilligrams(1)), mass);
        CutPlan plan = plan(fish, state, to, narrow.middle());
        // a portion of a third of its mean cut: the count is clear of an edge
        double cut = plan.mainCuts().stream().mapToDouble(MainCut::mean).min().orElseThrow();
        Mass portion = Mass.ofMilligrams((long) (cut * mass.milligrams() / 1.5));
        Wish wish =
            new Wish(
                new Serving(Serving.Form.SLICES, portion, 0, 1, true),
                to,
                Choices.USUAL,
                Counts.exactly(40),
                0,
                0.9,
                ExactMoney.of("18.00", EUR));
        Offer offer =
            new Offer(
                "o", fish, state, narrow, Form.WHOLE, UnitPrice.ofPerKilogram("10", EUR), "x");
        Candidate candidate =
            new OrderPlanner(HouseNorms.STARTING, CATALOGUE).candidate(wish, offer).orElseThrow();
        String at = fish.code() + " " + state + " " + to;
        assertEquals(candidate.minutes() / candidate.fish(), plan.minutes(), 1e-6, at);
        assertEquals(
            candidate.labour().amount().doubleValue(),
            18 * plan.minutes() * candidate.fish() / 60,
            0.001 * candidate.fish(),
            at);
        assertEquals(
            candidate.money().amount().doubleValue() / candidate.fish(),
            narrow.middle().milligrams() / 1e5,
            1e-6,
            at);
      }
    }
  }

  @Test(dataProvider = "specifications")
  public void everyFishFillsItselfAndYieldsLieInTheRangesTheTradeWouldAccept(Specification to) {
    for (Species fish : CATALOGUE.species()) {
      for (State state : State.OF_FISH) {
        CutPlan plan = plan(fish, state, to, Mass.ofKilograms("4"));
        Mass parts = Mass.total(plan.parts().stream().map(Planned::mass).toList());
        String at = fish.code() + " " + state + " " + to;
        // 1.5 % of 4 kg are lost
        assertEquals(parts.milligrams() / 1e6, 3.94, 0.0001, at);
      }
      double skinOn = mains(fish, State.GUTTED, Specification.SKIN_ON);
      double here = mains(fish, State.GUTTED, to);
      double headed = mains(fish, State.HEADED_AND_GUTTED, Specification.SKIN_ON);
      // the tail of a monkfish is 25 to 38 % of it
      assertTrue(skinOn > 0.28 && skinOn < 0.70, fish.code() + " skin-on " + skinOn);
      assertTrue(here > 0.25 && here <= skinOn, fish.code() + " " + to + " " + here);
      assertTrue(headed > skinOn && headed < 0.82, fish.code() + " headed " + headed);
    }
  }

  @Test
  public void aMackerelWithoutSkinIsOneFigure() {
    // the fish whose two figures, 57.0 and 63.5 %, made this test: skin and pin-bone strip are off
    Species mackerel = CATALOGUE.getSpecies("mackerel");
    double on = mains(mackerel, State.GUTTED, Specification.SKIN_ON);
    double off = mains(mackerel, State.GUTTED, Specification.SKINLESS);
    assertTrue(off < on, "skinless " + off + ", skin on " + on);
    assertEquals(off, on * (1 - mackerel.eating().skinShare()), 0.0001);
  }

  @Test
  public void theAnswersOfTheHouseCountWhereTheDishLeavesThemOpen() {
    Species hake = CATALOGUE.getSpecies("hake");
    var options = CuttingOptions.of(hake, State.GUTTED);
    Choices house = Choices.USUAL.with("ribs", "through").with("skin", "off");
    assertEquals(
        house.meeting(Specification.SKIN_ON, false, options).byOption().get("ribs"), "through");
    assertEquals(house.meeting(Specification.SKIN_ON, false, options).byOption().get("skin"), "on");
    Choices pulled = Choices.USUAL.with("pin-bones", "pulled");
    assertEquals(
        pulled.meeting(Specification.SKINLESS, false, options).byOption().get("pin-bones"),
        "pulled",
        "boneless by the house's own way");
    assertEquals(
        Choices.USUAL.meeting(Specification.SKINLESS, false, options).byOption().get("pin-bones"),
        "strip");
    assertEquals(
        Choices.USUAL.meeting(Specification.BLOCKS, true, options).byOption().get("route"),
        "whole");
  }

  private static double mains(Species fish, State state, Specification to) {
    return plan(fish, state, to, Mass.ofKilograms("4")).yield().toDouble();
  }
}
