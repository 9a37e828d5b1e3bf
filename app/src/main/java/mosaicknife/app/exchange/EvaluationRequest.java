package mosaicknife.app.exchange;

import java.util.List;
import mosaicknife.core.anatomy.Purpose;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.cost.CostingMethod;

/**
 * A breakdown to evaluate. Masses and prices are texts with units.
 *
 * @param state the state the fish was bought in
 * @param purchased the mass as purchased, such as {@code 4.860 kg}
 * @param fish how many fish; 1 if left out. The mass of a part without pieces covers all of them
 * @param species the code of the species, whose norm converts between states; may be left out
 * @param price the price, such as {@code 11.40/kg}
 * @param currency the code of a currency with minor units or without, no metal; EUR if left out
 * @param portionTarget the mass of one portion, such as {@code 180 g}
 * @param method the costing method; all on the mains if left out
 * @param parts the parts
 */
record EvaluationRequest(
    State state,
    String purchased,
    Integer fish,
    String species,
    String price,
    String currency,
    String portionTarget,
    CostingMethod method,
    List<PartRequest> parts) {

  /**
   * A part.
   *
   * @param id an identifier; the kind if left out
   * @param kind the code of the part kind, such as {@code fillet}
   * @param mass its mass
   * @param purpose what it is for; open if left out
   * @param pieces how many pieces the mass covers; one of each fish if left out
   * @param value what it is worth, such as {@code 1.80/kg}; nothing if left out
   */
  record PartRequest(
      String id, String kind, String mass, Purpose purpose, Integer pieces, String value) {}
}
