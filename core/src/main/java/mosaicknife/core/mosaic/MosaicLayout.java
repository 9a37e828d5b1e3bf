package mosaicknife.core.mosaic;

import java.util.ArrayList;
import java.util.List;
import mosaicknife.core.check.Check;
import mosaicknife.core.quantity.Mass;

/**
 * Lays pieces out in a frame so that the visible area of each is exactly proportional to its mass,
 * in the given order, with grout of one width between them.
 *
 * <p>The pieces fill rows from left to right, top to bottom, so neighbours in cutting order stay
 * neighbours. The grout takes no area from any tile: with k pieces of total mass M in a row of
 * width W and grout g, the row has the height h = c·M / (W − (k−1)·g), and the scale c is the same
 * for all rows because Σh + (rows−1)·g is the height of the frame. So c has a closed form and the
 * proportion is exact, not corrected afterwards.
 *
 * <p>Where the rows break is chosen by dynamic programming: the breaks with the smallest sum of
 * squared log aspect ratios, so tiles come out as square as the order allows. O(n²) row costs per
 * assumed scale, n pieces; n is below a hundred here.
 *
 * <p>Not chosen: a squarified treemap (reorders by size, tiles jump while weighing) and tiles inset
 * by half the grout (areas no longer proportional: small tiles lose most).
 */
public final class MosaicLayout {

  private final double width;
  private final double height;
  private final double grout;

  private MosaicLayout(double width, double height, double grout) {
    this.width = width;
    this.height = height;
    this.grout = grout;
  }

  /**
   * A piece to lay.
   *
   * @param id its identifier
   * @param mass its mass, positive
   */
  public record Piece(String id, Mass mass) {

    /** Refuses a piece without mass. */
    public Piece {
      Check.text(id, "id");
      Check.that(mass.isPositive(), "Expected a piece with mass, found ", mass);
    }
  }

  /**
   * Makes a layout for a frame.
   *
   * @param width the inner width of the frame in pixels, from 1
   * @param height the inner height of the frame in pixels, from 1
   * @param grout the gap between tiles in pixels, from 0
   * @return the layout
   */
  public static MosaicLayout of(double width, double height, double grout) {
    return new MosaicLayout(
        Check.inRange(width, 1, 100_000, "width"),
        Check.inRange(height, 1, 100_000, "height"),
        Check.inRange(grout, 0, 100, "grout"));
  }

  /**
   * Lays the pieces.
   *
   * @param pieces the pieces in order; may be empty
   * @return one tile per piece, in the same order
   * @throws IllegalArgumentException if the grout would not leave room for the pieces
   */
  public List<Tile> lay(List<Piece> pieces) {
    if (pieces.isEmpty()) {
      return List.of();
    }
    List<List<Piece>> rows = breakIntoRows(pieces);
    double scale = scale(rows);
    Check.that(
        scale > 0,
        "Expected a frame with room for %d rows, found %.0f px".formatted(rows.size(), height));
    List<Tile> tiles = new ArrayList<>();
    double top = 0;
    for (List<Piece> row : rows) {
      double rowHeight = scale * grams(row) / room(row.size());
      double left = 0;
      for (Piece piece : row) {
        double tileWidth = room(row.size()) * grams(piece) / grams(row);
        tiles.add(new Tile(piece.id(), left, top, tileWidth, rowHeight));
        left += tileWidth + grout;
      }
      top += rowHeight + grout;
    }
    return List.copyOf(tiles);
  }

  private List<List<Piece>> breakIntoRows(List<Piece> pieces) {
    int n = pieces.size();
    double perGram = width * height / grams(pieces);
    double[] best = new double[n + 1];
    int[] rowStart = new int[n + 1];
    for (int end = 1; end <= n; end++) {
      best[end] = Double.POSITIVE_INFINITY;
      for (int start = 0; start < end; start++) {
        double cost = best[start] + rowCost(pieces.subList(start, end), perGram);
        if (cost < best[end]) {
          best[end] = cost;
          rowStart[end] = start;
        }
      }
    }
    List<List<Piece>> rows = new ArrayList<>();
    for (int end = n; end > 0; end = rowStart[end]) {
      rows.add(0, pieces.subList(rowStart[end], end));
    }
    return rows;
  }

  private double rowCost(List<Piece> row, double perGram) {
    double room = room(row.size());
    if (room <= row.size()) {
      return Double.POSITIVE_INFINITY;
    }
    double rowHeight = perGram * grams(row) / width;
    double cost = 0;
    for (Piece piece : row) {
      double ratio = Math.log(room * grams(piece) / grams(row) / rowHeight);
      cost += ratio * ratio;
    }
    return cost;
  }

  private double scale(List<List<Piece>> rows) {
    double sum = rows.stream().mapToDouble(row -> grams(row) / room(row.size())).sum();
    return (height - (rows.size() - 1) * grout) / sum;
  }

  private double room(int tiles) {
    return width - (tiles - 1) * grout;
  }

  private static double grams(List<Piece> pieces) {
    return pieces.stream().mapToDouble(MosaicLayout::grams).sum();
  }

  private static double grams(Piece piece) {
    return piece.mass().milligrams() / 1000.0;
  }
}
