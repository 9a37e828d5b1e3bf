package mosaicknife.core.buying;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertThrows;
import static org.testng.Assert.assertTrue;

import java.util.Currency;
import java.util.List;
import java.util.Optional;
import mosaicknife.core.anatomy.Catalogue;
import mosaicknife.core.anatomy.Eating;
import mosaicknife.core.anatomy.SizeGrade;
import mosaicknife.core.anatomy.Specification;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.breakdown.HouseNorms;
import mosaicknife.core.breakdown.Likeness;
import mosaicknife.core.buying.Demand.Per;
import mosaicknife.core.buying.Offer.Form;
import mosaicknife.core.buying.Substitutes.Quality;
import mosaicknife.core.buying.Substitutes.Substitute;
import mosaicknife.core.finding.Finding;
import mosaicknife.core.plan.Choices;
import mosaicknife.core.plan.CutPlan;
import mosaicknife.core.plan.CutPlan.MainCut;
import mosaicknife.core.portion.Serving;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.UnitPrice;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class OrderPlannerTest {

  private static final Catalogue CATALOGUE = Catalogue.shipped();
  private static final Currency EUR = Currency.getInstance("EUR");
  private static final Serving MAIN =
      new Serving(Serving.Form.SLICES, Mass.ofGrams(180), 0.05, 1, true);
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
  public void agreesWithAPlainSimulation(
      String code, String grade, int portions, double forecastError) {
    Offer offer = whole(code, grade, "10.00");
    Demand demand = new Demand(portions, forecastError, Per.SERVICE);
    Candidate candidate =
        new OrderPlanner(HouseNorms.STARTING, CATALOGUE)
            .candidate(wish(demand, 0), offer)
            .orElseThrow();
    List<MainCut> norms = norms(code);
    PlainSimulation simulation = new PlainSimulation(42);
    double drawn = simulation.risk(norms, offer.grade(), MAIN, candidate.fish(), demand, DRAWS);
    double error = Math.sqrt(Math.max(candidate.risk(), 0.002) * (1 - candidate.risk()) / DRAWS);
    assertEquals(
        candidate.risk(), drawn, 4 * error + 0.003, code + " with " + candidate.fish() + " fish");
    double mean = 0;
    for (int i = 0; i < DRAWS; i++) {
      mean += simulation.portions(norms, offer.grade(), MAIN) / (double) DRAWS;
    }
    assertEquals(candidate.portionsPerFish(), mean, 0.03 * mean + 0.05, code);
  }

  @DataProvider
  Object[][] promises() {
    return new Object[][] {
      {"john-dory", "0.7-1.2", 20},
      {"hake", "1.5-2.5", 24},
      {"turbot", "2.5-4", 30},
      {"plaice", "1-2.5", 16},
      {"pollack", "2-4", 40},
      {"gurnard", "1.2-3", 12},
    };
  }

  private static final Serving APART =
      new Serving(Serving.Form.SLICES, Mass.ofGrams(150), 0.05, 1, false);

  private static Wish apart(Demand demand) {
    return new Wish(
        APART,
        Specification.SKIN_ON,
        Choices.USUAL,
        demand.distribution(),
        0,
        0.98,
        ExactMoney.of("18.00", EUR));
  }

  @Test
  public void manySmallFishAreNoOfferForAPlateOfFilletsAndItSaysWhy() {
    Wish wish = apart(new Demand(16, 0, Per.SERVICE));
    // one fillet of a plaice of 0.5 to 1 kg in a hundred is 150 g
    Offer small = whole("plaice", "0.5-1", "10.00");
    OrderPlanner.Considered considered = planner().considered(wish, List.of(small)).get(0);
    assertEquals(considered.candidate(), Optional.empty());
    assertEquals(considered.leftOut().orElseThrow().what(), OrderPlanner.LeftOut.FISH_A_PLATE);
    assertEquals(planner().plan(wish, List.of(small)), List.of());
  }

  @Test
  public void theRiskThatLeadsIsBetweenThatOfAGoodNormAndThatOfALeanOne() {
    Wish wish = wish(new Demand(24, 3, Per.SERVICE), 0);
    Candidate one = planner().candidate(wish, whole("hake", "1.5-2.5", "11.40")).orElseThrow();
    assertTrue(one.riskInAll() > one.risk(), one.riskInAll() + " " + one.risk());
    assertTrue(one.riskInAll() < one.riskIfLean(), one.riskInAll() + " " + one.riskIfLean());
  }

  /** Rare lean fish are what a promise of 98 % is about: no tail is cut. */
  @Test(dataProvider = "promises")
  public void aPromiseOf98PercentIsKept(String code, String grade, int portions) {
    Offer offer = whole(code, grade, "10.00");
    Demand demand = new Demand(portions, 0, Per.SERVICE);
    Wish wish = apart(demand);
    OrderPlanner.Considered considered = planner().considered(wish, List.of(offer)).get(0);
    assertEquals(considered.leftOut(), Optional.empty(), code);
    Candidate candidate = considered.candidate().orElseThrow();
    int draws = 60_000;
    double drawn =
        new PlainSimulation(7)
            .risk(norms(code), offer.grade(), APART, candidate.fish(), demand, draws);
    double error = Math.sqrt(0.02 * 0.98 / draws);
    assertEquals(candidate.risk(), drawn, 4 * error, code + " with " + candidate.fish());
    assertTrue(drawn <= 0.02 + 3 * error, code + " is short in " + drawn);
    assertTrue(candidate.riskIfLean() > candidate.risk(), "a leaner fish is a greater risk");
    assertTrue(candidate.riskIfLean() < 1, "" + candidate.riskIfLean());
  }

  @Test(dataProvider = "fish")
  public void takesTheSmallestNumberThatKeepsThePromise(
      String code, String grade, int portions, double forecastError) {
    Wish wish = wish(new Demand(portions, forecastError, Per.SERVICE), 0);
    Offer offer = whole(code, grade, "10.00");
    Candidate candidate =
        new OrderPlanner(HouseNorms.STARTING, CATALOGUE).candidate(wish, offer).orElseThrow();
    assertTrue(candidate.risk() <= 0.05, candidate.risk() + " with " + candidate.fish());
    FishPortions perFish = FishPortions.of(norms(code), offer.grade(), MAIN, Likeness.STARTING);
    int cap = wish.demand().most();
    assertTrue(
        OrderPlanner.risk(perFish.of(candidate.fish() - 1, cap), wish.demand()) > 0.05,
        "one fish fewer would do");
    assertTrue(candidate.low().compareTo(candidate.costPerServed()) <= 0);
    assertTrue(candidate.high().compareTo(candidate.costPerServed()) >= 0);
  }

  @Test
  public void aPortionNeverSpansTwoFillets() {
    // fillets of about 790 g: four portions of 165 g each and not nine together, ten at 158 g
    SizeGrade narrow = new SizeGrade(Mass.ofGrams(3_699), Mass.ofGrams(3_701));
    MainCut fillet = new MainCut(790.0 / 3700, 1e-6);
    List<MainCut> sharp = List.of(fillet, fillet);
    Serving at165 = new Serving(Serving.Form.SLICES, Mass.ofGrams(165), 0, 1, true);
    Serving at158 = new Serving(Serving.Form.SLICES, Mass.ofMilligrams(157_900), 0, 1, true);
    assertEquals(FishPortions.of(sharp, narrow, at165, Likeness.STARTING).mean(), 8, 0.01);
    assertEquals(FishPortions.of(sharp, narrow, at158, Likeness.STARTING).mean(), 10, 0.01);
  }

  @Test
  public void stockOnHandIsNotBoughtAgain() {
    Demand demand = new Demand(24, 0, Per.SERVICE);
    Offer hake = whole("hake", "1.5-2.5", "11.40");
    OrderPlanner planner = new OrderPlanner(HouseNorms.STARTING, CATALOGUE);
    int all = planner.candidate(wish(demand, 0), hake).orElseThrow().fish();
    int fewer = planner.candidate(wish(demand, 12), hake).orElseThrow().fish();
    assertTrue(fewer < all, fewer + " and " + all);
    assertTrue(planner.candidate(wish(demand, 24), hake).isEmpty(), "nothing is wanted");
    assertTrue(planner.plan(wish(new Demand(0, 0, Per.DAY), 0), List.of(hake)).isEmpty());
  }

  @Test
  public void smallFishMakeAPortionTogetherAndTheRiskFollowsFromTheirWeights() {
    Offer sardines = whole("sardine", "0.06-0.1", "6.00");
    Candidate candidate =
        planner().candidate(wish(new Demand(20, 0, Per.SERVICE), 0), sardines).orElseThrow();
    // a fillet of some 24 g, a portion of 171 g: eight fillets or four fish
    assertEquals(candidate.fish(), 80, 12);
    List<MainCut> mains = norms("sardine");
    PlainSimulation simulation = new PlainSimulation(3);
    for (int fish = candidate.fish() - 4; fish <= candidate.fish(); fish += 2) {
      Counts plates =
          FishPortions.of(mains, sardines.grade(), MAIN, Likeness.STARTING).of(fish, 20);
      double drawn = simulation.riskTogether(mains, sardines.grade(), MAIN, fish, 20, DRAWS);
      assertEquals(plates.below(20), drawn, 0.03, fish + " fish");
    }
    assertTrue(candidate.risk() > 0 && candidate.risk() <= 0.05, "" + candidate.risk());
  }

  @Test
  public void portionsPerFishChangeSmoothlyWithTheGrade() {
    // plaice from 250 g to 900 g against a portion of 180 g: through three to a plate, two, one
    List<MainCut> mains = norms("plaice");
    double before = 0;
    for (int grams = 250; grams <= 900; grams += 10) {
      SizeGrade grade = new SizeGrade(Mass.ofGrams(grams * 8 / 10), Mass.ofGrams(grams * 12 / 10));
      double mean = FishPortions.of(mains, grade, MAIN, Likeness.STARTING).mean();
      assertTrue(mean >= before - 0.04, grams + " g: " + mean + " after " + before);
      assertTrue(before == 0 || mean - before < 0.12, grams + " g: " + mean + " after " + before);
      before = mean;
    }
  }

  @Test
  public void aFishServedWholeServesAtLeastOne() {
    Wish wish =
        new Wish(
            new Serving(Serving.Form.SHARED, Mass.ofGrams(180), 0.05, 1, true),
            Specification.SKIN_ON,
            Choices.USUAL,
            Counts.exactly(10),
            0,
            0.95,
            ExactMoney.of("18.00", EUR));
    Candidate bass =
        new OrderPlanner(HouseNorms.STARTING, CATALOGUE)
            .candidate(wish, whole("farmed-bass", "0.3-0.4", "9.00"))
            .orElseThrow();
    assertEquals(bass.fish(), 10);
    Candidate large =
        new OrderPlanner(HouseNorms.STARTING, CATALOGUE)
            .candidate(wish, whole("farmed-bass", "0.6-1.5", "9.00"))
            .orElseThrow();
    assertTrue(large.fish() < 8, "a large one serves two: " + large.fish());
  }

  @Test
  public void wholeAgainstBoughtInFilletHasABreakEvenPrice() {
    Wish wish = wish(new Demand(24, 3, Per.SERVICE), 0);
    OrderPlanner planner = new OrderPlanner(HouseNorms.STARTING, CATALOGUE);
    Offer whole = whole("hake", "1.5-2.5", "11.40");
    Offer fillet =
        new Offer(
            "f",
            whole.species(),
            whole.state(),
            whole.grade(),
            Form.FILLET,
            price("27.00"),
            "Marram Quay Fish");
    Candidate own = planner.candidate(wish, whole).orElseThrow();
    Candidate bought = planner.candidate(wish, fillet).orElseThrow();
    UnitPrice breakEven = own.breakEvenAgainst(bought).orElseThrow();
    Candidate at =
        planner
            .candidate(
                wish,
                new Offer(
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
    List<Candidate> candidates =
        new OrderPlanner(HouseNorms.STARTING, CATALOGUE)
            .plan(
                wish(new Demand(24, 3, Per.SERVICE), 0),
                List.of(
                    whole("turbot", "2.5-4", "24.50"),
                    whole("gurnard", "0.6-1.2", "6.40"),
                    whole("mackerel", "0.5-1.2", "5.00")));
    assertEquals(candidates.get(2).offer().species().code(), "turbot");
    for (Candidate candidate : candidates) {
      boolean oily = candidate.offer().species().code().equals("mackerel");
      assertEquals(candidate.bones().isPositive(), !oily);
      assertTrue(candidate.surplus() >= 0);
      assertTrue(candidate.served() <= 24.5 && candidate.served() > 22);
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
    assertTrue(
        best.alike().contains(Finding.of(Quality.FLESH, Eating.Flesh.WHITE)),
        best.alike().toString());
    Substitute mackerel =
        forPollack.stream()
            .filter(s -> s.species().code().equals("mackerel"))
            .findFirst()
            .orElseThrow();
    assertTrue(mackerel.distance() > 3 * best.distance() + 3, mackerel.toString());
    assertTrue(mackerel.different().contains(Finding.of(Quality.FLESH, Eating.Flesh.OILY)));
    assertTrue(mackerel.different().contains(Finding.of(Quality.TASTE, Eating.Flavour.STRONG)));
    assertFalse(forPollack.stream().anyMatch(s -> s.species().code().equals("pollack")), "itself");
  }

  private static Wish wish(Demand demand, int onHand) {
    return new Wish(
        MAIN,
        Specification.SKIN_ON,
        Choices.USUAL,
        demand.distribution(),
        onHand,
        0.95,
        ExactMoney.of("18.00", EUR));
  }

  private static OrderPlanner planner() {
    return new OrderPlanner(HouseNorms.STARTING, CATALOGUE);
  }

  /** The main cuts of a gutted fish, skin on. */
  static List<MainCut> norms(String code) {
    return CutPlan.of(
            new CutPlan.Fish(
                CATALOGUE.getSpecies(code),
                State.GUTTED,
                1,
                Mass.ofGrams(10_000),
                HouseNorms.STARTING),
            Choices.USUAL,
            CATALOGUE)
        .mainCuts();
  }

  private static UnitPrice price(String perKilogram) {
    return UnitPrice.ofPerKilogram(perKilogram, EUR);
  }

  private static Offer whole(String code, String grade, String price) {
    return new Offer(
        code + grade,
        CATALOGUE.getSpecies(code),
        State.GUTTED,
        SizeGrade.parseKilograms(grade),
        Form.WHOLE,
        price(price),
        "Grey Skerry Landings");
  }
}
