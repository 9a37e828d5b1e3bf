package mosaicknife.core.breakdown;

import java.util.List;
import java.util.Optional;
import mosaicknife.core.quantity.Mass;

/**
 * What the search for gross errors found in a tally.
 *
 * @param residual what the lines and the expected loss leave of the whole; negative if over
 * @param sigma the standard deviation of the residual by scale, loss and lines to come
 * @param nothing how likely it is that nothing happened, from 0 to 1
 * @param explanations one for each line and cause, the likeliest first
 * @param isAlarm whether it is worth a word
 */
public record Diagnosis(
    Mass residual, Mass sigma, double nothing, List<Explanation> explanations, boolean isAlarm) {

  private static final double ALMOST_CERTAIN = 0.9;
  private static final double TIMES_LIKELIER = 5;
  private static final double LIKELY = 0.5;
  private static final double WORTH_A_WORD = 0.1;
  private static final int MOST_OPEN = 3;

  /** How sure one may be said to be. */
  public enum Sureness {
    /** Nine times in ten it is so. */
    ALMOST_CERTAIN,
    /** Rather so than not. */
    PROBABLE,
    /** It may be. */
    POSSIBLE
  }

  /** Copies the explanations. */
  public Diagnosis {
    explanations = List.copyOf(explanations);
  }

  /**
   * Returns how sure an explanation may be said to be.
   *
   * @param one one of the explanations
   * @return almost certain only if it is nine times in ten right and five times likelier than the
   *     next, whatever that is
   */
  public Sureness sureness(Explanation one) {
    double next =
        explanations.stream()
            .filter(other -> !other.equals(one))
            .mapToDouble(Explanation::probability)
            .reduce(nothing, Math::max);
    double p = one.claimed();
    boolean certain = p >= ALMOST_CERTAIN && p >= TIMES_LIKELIER * next;
    return certain ? Sureness.ALMOST_CERTAIN : p >= LIKELY ? Sureness.PROBABLE : Sureness.POSSIBLE;
  }

  /**
   * Returns the explanations that are open: one alone if it is almost certain.
   *
   * @return up to three, the likeliest first, each at least one in ten; none without alarm
   */
  public List<Explanation> open() {
    if (!isAlarm) {
      return List.of();
    }
    boolean alone = sureness(explanations.get(0)) == Sureness.ALMOST_CERTAIN;
    return explanations.stream()
        .limit(alone ? 1 : MOST_OPEN)
        .filter(e -> e.probability() >= WORTH_A_WORD)
        .toList();
  }

  /**
   * Returns the likeliest explanation.
   *
   * @return the explanation; empty without alarm
   */
  public Optional<Explanation> best() {
    return isAlarm ? explanations.stream().findFirst() : Optional.empty();
  }
}
