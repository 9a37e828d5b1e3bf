package mosaicknife.core.lot;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.slice.Fillet;

/**
 * A main cut of a lot that lies on the board.
 *
 * @param part the part
 * @param fish the number of the fish
 * @param mass what it weighs
 * @param measured whether it was weighed by itself; else it is what the norm says
 * @param pinBones whether its pin bones are still in it, by the plan of the lot
 */
public record OnBoard(LotPart part, int fish, Mass mass, boolean measured, boolean pinBones) {

  /**
   * Returns the main cuts of a lot, in cutting order and by fish.
   *
   * @param sheet the lot
   * @return those weighed by themselves with their mass, others with that of the norm; rows of
   *     pieces and what was skipped are not among them
   */
  public static List<OnBoard> of(LotSheet sheet) {
    boolean pinBones = sheet.plan().leavesPinBones();
    List<OnBoard> all = new ArrayList<>();
    for (LotPart part : sheet.parts()) {
      boolean isMain =
          sheet.planned(part.slot()).filter(one -> one.slot().isMain()).isPresent()
              && !part.skipped()
              && !part.inARow();
      for (int fish = 1; isMain && fish <= sheet.lot().fish(); fish++) {
        Optional<Mass> weighed = part.find(fish).map(Weighing::mass);
        Optional<Mass> mass = weighed.or(() -> each(part, sheet.lot().fish()));
        if (mass.filter(Mass::isPositive).isPresent()) {
          all.add(new OnBoard(part, fish, mass.get(), weighed.isPresent(), pinBones));
        }
      }
    }
    return all;
  }

  private static Optional<Mass> each(LotPart part, int fish) {
    return part.expected().map(all -> Mass.ofMilligrams(all.milligrams() / fish));
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
        .map(fillet -> pinBones ? fillet : fillet.withoutPinBones());
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

  private static Mass of(Lot lot) {
    return Mass.ofMilligrams(lot.purchased().milligrams() / lot.fish());
  }
}
