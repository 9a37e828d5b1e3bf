package mosaicknife.core.slice;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.slice.Service.OnTheBoard;
import mosaicknife.core.slice.Service.Wanted;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Which fillet becomes what, against sums by hand and against every way to share small ones. */
public class ServicePlannerTest {

  private static PortionType type(String name, int target, int less, int more, long value) {
    return new PortionType(
        name,
        Mass.ofGrams(target),
        Mass.ofGrams(target - less),
        Mass.ofGrams(target + more),
        0,
        false,
        value);
  }

  private static OnTheBoard bar(int grams, double bones, Integer... kinds) {
    return new OnTheBoard("f" + grams + "-" + bones, Fillets.bar(grams, bones), Set.of(kinds));
  }

  @Test
  public void twoKindsFromTwoFilletsWithNothingLeftWhereTheHandLeavesATail() {
    // 180 + 140 + 140 and 180 + 180 + 140 are all of 460 and 500 g; by hand the first is two mains
    // and 100 g, the second one main, two snacks and 40 g
    Service service =
        new Service(
            List.of(bar(460, 0, 0, 1), bar(500, 0, 0, 1)),
            List.of(
                new Wanted(type("main", 180, 0, 0, 24), 3),
                new Wanted(type("snack", 140, 0, 0, 14), 3)));
    ServicePlan plan = ServicePlanner.plan(service, 2);
    assertEquals(plan.served(), 6);
    assertEquals(plan.lost(), Mass.ZERO);
    assertTrue(plan.isProved());
    assertEquals(plan.gap(), 0.0);
    ServicePlan byHand = ServicePlanner.byHand(service);
    assertEquals(byHand.served(0), 3);
    assertEquals(byHand.served(1), 2);
    assertEquals(byHand.lost(), Mass.ofGrams(140));
    assertTrue(plan.worth() > byHand.worth());
  }

  @Test
  public void whatIsNotNeededStaysWholeAndTheFilletsThatFitAreCut() {
    Service service =
        new Service(
            List.of(bar(700, 0, 0), bar(540, 0, 0), bar(620, 0, 0)),
            List.of(new Wanted(type("main", 180, 0, 0, 1), 3)));
    ServicePlan plan = ServicePlanner.plan(service, 2);
    assertEquals(plan.cuts().stream().filter(Optional::isPresent).count(), 1);
    assertTrue(plan.cuts().get(1).isPresent(), "540 g are three of 180 g");
    assertEquals(plan.cut(), Mass.ofGrams(540));
  }

  @Test
  public void lighterPortionsWithinTheLimitsAreNoGain() {
    // 4 × 170 of 680 would be 40 g less on the plates than paid for: nothing is lost, not -40
    Service service =
        new Service(List.of(bar(680, 0, 0)), List.of(new Wanted(type("main", 180, 10, 10, 1), 4)));
    ServicePlan plan = ServicePlanner.plan(service, 2);
    assertEquals(plan.served(), 4);
    assertEquals(plan.lost(), Mass.ZERO);
    assertTrue(plan.isProved());
  }

  @Test
  public void onlyWhatHasNoBonesIsCutForThoseWhoMayNotHaveThem() {
    PortionType child =
        new PortionType(
            "child", Mass.ofGrams(100), Mass.ofGrams(100), Mass.ofGrams(100), 0, true, 9);
    Service service =
        new Service(
            List.of(bar(600, 0.49, 0, 1)),
            List.of(new Wanted(child, 4), new Wanted(type("main", 150, 0, 0, 5), 4)));
    ServicePlan plan = ServicePlanner.plan(service, 2);
    assertEquals(plan.served(0), 3, "300 g lie behind the last bone");
    assertEquals(plan.served(1), 2);
    assertEquals(plan.lost(), Mass.ZERO);
    Slicing cut = plan.cuts().get(0).orElseThrow();
    assertTrue(
        cut.portions().stream()
            .filter(one -> one.type().orElseThrow() == child)
            .noneMatch(Slicing.Piece::bones));
  }

  @Test
  public void aFilletOfAnotherFishIsNotCutForADish() {
    Service service =
        new Service(
            List.of(bar(400, 0, 1), bar(401, 0, 0)),
            List.of(
                new Wanted(type("hake", 200, 0, 0, 1), 4),
                new Wanted(type("pollack", 200, 0, 0, 1), 4)));
    ServicePlan plan = ServicePlanner.plan(service, 2);
    assertEquals(plan.served(0), 2);
    assertEquals(plan.served(1), 2);
    assertEquals(ServicePlanner.plan(new Service(List.of(), List.of()), 1).served(), 0);
  }

  @Test
  public void manyKindsAndManySmallPortionsComeToAnEnd() {
    List<Wanted> kinds = new ArrayList<>();
    Integer[] all = new Integer[16];
    for (int i = 0; i < all.length; i++) {
      all[i] = i;
      Mass target = Mass.ofGrams(150 + 7 * i);
      kinds.add(
          new Wanted(
              new PortionType("k" + i, target, target, target, i % 3 * 10, i % 2 == 0, 10 + i), 3));
    }
    Service service = new Service(List.of(bar(4000, 0.4, all), bar(3900, 0.6, all)), kinds);
    assertTrue(service.isWorkable());
    ServicePlan plan = ServicePlanner.plan(service, 1);
    assertTrue(plan.served() > 20 && plan.worth() >= ServicePlanner.byHand(service).worth());
    assertTrue(plan.gap() >= 0);
    ServicePlan atOnce = ServicePlanner.plan(service, 1e-6);
    assertTrue(atOnce.served() > 0, "with no time at all the hand's way is still there");
    assertTrue(atOnce.worth() >= ServicePlanner.byHand(service).worth());
    Service crumbs =
        new Service(List.of(bar(3000, 0, 0)), List.of(new Wanted(type("crumb", 5, 0, 0, 1), 5000)));
    assertFalse(crumbs.isWorkable(), "nobody cuts hundreds of one fillet");
    ServicePlan some = ServicePlanner.plan(crumbs, 1);
    assertEquals(some.served(), 150);
    assertFalse(some.isProved(), "and then nothing is said to be the best");
  }

  @Test
  public void whatWouldTakeMinutesIsNotBegun() {
    PortionType anything =
        new PortionType(
            "x", Mass.ofGrams(20_000), Mass.ofGrams(1), Mass.ofGrams(40_000), 0, false, 1);
    Fillet heavy = Fillets.bar(40_000, 0);
    assertFalse(Slicer.isWorkable(heavy, List.of(anything), 0, 1));
    assertTrue(Slicer.isWorkable(heavy, List.of(type("t", 180, 9, 9, 1)), 0, 25));
    assertFalse(
        new Service(
                List.of(new OnTheBoard("f", heavy, Set.of(0))), List.of(new Wanted(anything, 1)))
            .isWorkable());
  }

  @DataProvider
  public static Object[][] seeds() {
    Object[][] seeds = new Object[30][1];
    for (int i = 0; i < seeds.length; i++) {
      seeds[i][0] = (long) i;
    }
    return seeds;
  }

  @Test(dataProvider = "seeds")
  public void noOtherSharingServesMoreOrLosesLess(long seed) {
    Random random = new Random(seed);
    List<Wanted> wanted = new ArrayList<>();
    for (int t = 0; t < 2; t++) {
      int target = 5 + random.nextInt(5);
      PortionType type =
          new PortionType(
              "t" + t,
              Mass.ofGrams(target),
              Mass.ofGrams(target - random.nextInt(2)),
              Mass.ofGrams(target + random.nextInt(2)),
              random.nextInt(2) * 10,
              random.nextBoolean(),
              1 + random.nextInt(9));
      wanted.add(new Wanted(type, random.nextInt(4)));
    }
    List<OnTheBoard> fillets = new ArrayList<>();
    for (int f = 0; f < 3; f++) {
      int grams = 12 + random.nextInt(14);
      Fillet fillet =
          random.nextBoolean() ? Fillets.wedge(grams) : Fillets.bar(grams, random.nextDouble());
      fillets.add(
          new OnTheBoard("f" + f, fillet, random.nextInt(4) == 0 ? Set.of(0) : Set.of(0, 1)));
    }
    Service service = new Service(fillets, wanted);
    ServicePlan plan = ServicePlanner.plan(service, 5);
    long[] best = best(service, 0, new int[wanted.size()], new HashMap<>());
    assertEquals(plan.worth(), best[0], "worth");
    assertEquals(plan.lost(), Mass.ofGrams(best[1]), "lost");
    assertTrue(plan.isProved());
    for (int f = 0; f < fillets.size(); f++) {
      Mass whole = fillets.get(f).fillet().mass();
      plan.cuts()
          .get(f)
          .ifPresent(
              cut ->
                  assertEquals(
                      Mass.total(cut.pieces().stream().map(Slicing.Piece::mass).toList()), whole));
    }
  }

  /** The most worth and, with it, the least grams lost, trying every set on every fillet. */
  private static long[] best(Service service, int f, int[] served, Map<String, long[]> known) {
    if (f == service.fillets().size()) {
      return new long[] {0, 0};
    }
    String key = f + ":" + served[0] + ":" + served[1];
    if (known.containsKey(key)) {
      return known.get(key);
    }
    OnTheBoard one = service.fillets().get(f);
    long[] best = {-1, 0};
    for (int a = 0; a + served[0] <= service.wanted().get(0).count(); a++) {
      for (int b = 0; b + served[1] <= service.wanted().get(1).count(); b++) {
        boolean may = (a == 0 || one.kinds().contains(0)) && (b == 0 || one.kinds().contains(1));
        if (may && fits(service, one.fillet(), a, b, 0)) {
          long[] rest = best(service, f + 1, new int[] {served[0] + a, served[1] + b}, known);
          long worth = rest[0] + a * value(service, 0) + b * value(service, 1);
          long grams = one.fillet().mass().milligrams() / 1000;
          long lost =
              rest[1]
                  + (a + b == 0
                      ? 0
                      : Math.max(0, grams - a * target(service, 0) - b * target(service, 1)));
          if (worth > best[0] || worth == best[0] && lost < best[1]) {
            best = new long[] {worth, lost};
          }
        }
      }
    }
    known.put(key, best);
    return best;
  }

  private static long value(Service service, int kind) {
    return service.wanted().get(kind).type().value();
  }

  private static long target(Service service, int kind) {
    return service.wanted().get(kind).type().target().milligrams() / 1000;
  }

  /** Whether so many of each lie behind a gram, trying every order and every mass. */
  private static boolean fits(Service service, Fillet fillet, int a, int b, int from) {
    if (a + b == 0) {
      return true;
    }
    int grams = (int) (fillet.mass().milligrams() / 1000);
    for (int start = from; start < grams; start++) {
      for (int kind = 0; kind < 2; kind++) {
        PortionType type = service.wanted().get(kind).type();
        for (int end = start + 1; (kind == 0 ? a : b) > 0 && end <= grams; end++) {
          if (lies(fillet, type, start, end, grams)
              && fits(service, fillet, kind == 0 ? a - 1 : a, kind == 1 ? b - 1 : b, end)) {
            return true;
          }
        }
      }
    }
    return false;
  }

  private static boolean lies(Fillet fillet, PortionType type, int start, int end, int grams) {
    long mass = (end - start) * 1000L;
    if (mass < type.lightest().milligrams() || mass > type.heaviest().milligrams()) {
      return false;
    }
    double first = place(fillet, start, grams);
    if (type.boneless() && first < fillet.pinBonesTo()) {
      return false;
    }
    for (int i = start; i <= end; i++) {
      if (fillet.millimetresAt(place(fillet, i, grams)) < type.millimetres()) {
        return false;
      }
    }
    return true;
  }

  private static double place(Fillet fillet, int gram, int grams) {
    return gram == grams ? 1 : fillet.profile().placeOf(gram / (double) grams);
  }
}
