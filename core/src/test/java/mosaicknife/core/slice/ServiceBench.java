package mosaicknife.core.slice;

import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import mosaicknife.core.Measured;
import mosaicknife.core.Measured.Against;
import mosaicknife.core.anatomy.Catalogue;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.slice.Service.OnTheBoard;
import mosaicknife.core.slice.Service.Wanted;
import org.testng.annotations.Test;

/**
 * 40 fillets and four kinds of portion: how long, how near to proved, and against the hand. Run by
 * {@code ./mosaic bench} only.
 */
public class ServiceBench {

  private static final int FILLETS = 40;

  @Test
  public void fortyFilletsAndFourKinds() {
    double seconds = Measured.budget();
    ServicePlanner.plan(day(0, false), seconds);
    double worst = 0;
    double gap = 0;
    for (int seed = 0; seed < 6; seed++) {
      Service service = day(seed, seed % 2 == 1);
      ServicePlan plan = ServicePlanner.plan(service, seconds);
      double times = Measured.times(() -> ServicePlanner.plan(service, seconds), Against.A_MODEL);
      ServicePlan hand = ServicePlanner.byHand(service);
      worst = Math.max(worst, times);
      gap = Math.max(gap, plan.gap());
      assertTrue(plan.worth() >= hand.worth() && plan.worth() == plan.mostWorth());
      // edible hake at 18.00 a kilogram
      double money = hand.lost().minus(plan.lost()).milligrams() / 1e6 * 18;
      System.out.printf(
          "slice %d: %.1f × a known model, gap %.2f %%; %d portions for %d by hand, %s lost for %s, %.0f in money%n",
          seed,
          times,
          100 * plan.gap(),
          plan.served(),
          hand.served(),
          plan.lost(),
          hand.lost(),
          money);
    }
    Measured.reportGap("40 fillets and 4 kinds of portion, worst of six", gap, 0.005, worst);
  }

  private static Service day(int seed, boolean zones) {
    Random random = new Random(seed);
    int[] targets = {180, 150, 120, 95};
    List<Wanted> wanted = new ArrayList<>();
    for (int i = 0; i < targets.length; i++) {
      int target = targets[i];
      wanted.add(
          new Wanted(
              new PortionType(
                  "t" + i,
                  Mass.ofGrams(target),
                  Mass.ofGrams(Math.round(target * 0.96f)),
                  Mass.ofGrams(Math.round(target * 1.05f)),
                  zones && i == 0 ? 14 : 0,
                  zones && i == 3,
                  target * 14L),
              40 + random.nextInt(30)));
    }
    List<OnTheBoard> fillets = new ArrayList<>();
    for (int f = 0; f < FILLETS; f++) {
      int grams = 520 + random.nextInt(900);
      Fillet fillet =
          Fillet.of(
                  Catalogue.shipped().getSpecies("hake"),
                  "fillet-left",
                  Mass.ofGrams(grams),
                  Mass.ofGrams(grams * 4L),
                  Optional.empty())
              .orElseThrow();
      fillets.add(new OnTheBoard("f" + f, fillet, Set.of(0, 1, 2, 3)));
    }
    return new Service(fillets, wanted);
  }
}
