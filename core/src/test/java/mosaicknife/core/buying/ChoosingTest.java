package mosaicknife.core.buying;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.time.Month;
import java.util.Currency;
import java.util.List;
import mosaicknife.core.anatomy.Catalogue;
import mosaicknife.core.anatomy.Eating;
import mosaicknife.core.anatomy.Season.Hemisphere;
import mosaicknife.core.anatomy.SizeGrade;
import mosaicknife.core.anatomy.Species;
import mosaicknife.core.anatomy.Specification;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.breakdown.HouseNorms;
import mosaicknife.core.buying.Offer.Form;
import mosaicknife.core.buying.Substitutes.Quality;
import mosaicknife.core.buying.Substitutes.Substitute;
import mosaicknife.core.cost.PlateCost;
import mosaicknife.core.finding.Finding;
import mosaicknife.core.plan.Choices;
import mosaicknife.core.plan.CutPlan;
import mosaicknife.core.plan.CuttingOptions;
import mosaicknife.core.portion.Serving;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.UnitPrice;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** What one chooses by: how alike two fish eat, in what an offer is better, bought fillet. */
public class ChoosingTest {

  private static final Catalogue CATALOGUE = Catalogue.shipped();
  private static final Currency EUR = Currency.getInstance("EUR");

  private static Substitute instead(String missing, String other) {
    return Substitutes.of(CATALOGUE.getSpecies(missing), List.of(CATALOGUE.getSpecies(other)))
        .get(0);
  }

  /**
   * By hand from the eating qualities: 3 a step of flesh, 2 of texture and taste, 1.2 for another
   * skin, 0.8 for another body plan, 0.8 for each doubling of the mean mass up to three, 1 for all
   * of the fillet more or less with pin bones.
   */
  @DataProvider
  Object[][] distances() {
    return new Object[][] {
      // soft to flaky
      {"hake", "pollack", 2.0},
      // soft to firm 4, mild to medium 2, body plan 0.8, bones along 45 % less 0.45,
      // thickness .068 to .027 of a length: 1.333 halvings 1.0661
      {"hake", "turbot", 8.3161},
      {"turbot", "hake", 8.3161},
      // white to oily 6, mild to strong 4, skin 1.2, plan 0.8, sqrt(7.2) to sqrt(0.24) kg 1.9627,
      // thickness .068 to .062 of a length 0.567 times as long: 0.951 halvings 0.7609
      {"hake", "mackerel", 14.7236},
      // sqrt(7.2) to sqrt(20) kg: 0.737 doublings, and a third of them in thickness
      {"pollack", "cod", 0.7861},
    };
  }

  @Test(dataProvider = "distances")
  public void theDistanceIsTheSumOfWhatAGuestNotices(String missing, String other, double far) {
    assertEquals(instead(missing, other).distance(), far, 1e-3);
  }

  @Test
  public void whatIsAlikeAndWhatIsNotIsSaid() {
    assertEquals(
        instead("hake", "pollack").alike(),
        List.of(
            Finding.of(Quality.FLESH, Eating.Flesh.WHITE),
            Finding.of(Quality.TASTE, Eating.Flavour.MILD),
            Finding.of(Quality.SKIN_SOFT),
            Finding.of(Quality.CUT_ALIKE)));
    assertEquals(
        instead("hake", "pollack").different(),
        List.of(Finding.of(Quality.TEXTURE, Eating.Texture.FLAKY)));
    assertEquals(
        instead("hake", "mackerel").different(),
        List.of(
            Finding.of(Quality.HISTAMINE),
            Finding.of(Quality.FLESH, Eating.Flesh.OILY),
            Finding.of(Quality.TASTE, Eating.Flavour.STRONG),
            Finding.of(Quality.SKIN_CRISP),
            Finding.of(Quality.SMALLER),
            Finding.of(Quality.THINNER)));
    assertTrue(instead("plaice", "cod").different().contains(Finding.of(Quality.LARGER)));
    assertTrue(instead("turbot", "hake").different().contains(Finding.of(Quality.MORE_PIN_BONES)));
    assertTrue(!instead("hake", "turbot").different().contains(Finding.of(Quality.MORE_PIN_BONES)));
  }

  private static Candidate candidate(
      String price, int grams, String labour, double served, double surplus) {
    ExactMoney nothing = ExactMoney.zero(EUR);
    return new Candidate(
        offer(Form.WHOLE, price),
        1,
        Mass.ofGrams(grams),
        nothing,
        ExactMoney.of(labour, EUR),
        10,
        served,
        PlateCost.of(nothing, nothing),
        nothing,
        nothing,
        0.05,
        0.06,
        0.08,
        surplus,
        served,
        Mass.ZERO,
        Mass.ZERO);
  }

  private static Offer offer(Form form, String price) {
    return new Offer(
        "c",
        CATALOGUE.getSpecies("hake"),
        State.GUTTED,
        SizeGrade.parseKilograms("1.5-2.5"),
        form,
        UnitPrice.ofPerKilogram(price, EUR),
        "Marram Quay Fish");
  }

  @DataProvider
  Object[][] pairs() {
    Candidate dear = candidate("10.30", 5150, "10.30", 20, 3);
    return new Object[][] {
      {candidate("10.30", 5150, "10.30", 20, 3), dear, new Reasons(false, false, false, false)},
      // each just inside of three hundredths, or one portion
      {candidate("10.01", 5001, "10.01", 20, 2), dear, new Reasons(false, false, false, false)},
      {candidate("9.99", 5150, "10.30", 20, 3), dear, new Reasons(true, false, false, false)},
      {candidate("10.30", 4995, "10.30", 20, 3), dear, new Reasons(false, true, false, false)},
      {candidate("10.30", 5150, "9.99", 20, 3), dear, new Reasons(false, false, true, false)},
      {candidate("10.30", 5150, "10.30", 20, 1.9), dear, new Reasons(false, false, false, true)},
      // the dear one is no better for being dear
      {dear, candidate("8.00", 4000, "5.00", 20, 0), new Reasons(false, false, false, false)},
    };
  }

  @Test(dataProvider = "pairs")
  public void threeHundredthsAreAReason(Candidate cheap, Candidate dear, Reasons expected) {
    assertEquals(Reasons.between(cheap, dear), expected);
  }

  @Test
  public void boughtFilletServesWhatIsWantedAndItsRangeIsThatOfTheDemand() {
    double[] wanted = new double[31];
    wanted[20] = 0.5;
    wanted[24] = 0.4;
    wanted[30] = 0.1;
    Candidate fillet = fillet(Counts.of(wanted), 0);
    // 24 plates: half the nights 20 are served, else 24
    assertEquals(fillet.served(), 22, 1e-9);
    assertEquals(fillet.surplus(), 2, 1e-9);
    assertEquals(fillet.risk(), 0.1, 1e-9);
    assertEquals(fillet.fish(), 0);
    double each = fillet.costPerServed().amount().doubleValue();
    assertEquals(fillet.low().amount().doubleValue(), each * 22 / 24, 1e-6);
    assertEquals(fillet.high().amount().doubleValue(), each * 22 / 20, 1e-6);
    assertEquals(each * 22, fillet.money().plus(fillet.labour()).amount().doubleValue(), 1e-6);
    double kilograms = fillet.mass().milligrams() / 1e6;
    assertTrue(kilograms > 24 * 0.18 && kilograms < 24 * 0.18 * 1.1, kilograms + " kg");

    // four plates on hand: 16, 20 or 26 are missing
    assertEquals(fillet(Counts.of(wanted), 4).served(), 18, 1e-9);
  }

  private static Candidate fillet(Counts demand, int onHand) {
    Wish wish =
        new Wish(
            new Serving(Serving.Form.SLICES, Mass.ofGrams(180), 0.05, 1, true),
            Specification.SKIN_ON,
            Choices.USUAL,
            demand,
            onHand,
            0.85,
            ExactMoney.of("18.00", EUR));
    return new OrderPlanner(HouseNorms.STARTING, CATALOGUE)
        .candidate(wish, offer(Form.FILLET, "24.00"))
        .orElseThrow();
  }

  @Test
  public void onePlannerTellsDishesOfOtherChoicesApart() {
    OrderPlanner planner = new OrderPlanner(HouseNorms.STARTING, CATALOGUE);
    Offer whole = offer(Form.WHOLE, "10.00");
    double over = planner.candidate(wish(Choices.USUAL), whole).orElseThrow().portionsPerFish();
    double through =
        planner
            .candidate(wish(Choices.USUAL.with("ribs", "through")), whole)
            .orElseThrow()
            .portionsPerFish();
    assertTrue(through < over, "through the ribs " + through + ", over them " + over);
  }

  private static Wish wish(Choices choices) {
    return new Wish(
        new Serving(Serving.Form.SLICES, Mass.ofGrams(180), 0.05, 1, true),
        Specification.SKIN_ON,
        choices,
        Counts.exactly(24),
        0,
        0.95,
        ExactMoney.of("18.00", EUR));
  }

  @Test
  public void countsThatCannotComeAreForgottenAndTheRestIsKept() {
    Counts trimmed = Counts.of(0, 0.25, 0.75, 0, 0);
    assertEquals(trimmed.most(), 2);
    assertEquals(trimmed, Counts.of(0, 0.25, 0.75));
    assertTrue(!trimmed.equals(Counts.of(0, 0.5, 0.5)));
    assertEquals(trimmed.below(2), 0.25, 0);
    // min of 1 or 2 and of exactly 1: always 1
    assertEquals(trimmed.expectedSmaller(Counts.exactly(1)), 1, 1e-12);
    // min of 1 (1/4) or 2 (3/4) and 0 or 4, half each: half of 1.75
    assertEquals(trimmed.expectedSmaller(Counts.of(0.5, 0, 0, 0, 0.5)), 0.875, 1e-12);
  }

  @Test
  public void whatCanBeBoughtComesBeforeWhatIsOnlyInSeasonAndBothByHowAlikeTheyEat() {
    OrderPlanner planner = new OrderPlanner(HouseNorms.STARTING, CATALOGUE);
    Offer cod =
        new Offer(
            "cod",
            CATALOGUE.getSpecies("cod"),
            State.GUTTED,
            SizeGrade.parseKilograms("2-4"),
            Form.WHOLE,
            UnitPrice.ofPerKilogram("9.00", EUR),
            "Holm Sound Boats");
    List<Alternative> found =
        Alternative.of(
            new Alternative.Question(
                CATALOGUE.getSpecies("hake"),
                List.of("hake", "pollack"),
                Month.NOVEMBER,
                Hemisphere.NORTH),
            CATALOGUE.species(),
            List.of(cod, offer(Form.FILLET, "24.00")),
            planner,
            wish(Choices.USUAL));
    assertEquals(found.get(0).substitute().species().code(), "cod");
    assertTrue(found.get(0).candidate().isPresent());
    assertEquals(found.size(), 6);
    double before = 0;
    for (Alternative later : found.subList(1, 6)) {
      assertTrue(later.candidate().isEmpty() && later.inSeason());
      assertTrue(later.substitute().distance() >= before && later.substitute().distance() <= 6);
      assertTrue(!List.of("hake", "pollack").contains(later.substitute().species().code()));
      before = later.substitute().distance();
    }
  }

  /**
   * Portions served are the smaller of those cut and those wanted. Nine nights in ten the plate is
   * no cheaper than by the portions that are passed on one night in ten, and no dearer than by
   * those that are passed on nine.
   */
  @Test
  public void theRangeOfAPlateIsThatOfThePortionsServed() {
    double[] wanted = new double[61];
    for (int k = 30; k <= 60; k++) {
      wanted[k] = 1.0 / 31;
    }
    Wish wish =
        new Wish(
            new Serving(Serving.Form.SLICES, Mass.ofGrams(180), 0.05, 1, true),
            Specification.SKIN_ON,
            Choices.USUAL,
            Counts.of(wanted),
            0,
            0.8,
            ExactMoney.of("18.00", EUR));
    Offer whole = offer(Form.WHOLE, "10.00");
    Candidate candidate =
        new OrderPlanner(HouseNorms.STARTING, CATALOGUE).candidate(wish, whole).orElseThrow();
    CutPlan plan =
        CutPlan.of(
            new CutPlan.Fish(
                whole.species(), whole.state(), 1, whole.grade().middle(), HouseNorms.STARTING),
            Choices.USUAL.meeting(
                Specification.SKIN_ON, false, CuttingOptions.of(whole.species(), whole.state())),
            CATALOGUE);
    Counts cut =
        FishPortions.of(plan.mainCuts(), whole.grade(), wish.serving(), HouseNorms.STARTING.sides())
            .of(candidate.fish(), 60);
    double[] served = new double[61];
    double expected = 0;
    double risk = 0;
    for (int c = 0; c <= 60; c++) {
      for (int w = 0; w <= 60; w++) {
        double both = cut.probability(c) * wanted[w];
        served[Math.min(c, w)] += both;
        expected += both * Math.min(c, w);
        risk += c < w ? both : 0;
      }
    }
    assertEquals(candidate.served(), expected, 1e-6);
    assertEquals(candidate.risk(), risk, 1e-6);
    assertTrue(candidate.risk() <= 0.2, "the promise is kept");
    double money = candidate.money().plus(candidate.labour()).amount().doubleValue();
    assertEquals(
        candidate.low().amount().doubleValue(), money / notPassed(served, 0.9), 1e-6, "low");
    assertEquals(
        candidate.high().amount().doubleValue(), money / notPassed(served, 0.1), 1e-6, "high");
    assertEquals(
        candidate.surplus(), candidate.fish() * candidate.portionsPerFish() - expected, 1e-6);
    assertEquals(candidate.minutes(), plan.minutes() * candidate.fish(), 1e-9);
    assertEquals(candidate.labour().amount().doubleValue(), 18 * candidate.minutes() / 60, 1e-6);
    assertTrue(candidate.bones().isPositive() && candidate.otherByProducts().isPositive());
    Mass rest =
        Mass.total(
            plan.parts().stream()
                .filter(p -> List.of("collar", "belly").contains(p.slot().kind().code()))
                .map(CutPlan.Planned::mass)
                .toList());
    assertEquals(candidate.otherByProducts(), rest.multipliedBy(candidate.fish()));
  }

  /** The fewest portions that are not passed with a probability. */
  private static int notPassed(double[] served, double probability) {
    double below = 0;
    for (int k = 0; k < served.length; k++) {
      below += served[k];
      if (below >= probability - 1e-12) {
        return k;
      }
    }
    return served.length - 1;
  }

  @Test
  public void countsAreTrimmedWhereNothingIsLeft() {
    assertEquals(Counts.of(0.5, 0.5, 1e-12, 0).most(), 1);
    assertEquals(Counts.of(0.5, 0.5 - 1e-9, 1e-9).most(), 2);
    assertEquals(Counts.of(1, 0, 0), Counts.exactly(0));
    assertEquals(Counts.of(1, 0, 0).hashCode(), Counts.exactly(0).hashCode());
    assertTrue(!Counts.of(0.5, 0.5).equals(Counts.exactly(1)));
    assertEquals(Counts.exactly(2).toString(), "Counts[0.0, 0.0, 1.0]");
    Counts die = Counts.of(0, 0.25, 0.25, 0.25, 0.25);
    assertEquals(die.probability(-1), 0.0);
    assertEquals(die.probability(5), 0.0);
    assertEquals(die.below(0), 0.0);
    assertEquals(die.below(3), 0.5, 1e-12);
    assertEquals(die.below(9), 1.0, 1e-12);
    // two of them: 2 to 8; above five counts as five
    Counts two = die.plus(die, 5);
    assertEquals(two.most(), 5);
    assertEquals(two.probability(2), 1 / 16.0, 1e-12);
    assertEquals(two.probability(4), 3 / 16.0, 1e-12);
    assertEquals(two.probability(5), 10 / 16.0, 1e-12);
    // the smaller of 1..4 and of exactly 2: 1 in one of four, else 2
    assertEquals(die.expectedSmaller(Counts.exactly(2)), 1.75, 1e-12);
    assertEquals(die.expectedSmaller(Counts.exactly(9)), 2.5, 1e-12);
    expectThrows(IllegalArgumentException.class, () -> Counts.of(0.5, 0.4));
    expectThrows(IllegalArgumentException.class, () -> Counts.of(1.1, -0.1));
    expectThrows(IllegalArgumentException.class, () -> Counts.of());
    expectThrows(IllegalArgumentException.class, () -> Counts.exactly(-1));
  }

  @Test
  public void noSubstituteThatAsksMoreOfAHouseLeadsAndEachSaysSoFirst() {
    for (Species missing : CATALOGUE.species()) {
      List<Substitute> all = Substitutes.of(missing, CATALOGUE.species());
      List<Boolean> asks = all.stream().map(one -> asksMore(missing, one.species())).toList();
      assertTrue(asks.contains(true) && !asks.get(0), missing.code());
      assertTrue(asks.lastIndexOf(false) < asks.indexOf(true), missing.code());
      for (Substitute one : all) {
        Enum<?> first = one.different().isEmpty() ? null : one.different().get(0).what();
        assertEquals(
            asksMore(missing, one.species()),
            SAID_FIRST.contains(first),
            missing.code() + " by " + one.species().code());
      }
    }
  }

  private static final java.util.Set<Enum<?>> SAID_FIRST =
      new java.util.HashSet<>(
          List.of(
              Quality.REEF_TOXIN,
              Quality.PROTECTED,
              Quality.WAX_ESTER,
              Quality.HISTAMINE,
              Quality.TOXIC_BLOOD));

  /** Protected, purging, of reefs; or with a gate the house does not keep for the missing fish. */
  private static boolean asksMore(Species missing, Species other) {
    boolean ice =
        other.traits().contains(Species.Trait.HISTAMINE)
            && !missing.traits().contains(Species.Trait.HISTAMINE);
    boolean blood =
        other.traits().contains(Species.Trait.TOXIC_BLOOD)
            && !missing.traits().contains(Species.Trait.TOXIC_BLOOD);
    return ice
        || blood
        || other.traits().contains(Species.Trait.PROTECTED)
        || other.traits().contains(Species.Trait.WAX_ESTER)
        || other.traits().contains(Species.Trait.REEF_TOXIN);
  }

  @Test
  public void thicknessIsWeighedAndSaid() {
    // a cod's fillet is thicker than a plaice's, whatever they weigh
    assertTrue(instead("plaice", "cod").different().contains(Finding.of(Quality.THICKER)));
    assertTrue(instead("cod", "plaice").different().contains(Finding.of(Quality.THINNER)));
    assertTrue(!instead("pollack", "saithe").different().contains(Finding.of(Quality.THICKER)));
  }
}
