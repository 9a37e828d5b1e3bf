package mosaicknife.app.exchange;

import java.math.BigDecimal;
import java.util.List;

/**
 * What is to be bought for, and what is on offer. Masses and prices are texts with units.
 *
 * @param portionTarget what a portion weighs
 * @param tolerancePercent how much lighter it may be, 0 to 30; 0 if left out
 * @param specification SKIN_ON, SKIN_ON_BONELESS, SKINLESS or BLOCKS; skin on if left out
 * @param portions how many are expected, 0 to 5000
 * @param forecastError how far that is usually off, as a standard deviation; 0 if left out
 * @param onHand portions that are there already; 0 if left out
 * @param servicePercent how certain it must be that nobody goes without, 50 to 99.9; 95 if left out
 * @param labourPerHour what an hour of work costs, in major units; 0 if left out
 * @param currency the code of a currency; EUR if left out
 * @param offers what is on offer
 */
record OrderRequest(
    String portionTarget,
    BigDecimal tolerancePercent,
    String specification,
    Integer portions,
    BigDecimal forecastError,
    Integer onHand,
    BigDecimal servicePercent,
    BigDecimal labourPerHour,
    String currency,
    List<OfferRequest> offers) {

  /**
   * An offer.
   *
   * @param species the code of the species
   * @param form WHOLE or FILLET; whole if left out
   * @param state the state; gutted if left out
   * @param from the lightest fish of the size
   * @param to the heaviest
   * @param price its price
   * @param supplier who asks it; may be left out
   */
  record OfferRequest(
      String species,
      String form,
      String state,
      String from,
      String to,
      String price,
      String supplier) {}
}
