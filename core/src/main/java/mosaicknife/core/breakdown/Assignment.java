package mosaicknife.core.breakdown;

import java.util.Arrays;
import java.util.List;
import mosaicknife.core.breakdown.TallyLine.Standing;
import mosaicknife.core.quantity.Mass;

/**
 * Which figure fits which row best, by the squared deviations from the norms: the assignment
 * problem by shortest augmenting paths (Kuhn 1955, Munkres 1957), in the cube of the rows.
 */
final class Assignment {

  /** A row never has the figure of one it cannot have. */
  private static final double NEVER = 1e6;

  private Assignment() {}

  /**
   * Assigns figures to rows.
   *
   * @param lines the rows; those without norm keep what they have
   * @param read the figures in grams, not a number where a row has none
   * @return for each row the row whose figure it takes; −1 for none
   */
  static int[] best(List<TallyLine> lines, double[] read) {
    int n = read.length;
    double[][] cost = new double[n][n];
    for (int row = 0; row < n; row++) {
      for (int figure = 0; figure < n; figure++) {
        cost[row][figure] = cost(lines, read, row, figure);
      }
    }
    int[] rowOf = solve(cost);
    int[] figureOf = new int[n];
    for (int figure = 0; figure < n; figure++) {
      figureOf[rowOf[figure]] = Double.isNaN(read[figure]) ? -1 : figure;
    }
    return figureOf;
  }

  private static double cost(List<TallyLine> lines, double[] read, int row, int figure) {
    TallyLine line = lines.get(row);
    boolean normed = line.expected().isPresent() && line.spread().isPositive();
    if (row != figure && (!normed || line.standing() == Standing.LEFT_OUT)) {
      return NEVER;
    }
    if (Double.isNaN(read[figure])) {
      boolean stays = row == figure || lines.get(figure).standing() != Standing.LEFT_OUT;
      return stays ? 0 : NEVER;
    }
    double z = normed ? (read[figure] - grams(line.expected().get())) / grams(line.spread()) : 0;
    // a row keeps its figure unless another is better
    return z * z / 2 + (row == figure ? 0 : 1e-6);
  }

  /** The row of each column, with the smallest sum of costs. */
  private static int[] solve(double[][] cost) {
    int n = cost.length;
    double[] ofRow = new double[n + 1];
    double[] ofColumn = new double[n + 1];
    int[] rowOf = new int[n + 1];
    int[] way = new int[n + 1];
    for (int row = 1; row <= n; row++) {
      rowOf[0] = row;
      int column = 0;
      double[] least = new double[n + 1];
      boolean[] used = new boolean[n + 1];
      Arrays.fill(least, Double.MAX_VALUE);
      do {
        used[column] = true;
        int of = rowOf[column];
        double delta = Double.MAX_VALUE;
        int next = 0;
        for (int c = 1; c <= n; c++) {
          if (!used[c]) {
            double now = cost[of - 1][c - 1] - ofRow[of] - ofColumn[c];
            if (now < least[c]) {
              least[c] = now;
              way[c] = column;
            }
            if (least[c] < delta) {
              delta = least[c];
              next = c;
            }
          }
        }
        for (int c = 0; c <= n; c++) {
          if (used[c]) {
            ofRow[rowOf[c]] += delta;
            ofColumn[c] -= delta;
          } else {
            least[c] -= delta;
          }
        }
        column = next;
      } while (rowOf[column] != 0);
      while (column != 0) {
        rowOf[column] = rowOf[way[column]];
        column = way[column];
      }
    }
    int[] result = new int[n];
    for (int c = 1; c <= n; c++) {
      result[c - 1] = rowOf[c] - 1;
    }
    return result;
  }

  private static double grams(Mass mass) {
    return mass.milligrams() / 1000.0;
  }
}
