package mosaicknife.core.clock;

import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import org.testng.annotations.Test;

/** How long a full Saturday takes to place. Run by {@code ./mosaic bench} only. */
public class ClockBench {

  private static final int CHAINS = 24;
  private static final int LINKS = 5;
  private static final int EQUIPMENT = 6;
  private static final int PEOPLE = 4;
  private static final int[] SERVICES = {720, 1080, 1320};

  @Test
  public void aFullSaturday() {
    double worst = 0;
    int proved = 0;
    for (int day = 1; day <= 3; day++) {
      Agenda agenda = day(new Random(day));
      long start = System.nanoTime();
      Schedule schedule = Backward.of(agenda, 2);
      double took = (System.nanoTime() - start) / 1e6;
      worst = Math.max(worst, took);
      proved += schedule.proved() ? 1 : 0;
      assertTrue(schedule.placed().size() == CHAINS * LINKS);
      System.out.printf(
          "saturday %d: %.0f ms, late %d, idle %d, hand-overs %d, gave %s, proved %s%n",
          day,
          took,
          schedule.late(),
          schedule.idle(),
          schedule.handOvers(),
          schedule.given(),
          schedule.proved());
    }
    System.out.printf(
        "measured | a Saturday of 120 tasks, 10 resources and 3 services, slowest of three |"
            + " %.0f ms | 2000 ms | %s%n",
        worst, worst <= 2000 && proved == 3 ? "good" : "WORSE");
  }

  /** Six pieces of equipment and four people, of whom two cook and two cut, by turns. */
  private static Agenda day(Random random) {
    Map<String, Integer> capacity = new HashMap<>();
    for (int i = 0; i < EQUIPMENT; i++) {
      capacity.put("r" + i, 1 + random.nextInt(3));
    }
    List<Worker> workers = new ArrayList<>();
    for (int i = 0; i < PEOPLE; i++) {
      workers.add(
          new Worker(
              "w" + i,
              "w" + i,
              Set.of("here"),
              i == 0 ? Set.of(Skill.KNIFE, Skill.STOVE) : i == 1 ? Set.of(Skill.KNIFE) : Set.of(),
              List.of(new Span(0, 780), new Span(1440, 2220), new Span(2880, 3660))));
    }
    List<Task> tasks = new ArrayList<>();
    for (int chain = 0; chain < CHAINS; chain++) {
      for (int link = 0; link < LINKS; link++) {
        boolean isWaiting = random.nextInt(3) == 0;
        int minutes = 5 * (1 + random.nextInt(isWaiting ? 24 : 6));
        Task task = Task.of("t" + chain + "-" + link, "t", minutes).in("c" + chain);
        if (!isWaiting && random.nextInt(2) == 0) {
          int skill = random.nextInt(6);
          task =
              task.by(
                  new Hands(
                      "here", skill == 0 ? Skill.STOVE : skill < 3 ? Skill.KNIFE : Skill.ANY));
        } else if (!isWaiting) {
          task = task.needing("r" + random.nextInt(EQUIPMENT));
        }
        if (link > 0) {
          task = task.after(List.of(new Task.After("t" + chain + "-" + (link - 1), 0, 240)));
        }
        tasks.add(link == LINKS - 1 ? task.dueAt(SERVICES[random.nextInt(SERVICES.length)]) : task);
      }
    }
    return new Agenda(tasks, capacity, workers);
  }
}
