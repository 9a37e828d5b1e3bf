package mosaicknife.core.lot;

import java.math.RoundingMode;
import java.time.LocalDate;
import java.util.Optional;
import mosaicknife.core.anatomy.Species;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.check.Check;
import mosaicknife.core.plan.CutPlan;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Fraction;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.UnitPrice;

/**
 * What was received: the facts of a delivery, as they were typed, asked and weighed at the dock.
 *
 * @param species the species
 * @param state the state on arrival
 * @param fish how many fish, from 1
 * @param invoiced the mass on the invoice: what is paid for
 * @param own the mass on the own scale, if it was weighed
 * @param price the price per mass; empty while it is to come, as whoever received it may not see
 *     prices
 * @param supplier the name of the supplier; empty for what the house caught itself
 * @param origin wild or farmed
 * @param landedOn when it was landed or harvested
 * @param note a remark, possibly empty
 * @param arrival what was asked and measured beyond that
 */
public record Receipt(
    Species species,
    State state,
    int fish,
    Mass invoiced,
    Optional<Mass> own,
    Optional<UnitPrice> price,
    String supplier,
    Origin origin,
    LocalDate landedOn,
    String note,
    Arrival arrival) {

  /** Less than this apart is drip and the tolerance of two scales. */
  private static final Fraction TOLERATED = Fraction.of(1, 100);

  /** Refuses what is missing. */
  public Receipt {
    Check.notNull(species, "species");
    Check.notNull(state, "state");
    Check.notNull(invoiced, "invoiced mass");
    Check.notNull(own, "own mass");
    Check.notNull(price, "price");
    Check.notNull(supplier, "supplier");
    Check.notNull(origin, "origin");
    Check.notNull(landedOn, "day of landing");
    Check.notNull(arrival, "arrival");
  }

  /**
   * Returns whether the house caught it itself: then nobody delivered it.
   *
   * @return true without a supplier
   */
  public boolean isOwnCatch() {
    return supplier.isBlank();
  }

  /**
   * Returns the same delivery with other figures: a part of it, or more of it.
   *
   * @param count how many fish
   * @param invoice the mass on the invoice
   * @param weighed the mass on the own scale, if it was weighed
   * @param gross the mass with ice and box, if it was weighed
   * @return the receipt
   */
  Receipt of(int count, Mass invoice, Optional<Mass> weighed, Optional<Mass> gross) {
    return new Receipt(
        species,
        state,
        count,
        invoice,
        weighed,
        price,
        supplier,
        origin,
        landedOn,
        note,
        new Arrival(
            arrival.orderLine(),
            gross,
            arrival.temperature(),
            arrival.method(),
            arrival.area(),
            arrival.killing(),
            arrival.scaled(),
            arrival.byCatch()));
  }

  /**
   * Returns the mass that yields are counted from: the own scale's if there is one, else the
   * invoice's.
   *
   * @return the mass as purchased
   */
  public Mass purchased() {
    return own.orElse(invoiced);
  }

  /**
   * Returns the mass of the mean fish.
   *
   * @return purchased mass divided by the number of fish
   */
  public Mass meanFish() {
    return CutPlan.meanOf(purchased(), fish);
  }

  /**
   * Returns how much less came than was invoiced.
   *
   * @return invoiced less own mass; negative if more came; empty if it was not weighed
   */
  public Optional<Mass> shortfall() {
    return own.map(invoiced::minus);
  }

  /**
   * Returns what the shortfall is worth at the purchase price.
   *
   * @return the money, negative if more came; empty if the lot was not weighed or has no price yet
   */
  public Optional<ExactMoney> shortfallWorth() {
    return shortfall().flatMap(mass -> price.map(known -> known.times(mass)));
  }

  /**
   * Returns whether clearly less came than was invoiced: more than a hundredth, which ice and drip
   * do not explain.
   *
   * @return true if a claim is worth a thought
   */
  public boolean isShortDelivery() {
    return shortfall().filter(gap -> gap.compareTo(tolerated(invoiced)) > 0).isPresent();
  }

  /**
   * Returns whether fish weighed one by one are clearly heavier than the lot.
   *
   * @param together their mass
   * @return true if they are more than a hundredth heavier
   */
  public boolean isClearlyLessThan(Mass together) {
    return together.minus(purchased()).compareTo(tolerated(purchased())) > 0;
  }

  private static Mass tolerated(Mass mass) {
    return mass.multipliedBy(TOLERATED, RoundingMode.HALF_EVEN);
  }

  /**
   * Returns the ice and box, if both gross and net were weighed.
   *
   * @return gross less own mass
   */
  public Optional<Mass> ice() {
    return arrival.gross().flatMap(gross -> own.map(gross::minus));
  }
}
