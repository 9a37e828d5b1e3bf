package mosaicknife.core.lot;

import java.math.RoundingMode;
import java.time.Instant;
import java.util.Optional;
import mosaicknife.core.check.Check;
import mosaicknife.core.finding.Finding;
import mosaicknife.core.quantity.Fraction;
import mosaicknife.core.quantity.Mass;

/**
 * What a part weighed when it came off the heat: the whole of it, and what was taken off the bone.
 * It changes nothing in the raw tally; it says what the guest really had.
 *
 * @param part the slot of the part
 * @param out what came off the heat, of all fish
 * @param flesh what was eaten of it without bones, if it was taken off the bone
 * @param by who weighed it
 * @param at when
 */
public record Cooked(String part, Mass out, Optional<Mass> flesh, String by, Instant at) {

  /** Sauce and water can make a piece heavier, but not by more than this. */
  private static final Fraction HEAVIEST = Fraction.of(12, 10);

  /** Refuses what is missing. */
  public Cooked {
    Check.text(part, "part");
    Check.notNull(out, "cooked mass");
    Check.notNull(flesh, "flesh");
  }

  /**
   * Looks at weights taken after cooking.
   *
   * @param part the name of the part
   * @param raw what it weighed raw; zero if it was not weighed
   * @param out what came off the heat
   * @param flesh what was taken off the bone, if it was weighed
   * @return what cannot be right, or nothing
   */
  public static Optional<Finding> problem(String part, Mass raw, Mass out, Optional<Mass> flesh) {
    if (!raw.isPositive()) {
      return Optional.of(Finding.of(LotProblem.COOKED_NOT_WEIGHED, part).at("out"));
    }
    if (out.compareTo(LotRules.SMALLEST_PART) < 0
        || out.compareTo(raw.multipliedBy(HEAVIEST, RoundingMode.HALF_EVEN)) > 0) {
      return Optional.of(Finding.of(LotProblem.COOKED_RANGE, part, raw, out).at("out"));
    }
    return flesh
        .filter(m -> !m.isPositive() || m.compareTo(out) > 0)
        .map(m -> Finding.of(LotProblem.COOKED_FLESH, m, out).at("flesh"));
  }

  /**
   * Returns how much was lost in cooking.
   *
   * @param raw what the part weighed raw, positive
   * @return the loss as a fraction of the raw part; negative if it took up water or sauce
   */
  public Fraction lost(Mass raw) {
    return raw.minus(out).dividedBy(raw);
  }

  /**
   * Returns what was eaten.
   *
   * @return what was taken off the bone, else all that came off the heat
   */
  public Mass eaten() {
    return flesh.orElse(out);
  }

  /**
   * Returns what lay on one plate.
   *
   * @param plates how many plates the part gave
   * @return the mean; empty without a plate
   */
  public Optional<Mass> onAPlate(long plates) {
    return plates < 1
        ? Optional.empty()
        : Optional.of(eaten().multipliedBy(Fraction.of(1, plates), RoundingMode.HALF_EVEN));
  }
}
