package mosaicknife.core.slice;

import java.util.List;
import java.util.Optional;
import mosaicknife.core.check.Check;
import mosaicknife.core.quantity.Mass;

/**
 * A fillet gram by gram: where each gram ends, how thick and how wide it is there. A gram of the
 * grid is as near to a gram as makes the lightest portion so many of them, so that as many portions
 * are found as lie in the fillet, in ounces too.
 */
final class Grid {

  private static final int MOST_GRAMS = 40_000;
  private static final int GRAM = 1000;
  private static final double NEARLY = 1e-9;

  private final Fillet fillet;
  private final double milligrams;
  private final int grams;
  private final double[] places;
  private final double[][] thinnest;

  Grid(Fillet fillet, List<PortionType> types) {
    this.fillet = fillet;
    this.milligrams =
        types.stream().findFirst().map(type -> ofOne(type.lightest())).orElse((double) GRAM);
    double whole = fillet.mass().milligrams() + fillet.step().milligrams() / 2.0;
    this.grams = (int) Math.floor(whole / milligrams + NEARLY);
    Check.inRange(grams, 1, MOST_GRAMS, "grams of a fillet");
    this.places = new double[grams + 1];
    for (int i = 0; i <= grams; i++) {
      places[i] = i == grams ? 1 : fillet.profile().placeOf(i / (double) grams);
    }
    this.thinnest = levels();
  }

  private static double ofOne(Mass lightest) {
    double mass = lightest.milligrams();
    return mass / Math.max(1, Math.rint(mass / GRAM));
  }

  /** The least and the most grams of the grid that a portion may be. */
  int least(PortionType type) {
    return (int) Math.ceil(type.lightest().milligrams() / milligrams - NEARLY);
  }

  int most(PortionType type) {
    return Math.max(
        least(type), (int) Math.floor(type.heaviest().milligrams() / milligrams + NEARLY));
  }

  double target(PortionType type) {
    return type.target().milligrams() / milligrams;
  }

  /** The thickness at each gram, and the least of 2, 4, 8 … of them from there on. */
  private double[][] levels() {
    int levels = 32 - Integer.numberOfLeadingZeros(grams + 1);
    double[][] all = new double[levels][];
    all[0] = new double[grams + 1];
    for (int i = 0; i <= grams; i++) {
      all[0][i] = fillet.millimetresAt(places[i]);
    }
    for (int level = 1; level < levels; level++) {
      int half = 1 << (level - 1);
      all[level] = new double[grams + 2 - 2 * half];
      for (int i = 0; i < all[level].length; i++) {
        all[level][i] = Math.min(all[level - 1][i], all[level - 1][i + half]);
      }
    }
    return all;
  }

  Fillet fillet() {
    return fillet;
  }

  int grams() {
    return grams;
  }

  double place(int gram) {
    return places[gram];
  }

  double centimetres(int gram) {
    return places[gram] * fillet.centimetres();
  }

  double millimetres(int gram) {
    return thinnest[0][gram];
  }

  /** How thick it is at its thinnest between two grams. */
  double thinnest(int from, int to) {
    int level = 31 - Integer.numberOfLeadingZeros(to - from + 1);
    return Math.min(thinnest[level][from], thinnest[level][to + 1 - (1 << level)]);
  }

  /** Whether a piece that begins there has pin bones. */
  boolean hasBones(int from) {
    return places[from] < fillet.pinBonesTo();
  }

  /** What lies between two grams; what a fillet weighs beside whole ones is in its last piece. */
  Mass mass(int from, int to) {
    return upTo(to).minus(upTo(from));
  }

  private Mass upTo(int gram) {
    return gram == grams ? fillet.mass() : Mass.ofMilligrams(Math.round(gram * milligrams));
  }

  /** A piece that is left over. */
  Slicing.Piece left(int from, int to) {
    return new Slicing.Piece(
        places[from],
        places[to],
        mass(from, to),
        Mass.ZERO,
        Optional.empty(),
        hasBones(from),
        thinnest(from, to));
  }
}
