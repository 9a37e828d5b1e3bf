package mosaicknife.core.safety;

import java.time.LocalDate;
import java.util.Optional;
import mosaicknife.core.check.Check;
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
    FORK("fork length"),
    /** From the tip of the snout to the end of the tail. */
    TOTAL("total length");

    private final String title;

    Basis(String title) {
      this.title = title;
    }

    /**
     * Returns the words on screen.
     *
     * @return such as {@code fork length}
     */
    public String title() {
      return title;
    }
  }

  /**
   * Compares a measured fish with the rule.
   *
   * @param measured its length
   * @param as how it was measured
   * @param today the day of the comparison
   * @return a warning, or empty if nothing speaks against the fish
   */
  public Optional<String> warning(Length measured, Basis as, LocalDate today) {
    String defer = " Your local code decides.";
    if (today.isAfter(expires)) {
      return Optional.of(
          "The house's length rule (%s, read %s) ran out on %s. Look it up again."
                  .formatted(source, dated, expires)
              + defer);
    }
    if (as != basis) {
      return Optional.of(
          "The rule counts %s, the fish was measured as %s. Measure it again."
              .formatted(basis.title(), as.title()));
    }
    return measured.compareTo(minimum) < 0
        ? Optional.of(
            "%s is below the house's minimum of %s %s (%s, read %s)."
                    .formatted(measured, minimum, basis.title(), source, dated)
                + defer)
        : Optional.empty();
  }
}
