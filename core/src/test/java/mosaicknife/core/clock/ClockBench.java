package mosaicknife.core.clock;

import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import mosaicknife.core.Measured;
import mosaicknife.core.Measured.Against;
import org.testng.annotations.Test;

/** How long a full Saturday takes to place. Run by {@code ./mosaic bench} only. */
public class ClockBench {

  private static final int CHAINS = 24;
  private static final int LINKS = 5;
  private static final int[] SERVICES = {720, 1080, 1320};

  @Test
  public void aFullSaturday() {
    measure("equipment alone", 10, 0);
    measure("six pieces of equipment and four people", 6, 4);
  }

  private static void measure(String what, int equipment, int people) {
    double seconds = Measured.budget();
    double worst = 0;
    double gap = 0;
    for (int seed = 1; seed <= 3; seed++) {
      Agenda agenda = day(new Random(seed), equipment, people);
      Schedule schedule = Backward.of(agenda, seconds);
      double times = Measured.times(() -> Backward.of(agenda, seconds), Against.A_MODEL);
      worst = Math.max(worst, times);
      gap = Math.max(gap, schedule.spare() / (double) Math.max(1, schedule.idle()));
      assertTrue(schedule.placed().size() == CHAINS * LINKS);
      System.out.printf(
          "saturday %d, %s: %.1f × a known model, late %d, idle %d, at most %d less, hand-overs %d,"
              + " gave %s%n",
          seed,
          what,
          times,
          schedule.late(),
          schedule.idle(),
          schedule.spare(),
          schedule.handOvers(),
          schedule.given());
    }
    Measured.reportGap(
        "a Saturday of 120 tasks and 3 services over %s, worst of three".formatted(what),
        gap,
        0.01,
        worst);
  }

  /** Chains of tasks; of people one cooks and cuts, one cuts, and two do what everybody can. */
  private static Agenda day(Random random, int equipment, int people) {
    Map<EquipmentId, Integer> capacity = new HashMap<>();
    for (int i = 0; i < equipment; i++) {
      capacity.put(Named.gear("r" + i), 1 + random.nextInt(3));
    }
    List<Worker> workers = new ArrayList<>();
    for (int i = 0; i < people; i++) {
      workers.add(
          new Worker(
              "w" + i,
              "w" + i,
              Set.of(Named.LANTERN),
              i == 0 ? Set.of(Skill.KNIFE, Skill.STOVE) : i == 1 ? Set.of(Skill.KNIFE) : Set.of(),
              List.of(new Span(0, 780), new Span(1440, 2220), new Span(2880, 3660))));
    }
    List<Task> tasks = new ArrayList<>();
    for (int chain = 0; chain < CHAINS; chain++) {
      for (int link = 0; link < LINKS; link++) {
        boolean isWaiting = random.nextInt(3) == 0;
        int minutes = 5 * (1 + random.nextInt(isWaiting ? 24 : 6));
        Task task = Named.task("t" + chain + "-" + link, minutes).in(Named.id("c" + chain));
        if (!isWaiting && people > 0 && random.nextInt(2) == 0) {
          int skill = random.nextInt(6);
          task =
              task.by(
                  new Hands(
                      Named.LANTERN,
                      skill == 0 ? Skill.STOVE : skill < 3 ? Skill.KNIFE : Skill.ANY));
        } else if (!isWaiting) {
          task = task.needing(Named.gear("r" + random.nextInt(equipment)));
        }
        if (link > 0) {
          task = task.after(List.of(Named.after("t" + chain + "-" + (link - 1), 0, 240)));
        }
        tasks.add(link == LINKS - 1 ? task.dueAt(SERVICES[random.nextInt(SERVICES.length)]) : task);
      }
    }
    return new Agenda(tasks, capacity, workers);
  }
}
