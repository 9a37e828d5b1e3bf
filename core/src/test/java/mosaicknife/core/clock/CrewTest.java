package mosaicknife.core.clock;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import mosaicknife.core.clock.Schedule.Given;
import mosaicknife.core.clock.Schedule.Placed;
import mosaicknife.core.clock.Task.Fixed;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** People: what they can do, where and when they are there, and who hands over to whom. */
public class CrewTest {

  private static final Hands KNIFE = new Hands(Named.LANTERN, Skill.KNIFE);
  private static final Hands STOVE = new Hands(Named.LANTERN, Skill.STOVE);
  private static final Hands ANY = new Hands(Named.LANTERN, Skill.ANY);

  private static Worker worker(String id, Set<Skill> skills, int from, int to) {
    return new Worker(id, id, Set.of(Named.LANTERN), skills, List.of(new Span(from, to)));
  }

  private static Agenda agenda(List<Task> tasks, Worker... workers) {
    return new Agenda(tasks, Map.of(Named.gear("hob"), 1), List.of(workers));
  }

  private static Placed find(Schedule schedule, String id) {
    return schedule.find(Named.id(id)).orElseThrow();
  }

  @Test
  public void aTaskGoesToOneWhoCanDoIt() {
    Agenda agenda =
        agenda(
            List.of(
                Named.task("fillet", 40).by(KNIFE).dueAt(300),
                Named.task("stock", 40).by(STOVE).dueAt(300),
                Named.task("pack", 40).by(ANY).dueAt(300)),
            worker("tobiah", Set.of(Skill.KNIFE), 0, 600),
            worker("ines", Set.of(Skill.STOVE), 0, 600),
            worker("maren", Set.of(), 0, 600));
    Schedule schedule = Backward.of(agenda, 5);
    assertEquals(schedule.idle(), 0, "three people, three tasks, all at the end");
    assertEquals(find(schedule, "fillet").worker(), Optional.of("tobiah"));
    assertEquals(find(schedule, "stock").worker(), Optional.of("ines"));
    assertEquals(find(schedule, "pack").worker(), Optional.of("maren"));
  }

  @Test
  public void nobodyWorksOutsideOfTheirHours() {
    Schedule schedule =
        Backward.of(
            agenda(
                List.of(Named.task("fillet", 40).by(KNIFE).dueAt(300)),
                worker("tobiah", Set.of(Skill.KNIFE), 0, 200)),
            5);
    assertEquals(find(schedule, "fillet").start(), 160, "before they go");
    Schedule tomorrow =
        Backward.of(
            agenda(
                List.of(Named.task("fillet", 40).by(KNIFE).dueAt(300)),
                worker("tobiah", Set.of(Skill.KNIFE), 1440, 2000)),
            5);
    assertEquals(find(tomorrow, "fillet").start(), 1440, "late, but no one is there before");
    assertEquals(tomorrow.late(), 1180);
    assertEquals(tomorrow.given(), Set.of());
  }

  @Test
  public void whatNobodyIsThereForIsSaidAndNotLeftOut() {
    // the soak ends at 60 and may wait half an hour; the cook comes at 400
    Schedule schedule =
        Backward.of(
            agenda(
                List.of(
                    Named.task("soak", 60)
                        .in(Named.id("stock"))
                        .fixed(Fixed.runs(Optional.empty())),
                    Named.task("skim", 10)
                        .in(Named.id("stock"))
                        .by(STOVE)
                        .after(List.of(Named.after("soak", 0, 30))),
                    Named.task("pack", 10)
                        .in(Named.id("stock"))
                        .by(STOVE)
                        .after(List.of(Named.after("skim", 200, 500)))
                        .dueAt(600)),
                worker("ines", Set.of(Skill.STOVE), 400, 900)),
            5);
    assertEquals(schedule.given(), Set.of(Given.PEOPLE));
    assertEquals(
        schedule.nobodys().stream().map(one -> one.task().name()).toList(), List.of("skim"));
    assertTrue(find(schedule, "skim").start() <= 90);
    assertEquals(find(schedule, "pack").worker(), Optional.of("ines"));
    Schedule nobody = Backward.of(agenda(List.of(Named.task("cut", 10).by(KNIFE).dueAt(50))), 5);
    assertEquals(nobody.nobodys().size(), 1, "no butcher at all");
    assertEquals(find(nobody, "cut").start(), 40);
  }

  @Test
  public void aBatchStaysInOnePairOfHands() {
    List<Task> tasks = new ArrayList<>();
    for (String batch : List.of("white", "fumet")) {
      tasks.add(Named.task(batch + 1, 20).in(Named.id(batch)).by(ANY));
      tasks.add(
          Named.task(batch + 2, 20)
              .in(Named.id(batch))
              .by(ANY)
              .after(List.of(Named.after(batch + 1, 30, 60)))
              .dueAt(300));
    }
    Schedule schedule =
        Backward.of(
            agenda(tasks, worker("ines", Set.of(), 0, 600), worker("maren", Set.of(), 0, 600)), 5);
    assertEquals(schedule.idle(), 0);
    assertEquals(schedule.handOvers(), 0);
    assertEquals(find(schedule, "white1").worker(), find(schedule, "white2").worker());
    Schedule alone = Backward.of(agenda(tasks, worker("ines", Set.of(), 0, 600)), 5);
    assertTrue(alone.idle() > 0, "one pair of hands cannot end both at once");
    assertEquals(alone.late(), 0);
  }

  @Test
  public void oneWhoBeganTwoThingsIsOnePairOfHands() {
    Schedule schedule =
        Backward.of(
            agenda(
                List.of(
                    Named.task("one", 30).by(ANY).fixed(Fixed.runs(Optional.of("ines"))),
                    Named.task("two", 50).by(ANY).fixed(Fixed.runs(Optional.of("ines"))),
                    Named.task("next", 20).by(ANY).dueAt(40)),
                worker("ines", Set.of(), 0, 600)),
            5);
    assertEquals(schedule.given(), Set.of());
    assertEquals(find(schedule, "next").start(), 50);
    assertEquals(schedule.late(), 30);
  }

  @Test
  public void whatIsPinnedStaysAndTheRestGoesAround() {
    List<Task> tasks =
        List.of(
            Named.task("soup", 60).needing(Named.gear("hob")).dueAt(300).fixed(Fixed.pinned(230)),
            Named.task("sauce", 30).needing(Named.gear("hob")).dueAt(300));
    Schedule schedule = Backward.of(agenda(tasks), 5);
    assertEquals(find(schedule, "soup").start(), 230);
    assertEquals(find(schedule, "sauce").start(), 200);
    List<Task> both =
        List.of(
            Named.task("soup", 60).needing(Named.gear("hob")).dueAt(300).fixed(Fixed.pinned(230)),
            Named.task("sauce", 30).needing(Named.gear("hob")).dueAt(300).fixed(Fixed.pinned(240)));
    Schedule none = Backward.of(agenda(both), 5);
    assertEquals(none.given(), Set.of(Given.PINS), "two on one hob cannot be");
    assertEquals(none.late(), 0);
  }

  @Test
  public void aLateDayNamesTheFewestPromisesAndWhatHelps() {
    Hands here = KNIFE;
    List<Task> tasks =
        List.of(
            Named.task("long", 50).by(here).dueAt(60),
            Named.task("short", 20).by(here).dueAt(60),
            Named.task("small", 20).by(here).dueAt(60));
    Agenda agenda = agenda(tasks, worker("tobiah", Set.of(Skill.KNIFE), 10, 300));
    Schedule schedule = Backward.of(agenda, 5);
    assertEquals(schedule.late(), 40, "10 + 20 + 20 + 50 = 100, and 60 would be in time");
    assertEquals(
        Backward.fewestBroken(agenda, 5).stream().map(one -> one.task().name()).toList(),
        List.of("long"));
    List<WayOut> ways =
        WayOut.of(
            agenda,
            schedule,
            List.of(
                new WayOut.Other(
                    Named.id("long"), "quick", List.of(Named.task("q", 10).by(here).dueAt(60)))),
            5,
            9);
    assertEquals(
        ways.stream()
            .map(way -> way.kind() + " " + Named.of(way.what()) + " " + way.late())
            .toList(),
        List.of(
            "INSTEAD quick 0",
            "DROP long 0",
            "DROP short 20",
            "DROP small 20",
            "EARLIER tobiah 30"));
    assertEquals(ways.get(4).when(), Optional.of(new Span(0, 10)));
  }

  @DataProvider
  public static Object[][] seeds() {
    Object[][] seeds = new Object[10][1];
    for (int i = 0; i < seeds.length; i++) {
      seeds[i][0] = (long) i;
    }
    return seeds;
  }

  /** Every start and every person of a small day, tried one by one. */
  @Test(dataProvider = "seeds")
  public void noWayToShareTheWorkIsBetter(long seed) {
    Random random = new Random(seed);
    List<Worker> workers = new ArrayList<>();
    Skill[] skills = Skill.values();
    for (int i = 0; i < 2; i++) {
      int from = random.nextInt(3);
      workers.add(
          new Worker(
              "w" + i,
              "w" + i,
              Set.of(Named.LANTERN),
              random.nextBoolean() ? Set.of(Skill.KNIFE, Skill.STOVE) : Set.of(Skill.KNIFE),
              List.of(new Span(from, from + 4), new Span(from + 6, 3000))));
    }
    List<Task> tasks = new ArrayList<>();
    for (int i = 0; i < 3; i++) {
      tasks.add(
          Named.task("t" + i, 1 + random.nextInt(3))
              .in(Named.id("g" + random.nextInt(2)))
              .by(new Hands(Named.LANTERN, skills[random.nextInt(skills.length)]))
              .dueAt(3 + random.nextInt(6)));
    }
    Agenda agenda = new Agenda(tasks, Map.of(), workers);
    Schedule schedule = Backward.of(agenda, 10);
    boolean isPossible =
        tasks.stream()
            .allMatch(t -> workers.stream().anyMatch(w -> w.can(t.hands().orElseThrow())));
    long best = Long.MAX_VALUE;
    int most = 18;
    for (int code = 0; code < most * most * most * 8; code++) {
      int rest = code;
      List<Placed> placed = new ArrayList<>();
      for (int i = 0; i < 3; i++) {
        int start = rest % most;
        rest /= most;
        placed.add(new Placed(tasks.get(i), start, Optional.empty()));
      }
      Set<String> seen = new HashSet<>();
      boolean isAllowed = true;
      for (int i = 0; i < 3 && isAllowed; i++) {
        Worker worker = workers.get(rest & 1);
        rest >>= 1;
        Placed one = placed.get(i);
        isAllowed =
            worker.can(one.task().hands().orElseThrow())
                && worker.there().stream()
                    .anyMatch(span -> span.from() <= one.start() && one.end() <= span.to());
        for (int minute = one.start(); minute < one.end(); minute++) {
          isAllowed &= seen.add(worker.id() + minute);
        }
      }
      if (isAllowed) {
        long late = placed.stream().mapToInt(Placed::late).sum();
        long early =
            placed.stream()
                .mapToInt(p -> Math.max(0, p.task().due().orElseThrow() - p.end()))
                .sum();
        best = Math.min(best, late * 1000 + early);
      }
    }
    if (isPossible) {
      assertEquals(schedule.late() * 1000L + schedule.idle(), best);
      assertEquals(schedule.nobodys(), List.of());
    } else {
      assertEquals(best, Long.MAX_VALUE);
      assertTrue(!schedule.nobodys().isEmpty());
    }
  }
}
