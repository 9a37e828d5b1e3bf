package mosaicknife.core.buying;

import java.math.RoundingMode;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import mosaicknife.core.anatomy.Eating;
import mosaicknife.core.anatomy.SizeGrade;
import mosaicknife.core.anatomy.Species;
import mosaicknife.core.anatomy.Species.Trait;
import mosaicknife.core.anatomy.Specification;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.breakdown.LossNorm;
import mosaicknife.core.breakdown.StartingNorms;
import mosaicknife.core.breakdown.StartingNorms.PartNorm;
import mosaicknife.core.buying.Candidate.Form;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Fraction;
import mosaicknife.core.quantity.Mass;

/**
 * Turns a wish and what is on offer into numbers of fish, their cost and their risk.
 *
 * <p>For each candidate the smallest number of fish is taken with P(portions ≥ demand − on hand) at
 * least the service level. Distributions of the same fish, cut and portion are worked out once and
 * kept, so one planner serves a week of dishes.
 *
 * <p>A planner is used by one thread.
 */
public final class OrderPlanner {

  /** More fish than this is no order of a kitchen. */
  static final int MOST_FISH = 20_000;

  /** Bought fillet loses this to drip and squaring; a starting estimate. */
  private static final double FILLET_LOSS = 0.03;

  /** Minutes to portion one piece of bought fillet; a starting estimate. */
  private static final double MINUTES_A_PORTION = 0.4;

  private static final Set<String> BONES = Set.of("frame", "head", "body");
  private static final Set<String> WASTE = Set.of("guts", "gills", "fins", "skin");

  private final Map<Key, FishPortions> known = new HashMap<>();

  private record Key(
      String species,
      State state,
      SizeGrade grade,
      Specification specification,
      boolean whole,
      PortionRule rule) {}

  /**
   * Works out what each candidate comes to.
   *
   * @param wish the wish
   * @param candidates what is on offer
   * @return the offers that can keep the promise, the cheapest by served portion first
   */
  public List<Offer> plan(Wish wish, List<Candidate> candidates) {
    return candidates.stream()
        .map(candidate -> offer(wish, candidate))
        .flatMap(Optional::stream)
        .sorted(Comparator.comparing(Offer::costPerServed))
        .toList();
  }

  /**
   * Works out what one candidate comes to.
   *
   * @param wish the wish
   * @param candidate the candidate
   * @return the offer; empty if no number of fish a kitchen would buy keeps the promise, or nothing
   *     is wanted
   */
  public Optional<Offer> offer(Wish wish, Candidate candidate) {
    Counts needed = needed(wish);
    if (needed.most() == 0) {
      return Optional.empty();
    }
    return candidate.form() == Form.FILLET
        ? Optional.of(ofFillet(wish, candidate, needed))
        : ofWhole(wish, candidate, needed);
  }

  /** What is wanted beyond what is on hand. */
  private static Counts needed(Wish wish) {
    double[] needed = new double[Math.max(1, wish.demand().most() - wish.onHand() + 1)];
    for (int i = 0; i <= wish.demand().most(); i++) {
      needed[Math.max(0, i - wish.onHand())] += wish.demand().probability(i);
    }
    return Counts.of(needed);
  }

  private Optional<Offer> ofWhole(Wish wish, Candidate candidate, Counts needed) {
    FishPortions portions = portions(wish, candidate);
    int cap = needed.most();
    if (portions.mean() <= 0) {
      return Optional.empty();
    }
    OptionalInt fish =
        portions.fewest(total -> risk(total, needed) <= 1 - wish.serviceLevel(), cap, MOST_FISH);
    return fish.isEmpty()
        ? Optional.empty()
        : Optional.of(wholeOffer(wish, candidate, portions, fish.getAsInt(), needed));
  }

  private Offer wholeOffer(
      Wish wish, Candidate candidate, FishPortions portions, int fish, Counts needed) {
    Counts total = portions.of(fish, needed.most());
    Mass mass = candidate.grade().middle().multipliedBy(fish);
    ExactMoney money = candidate.price().times(mass);
    double minutes = candidate.species().plan().work().minutes(candidate.grade().middle()) * fish;
    ExactMoney labour = labour(wish, minutes);
    double served = total.expectedSmaller(needed);
    StartingNorms norms = norms(candidate, wish.specification());
    return new Offer(
        candidate,
        fish,
        mass,
        money,
        labour,
        minutes,
        served,
        by(money.plus(labour), served),
        by(money.plus(labour), Math.max(served, quantile(total, needed, 0.9))),
        by(money.plus(labour), Math.min(served, quantile(total, needed, 0.1))),
        risk(total, needed),
        Math.max(0, fish * portions.mean() - served),
        portions.mean(),
        isForClearStock(candidate.species()) ? part(mass, norms, BONES, true) : Mass.ZERO,
        part(mass, norms, union(), false));
  }

  private static Offer ofFillet(Wish wish, Candidate candidate, Counts needed) {
    int portions = 0;
    while (needed.below(portions + 1) < wish.serviceLevel()) {
      portions++;
    }
    Mass mass =
        wish.rule()
            .target()
            .multipliedBy(portions)
            .multipliedBy(fraction(1 / (1 - FILLET_LOSS)), RoundingMode.CEILING);
    ExactMoney money = candidate.price().times(mass);
    double minutes = portions * MINUTES_A_PORTION;
    ExactMoney labour = labour(wish, minutes);
    Counts total = Counts.exactly(portions);
    double served = total.expectedSmaller(needed);
    ExactMoney each = by(money.plus(labour), served);
    return new Offer(
        candidate,
        0,
        mass,
        money,
        labour,
        minutes,
        served,
        each,
        by(money.plus(labour), Math.max(served, quantile(total, needed, 0.9))),
        by(money.plus(labour), Math.min(served, quantile(total, needed, 0.1))),
        risk(total, needed),
        Math.max(0, portions - served),
        0,
        Mass.ZERO,
        Mass.ZERO);
  }

  private FishPortions portions(Wish wish, Candidate candidate) {
    Key key =
        new Key(
            candidate.species().code(),
            candidate.state(),
            candidate.grade(),
            wish.specification(),
            wish.whole(),
            wish.rule());
    return known.computeIfAbsent(
        key,
        k -> {
          StartingNorms norms = norms(candidate, wish.specification());
          return wish.whole()
              ? FishPortions.ofWhole(norms, candidate.grade(), wish.rule())
              : FishPortions.ofCuts(norms, candidate.grade(), wish.rule());
        });
  }

  private static StartingNorms norms(Candidate candidate, Specification specification) {
    return StartingNorms.of(
        candidate.species(), candidate.state(), specification, LossNorm.STARTING);
  }

  /** Oily and farmed fish make poor stock. */
  static boolean isForClearStock(Species species) {
    return species.eating().flesh() != Eating.Flesh.OILY
        && !species.traits().contains(Trait.FARMED);
  }

  private static Set<String> union() {
    return Stream.concat(BONES.stream(), WASTE.stream()).collect(Collectors.toUnmodifiableSet());
  }

  private static Mass part(Mass mass, StartingNorms norms, Set<String> kinds, boolean among) {
    double share =
        norms.parts().stream()
            .filter(part -> !part.main() && kinds.contains(part.kind()) == among)
            .mapToDouble(PartNorm::mean)
            .sum();
    return mass.multipliedBy(fraction(share), RoundingMode.HALF_EVEN);
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
    return wish.labourPerHour().multipliedBy(fraction(minutes / 60));
  }

  private static ExactMoney by(ExactMoney money, double portions) {
    return money.multipliedBy(Fraction.ONE.dividedBy(fraction(Math.max(portions, 1e-6))));
  }

  /** An estimate as a fraction of six decimals, finer than any norm is known. */
  static Fraction fraction(double value) {
    return Fraction.of(Math.round(value * 1_000_000), 1_000_000);
  }
}
