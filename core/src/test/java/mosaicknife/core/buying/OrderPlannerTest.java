package mosaicknife.core.buying;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertThrows;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.Currency;
import java.util.List;
import java.util.Random;
import mosaicknife.core.anatomy.Catalogue;
import mosaicknife.core.anatomy.SizeGrade;
import mosaicknife.core.anatomy.Species;
import mosaicknife.core.anatomy.Specification;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.breakdown.LossNorm;
import mosaicknife.core.breakdown.StartingNorms;
import mosaicknife.core.buying.Candidate.Form;
import mosaicknife.core.buying.Demand.Per;
import mosaicknife.core.buying.Substitutes.Substitute;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.UnitPrice;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class OrderPlannerTest {

  private static final Catalogue CATALOGUE = Catalogue.shipped();
  private static final Currency EUR = Currency.getInstance("EUR");
  private static final PortionRule MAIN = new PortionRule(Mass.ofGrams(180), 0.05);
  private static final int DRAWS = 10_000;

  @DataProvider
  Object[][] fish() {
    return new Object[][] {
      {"hake", "1.5-2.5", 24, 4.0},
      {"turbot", "2.5-4", 30, 0.0},
      {"gurnard", "1.2-3", 18, 3.0},
      {"albacore", "8-12", 60, 8.0},
      {"trout", "1-3", 40, 0.0},
    };
  }

  @Test(dataProvider = "fish")
  public void agreesWithAPlainSimulation(String code, String grade, int portions, double give) {
    Candidate candidate = whole(code, grade, "10.00");
    Demand demand = new Demand(portions, give, Per.SERVICE);
    Offer offer = new OrderPlanner().offer(wish(demand, 0), candidate).orElseThrow();
    StartingNorms norms = norms(code);
    PlainSimulation simulation = new PlainSimulation(42);
    double drawn = simulation.risk(norms, candidate.grade(), MAIN, offer.fish(), demand, DRAWS);
    double error = Math.sqrt(Math.max(offer.risk(), 0.002) * (1 - offer.risk()) / DRAWS);
    assertEquals(offer.risk(), drawn, 4 * error + 0.003, code + " with " + offer.fish() + " fish");
    double mean = 0;
    for (int i = 0; i < DRAWS; i++) {
      mean += simulation.portions(norms, candidate.grade(), MAIN) / (double) DRAWS;
    }
    assertEquals(offer.portionsPerFish(), mean, 0.03 * mean + 0.05, code);
  }

  @Test(dataProvider = "fish")
  public void takesTheSmallestNumberThatKeepsThePromise(
      String code, String grade, int portions, double give) {
    Wish wish = wish(new Demand(portions, give, Per.SERVICE), 0);
    Candidate candidate = whole(code, grade, "10.00");
    Offer offer = new OrderPlanner().offer(wish, candidate).orElseThrow();
    assertTrue(offer.risk() <= 0.05, offer.risk() + " with " + offer.fish());
    FishPortions perFish = FishPortions.ofCuts(norms(code), candidate.grade(), MAIN);
    int cap = wish.demand().most();
    assertTrue(
        OrderPlanner.risk(perFish.of(offer.fish() - 1, cap), wish.demand()) > 0.05,
        "one fish fewer would do");
    assertTrue(offer.low().compareTo(offer.costPerServed()) <= 0);
    assertTrue(offer.high().compareTo(offer.costPerServed()) >= 0);
  }

  @Test
  public void aPortionNeverSpansTwoFillets() {
    // fillets of about 790 g: four portions of 165 g each and not nine together, ten at 158 g
    SizeGrade narrow = new SizeGrade(Mass.ofGrams(3_699), Mass.ofGrams(3_701));
    Species hake = CATALOGUE.getSpecies("hake");
    StartingNorms all =
        StartingNorms.of(hake, State.UNGUTTED, Specification.SKIN_ON, new LossNorm(0, 0.008));
    StartingNorms sharp =
        new StartingNorms(
            all.parts().stream()
                .map(
                    p ->
                        new StartingNorms.PartNorm(
                            p.slot(),
                            p.kind(),
                            p.name(),
                            p.main(),
                            p.main() ? 790.0 / 3700 : p.mean(),
                            1e-6))
                .toList(),
            all.loss());
    PortionRule at165 = new PortionRule(Mass.ofGrams(165), 0);
    PortionRule at158 = new PortionRule(Mass.ofMilligrams(157_900), 0);
    assertEquals(FishPortions.ofCuts(sharp, narrow, at165).mean(), 8, 0.01);
    assertEquals(FishPortions.ofCuts(sharp, narrow, at158).mean(), 10, 0.01);
  }

  @Test
  public void stockOnHandIsNotBoughtAgain() {
    Demand demand = new Demand(24, 0, Per.SERVICE);
    Candidate hake = whole("hake", "1.5-2.5", "11.40");
    OrderPlanner planner = new OrderPlanner();
    int all = planner.offer(wish(demand, 0), hake).orElseThrow().fish();
    int fewer = planner.offer(wish(demand, 12), hake).orElseThrow().fish();
    assertTrue(fewer < all, fewer + " and " + all);
    assertTrue(planner.offer(wish(demand, 24), hake).isEmpty(), "nothing is wanted");
    assertTrue(planner.plan(wish(new Demand(0, 0, Per.DAY), 0), List.of(hake)).isEmpty());
  }

  @Test
  public void smallFishMakeAPortionTogether() {
    Offer offer =
        new OrderPlanner()
            .offer(wish(new Demand(20, 0, Per.SERVICE), 0), whole("sardine", "0.06-0.1", "6.00"))
            .orElseThrow();
    // a fillet of some 24 g, a portion of 171 g: eight fillets or four fish
    assertEquals(offer.fish(), 80, 10);
    assertEquals(offer.risk(), 0.0);
  }

  @Test
  public void aFishServedWholeServesAtLeastOne() {
    Wish wish =
        new Wish(
            new PortionRule(Mass.ofGrams(180), 0.05),
            Specification.SKIN_ON,
            true,
            Counts.exactly(10),
            0,
            0.95,
            ExactMoney.of("18.00", EUR));
    Offer bass =
        new OrderPlanner().offer(wish, whole("farmed-bass", "0.3-0.4", "9.00")).orElseThrow();
    assertEquals(bass.fish(), 10);
    Offer large =
        new OrderPlanner().offer(wish, whole("farmed-bass", "0.6-1.5", "9.00")).orElseThrow();
    assertTrue(large.fish() < 8, "a large one serves two: " + large.fish());
  }

  @Test
  public void wholeAgainstBoughtInFilletHasABreakEvenPrice() {
    Wish wish = wish(new Demand(24, 3, Per.SERVICE), 0);
    OrderPlanner planner = new OrderPlanner();
    Candidate whole = whole("hake", "1.5-2.5", "11.40");
    Candidate fillet =
        new Candidate(
            "f",
            whole.species(),
            whole.state(),
            whole.grade(),
            Form.FILLET,
            price("27.00"),
            "Marram Quay Fish");
    Offer own = planner.offer(wish, whole).orElseThrow();
    Offer bought = planner.offer(wish, fillet).orElseThrow();
    UnitPrice breakEven = own.breakEvenAgainst(bought);
    Offer at =
        planner
            .offer(
                wish,
                new Candidate(
                    "w",
                    whole.species(),
                    whole.state(),
                    whole.grade(),
                    Form.WHOLE,
                    breakEven,
                    whole.supplier()))
            .orElseThrow();
    assertEquals(
        at.costPerServed().amount().doubleValue(),
        bought.costPerServed().amount().doubleValue(),
        0.001);
    assertEquals(bought.fish(), 0);
    assertTrue(bought.risk() <= 0.05);
  }

  @Test
  public void theCheapestServedPortionGoesFirstAndOilyBonesMakeNoStock() {
    List<Offer> offers =
        new OrderPlanner()
            .plan(
                wish(new Demand(24, 3, Per.SERVICE), 0),
                List.of(
                    whole("turbot", "2.5-4", "24.50"),
                    whole("gurnard", "0.6-1.2", "6.40"),
                    whole("mackerel", "0.5-1.2", "5.00")));
    assertEquals(offers.get(2).candidate().species().code(), "turbot");
    for (Offer offer : offers) {
      boolean oily = offer.candidate().species().code().equals("mackerel");
      assertEquals(offer.bones().isPositive(), !oily);
      assertTrue(offer.surplus() >= 0);
      assertTrue(offer.served() <= 24.5 && offer.served() > 22);
    }
    StockNeed need = new StockNeed(Mass.ofGrams(5_500), 8);
    assertEquals(need.possible(), 10, 1e-9);
    assertEquals(need.surplus(), Mass.ofGrams(1_100));
    assertEquals(new StockNeed(Mass.ofGrams(500), 8).surplus(), Mass.ZERO);
    assertThrows(IllegalArgumentException.class, () -> new StockNeed(Mass.ZERO, 1e6));
  }

  @Test
  public void whatEatsAlikeIsNearAndSaysWhy() {
    List<Substitute> forPollack =
        Substitutes.of(CATALOGUE.getSpecies("pollack"), CATALOGUE.species());
    List<String> first = forPollack.stream().limit(4).map(s -> s.species().code()).toList();
    assertTrue(first.contains("cod") && first.contains("haddock"), first.toString());
    Substitute best = forPollack.get(0);
    assertTrue(best.alike().contains("white flesh"), best.alike().toString());
    Substitute mackerel =
        forPollack.stream()
            .filter(s -> s.species().code().equals("mackerel"))
            .findFirst()
            .orElseThrow();
    assertTrue(mackerel.distance() > 3 * best.distance() + 3, mackerel.toString());
    assertTrue(mackerel.different().contains("oily flesh"));
    assertTrue(mackerel.different().contains("strong taste"));
    assertFalse(forPollack.stream().anyMatch(s -> s.species().code().equals("pollack")), "itself");
  }

  /** The week of the issue: 12 dishes over 30 candidates within 300 ms. */
  @Test
  public void plansAWeekOfTwelveDishesOverThirtyCandidatesInTime() {
    List<Candidate> candidates = new ArrayList<>();
    Random random = new Random(7);
    for (Species species : CATALOGUE.species()) {
      if (candidates.size() < 30
          && species.usualMass().highest().compareTo(Mass.ofGrams(900)) > 0) {
        SizeGrade grade = species.grades().get(species.grades().size() - 1);
        candidates.add(
            new Candidate(
                "c" + candidates.size(),
                species,
                State.GUTTED,
                grade,
                Form.WHOLE,
                price("%d.50".formatted(5 + random.nextInt(20))),
                "Grey Skerry Landings"));
      }
    }
    List<Wish> week = new ArrayList<>();
    for (int dish = 0; dish < 12; dish++) {
      Demand demand = new Demand(40 + 15 * dish, 8, Per.WEEK);
      week.add(
          new Wish(
              new PortionRule(Mass.ofGrams(90 + 10 * dish), 0.05),
              Specification.values()[dish % 4],
              false,
              demand.distribution(),
              0,
              0.95,
              ExactMoney.of("18.00", EUR)));
    }
    double best = Double.MAX_VALUE;
    for (int round = 0; round < 6; round++) {
      long start = System.nanoTime();
      OrderPlanner planner = new OrderPlanner();
      int offers = 0;
      for (Wish wish : week) {
        offers += planner.plan(wish, candidates).size();
      }
      best = Math.min(best, (System.nanoTime() - start) / 1e6);
      assertTrue(offers > 340, offers + " offers");
    }
    double drawn = simulated(week, candidates);
    System.out.printf(
        "A week of 12 dishes over 30 candidates: %.0f ms; plain simulation about %.0f ms%n",
        best, drawn);
    // compared in the same run, so that a busy machine slows both: the limit of 300 ms is for an
    // idle one, where the simulation takes some ten seconds
    assertTrue(best <= drawn / 10, "the week took " + best + " ms, drawn " + drawn + " ms");
    assertTrue(best <= 2_000, "the week took " + best + " ms");
  }

  /** How long 10,000 draws would take for every dish and candidate, from one candidate a dish. */
  private static double simulated(List<Wish> week, List<Candidate> candidates) {
    OrderPlanner planner = new OrderPlanner();
    PlainSimulation simulation = new PlainSimulation(1);
    double milliseconds = 0;
    for (int dish = 0; dish < week.size(); dish++) {
      Candidate candidate = candidates.get(2 * dish);
      Offer offer = planner.offer(week.get(dish), candidate).orElseThrow();
      StartingNorms norms =
          StartingNorms.of(
              candidate.species(),
              candidate.state(),
              week.get(dish).specification(),
              LossNorm.STARTING);
      Demand demand = new Demand(40 + 15 * dish, 8, Per.WEEK);
      long start = System.nanoTime();
      simulation.risk(norms, candidate.grade(), week.get(dish).rule(), offer.fish(), demand, DRAWS);
      milliseconds += (System.nanoTime() - start) / 1e6;
    }
    return milliseconds * candidates.size();
  }

  private static Wish wish(Demand demand, int onHand) {
    return new Wish(
        MAIN,
        Specification.SKIN_ON,
        false,
        demand.distribution(),
        onHand,
        0.95,
        ExactMoney.of("18.00", EUR));
  }

  private static StartingNorms norms(String code) {
    return StartingNorms.of(
        CATALOGUE.getSpecies(code), State.GUTTED, Specification.SKIN_ON, LossNorm.STARTING);
  }

  private static UnitPrice price(String perKilogram) {
    return UnitPrice.ofPerKilogram(perKilogram, EUR);
  }

  private static Candidate whole(String code, String grade, String price) {
    return new Candidate(
        code + grade,
        CATALOGUE.getSpecies(code),
        State.GUTTED,
        SizeGrade.parseKilograms(grade),
        Form.WHOLE,
        price(price),
        "Grey Skerry Landings");
  }
}
