package mosaicknife.app.clock;

import java.time.DayOfWeek;
import java.time.LocalTime;
import java.util.EnumSet;
import java.util.Set;
import java.util.stream.Collectors;
import mosaicknife.app.shared.Refusal;
import mosaicknife.app.shared.Sent;

/** Days of the week as a row keeps them, and as a form sends them. */
final class Week {

  private static final int HOUR = 60;

  private Week() {}

  static Set<DayOfWeek> read(String days) {
    return days.chars()
        .mapToObj(figure -> DayOfWeek.of(figure - '0'))
        .collect(Collectors.toCollection(() -> EnumSet.noneOf(DayOfWeek.class)));
  }

  static String write(Set<DayOfWeek> days) {
    return days.stream().sorted().map(day -> "" + day.getValue()).collect(Collectors.joining());
  }

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

  static int minute(LocalTime time) {
    return time.getHour() * HOUR + time.getMinute();
  }

  static LocalTime time(int minute) {
    return LocalTime.of(minute / HOUR, minute % HOUR);
  }
}
