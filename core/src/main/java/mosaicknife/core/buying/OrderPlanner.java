package mosaicknife.core.buying;

import java.math.RoundingMode;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import mosaicknife.core.anatomy.Catalogue;
import mosaicknife.core.anatomy.Eating;
import mosaicknife.core.anatomy.PartKind;
import mosaicknife.core.anatomy.SizeGrade;
import mosaicknife.core.anatomy.Species;
import mosaicknife.core.anatomy.Species.Trait;
import mosaicknife.core.anatomy.Specification;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.breakdown.HouseNorms;
import mosaicknife.core.buying.Offer.Form;
import mosaicknife.core.check.Check;
import mosaicknife.core.cost.PlateCost;
import mosaicknife.core.finding.Finding;
import mosaicknife.core.plan.Choices;
import mosaicknife.core.plan.CutPlan;
import mosaicknife.core.plan.CutPlan.MainCut;
import mosaicknife.core.plan.CuttingOption;
import mosaicknife.core.plan.CuttingOptions;
import mosaicknife.core.portion.Serving;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Fraction;
import mosaicknife.core.quantity.Mass;

/**
 * Turns a wish and what is on offer into numbers of fish, their cost and their risk.
 *
 * <p>For each offer the smallest number of fish is taken with P(portions ≥ demand − on hand) at
 * least the service level. Distributions of the same fish, cut and portion are worked out once and
 * kept, so one planner serves a week of dishes.
 *
 * <p>A planner is used by one thread.
 */
public final class OrderPlanner {

  /** So many fish a starting norm counts as. */
  private static final int FISH_OF_THE_NORM = 6;

  /** One in ten lies below, by Student's distribution with as many degrees of freedom. */
  private static final double ONE_IN_TEN = 1.440;

  /** More fish than this is no order of a kitchen. */
  static final int MOST_FISH = 20_000;

  /** A fish of more portions than these is no fish for a dish. */
  private static final int MOST_OF_ONE = 4_000;

  /** Nobody lays more fish on a plate of fillets, and no kitchen has more minutes for one. */
  private static final double MOST_A_PLATE = 12;

  private static final double MOST_MINUTES_A_PLATE = 60;

  /** Points and weights of Gauss and Hermite. */
  private static final double[][] POINTS = {
    {-Math.sqrt(3), 1 / 6.0}, {0, 2 / 3.0}, {Math.sqrt(3), 1 / 6.0}
  };

  private final HouseNorms norms;
  private final Catalogue kinds;
  private final Map<Key, FishPortions> known = new HashMap<>();
  private final Map<Off, FishPortions> lean = new HashMap<>();
  private final Map<Key, CutPlan> plans = new HashMap<>();

  /**
   * Makes a planner.
   *
   * @param norms what the house believes
   * @param kinds where the kinds of parts are looked up
   */
  public OrderPlanner(HouseNorms norms, Catalogue kinds) {
    this.norms = Check.notNull(norms, "norms");
    this.kinds = Check.notNull(kinds, "kinds");
  }

  private record Off(Key key, double errors) {}

  private record Key(
      String species,
      State state,
      SizeGrade grade,
      Specification specification,
      Serving serving,
      Choices choices) {}

  /**
   * Works out what each offer comes to.
   *
   * @param wish the wish
   * @param offers what is on offer
   * @return the candidates that can keep the promise, the cheapest by served portion first
   */
  public List<Candidate> plan(Wish wish, List<Offer> offers) {
    return cheapest(considered(wish, offers));
  }

  /**
   * Returns what was not left out.
   *
   * @param considered offers that were looked at
   * @return the candidates, the cheapest by served portion first
   */
  public static List<Candidate> cheapest(List<Considered> considered) {
    return considered.stream()
        .flatMap(one -> one.candidate().stream())
        .sorted(Comparator.comparing(Candidate::costPerServed))
        .toList();
  }

  /** Why an offer is none for a dish. */
  public enum LeftOut {
    /** No number of fish a kitchen would buy is enough. */
    NEVER_ENOUGH,
    /** A fish is thousands of portions. */
    FAR_TOO_LARGE,
    /** More fish a plate than anybody lays on one: how many. */
    FISH_A_PLATE,
    /** More minutes of knife a plate than a kitchen has: how many. */
    MINUTES_A_PLATE
  }

  /**
   * An offer that was looked at.
   *
   * @param offer the offer
   * @param candidate what it comes to; empty if it is left out, or nothing is wanted
   * @param leftOut why it is left out; empty if it is not
   */
  public record Considered(Offer offer, Optional<Candidate> candidate, Optional<Finding> leftOut) {}

  /**
   * Looks at every offer.
   *
   * @param wish the wish
   * @param offers what is on offer
   * @return each with what it comes to, or why it is left out, in the order of the offers
   */
  public List<Considered> considered(Wish wish, List<Offer> offers) {
    return offers.stream().map(offer -> considered(wish, offer)).toList();
  }

  private Considered considered(Wish wish, Offer offer) {
    Counts needed = needed(wish);
    if (needed.most() == 0) {
      return new Considered(offer, Optional.empty(), Optional.empty());
    }
    if (offer.form() == Form.FILLET) {
      return new Considered(offer, Optional.of(ofFillet(wish, offer, needed)), Optional.empty());
    }
    if (offer.grade().to().wholeTimes(wish.serving().target()) > MOST_OF_ONE) {
      return leftOut(offer, Finding.of(LeftOut.FAR_TOO_LARGE));
    }
    Optional<Candidate> whole = ofWhole(wish, offer, needed);
    if (whole.isEmpty()) {
      return leftOut(offer, Finding.of(LeftOut.NEVER_ENOUGH));
    }
    double served = Math.max(1, whole.get().served());
    double pieces = whole.get().fish() / served;
    double minutes = whole.get().minutes() / served;
    if (!wish.isWhole() && pieces > MOST_A_PLATE) {
      return leftOut(offer, Finding.of(LeftOut.FISH_A_PLATE, Math.round(pieces)));
    }
    return minutes > MOST_MINUTES_A_PLATE
        ? leftOut(offer, Finding.of(LeftOut.MINUTES_A_PLATE, Math.round(minutes)))
        : new Considered(offer, whole, Optional.empty());
  }

  private static Considered leftOut(Offer offer, Finding why) {
    return new Considered(offer, Optional.empty(), Optional.of(why));
  }

  /**
   * Works out what one offer comes to.
   *
   * @param wish the wish
   * @param offer the offer
   * @return the candidate; empty if the offer is left out, or nothing is wanted
   */
  public Optional<Candidate> candidate(Wish wish, Offer offer) {
    return considered(wish, offer).candidate();
  }

  /** What is wanted beyond what is on hand. */
  private static Counts needed(Wish wish) {
    double[] needed = new double[Math.max(1, wish.demand().most() - wish.onHand() + 1)];
    for (int i = 0; i <= wish.demand().most(); i++) {
      needed[Math.max(0, i - wish.onHand())] += wish.demand().probability(i);
    }
    return Counts.of(needed);
  }

  private Optional<Candidate> ofWhole(Wish wish, Offer offer, Counts needed) {
    FishPortions portions = portions(wish, offer);
    int cap = needed.most();
    if (portions.mean() <= 0) {
      return Optional.empty();
    }
    OptionalInt fish =
        portions.fewest(total -> risk(total, needed) <= 1 - wish.serviceLevel(), cap, MOST_FISH);
    return fish.isEmpty()
        ? Optional.empty()
        : Optional.of(wholeCandidate(wish, offer, portions, fish.getAsInt(), needed));
  }

  private Candidate wholeCandidate(
      Wish wish, Offer offer, FishPortions portions, int fish, Counts needed) {
    Counts total = portions.of(fish, needed.most());
    Mass mass = offer.grade().middle().multipliedBy(fish);
    ExactMoney money = offer.price().times(mass);
    CutPlan plan = plan(wish, offer);
    double minutes = plan.minutes() * fish;
    ExactMoney labour = labour(wish, minutes);
    double served = total.expectedSmaller(needed);
    return new Candidate(
        offer,
        fish,
        mass,
        money,
        labour,
        minutes,
        served,
        plate(money, labour, served),
        plate(money, labour, Math.max(served, quantile(total, needed, 0.9))).total(),
        plate(money, labour, Math.min(served, quantile(total, needed, 0.1))).total(),
        risk(total, needed),
        riskInAll(wish, offer, fish, needed),
        risk(ifOff(wish, offer, ONE_IN_TEN).of(fish, needed.most()), needed),
        Math.max(0, fish * portions.mean() - served),
        portions.mean(),
        isForClearStock(offer.species())
            ? plan.massOf(PartKind.Trait.STOCK_BONES).multipliedBy(fish)
            : Mass.ZERO,
        otherByProducts(plan).multipliedBy(fish));
  }

  /** Fillet loses what any fish loses; its minutes are those of the cut plan of such a lot. */
  private Candidate ofFillet(Wish wish, Offer offer, Counts needed) {
    int portions = 0;
    while (needed.below(portions + 1) < wish.serviceLevel()) {
      portions++;
    }
    Mass mass =
        wish.serving()
            .target()
            .multipliedBy(portions)
            .multipliedBy(Fraction.ofEstimate(1 / (1 - norms.loss().mean())), RoundingMode.CEILING);
    ExactMoney money = offer.price().times(mass);
    double minutes = CutPlan.minutesToPortion(mass);
    ExactMoney labour = labour(wish, minutes);
    Counts total = Counts.exactly(portions);
    double served = total.expectedSmaller(needed);
    return new Candidate(
        offer,
        0,
        mass,
        money,
        labour,
        minutes,
        served,
        plate(money, labour, served),
        plate(money, labour, Math.max(served, quantile(total, needed, 0.9))).total(),
        plate(money, labour, Math.min(served, quantile(total, needed, 0.1))).total(),
        risk(total, needed),
        risk(total, needed),
        risk(total, needed),
        Math.max(0, portions - served),
        0,
        Mass.ZERO,
        Mass.ZERO);
  }

  private FishPortions portions(Wish wish, Offer offer) {
    return known.computeIfAbsent(
        key(wish, offer),
        k -> {
          CutPlan plan = wish.isWhole() ? cutPlan(wish, offer, false) : plan(wish, offer);
          return FishPortions.of(plan.mainCuts(), offer.grade(), wish.serving(), norms.sides());
        });
  }

  /**
   * The portions of a fish whose norm is off: one error that all fish of the order share. A norm of
   * so many fish is off by its spread over their root, and by that of Student's distribution of as
   * many degrees in one house of ten.
   */
  private FishPortions ifOff(Wish wish, Offer offer, double errors) {
    return lean.computeIfAbsent(
        new Off(key(wish, offer), errors),
        k -> {
          CutPlan plan = wish.isWhole() ? cutPlan(wish, offer, false) : plan(wish, offer);
          double off = errors / Math.sqrt(FISH_OF_THE_NORM);
          List<MainCut> mains =
              plan.mainCuts().stream()
                  .map(cut -> new MainCut(leaner(cut, off), cut.spread()))
                  .toList();
          return FishPortions.of(mains, offer.grade(), wish.serving(), norms.sides());
        });
  }

  /**
   * The mean over what a norm may be off by: three points that have the moments of a normal law.
   */
  private double riskInAll(Wish wish, Offer offer, int fish, Counts needed) {
    double risk = 0;
    for (double[] point : POINTS) {
      FishPortions one = point[0] == 0 ? portions(wish, offer) : ifOff(wish, offer, point[0]);
      risk += point[1] * risk(one.of(fish, needed.most()), needed);
    }
    return risk;
  }

  private static double leaner(MainCut cut, double off) {
    return Math.max(FishPortions.LEAST_OF_MEAN * cut.mean(), cut.mean() - off * cut.spread());
  }

  private static Key key(Wish wish, Offer offer) {
    return new Key(
        offer.species().code(),
        offer.state(),
        offer.grade(),
        wish.specification(),
        wish.serving(),
        wish.choices());
  }

  /** The plan of one fish of the middle of the grade, by the same options the cut plan knows. */
  private CutPlan plan(Wish wish, Offer offer) {
    return plans.computeIfAbsent(key(wish, offer), k -> cutPlan(wish, offer, wish.isWhole()));
  }

  private CutPlan cutPlan(Wish wish, Offer offer, boolean whole) {
    List<CuttingOption> options = CuttingOptions.of(offer.species(), offer.state());
    return CutPlan.of(
        new CutPlan.Fish(offer.species(), offer.state(), 1, offer.grade().middle(), norms),
        wish.choices().meeting(wish.specification(), whole, options),
        kinds);
  }

  /** Oily and farmed fish make poor stock. */
  static boolean isForClearStock(Species species) {
    return species.eating().flesh() != Eating.Flesh.OILY
        && !species.traits().contains(Trait.FARMED);
  }

  /** Bellies, collars and the like: what is neither a main cut, nor bones, nor waste. */
  private static Mass otherByProducts(CutPlan plan) {
    return Mass.total(
        plan.parts().stream()
            .filter(part -> !part.edible().isPositive())
            .filter(part -> !part.slot().kind().is(PartKind.Trait.STOCK_BONES))
            .filter(part -> !part.slot().kind().is(PartKind.Trait.WASTE))
            .map(CutPlan.Planned::mass)
            .toList());
  }

  /** The probability that the portions are fewer than what is needed. */
  static double risk(Counts total, Counts needed) {
    return needed.expected(total::below);
  }

  /** The portions served that are not passed with a probability. */
  private static double quantile(Counts total, Counts needed, double probability) {
    int cap = Math.max(total.most(), needed.most());
    for (int served = 0; served < cap; served++) {
      double more = (1 - total.below(served + 1)) * (1 - needed.below(served + 1));
      if (1 - more >= probability) {
        return Math.max(1, served);
      }
    }
    return Math.max(1, cap);
  }

  private static ExactMoney labour(Wish wish, double minutes) {
    return wish.labourPerHour().multipliedBy(Fraction.ofEstimate(minutes / 60));
  }

  private static PlateCost plate(ExactMoney money, ExactMoney labour, double portions) {
    return PlateCost.of(by(money, portions), by(labour, portions));
  }

  private static ExactMoney by(ExactMoney money, double portions) {
    return money.multipliedBy(
        Fraction.ONE.dividedBy(Fraction.ofEstimate(Math.max(portions, 1e-6))));
  }
}
