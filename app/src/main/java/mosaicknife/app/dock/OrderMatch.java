package mosaicknife.app.dock;

import java.util.List;
import java.util.Optional;
import mosaicknife.app.buy.Order;
import mosaicknife.app.shared.Formats;
import mosaicknife.core.lot.Lot;
import mosaicknife.core.lot.Ordered;
import mosaicknife.core.lot.Ordered.Mismatch;

/**
 * What came against what was ordered, in words.
 *
 * @param order the order
 * @param sentences the differences; none if it came as ordered
 */
public record OrderMatch(Order order, List<String> sentences) {

  /**
   * Compares a lot with the line it came for.
   *
   * @param lot the lot
   * @param order the order of the line
   * @param all all lots that came for the order
   * @param formats how the house writes numbers
   * @param withPrices whether prices may be spoken of
   * @return the comparison, or empty if the lot was not ordered
   */
  public static Optional<OrderMatch> of(
      Lot lot, Order order, List<Lot> all, Formats formats, boolean withPrices) {
    return order.ordered().stream()
        .filter(line -> line.isFor(lot))
        .findFirst()
        .map(line -> new OrderMatch(order, sentences(lot, line, all, formats, withPrices)));
  }

  private static List<String> sentences(
      Lot lot, Ordered line, List<Lot> all, Formats formats, boolean withPrices) {
    return line.differences(lot, all).stream()
        .filter(found -> withPrices || found.what() != Mismatch.PRICE_ABOVE)
        .map(formats::say)
        .toList();
  }
}
