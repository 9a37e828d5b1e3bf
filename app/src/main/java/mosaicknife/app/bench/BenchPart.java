package mosaicknife.app.bench;

import java.util.List;
import java.util.Optional;
import mosaicknife.core.anatomy.PartKind;
import mosaicknife.core.anatomy.Purpose;
import mosaicknife.core.plan.CutPlan;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.UnitPrice;

/**
 * A part of a lot with what is known of it.
 *
 * @param id its number in the database
 * @param slot its code within the lot
 * @param number its number on the drawing
 * @param name its name on screen
 * @param kind its kind
 * @param parentId the part it is cut from, if not the whole fish
 * @param planned whether the body plan has it, or somebody added it
 * @param skipped whether it is not taken off this time
 * @param inARow whether every reading is a piece of its own
 * @param venueId the venue it goes to, if that was decided
 * @param purpose what it is for
 * @param becomes what becomes of it, possibly empty
 * @param value what the house would pay for it
 * @param held where it is kept
 * @param expected what it should weigh by the norm; empty if there is none
 * @param spread the standard deviation of that between fish; zero without norm
 * @param outstanding what is still to be weighed of it by the norm; zero if nothing is
 * @param taken the weighings that stand
 * @param version counts changes of its purpose, so that a stale page is noticed
 */
public record BenchPart(
    long id,
    String slot,
    int number,
    String name,
    PartKind kind,
    Optional<Long> parentId,
    boolean planned,
    boolean skipped,
    boolean inARow,
    Optional<Long> venueId,
    Optional<Purpose> purpose,
    String becomes,
    Optional<UnitPrice> value,
    Optional<Held> held,
    Optional<Mass> expected,
    Mass spread,
    Mass outstanding,
    List<Taken> taken,
    int version) {

  /**
   * Returns how much one weighing of it may differ by the norm. Fish of one lot differ in size too,
   * by a fifth where each was not weighed.
   *
   * @param fish how many fish the lot has
   * @param one whether the weighing is of one fish out of several
   * @return the standard deviation; zero without norm
   */
  Mass spreadOf(int fish, boolean one) {
    if (!one || expected.isEmpty()) {
      return spread;
    }
    return CutPlan.spreadOfOne(expected.get(), spread, fish);
  }

  /**
   * Returns what was weighed of it.
   *
   * @return the sum over all fish, zero if nothing was
   */
  public Mass mass() {
    return Mass.total(taken.stream().map(Taken::mass).toList());
  }

  /**
   * Returns whether anything was weighed of it.
   *
   * @return true with at least one weighing
   */
  public boolean isStarted() {
    return !taken.isEmpty();
  }

  /**
   * Finds the weighing of one fish.
   *
   * @param fishNo the fish, or 0 for all together
   * @return the weighing; the one of all together also answers for each fish
   */
  public Optional<Taken> find(int fishNo) {
    return taken.stream().filter(t -> t.fishNo() == fishNo || t.fishNo() == 0).findFirst();
  }

  /**
   * Returns how many pieces of a row come from a fish.
   *
   * @param fishNo the fish, or 0 for all together
   * @return the count
   */
  long pieces(int fishNo) {
    return taken.stream().filter(t -> t.fishNo() == fishNo).count();
  }

  /**
   * Returns what the pieces of a row weigh together.
   *
   * @param fishNo the fish, or 0 for all together
   * @return the mass; empty before the first piece
   */
  Optional<Mass> rowOf(int fishNo) {
    List<Mass> pieces = taken.stream().filter(t -> t.fishNo() == fishNo).map(Taken::mass).toList();
    return pieces.isEmpty() ? Optional.empty() : Optional.of(Mass.total(pieces));
  }

  /**
   * Returns whether every fish of the lot was weighed.
   *
   * @param fish how many fish the lot has
   * @return true if weighed for all together or for each
   */
  public boolean isDone(int fish) {
    return taken.stream().anyMatch(t -> t.fishNo() == 0)
        || taken.stream().mapToInt(Taken::fishNo).distinct().count() >= fish;
  }
}
