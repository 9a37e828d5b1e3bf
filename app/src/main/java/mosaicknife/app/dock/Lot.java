package mosaicknife.app.dock;

import java.math.RoundingMode;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Optional;
import mosaicknife.core.anatomy.Species;
import mosaicknife.core.anatomy.Species.Trait;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.cost.CostingMethod;
import mosaicknife.core.cost.LotCost;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Fraction;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.UnitPrice;
import mosaicknife.core.safety.Fitness;
import mosaicknife.core.safety.RawGate;

/**
 * Fish bought together at one price on one delivery.
 *
 * @param id the lot number
 * @param species the species
 * @param state the state on arrival
 * @param fish how many fish
 * @param invoiced the mass on the invoice: what is paid for
 * @param own the mass on the own scale, if it was weighed
 * @param price the price per mass
 * @param supplier the name of the supplier
 * @param venue the name of the venue that took it
 * @param origin wild or farmed
 * @param landedOn when it was landed or harvested
 * @param receivedAt when it was received
 * @param receivedBy who received it
 * @param portionTarget the mass of one portion
 * @param method how the house costs it
 * @param note a remark
 * @param finishedAt when the lot was closed, if it is
 * @param arrival what was asked and measured at the dock
 * @param inspection the newest inspection, if there was one
 * @param credited what the supplier credits
 * @param version counts changes, so that a stale page is noticed
 */
public record Lot(
    long id,
    Species species,
    State state,
    int fish,
    Mass invoiced,
    Optional<Mass> own,
    UnitPrice price,
    String supplier,
    String venue,
    Origin origin,
    LocalDate landedOn,
    Instant receivedAt,
    String receivedBy,
    Mass portionTarget,
    CostingMethod method,
    String note,
    Optional<Instant> finishedAt,
    Arrival arrival,
    Optional<Inspection> inspection,
    ExactMoney credited,
    int version) {

  /** Less than this apart is drip and the tolerance of two scales. */
  private static final Fraction TOLERATED = Fraction.of(1, 100);

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
   * Returns what the lot cost: the invoice, whatever the own scale says, less what is credited.
   *
   * @return the cost
   */
  public LotCost cost() {
    ExactMoney none = ExactMoney.zero(credited.currency());
    return new LotCost(price, invoiced, none, credited);
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
   * @return the money, negative if more came; empty if the lot was not weighed
   */
  public Optional<ExactMoney> shortfallWorth() {
    return shortfall().map(price::times);
  }

  /**
   * Returns whether clearly less came than was invoiced: more than a hundredth, which ice and drip
   * do not explain.
   *
   * @return true if a claim is worth a thought
   */
  public boolean isShortDelivery() {
    return shortfall()
        .filter(gap -> gap.compareTo(invoiced.multipliedBy(TOLERATED, RoundingMode.HALF_EVEN)) > 0)
        .isPresent();
  }

  /**
   * Returns whether fish weighed one by one are clearly heavier than the lot.
   *
   * @param together their mass
   * @return true if they are more than a hundredth heavier
   */
  boolean isClearlyLessThan(Mass together) {
    return together
            .minus(purchased())
            .compareTo(purchased().multipliedBy(TOLERATED, RoundingMode.HALF_EVEN))
        > 0;
  }

  /**
   * Returns the ice and box, if both gross and net were weighed.
   *
   * @return gross less own mass
   */
  public Optional<Mass> ice() {
    return arrival.gross().flatMap(gross -> own.map(gross::minus));
  }

  /**
   * Returns what the lot may become, if that was decided.
   *
   * @return the decision of the newest inspection
   */
  public Optional<Fitness> fitness() {
    return inspection.map(Inspection::decision);
  }

  /**
   * Returns whether the lot may be served raw; every part of it carries this.
   *
   * @return the gate; empty if the lot was not inspected
   */
  public Optional<RawGate> rawGate() {
    return fitness().map(fitness -> RawGate.of(species, origin == Origin.FARMED, fitness));
  }

  /**
   * Returns whether the time above the limit is watched because histamine may form.
   *
   * @return true for histamine fish
   */
  public boolean isHistamineWatched() {
    return species.traits().contains(Trait.HISTAMINE);
  }

  /**
   * Returns whether the lot is closed.
   *
   * @return true after it was finished
   */
  public boolean isFinished() {
    return finishedAt.isPresent();
  }

  /**
   * Returns the name of the lot on screen.
   *
   * @return such as {@code Lot 12 · Hake}
   */
  public String title() {
    return "Lot " + id + " · " + species.name();
  }
}
