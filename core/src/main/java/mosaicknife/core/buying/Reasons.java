package mosaicknife.core.buying;

/**
 * In what a cheap candidate clearly differs from a dear one; less than three hundredths is no
 * reason.
 *
 * @param price whether its price per mass is lower
 * @param yield whether it gives more portions from the same mass
 * @param work whether it takes less labour by portion
 * @param surplus whether clearly fewer portions come too many
 */
public record Reasons(boolean price, boolean yield, boolean work, boolean surplus) {

  private static final double CLEARLY = 1.03;

  /**
   * Compares two candidates.
   *
   * @param cheap the one that is cheaper by served portion
   * @param dear the other one
   * @return in what the first is better
   */
  public static Reasons between(Candidate cheap, Candidate dear) {
    return new Reasons(
        price(cheap) * CLEARLY < price(dear),
        portionsByMass(cheap) > portionsByMass(dear) * CLEARLY,
        labourByPortion(cheap) * CLEARLY < labourByPortion(dear),
        cheap.surplus() + 1 < dear.surplus());
  }

  private static double price(Candidate candidate) {
    return candidate.offer().price().perKilogram().amount().doubleValue();
  }

  private static double portionsByMass(Candidate candidate) {
    return candidate.served() / candidate.mass().milligrams();
  }

  private static double labourByPortion(Candidate candidate) {
    return candidate.labour().amount().doubleValue() / candidate.served();
  }
}
