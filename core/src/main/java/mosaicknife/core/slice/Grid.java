package mosaicknife.core.slice;

import java.util.Optional;
import mosaicknife.core.check.Check;
import mosaicknife.core.quantity.Mass;

/** A fillet gram by gram: where each gram ends, how thick and how wide it is there. */
final class Grid {

  private static final int MOST_GRAMS = 40_000;

  private final Fillet fillet;
  private final int grams;
  private final double[] places;
  private final double[][] thinnest;

  Grid(Fillet fillet) {
    this.fillet = fillet;
    this.grams = (int) (fillet.mass().milligrams() / 1000);
    Check.inRange(grams, 1, MOST_GRAMS, "grams of a fillet");
    this.places = new double[grams + 1];
    for (int i = 0; i <= grams; i++) {
      places[i] = i == grams ? 1 : fillet.profile().placeOf(i / (double) grams);
    }
    this.thinnest = levels();
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

  /** What lies between two grams; what a fillet weighs beside whole grams is in its last piece. */
  Mass mass(int from, int to) {
    long beside = to == grams ? fillet.mass().milligrams() % 1000 : 0;
    return Mass.ofMilligrams((to - from) * 1000L + beside);
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
