package mosaicknife.core.slice;

import java.util.Optional;
import mosaicknife.core.quantity.Mass;

/**
 * How one type of portion is cut of one fillet: where it may lie, and what of it is trimmed off.
 */
final class Cut {

  /** A block is so much of the widest place: wider gives narrow ends, narrower much trim. */
  private static final double BLOCK = 0.7;

  private static final double MILLIMETRES = 10;

  private final Grid grid;
  private final PortionType type;
  private final int first;
  private final int last;
  private final double[] kept;

  Cut(Grid grid, PortionType type) {
    this.grid = grid;
    this.type = type;
    double[] wide = type.style() == Style.BLOCK ? widths() : new double[0];
    double block = 0;
    for (double width : wide) {
      block = Math.max(block, BLOCK * width);
    }
    this.kept = new double[grid.grams() + 1];
    for (int i = 1; i <= grid.grams(); i++) {
      kept[i] = kept[i - 1] + (block == 0 ? 1 : Math.min(1, block / wide[i]));
    }
    int from = 0;
    int to = grid.grams();
    while (from < to && !reaches(from, wide, block, true)) {
      from++;
    }
    while (to > from && !reaches(to, wide, block, false)) {
      to--;
    }
    this.first = from;
    this.last = to;
  }

  private double[] widths() {
    double[] wide = new double[grid.grams() + 1];
    for (int i = 0; i <= grid.grams(); i++) {
      wide[i] = grid.fillet().centimetresWideAt(grid.place(i));
    }
    return wide;
  }

  private boolean reaches(int gram, double[] wide, double block, boolean head) {
    return switch (type.style()) {
      case BLOCK -> wide[gram] >= block;
      case BIAS -> {
        double way =
            head ? grid.centimetres(gram) : grid.fillet().centimetres() - grid.centimetres(gram);
        yield way * MILLIMETRES >= grid.millimetres(gram) / 2;
      }
      case STRAIGHT, TAIL_FOLD, SIDE, STEAK -> true;
    };
  }

  PortionType type() {
    return type;
  }

  int first() {
    return first;
  }

  int last() {
    return last;
  }

  /** What a piece weighs when it is trimmed, in grams; whole ones where nothing is. */
  double grams(int from, int to) {
    return kept[to] - kept[from];
  }

  boolean hasBones(int from) {
    return type.style() == Style.STEAK || grid.hasBones(from);
  }

  /** Whether a piece of the right mass may lie there. */
  boolean fits(int from, int to) {
    boolean lies =
        from >= first
            && to <= last
            && (type.style() != Style.SIDE || from == 0 && to == grid.grams());
    return lies
        && !(type.boneless() && hasBones(from))
        && (type.millimetres() == 0 || thick(from, to) >= type.millimetres());
  }

  /** How thick a piece is where it is thinnest, as it is cooked; a steak is as thick as cut. */
  double thick(int from, int to) {
    if (type.style() == Style.STEAK) {
      return (grid.centimetres(to) - grid.centimetres(from)) * MILLIMETRES;
    }
    if (type.style() == Style.TAIL_FOLD && to == grid.grams()) {
      return Math.max(grid.thinnest(from, to), folded(from));
    }
    return grid.thinnest(from, to);
  }

  /** Two layers, folded in the middle of the piece's length. */
  private double folded(int from) {
    double start = grid.place(from);
    double thinnest = Double.MAX_VALUE;
    int steps = 10;
    for (int i = 0; i <= steps; i++) {
      double way = (1 - start) / 2 * i / steps;
      thinnest =
          Math.min(
              thinnest,
              grid.fillet().millimetresAt(start + way) + grid.fillet().millimetresAt(1 - way));
    }
    return thinnest;
  }

  /** The portion between two grams, when it is trimmed. */
  Slicing.Piece portion(int from, int to) {
    Mass whole = grid.mass(from, to);
    double left = grams(from, to);
    Mass mass = left >= to - from ? whole : Mass.ofMilligrams(Math.round(left * 1000));
    return new Slicing.Piece(
        grid.place(from),
        grid.place(to),
        mass,
        whole.minus(mass),
        Optional.of(type),
        hasBones(from),
        thick(from, to));
  }
}
