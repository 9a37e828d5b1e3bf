package mosaicknife.core;

import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.Currency;
import java.util.List;
import java.util.Random;
import mosaicknife.core.Measured.Against;
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

  @Test
  public void aWeekOfTwelveDishesOverThirtyOffers() {
    List<Offer> offers = offers();
    List<Wish> week = week();
    Runnable plan =
        () -> {
          OrderPlanner planner = new OrderPlanner(HouseNorms.STARTING, CATALOGUE);
          int candidates = 0;
          for (Wish wish : week) {
            candidates += planner.plan(wish, offers).size();
          }
          assertTrue(candidates > 300, "only " + candidates + " candidates");
        };
    plan.run();
    Measured.report(
        "a week of 12 dishes over 30 offers",
        Measured.times(plan, Against.A_SORT),
        Against.A_SORT,
        20);
  }

  @Test
  public void hundredSearchesInTheCatalogue() {
    List<String> queries =
        List.of("merlusa", "rodsp", "steinbut", "zzzzzz", "a", "white tunna", "seteur", "kveite");
    Runnable searches =
        () -> {
          for (int i = 0; i < 100; i++) {
            CATALOGUE.search(queries.get(i % queries.size()));
          }
        };
    searches.run();
    Measured.report(
        "a hundred searches in the catalogue",
        Measured.times(searches, Against.A_SORT),
        Against.A_SORT,
        20);
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
