package mosaicknife.core.clock;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertThrows;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import mosaicknife.core.clock.Task.After;
import mosaicknife.core.clock.Task.Fixed;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Backward from service, against sums by hand and against every schedule there is. */
public class BackwardTest {

  private static Task task(String id, int minutes, String need, int due, After... after) {
    Task task = Named.task(id, minutes).after(List.of(after));
    Task needing = need.isEmpty() ? task : task.needing(Named.gear(need));
    return due < 0 ? needing : needing.dueAt(due);
  }

  private static Agenda agenda(List<Task> tasks, Map<EquipmentId, Integer> capacity) {
    return new Agenda(tasks, capacity, List.of());
  }

  private static final Map<EquipmentId, Integer> HOB = Map.of(Named.gear("hob"), 1);

  private static int start(Schedule schedule, String id) {
    return schedule.placed().stream()
        .filter(one -> one.task().id().equals(Named.id(id)))
        .findFirst()
        .orElseThrow()
        .start();
  }

  @Test
  public void aChainStartsAsLateAsItsServiceAllows() {
    Agenda agenda =
        agenda(
            List.of(
                task("soak", 90, "", -1),
                task("boil", 20, "hob", -1, Named.after("soak", 0, 10)),
                task("strain", 15, "hands", 600, Named.after("boil", 150, 240))),
            Map.of(Named.gear("hob"), 1, Named.gear("hands"), 1));
    Schedule schedule = Backward.of(agenda, 5);
    // 600 − 15 − 150 − 20 − 90
    assertEquals(start(schedule, "soak"), 325);
    assertEquals(start(schedule, "boil"), 415);
    assertEquals(start(schedule, "strain"), 585);
    assertEquals(schedule.late(), 0);
    assertEquals(schedule.idle(), 0);
    assertTrue(schedule.isProved());
  }

  @Test
  public void twoTasksOnOneHobComeAfterEachOther() {
    List<Task> tasks = List.of(task("soup", 60, "hob", 200), task("sauce", 30, "hob", 200));
    Schedule schedule = Backward.of(agenda(tasks, Map.of(Named.gear("hob"), 1)), 5);
    assertEquals(schedule.late(), 0);
    assertEquals(schedule.idle(), 30, "the shorter one last: the other is half an hour early");
    assertEquals(Backward.of(agenda(tasks, Map.of(Named.gear("hob"), 2)), 5).idle(), 0);
  }

  @Test
  public void whatCannotBeKeptIsSaidWithWhatHelps() {
    List<Task> tasks =
        List.of(
            task("soup", 60, "hob", 70),
            task("sauce", 30, "hob", 70),
            task("cut", 20, "board", 70));
    Agenda agenda = agenda(tasks, Map.of(Named.gear("hob"), 1, Named.gear("board"), 1));
    Schedule schedule = Backward.of(agenda, 5);
    assertEquals(schedule.late(), 20, "ninety minutes of hob before seventy");
    assertEquals(schedule.broken().size(), 1);
    List<WayOut> ways = WayOut.of(agenda, schedule, List.of(), 5, 9);
    assertEquals(
        ways.stream()
            .map(way -> way.kind() + " " + Named.of(way.what()) + " " + way.late())
            .toList(),
        List.of("MORE hob 0", "DROP soup 0", "DROP sauce 0"),
        "a second board helps nobody");
  }

  @Test
  public void onlyWhatIsProvedImpossibleIsRefused() {
    List<Task> free = List.of(task("soup", 60, "hob", 300), task("sauce", 30, "hob", 300));
    Agenda day = agenda(free, Map.of(Named.gear("hob"), 1));
    Agenda beside = agenda(List.of(free.get(0).fixed(Fixed.pinned(200)), free.get(1)), HOB);
    Agenda pinned =
        agenda(
            List.of(free.get(0).fixed(Fixed.pinned(200)), free.get(1).fixed(Fixed.pinned(240))),
            HOB);
    assertTrue(Backward.fits(day, beside, 5), "the sauce comes before or after it");
    assertFalse(Backward.fits(beside, pinned, 5), "two on one hob cannot be");
    assertTrue(Backward.fits(pinned, pinned, 5), "it was so before: this wish is not to blame");
    assertTrue(Backward.fits(beside, pinned, 1e-9), "without a proof nobody is refused");
  }

  @Test
  public void whatRunsAlreadyStaysWhereItIs() {
    Task running = Named.task("soak", 60).fixed(Fixed.runs(Optional.empty()));
    Schedule schedule =
        Backward.of(
            agenda(
                List.of(running, task("boil", 20, "hob", 300, Named.after("soak", 0, 30))),
                Map.of(Named.gear("hob"), 1)),
            5);
    assertEquals(start(schedule, "soak"), 0);
    assertEquals(start(schedule, "boil"), 90, "half an hour at the most after the soak");
    Task other = Named.task("wait", 30).fixed(Fixed.runs(Optional.empty()));
    Schedule both =
        Backward.of(
            agenda(
                List.of(running, other, task("cut", 20, "hob", 300)), Map.of(Named.gear("hob"), 1)),
            5);
    assertEquals(start(both, "cut"), 280, "two that run already are in nobody's way");
    assertTrue(both.isProved());
  }

  @Test
  public void circlesAndUnknownNamesAreRefused() {
    List<Task> circle =
        List.of(
            task("a", 5, "", -1, Named.after("b", 0, 10)),
            task("b", 5, "", -1, Named.after("a", 0, 10)));
    assertEquals(Agenda.circle(circle).size(), 3);
    assertThrows(IllegalArgumentException.class, () -> agenda(circle, Map.of()));
    assertThrows(
        IllegalArgumentException.class, () -> agenda(List.of(task("a", 5, "hob", -1)), Map.of()));
    assertThrows(IllegalArgumentException.class, () -> Named.after("a", 20, 10));
    assertEquals(Backward.of(agenda(List.of(), Map.of()), 1).placed(), List.of());
  }

  @DataProvider
  public static Object[][] seeds() {
    Object[][] seeds = new Object[12][1];
    for (int i = 0; i < seeds.length; i++) {
      seeds[i][0] = (long) i;
    }
    return seeds;
  }

  @Test(dataProvider = "seeds")
  public void noScheduleOfAllIsBetter(long seed) {
    Random random = new Random(seed);
    List<Task> tasks = new ArrayList<>();
    for (int i = 0; i < 4; i++) {
      After[] after =
          i > 0 && random.nextBoolean()
              ? new After[] {Named.after("t" + (i - 1), random.nextInt(3), 3 + random.nextInt(3))}
              : new After[0];
      tasks.add(
          task(
              "t" + i,
              1 + random.nextInt(3),
              random.nextInt(3) == 0 ? "" : "r" + random.nextInt(2),
              i == 3 || random.nextInt(3) == 0 ? 3 + random.nextInt(6) : -1,
              after));
    }
    Agenda agenda = agenda(tasks, Map.of(Named.gear("r0"), 1, Named.gear("r1"), 1));
    Schedule schedule = Backward.of(agenda, 10);
    assertTrue(schedule.isProved());
    assertTrue(allowed(schedule.placed()), "its own schedule keeps the rules");
    long best = Long.MAX_VALUE;
    int[] starts = new int[4];
    int most = 16;
    for (int code = 0; code < most * most * most * most; code++) {
      int rest = code;
      List<Schedule.Placed> placed = new ArrayList<>();
      for (int i = 0; i < 4; i++) {
        starts[i] = rest % most;
        rest /= most;
        placed.add(new Schedule.Placed(tasks.get(i), starts[i], Optional.empty()));
      }
      if (allowed(placed)) {
        long late = placed.stream().mapToInt(Schedule.Placed::late).sum();
        best = Math.min(best, late * 1000 + Backward.idle(placed));
      }
    }
    assertEquals(schedule.late() * 1000L + schedule.idle(), best);
  }

  /** Whether a schedule keeps every wait and no resource is held twice. */
  private static boolean allowed(List<Schedule.Placed> placed) {
    Map<TaskId, Schedule.Placed> byId = new HashMap<>();
    placed.forEach(one -> byId.put(one.task().id(), one));
    for (Schedule.Placed one : placed) {
      for (After after : one.task().after()) {
        int wait = one.start() - byId.get(after.id()).end();
        if (wait < after.least() || wait > after.most()) {
          return false;
        }
      }
      for (Schedule.Placed other : placed) {
        boolean shared =
            other != one && other.task().needs().stream().anyMatch(one.task().needs()::contains);
        if (shared && one.start() < other.end() && other.start() < one.end()) {
          return false;
        }
      }
    }
    return true;
  }
}
