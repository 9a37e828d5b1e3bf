package mosaicknife.core.buying;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.Collections;
import java.util.EnumSet;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import mosaicknife.core.check.Check;
import mosaicknife.core.finding.Finding;

/**
 * The days of the week on which a supplier delivers.
 *
 * @param days the days; none means that nobody has said yet, and then nothing is found wrong
 */
public record DeliveryDays(Set<DayOfWeek> days) {

  /** Nobody has said yet on which days. */
  public static final DeliveryDays UNKNOWN = new DeliveryDays(Set.of());

  /** What may be wrong with a day of delivery. */
  public enum Problem {
    /** The supplier does not deliver on that day: supplier, day, next day it does. */
    NO_DELIVERY
  }

  /** Copies the days, Monday first. */
  public DeliveryDays {
    Check.notNull(days, "days");
    EnumSet<DayOfWeek> sorted = EnumSet.noneOf(DayOfWeek.class);
    sorted.addAll(days);
    days = Collections.unmodifiableSet(sorted);
  }

  /**
   * Finds the first day of delivery.
   *
   * @param from the first day that is looked at
   * @return that day or one of the six after it; empty if the days are not known
   */
  public Optional<LocalDate> firstFrom(LocalDate from) {
    return Stream.iterate(from, day -> day.plusDays(1))
        .limit(DayOfWeek.values().length)
        .filter(day -> days.contains(day.getDayOfWeek()))
        .findFirst();
  }

  /**
   * Proposes a day of delivery.
   *
   * @param from the first day that suits
   * @return the first day of delivery from then on; that day itself while the days are not known
   */
  public LocalDate proposed(LocalDate from) {
    return firstFrom(from).orElse(from);
  }

  /**
   * Says whether an order for a day can come.
   *
   * @param supplier the name of the supplier, for the finding
   * @param day the day of delivery
   * @return that nothing comes on that day, and the next day on which it does; empty if it comes,
   *     or the days are not known
   */
  public Optional<Finding> check(String supplier, LocalDate day) {
    return firstFrom(day)
        .filter(next -> !next.equals(day))
        .map(next -> Finding.of(Problem.NO_DELIVERY, supplier, day, next));
  }
}
