package mosaicknife.core.cost;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mosaicknife.core.anatomy.Purpose;
import mosaicknife.core.breakdown.Breakdown;
import mosaicknife.core.check.Check;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Fraction;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.UnitPrice;

/**
 * The money of a lot on every step from the invoice to the menu: what stands on it, what went on
 * the way, and what that is for a portion and a kilogram.
 *
 * @param rungs the steps from the top; steps on which nothing happens are left out
 */
public record CostLadder(List<Rung> rungs) {

  /** Copies the rungs. */
  public CostLadder {
    rungs = List.copyOf(rungs);
  }

  /** A step of the ladder. */
  public enum Step {
    /** The mass on the invoice at its price. */
    PURCHASE,
    /** Freight, ice and box are added. */
    FREIGHT,
    /** What the supplier credits is taken off; from here on the own scale counts. */
    CLAIMS,
    /** What nobody weighed any more: drip, scales, the knife. */
    LOSS,
    /** Compost and bin. */
    BIN,
    /** What other parts carry in the chosen method, and main cuts kept for another day. */
    BY_PRODUCTS,
    /** The main cuts. */
    USABLE,
    /** The main cuts as far as they make whole portions. */
    PORTIONS,
    /** With the work at the board and what else lies on the plate. */
    PLATE,
    /** What guests pay. */
    PRICE
  }

  /**
   * One rung.
   *
   * @param step the step
   * @param mass what is left on it; empty where it is plates
   * @param money what stands on it
   * @param went what went or came with it: below 0 where money leaves the main cuts, and of loss
   *     and bin what their share of the purchase was worth
   * @param portion what stands on it for one portion; empty without a whole one
   * @param price what a kilogram of what is left costs; empty where it is plates
   * @param share what is left as a fraction of the fish as purchased; the invoice may be above 1
   */
  public record Rung(
      Step step,
      Optional<Mass> mass,
      ExactMoney money,
      Optional<ExactMoney> went,
      Optional<ExactMoney> portion,
      Optional<UnitPrice> price,
      Fraction share) {}

  /**
   * What comes to the fish before it is served.
   *
   * @param labour the work at the board for the whole lot, from 0
   * @param garnish what else lies on one plate, from 0; empty if nobody said
   * @param price what a guest pays; empty if nobody said
   */
  public record Table(ExactMoney labour, Optional<ExactMoney> garnish, Optional<ExactMoney> price) {

    /** Refuses negative amounts. */
    public Table {
      Check.that(!labour.isNegative(), "Expected work from 0, found ", labour);
      garnish.ifPresent(one -> Check.that(!one.isNegative(), "Expected from 0, found ", one));
      price.ifPresent(one -> Check.that(!one.isNegative(), "Expected from 0, found ", one));
    }
  }

  /**
   * Builds the ladder of a lot.
   *
   * @param breakdown the parts with their purposes
   * @param complete whether every part was weighed: only then is the rest a loss
   * @param cost the lot's cost
   * @param sheet the cost sheet, empty while nothing is for the plate
   * @param table what comes to it
   * @return the ladder
   */
  public static CostLadder of(
      Breakdown breakdown, boolean complete, LotCost cost, Optional<CostSheet> sheet, Table table) {
    Builder ladder = new Builder(breakdown.purchased(), sheet);
    ExactMoney bought = cost.price().times(cost.invoiced());
    ladder.add(Step.PURCHASE, cost.invoiced(), bought, Optional.empty());
    if (cost.extras().isPositive()) {
      ladder.add(
          Step.FREIGHT, cost.invoiced(), bought.plus(cost.extras()), Optional.of(cost.extras()));
    }
    ExactMoney total = cost.total();
    Mass whole = breakdown.purchased();
    if (cost.claims().isPositive() || !whole.equals(cost.invoiced())) {
      ladder.add(Step.CLAIMS, whole, total, Optional.of(less(cost.claims())));
    }
    Mass left = whole;
    if (complete && breakdown.remainder().isPositive()) {
      left = breakdown.tallied();
      ladder.add(Step.LOSS, left, total, Optional.of(part(total, breakdown.remainder(), whole)));
    }
    Mass bin = breakdown.massFor(one -> one == Purpose.COMPOST || one == Purpose.BIN);
    if (bin.isPositive()) {
      left = left.minus(bin);
      ladder.add(Step.BIN, left, total, Optional.of(part(total, bin, whole)));
    }
    sheet.ifPresent(one -> ladder.served(one, total, table));
    return new CostLadder(ladder.rungs);
  }

  private static ExactMoney less(ExactMoney money) {
    return ExactMoney.zero(money.currency()).minus(money);
  }

  private static ExactMoney part(ExactMoney total, Mass some, Mass whole) {
    return total.multipliedBy(some.dividedBy(whole));
  }

  private static final class Builder {

    private final Mass whole;
    private final long portions;
    private final List<Rung> rungs = new ArrayList<>();

    Builder(Mass whole, Optional<CostSheet> sheet) {
      this.whole = whole;
      this.portions = sheet.map(one -> one.portions().count()).orElse(0L);
    }

    void add(Step step, Mass mass, ExactMoney money, Optional<ExactMoney> went) {
      if (mass.isPositive()) {
        rungs.add(
            new Rung(
                step,
                Optional.of(mass),
                money,
                went,
                portions > 0 ? Optional.of(money.dividedBy(portions)) : Optional.empty(),
                Optional.of(money.per(mass)),
                mass.dividedBy(whole)));
      }
    }

    void served(CostSheet sheet, ExactMoney total, Table table) {
      ExactMoney onMains = sheet.costing().onMains();
      Mass left = rungs.get(rungs.size() - 1).mass().orElse(whole);
      if (left.compareTo(sheet.mains()) > 0 || !onMains.equals(total)) {
        add(Step.BY_PRODUCTS, sheet.mains(), onMains, Optional.of(onMains.minus(total)));
      }
      add(Step.USABLE, sheet.mains(), onMains, Optional.empty());
      add(
          Step.PORTIONS,
          sheet.portions().portioned(),
          onMains,
          sheet.portions().over().isPositive()
              ? Optional.of(part(onMains, sheet.portions().over(), sheet.mains()))
              : Optional.empty());
      if (portions > 0) {
        ExactMoney more =
            table
                .garnish()
                .map(one -> one.multipliedBy(Fraction.of(portions, 1)).plus(table.labour()))
                .orElse(table.labour());
        plates(Step.PLATE, onMains.plus(more), Optional.of(more));
        table
            .price()
            .map(one -> one.multipliedBy(Fraction.of(portions, 1)))
            .ifPresent(
                sold -> plates(Step.PRICE, sold, Optional.of(sold.minus(onMains.plus(more)))));
      }
    }

    private void plates(Step step, ExactMoney money, Optional<ExactMoney> went) {
      rungs.add(
          new Rung(
              step,
              Optional.empty(),
              money,
              went,
              Optional.of(money.dividedBy(portions)),
              Optional.empty(),
              rungs.get(rungs.size() - 1).share()));
    }
  }
}
