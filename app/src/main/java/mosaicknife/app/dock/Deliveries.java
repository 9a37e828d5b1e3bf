package mosaicknife.app.dock;

import mosaicknife.app.buy.OrderPlacer;
import mosaicknife.app.lot.Delivery;
import mosaicknife.app.lot.LotRegister;
import mosaicknife.core.lot.Lot;
import mosaicknife.core.lot.Ordered;
import org.springframework.stereotype.Component;

/** Takes deliveries in, from the page and from the API alike. */
@Component
public class Deliveries {

  private final LotRegister lots;
  private final OrderPlacer orders;

  Deliveries(LotRegister lots, OrderPlacer orders) {
    this.lots = lots;
    this.orders = orders;
  }

  /**
   * Receives a lot; an order of which everything came is closed.
   *
   * @param delivery what came
   * @return the lot, the same one if it was sent twice
   * @throws mosaicknife.app.shared.Refusal if it cannot be right
   */
  public Lot receive(Delivery delivery) {
    Lot lot = lots.receive(delivery);
    lot.arrival().orderLine().stream()
        .boxed()
        .flatMap(line -> orders.findByLine(line).stream())
        .filter(order -> Ordered.isComplete(order.ordered(), lots.of(order)))
        .forEach(order -> orders.close(order.id()));
    return lot;
  }
}
