package mosaicknife.core.safety;

import java.time.LocalDate;
import java.util.Optional;
import mosaicknife.core.check.Check;
import mosaicknife.core.finding.Finding;
import mosaicknife.core.quantity.Length;

/**
 * A minimum length from the house's own table. It warns; it is no legal advice.
 *
 * @param species the code of the species
 * @param basis how the fish is measured
 * @param minimum the minimum length
 * @param source where the house has the rule from
 * @param dated when the house read it there
 * @param expires the last day on which the house trusts it
 */
public record LengthRule(
    String species,
    Basis basis,
    Length minimum,
    String source,
    LocalDate dated,
    LocalDate expires) {

  /** Refuses a rule without source or that expires before it was read. */
  public LengthRule {
    Check.text(species, "species");
    Check.notNull(basis, "basis");
    Check.notNull(minimum, "minimum");
    Check.text(source, "source");
    Check.that(
        !expires.isBefore(dated),
        "Expected a rule to expire after it was read, found %s before %s"
            .formatted(expires, dated));
  }

  /** How a fish is measured; the two give different figures on the same fish. */
  public enum Basis {
    /** From the tip of the snout to the fork of the tail. */
    FORK,
    /** From the tip of the snout to the end of the tail. */
    TOTAL;
  }

  /** What speaks against a measured fish. */
  public enum Warning {
    /** The rule is too old to trust: source, day it was read, day it ran out. */
    EXPIRED,
    /** Measured in another way than the rule counts: how the rule counts, how it was measured. */
    OTHER_BASIS,
    /** Shorter than the minimum: length, minimum, how it counts, source, day it was read. */
    TOO_SHORT
  }

  /**
   * Compares a measured fish with the rule.
   *
   * @param measured its length
   * @param as how it was measured
   * @param today the day of the comparison
   * @return a warning, or empty if nothing speaks against the fish
   */
  public Optional<Finding> warning(Length measured, Basis as, LocalDate today) {
    if (!isTrusted(today)) {
      return Optional.of(Finding.of(Warning.EXPIRED, source, dated, expires));
    }
    if (as != basis) {
      return Optional.of(Finding.of(Warning.OTHER_BASIS, basis, as));
    }
    return measured.compareTo(minimum) < 0
        ? Optional.of(Finding.of(Warning.TOO_SHORT, measured, minimum, basis, source, dated))
        : Optional.empty();
  }

  /**
   * Returns whether the house still trusts it.
   *
   * @param today the day
   * @return true up to and on its last day
   */
  public boolean isTrusted(LocalDate today) {
    return !today.isAfter(expires);
  }
}
