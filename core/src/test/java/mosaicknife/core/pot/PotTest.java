package mosaicknife.core.pot;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertThrows;
import static org.testng.Assert.assertTrue;

import java.math.BigDecimal;
import java.time.Instant;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import mosaicknife.core.pot.PotRun.Mark;
import mosaicknife.core.pot.PotRun.Problem;
import mosaicknife.core.pot.PotRun.Standing;
import mosaicknife.core.pot.PotRun.Timed;
import mosaicknife.core.pot.PotStep.Answer;
import mosaicknife.core.pot.PotStep.Work;
import mosaicknife.core.quantity.Mass;
import org.testng.annotations.Test;

/** Stock: methods, what fits, what comes out, and a batch that runs; worked by hand. */
public class PotTest {

  private static final Map<String, StockMethod> METHODS = StockMethod.shipped();
  private static final StockMethod RESTED = METHODS.get("long-rested");
  private static final Set<Answer> USUAL = Set.of(Answer.WINE, Answer.LEMON, Answer.LID);
  private static final Kettle TWENTY = new Kettle("Tall kettle", new BigDecimal("20"), 36, 5000);

  @Test
  public void threeSchoolsAndASoupAreShipped() {
    assertEquals(
        List.copyOf(METHODS.keySet()), List.of("long-rested", "sweated", "quick", "to-pick"));
    for (StockMethod method : METHODS.values()) {
      assertTrue(method.steps().stream().anyMatch(s -> s.work() == Work.HEAT), method.code());
      assertFalse(method.uses().isEmpty(), method.code());
      assertTrue(method.asks().containsAll(method.usual()), method.code() + " asks what is usual");
    }
    assertFalse(METHODS.get("to-pick").asks().contains(Answer.EYES_OUT), "the eyes stay in");
  }

  @Test
  public void answersDecideStepsAndWhatGoesIn() {
    assertFalse(RESTED.steps(USUAL).stream().anyMatch(step -> step.code().equals("eyes")));
    Set<Answer> out = EnumSet.copyOf(USUAL);
    out.add(Answer.EYES_OUT);
    out.remove(Answer.WINE);
    assertTrue(RESTED.steps(out).stream().anyMatch(step -> step.code().equals("eyes")));
    assertEquals(RESTED.lines(USUAL).size(), 3);
    assertEquals(RESTED.lines(out).size(), 2);
  }

  @Test
  public void bonesAndKettleSayHowMuchComesOut() {
    PotPlan plan = PotPlan.of(RESTED, USUAL, Mass.ofGrams(6000), 12, TWENTY);
    // 6 kg at 520 g a litre are 11.54 l; a filling gives (17 − 0.178) / 1.693 = 9.94 l
    assertEquals(plan.litres(), 11.54, 0.01);
    assertEquals(plan.kettles(), 2);
    assertEquals(plan.bones(), Mass.ofGrams(6000));
    assertEquals(plan.over(), Mass.ZERO);
    // 11.54 + 2 × 0.178 evaporated + 0.48 held back
    assertEquals(plan.water(), 12.375, 0.005);
    // (12.375 + 6 × 1.3) / 2 = 10.09 kg; × 4180 × 86 / (5000 × 0.75) = 967 s
    assertEquals(plan.heatMinutes(), 17);
    assertEquals(plan.heatMinutesOtherwise(), 26, "half as long again without the lid");
    assertTrue(plan.least() < plan.litres() && plan.litres() < plan.most());
    assertEquals(plan.ingredients().get(0).mass(), Mass.ofGrams(840), "14 % of wine");
  }

  @Test
  public void noMoreThanWantedIsCookedAndTheRestIsSaid() {
    PotPlan plan = PotPlan.of(RESTED, USUAL, Mass.ofGrams(9000), 5, TWENTY);
    assertEquals(plan.litres(), 5, 0.001);
    assertEquals(plan.kettles(), 1);
    assertEquals(plan.bones(), Mass.ofGrams(2600));
    assertEquals(plan.over(), Mass.ofGrams(6400));
  }

  @Test
  public void kettlesThatCannotBeAreRefusedAndADryOneMakesNothing() {
    assertThrows(
        IllegalArgumentException.class, () -> new Kettle("none", BigDecimal.ZERO, 30, 5000));
    assertThrows(
        IllegalArgumentException.class,
        () -> new Kettle("sea", BigDecimal.valueOf(10_000), 30, 5000));
    Kettle pan = new Kettle("pan", BigDecimal.ONE, 150, 5000);
    PotPlan dry = PotPlan.of(RESTED, USUAL, Mass.ofGrams(6000), 12, pan);
    assertEquals(dry.kettles(), 0);
    assertEquals(dry.over(), Mass.ofGrams(6000));
    assertThrows(
        IllegalArgumentException.class,
        () -> PotPlan.of(RESTED, USUAL, Mass.ofGrams(6000), 0, TWENTY));
  }

  @Test
  public void aStepWhoseShortestTimeIsAboveItsLongestIsRefused() {
    assertFalse(PotStep.areInOrder(40, 30, 20));
    assertThrows(
        RuntimeException.class,
        () -> StockMethod.read("method;x;X;;500;;;;1\nstep;soak;Soak;REST;40;30;20;Clear?;;;"));
    StockMethod own =
        StockMethod.read("method;x;X;;500;leek/10/1.80/NONE;;;1\nstep;a;A;REST;1;2;3;Done?;;;");
    assertEquals(own.steps().get(0).longest(), 3);
    assertThrows(
        RuntimeException.class,
        () -> StockMethod.read("method;x;X;;500;leek/10/1.80/;;;1\nstep;a;A;REST;1;2;3;?;;;"));
  }

  @Test
  public void aMethodIsReadAsItWasWritten() {
    METHODS.values().forEach(one -> assertEquals(StockMethod.read(one.write()), one));
  }

  private static final Instant NOON = Instant.parse("2026-11-26T12:00:00Z");

  private static Instant at(int minutes) {
    return NOON.plusSeconds(minutes * 60L);
  }

  @Test
  public void aStepAnsweredLateMovesTheLaterOnes() {
    PotPlan plan = PotPlan.of(RESTED, USUAL, Mass.ofGrams(2600), 5, TWENTY);
    List<PotStep> steps = RESTED.steps(USUAL);
    PotRun fresh = new PotRun(steps, Map.of());
    List<Timed> before = fresh.timed(at(0), plan::minutes);
    // split 15, soak 90: the boil begins at 105
    assertEquals(before.get(2).begins(), at(105));
    PotRun late =
        new PotRun(
            steps,
            Map.of(
                "split", new Mark(at(0), Optional.of(at(30))),
                "soak", new Mark(at(30), Optional.empty())));
    List<Timed> after = late.timed(at(60), plan::minutes);
    assertEquals(after.get(0).standing(), Standing.DONE);
    assertEquals(after.get(1).standing(), Standing.TOO_SHORT);
    assertEquals(after.get(2).begins(), at(120), "a quarter of an hour later than before");
    assertEquals(late.timed(at(95), plan::minutes).get(1).standing(), Standing.ON);
    List<Timed> forgotten = late.timed(at(200), plan::minutes);
    assertEquals(forgotten.get(1).standing(), Standing.LATE, "150 minutes at the most");
    assertEquals(forgotten.get(2).begins(), at(200));
  }

  @Test
  public void earlyAndLateEndsAreWrittenDownAsSuch() {
    List<PotStep> steps = RESTED.steps(USUAL);
    PotRun run =
        new PotRun(
            steps,
            Map.of(
                "split", new Mark(at(0), Optional.of(at(2))),
                "soak", new Mark(at(2), Optional.of(at(200)))));
    List<Timed> timed = run.timed(at(210), PotStep::usual);
    assertEquals(timed.get(0).standing(), Standing.DONE_EARLY);
    assertEquals(timed.get(1).standing(), Standing.DONE_LATE);
  }

  @Test
  public void twoPeopleBeginAndEndAStepOnce() {
    PotRun run =
        new PotRun(RESTED.steps(USUAL), Map.of("split", new Mark(at(0), Optional.empty())));
    assertEquals(run.beginning("split"), Optional.of(Problem.BEGUN_ALREADY));
    assertEquals(run.beginning("boil"), Optional.of(Problem.OTHER_FIRST));
    assertEquals(run.ending("split"), Optional.empty());
    assertEquals(run.ending("soak"), Optional.of(Problem.NOT_BEGUN));
    PotRun done =
        new PotRun(RESTED.steps(USUAL), Map.of("split", new Mark(at(0), Optional.of(at(10)))));
    assertEquals(done.ending("split"), Optional.of(Problem.DONE_ALREADY));
    assertEquals(done.beginning("soak"), Optional.empty());
    assertEquals(done.current().orElseThrow().code(), "soak");
    assertEquals(done.beforePacking().orElseThrow().code(), "soak", "warm bones are not packed");
  }

  @Test
  public void whatAMethodGaveIsLearnt() {
    assertEquals(Learnt.of(List.of()), Optional.empty());
    Learnt learnt =
        Learnt.of(
                List.of(
                    new Learnt.Gave(4, Mass.ofGrams(2000), true, true),
                    new Learnt.Gave(3.4, Mass.ofGrams(2000), true, false),
                    new Learnt.Gave(1.6, Mass.ofGrams(1000), false, true)))
            .orElseThrow();
    // 2.0, 1.7 and 1.6 l a kilogram
    assertEquals(learnt.mean(), 5.3 / 3, 1e-9);
    assertEquals(learnt.least(), 1.6, 1e-9);
    assertEquals(learnt.most(), 2.0, 1e-9);
    assertEquals(List.of(learnt.batches(), learnt.set(), learnt.clear()), List.of(3, 2, 2));
  }

  @Test
  public void doughIsHalfButterHalfFlourAndPacksAreWhole() {
    Thickener.Need need = Thickener.KNEADED_BUTTER.of(6, Thickener.Body.MEDIUM, Mass.ofGrams(60));
    assertEquals(need.dough(), Mass.ofGrams(480), "6 l at 40 g of flour and as much butter");
    assertEquals(need.butter(), Mass.ofGrams(240));
    assertEquals(need.packs(), 8, "480 g in packs of 60");
    Thickener.Need roux = Thickener.ROUX.of(6, Thickener.Body.MEDIUM, Mass.ofGrams(60));
    assertEquals(roux.flour(), need.flour(), "flour binds, whatever was done to it before");
    assertTrue(roux.least() > need.most(), "a pot of soup simmers longer than a sauce");
    assertEquals(Thickener.ROUX.otherwise(0.8), Optional.of(Thickener.KNEADED_BUTTER));
    assertEquals(Thickener.KNEADED_BUTTER.otherwise(12), Optional.of(Thickener.ROUX));
    assertEquals(Thickener.ROUX.otherwise(12), Optional.empty());
    assertThrows(
        IllegalArgumentException.class,
        () -> Thickener.ROUX.of(0, Thickener.Body.LIGHT, Mass.ofGrams(60)));
  }
}
