package mosaicknife.app.exchange;

import com.fasterxml.jackson.annotation.JsonInclude;
import java.math.BigDecimal;
import java.util.List;
import mosaicknife.core.anatomy.Purpose;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.breakdown.Knowledge;

/**
 * What came of evaluating a breakdown. Masses are grams, money is major units, fractions are
 * percent with four decimals, unit costs keep six.
 *
 * @param understood the request as it was read
 * @param balance whether it adds up
 * @param yields the yield of the main cuts on each basis
 * @param usableYieldPercent main dish and second plate over the purchased mass
 * @param keptPercent pot and hold over the purchased mass
 * @param discardedPercent compost and bin over the purchased mass
 * @param cost the costs; absent while no part is for the plate, or the parts weigh more than the
 *     fish: no yield can be told of that
 */
@JsonInclude(JsonInclude.Include.NON_NULL)
record EvaluationAnswer(
    UnderstoodJson understood,
    BalanceJson balance,
    List<YieldJson> yields,
    BigDecimal usableYieldPercent,
    BigDecimal keptPercent,
    BigDecimal discardedPercent,
    CostJson cost) {

  /** What was understood of the texts: masses in grams, the price by kilogram. */
  record UnderstoodJson(
      BigDecimal purchasedGrams,
      int fish,
      BigDecimal pricePerKilogram,
      String currency,
      BigDecimal portionGrams,
      String method,
      List<UnderstoodPart> parts) {}

  /** A part as it was read. */
  @JsonInclude(JsonInclude.Include.NON_NULL)
  record UnderstoodPart(
      String id,
      String kind,
      BigDecimal grams,
      int pieces,
      Purpose purpose,
      BigDecimal valuePerKilogram) {}

  /** The balance. */
  record BalanceJson(
      BigDecimal purchasedGrams,
      BigDecimal talliedGrams,
      BigDecimal remainderGrams,
      BigDecimal remainderPercent,
      BigDecimal expectedLossGrams,
      String verdict) {}

  /** A yield on one basis, and how the basis is known. */
  record YieldJson(
      State basis, BigDecimal basisGrams, Knowledge knowledge, BigDecimal mainsPercent) {}

  /** The costs in the chosen method. */
  @JsonInclude(JsonInclude.Include.NON_NULL)
  record CostJson(
      String method,
      String currency,
      BigDecimal lotCost,
      BigDecimal credit,
      BigDecimal creditBeyondLot,
      BigDecimal onMains,
      BigDecimal ediblePricePerKilogram,
      BigDecimal costFactor,
      long portions,
      boolean portionsEstimated,
      BigDecimal overGrams,
      BigDecimal portionByWeight,
      BigDecimal portionByCount,
      List<PartCostJson> parts) {}

  /** What one part carries, rounded so that all parts add up to the lot. */
  record PartCostJson(String part, BigDecimal carries) {}
}
