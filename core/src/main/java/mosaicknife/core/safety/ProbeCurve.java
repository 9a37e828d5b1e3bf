package mosaicknife.core.safety;

import java.math.BigDecimal;
import java.time.DateTimeException;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import mosaicknife.core.check.Check;
import mosaicknife.core.finding.Finding;
import mosaicknife.core.quantity.QuantityFormatException;
import mosaicknife.core.quantity.Temperature;

/**
 * What a probe in the core read over time.
 *
 * @param readings the readings in the order of time, at least two
 */
public record ProbeCurve(List<Reading> readings) {

  private static final int MOST = 1_000;

  /** Between two readings further apart nobody knows what happened. */
  private static final Duration GAP = Duration.ofHours(6);

  private static final DateTimeFormatter WRITTEN =
      DateTimeFormatter.ofPattern("uuuu-MM-dd HH:mm", Locale.ROOT);

  private static final Pattern LINE =
      Pattern.compile(
          "(?:(\\d{4}-\\d{2}-\\d{2})[T;,\\s]+)?(\\d{1,2}):(\\d{2})(?::\\d{2})?[;,\\s]+(\\S+.*)");

  /** Refuses fewer than two readings and a time that goes back. */
  public ProbeCurve {
    readings = List.copyOf(readings);
    Check.that(readings.size() > 1, "Expected two readings or more, found ", readings.size());
    for (int i = 1; i < readings.size(); i++) {
      Check.that(
          readings.get(i).at().isAfter(readings.get(i - 1).at()),
          "Expected the time to go on, found reading " + (i + 1));
    }
  }

  /**
   * One reading.
   *
   * @param at when
   * @param core the temperature of the core
   */
  public record Reading(Instant at, Temperature core) {}

  /** What is wrong with a curve as it was typed. */
  public enum Problem {
    /** A line is no time and temperature: its number, its text. */
    NOT_READ,
    /** The first line says no day. */
    NO_DAY,
    /** A line is not later than the one before: its number. */
    NOT_LATER,
    /** One reading is no curve. */
    TOO_FEW,
    /** More lines than can be: the most. */
    TOO_MANY
  }

  /** A text that is no curve. */
  public static final class Unreadable extends RuntimeException {

    private static final long serialVersionUID = 1L;

    private final transient Finding finding;

    private Unreadable(Finding finding) {
      super(finding.toString());
      this.finding = finding;
    }

    /**
     * Returns what is wrong.
     *
     * @return the problem
     */
    public Finding finding() {
      return finding;
    }
  }

  /**
   * Reads a curve as a probe prints it: a line for each reading, day, time and temperature. The day
   * may be left out after the first line; past midnight the next one is meant.
   *
   * @param text the lines, such as {@code 2026-11-25 18:00 -21.5}
   * @param zone the zone of the house
   * @return the curve
   * @throws Unreadable if it is none; the finding names the line
   */
  public static ProbeCurve parse(String text, ZoneId zone) {
    List<String> lines = text.lines().map(String::strip).filter(l -> !l.isEmpty()).toList();
    if (lines.size() > MOST) {
      throw unreadable(Finding.of(Problem.TOO_MANY, MOST));
    }
    List<Reading> readings = new ArrayList<>();
    LocalDateTime before = null;
    for (int i = 0; i < lines.size(); i++) {
      Matcher line = LINE.matcher(lines.get(i));
      if (!line.matches()) {
        throw unreadable(Finding.of(Problem.NOT_READ, i + 1, lines.get(i)));
      }
      LocalDateTime at = moment(line, before, i, lines.get(i));
      if (before != null && !at.isAfter(before)) {
        throw unreadable(Finding.of(Problem.NOT_LATER, i + 1));
      }
      readings.add(new Reading(at.atZone(zone).toInstant(), temperature(line, i, lines.get(i))));
      before = at;
    }
    if (readings.size() < 2) {
      throw unreadable(Finding.of(Problem.TOO_FEW));
    }
    return new ProbeCurve(readings);
  }

  private static Temperature temperature(Matcher line, int i, String text) {
    try {
      return Temperature.parse(line.group(4));
    } catch (QuantityFormatException e) {
      throw unreadable(Finding.of(Problem.NOT_READ, i + 1, text));
    }
  }

  private static LocalDateTime moment(Matcher line, LocalDateTime before, int i, String text) {
    try {
      LocalTime time =
          LocalTime.of(Integer.parseInt(line.group(2)), Integer.parseInt(line.group(3)));
      if (line.group(1) != null) {
        return LocalDate.parse(line.group(1)).atTime(time);
      }
      if (before == null) {
        throw unreadable(Finding.of(Problem.NO_DAY));
      }
      LocalDateTime sameDay = before.toLocalDate().atTime(time);
      return sameDay.isBefore(before) ? sameDay.plusDays(1) : sameDay;
    } catch (DateTimeException e) {
      throw unreadable(Finding.of(Problem.NOT_READ, i + 1, text));
    }
  }

  private static Unreadable unreadable(Finding finding) {
    return new Unreadable(finding.at("curve"));
  }

  /**
   * Finds the moment by which the core was as cold for as long, from reading to reading and without
   * a gap of six hours: between them nobody knows.
   *
   * @param atMost the temperature, or colder
   * @param hours for how long
   * @return the reading that completes it; empty if none does
   */
  public Optional<Instant> heldBy(Temperature atMost, int hours) {
    Instant since = null;
    Instant last = null;
    for (Reading reading : readings) {
      boolean gap = last != null && Duration.between(last, reading.at()).compareTo(GAP) > 0;
      last = reading.at();
      if (reading.core().compareTo(atMost) > 0) {
        since = null;
        continue;
      }
      since = since == null || gap ? reading.at() : since;
      if (Duration.between(since, reading.at()).toHours() >= hours) {
        return Optional.of(reading.at());
      }
    }
    return Optional.empty();
  }

  /**
   * Writes the curve down, so that it can be read in UTC.
   *
   * @return a line for each reading
   */
  public String text() {
    return readings.stream()
        .map(
            reading ->
                reading.at().atZone(ZoneOffset.UTC).format(WRITTEN)
                    + " "
                    + BigDecimal.valueOf(reading.core().tenths(), 1))
        .collect(Collectors.joining("\n"));
  }

  /**
   * Returns how long it has been so cold up to its last reading.
   *
   * @param atMost the temperature, or colder
   * @return whole hours; 0 if the last reading was warmer
   */
  public int heldHours(Temperature atMost) {
    Instant since = null;
    Instant last = null;
    for (Reading reading : readings) {
      boolean gap = last != null && Duration.between(last, reading.at()).compareTo(GAP) > 0;
      last = reading.at();
      boolean cold = reading.core().compareTo(atMost) <= 0;
      since = cold ? (since == null || gap ? reading.at() : since) : null;
    }
    return since == null ? 0 : (int) Duration.between(since, last).toHours();
  }

  /**
   * Returns the coldest it read.
   *
   * @return the temperature
   */
  public Temperature coldest() {
    return readings.stream().map(Reading::core).min(Temperature::compareTo).orElseThrow();
  }

  /**
   * Returns when it was read first.
   *
   * @return the moment
   */
  public Instant from() {
    return readings.get(0).at();
  }

  /**
   * Returns when it was read last.
   *
   * @return the moment
   */
  public Instant to() {
    return readings.get(readings.size() - 1).at();
  }

  /**
   * Returns how long it was read.
   *
   * @return the whole hours from the first reading to the last
   */
  public int hours() {
    return (int)
        Duration.between(readings.get(0).at(), readings.get(readings.size() - 1).at()).toHours();
  }
}
