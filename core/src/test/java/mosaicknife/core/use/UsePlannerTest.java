package mosaicknife.core.use;

import static mosaicknife.core.use.Kitchen.grams;
import static mosaicknife.core.use.Kitchen.part;
import static mosaicknife.core.use.Kitchen.use;
import static mosaicknife.core.use.Kitchen.work;
import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertThrows;
import static org.testng.Assert.assertTrue;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import mosaicknife.core.quantity.Fraction;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.use.FishUse.Equipment;
import mosaicknife.core.use.FishUse.Measure;
import mosaicknife.core.use.PlanQuestion.Lock;
import mosaicknife.core.use.PlanQuestion.Place;
import mosaicknife.core.use.PlanQuestion.Wanted;
import mosaicknife.core.use.UsePlan.Making;
import mosaicknife.core.use.UsePlan.Why;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** The plan of uses against sums by hand and against a solver of another house. */
public class UsePlannerTest {

  private static final FishUse PATTY =
      use("patty", Set.of("trim"), grams(60), work(10, "1", Equipment.PAN, "2"));
  private static final FishUse SKEWER =
      use("skewer", Set.of("trim", "tail-piece"), grams(50), work(5, "2", Equipment.GRILL, "3"));
  private static final FishUse COLLAR =
      use("collar", Set.of("collar"), new Measure.Pieces(1), work(5, "2", Equipment.GRILL, "7"));

  private static PlanQuestion ask(List<OnHand> parts, List<Wanted> wanted) {
    return new PlanQuestion(parts, wanted, Map.of(), Map.of(), Map.of(), List.of());
  }

  private static long units(UsePlan plan, String id) {
    return plan.makings().stream()
        .filter(making -> making.wanted().id().equals(id))
        .mapToLong(Making::units)
        .sum();
  }

  @Test
  public void oneTrimmingBecomesTwoProductsAtTwoVenuesByGrams() {
    OnHand trim = part("trim", "albacore", "trim", "1.000", 1);
    UsePlan plan =
        UsePlanner.plan(
            ask(
                List.of(trim),
                List.of(new Wanted(PATTY, 1, 9, 300), new Wanted(SKEWER, 2, 40, 200))),
            10);
    // 9 patties are 540 g, and 460 g are nine skewers with 10 g over: 2700 + 1800
    // 8 patties are 480 g and 520 g ten skewers: 2400 + 2000, less
    assertEquals(units(plan, "patty@1"), 9);
    assertEquals(units(plan, "skewer@2"), 9);
    assertEquals(plan.worth(), 4500);
    assertTrue(plan.isProved());
    assertEquals(plan.left().get(0).mass(), Mass.ofGrams(10));
    assertEquals(plan.left().get(0).why().what(), Why.LESS_THAN_A_UNIT);
  }

  @Test
  public void piecesStayWholeAndTheGrillHasItsMinutes() {
    OnHand collars = part("collars", "hake", "collar", "0.800", 4);
    PlanQuestion question =
        new PlanQuestion(
            List.of(collars),
            List.of(new Wanted(COLLAR, 1, 10, 400)),
            Map.of(new Place(1, Equipment.GRILL), 21L),
            Map.of(1L, 60L),
            Map.of(),
            List.of());
    UsePlan plan = UsePlanner.plan(question, 10);
    assertEquals(units(plan, "collar@1"), 3, "three by seven minutes");
    assertEquals(plan.makings().get(0).mass(), Mass.ofGrams(600));
    assertEquals(plan.left().get(0).why().what(), Why.NO_ROOM);
    assertEquals(plan.left().get(0).why().figures(), List.of(Equipment.GRILL));
  }

  @Test
  public void whatIsNotWorthItIsNotMadeAndSaysSo() {
    OnHand trim = part("trim", "albacore", "trim", "0.500", 1);
    UsePlan plan = UsePlanner.plan(ask(List.of(trim), List.of(new Wanted(PATTY, 1, 9, -20))), 10);
    assertEquals(plan.makings(), List.of());
    assertEquals(plan.left().get(0).why().what(), Why.NOT_WORTH_IT);
    assertEquals(plan.left().get(0).mass(), Mass.ofGrams(500));
  }

  @Test
  public void handsAndSetUpAreCounted() {
    OnHand trim = part("trim", "albacore", "trim", "3.000", 1);
    PlanQuestion question =
        new PlanQuestion(
            List.of(trim),
            List.of(new Wanted(PATTY, 1, 50, 300)),
            Map.of(),
            Map.of(1L, 30L),
            Map.of(),
            List.of());
    UsePlan plan = UsePlanner.plan(question, 10);
    assertEquals(units(plan, "patty@1"), 20, "thirty minutes less ten to set up");
    assertEquals(plan.left().get(0).why().what(), Why.NO_HANDS);
  }

  @Test
  public void whatDoesNotKeepIsReadyBeforeTheLastHour() {
    OnHand trim = part("trim", "albacore", "trim", "3.000", 1);
    Wanted keeps = new Wanted(PATTY, 1, 50, 300);
    FishUse tonight =
        Kitchen.forTonight("tonight", Set.of("trim"), grams(60), work(10, "2", Equipment.PAN, "2"));
    Wanted fresh = new Wanted(tonight, 1, 50, 500);
    PlanQuestion question =
        new PlanQuestion(
            List.of(trim), List.of(fresh), Map.of(), Map.of(), Map.of(1L, 35L), List.of());
    UsePlan plan = UsePlanner.plan(question, 10);
    assertEquals(units(plan, "tonight@1"), 12, "35 minutes less ten to set up, two minutes each");
    assertEquals(plan.left().get(0).why().what(), Why.TOO_LATE);
    assertEquals(question.inTime(keeps), 50, "tomorrow is a day as well");
    assertEquals(question.inTime(new Wanted(tonight, 2, 50, 500)), 50, "another venue has time");
    PlanQuestion late =
        new PlanQuestion(
            List.of(trim), List.of(fresh), Map.of(), Map.of(), Map.of(1L, 5L), List.of());
    assertEquals(UsePlanner.plan(late, 10).makings(), List.of());
  }

  @Test
  public void whatIsLockedStaysAndHasItsPrice() {
    OnHand trim = part("trim", "albacore", "trim", "0.600", 1);
    List<Wanted> wanted = List.of(new Wanted(PATTY, 1, 50, 300), new Wanted(SKEWER, 2, 50, 100));
    PlanQuestion locked =
        new PlanQuestion(
            List.of(trim),
            wanted,
            Map.of(),
            Map.of(),
            Map.of(),
            List.of(new Lock(new HandId.Cut(1, "trim"), "skewer", 2, Mass.ofGrams(300))));
    UsePlan plan = UsePlanner.plan(locked, 10);
    assertEquals(units(plan, "skewer@2"), 6);
    assertEquals(units(plan, "patty@1"), 5);
    assertEquals(plan.worth(), 2100);
    assertEquals(UsePlanner.plan(locked.unlocked(), 10).worth(), 3000);
    assertThrows(
        IllegalArgumentException.class,
        () ->
            UsePlanner.plan(
                new PlanQuestion(
                    List.of(trim),
                    wanted,
                    Map.of(),
                    Map.of(),
                    Map.of(),
                    List.of(new Lock(new HandId.Cut(1, "trim"), "skewer", 2, Mass.ofGrams(700)))),
                10));
  }

  @Test
  public void theOldestGoesFirstAndWhatLiesThereStays() {
    OnHand fresh = part("fresh", "albacore", "trim", "0.300", 1, 0, Kitchen.SOUND);
    OnHand old = part("old", "albacore", "trim", "0.300", 1, 2, Kitchen.SOUND);
    UsePlan plan =
        UsePlanner.plan(ask(List.of(fresh, old), List.of(new Wanted(PATTY, 1, 5, 300))), 10);
    assertEquals(plan.makings().get(0).from().get(0).part(), old);
    assertEquals(plan.makings().get(0).from().size(), 1);
  }

  @Test
  public void fatOfOneFishGoesIntoTheLeanMinceOfAnotherUpToWhatIsWanted() {
    FishUse mince =
        use("mince", Set.of("trim"), grams(70), PATTY.work(), Optional.of(Fraction.of(12, 100)));
    OnHand trim = part("trim", "albacore", "trim", "1.820", 1);
    OnHand fat = part("fat", "albacore", "belly-fat", "0.500", 1);
    UsePlan plan =
        UsePlanner.plan(
            ask(
                List.of(trim, fat),
                List.of(new Wanted(mince, 1, 15, 300), new Wanted(mince, 2, 99, 300))),
            10);
    // 1820 g at 3 % take 1820 × 9 / 58 = 282 g of fat at 70 %: 2102 g are 30 of 70 g
    assertEquals(units(plan, "mince@1") + units(plan, "mince@2"), 30);
    Mass left = plan.left().stream().filter(l -> l.part().equals(fat)).findFirst().get().mass();
    assertEquals(left.inGrams().doubleValue(), 500 - 282, 1.0);
    for (Making making : plan.makings()) {
      Map<OnHand.Kind, Mass> kinds = new HashMap<>();
      making
          .from()
          .forEach(
              g ->
                  kinds.merge(
                      new OnHand.Kind(g.part().kind(), g.part().species()), g.mass(), Mass::plus));
      assertTrue(
          UseCatalogue.fatToAdd(kinds, Fraction.of(12, 100)).compareTo(Mass.ofGrams(2)) <= 0,
          "each venue's batch is as fat as the other's");
    }
  }

  private static OnHand at(long venue, OnHand part) {
    return new OnHand(
        part.id(),
        part.name(),
        part.kind(),
        part.species(),
        part.mass(),
        part.pieces(),
        part.fish(),
        venue,
        part.condition(),
        part.days(),
        part.measured());
  }

  @Test(dataProvider = "seeds")
  public void eachVenuesMinceIsAsFatAsWantedWhateverLiesThere(long seed) {
    Random random = new Random(seed);
    FishUse mince =
        use("mince", Set.of("trim"), grams(60), PATTY.work(), Optional.of(Fraction.of(12, 100)));
    // oily trim lies at one venue, white at the other, fat at either
    List<OnHand> parts =
        List.of(
            at(1, part("oily", "mackerel", "trim", "1." + (100 + random.nextInt(800)), 3)),
            at(2, part("white", "hake", "trim", "1." + (100 + random.nextInt(800)), 2)),
            at(2, part("lean", "albacore", "trim", "0." + (100 + random.nextInt(800)), 1)),
            at(1 + random.nextInt(2), part("fat", "albacore", "belly-fat", "1.000", 1)));
    UsePlan plan =
        UsePlanner.plan(
            ask(
                parts,
                List.of(
                    new Wanted(mince, 1, 10 + random.nextInt(10), 300),
                    new Wanted(mince, 2, 10 + random.nextInt(10), 300))),
            10);
    assertEquals(plan.makings().size(), 2);
    for (Making making : plan.makings()) {
      double fat =
          making.from().stream()
              .mapToDouble(
                  g -> UseCatalogue.fat(g.part()).toDouble() * g.mass().inGrams().doubleValue())
              .sum();
      double share = 100 * fat / making.mass().inGrams().doubleValue();
      assertTrue(share > 11.5 && share < 12.5, making.wanted().id() + ": " + share + " %");
    }
  }

  @Test
  public void fatThatIsLeftTakesThePlaceOfMeatAndNothingIsFattenedBeyondWhatIsWanted() {
    FishUse mince =
        use("mince", Set.of("trim"), grams(100), PATTY.work(), Optional.of(Fraction.of(12, 100)));
    OnHand trim = part("trim", "hake", "trim", "5.000", 1);
    OnHand fat = part("fat", "albacore", "belly-fat", "0.500", 1);
    UsePlan plan =
        UsePlanner.plan(ask(List.of(trim, fat), List.of(new Wanted(mince, 1, 6, 300))), 10);
    assertEquals(units(plan, "mince@1"), 6);
    // white trim has 1 %: x of 600 g at 70 % make 12 %: x = 600 × 11 / 69 = 95.6
    Mass added =
        plan.makings().get(0).from().stream()
            .filter(g -> g.part().equals(fat))
            .findFirst()
            .orElseThrow()
            .mass();
    assertEquals(added.inGrams().doubleValue(), 95.6, 1.0);
    assertEquals(plan.makings().get(0).mass(), Mass.ofGrams(600));
  }

  @Test
  public void fatIsNoMeatAndNothingLeanerThanWantedIsAdded() {
    FishUse fatter =
        use("fatter", Set.of("trim"), grams(70), PATTY.work(), Optional.of(Fraction.of(75, 100)));
    OnHand fat = part("fat", "albacore", "belly-fat", "0.500", 1);
    assertEquals(Qualification.fattens(fatter, fat), false, "more is wanted than the fat has");
    assertEquals(Qualification.fattens(PATTY, fat), false, "nothing is wanted");
    FishUse mince =
        use("mince", Set.of("trim"), grams(70), PATTY.work(), Optional.of(Fraction.of(12, 100)));
    UsePlan plan = UsePlanner.plan(ask(List.of(fat), List.of(new Wanted(mince, 1, 5, 300))), 10);
    assertEquals(plan.makings(), List.of(), "fat alone is no mince");
  }

  @DataProvider
  public static Object[][] seeds() {
    return new Object[][] {{1L}, {2L}, {3L}, {4L}, {5L}, {6L}, {7L}, {8L}};
  }

  @Test(dataProvider = "seeds")
  public void aSolverOfAnotherHouseFindsTheSameOptimum(long seed) {
    Random random = new Random(seed);
    List<String> kinds = List.of("trim", "tail-piece", "belly", "frame");
    List<OnHand> parts = new ArrayList<>();
    for (int i = 0; i < 5; i++) {
      String kind = kinds.get(random.nextInt(kinds.size()));
      BigDecimal kilograms = BigDecimal.valueOf(200 + random.nextInt(1500), 3);
      parts.add(part("part" + i, "hake", kind, kilograms.toPlainString(), 1));
    }
    List<Wanted> wanted = new ArrayList<>();
    for (int u = 0; u < 6; u++) {
      Set<String> some = Set.of(kinds.get(u % 4), kinds.get((u + 1 + random.nextInt(3)) % 4));
      FishUse one =
          use(
              "use" + u,
              some,
              grams(40 + random.nextInt(120)),
              work(
                  random.nextInt(12),
                  "" + (1 + random.nextInt(4)),
                  random.nextBoolean() ? Equipment.PAN : Equipment.GRILL,
                  "" + (1 + random.nextInt(6))));
      for (int venue = 1; venue <= 2; venue++) {
        wanted.add(new Wanted(one, venue, 3 + random.nextInt(10), 50 + random.nextInt(400)));
      }
    }
    PlanQuestion question =
        new PlanQuestion(
            parts,
            wanted,
            Map.of(new Place(1, Equipment.PAN), 40L, new Place(2, Equipment.GRILL), 35L),
            Map.of(1L, 60L, 2L, 45L),
            Map.of(),
            List.of());
    UsePlan plan = UsePlanner.plan(question, 20);
    assertTrue(plan.isProved());
    assertEquals(plan.worth(), PlanModel.optimum(question));
    keeps(question, plan);
  }

  @Test(dataProvider = "seeds")
  public void aSolverOfAnotherHouseAddsAsMuchFat(long seed) {
    Random random = new Random(seed);
    FishUse mince =
        use(
            "mince",
            Set.of("trim"),
            grams(60 + random.nextInt(40)),
            PATTY.work(),
            Optional.of(Fraction.of(8 + random.nextInt(8), 100)));
    PlanQuestion question =
        ask(
            List.of(
                part("lean", "hake", "trim", "0." + (400 + random.nextInt(500)), 1),
                part("tuna", "albacore", "trim", "0." + (200 + random.nextInt(300)), 1),
                part("fat", "albacore", "belly-fat", "0." + (100 + random.nextInt(100)), 1)),
            List.of(
                new Wanted(mince, 1, 4 + random.nextInt(20), 300),
                new Wanted(SKEWER, 2, 4 + random.nextInt(8), 100 + random.nextInt(300))));
    UsePlan plan = UsePlanner.plan(question, 20);
    assertTrue(plan.isProved());
    assertEquals(plan.worth(), PlanModel.optimum(question));
    keeps(question, plan);
  }

  /** No gram twice, no unit without its grams, no more than wanted, in grams alone. */
  private static void keeps(PlanQuestion question, UsePlan plan) {
    for (OnHand part : question.parts()) {
      Mass used =
          Mass.total(
              plan.makings().stream()
                  .flatMap(making -> making.from().stream())
                  .filter(grams -> grams.part().equals(part))
                  .map(UsePlan.Grams::mass)
                  .toList());
      Mass left =
          Mass.total(
              plan.left().stream()
                  .filter(one -> one.part().equals(part))
                  .map(UsePlan.Left::mass)
                  .toList());
      assertTrue(used.plus(left).compareTo(part.mass()) <= 0, part.name());
      assertTrue(part.mass().minus(used).minus(left).compareTo(Mass.ofGrams(1)) < 0, part.name());
    }
    for (Making making : plan.makings()) {
      assertTrue(making.units() <= making.wanted().most());
      assertTrue(
          new Batch(making.wanted().use(), making.mass(), Mass.ofGrams(1)).units()
              >= making.units());
    }
  }
}
