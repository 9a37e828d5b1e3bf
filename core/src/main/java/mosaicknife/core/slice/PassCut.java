package mosaicknife.core.slice;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import mosaicknife.core.quantity.Mass;

/**
 * A fillet cut so that the pass can read its pieces: which have bones, and as many without as are
 * wanted.
 *
 * @param bones what was done about the pin bones
 * @param lanes the cuts of each lane, in the order of the lanes
 */
public record PassCut(PinBoneCut bones, List<Slicing> lanes) {

  /** Copies the lanes. */
  public PassCut {
    lanes = List.copyOf(lanes);
  }

  /**
   * Cuts a fillet one way.
   *
   * @param fillet the fillet
   * @param way what is done about its pin bones
   * @param types what may be cut of it
   * @param overPerKilogram what a kilogram of leftover is worth, in minor units
   * @param boneless how many portions without bones are wanted
   * @return the cuts
   */
  public static PassCut of(
      Fillet fillet,
      PinBoneCut.Way way,
      List<PortionType> types,
      long overPerKilogram,
      int boneless) {
    PinBoneCut cut = PinBoneCut.of(fillet, way);
    List<Slicing> lanes = new ArrayList<>();
    for (PinBoneCut.Lane lane : cut.lanes()) {
      lanes.add(Slicer.best(lane.fillet(), types, overPerKilogram, boneless));
    }
    return new PassCut(cut, lanes);
  }

  /**
   * Cuts a fillet every way, the best first.
   *
   * @param fillet the fillet
   * @param types what may be cut of it
   * @param overPerKilogram what a kilogram of leftover is worth, in minor units
   * @param boneless how many portions without bones are wanted
   * @return the ways: first those with enough of them, then by what the portions are worth, then
   *     the one with least to do; one only where there are no pin bones
   */
  public static List<PassCut> ways(
      Fillet fillet, List<PortionType> types, long overPerKilogram, int boneless) {
    List<PassCut> all = new ArrayList<>();
    for (PinBoneCut.Way way : PinBoneCut.Way.values()) {
      if (way == PinBoneCut.Way.LEFT_IN || fillet.pinBonesTo() > 0) {
        all.add(of(fillet, way, types, overPerKilogram, boneless));
      }
    }
    all.sort(
        Comparator.comparing((PassCut one) -> -Math.min(boneless, one.boneless()))
            .thenComparing(one -> -one.worth())
            .thenComparing(one -> one.bones().way())
            .thenComparing(PassCut::lost));
    return all;
  }

  /**
   * Returns how many portions there are.
   *
   * @return of all lanes
   */
  public int portions() {
    return lanes.stream().mapToInt(lane -> lane.portions().size()).sum();
  }

  /**
   * Returns what the portions are worth.
   *
   * @return minor units
   */
  public long worth() {
    return lanes.stream()
        .flatMap(lane -> lane.portions().stream())
        .mapToLong(piece -> piece.type().orElseThrow().value())
        .sum();
  }

  /**
   * Returns how many portions have no bones.
   *
   * @return of all lanes
   */
  public int boneless() {
    return lanes.stream().mapToInt(Slicing::boneless).sum();
  }

  /**
   * Returns what is on no portion.
   *
   * @return leftovers, trimmings and the strip
   */
  public Mass lost() {
    return Mass.total(lanes.stream().map(lane -> lane.over().plus(lane.trim())).toList())
        .plus(bones.strip());
  }
}
