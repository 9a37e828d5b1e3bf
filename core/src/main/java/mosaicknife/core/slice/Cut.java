package mosaicknife.core.slice;

import java.math.RoundingMode;
import java.util.Optional;
import mosaicknife.core.quantity.Fraction;
import mosaicknife.core.quantity.Mass;

/**
 * How one type of portion is cut of one fillet: where it may lie, and what of it is trimmed off.
 */
final class Cut {

  /** Widths of a block that are tried, as parts of the widest place. */
  private static final int WIDTHS = 20;

  private static final double NEARLY = 1 - 1e-6;

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
    double block = block(wide);
    this.kept = kept(wide, block);
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

  /** The width of the block that keeps most of the fillet; 0 where it is not squared. */
  private double block(double[] wide) {
    double widest = 0;
    for (double one : wide) {
      widest = Math.max(widest, one);
    }
    double best = 0;
    double most = 0;
    for (int i = 1; i <= WIDTHS && wide.length > 0; i++) {
      double width = widest * i / WIDTHS;
      double[] mass = kept(wide, width);
      int from = 0;
      int to = grid.grams();
      while (from < to && wide[from] < width * NEARLY) {
        from++;
      }
      while (to > from && wide[to] < width * NEARLY) {
        to--;
      }
      if (mass[to] - mass[from] > most) {
        most = mass[to] - mass[from];
        best = width;
      }
    }
    return best;
  }

  private double[] kept(double[] wide, double block) {
    double[] sum = new double[grid.grams() + 1];
    for (int i = 1; i < sum.length; i++) {
      sum[i] = sum[i - 1] + (block == 0 ? 1 : Math.min(1, block / wide[i]));
    }
    return sum;
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
      case BLOCK -> wide[gram] >= block * NEARLY;
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

  int least() {
    return grid.least(type);
  }

  int most() {
    return grid.most(type);
  }

  double target() {
    return grid.target(type);
  }

  /** What a piece weighs when it is trimmed, in whole grams of the grid. */
  double grams(int from, int to) {
    return Math.rint(kept[to] - kept[from]);
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
    Mass mass =
        left >= to - from
            ? whole
            : whole.multipliedBy(Fraction.of((long) left, to - from), RoundingMode.HALF_EVEN);
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
