package mosaicknife.core.anatomy;

import java.time.Month;
import java.util.Locale;
import java.util.Optional;
import mosaicknife.core.check.Check;

/**
 * The months in which a fish is usually at its best, by hemisphere: a starting calendar that moves
 * from year to year and from port to port.
 *
 * @param north the months in the northern hemisphere, if it is landed there
 * @param south the months in the southern hemisphere, if it is landed there
 */
public record Season(Optional<Months> north, Optional<Months> south) {

  /** Farmed, or landed alike all the year. */
  public static final Season ALL_YEAR = new Season(Optional.empty(), Optional.empty());

  /** Refuses null. */
  public Season {
    Check.notNull(north, "northern months");
    Check.notNull(south, "southern months");
  }

  /** A half of the earth. */
  public enum Hemisphere {
    /** North of the equator. */
    NORTH,
    /** South of the equator. */
    SOUTH
  }

  /**
   * Months in a row, which may run over the turn of the year.
   *
   * @param first the first month
   * @param last the last month, counted in
   */
  public record Months(Month first, Month last) {

    /**
     * Returns whether a month is among them.
     *
     * @param month the month
     * @return true from the first to the last
     */
    public boolean contains(Month month) {
      boolean overTheYear = first.compareTo(last) > 0;
      boolean afterFirst = month.compareTo(first) >= 0;
      boolean beforeLast = month.compareTo(last) <= 0;
      return overTheYear ? afterFirst || beforeLast : afterFirst && beforeLast;
    }
  }

  /**
   * Reads a season written as {@code N6-2,S11-5}, or {@code -} for all the year.
   *
   * @param text the text
   * @return the season
   * @throws IllegalArgumentException if it is written otherwise
   */
  public static Season parse(String text) {
    if (text.strip().equals("-")) {
      return ALL_YEAR;
    }
    Optional<Months> north = Optional.empty();
    Optional<Months> south = Optional.empty();
    for (String part : text.strip().toUpperCase(Locale.ROOT).split(",", -1)) {
      Check.that(
          part.strip().matches("[NS](1[0-2]|[1-9])-(1[0-2]|[1-9])"),
          "Expected months such as N6-2 or S11-5, found '" + text + "'");
      String[] ends = part.strip().substring(1).split("-", -1);
      Months months =
          new Months(Month.of(Integer.parseInt(ends[0])), Month.of(Integer.parseInt(ends[1])));
      if (part.strip().startsWith("N")) {
        north = Optional.of(months);
      } else {
        south = Optional.of(months);
      }
    }
    return new Season(north, south);
  }

  /**
   * Returns whether the fish is usually at its best in a month. Where no months are known for a
   * hemisphere nothing speaks against it.
   *
   * @param month the month
   * @param hemisphere where the house is
   * @return false only if months are known and this one is not among them
   */
  public boolean isBest(Month month, Hemisphere hemisphere) {
    Optional<Months> months = hemisphere == Hemisphere.NORTH ? north : south;
    return months.map(m -> m.contains(month)).orElse(true);
  }

  /**
   * Writes the season so that {@link #parse} reads it.
   *
   * @return such as {@code N6-2,S11-5}
   */
  @Override
  public String toString() {
    String text = north.map(m -> "N" + text(m)).orElse("");
    String more = south.map(m -> "S" + text(m)).orElse("");
    String both = text.isEmpty() || more.isEmpty() ? text + more : text + "," + more;
    return both.isEmpty() ? "-" : both;
  }

  private static String text(Months months) {
    return months.first().getValue() + "-" + months.last().getValue();
  }
}
