package mosaicknife.core.lot;

import java.util.List;
import java.util.Optional;
import mosaicknife.core.anatomy.Purpose;
import mosaicknife.core.portion.Eaten;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.slice.Fillet;

/**
 * A piece of a lot that goes on plates: a main cut of one fish, a piece it was cut into, or what is
 * left of one. Every station that counts plates counts in these.
 *
 * @param part the part it is, or is left of
 * @param fish the number of the fish, from 1
 * @param mass what it weighs
 * @param known how that is known
 * @param eaten what is eaten of it
 * @param pinBones whether its pin bones are still in it, by the plan of the lot
 */
public record OnBoard(
    LotPart part, int fish, Mass mass, Known known, Eaten eaten, boolean pinBones) {

  /** How the mass of a piece is known. */
  public enum Known {
    /** It was weighed by itself. */
    MEASURED,
    /** It is its share of what was weighed, of several fish or before it was cut further. */
    WORKED_OUT,
    /** Nothing was weighed of it yet: it is what the norm says. */
    NORM
  }

  /**
   * Returns the pieces of a lot that go on plates, or will by its plan, in cutting order and by
   * fish.
   *
   * @param sheet the lot
   * @return those that were weighed and those to come; none twice
   */
  public static List<OnBoard> of(LotSheet sheet) {
    return new Board(sheet).pieces();
  }

  /**
   * Returns the pieces of a lot that can be sliced: main cuts and what they were cut into, not the
   * portions that were cut of them.
   *
   * @param sheet the lot
   * @return the pieces
   */
  public static List<OnBoard> toSlice(LotSheet sheet) {
    return of(sheet).stream().filter(one -> one.eaten().cut() != Eaten.Cut.PORTION).toList();
  }

  /**
   * Returns whether it was weighed by itself.
   *
   * @return true if its mass is a reading
   */
  public boolean measured() {
    return known == Known.MEASURED;
  }

  /**
   * Returns whether it was weighed at all, by itself or with others.
   *
   * @return false if its mass is by the norm
   */
  public boolean isWeighed() {
    return known != Known.NORM;
  }

  /**
   * Returns whether somebody decided that it goes on a plate.
   *
   * @return false while only the plan says so
   */
  public boolean isForThePlate() {
    return part.purpose().equals(Optional.of(Purpose.PLATE));
  }

  /**
   * Returns what it is called within its lot.
   *
   * @return its slot and the number of its fish, such as {@code fillet-left:1}
   */
  public String key() {
    return part.slot() + ":" + fish;
  }

  /**
   * Shapes it.
   *
   * @param lot the lot
   * @param length its length in centimetres, if somebody measured it
   * @return its shape; empty if the body plan draws no such part
   */
  public Optional<Fillet> shape(Lot lot, Optional<Double> length) {
    return Fillet.of(lot.species(), part.slot(), mass, of(lot), length)
        .map(fillet -> (pinBones ? fillet : fillet.withoutPinBones()).read(eaten.step()));
  }

  /**
   * Says whether a length can be its length.
   *
   * @param lot the lot
   * @param centimetres the length
   * @return whether it is near enough to what its fish weighed
   */
  public boolean isLength(Lot lot, double centimetres) {
    return Fillet.isLength(lot.species(), part.slot(), of(lot), centimetres);
  }

  private Mass of(Lot lot) {
    return lot.shared(lot.purchased()).get(fish - 1);
  }
}
