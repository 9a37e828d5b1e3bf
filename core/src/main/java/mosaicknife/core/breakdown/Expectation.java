package mosaicknife.core.breakdown;

import java.math.RoundingMode;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mosaicknife.core.anatomy.PartSlot;
import mosaicknife.core.anatomy.Share;
import mosaicknife.core.anatomy.Species;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.check.Check;
import mosaicknife.core.quantity.Fraction;
import mosaicknife.core.quantity.Mass;

/**
 * What each part of a fish should weigh by the norm, before it is weighed.
 *
 * <p>The expected masses and the expected loss add up to the mass as purchased, to the milligram up
 * to rounding of each part. Every figure is an estimate.
 */
public final class Expectation {

  private final Map<String, Expected> bySlot;

  private Expectation(Map<String, Expected> bySlot) {
    this.bySlot = bySlot;
  }

  /**
   * One expected part.
   *
   * @param slot the part
   * @param mass the expected mass
   * @param spread the standard deviation of the mass between fish
   */
  public record Expected(PartSlot slot, Mass mass, Mass spread) {}

  /**
   * Works out the expected parts of a fish.
   *
   * @param species the species with its shares of the ungutted fish
   * @param state the state it was bought in
   * @param purchased the mass as purchased, positive
   * @param loss the loss norm
   * @return the expectation
   */
  public static Expectation of(Species species, State state, Mass purchased, LossNorm loss) {
    Check.that(purchased.isPositive(), "Expected a purchased mass above 0 g, found ", purchased);
    Mass net = purchased.minus(loss.expected(purchased));
    List<Share> shares = species.sharesIn(state);
    double whole = shares.stream().mapToDouble(Share::mean).sum();
    Map<String, Expected> bySlot = new LinkedHashMap<>();
    for (Share share : shares) {
      Mass mass = part(net, share.mean() / whole);
      Mass spread = part(net, share.spread() / whole);
      bySlot.put(share.slot().code(), new Expected(share.slot(), mass, spread));
    }
    return new Expectation(bySlot);
  }

  private static Mass part(Mass net, double share) {
    return net.multipliedBy(Fraction.ofEstimate(share), RoundingMode.HALF_EVEN);
  }

  /**
   * Returns the expected parts in cutting order.
   *
   * @return the parts
   */
  public List<Expected> parts() {
    return List.copyOf(bySlot.values());
  }

  /**
   * Finds what a part should weigh.
   *
   * @param slot the code of the part's slot
   * @return the expected part, or empty if the fish in this state has no such part
   */
  public Optional<Expected> find(String slot) {
    return Optional.ofNullable(bySlot.get(slot));
  }
}
