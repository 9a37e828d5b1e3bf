package mosaicknife.core.lot;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import mosaicknife.core.check.Check;
import mosaicknife.core.safety.Limits;

/**
 * How cold a lot was kept since it came, and what the house allows.
 *
 * @param warm the times it stood above the limit, in the order in which they were written down
 * @param limits the limits of the house
 * @param on the day on which it is looked at
 */
public record ColdChain(List<Warm> warm, Limits limits, Day on) {

  /** The most minutes that are written down at once: a day. */
  public static final int MOST_MINUTES = 1_440;

  /** Copies the times. */
  public ColdChain {
    warm = List.copyOf(warm);
    Check.notNull(limits, "limits");
    Check.notNull(on, "day");
  }

  /**
   * A day of the house.
   *
   * @param today the day
   * @param zone the time zone of the house
   */
  public record Day(LocalDate today, ZoneId zone) {}

  /**
   * A time it stood warm.
   *
   * @param minutes how long, from 1
   * @param why what happened, possibly empty
   * @param by who wrote it down
   * @param at when
   */
  public record Warm(int minutes, String why, String by, Instant at) {

    /** Refuses no time at all. */
    public Warm {
      Check.inRange(minutes, 1, MOST_MINUTES, "minutes");
    }
  }

  /**
   * Returns how long it stood warm in all: histamine adds up and does not go away.
   *
   * @return the minutes
   */
  public int minutes() {
    return warm.stream().mapToInt(Warm::minutes).sum();
  }
}
