package mosaicknife.app.clock;

import java.util.List;
import mosaicknife.core.clock.Agenda;
import mosaicknife.core.clock.Backward;
import mosaicknife.core.clock.Schedule;
import mosaicknife.core.clock.Task;
import mosaicknife.core.clock.TaskId;
import mosaicknife.core.clock.WayOut;
import mosaicknife.core.memory.Recent;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/**
 * Places the day; the same day is placed once, however many pages ask for it, and so is what would
 * help it.
 */
@Component
class Planner {

  /** All ways together may take as long as so many days. */
  private static final double WAYS = 4;

  private static final int MOST_WAYS = 4;

  /** The day as it is, and as it would be with what is just being dragged. */
  private static final int MOST_DAYS = 4;

  private final double seconds;
  private final Recent<Agenda, Plan> days;

  Planner(@Value("${mosaic.clock.seconds:1.2}") double seconds) {
    this.seconds = seconds;
    days = new Recent<>(MOST_DAYS, day -> new Plan(Backward.of(day, seconds)));
  }

  /** A day with its schedule, and with what helps it if somebody asked. */
  private static final class Plan {

    private final Schedule schedule;
    private List<WayOut.Other> others;
    private List<WayOut> ways;
    private List<Schedule.Placed> fewest;

    private Plan(Schedule schedule) {
      this.schedule = schedule;
    }
  }

  /** One at a time, for each takes a processor. */
  synchronized Schedule of(Agenda agenda) {
    return days.of(agenda).schedule;
  }

  /** Whether a task can be put somewhere, beside what was put somewhere already. */
  synchronized boolean fits(Agenda agenda, TaskId task, int start) {
    Agenda pinned =
        agenda.withTasks(
            agenda.tasks().stream()
                .map(one -> one.id().equals(task) ? one.fixed(Task.Fixed.pinned(start)) : one)
                .toList());
    return Backward.fits(agenda, pinned, seconds);
  }

  /** What would help a day that is late, the best few. */
  synchronized List<WayOut> waysOut(Agenda agenda, List<WayOut.Other> others) {
    Plan plan = days.of(agenda);
    if (plan.ways == null || !others.equals(plan.others)) {
      plan.ways = WayOut.of(agenda, plan.schedule, others, seconds * WAYS, MOST_WAYS);
      plan.others = others;
    }
    return plan.ways;
  }

  /** The fewest promises that cannot be kept, if they are fewer than those of the schedule. */
  synchronized List<Schedule.Placed> fewest(Agenda agenda) {
    Plan plan = days.of(agenda);
    if (plan.fewest == null) {
      List<Schedule.Placed> fewest = Backward.fewestBroken(agenda, seconds);
      plan.fewest = fewest.size() < plan.schedule.broken().size() ? fewest : List.of();
    }
    return plan.fewest;
  }
}
