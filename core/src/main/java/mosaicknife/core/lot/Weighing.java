package mosaicknife.core.lot;

import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import mosaicknife.core.check.Check;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.TypedMass;
import mosaicknife.core.scale.ScaleReading;

/**
 * A weighing as it was written down: a fact, never changed. A later one may supersede it.
 *
 * @param id its identifier, made by the sender, so that a repeated send is the same weighing
 * @param part the slot of the part
 * @param fish which fish of the lot, from 1; 0 for all together
 * @param piece which piece of a part weighed in a row, from 1; 0 for all others
 * @param kind taken, corrected or taken back
 * @param weighed the mass; empty when it was taken back
 * @param source where it came from
 * @param reading the raw reading, if it came from the scale
 * @param typed what was typed, if it was
 * @param tray the number of the tray that was chosen, if one was
 * @param supersedes the weighing it follows, if any
 * @param reason why, possibly empty
 * @param by who took it
 * @param at when
 */
public record Weighing(
    UUID id,
    String part,
    int fish,
    int piece,
    Kind kind,
    Optional<Mass> weighed,
    Source source,
    Optional<ScaleReading> reading,
    Optional<String> typed,
    Optional<Long> tray,
    Optional<UUID> supersedes,
    String reason,
    Weigher by,
    Instant at) {

  /** What a weighing does to the one before it. */
  public enum Kind {
    /** The first of its part and fish. */
    TAKEN,
    /** It stands in place of an earlier one. */
    CORRECTED,
    /** It takes an earlier one back. */
    TAKEN_BACK
  }

  /** Refuses a mass where it was taken back, and its absence elsewhere. */
  public Weighing {
    Check.notNull(id, "id");
    Check.text(part, "part");
    Check.inRange(fish, 0, 10_000, "fish");
    Check.that(
        weighed.isPresent() == (kind != Kind.TAKEN_BACK),
        "Expected a mass exactly where it was not taken back, found ",
        kind);
    Check.notNull(by, "person");
    Check.notNull(at, "moment");
  }

  /**
   * Returns the mass of a weighing that stands.
   *
   * @return the mass
   * @throws java.util.NoSuchElementException if it was taken back
   */
  public Mass mass() {
    return weighed.orElseThrow();
  }

  /** Nobody types a figure coarser than this on purpose: {@code 2} may be 2.000 kg. */
  private static final Mass COARSEST = Mass.ofGrams(50);

  /**
   * Returns how fine the figure is: the step of the scale's display, or of the last digit typed in
   * its own unit.
   *
   * @return the step, up to 50 g; empty if nothing is known of how it came in
   */
  public Optional<Mass> step() {
    return reading
        .map(ScaleReading::readability)
        .or(() -> figure().map(TypedMass::step))
        .map(step -> step.compareTo(COARSEST) > 0 ? COARSEST : step);
  }

  /**
   * Returns what was typed, with the unit it was read in.
   *
   * @return the figure, if it was typed
   */
  public Optional<TypedMass> figure() {
    return typed.flatMap(text -> weighed.flatMap(mass -> TypedMass.find(text, mass)));
  }

  /**
   * Returns whether it corrects an earlier one.
   *
   * @return true for a correction
   */
  public boolean isCorrection() {
    return kind == Kind.CORRECTED;
  }
}
