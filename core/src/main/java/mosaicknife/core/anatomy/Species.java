package mosaicknife.core.anatomy;

import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import mosaicknife.core.check.Check;
import mosaicknife.core.quantity.Fraction;
import mosaicknife.core.quantity.Mass;

/**
 * A fish of the catalogue: its names, its body plan and the starting norms of its parts.
 *
 * <p>The shares are starting estimates with a wide spread, to be replaced by the house's own fish.
 *
 * @param code the lasting identifier, such as {@code hake}
 * @param name the name on screen
 * @param scientificName the scientific name
 * @param otherNames market names and synonyms
 * @param plan the body plan
 * @param traits what matters in the kitchen
 * @param usualMass the usual mass of one fish, lowest and highest
 * @param shares the parts of the ungutted fish in cutting order; the means add up to 1
 */
public record Species(
    String code,
    String name,
    String scientificName,
    List<String> otherNames,
    BodyPlan plan,
    Set<Trait> traits,
    MassRange usualMass,
    List<Share> shares) {

  private static final double SUM_TOLERANCE = 0.0005;

  /** Refuses shares that do not add up to 1. */
  public Species {
    Check.text(code, "code");
    Check.text(name, "name");
    Check.text(scientificName, "scientific name");
    otherNames = List.copyOf(otherNames);
    Check.notNull(plan, "plan");
    traits = Set.copyOf(traits);
    Check.notNull(usualMass, "usual mass");
    shares = List.copyOf(Check.notEmpty(shares, "shares"));
    double sum = shares.stream().mapToDouble(Share::mean).sum();
    Check.that(
        Math.abs(sum - 1) <= SUM_TOLERANCE,
        "Expected the shares of '%s' to add up to 1, found %.4f".formatted(code, sum));
  }

  /** What matters about a species in the kitchen. */
  public enum Trait {
    /** White flesh: clear stock, mild taste. */
    WHITE,
    /** Oily flesh: poor stock. */
    OILY,
    /** Forms histamine when it gets warm: cold all the way. */
    HISTAMINE,
    /** May carry parasites when served raw or underdone. */
    PARASITES,
    /** Sharp spines or thorns. */
    SPINES,
    /** Usually farmed. */
    FARMED,
    /** Heavy: two people to lift and turn. */
    HEAVY
  }

  /**
   * A closed range of masses.
   *
   * @param lowest the lowest, positive
   * @param highest the highest, not below the lowest
   */
  public record MassRange(Mass lowest, Mass highest) {

    /** Refuses an empty range. */
    public MassRange {
      Check.that(
          lowest.isPositive() && lowest.compareTo(highest) <= 0,
          "Expected a range of masses, found %s to %s".formatted(lowest, highest));
    }
  }

  /**
   * Returns the parts a fish bought in a state still has, in cutting order.
   *
   * @param state the state on arrival
   * @return the shares of those parts, of the ungutted fish; they add up to less than 1 unless the
   *     fish is ungutted
   */
  public List<Share> sharesIn(State state) {
    return shares.stream().filter(share -> state.stillHas(share.slot().kind().stage())).toList();
  }

  /**
   * Returns which fraction of the ungutted fish is left in a state, by the starting norm.
   *
   * @param state the state
   * @return the fraction, above 0 up to 1, rounded to a millionth
   */
  public Fraction keptIn(State state) {
    double kept = sharesIn(state).stream().mapToDouble(Share::mean).sum();
    return Fraction.of(Math.round(kept * 1_000_000), 1_000_000);
  }

  /**
   * Returns every name of this fish: on screen, scientific, market names and synonyms.
   *
   * @return the names
   */
  public Stream<String> names() {
    return Stream.concat(Stream.of(name, scientificName), otherNames.stream());
  }
}
