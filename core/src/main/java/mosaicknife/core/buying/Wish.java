package mosaicknife.core.buying;

import mosaicknife.core.anatomy.Specification;
import mosaicknife.core.check.Check;
import mosaicknife.core.plan.Choices;
import mosaicknife.core.portion.Serving;
import mosaicknife.core.quantity.ExactMoney;

/**
 * What is to be bought for: one dish over one time.
 *
 * @param serving what counts as a portion
 * @param specification how far the cuts are worked
 * @param choices the house's answers to the cutting options; the dish's specification goes before
 * @param demand how probable each number of portions is
 * @param onHand portions that are there already, from 0
 * @param serviceLevel how certain it must be that nobody goes without, from 0.5 to 0.999
 * @param labourPerHour what an hour of work costs
 */
public record Wish(
    Serving serving,
    Specification specification,
    Choices choices,
    Counts demand,
    int onHand,
    double serviceLevel,
    ExactMoney labourPerHour) {

  /** Refuses numbers out of range. */
  public Wish {
    Check.notNull(serving, "serving");
    Check.notNull(specification, "specification");
    Check.notNull(choices, "choices");
    Check.notNull(demand, "demand");
    Check.inRange(onHand, 0, Demand.MOST, "portions on hand");
    Check.inRange(serviceLevel, 0.5, 0.999, "service level");
    Check.notNull(labourPerHour, "labour");
  }

  /**
   * Returns whether the fish is served whole.
   *
   * @return true if nothing is cut off for the plate
   */
  public boolean isWhole() {
    return serving.form().isWhole();
  }
}
