package mosaicknife.core.practice;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.random.RandomGenerator;
import mosaicknife.core.anatomy.Share;
import mosaicknife.core.anatomy.Species;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.breakdown.HouseNorms;
import mosaicknife.core.check.Check;
import mosaicknife.core.quantity.Mass;

/**
 * Makes fish with true part masses from the same norms the rest of the product uses.
 *
 * <p>Each part's share is drawn from a normal distribution with the norm's mean and spread, not
 * below a fifth of the mean; the shares are then scaled so that the parts and a drawn loss are
 * exactly the whole. The same seed gives the same fish.
 */
public final class FishSimulator {

  private static final double LEAST_OF_MEAN = 0.2;

  private FishSimulator() {}

  /**
   * Draws the parts of one fish.
   *
   * @param species the species
   * @param state the state it was bought in
   * @param purchased the mass of the fish, positive
   * @param norms what the house believes of loss and sides
   * @param random where chance comes from
   * @return the true mass of every part by slot code, in cutting order; with the loss they are the
   *     mass of the fish
   */
  public static Map<String, Mass> draw(
      Species species, State state, Mass purchased, HouseNorms norms, RandomGenerator random) {
    Check.that(purchased.isPositive(), "Expected a fish above 0 g, found ", purchased);
    double lossShare = atLeast(norms.loss().mean(), norms.loss().spread() * random.nextGaussian());
    List<Share> shares = species.sharesIn(state);
    List<Double> drawn = new ArrayList<>();
    Map<String, Double> common = new HashMap<>();
    for (Share share : shares) {
      double ofKind =
          common.computeIfAbsent(share.slot().kind().code(), kind -> random.nextGaussian());
      double deviation =
          norms.sides().shared() * ofKind + norms.sides().own() * random.nextGaussian();
      drawn.add(atLeast(share.mean(), share.spread() * deviation));
    }
    double sum = drawn.stream().mapToDouble(Double::doubleValue).sum();
    double net = purchased.milligrams() * (1 - lossShare);
    Map<String, Mass> parts = new LinkedHashMap<>();
    for (int i = 0; i < shares.size(); i++) {
      long milligrams = (long) (net * drawn.get(i) / sum);
      parts.put(shares.get(i).slot().code(), Mass.ofMilligrams(milligrams));
    }
    return parts;
  }

  private static double atLeast(double mean, double deviation) {
    return Math.max(LEAST_OF_MEAN * mean, mean + deviation);
  }
}
