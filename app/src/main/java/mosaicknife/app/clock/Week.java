package mosaicknife.app.clock;

import java.time.DayOfWeek;
import java.util.EnumSet;
import java.util.Set;
import mosaicknife.app.shared.Refusal;
import mosaicknife.app.shared.Sent;

/** Days of the week as a form sends them. */
final class Week {

  private Week() {}

  /** The days whose boxes are ticked; none is refused. */
  static Set<DayOfWeek> typed(Sent sent) {
    Set<DayOfWeek> days = EnumSet.noneOf(DayOfWeek.class);
    for (DayOfWeek day : DayOfWeek.values()) {
      if (sent.has("day-" + day.getValue())) {
        days.add(day);
      }
    }
    if (days.isEmpty()) {
      throw Refusal.ofField("days", "clock.problem.no-day");
    }
    return days;
  }
}
