package mosaicknife.core.cost;

import mosaicknife.core.check.Check;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Fraction;

/**
 * What something carries: the one sum that the pot, the shelf and the plate ask for.
 *
 * @param fish what its grams carry of their lots' cost, by the costing method of each lot
 * @param beside what was laid out beside the fish
 */
public record Carried(ExactMoney fish, Outlay beside) {

  /** Refuses fish that earns. */
  public Carried {
    Check.that(!fish.isNegative(), "Expected fish from 0, found ", fish);
    Check.notNull(beside, "outlay");
  }

  /**
   * Adds what something else carries.
   *
   * @param other the other, in the same currency
   * @return the sums, part by part
   */
  public Carried plus(Carried other) {
    return new Carried(fish.plus(other.fish), beside.plus(other.beside));
  }

  /**
   * Adds what is laid out beside it.
   *
   * @param more the outlay, in the same currency
   * @return the same fish with all that was laid out
   */
  public Carried plus(Outlay more) {
    return new Carried(fish, beside.plus(more));
  }

  /**
   * Returns what a share of it carries: a litre of a pot, a piece of a tray.
   *
   * @param share the share, from 0
   * @return each part times the share
   */
  public Carried multipliedBy(Fraction share) {
    return new Carried(fish.multipliedBy(share), beside.multipliedBy(share));
  }

  /**
   * Returns what all of it comes to.
   *
   * @return fish and outlay
   */
  public ExactMoney total() {
    return fish.plus(beside.total());
  }
}
