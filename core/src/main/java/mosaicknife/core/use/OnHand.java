package mosaicknife.core.use;

import java.util.Optional;
import mosaicknife.core.anatomy.PartKind;
import mosaicknife.core.anatomy.Species;
import mosaicknife.core.check.Check;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.safety.Fitness;

/**
 * A part that lies there, or will when the lot is cut, with what decides what it may become.
 *
 * @param id which part it is
 * @param name its name on screen
 * @param kind its kind
 * @param species the fish it is of
 * @param mass how much of it is left, positive
 * @param pieces how many pieces that is, from 1
 * @param fish the mass of the fish it came from, if that is known
 * @param venue the number of the venue where it lies
 * @param condition what was done to it so far
 * @param days days since it was landed, from 0
 * @param measured whether it was weighed; if not, it is expected by the norm
 */
public record OnHand(
    HandId id,
    String name,
    PartKind kind,
    Species species,
    Mass mass,
    int pieces,
    Optional<Mass> fish,
    long venue,
    Condition condition,
    int days,
    boolean measured) {

  /** Refuses nothing at all. */
  public OnHand {
    Check.notNull(id, "id");
    Check.text(name, "name");
    Check.notNull(kind, "kind");
    Check.notNull(species, "species");
    Check.that(mass.isPositive(), "Expected a mass above 0 g, found ", mass);
    Check.that(pieces >= 1, "Expected pieces from 1, found ", pieces);
    Check.notNull(fish, "fish");
    Check.notNull(condition, "condition");
    Check.that(days >= 0, "Expected days from 0, found ", days);
  }

  /**
   * What a part is of.
   *
   * @param kind its kind
   * @param species the fish
   */
  public record Kind(PartKind kind, Species species) {}

  /**
   * What was done to it so far.
   *
   * @param scaled whether the scales are off
   * @param farmed whether the fish was farmed
   * @param soiled whether gills or guts are still on it
   * @param rawOpen whether the raw gate is open for it
   * @param fitness what the lot may become; empty while nobody has inspected it
   * @param held whether somebody must decide about the lot first
   * @param over whether its last day is over
   * @param thawed whether it was frozen and thawed
   */
  public record Condition(
      boolean scaled,
      boolean farmed,
      boolean soiled,
      boolean rawOpen,
      Optional<Fitness> fitness,
      boolean held,
      boolean over,
      boolean thawed) {

    /** Refuses what is missing. */
    public Condition {
      Check.notNull(fitness, "fitness");
    }
  }

  /**
   * Returns the same on a shelf, under a label, in its days.
   *
   * @param kept which it is there
   * @param wasThawed whether it was frozen and thawed
   * @return the part
   */
  public OnHand shelved(HandId.Kept kept, boolean wasThawed) {
    return new OnHand(
        kept,
        name,
        kind,
        species,
        mass,
        pieces,
        fish,
        venue,
        new Condition(
            condition.scaled(),
            condition.farmed(),
            condition.soiled(),
            condition.rawOpen(),
            condition.fitness(),
            condition.held(),
            false,
            wasThawed),
        days,
        true);
  }

  /**
   * Returns the mass of one piece.
   *
   * @return the mean, rounded down
   */
  public Mass piece() {
    return Mass.ofMilligrams(mass.milligrams() / pieces);
  }
}
