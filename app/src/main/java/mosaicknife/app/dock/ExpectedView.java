package mosaicknife.app.dock;

import java.util.List;
import mosaicknife.app.buy.Order;
import mosaicknife.app.buy.OrderLine;
import mosaicknife.core.lot.Lot;

/**
 * An order that the dock expects, with what came of it.
 *
 * @param order the order
 * @param lines its lines
 * @param late whether it was due before today
 */
record ExpectedView(Order order, List<Line> lines, boolean late) {

  /** One line with the fish that came for it and whether anything did. */
  record Line(OrderLine line, int came, boolean some) {}

  static ExpectedView of(Order order, List<Lot> lots, boolean late) {
    return new ExpectedView(
        order,
        order.lines().stream()
            .map(
                line ->
                    new Line(
                        line,
                        line.ordered().came(lots),
                        lots.stream().anyMatch(lot -> line.ordered().isFor(lot))))
            .toList(),
        late);
  }
}
