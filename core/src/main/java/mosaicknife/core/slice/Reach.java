package mosaicknife.core.slice;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Which portions can be cut of one fillet together.
 *
 * <p>So many of each kind fit if, cut from the head end in some order, the last ends on the fillet.
 * The earliest end of a set is the earliest end of one kind behind the earliest end of the others:
 * the sooner one may begin, the sooner it ends. So every set is worked out from smaller ones.
 */
final class Reach {

  private static final int NEVER = Integer.MAX_VALUE;

  private final int grams;
  private final List<Cut> cuts;
  private final int[][] own;
  private final int[][] ends;

  Reach(Grid grid, List<Cut> cuts) {
    this.grams = grid.grams();
    this.cuts = cuts;
    this.own = new int[cuts.size()][];
    this.ends = new int[cuts.size()][];
    for (int t = 0; t < cuts.size(); t++) {
      own[t] = own(cuts.get(t));
      ends[t] = new int[grams + 2];
      Arrays.fill(ends[t], NEVER);
      for (int from = grams; from >= 0; from--) {
        ends[t][from] = Math.min(ends[t][from + 1], own[t][from]);
      }
    }
  }

  /** The end of the lightest portion that begins at each gram. */
  private int[] own(Cut cut) {
    double lightest = cut.type().lightest().milligrams() / 1000.0;
    double heaviest = cut.type().heaviest().milligrams() / 1000.0;
    int[] all = new int[grams + 1];
    int end = 0;
    for (int from = 0; from <= grams; from++) {
      all[from] = NEVER;
      end = Math.max(end, from);
      while (end < grams && cut.grams(from, end) < lightest) {
        end++;
      }
      for (int to = end; to <= grams && cut.grams(from, to) <= heaviest; to++) {
        if (cut.grams(from, to) >= lightest && cut.fits(from, to)) {
          all[from] = to;
          break;
        }
      }
    }
    return all;
  }

  /** Where the first portion of a kind can begin; behind the fillet if there is none. */
  int first(int kind) {
    int from = 0;
    while (from <= grams && own[kind][from] == NEVER) {
      from++;
    }
    return from;
  }

  /** Where the last portion of a kind can end, at the latest. */
  int last(int kind) {
    return cuts.get(kind).last();
  }

  /** The fewest grams of the fillet that a portion of a kind takes. */
  int least(int kind) {
    int least = grams + 1;
    for (int from = 0; from <= grams; from++) {
      if (own[kind][from] != NEVER) {
        least = Math.min(least, own[kind][from] - from);
      }
    }
    return least;
  }

  /** An order in which a set can be cut, from the head end; empty if it cannot. */
  Optional<List<Cut>> order(List<Integer> set) {
    Map<List<Integer>, Integer> earliest = new HashMap<>();
    Map<List<Integer>, Integer> last = new HashMap<>();
    if (earliest(set, earliest, last) == NEVER) {
      return Optional.empty();
    }
    List<Cut> order = new ArrayList<>();
    List<Integer> rest = set;
    while (rest.stream().anyMatch(count -> count > 0)) {
      int t = last.get(rest);
      order.add(0, cuts.get(t));
      rest = less(rest, t);
    }
    return Optional.of(order);
  }

  private int earliest(
      List<Integer> set, Map<List<Integer>, Integer> earliest, Map<List<Integer>, Integer> last) {
    if (set.stream().allMatch(count -> count == 0)) {
      return 0;
    }
    Integer known = earliest.get(set);
    if (known != null) {
      return known;
    }
    int best = NEVER;
    for (int t = 0; t < cuts.size(); t++) {
      int before = set.get(t) == 0 ? NEVER : earliest(less(set, t), earliest, last);
      if (before != NEVER && ends[t][before] < best) {
        best = ends[t][before];
        last.put(set, t);
      }
    }
    earliest.put(set, best);
    return best;
  }

  private static List<Integer> less(List<Integer> set, int kind) {
    List<Integer> all = new ArrayList<>(set);
    all.set(kind, set.get(kind) - 1);
    return List.copyOf(all);
  }

  /** A smallest part of a set that cannot be cut, of one that cannot. */
  List<Integer> why(List<Integer> set) {
    List<Integer> rest = set;
    for (int t = 0; t < cuts.size(); t++) {
      while (rest.get(t) > 0 && order(less(rest, t)).isEmpty()) {
        rest = less(rest, t);
      }
    }
    return rest;
  }
}
