package mosaicknife.core.clock;

import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZonedDateTime;
import java.util.ArrayList;
import java.util.List;
import mosaicknife.core.check.Check;

/**
 * When somebody works, week after week.
 *
 * @param begin when they come, and on which days
 * @param until when they go; one that is not after the beginning is on the next morning
 */
public record Shift(WeekTime begin, LocalTime until) {

  /** Refuses a shift without an end. */
  public Shift {
    Check.notNull(begin, "begin");
    Check.notNull(until, "until");
  }

  /**
   * Returns when they are there.
   *
   * @param now the moment it counts from, where the house is
   * @param days for so many days from the one before today, which may not be over yet
   * @return the spans that are not over, in minutes from now, in order; what touches is one
   */
  public List<Span> spans(ZonedDateTime now, int days) {
    List<Span> spans = new ArrayList<>();
    for (int ahead = -1; ahead < days; ahead++) {
      LocalDate day = now.toLocalDate().plusDays(ahead);
      if (begin.days().contains(day.getDayOfWeek())) {
        boolean isNextMorning = !until.isAfter(begin.at());
        int from = WeekTime.minutes(now, day.atTime(begin.at()).atZone(now.getZone()));
        int to =
            WeekTime.minutes(
                now, day.plusDays(isNextMorning ? 1 : 0).atTime(until).atZone(now.getZone()));
        if (to > 0 && to > from) {
          add(spans, new Span(Math.max(0, from), to));
        }
      }
    }
    return spans;
  }

  private static void add(List<Span> spans, Span next) {
    int last = spans.size() - 1;
    if (last >= 0 && spans.get(last).to() >= next.from()) {
      spans.set(last, new Span(spans.get(last).from(), next.to()));
    } else {
      spans.add(next);
    }
  }
}
