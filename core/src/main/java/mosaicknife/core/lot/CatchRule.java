package mosaicknife.core.lot;

import java.time.LocalDate;
import java.time.MonthDay;
import java.util.Locale;
import java.util.Optional;
import mosaicknife.core.check.Check;
import mosaicknife.core.finding.Finding;

/**
 * A rule of the house's own table about a catch: a closed season, a bag limit, a method that an
 * area forbids, a tag. It warns; it is no legal advice, the local code decides.
 *
 * @param species the code of the species
 * @param kind what it is about
 * @param area where it holds; empty for everywhere
 * @param method the method it forbids; only for methods
 * @param from the first day of a closed season; only for seasons
 * @param to the last day of it
 * @param most how many fish a day; only for bag limits
 * @param source where the house has it from
 * @param dated when the house read it there
 * @param expires the last day on which the house trusts it
 */
public record CatchRule(
    String species,
    Kind kind,
    String area,
    Optional<CatchMethod> method,
    Optional<MonthDay> from,
    Optional<MonthDay> to,
    Optional<Integer> most,
    String source,
    LocalDate dated,
    LocalDate expires) {

  /** More than this nobody may take in a day by any rule. */
  public static final int MOST_FISH = 10_000;

  /** What a rule is about. */
  public enum Kind {
    /** Not to be landed between two days of the year. */
    CLOSED_SEASON,
    /** So many fish a day. */
    BAG_LIMIT,
    /** A method is forbidden there. */
    METHOD,
    /** Each fish carries a tag. */
    TAG
  }

  /** What speaks against a catch. */
  public enum Warning {
    /** The rule is too old to trust: source, day it was read, day it ran out. */
    EXPIRED,
    /** Landed in the closed season: first day, last day, source, day it was read. */
    CLOSED,
    /** More than the bag limit: fish of that day, limit, source, day it was read. */
    TOO_MANY,
    /** The running count: fish of that day, limit. */
    COUNT,
    /** Caught in a way that is forbidden there: method, area, source, day it was read. */
    FORBIDDEN_METHOD,
    /** No tag was kept: source, day it was read. */
    NO_TAG;

    /**
     * Returns whether it only tells, and nothing speaks against the catch.
     *
     * @return true for the running count
     */
    public boolean isRemark() {
      return this == COUNT;
    }
  }

  /** What is missing for a rule. */
  public enum Problem {
    /** A closed season has two days. */
    NO_SEASON,
    /** A bag limit has a number: the most. */
    NO_LIMIT,
    /** A forbidden method is named. */
    NO_METHOD
  }

  /** Refuses a rule without source. */
  public CatchRule {
    Check.text(species, "species");
    Check.notNull(kind, "kind");
    Check.notNull(area, "area");
    Check.text(source, "source");
    Check.that(!expires.isBefore(dated), "Expected a rule to expire after it was read");
  }

  /**
   * A catch as the rules look at it.
   *
   * @param landedOn the day it was landed
   * @param area where it was caught, possibly empty
   * @param method how, if known
   * @param thatDay how many fish of the species were landed that day in all
   * @param tagged whether a tag is among its papers
   */
  public record Catch(
      LocalDate landedOn, String area, Optional<CatchMethod> method, int thatDay, boolean tagged) {}

  /**
   * Looks whether a rule is whole.
   *
   * @return what is missing, or nothing
   */
  public Optional<Finding> problem() {
    return switch (kind) {
      case CLOSED_SEASON ->
          from.isEmpty() || to.isEmpty()
              ? Optional.of(Finding.of(Problem.NO_SEASON).at("from"))
              : Optional.empty();
      case BAG_LIMIT ->
          most.filter(n -> n >= 0 && n <= MOST_FISH).isEmpty()
              ? Optional.of(Finding.of(Problem.NO_LIMIT, MOST_FISH).at("most"))
              : Optional.empty();
      case METHOD ->
          method.isEmpty()
              ? Optional.of(Finding.of(Problem.NO_METHOD).at("method"))
              : Optional.empty();
      case TAG -> Optional.empty();
    };
  }

  /**
   * Compares a catch with the rule.
   *
   * @param seen the catch
   * @param today the day of the comparison
   * @return what is to be said, or empty if nothing is
   */
  public Optional<Finding> warning(Catch seen, LocalDate today) {
    if (!isThere(seen.area())) {
      return Optional.empty();
    }
    Optional<Finding> against = against(seen);
    return !isTrusted(today) && against.isPresent()
        ? Optional.of(Finding.of(Warning.EXPIRED, source, dated, expires))
        : against;
  }

  /**
   * Returns whether the house still trusts it.
   *
   * @param today the day at the house
   * @return false after it ran out
   */
  public boolean isTrusted(LocalDate today) {
    return !today.isAfter(expires);
  }

  private Optional<Finding> against(Catch seen) {
    return switch (kind) {
      case CLOSED_SEASON ->
          isClosed(MonthDay.from(seen.landedOn()))
              ? Optional.of(
                  Finding.of(Warning.CLOSED, from.orElseThrow(), to.orElseThrow(), source, dated))
              : Optional.empty();
      case BAG_LIMIT ->
          Optional.of(
              seen.thatDay() > most.orElseThrow()
                  ? Finding.of(Warning.TOO_MANY, seen.thatDay(), most.orElseThrow(), source, dated)
                  : Finding.of(Warning.COUNT, seen.thatDay(), most.orElseThrow()));
      case METHOD ->
          seen.method().filter(method.orElseThrow()::equals).isPresent()
              ? Optional.of(
                  Finding.of(
                      Warning.FORBIDDEN_METHOD, method.orElseThrow(), seen.area(), source, dated))
              : Optional.empty();
      case TAG ->
          seen.tagged() ? Optional.empty() : Optional.of(Finding.of(Warning.NO_TAG, source, dated));
    };
  }

  /** A rule of one area says nothing of fish of which nobody said where they were caught. */
  private boolean isThere(String where) {
    return area.isBlank()
        || where.strip().toLowerCase(Locale.ROOT).contains(area.strip().toLowerCase(Locale.ROOT));
  }

  private boolean isClosed(MonthDay day) {
    MonthDay first = from.orElseThrow();
    MonthDay last = to.orElseThrow();
    boolean afterFirst = !day.isBefore(first);
    boolean beforeLast = !day.isAfter(last);
    return first.isAfter(last) ? afterFirst || beforeLast : afterFirst && beforeLast;
  }
}
