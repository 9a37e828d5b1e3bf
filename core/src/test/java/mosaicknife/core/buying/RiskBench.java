package mosaicknife.core.buying;

import java.util.Currency;
import java.util.List;
import java.util.Random;
import mosaicknife.core.anatomy.Catalogue;
import mosaicknife.core.anatomy.SizeGrade;
import mosaicknife.core.anatomy.Species;
import mosaicknife.core.anatomy.Specification;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.breakdown.HouseNorms;
import mosaicknife.core.buying.Demand.Per;
import mosaicknife.core.buying.Offer.Form;
import mosaicknife.core.plan.Choices;
import mosaicknife.core.portion.Serving;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.UnitPrice;
import org.testng.annotations.Test;

/**
 * Whether the risk of running out is what happens: twenty wishes against 200,000 draws each, by a
 * plain simulation. Run by {@code ./mosaic bench} only.
 */
public class RiskBench {

  private static final Currency EUR = Currency.getInstance("EUR");
  private static final Catalogue CATALOGUE = Catalogue.shipped();
  private static final List<String> FISH =
      List.of("hake", "turbot", "plaice", "pollack", "gurnard", "john-dory", "cod", "haddock");
  private static final int WISHES = 20;
  private static final int DRAWS = 200_000;
  private static final double FARTHEST = 4;

  @Test
  public void theRiskIsWhatHappens() {
    Random random = new Random(20);
    double farthest = 0;
    for (int i = 0; i < WISHES; i++) {
      Species species = CATALOGUE.getSpecies(FISH.get(i % FISH.size()));
      SizeGrade grade = species.grades().get(random.nextInt(species.grades().size()));
      long grams = 80 + 10L * random.nextInt(10);
      int portions = 8 + random.nextInt(50);
      Demand demand = new Demand(portions, random.nextInt(6), Per.SERVICE);
      double promise = List.of(0.9, 0.95, 0.98).get(random.nextInt(3));
      Serving serving = new Serving(Serving.Form.SLICES, Mass.ofGrams(grams), 0.05, 1, false);
      Candidate candidate = candidate(species, grade, serving, demand, promise);
      double drawn =
          new PlainSimulation(i)
              .risk(
                  OrderPlannerTest.norms(species.code()),
                  grade,
                  serving,
                  candidate.fish(),
                  demand,
                  DRAWS);
      double error = Math.sqrt(Math.max(1e-5, candidate.risk() * (1 - candidate.risk())) / DRAWS);
      farthest = Math.max(farthest, Math.abs(candidate.risk() - drawn) / error);
      System.out.printf(
          "risk of %-10s %d of %d g, promised %.0f %% by %d fish: %.2f %%, drawn %.2f %%%n",
          species.code(),
          portions,
          grams,
          100 * promise,
          candidate.fish(),
          100 * candidate.risk(),
          100 * drawn);
    }
    System.out.printf(
        "measured | risk of %d wishes off %,d draws, farthest | %.1f sigma | %.0f sigma | %s%n",
        WISHES, DRAWS, farthest, FARTHEST, farthest <= FARTHEST ? "good" : "WORSE");
  }

  private static Candidate candidate(
      Species species, SizeGrade grade, Serving serving, Demand demand, double promise) {
    Offer offer =
        new Offer(
            "c1",
            species,
            State.GUTTED,
            grade,
            Form.WHOLE,
            UnitPrice.ofPerKilogram("10.00", EUR),
            "Grey Skerry Landings");
    Wish wish =
        new Wish(
            serving,
            Specification.SKIN_ON,
            Choices.USUAL,
            demand.distribution(),
            0,
            promise,
            ExactMoney.of("18.00", EUR));
    return new OrderPlanner(HouseNorms.STARTING, CATALOGUE).candidate(wish, offer).orElseThrow();
  }
}
