package mosaicknife.core.craft;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import mosaicknife.core.breakdown.Likeness;
import mosaicknife.core.check.Check;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.UnitPrice;
import org.apache.commons.statistics.distribution.NormalDistribution;

/**
 * What a second pair of eyes would say of one fish while it lies on the board: a main cut outside
 * the band of its norm, one side lighter than the other, meat on the frame worth a spoon.
 *
 * <p>All bands come from norms between fish, which are starting estimates. Two sides of one fish
 * differ less than two fish: their difference has the standard deviation spread·√(2(1−ρ)).
 */
public final class SecondOpinion {

  /** Outside 95 % of fish. */
  private static final double BAND = 1.96;

  /** The meat that usually stays on a frame, as a fraction of it; a starting estimate. */
  private static final double USUAL_MEAT = 0.12;

  /** How much that differs from frame to frame. */
  private static final double MEAT_SPREAD = 0.10;

  /** How much of what the mains lack is found on the frame; the rest is the fish. */
  private static final double OF_SHORTFALL = 0.5;

  /** Less is not worth fetching a spoon. */
  private static final double WORTH_A_SPOON_GRAMS = 60;

  private static final double SURE = 0.8;

  private SecondOpinion() {}

  /**
   * A part that was weighed.
   *
   * @param name its name on screen
   * @param role what it is to this question
   * @param mass what it weighs
   * @param expected what the norm expects
   * @param spread the standard deviation of that between fish, positive
   */
  public record Seen(String name, PartRole role, Mass mass, Mass expected, Mass spread) {

    /** Refuses a norm without spread. */
    public Seen {
      Check.text(name, "name");
      Check.notNull(role, "role");
      Check.that(spread.isPositive(), "Expected a spread above 0 g, found ", spread);
    }

    private double deviation() {
      return grams(mass.minus(expected)) / grams(spread);
    }
  }

  /** What a part is to the second opinion. */
  public enum PartRole {
    /** A main cut. */
    MAIN,
    /** A frame that can be scraped. */
    FRAME,
    /** Anything else. */
    OTHER
  }

  /** What a remark is about. */
  public enum About {
    /** A main cut is lighter than the band of its norm. */
    LIGHT,
    /** A main cut is heavier than the band: bone or skin may be on it. */
    HEAVY,
    /** One side is lighter than its twin. */
    UNEVEN,
    /** Meat is left on the frame. */
    FRAME
  }

  /**
   * A remark.
   *
   * @param about what it is about
   * @param part the part
   * @param other the twin, for sides that differ; else empty
   * @param gap what is missing, too much, or still on the frame; positive
   * @param low the lower end of the band, or of what is on the frame
   * @param high the upper end
   * @param portions the whole portions in the gap
   * @param worth what the gap is worth, if a price was given
   * @param sure how sure it is that the hand and not chance did it, from 0 to 1
   */
  public record Remark(
      About about,
      String part,
      Optional<String> other,
      Mass gap,
      Mass low,
      Mass high,
      long portions,
      Optional<ExactMoney> worth,
      double sure) {}

  /**
   * Looks at one fish.
   *
   * @param parts its weighed parts; twins follow each other by their role and equal norms
   * @param portion the mass of one portion, positive
   * @param worth what a kilogram of main cut is worth, if it is known
   * @param sides how alike two sides are
   * @return the remarks, what is worth most first
   */
  public static List<Remark> of(
      List<Seen> parts, Mass portion, Optional<UnitPrice> worth, Likeness sides) {
    Check.that(portion.isPositive(), "Expected a portion above 0 g, found ", portion);
    List<Seen> mains = parts.stream().filter(part -> part.role() == PartRole.MAIN).toList();
    List<Remark> remarks = new ArrayList<>();
    for (Seen main : mains) {
      band(main, portion, worth).ifPresent(remarks::add);
    }
    for (int i = 0; i < mains.size(); i++) {
      for (int k = i + 1; k < mains.size(); k++) {
        if (mains.get(i).expected().equals(mains.get(k).expected())) {
          twins(mains.get(i), mains.get(k), portion, worth, sides).ifPresent(remarks::add);
        }
      }
    }
    parts.stream()
        .filter(part -> part.role() == PartRole.FRAME)
        .forEach(frame -> frame(frame, mains, portion, worth).ifPresent(remarks::add));
    remarks.sort(Comparator.comparing(Remark::gap).reversed());
    return List.copyOf(remarks);
  }

  private static Optional<Remark> band(Seen main, Mass portion, Optional<UnitPrice> worth) {
    double z = main.deviation();
    if (Math.abs(z) <= BAND) {
      return Optional.empty();
    }
    Mass half = mass(BAND * grams(main.spread()));
    double sure = NormalDistribution.of(0, 1).probability(-Math.abs(z), Math.abs(z));
    return Optional.of(
        remark(
            z < 0 ? About.LIGHT : About.HEAVY,
            main.name(),
            Optional.empty(),
            main.mass().minus(main.expected()).abs(),
            main.expected().minus(half),
            main.expected().plus(half),
            portion,
            worth,
            sure));
  }

  private static Optional<Remark> twins(
      Seen one, Seen two, Mass portion, Optional<UnitPrice> worth, Likeness sides) {
    double spread = Math.hypot(grams(one.spread()), grams(two.spread())) * sides.own();
    Mass gap = one.mass().minus(two.mass());
    double z = Math.abs(grams(gap)) / spread;
    if (z <= BAND) {
      return Optional.empty();
    }
    Seen lighter = gap.isNegative() ? one : two;
    Seen heavier = gap.isNegative() ? two : one;
    return Optional.of(
        remark(
            About.UNEVEN,
            lighter.name(),
            Optional.of(heavier.name()),
            gap.abs(),
            Mass.ZERO,
            mass(BAND * spread),
            portion,
            worth,
            NormalDistribution.of(0, 1).probability(-z, z)));
  }

  /**
   * Two normal views of the meat on a frame, combined by their precisions: what usually stays on
   * one, more if the mains lack some; and what the frame weighs above its bones.
   */
  private static Optional<Remark> frame(
      Seen frame, List<Seen> mains, Mass portion, Optional<UnitPrice> worth) {
    double expected = grams(frame.expected());
    double lack =
        Math.max(0, mains.stream().mapToDouble(m -> grams(m.expected().minus(m.mass()))).sum());
    double usual = USUAL_MEAT * expected + OF_SHORTFALL * lack;
    double usualSpread = MEAT_SPREAD * expected + OF_SHORTFALL * lack / 2;
    double bones = (1 - USUAL_MEAT) * expected;
    double bonesSpread = (1 - USUAL_MEAT) * grams(frame.spread());
    double a = 1 / (usualSpread * usualSpread);
    double b = 1 / (bonesSpread * bonesSpread);
    double meat = (a * usual + b * (grams(frame.mass()) - bones)) / (a + b);
    double spread = Math.sqrt(1 / (a + b));
    double sure = NormalDistribution.of(meat, spread).survivalProbability(WORTH_A_SPOON_GRAMS);
    // what always stays is no news: it must be clearly more than usual
    boolean news = meat > USUAL_MEAT * expected + spread / 2;
    if (sure < SURE || !news) {
      return Optional.empty();
    }
    return Optional.of(
        remark(
            About.FRAME,
            frame.name(),
            Optional.empty(),
            mass(meat),
            mass(Math.max(0, meat - BAND * spread)),
            mass(meat + BAND * spread),
            portion,
            worth,
            sure));
  }

  private static Remark remark(
      About about,
      String part,
      Optional<String> other,
      Mass gap,
      Mass low,
      Mass high,
      Mass portion,
      Optional<UnitPrice> worth,
      double sure) {
    return new Remark(
        about,
        part,
        other,
        gap,
        low,
        high,
        gap.wholeTimes(portion),
        worth.map(price -> price.times(gap)),
        sure);
  }

  private static double grams(Mass mass) {
    return mass.milligrams() / 1000.0;
  }

  private static Mass mass(double grams) {
    return Mass.ofMilligrams(Math.round(grams * 1000));
  }
}
