package mosaicknife.core.slice;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import mosaicknife.core.check.Check;
import mosaicknife.core.quantity.Mass;

/**
 * Places the cuts of a fillet so that portions and what is left over are worth most together.
 *
 * <p>Dynamic programming over every gram of the fillet: exact for cuts on whole grams. Of equal
 * worth, portions that are even and near to their target win, and what is left over is thin, and in
 * one piece rather than in several.
 */
public final class Slicer {

  private static final int MOST_GRAMS = 40_000;

  /** Worth is counted in millionths of a minor unit, so that what is equal can be told apart. */
  private static final long UNIT = 1_000_000;

  private static final long GRAMS = 1000;

  private final Fillet fillet;
  private final List<PortionType> types;
  private final long perGram;
  private final long another;
  private final int grams;
  private final double[] places;
  private final double[][] thinnest;

  /** The fillet gram by gram, for whatever is cut of it. */
  private Slicer(Fillet fillet) {
    this.fillet = fillet;
    this.types = List.of();
    this.perGram = 0;
    this.another = UNIT;
    this.grams = (int) (fillet.mass().milligrams() / 1000);
    Check.inRange(grams, 1, MOST_GRAMS, "grams of a fillet");
    this.places = new double[grams + 1];
    for (int i = 0; i <= grams; i++) {
      places[i] = i == grams ? 1 : fillet.profile().placeOf(i / (double) grams);
    }
    this.thinnest = thinnest();
  }

  /** The same fillet with what is cut of it. */
  private Slicer(Slicer grid, List<PortionType> types, long overPerKilogram) {
    this.fillet = grid.fillet;
    this.grams = grid.grams;
    this.places = grid.places;
    this.thinnest = grid.thinnest;
    this.types = types;
    this.perGram = overPerKilogram * (UNIT / GRAMS);
    // a leftover of its own must save more than the grams it hardly moves
    this.another = 20 * perGram + UNIT;
  }

  /**
   * Finds the best cuts.
   *
   * @param fillet the fillet, of a gram or more
   * @param types what may be cut of it
   * @param overPerKilogram what a kilogram of leftover is worth, in minor units, from 0
   * @return the pieces
   */
  public static Slicing best(Fillet fillet, List<PortionType> types, long overPerKilogram) {
    Check.that(overPerKilogram >= 0, "Expected a worth from 0, found " + overPerKilogram);
    return new Slicer(new Slicer(fillet), List.copyOf(types), overPerKilogram).solve();
  }

  /**
   * Returns how many portions each target gives.
   *
   * @param fillet the fillet
   * @param type the portion; its limits move with its target
   * @param grams the targets, in grams
   * @return the counts, in the order of the targets
   */
  public static List<Integer> counts(Fillet fillet, PortionType type, List<Integer> grams) {
    Slicer grid = new Slicer(fillet);
    return grams.stream()
        .map(target -> new Slicer(grid, List.of(moved(type, target)), 0).solve().portions().size())
        .toList();
  }

  private static PortionType moved(PortionType type, int grams) {
    Mass target = Mass.ofGrams(grams);
    double scale = grams * 1000.0 / type.target().milligrams();
    return new PortionType(
        type.name(),
        target,
        least(Mass.ofMilligrams(Math.round(type.lightest().milligrams() * scale)), target),
        most(Mass.ofMilligrams(Math.round(type.heaviest().milligrams() * scale)), target),
        type.millimetres(),
        type.boneless(),
        Math.max(1, type.value()));
  }

  private static Mass least(Mass one, Mass other) {
    return one.compareTo(other) <= 0 ? one : other;
  }

  private static Mass most(Mass one, Mass other) {
    return one.compareTo(other) >= 0 ? one : other;
  }

  /** The thickness at each gram, and the least of 2, 4, 8 … of them from there on. */
  private double[][] thinnest() {
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

  private double thinnest(int from, int to) {
    int level = 31 - Integer.numberOfLeadingZeros(to - from + 1);
    return Math.min(thinnest[level][from], thinnest[level][to + 1 - (1 << level)]);
  }

  private boolean hasBones(int from) {
    return places[from] < fillet.pinBonesTo();
  }

  private Slicing solve() {
    // best worth up to a gram, after a portion or the beginning, and inside a leftover
    long[] closed = new long[grams + 1];
    long[] open = new long[grams + 1];
    int[] typeAt = new int[grams + 1];
    int[] fromAt = new int[grams + 1];
    int[] openedAt = new int[grams + 1];
    java.util.Arrays.fill(closed, Long.MIN_VALUE / 4);
    java.util.Arrays.fill(open, Long.MIN_VALUE / 4);
    closed[0] = 0;
    for (int i = 1; i <= grams; i++) {
      long gram = perGram - Math.round(thinnest[0][i]);
      long fresh = closed[i - 1] - another + gram;
      long further = open[i - 1] + gram;
      open[i] = Math.max(fresh, further);
      openedAt[i] = fresh > further ? i - 1 : openedAt[i - 1];
      for (int t = 0; t < types.size(); t++) {
        portions(i, t, closed, open, typeAt, fromAt);
      }
    }
    return trace(closed, open, typeAt, fromAt, openedAt);
  }

  private void portions(int end, int t, long[] closed, long[] open, int[] typeAt, int[] fromAt) {
    PortionType type = types.get(t);
    int lightest = (int) ((type.lightest().milligrams() + 999) / 1000);
    int heaviest = (int) (type.heaviest().milligrams() / 1000);
    long target = Math.round(type.target().milligrams() / 1000.0);
    for (int mass = Math.max(1, lightest); mass <= heaviest && mass <= end; mass++) {
      int from = end - mass;
      long before = Math.max(closed[from], open[from]);
      long worth = before + type.value() * UNIT - (mass - target) * (mass - target);
      boolean fits =
          worth > closed[end]
              && !(type.boneless() && hasBones(from))
              && (type.millimetres() == 0 || thinnest(from, end) >= type.millimetres());
      if (fits) {
        closed[end] = worth;
        typeAt[end] = t;
        fromAt[end] = from;
      }
    }
  }

  private Slicing trace(long[] closed, long[] open, int[] typeAt, int[] fromAt, int[] openedAt) {
    List<Slicing.Piece> pieces = new ArrayList<>();
    int at = grams;
    boolean inside = open[at] > closed[at];
    while (at > 0) {
      int from = inside ? openedAt[at] : fromAt[at];
      pieces.add(piece(from, at, inside ? Optional.empty() : Optional.of(types.get(typeAt[at]))));
      at = from;
      // before a leftover there is a portion, or the beginning
      inside = !inside && open[at] > closed[at];
    }
    Collections.reverse(pieces);
    return new Slicing(fillet, pieces);
  }

  private Slicing.Piece piece(int from, int to, Optional<PortionType> type) {
    // what a fillet weighs beside whole grams is in its last piece
    long milligrams = (to - from) * 1000L + (to == grams ? fillet.mass().milligrams() % 1000 : 0);
    return new Slicing.Piece(
        places[from],
        places[to],
        Mass.ofMilligrams(milligrams),
        type,
        hasBones(from),
        thinnest(from, to));
  }
}
