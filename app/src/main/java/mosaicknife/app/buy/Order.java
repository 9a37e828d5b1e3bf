package mosaicknife.app.buy;

import java.time.LocalDate;
import java.util.Currency;
import java.util.List;
import java.util.Optional;
import mosaicknife.app.house.Supplier;
import mosaicknife.core.finding.Finding;
import mosaicknife.core.lot.Ordered;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Mass;

/**
 * An order to one supplier for one venue and day.
 *
 * @param id its number
 * @param from the supplier
 * @param venueId the number of the venue
 * @param venue the name of the venue
 * @param deliverOn the day of delivery
 * @param status how far it is
 * @param note a remark, possibly empty
 * @param madeBy who put it together
 * @param lines its lines
 * @param version counts changes
 */
public record Order(
    long id,
    Supplier from,
    long venueId,
    String venue,
    LocalDate deliverOn,
    OrderStatus status,
    String note,
    String madeBy,
    List<OrderLine> lines,
    int version) {

  /** Copies the lines. */
  public Order {
    lines = List.copyOf(lines);
  }

  /**
   * Returns the name of the supplier.
   *
   * @return the name
   */
  public String supplier() {
    return from.name();
  }

  /**
   * Says whether the supplier delivers on the day of the order.
   *
   * @return that it does not; empty if it does, nobody knows, or the order is closed
   */
  public Optional<Finding> doubt() {
    return status == OrderStatus.CLOSED
        ? Optional.empty()
        : from.days().check(from.name(), deliverOn);
  }

  /**
   * Returns the expected mass of everything.
   *
   * @return the mass
   */
  public Mass mass() {
    return Mass.total(lines.stream().map(OrderLine::mass).toList());
  }

  /**
   * Returns the expected cost of everything.
   *
   * @param currency the currency of the house, for an empty order
   * @return the money
   */
  public ExactMoney money(Currency currency) {
    return lines.stream().map(OrderLine::money).reduce(ExactMoney.zero(currency), ExactMoney::plus);
  }

  /**
   * Returns what was ordered, to be held against what comes.
   *
   * @return the lines as the dock sees them
   */
  public List<Ordered> ordered() {
    return lines.stream().map(OrderLine::ordered).toList();
  }
}
