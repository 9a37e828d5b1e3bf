package mosaicknife.app.exchange;

import java.math.BigDecimal;
import java.util.List;

/**
 * Fish to compare at one plate. Masses and prices are texts with units, amounts major units.
 *
 * @param portionTarget what a portion weighs
 * @param tolerancePercent how much lighter it may be, 0 to 30; 0 if left out
 * @param currency the code of a currency; EUR if left out
 * @param contenders the fish
 */
record CompareRequest(
    String portionTarget,
    BigDecimal tolerancePercent,
    String currency,
    List<ContenderRequest> contenders) {

  /**
   * A fish.
   *
   * @param name what it is called; its number if left out
   * @param purchased the mass as purchased
   * @param price its price
   * @param cuts what each main cut weighs; each is portioned by itself
   * @param labour the work at the board; 0 if left out
   * @param credit what other parts take off; 0 if left out
   */
  record ContenderRequest(
      String name,
      String purchased,
      String price,
      List<String> cuts,
      BigDecimal labour,
      BigDecimal credit) {}
}
