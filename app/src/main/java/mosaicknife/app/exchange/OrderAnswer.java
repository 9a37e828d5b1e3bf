package mosaicknife.app.exchange;

import java.math.BigDecimal;
import java.util.List;

/**
 * What each offer comes to, the cheapest plate first; those that cannot keep the promise are left
 * out. All by the norms.
 *
 * @param candidates the offers
 * @param leftOut offers that are none for it
 */
record OrderAnswer(List<CandidateJson> candidates, List<LeftOutJson> leftOut) {

  /**
   * An offer that is left out.
   *
   * @param offer its place in the request, from 0
   * @param why the reason
   */
  record LeftOutJson(int offer, String why) {}

  /**
   * An offer.
   *
   * @param offer its place in the request, from 0
   * @param species the code of the species
   * @param fish how many to buy; 0 of fillet
   * @param grams the mass to buy
   * @param money what it costs
   * @param minutes the work
   * @param plate what a plate costs, fish and work by portion served
   * @param riskPercent how probable it is that somebody goes without, over all the norm may be off
   *     by
   * @param riskIfLeanPercent the same if this fish is leaner than its norm
   * @param surplus the expected portions too many
   * @param portionsPerFish the expected portions of one fish
   */
  record CandidateJson(
      int offer,
      String species,
      int fish,
      BigDecimal grams,
      BigDecimal money,
      BigDecimal minutes,
      BigDecimal plate,
      BigDecimal riskPercent,
      BigDecimal riskIfLeanPercent,
      BigDecimal surplus,
      BigDecimal portionsPerFish) {}
}
