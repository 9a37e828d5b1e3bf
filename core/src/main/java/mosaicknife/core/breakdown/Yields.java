package mosaicknife.core.breakdown;

import java.math.RoundingMode;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import mosaicknife.core.anatomy.PartKind;
import mosaicknife.core.anatomy.Purpose;
import mosaicknife.core.anatomy.Species;
import mosaicknife.core.anatomy.Stage;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.check.Check;
import mosaicknife.core.quantity.Fraction;
import mosaicknife.core.quantity.Mass;

/**
 * The yields of one breakdown, on the basis it was bought on and on others, so that lots bought in
 * different states compare.
 *
 * <p>A basis is what the fish weighs in a state. The one it was bought in is measured. A cleaner
 * one is worked out by difference when the parts that go were weighed; any other by the species'
 * norm, and says so.
 */
public final class Yields {

  private final Breakdown breakdown;
  private final Optional<Species> species;

  private Yields(Breakdown breakdown, Optional<Species> species) {
    this.breakdown = breakdown;
    this.species = species;
  }

  /**
   * What the fish weighs in a state.
   *
   * @param state the state
   * @param mass the mass of the fish in it
   * @param knowledge how that is known
   */
  public record Basis(State state, Mass mass, Knowledge knowledge) {}

  /**
   * Reads the yields of a breakdown.
   *
   * @param breakdown the breakdown
   * @param species the species whose norm converts states
   * @return the yields
   */
  public static Yields of(Breakdown breakdown, Species species) {
    return new Yields(Check.notNull(breakdown, "breakdown"), Optional.of(species));
  }

  /**
   * Reads the yields of a breakdown of a fish that no norm is known for: bases that would need one
   * are not there.
   *
   * @param breakdown the breakdown
   * @return the yields
   */
  public static Yields withoutNorm(Breakdown breakdown) {
    return new Yields(Check.notNull(breakdown, "breakdown"), Optional.empty());
  }

  /**
   * Returns what the fish weighs in a state.
   *
   * @param state the state
   * @return the basis; empty if it would need a norm and none is known, or the lot was bought cut
   */
  public Optional<Basis> basis(State state) {
    if (state == breakdown.state()) {
      return Optional.of(new Basis(state, breakdown.purchased(), Knowledge.MEASURED));
    }
    if (state.isCut() || breakdown.state().isCut()) {
      // nobody here saw the fish it came from
      return Optional.empty();
    }
    Optional<Basis> measured = byDifference(state);
    return measured.isPresent() ? measured : byNorm(state);
  }

  /**
   * Returns the yield of some parts on a basis.
   *
   * @param parts the mass of the parts
   * @param basis the basis
   * @return the fraction, exactly
   */
  public static Fraction share(Mass parts, Basis basis) {
    return parts.dividedBy(basis.mass());
  }

  /**
   * Returns the part that ends on plates: parts for the main dish and the second plate.
   *
   * @return the fraction of the purchased mass
   */
  public Fraction usable() {
    return breakdown.massFor(Purpose::isServed).dividedBy(breakdown.purchased());
  }

  /**
   * Returns the part that is cooked or kept: in the pot, or on hold.
   *
   * @return the fraction of the purchased mass
   */
  public Fraction kept() {
    return breakdown.massFor(Purpose::isKept).dividedBy(breakdown.purchased());
  }

  /**
   * Returns the part nobody eats: compost and bin.
   *
   * @return the fraction of the purchased mass
   */
  public Fraction discarded() {
    return breakdown.massFor(purpose -> !purpose.isUsed()).dividedBy(breakdown.purchased());
  }

  private Optional<Basis> byDifference(State state) {
    List<Stage> gone = stagesBetween(breakdown.state(), state);
    boolean cleaner = !gone.isEmpty() && stagesBetween(state, breakdown.state()).isEmpty();
    boolean allWeighed =
        gone.stream()
            .allMatch(
                stage ->
                    hasNothingAt(stage)
                        || breakdown.leaves().stream()
                            .anyMatch(leaf -> mainKindOf(stage, leaf.kind())));
    // a carcass is no head weighed off, and guts with the gills are not guts alone
    boolean apart =
        breakdown.leaves().stream()
            .map(leaf -> stagesOf(leaf.kind()))
            .allMatch(own -> gone.containsAll(own) || own.stream().noneMatch(gone::contains));
    if (!cleaner || !allWeighed || !apart) {
      return Optional.empty();
    }
    Mass removed = breakdown.massOf(leaf -> gone.containsAll(stagesOf(leaf.kind())));
    Mass left = breakdown.purchased().minus(removed);
    return left.isPositive()
        ? Optional.of(new Basis(state, left, Knowledge.BY_DIFFERENCE))
        : Optional.empty();
  }

  /** A ray has no head of its own and its gills stay in the body: nothing is missing there. */
  private boolean hasNothingAt(Stage stage) {
    return species
        .filter(
            fish ->
                fish.shares().stream().noneMatch(share -> mainKindOf(stage, share.slot().kind())))
        .isPresent();
  }

  private Optional<Basis> byNorm(State state) {
    return species.map(
        fish -> {
          Fraction ratio = fish.keptIn(state).dividedBy(fish.keptIn(breakdown.state()));
          Mass mass = breakdown.purchased().multipliedBy(ratio, RoundingMode.HALF_EVEN);
          return new Basis(state, mass, Knowledge.ESTIMATED);
        });
  }

  /** The part whose weighing shows that a stage of cleaning was weighed at all. */
  private static boolean mainKindOf(Stage stage, PartKind kind) {
    return switch (stage) {
      case GUTTING -> kind.is(PartKind.Trait.GUTS);
      case GILLING -> kind.is(PartKind.Trait.GILLS);
      case HEADING -> kind.is(PartKind.Trait.HEAD);
      case CUTTING -> true;
    };
  }

  /** At which stages what is in a part leaves the fish: more than one where parts stay together. */
  private static Set<Stage> stagesOf(PartKind kind) {
    return Arrays.stream(Stage.values())
        .filter(stage -> stage == kind.stage() || stage != Stage.CUTTING && mainKindOf(stage, kind))
        .collect(Collectors.toSet());
  }

  private static List<Stage> stagesBetween(State from, State to) {
    return List.of(Stage.values()).stream()
        .filter(stage -> from.stillHas(stage) && !to.stillHas(stage))
        .toList();
  }
}
