package mosaicknife.core;

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
import mosaicknife.core.breakdown.HouseNorms;
import mosaicknife.core.buying.Demand;
import mosaicknife.core.buying.Demand.Per;
import mosaicknife.core.buying.Offer;
import mosaicknife.core.buying.Offer.Form;
import mosaicknife.core.buying.OrderPlanner;
import mosaicknife.core.buying.Wish;
import mosaicknife.core.plan.Choices;
import mosaicknife.core.portion.Serving;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.UnitPrice;
import org.testng.annotations.Test;

/** How long the core takes where somebody waits for it. Run by {@code ./mosaic bench} only. */
public class PlanningBench {

  private static final Currency EUR = Currency.getInstance("EUR");
  private static final Catalogue CATALOGUE = Catalogue.shipped();
  private static final int ROUNDS = 6;

  @Test
  public void aWeekOfTwelveDishesOverThirtyOffers() {
    List<Offer> offers = offers();
    List<Wish> week = week();
    double best = Double.MAX_VALUE;
    for (int round = 0; round < ROUNDS; round++) {
      long start = System.nanoTime();
      OrderPlanner planner = new OrderPlanner(HouseNorms.STARTING, CATALOGUE);
      int candidates = 0;
      for (Wish wish : week) {
        candidates += planner.plan(wish, offers).size();
      }
      best = Math.min(best, (System.nanoTime() - start) / 1e6);
      assertTrue(candidates > 300, "only " + candidates + " candidates");
    }
    report("a week of 12 dishes over 30 offers", best, 300);
  }

  @Test
  public void aSearchInTheCatalogue() {
    List<String> queries = List.of("merlusa", "rodsp", "steinbut", "zzzzzz", "a", "white tunna");
    double best = Double.MAX_VALUE;
    for (int round = 0; round < ROUNDS; round++) {
      long start = System.nanoTime();
      for (int i = 0; i < 20; i++) {
        queries.forEach(CATALOGUE::search);
      }
      best = Math.min(best, (System.nanoTime() - start) / 1e6 / (20 * queries.size()));
    }
    report("a search in the catalogue", best, 50);
  }

  private static void report(String what, double milliseconds, double limit) {
    System.out.printf(
        "measured | %s | %.1f ms | %.0f ms | %s%n",
        what, milliseconds, limit, milliseconds <= limit ? "good" : "WORSE");
  }

  private static List<Offer> offers() {
    List<Offer> offers = new ArrayList<>();
    Random random = new Random(7);
    for (Species species : CATALOGUE.species()) {
      if (offers.size() < 30 && species.usualMass().highest().compareTo(Mass.ofGrams(900)) > 0) {
        SizeGrade grade = species.grades().get(species.grades().size() - 1);
        String price = "%d.50".formatted(5 + random.nextInt(20));
        offers.add(
            new Offer(
                "c" + offers.size(),
                species,
                State.GUTTED,
                grade,
                Form.WHOLE,
                UnitPrice.ofPerKilogram(price, EUR),
                "Grey Skerry Landings"));
      }
    }
    return offers;
  }

  private static List<Wish> week() {
    List<Wish> week = new ArrayList<>();
    for (int dish = 0; dish < 12; dish++) {
      Demand demand = new Demand(40 + 15 * dish, 8, Per.WEEK);
      week.add(
          new Wish(
              new Serving(Serving.Form.SLICES, Mass.ofGrams(90 + 10 * dish), 0.05, 1, true),
              Specification.values()[dish % 4],
              Choices.USUAL,
              demand.distribution(),
              0,
              0.95,
              ExactMoney.of("18.00", EUR)));
    }
    return week;
  }
}
