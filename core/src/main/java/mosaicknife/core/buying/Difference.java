package mosaicknife.core.buying;

/**
 * In what a cheap offer clearly differs from a dear one; less than three hundredths is no reason.
 *
 * @param price whether its price per mass is lower
 * @param yield whether it gives more portions from the same mass
 * @param work whether it takes less labour by portion
 * @param surplus whether clearly fewer portions come too many
 */
public record Difference(boolean price, boolean yield, boolean work, boolean surplus) {

  private static final double CLEARLY = 1.03;

  /**
   * Compares two offers.
   *
   * @param cheap the one that is cheaper by served portion
   * @param dear the other one
   * @return in what the first is better
   */
  public static Difference between(Offer cheap, Offer dear) {
    return new Difference(
        price(cheap) * CLEARLY < price(dear),
        portionsByMass(cheap) > portionsByMass(dear) * CLEARLY,
        labourByPortion(cheap) * CLEARLY < labourByPortion(dear),
        cheap.surplus() + 1 < dear.surplus());
  }

  private static double price(Offer offer) {
    return offer.candidate().price().perKilogram().amount().doubleValue();
  }

  private static double portionsByMass(Offer offer) {
    return offer.served() / offer.mass().milligrams();
  }

  private static double labourByPortion(Offer offer) {
    return offer.labour().amount().doubleValue() / offer.served();
  }
}
