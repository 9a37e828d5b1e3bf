package mosaicknife.core.lot;

import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;
import mosaicknife.core.portion.Serving.Form;

/**
 * Counts plates as somebody would with pencil and paper, from what a portion is: an oracle that
 * shares nothing with the product but the words.
 *
 * @param form how pieces become plates
 * @param target grams of a portion
 * @param tolerance how much lighter it may be, as a fraction
 * @param count how many pieces or fish make a plate
 */
record NaiveCount(Form form, BigDecimal target, BigDecimal tolerance, int count) {

  /**
   * A piece on the board.
   *
   * @param fish which fish it is of
   * @param grams what is eaten of it
   * @param step the step of the scale, in grams
   * @param how m for a main cut, p for a piece of one, w for a portion that was cut and weighed
   */
  record Lying(int fish, BigDecimal grams, BigDecimal step, char how) {}

  private BigDecimal lightest() {
    return target.multiply(BigDecimal.ONE.subtract(tolerance));
  }

  private static BigDecimal read(BigDecimal grams, BigDecimal step) {
    return grams.add(step.divide(BigDecimal.valueOf(2)));
  }

  private static long floor(BigDecimal all, BigDecimal each) {
    return all.divide(each, MathContext.DECIMAL128).setScale(0, RoundingMode.FLOOR).longValue();
  }

  /** Slices inside one piece, or whether it is served as it is. */
  long inside(Lying piece) {
    if (piece.how == 'w') {
      return 1;
    }
    BigDecimal read = read(piece.grams, piece.step);
    if (form == Form.SLICES) {
      return floor(read, lightest());
    }
    BigDecimal whole = target.divide(BigDecimal.valueOf(count), MathContext.DECIMAL128);
    BigDecimal least =
        piece.how == 'm'
            ? whole.multiply(new BigDecimal("0.6"))
            : whole.multiply(BigDecimal.ONE.subtract(tolerance));
    return read.compareTo(least) >= 0 ? 1 : 0;
  }

  long plates(List<Lying> board) {
    return switch (form) {
      case SLICES -> board.stream().mapToLong(this::inside).sum();
      case PIECES -> board.stream().mapToLong(this::inside).sum() / count;
      case BY_WEIGHT -> floor(all(board), lightest());
      case FISH -> board.stream().map(Lying::fish).distinct().count() / count;
      case SHARED -> {
        long guests = 0;
        for (int fish : board.stream().map(Lying::fish).distinct().toList()) {
          guests += guests(board.stream().filter(one -> one.fish == fish).toList());
        }
        yield guests;
      }
    };
  }

  private static BigDecimal all(List<Lying> board) {
    List<BigDecimal> steps = new ArrayList<>(board.stream().map(Lying::step).toList());
    BigDecimal step = steps.stream().max(BigDecimal::compareTo).orElse(BigDecimal.ZERO);
    return read(board.stream().map(Lying::grams).reduce(BigDecimal.ZERO, BigDecimal::add), step);
  }

  /** The nearest number of guests, unless each would get less than four fifths; one at least. */
  private long guests(List<Lying> fish) {
    BigDecimal each = all(fish).divide(target, MathContext.DECIMAL128);
    long nearest = each.setScale(0, RoundingMode.HALF_UP).longValue();
    while (nearest > 1
        && each.compareTo(BigDecimal.valueOf(nearest).multiply(new BigDecimal("0.8"))) < 0) {
      nearest--;
    }
    return Math.max(1, nearest);
  }
}
