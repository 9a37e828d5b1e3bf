package mosaicknife.core.breakdown;

import static mosaicknife.core.WorkedHake.leaf;
import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertThrows;
import static org.testng.Assert.assertTrue;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import mosaicknife.core.WorkedHake;
import mosaicknife.core.anatomy.Purpose;
import mosaicknife.core.anatomy.Species;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.breakdown.Balance.Verdict;
import mosaicknife.core.practice.FishSimulator;
import mosaicknife.core.quantity.Mass;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class BalanceTest {

  private static final ScaleError TWO_GRAMS = ScaleError.of(Mass.ofGrams(2));

  @Test
  public void theWorkedHakeClosesWithALossOf87Grams() {
    Breakdown hake = WorkedHake.breakdown();
    Balance balance = Balance.of(hake, Mass.ZERO, LossNorm.STARTING, TWO_GRAMS);
    assertEquals(hake.tallied(), Mass.ofKilograms("4.773"));
    assertEquals(balance.remainder(), Mass.ofGrams(87));
    assertEquals(
        balance.remainderShare().toPercent(2, RoundingMode.HALF_UP), new BigDecimal("1.79"));
    assertEquals(balance.verdict(), Verdict.CLOSED);
    // 1.5 % of 4 860 g is 72.9 g, so 14.1 g are unexplained: inside the band
    assertEquals(balance.unexplained(), Mass.ofMilligrams(14_100));
  }

  @DataProvider
  Object[][] tallies() {
    // the fish weighs 4 860 g; the band of the loss ends at 3.1 % = 150.66 g;
    // two readings of 2 g steps have sigma sqrt(2 × (4/12 + 1)) = 1.63 g; nobody looks for less
    // than
    // 0.5 % of the fish, 24.3 g
    return new Object[][] {
      {"4.710", 0, Verdict.CLOSED},
      {"4.709", 0, Verdict.SHORT},
      {"4.860", 0, Verdict.CLOSED},
      {"4.863", 0, Verdict.CLOSED},
      {"4.864", 0, Verdict.CLOSED},
      {"4.884", 0, Verdict.CLOSED},
      {"4.885", 0, Verdict.OVER},
      {"5.074", 0, Verdict.OVER},
      {"5.074", 900, Verdict.OVER},
      {"2.000", 2_787, Verdict.OPEN},
      {"4.709", 1, Verdict.OPEN},
    };
  }

  @Test(dataProvider = "tallies")
  public void judgesATallyAtItsLimits(String kilograms, int outstanding, Verdict verdict) {
    Breakdown breakdown = WorkedHake.with(leaf("fillet-left", "fillet", kilograms, Purpose.PLATE));
    Balance balance =
        Balance.of(breakdown, Mass.ofGrams(outstanding), LossNorm.STARTING, TWO_GRAMS);
    assertEquals(balance.verdict(), verdict);
  }

  @Test
  public void aCutPartCountsOnceAndKeepsItsOwnLoss() {
    Node.Cut fillet =
        new Node.Cut(
            "fillet-left",
            "Left fillet",
            WorkedHake.CATALOGUE.findKind("fillet").orElseThrow(),
            Mass.ofGrams(1318),
            List.of(
                leaf("loin", "loin", "1.120", Purpose.PLATE),
                leaf("skin", "skin", "0.150", Purpose.COMPOST),
                leaf("trim", "trim", "0.040", Purpose.SECOND_PLATE)));
    Breakdown breakdown = WorkedHake.with(fillet, leaf("frame", "frame", "0.612", Purpose.POT));
    assertEquals(fillet.loss(), Mass.ofGrams(8));
    assertEquals(breakdown.tallied(), Mass.ofGrams(1930));
    assertEquals(
        breakdown.leaves().stream().map(Node::id).toList(),
        List.of("loin", "skin", "trim", "frame"));
  }

  @Test
  public void refusesWhatCannotBeATree() {
    Node frame = leaf("frame", "frame", "0.612", Purpose.POT);
    assertThrows(IllegalArgumentException.class, () -> WorkedHake.with(frame, frame));
    assertThrows(IllegalArgumentException.class, () -> leaf("frame", "frame", "0", Purpose.POT));
    assertThrows(
        IllegalArgumentException.class, () -> new Breakdown(State.GUTTED, Mass.ZERO, 1, List.of()));
  }

  @Test
  public void everySimulatedFishClosesOnAScaleWithoutError() {
    Random random = new Random(7);
    HouseNorms usual = HouseNorms.STARTING;
    HouseNorms steady =
        new HouseNorms(
            new LossNorm(0.015, 0.002),
            usual.scale(),
            usual.habits(),
            usual.sides(),
            usual.sizes());
    for (Species species : WorkedHake.CATALOGUE.species()) {
      for (State state : State.OF_FISH) {
        Mass purchased = species.usualMass().highest();
        Map<String, Mass> parts = FishSimulator.draw(species, state, purchased, steady, random);
        List<Node> leaves = new ArrayList<>();
        parts.forEach(
            (slot, mass) ->
                leaves.add(
                    leaf(
                        slot,
                        species.plan().findSlot(slot).orElseThrow().kind().code(),
                        mass.inKilograms().toPlainString(),
                        null)));
        Breakdown breakdown = new Breakdown(state, purchased, 1, leaves);
        Verdict verdict = Balance.of(breakdown, Mass.ZERO, LossNorm.STARTING, TWO_GRAMS).verdict();
        assertEquals(verdict, Verdict.CLOSED, species.code() + " " + state);
      }
    }
  }

  @Test
  public void theExpectationAddsUpToTheFish() {
    for (Species species : WorkedHake.CATALOGUE.species()) {
      for (State state : State.OF_FISH) {
        Mass purchased = Mass.ofGrams(4_860);
        Expectation expectation = Expectation.of(species, state, purchased, LossNorm.STARTING);
        Mass parts =
            Mass.total(expectation.parts().stream().map(Expectation.Expected::mass).toList());
        Mass gap = purchased.minus(parts).minus(LossNorm.STARTING.expected(purchased)).abs();
        // each part is rounded to the milligram, there are fewer than 20
        assertTrue(gap.milligrams() < 20, species.code() + " " + state + " misses " + gap);
      }
    }
  }
}
