package mosaicknife.core.clock;

import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.Random;
import java.util.Set;
import org.testng.annotations.Test;

/** How long a full Saturday takes to place. Run by {@code ./mosaic bench} only. */
public class ClockBench {

  private static final int CHAINS = 24;
  private static final int LINKS = 5;
  private static final int RESOURCES = 10;
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
          "saturday %d: %.0f ms, late %d, idle %d, proved %s%n",
          day, took, schedule.late(), schedule.idle(), schedule.proved());
    }
    System.out.printf(
        "measured | a Saturday of 120 tasks, 10 resources and 3 services, slowest of three |"
            + " %.0f ms | 2000 ms | %s%n",
        worst, worst <= 2000 && proved == 3 ? "good" : "WORSE");
  }

  private static Agenda day(Random random) {
    Map<String, Integer> capacity = new HashMap<>();
    for (int i = 0; i < RESOURCES; i++) {
      capacity.put("r" + i, 1 + random.nextInt(3));
    }
    List<Task> tasks = new ArrayList<>();
    for (int chain = 0; chain < CHAINS; chain++) {
      for (int link = 0; link < LINKS; link++) {
        boolean waits = random.nextInt(3) == 0;
        tasks.add(
            new Task(
                "t" + chain + "-" + link,
                "t",
                5 * (1 + random.nextInt(waits ? 24 : 6)),
                waits ? Set.of() : Set.of("r" + random.nextInt(RESOURCES)),
                link == 0
                    ? List.of()
                    : List.of(new Task.After("t" + chain + "-" + (link - 1), 0, 240)),
                link == LINKS - 1
                    ? OptionalInt.of(SERVICES[random.nextInt(SERVICES.length)])
                    : OptionalInt.empty(),
                OptionalInt.empty()));
      }
    }
    return new Agenda(tasks, capacity);
  }
}
