package mosaicknife.core.clock;

import java.time.DayOfWeek;
import java.time.Duration;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZonedDateTime;
import java.util.Set;
import mosaicknife.core.check.Check;

/**
 * A time of the day on some days of the week, by the clock on the wall: in the night the clock goes
 * back an hour, more minutes pass until then than the times say.
 *
 * @param at the time
 * @param days the days; at least one
 */
public record WeekTime(LocalTime at, Set<DayOfWeek> days) {

  private static final int WEEK = 7;

  /** Refuses a time without a day. */
  public WeekTime {
    Check.notNull(at, "at");
    days = Set.copyOf(days);
    Check.that(!days.isEmpty(), "Expected a day, found none");
  }

  /**
   * Returns when it is next.
   *
   * @param now the moment, where the house is
   * @return the first of its times that is not before now
   */
  public ZonedDateTime next(ZonedDateTime now) {
    for (int ahead = 0; ahead < WEEK; ahead++) {
      ZonedDateTime then = on(now.toLocalDate().plusDays(ahead), now);
      if (days.contains(then.getDayOfWeek()) && !then.isBefore(now)) {
        return then;
      }
    }
    return on(now.toLocalDate().plusDays(WEEK), now);
  }

  private ZonedDateTime on(LocalDate day, ZonedDateTime now) {
    return day.atTime(at).atZone(now.getZone());
  }

  /**
   * Returns how long it is until a moment.
   *
   * @param now the moment it is
   * @param then the other
   * @return whole minutes that pass meanwhile; below 0 if it is past
   */
  public static int minutes(ZonedDateTime now, ZonedDateTime then) {
    return (int) Math.floorDiv(Duration.between(now, then).toSeconds(), 60);
  }
}
