package mosaicknife.core.slice;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
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

  /** Larger sets are not looked through: that no simple order fits them is taken for no. */
  private static final int MOST_SETS = 50_000;

  private static final int MOST_PORTIONS = 400;

  private final int grams;
  private final List<Cut> cuts;
  private final int[][] own;
  private final int[][] ends;
  private final Map<List<Integer>, Integer> earliest = new HashMap<>();
  private final Map<List<Integer>, Integer> last = new HashMap<>();
  private boolean exact = true;

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
    int lightest = cut.least();
    int heaviest = cut.most();
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

  /** An order in which a set can be cut, from the head end; empty if none was found. */
  Optional<List<Cut>> order(List<Integer> set) {
    Optional<List<Cut>> chain = chain(set);
    if (chain.isPresent()) {
      return chain;
    }
    if (!isSmall(set)) {
      exact = false;
      return Optional.empty();
    }
    if (earliest(set) == NEVER) {
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

  /** Whether every set was looked through that no simple order could be found for. */
  boolean isExact() {
    return exact;
  }

  private static boolean isSmall(List<Integer> set) {
    double sets = 1;
    int portions = 0;
    for (int count : set) {
      sets *= count + 1;
      portions += count;
    }
    return sets <= MOST_SETS && portions <= MOST_PORTIONS;
  }

  /** One kind after the other, those first that may lie nearest to the head end. */
  private Optional<List<Cut>> chain(List<Integer> set) {
    List<Integer> kinds = new ArrayList<>();
    for (int t = 0; t < cuts.size(); t++) {
      kinds.add(t);
    }
    kinds.sort(Comparator.comparing(this::last).thenComparing(this::first));
    List<Cut> order = new ArrayList<>();
    int at = 0;
    for (int t : kinds) {
      for (int i = 0; i < set.get(t); i++) {
        at = ends[t][at];
        if (at == NEVER) {
          return Optional.empty();
        }
        order.add(cuts.get(t));
      }
    }
    return Optional.of(order);
  }

  private int earliest(List<Integer> set) {
    if (set.stream().allMatch(count -> count == 0)) {
      return 0;
    }
    Integer known = earliest.get(set);
    if (known != null) {
      return known;
    }
    int best = NEVER;
    for (int t = 0; t < cuts.size(); t++) {
      int before = set.get(t) == 0 ? NEVER : earliest(less(set, t));
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
