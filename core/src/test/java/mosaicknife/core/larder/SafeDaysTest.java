package mosaicknife.core.larder;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import mosaicknife.core.cost.Outlay;
import mosaicknife.core.finding.Finding;
import mosaicknife.core.larder.Entry.Out;
import mosaicknife.core.larder.Keeping.Beyond;
import mosaicknife.core.larder.LarderRules.Problem;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.safety.FoodState;
import mosaicknife.core.safety.Limits;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Past its last day nothing becomes food again, whatever it is and whatever is done to it. */
public class SafeDaysTest {

  private static final LocalDate TODAY = LocalDate.of(2026, 11, 26);
  private static final Instant BEFORE = Instant.parse("2026-11-10T12:00:00Z");
  private static final Mass KILO = Mass.ofGrams(1000);

  private static Item item(FoodState state, LocalDate useBy, LocalDate latest, Entry... entries) {
    return Item.of(
        new Shelved(
            "K7Q2M",
            "Loin",
            Optional.empty(),
            Trace.of(4, "loin", KILO),
            KILO,
            0,
            Outlay.none(java.util.Currency.getInstance("EUR")),
            Set.of(),
            new Shelved.Traits(false, false, false),
            LocalDate.of(2026, 11, 10),
            useBy,
            latest,
            state,
            new Shelved.Spot(1, "drawer 3", 1),
            BEFORE),
        List.of(entries));
  }

  private static Optional<Enum<?>> what(Optional<Finding> found) {
    return found.map(Finding::what);
  }

  /** Every state, on days before, on and after its last one. */
  @DataProvider
  public Object[][] statesAndDays() {
    List<Object[]> all = new ArrayList<>();
    for (FoodState state : FoodState.values()) {
      for (int left : new int[] {-10, -1, 0, 1, 5}) {
        all.add(new Object[] {state, left});
      }
    }
    return all.toArray(Object[][]::new);
  }

  @Test(dataProvider = "statesAndDays")
  public void nothingPastItsDayIsEatenSoldMadeIntoOrTurned(FoodState state, int left) {
    LocalDate day = TODAY.plusDays(left);
    Item item = item(state, day, day);
    boolean over = left < 0;
    for (Out out : Out.values()) {
      Optional<Enum<?>> problem = what(LarderRules.taking(item, KILO, out, "it smells", TODAY));
      boolean waste = out == Out.COMPOST || out == Out.BIN || out == Out.MISSING;
      boolean frozen = state == FoodState.FROZEN && out != Out.SOLD;
      assertEquals(
          problem,
          waste
              ? Optional.empty()
              : over
                  ? Optional.of(Problem.OVERDUE)
                  : frozen ? Optional.of(Problem.STILL_FROZEN) : Optional.empty(),
          out.name());
    }
    for (FoodState step : FoodState.values()) {
      Optional<Enum<?>> problem = what(LarderRules.turning(item, step, TODAY));
      if (over) {
        assertEquals(problem, Optional.of(Problem.OVERDUE), step.name());
      } else {
        assertEquals(problem.isEmpty(), may(state, step), state + " to " + step + problem);
      }
    }
  }

  /** What a cook would say may be done to something in its days. */
  private static boolean may(FoodState state, FoodState step) {
    boolean frozen = state == FoodState.FROZEN;
    return switch (step) {
      case FROZEN -> !frozen && state != FoodState.THAWED;
      case THAWED -> frozen;
      case COOKED -> !frozen && state != FoodState.COOKED && state != FoodState.HOT_SMOKED;
      default -> false;
    };
  }

  @Test
  public void whatWasCookedAndFrozenIsNotCookedAgainForNewDays() {
    LocalDate soon = TODAY.plusDays(1);
    Item soup =
        item(
            FoodState.COOKED,
            TODAY.plusDays(2),
            TODAY.plusDays(2),
            new Entry.Turned(FoodState.FROZEN, TODAY.plusDays(60), TODAY.plusDays(60), BEFORE),
            new Entry.Turned(FoodState.THAWED, soon, soon, BEFORE.plus(Duration.ofHours(1))));
    assertTrue(soup.wasHeated());
    assertEquals(
        what(LarderRules.turning(soup, FoodState.COOKED, TODAY)),
        Optional.of(Problem.COOKED_ALREADY));
    Keeping again =
        Keeping.of(
            Optional.of(FoodState.COOKED),
            false,
            List.of(Keeping.Of.item(soup)),
            Limits.STARTING,
            TODAY);
    assertEquals(again.latest(), soon, "into another soup it takes its own day along");
  }

  @Test
  public void aDayOfSafetyIsMovedByNobodyAndOneOfQualityWithAReason() {
    Item raw = item(FoodState.RAW, TODAY.minusDays(1), TODAY.plusDays(1));
    assertEquals(what(LarderRules.dating(raw, TODAY.plusDays(1), "firm", TODAY)), Optional.empty());
    assertEquals(
        LarderRules.dating(raw, TODAY.plusDays(2), "firm", TODAY),
        Optional.of(Finding.of(Problem.DAY_OF_SAFETY, TODAY.plusDays(1)).at("until")));
    assertEquals(
        what(LarderRules.dating(raw, TODAY, " ", TODAY)), Optional.of(Problem.NO_REASON_FOR_DAY));
    assertEquals(
        what(LarderRules.dating(raw, TODAY.minusDays(1), "firm", TODAY)),
        Optional.of(Problem.OVER));
    Item frozen = item(FoodState.FROZEN, TODAY.minusDays(3), TODAY.plusDays(300));
    Item moved =
        Item.of(frozen.shelved(), List.of(new Entry.Dated(TODAY.plusDays(5), "no burn", BEFORE)));
    assertEquals(moved.useBy(), TODAY.plusDays(5));
    assertEquals(moved.latest(), TODAY.plusDays(300));
    assertEquals(what(LarderRules.turning(moved, FoodState.THAWED, TODAY)), Optional.empty());
  }

  private static Keeping.Of of(FoodState state, int days) {
    return new Keeping.Of("it", state, state.isHeated(), TODAY.plusDays(days));
  }

  /** Becomes, without air, of what with how many days left, the latest day, by which rule. */
  @DataProvider
  public Object[][] latest() {
    FoodState raw = FoodState.RAW;
    return new Object[][] {
      // raw as it was cut: as long as its fish
      {null, false, List.of(of(raw, 6)), 6, Beyond.MADE_OF},
      {null, true, List.of(of(raw, 6)), 4, Beyond.VACUUM},
      // made raw: two days, and never longer than the fish
      {raw, false, List.of(of(raw, 6)), 2, Beyond.STATE},
      {raw, false, List.of(of(raw, 1), of(raw, 6)), 1, Beyond.MADE_OF},
      // a core starts the days of raw fish anew, once
      {FoodState.COOKED, false, List.of(of(raw, 0)), 3, Beyond.STATE},
      {FoodState.COOKED, false, List.of(of(FoodState.THAWED, 0)), 3, Beyond.STATE},
      {FoodState.COOKED, false, List.of(of(raw, 2), of(FoodState.COOKED, 1)), 1, Beyond.MADE_OF},
      {FoodState.HOT_SMOKED, false, List.of(of(raw, 1)), 4, Beyond.STATE},
      {FoodState.HOT_SMOKED, false, List.of(of(FoodState.HOT_SMOKED, 1)), 1, Beyond.MADE_OF},
      // salt and smoke do for fresh raw fish, not for what was thawed or cured before
      {FoodState.CURED, false, List.of(of(raw, 1)), 4, Beyond.STATE},
      {FoodState.CURED, false, List.of(of(FoodState.THAWED, 1)), 1, Beyond.MADE_OF},
      {FoodState.COLD_SMOKED, false, List.of(of(FoodState.CURED, 2)), 2, Beyond.MADE_OF},
      {FoodState.COLD_SMOKED, true, List.of(of(raw, 9)), 4, Beyond.STATE},
      {FoodState.DRIED, false, List.of(of(raw, 1)), 30, Beyond.STATE},
      {FoodState.FERMENTED, false, List.of(of(raw, 1)), 180, Beyond.STATE},
      // the freezer holds, and thawing gives a day
      {FoodState.FROZEN, true, List.of(of(raw, 0)), 60, Beyond.STATE},
      {FoodState.THAWED, false, List.of(of(FoodState.FROZEN, 40)), 1, Beyond.STATE},
      {FoodState.THAWED, false, List.of(of(FoodState.FROZEN, 0)), 0, Beyond.MADE_OF},
    };
  }

  @Test(dataProvider = "latest")
  public void aLastDayHasALatest(
      FoodState becomes, boolean airless, List<Keeping.Of> of, int days, Beyond why) {
    Keeping keeping = Keeping.of(Optional.ofNullable(becomes), airless, of, Limits.STARTING, TODAY);
    LocalDate latest = TODAY.plusDays(days);
    assertEquals(keeping.latest(), latest);
    assertEquals(keeping.refusal().what(), why);
    assertEquals(keeping.refusal().figures().get(0), latest, "the sentence names the day");
    assertEquals(keeping.problem(latest), Optional.empty());
    assertEquals(keeping.problem(latest.plusDays(1)), Optional.of(keeping.refusal()));
    assertEquals(keeping.atMost(latest.minusDays(1)), latest.minusDays(1));
    assertEquals(keeping.atMost(latest.plusDays(9)), latest);
  }

  @Test
  public void whatThawedFishIsMadeIntoIsMovedByNobody() {
    Keeping fresh = dried(of(FoodState.RAW, 1));
    assertEquals(fresh.latest(), TODAY.plusDays(30));
    assertEquals(fresh.ever(), TODAY.plusDays(365), "its quality");
    Keeping thawed = dried(of(FoodState.THAWED, 1));
    assertEquals(thawed.ever(), TODAY.plusDays(1), "the safety of what is in it");
    Keeping cooked =
        Keeping.of(
            Optional.of(FoodState.COOKED),
            false,
            List.of(of(FoodState.RAW, 1)),
            Limits.STARTING,
            TODAY);
    assertEquals(cooked.ever(), cooked.latest());
  }

  private static Keeping dried(Keeping.Of of) {
    return Keeping.of(Optional.of(FoodState.DRIED), false, List.of(of), Limits.STARTING, TODAY);
  }

  @Test
  public void onlyWhatACoreMadeCookedIsHeated() {
    for (FoodState state : FoodState.values()) {
      boolean heated = state == FoodState.COOKED || state == FoodState.HOT_SMOKED;
      assertEquals(state.isHeated(), heated, state.name());
    }
    assertFalse(FoodState.CURED.isOfQuality() || FoodState.COLD_SMOKED.isOfQuality());
  }
}
