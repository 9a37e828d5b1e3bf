package mosaicknife.core.lot;

import java.math.RoundingMode;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import mosaicknife.core.check.Check;
import mosaicknife.core.finding.Finding;
import mosaicknife.core.quantity.Fraction;
import mosaicknife.core.quantity.Mass;

/**
 * Some fish of a lot become a lot of their own, to be cut another way: the big ones filleted, the
 * small ones left whole. What was paid goes with the mass, and both lots together are the delivery
 * again to the milligram.
 *
 * @param taken what the new lot received
 * @param left what the lot keeps
 */
public record Division(Receipt taken, Receipt left) {

  /** Refuses what is missing. */
  public Division {
    Check.notNull(taken, "receipt of the new lot");
    Check.notNull(left, "receipt of the lot");
  }

  /**
   * Looks whether a lot can be divided.
   *
   * @param lot the lot
   * @param begun whether anything of it was weighed
   * @param claimed whether something was claimed of the supplier for it
   * @return why it cannot; empty if it can
   */
  public static Optional<Finding> problem(Lot lot, boolean begun, boolean claimed) {
    if (lot.fish() < 2) {
      return found(LotProblem.DIVIDED_ONE, "");
    }
    if (begun) {
      return found(LotProblem.DIVIDED_BEGUN, "");
    }
    return claimed ? found(LotProblem.DIVIDED_CLAIMED, "") : Optional.empty();
  }

  /**
   * Looks at the fish that are to leave a lot.
   *
   * @param lot the lot
   * @param fish how many
   * @param mass what they weigh together, if somebody typed it
   * @return what is wrong, or nothing
   */
  public static Optional<Finding> problem(Lot lot, int fish, Optional<Mass> mass) {
    if (fish < 1 || fish >= lot.fish()) {
      return found(LotProblem.DIVIDED_COUNT, "fish", lot.fish() - 1);
    }
    return mass.filter(m -> !m.isPositive() || m.compareTo(lot.purchased()) >= 0).isPresent()
        ? found(LotProblem.DIVIDED_MASS, "mass", lot.purchased())
        : Optional.empty();
  }

  private static Optional<Finding> found(LotProblem what, String field, Object... figures) {
    return Optional.of(Finding.of(what, figures).at(field));
  }

  /**
   * Takes fish out of a lot of which each was weighed by itself.
   *
   * @param lot the lot
   * @param numbers the numbers of the fish, from 1, each once
   * @return the division
   */
  public static Division of(Lot lot, List<Integer> numbers) {
    List<Mass> masses = numbers.stream().map(number -> lot.each().get(number - 1)).toList();
    Fraction share = Mass.total(masses).dividedBy(Mass.total(lot.each()));
    return of(lot, numbers.size(), share);
  }

  /**
   * Takes fish out of a lot that was weighed together.
   *
   * @param lot the lot
   * @param fish how many, fewer than the lot has
   * @param mass what they weigh together, less than the lot
   * @return the division
   */
  public static Division of(Lot lot, int fish, Mass mass) {
    return of(lot, fish, mass.dividedBy(lot.purchased()));
  }

  private static Division of(Lot lot, int fish, Fraction share) {
    Receipt all = lot.receipt();
    Mass invoiced = all.invoiced().multipliedBy(share, RoundingMode.HALF_EVEN);
    Optional<Mass> own = all.own().map(m -> m.multipliedBy(share, RoundingMode.HALF_EVEN));
    Mass gone = own.orElse(invoiced);
    return new Division(
        all.of(fish, invoiced, own, Optional.empty()),
        all.of(
            all.fish() - fish,
            all.invoiced().minus(invoiced),
            all.own().map(m -> m.minus(gone)),
            // the ice stays where it was weighed
            all.arrival().gross().map(gross -> gross.minus(gone))));
  }

  /**
   * Puts fish that were taken out back to their lot.
   *
   * @param lot the lot they came from
   * @param taken the lot they were
   * @return what the lot has again
   */
  public static Receipt rejoined(Receipt lot, Receipt taken) {
    return lot.of(
        lot.fish() + taken.fish(),
        lot.invoiced().plus(taken.invoiced()),
        lot.own().map(own -> own.plus(taken.purchased())),
        lot.arrival().gross().map(gross -> gross.plus(taken.purchased())));
  }

  /**
   * Returns the numbers of the fish that stay, in the order they had.
   *
   * @param fish how many the lot had
   * @param taken the numbers of those that leave
   * @return the others
   */
  public static List<Integer> staying(int fish, List<Integer> taken) {
    return IntStream.rangeClosed(1, fish).boxed().filter(n -> !taken.contains(n)).toList();
  }
}
