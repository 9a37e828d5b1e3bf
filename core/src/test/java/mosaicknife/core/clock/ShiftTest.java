package mosaicknife.core.clock;

import static org.testng.Assert.assertEquals;

import java.time.DayOfWeek;
import java.time.LocalTime;
import java.time.ZonedDateTime;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import org.testng.annotations.Test;

/** The clock on the wall against the minutes that pass. */
public class ShiftTest {

  private static final Set<DayOfWeek> ALL = EnumSet.allOf(DayOfWeek.class);

  private static ZonedDateTime at(String text) {
    return ZonedDateTime.parse(text);
  }

  @Test
  public void theNextServiceIsTodayOrOnItsNextDay() {
    WeekTime dinner = new WeekTime(LocalTime.of(18, 30), Set.of(DayOfWeek.SATURDAY));
    // 28 November 2026 is a Saturday
    ZonedDateTime friday = at("2026-11-27T20:00+01:00[Europe/Berlin]");
    assertEquals(dinner.next(friday), at("2026-11-28T18:30+01:00[Europe/Berlin]"));
    ZonedDateTime over = at("2026-11-28T18:31+01:00[Europe/Berlin]");
    assertEquals(dinner.next(over), at("2026-12-05T18:30+01:00[Europe/Berlin]"));
    assertEquals(
        dinner.next(at("2026-11-28T18:30+01:00[Europe/Berlin]")),
        at("2026-11-28T18:30+01:00[Europe/Berlin]"));
  }

  @Test
  public void theNightTheClockGoesBackHasAnHourMore() {
    // on 25 October 2026 at 03:00 it is 02:00 again
    ZonedDateTime evening = at("2026-10-24T22:00+02:00[Europe/Berlin]");
    WeekTime lunch = new WeekTime(LocalTime.NOON, ALL);
    assertEquals(WeekTime.minutes(evening, lunch.next(evening)), 15 * 60, "22 to 12 and one more");
    ZonedDateTime spring = at("2026-03-28T22:00+01:00[Europe/Berlin]");
    assertEquals(WeekTime.minutes(spring, lunch.next(spring)), 13 * 60, "one less in spring");
    Shift night = new Shift(new WeekTime(LocalTime.of(22, 0), ALL), LocalTime.of(6, 0));
    assertEquals(night.spans(evening, 1), List.of(new Span(0, 9 * 60)));
  }

  @Test
  public void aShiftIsForDaysAheadAndAlsoThatOfYesterday() {
    Shift late = new Shift(new WeekTime(LocalTime.of(16, 0), ALL), LocalTime.of(1, 0));
    ZonedDateTime midnight = at("2026-11-28T00:30+00:00[UTC]");
    assertEquals(
        late.spans(midnight, 2),
        List.of(new Span(0, 30), new Span(930, 1470), new Span(2370, 2910)));
    Shift round = new Shift(new WeekTime(LocalTime.of(8, 0), ALL), LocalTime.of(8, 0));
    assertEquals(round.spans(midnight, 1), List.of(new Span(0, 450 + 1440)), "it never ends");
    Shift weekend =
        new Shift(new WeekTime(LocalTime.of(9, 0), Set.of(DayOfWeek.SUNDAY)), LocalTime.NOON);
    assertEquals(weekend.spans(midnight, 3), List.of(new Span(1950, 2130)));
  }
}
