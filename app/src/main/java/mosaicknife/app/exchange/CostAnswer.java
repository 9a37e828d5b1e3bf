package mosaicknife.app.exchange;

import com.fasterxml.jackson.annotation.JsonInclude;
import java.math.BigDecimal;
import java.util.List;

/**
 * A breakdown costed by every method, and its ladder in the one that was asked. Unit costs keep six
 * decimals.
 *
 * @param methods each method that can be told
 * @param ladder from the purchase to the menu
 */
record CostAnswer(List<EvaluationAnswer.CostJson> methods, List<RungJson> ladder) {

  /**
   * A rung.
   *
   * @param step its name
   * @param grams what is left
   * @param money what stands on it
   * @param perPortion the same for a portion
   * @param perKilogram the same for a kilogram of what is left
   */
  @JsonInclude(JsonInclude.Include.NON_NULL)
  record RungJson(
      String step,
      BigDecimal grams,
      BigDecimal money,
      BigDecimal perPortion,
      BigDecimal perKilogram) {}
}
