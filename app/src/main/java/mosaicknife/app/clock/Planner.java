package mosaicknife.app.clock;

import java.util.List;
import java.util.Optional;
import mosaicknife.core.clock.Agenda;
import mosaicknife.core.clock.Backward;
import mosaicknife.core.clock.Schedule;
import mosaicknife.core.clock.Task;
import mosaicknife.core.clock.WayOut;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/** Places the day; the same day is placed once, however many pages ask for it. */
@Component
class Planner {

  private static final double A_WAY = 0.2;
  private static final int MOST_WAYS = 4;

  private final double seconds;
  private Plan last;

  Planner(@Value("${mosaic.clock.seconds:1.2}") double seconds) {
    this.seconds = seconds;
  }

  /** A day with its schedule. */
  private record Plan(Agenda agenda, Schedule schedule) {}

  /** One at a time: whoever asks for the same meanwhile finds it done. */
  synchronized Schedule of(Agenda agenda) {
    if (last == null || !last.agenda().equals(agenda)) {
      last = new Plan(agenda, Backward.of(agenda, seconds));
    }
    return last.schedule();
  }

  /** Whether a task can be put somewhere, beside what was put somewhere already. */
  boolean fits(Agenda agenda, String task, int start) {
    Agenda pinned =
        agenda.withTasks(
            agenda.tasks().stream()
                .map(one -> one.id().equals(task) ? one.fixed(Task.Fixed.pinned(start)) : one)
                .toList());
    return !of(pinned).given().contains(Schedule.Given.PINS)
        || of(agenda).given().contains(Schedule.Given.PINS);
  }

  /** What would help a day that is late, the best few. */
  List<WayOut> waysOut(Agenda agenda, List<WayOut.Other> others) {
    return WayOut.of(agenda, of(agenda), others, seconds * A_WAY, MOST_WAYS);
  }

  /** The fewest promises that cannot be kept, if they are fewer than those of the schedule. */
  List<Schedule.Placed> fewest(Agenda agenda) {
    Schedule schedule = of(agenda);
    return Optional.of(Backward.fewestBroken(agenda, seconds))
        .filter(fewest -> !fewest.isEmpty() && fewest.size() < schedule.broken().size())
        .orElse(List.of());
  }
}
