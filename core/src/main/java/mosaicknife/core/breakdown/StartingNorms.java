package mosaicknife.core.breakdown;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import mosaicknife.core.anatomy.Eating;
import mosaicknife.core.anatomy.PartClass;
import mosaicknife.core.anatomy.Purpose;
import mosaicknife.core.anatomy.Share;
import mosaicknife.core.anatomy.Species;
import mosaicknife.core.anatomy.Specification;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.check.Check;

/**
 * What one purchased kilogram of a fish is expected to become, by the state it is bought in and the
 * specification it is cut to. Starting estimates, until the house's own fish replace them.
 *
 * @param parts the parts in cutting order; what comes off a main cut stands after it
 * @param loss the expected loss
 */
public record StartingNorms(List<PartNorm> parts, LossNorm loss) {

  /** Copies the parts. */
  public StartingNorms {
    parts = List.copyOf(Check.notEmpty(parts, "parts"));
    Check.notNull(loss, "loss");
  }

  /**
   * One part.
   *
   * @param slot the code of the part in the body plan
   * @param kind the code of the part kind; differs from the slot's for what comes off a main cut
   * @param name the name on screen
   * @param main whether it goes on the plate as a main cut
   * @param mean the expected fraction of the purchased mass, from 0 to 1
   * @param spread the standard deviation of the fraction between fish
   */
  public record PartNorm(
      String slot, String kind, String name, boolean main, double mean, double spread) {}

  /**
   * Makes the norms of a species.
   *
   * @param species the species
   * @param state the state it is bought in
   * @param specification how far its main cuts are worked
   * @param loss the expected loss
   * @return the norms; fractions and loss add up to 1
   */
  public static StartingNorms of(
      Species species, State state, Specification specification, LossNorm loss) {
    List<Share> shares = species.sharesIn(state);
    double whole = shares.stream().mapToDouble(Share::mean).sum();
    double net = 1 - loss.mean();
    List<PartNorm> parts = new ArrayList<>();
    for (Share share : shares) {
      add(parts, share, net / whole, species.eating(), specification);
    }
    return new StartingNorms(parts, loss);
  }

  private static void add(
      List<PartNorm> parts, Share share, double scale, Eating eating, Specification to) {
    double mean = share.mean() * scale;
    double spread = share.spread() * scale;
    String slot = share.slot().code();
    String kind = share.slot().kind().code();
    boolean main =
        share.slot().usual() == Purpose.PLATE && share.slot().kind().nature() == PartClass.FLESH;
    double kept = main ? to.kept(eating) : 1;
    parts.add(new PartNorm(slot, kind, share.slot().name(), main, mean * kept, spread * kept));
    if (main) {
      String of = " of " + share.slot().name().toLowerCase(Locale.ROOT);
      comesOff(parts, slot, "skin", "Skin" + of, mean, spread, to.skin(eating));
      comesOff(
          parts,
          slot,
          "pin-bone-strip",
          "Pin-bone strip" + of,
          mean,
          spread,
          to.pinBoneStrip(eating));
      comesOff(parts, slot, "trim", "Trim" + of, mean, spread, to.trim());
    }
  }

  private static void comesOff(
      List<PartNorm> parts,
      String slot,
      String kind,
      String name,
      double mean,
      double spread,
      double fraction) {
    if (fraction > 0) {
      parts.add(new PartNorm(slot, kind, name, false, mean * fraction, spread * fraction));
    }
  }

  /**
   * Returns the yield: the main cuts together.
   *
   * @return their fraction of the purchased mass
   */
  public double mains() {
    return parts.stream().filter(PartNorm::main).mapToDouble(PartNorm::mean).sum();
  }
}
