package mosaicknife.core.safety;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import mosaicknife.core.check.Check;
import mosaicknife.core.finding.Finding;
import mosaicknife.core.quantity.Length;
import mosaicknife.core.quantity.Temperature;

/**
 * That fish was frozen: from when to when, where, how cold its core was at either end, and how
 * thick the piece. A number of hours by itself proves nothing: it may be typed of a fish that came
 * this morning.
 *
 * @param part the slot of the part; empty for the whole lot
 * @param span from when to when, where and on whose word
 * @param before the core when the span began
 * @param after the core when it ended
 * @param thickness how thick the piece was where it is thickest, if that was measured
 * @param curve what a probe in the core read, if one was in; it then says how long it was held
 * @param by who wrote it down
 * @param at when it was written down
 */
public record FreezingRecord(
    Optional<String> part,
    Span span,
    Temperature before,
    Temperature after,
    Optional<Length> thickness,
    Optional<ProbeCurve> curve,
    String by,
    Instant at) {

  /** Refuses what is missing. */
  public FreezingRecord {
    Check.notNull(part, "part");
    Check.notNull(span, "span");
    Check.notNull(before, "temperature before");
    Check.notNull(after, "temperature after");
    Check.notNull(thickness, "thickness");
    Check.notNull(curve, "curve");
  }

  /** Who froze it. */
  public enum Froze {
    /** The house, in a freezer of its own. */
    HOUSE,
    /** The supplier, who gave a paper. */
    SUPPLIER,
    /** The vessel, at sea, by its paper. */
    VESSEL,
    /**
     * Hours that were written down before spans were, and cannot have been here: they open nothing.
     */
    UNPROVED
  }

  /**
   * When and where it lay frozen.
   *
   * @param froze who froze it
   * @param from when the core was as cold as {@link FreezingRecord#before}
   * @param to when it still was as cold as {@link FreezingRecord#after}
   * @param place the freezer, the cold store or the vessel
   * @param paper the paper that shows it; empty for the house's own
   * @param caught the day of the catch, as the paper says; needed of what was frozen before landing
   */
  public record Span(
      Froze froze,
      Instant from,
      Instant to,
      String place,
      String paper,
      Optional<LocalDate> caught) {

    /** Refuses what is missing. */
    public Span {
      Check.notNull(froze, "who froze it");
      Check.notNull(from, "beginning");
      Check.notNull(to, "end");
      Check.notNull(place, "place");
      Check.notNull(paper, "paper");
      Check.notNull(caught, "day of the catch");
    }

    /**
     * Returns how long it lasted.
     *
     * @return whole hours, from 0
     */
    public int hours() {
      return (int) Math.max(0, Duration.between(from, to).toHours());
    }

    /** One fish lies in one place at a time; there a later record may say more of the same span. */
    boolean contradicts(Span other) {
      return from.isBefore(other.to)
          && other.from.isBefore(to)
          && !place.strip().equalsIgnoreCase(other.place.strip());
    }

    boolean holds(Instant moment) {
      return !moment.isBefore(from) && !moment.isAfter(to);
    }
  }

  /**
   * What is known of the lot a record is of.
   *
   * @param receivedAt when it was received here
   * @param landed when it was landed
   * @param arrival its temperature at receipt, if it was measured
   * @param warm when it stood warm here
   * @param records the other records that stand
   * @param zone where the house is
   */
  public record Known(
      Instant receivedAt,
      LocalDate landed,
      Optional<Temperature> arrival,
      List<Instant> warm,
      List<FreezingRecord> records,
      ZoneId zone) {

    /** Copies the lists. */
    public Known {
      warm = List.copyOf(warm);
      records = List.copyOf(records);
    }
  }

  /** What is wrong with a record. */
  public enum Problem {
    /** Not frozen: the temperature, the warmest that freezes. */
    TOO_WARM,
    /** No time nobody freezes for: hours, the most. */
    HOURS,
    /** It ends before it begins. */
    ENDS_BEFORE,
    /** It ends after now. */
    NOT_OVER,
    /** The house had no fish to freeze yet: when it was received. */
    BEFORE_RECEIPT,
    /** What others froze needs a paper. */
    NO_PAPER,
    /** Nobody says where it lay. */
    NO_PLACE,
    /** Frozen before it was landed, and nobody says when it was caught. */
    NO_CATCH,
    /** Frozen before it was caught: the day. */
    BEFORE_CATCH,
    /** It came in the meantime, and was not frozen: the temperature at receipt. */
    CAME_WARMER,
    /** It stood warm in the meantime: when. */
    STOOD_WARM,
    /** Another record says that it lay elsewhere in that time: where, from when, to when. */
    ELSEWHERE
  }

  /**
   * Looks at the temperature a core was held at.
   *
   * @param core the temperature of the core
   * @param hours how long it was held
   * @return what cannot be a record of freezing, or nothing
   */
  public static Optional<Finding> problem(Temperature core, int hours) {
    if (core.compareTo(FreezingRule.WARMEST) > 0) {
      return found(Problem.TOO_WARM, "core", core, FreezingRule.WARMEST);
    }
    return hours < 1 || hours > FreezingRule.MOST_HOURS
        ? found(Problem.HOURS, "to", hours, FreezingRule.MOST_HOURS)
        : Optional.empty();
  }

  /**
   * Looks whether a record can be true of a lot.
   *
   * @param lot what is known of the lot
   * @param now the moment
   * @return the first thing that speaks against it, or nothing
   */
  public Optional<Finding> problem(Known lot, Instant now) {
    if (span.to().isBefore(span.from())) {
      return found(Problem.ENDS_BEFORE, "to");
    }
    if (span.to().isAfter(now)) {
      return found(Problem.NOT_OVER, "to");
    }
    if (span.place().isBlank()) {
      return found(Problem.NO_PLACE, "place");
    }
    return problem(before, span.hours())
        .or(() -> problem(after, span.hours()))
        .or(() -> span.froze() == Froze.HOUSE ? ofHouse(lot) : ofOthers(lot))
        .or(() -> meanwhile(lot))
        .or(() -> elsewhere(lot));
  }

  /** What another record says of the same fish in the same time, unless that one proves nothing. */
  private Optional<Finding> elsewhere(Known lot) {
    return lot.records().stream()
        .filter(other -> other.span.froze() != Froze.UNPROVED)
        .filter(other -> part.isEmpty() || other.part.isEmpty() || part.equals(other.part))
        .map(FreezingRecord::span)
        .filter(span::contradicts)
        .findFirst()
        .flatMap(
            other -> found(Problem.ELSEWHERE, "from", other.place(), other.from(), other.to()));
  }

  private Optional<Finding> ofHouse(Known lot) {
    return span.from().isBefore(lot.receivedAt())
        ? found(Problem.BEFORE_RECEIPT, "from", lot.receivedAt())
        : Optional.empty();
  }

  private Optional<Finding> ofOthers(Known lot) {
    if (span.paper().isBlank()) {
      return found(Problem.NO_PAPER, "paper");
    }
    LocalDate began = span.from().atZone(lot.zone()).toLocalDate();
    if (span.caught().filter(began::isBefore).isPresent()) {
      return found(Problem.BEFORE_CATCH, "caught", span.caught().get());
    }
    return began.isBefore(lot.landed()) && span.caught().isEmpty()
        ? found(Problem.NO_CATCH, "caught")
        : Optional.empty();
  }

  /** Fish that was frozen all the while neither came chilled nor stood warm in between. */
  private Optional<Finding> meanwhile(Known lot) {
    if (span.holds(lot.receivedAt())
        && lot.arrival().filter(t -> t.compareTo(FreezingRule.WARMEST) > 0).isPresent()) {
      return found(Problem.CAME_WARMER, "to", lot.arrival().get());
    }
    return lot.warm().stream()
        .filter(span::holds)
        .findFirst()
        .flatMap(at -> found(Problem.STOOD_WARM, "from", at));
  }

  /**
   * Returns how cold its core surely was: the warmer of both ends.
   *
   * @return the temperature
   */
  public Temperature core() {
    return before.compareTo(after) > 0 ? before : after;
  }

  /**
   * Returns how long it was so cold.
   *
   * @return whole hours, from 0
   */
  public int hours() {
    return span.hours();
  }

  private static Optional<Finding> found(Problem what, String field, Object... figures) {
    return Optional.of(Finding.of(what, figures).at(field));
  }
}
