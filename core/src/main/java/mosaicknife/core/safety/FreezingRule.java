package mosaicknife.core.safety;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Optional;
import mosaicknife.core.check.Check;
import mosaicknife.core.finding.Finding;
import mosaicknife.core.quantity.Length;
import mosaicknife.core.quantity.Temperature;

/**
 * One pair of the house's own table: so cold, for so long, up to so thick. It is no legal advice;
 * the local code decides.
 *
 * @param atMost the temperature in the core, or colder
 * @param hours for how long, from 1
 * @param thickest up to which thickness it counts; empty for any
 * @param source where the house has the pair from
 * @param dated when the house read it there
 * @param expires the last day on which the house trusts it
 */
public record FreezingRule(
    Temperature atMost,
    int hours,
    Optional<Length> thickest,
    String source,
    LocalDate dated,
    LocalDate expires) {

  /** Longer than this nobody freezes for the gate: ten weeks. */
  public static final int MOST_HOURS = 1_680;

  /** Warmer than this does not freeze fish through. */
  public static final Temperature WARMEST = Temperature.ofCelsius(-10);

  /** Refuses a pair that freezes nothing, or is without source. */
  public FreezingRule {
    Check.that(
        atMost.compareTo(WARMEST) <= 0,
        "Expected %s or colder, found %s".formatted(WARMEST, atMost));
    Check.inRange(hours, 1, MOST_HOURS, "hours");
    Check.notNull(thickest, "thickness");
    Check.text(source, "source");
    Check.that(
        !expires.isBefore(dated),
        "Expected a rule to expire after it was read, found %s before %s"
            .formatted(expires, dated));
  }

  /** What a record lacks; what is nearest to being met comes first. */
  public enum Lack {
    /** It was not cold for long enough: the hours that are missing, the temperature. */
    HOURS,
    /** It was not cold enough: the temperature that is needed. */
    COLDER,
    /** The piece is too thick, or nobody measured it: up to how thick. */
    THINNER,
    /** Hours without a span: they are to be written down anew, from when to when and where. */
    UNPROVED
  }

  /**
   * Says what a record lacks to meet this pair.
   *
   * @param record what was measured
   * @return what is missing; empty if nothing is
   */
  public Optional<Finding> lack(FreezingRecord record) {
    if (metAt(record).isPresent()) {
      return Optional.empty();
    }
    if (record.span().froze() == FreezingRecord.Froze.UNPROVED) {
      return Optional.of(Finding.of(Lack.UNPROVED));
    }
    if (thickest.isPresent()
        && record.thickness().filter(t -> t.compareTo(thickest.get()) <= 0).isEmpty()) {
      return Optional.of(Finding.of(Lack.THINNER, thickest.get()));
    }
    int held =
        record
            .curve()
            .map(curve -> curve.heldHours(atMost))
            .orElse(record.core().compareTo(atMost) <= 0 ? record.hours() : 0);
    return Optional.of(
        held > 0 ? Finding.of(Lack.HOURS, hours - held, atMost) : Finding.of(Lack.COLDER, atMost));
  }

  /**
   * Returns when a record meets this pair: by its curve if there is one, else so many hours after
   * its span began. Hours that cannot have been meet none.
   *
   * @param record what was measured
   * @return the moment; empty if it was not as cold for as long, or thicker where that is said
   */
  public Optional<Instant> metAt(FreezingRecord record) {
    if (record.span().froze() == FreezingRecord.Froze.UNPROVED) {
      return Optional.empty();
    }
    boolean thin =
        thickest
            .map(most -> record.thickness().filter(t -> t.compareTo(most) <= 0).isPresent())
            .orElse(true);
    if (!thin) {
      return Optional.empty();
    }
    if (record.curve().isPresent()) {
      return record.curve().get().heldBy(atMost, hours);
    }
    boolean held = record.core().compareTo(atMost) <= 0 && record.hours() >= hours;
    return held
        ? Optional.of(record.span().from().plus(Duration.ofHours(hours)))
        : Optional.empty();
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
}
