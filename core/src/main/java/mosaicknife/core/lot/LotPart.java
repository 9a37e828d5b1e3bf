package mosaicknife.core.lot;

import java.util.List;
import java.util.Optional;
import mosaicknife.core.anatomy.PartKind;
import mosaicknife.core.anatomy.Purpose;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.UnitPrice;

/**
 * A part of a lot with what is known of it: what it should weigh, what was weighed, what is still
 * to come.
 *
 * @param part the part as it was laid out and decided
 * @param expected what it should weigh by the norm; empty if there is none
 * @param spread the standard deviation of that between fish; zero without norm
 * @param outstanding what is still to be weighed of it by the norm; zero if nothing is
 * @param taken the weighings that stand
 * @param sizes how much fish of one lot differ, as a fraction of the mean fish
 */
public record LotPart(
    Part part,
    Optional<Mass> expected,
    Mass spread,
    Mass outstanding,
    List<Weighing> taken,
    double sizes) {

  /** Copies the weighings. */
  public LotPart {
    taken = List.copyOf(taken);
  }

  /**
   * Returns its number.
   *
   * @return the same as of the part
   */
  public long id() {
    return part.id();
  }

  /**
   * Returns its code within the lot.
   *
   * @return the same as of the part
   */
  public String slot() {
    return part.slot();
  }

  /**
   * Returns its number on the drawing.
   *
   * @return the same as of the part
   */
  public int number() {
    return part.number();
  }

  /**
   * Returns its name on screen.
   *
   * @return the same as of the part
   */
  public String name() {
    return part.name();
  }

  /**
   * Returns its kind.
   *
   * @return the same as of the part
   */
  public PartKind kind() {
    return part.kind();
  }

  /**
   * Returns the part it is cut from; empty for the whole fish.
   *
   * @return the same as of the part
   */
  public Optional<Long> parentId() {
    return part.parentId();
  }

  /**
   * Returns whether the cut plan has it.
   *
   * @return the same as of the part
   */
  public boolean planned() {
    return part.planned();
  }

  /**
   * Returns whether it is not taken off this time.
   *
   * @return the same as of the part
   */
  public boolean skipped() {
    return part.skipped();
  }

  /**
   * Returns whether every reading is a piece of its own.
   *
   * @return the same as of the part
   */
  public boolean inARow() {
    return part.inARow();
  }

  /**
   * Returns the venue it goes to, if that was decided.
   *
   * @return the same as of the part
   */
  public Optional<Long> venueId() {
    return part.venueId();
  }

  /**
   * Returns what it is for, if that was decided.
   *
   * @return the same as of the part
   */
  public Optional<Purpose> purpose() {
    return part.purpose();
  }

  /**
   * Returns what becomes of it, in words.
   *
   * @return the name of the dish or use, or what was written; possibly empty
   */
  public String becomes() {
    return part.goesTo().name();
  }

  /**
   * Returns what the house would pay for it.
   *
   * @return the same as of the part
   */
  public Optional<UnitPrice> value() {
    return part.value();
  }

  /**
   * Returns where it is held.
   *
   * @return the same as of the part
   */
  public Optional<Held> held() {
    return part.held();
  }

  /**
   * Returns how often its purpose changed.
   *
   * @return the same as of the part
   */
  public int version() {
    return part.version();
  }

  /**
   * Returns its slot, as papers ask for it that may be of a part or of the whole lot.
   *
   * @return the slot, always there
   */
  public Optional<String> optionalSlot() {
    return Optional.of(slot());
  }

  /**
   * Returns what was weighed of it.
   *
   * @return the sum over all fish, zero if nothing was
   */
  public Mass mass() {
    return Mass.total(taken.stream().map(Weighing::mass).toList());
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
   * @return its own weighing, else the one of all together, which answers for each fish
   */
  public Optional<Weighing> find(int fishNo) {
    return taken.stream()
        .filter(t -> t.fish() == fishNo)
        .findFirst()
        .or(() -> taken.stream().filter(t -> t.fish() == 0).findFirst());
  }

  /**
   * Returns which fish a weight is of: where some were weighed alone, all together are the others.
   *
   * @param fishNo the fish, or 0 for all together
   * @param fish how many fish the lot has
   * @return their numbers, from 1
   */
  public List<Integer> fishOf(int fishNo, int fish) {
    return fishNo != 0
        ? List.of(fishNo)
        : FishShares.all(fish).stream()
            .filter(one -> inARow() || taken.stream().noneMatch(t -> t.fish() == one))
            .toList();
  }

  /**
   * Returns how many pieces of a row come from a fish.
   *
   * @param fishNo the fish, or 0 for all together
   * @return the count
   */
  public long pieces(int fishNo) {
    return taken.stream().filter(t -> t.fish() == fishNo).count();
  }

  /**
   * Returns what the pieces of a row weigh together.
   *
   * @param fishNo the fish, or 0 for all together
   * @return the mass; empty before the first piece
   */
  public Optional<Mass> rowOf(int fishNo) {
    List<Mass> pieces = taken.stream().filter(t -> t.fish() == fishNo).map(Weighing::mass).toList();
    return pieces.isEmpty() ? Optional.empty() : Optional.of(Mass.total(pieces));
  }

  /**
   * Returns whether every fish of the lot was weighed.
   *
   * @param fish how many fish the lot has
   * @return true if weighed for all together or for each
   */
  public boolean isDone(int fish) {
    return taken.stream().anyMatch(t -> t.fish() == 0)
        || taken.stream().mapToInt(Weighing::fish).distinct().count() >= fish;
  }
}
