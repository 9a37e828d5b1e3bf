package mosaicknife.core.slice;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;

/** Places portions of known kinds in a known order, each as near to its target as can be. */
final class Placing {

  private static final double NEVER = Double.MAX_VALUE / 4;

  private final Grid grid;
  private final List<Cut> order;
  private final double[][] cost;
  private final int[][] fromAt;

  private Placing(Grid grid, List<Cut> order) {
    this.grid = grid;
    this.order = order;
    this.cost = new double[order.size() + 1][grid.grams() + 1];
    this.fromAt = new int[order.size() + 1][grid.grams() + 1];
  }

  /**
   * Places them. What is left over lies between them or at the ends; a gram beside the target of a
   * portion counts its square, a gram left over nothing.
   */
  static Slicing of(Grid grid, List<Cut> order) {
    return new Placing(grid, order).solve();
  }

  private Slicing solve() {
    int grams = grid.grams();
    // the least cost with the first k portions before a gram
    Arrays.fill(cost[0], 0);
    for (int k = 1; k <= order.size(); k++) {
      Arrays.fill(cost[k], NEVER);
      for (int end = 1; end <= grams; end++) {
        place(k, end);
      }
    }
    List<Slicing.Piece> pieces = new ArrayList<>();
    int at = grams;
    for (int k = order.size(); k > 0; k--) {
      int from = fromAt[k][at];
      int end = at;
      // a negative start says: as before, one gram earlier
      while (from < 0) {
        end--;
        from = fromAt[k][end];
      }
      left(pieces, end, at);
      pieces.add(order.get(k - 1).portion(from, end));
      at = from;
    }
    left(pieces, 0, at);
    Collections.reverse(pieces);
    return new Slicing(grid.fillet(), pieces);
  }

  private void place(int k, int end) {
    Cut cut = order.get(k - 1);
    cost[k][end] = cost[k][end - 1];
    fromAt[k][end] = -1;
    int lightest = cut.least();
    int heaviest = cut.most();
    double target = cut.target();
    for (int from = end - 1; from >= cut.first(); from--) {
      double mass = cut.grams(from, end);
      if (mass > heaviest) {
        break;
      }
      double sum = cost[k - 1][from] + (mass - target) * (mass - target);
      if (mass >= lightest && sum < cost[k][end] && cut.fits(from, end)) {
        cost[k][end] = sum;
        fromAt[k][end] = from;
      }
    }
  }

  private void left(List<Slicing.Piece> pieces, int from, int to) {
    if (to > from) {
      pieces.add(grid.left(from, to));
    }
  }
}
