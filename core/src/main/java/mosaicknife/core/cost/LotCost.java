package mosaicknife.core.cost;

import mosaicknife.core.check.Check;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.UnitPrice;

/**
 * What a lot cost: price × invoiced mass + extras − claims.
 *
 * @param price the price per mass
 * @param invoiced the mass on the invoice, positive; paid for, whatever the own scale says
 * @param extras freight, ice and box share, zero or more
 * @param claims what the supplier credits, from zero up to the rest
 */
public record LotCost(UnitPrice price, Mass invoiced, ExactMoney extras, ExactMoney claims) {

  /** Refuses negative amounts and claims above the cost. */
  public LotCost {
    Check.that(invoiced.isPositive(), "Expected an invoiced mass above 0 g, found ", invoiced);
    Check.that(!extras.isNegative(), "Expected extras from 0, found ", extras);
    Check.that(!claims.isNegative(), "Expected claims from 0, found ", claims);
    Check.that(
        claims.compareTo(price.times(invoiced).plus(extras)) <= 0,
        "Expected claims up to the cost of the lot, found ",
        claims);
  }

  /**
   * Returns the cost of a lot without extras or claims.
   *
   * @param price the price per mass
   * @param invoiced the mass on the invoice
   * @return the cost
   */
  public static LotCost of(UnitPrice price, Mass invoiced) {
    ExactMoney nothing = ExactMoney.zero(price.perKilogram().currency());
    return new LotCost(price, invoiced, nothing, nothing);
  }

  /**
   * Returns the whole cost.
   *
   * @return the exact amount, zero or more
   */
  public ExactMoney total() {
    return price.times(invoiced).plus(extras).minus(claims);
  }
}
