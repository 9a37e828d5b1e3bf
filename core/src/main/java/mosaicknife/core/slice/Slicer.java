package mosaicknife.core.slice;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import mosaicknife.core.check.Check;
import mosaicknife.core.quantity.Mass;

/**
 * Places the cuts of a fillet so that portions and what is left over are worth most together.
 *
 * <p>Dynamic programming over every gram of the fillet: exact for cuts on whole grams. Of equal
 * worth, portions that are even and near to their target win, and what is left over is thin, and in
 * one piece rather than in several. Where so many portions without bones are wanted, that many
 * there are, or as many as there can be; only then worth counts.
 */
public final class Slicer {

  /** Worth is counted in millionths of a minor unit, so that what is equal can be told apart. */
  private static final long UNIT = 1_000_000;

  private static final long GRAMS = 1000;
  private static final long NEVER = Long.MIN_VALUE / 4;

  /** Places for a portion that are looked at in about a second. */
  private static final double MOST_WORK = 4e8;

  /** More portions than these are not asked to be without bones. */
  public static final int MOST_BONELESS = 20;

  private final Grid grid;
  private final int grams;
  private final List<Cut> cuts;
  private final long perGram;
  private final long another;
  private final int wanted;

  // by portions without bones so far, and gram: best worth after a portion or the beginning, and
  // inside a leftover
  private final long[][] closed;
  private final long[][] open;
  private final int[][] typeAt;
  private final int[][] fromAt;
  private final int[][] layerAt;
  private final int[][] openedAt;

  private Slicer(Grid grid, List<Cut> cuts, long overPerKilogram, int wanted) {
    this.grid = grid;
    this.grams = grid.grams();
    this.cuts = cuts;
    this.perGram = overPerKilogram * (UNIT / GRAMS);
    // of what is worth the same the one with fewer leftovers: never worth a minor unit by itself
    this.another = UNIT / 20;
    this.wanted = wanted;
    this.closed = new long[wanted + 1][grams + 1];
    this.open = new long[wanted + 1][grams + 1];
    this.typeAt = new int[wanted + 1][grams + 1];
    this.fromAt = new int[wanted + 1][grams + 1];
    this.layerAt = new int[wanted + 1][grams + 1];
    this.openedAt = new int[wanted + 1][grams + 1];
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
    return best(fillet, types, overPerKilogram, 0);
  }

  /**
   * Finds the best cuts of those with enough portions without bones.
   *
   * @param fillet the fillet, of a gram or more
   * @param types what may be cut of it
   * @param overPerKilogram what a kilogram of leftover is worth, in minor units, from 0
   * @param boneless how many portions without bones are wanted, up to {@link #MOST_BONELESS}
   * @return the pieces; with fewer of them where no more can be had
   */
  public static Slicing best(
      Fillet fillet, List<PortionType> types, long overPerKilogram, int boneless) {
    Check.that(overPerKilogram >= 0, "Expected a worth from 0, found ", overPerKilogram);
    Check.inRange(boneless, 0, MOST_BONELESS, "portions without bones");
    Grid grid = new Grid(fillet, types);
    List<Cut> cuts = types.stream().map(type -> new Cut(grid, type)).toList();
    return new Slicer(grid, cuts, overPerKilogram, boneless).solve();
  }

  /**
   * Returns whether a fillet can be worked out at once.
   *
   * @param fillet the fillet
   * @param types what may be cut of it
   * @param boneless how many portions without bones are wanted
   * @param times how often
   * @return false where limits are so wide, kinds so many or the fillet so heavy that somebody
   *     would wait for seconds
   */
  public static boolean isWorkable(
      Fillet fillet, List<PortionType> types, int boneless, int times) {
    double places = 0;
    for (PortionType type : types) {
      double window = type.heaviest().minus(type.lightest()).milligrams() / 1000.0 + 1;
      places += Math.min(window, fillet.mass().milligrams() / 1000.0);
    }
    return places * fillet.mass().milligrams() / 1000.0 * (boneless + 1) * times <= MOST_WORK;
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
    return grams.stream()
        .map(target -> best(fillet, List.of(moved(type, target)), 0).portions().size())
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
        Math.max(1, type.value()),
        type.style());
  }

  private static Mass least(Mass one, Mass other) {
    return one.compareTo(other) <= 0 ? one : other;
  }

  private static Mass most(Mass one, Mass other) {
    return one.compareTo(other) >= 0 ? one : other;
  }

  private Slicing solve() {
    for (int layer = 0; layer <= wanted; layer++) {
      Arrays.fill(closed[layer], NEVER);
      Arrays.fill(open[layer], NEVER);
    }
    closed[0][0] = 0;
    for (int i = 1; i <= grams; i++) {
      leaveOver(i);
      for (int t = 0; t < cuts.size(); t++) {
        portions(i, t);
      }
    }
    int layer = wanted;
    while (Math.max(closed[layer][grams], open[layer][grams]) <= NEVER / 2) {
      layer--;
    }
    return trace(layer);
  }

  private void leaveOver(int gram) {
    long worth = perGram - Math.round(grid.millimetres(gram));
    for (int layer = 0; layer <= wanted; layer++) {
      long fresh = closed[layer][gram - 1] - another + worth;
      long further = open[layer][gram - 1] + worth;
      open[layer][gram] = Math.max(fresh, further);
      openedAt[layer][gram] = fresh > further ? gram - 1 : openedAt[layer][gram - 1];
    }
  }

  private void portions(int end, int t) {
    Cut cut = cuts.get(t);
    int lightest = cut.least();
    int heaviest = cut.most();
    for (int from = end - 1; from >= cut.first(); from--) {
      double mass = cut.grams(from, end);
      if (mass > heaviest) {
        break;
      }
      if (mass >= lightest) {
        long worth = worth(cut, from, end, mass);
        int more = cut.hasBones(from) ? 0 : 1;
        for (int layer = 0; layer <= wanted; layer++) {
          put(t, from, end, layer, Math.min(wanted, layer + more), worth);
        }
      }
    }
  }

  private long worth(Cut cut, int from, int end, double mass) {
    double off = mass - Math.round(cut.target());
    double trimmed = end - from - mass;
    return cut.type().value() * UNIT - Math.round(off * off) + Math.round(trimmed * perGram);
  }

  private void put(int t, int from, int end, int before, int layer, long worth) {
    long sum = Math.max(closed[before][from], open[before][from]) + worth;
    if (sum > closed[layer][end] && sum > NEVER / 2 && cuts.get(t).fits(from, end)) {
      closed[layer][end] = sum;
      typeAt[layer][end] = t;
      fromAt[layer][end] = from;
      layerAt[layer][end] = before;
    }
  }

  private Slicing trace(int last) {
    List<Slicing.Piece> pieces = new ArrayList<>();
    int at = grams;
    int layer = last;
    boolean inside = open[layer][at] > closed[layer][at];
    while (at > 0) {
      int from = inside ? openedAt[layer][at] : fromAt[layer][at];
      pieces.add(inside ? grid.left(from, at) : cuts.get(typeAt[layer][at]).portion(from, at));
      layer = inside ? layer : layerAt[layer][at];
      at = from;
      // before a leftover there is a portion, or the beginning
      inside = !inside && open[layer][at] > closed[layer][at];
    }
    Collections.reverse(pieces);
    return new Slicing(grid.fillet(), pieces);
  }
}
