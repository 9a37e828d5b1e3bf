package mosaicknife.app.exchange;

import com.fasterxml.jackson.annotation.JsonInclude;
import java.math.BigDecimal;
import java.util.List;

/**
 * Fish beside each other at one plate, the cheapest first.
 *
 * @param contenders the fish
 */
record CompareAnswer(List<ContenderJson> contenders) {

  /**
   * A fish.
   *
   * @param name what it is called
   * @param plates the whole portions inside its cuts
   * @param plate what one costs with the work; absent without a whole one
   * @param yieldPercent how much of the purchase the cuts are
   * @param pointOfYield what one point more takes off a plate, by weight
   * @param against the cheapest of the others that makes a plate
   * @param lowestYieldPercent the yield from which it is as cheap as that; absent if none is enough
   * @param highestPrice the price up to which it is as cheap as that; absent if none is low enough
   */
  @JsonInclude(JsonInclude.Include.NON_NULL)
  record ContenderJson(
      String name,
      long plates,
      BigDecimal plate,
      BigDecimal yieldPercent,
      BigDecimal pointOfYield,
      String against,
      BigDecimal lowestYieldPercent,
      BigDecimal highestPrice) {}
}
