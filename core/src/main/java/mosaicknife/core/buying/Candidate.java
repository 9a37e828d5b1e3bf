package mosaicknife.core.buying;

import java.util.Optional;
import mosaicknife.core.cost.PlateCost;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Fraction;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.UnitPrice;

/**
 * What one offer comes to, all estimated from norms.
 *
 * @param offer the offer
 * @param fish how many fish to buy; 0 for fillet
 * @param mass the mass to buy
 * @param money what it costs
 * @param labour what the work costs
 * @param minutes how long the work takes
 * @param served the expected portions served out of what is bought
 * @param plate what a plate costs: fish and work by portion served
 * @param low the same plate when the fish turn out well: nine times in ten it is higher
 * @param high the same plate when they turn out badly: nine times in ten it is lower
 * @param risk the probability that somebody goes without, from 0 to 1, if the norm of this fish
 *     holds
 * @param riskInAll the same probability over all that the norm may be off by: the honest figure
 * @param riskIfLean the same probability if this fish is leaner than its norm, as one in ten
 *     starting norms turns out to be
 * @param surplus the expected portions too many
 * @param portionsPerFish the expected portions of one fish
 * @param bones the expected mass of frames and heads fit for a clear stock; zero if they are not
 * @param otherByProducts the expected mass of bellies, collars and the like
 */
public record Candidate(
    Offer offer,
    int fish,
    Mass mass,
    ExactMoney money,
    ExactMoney labour,
    double minutes,
    double served,
    PlateCost plate,
    ExactMoney low,
    ExactMoney high,
    double risk,
    double riskInAll,
    double riskIfLean,
    double surplus,
    double portionsPerFish,
    Mass bones,
    Mass otherByProducts) {

  /**
   * Returns the cost of a plate; the figure that ranks.
   *
   * @return all its lines together
   */
  public ExactMoney costPerServed() {
    return plate.total();
  }

  /**
   * Returns the price of whole fish at which this candidate is as dear by served portion as
   * another.
   *
   * @param other the other candidate, such as a bought fillet
   * @return the break-even price; empty if it pays at no price, for the labour alone costs more
   */
  public Optional<UnitPrice> breakEvenAgainst(Candidate other) {
    ExactMoney allowed = times(other.costPerServed(), served).minus(labour);
    return allowed.isPositive() ? Optional.of(allowed.per(mass)) : Optional.empty();
  }

  private static ExactMoney times(ExactMoney money, double factor) {
    return money.multipliedBy(Fraction.ofEstimate(factor));
  }
}
