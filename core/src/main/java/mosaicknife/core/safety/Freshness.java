package mosaicknife.core.safety;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import mosaicknife.core.anatomy.Species;
import mosaicknife.core.anatomy.Species.Trait;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.check.Check;
import mosaicknife.core.finding.Finding;
import mosaicknife.core.quantity.Temperature;

/**
 * What an inspection says about a lot.
 *
 * @param demerits the weighted demerits as a fraction of the most there could be, from 0 (perfect)
 *     to 1
 * @param daysLeft estimated days left at the temperature it came with, linear in the demerits; from
 *     0, empty where it was not measured
 * @param proposal what it may become; the person decides
 * @param reasons why; never empty
 */
public record Freshness(
    double demerits, OptionalDouble daysLeft, Fitness proposal, List<Finding> reasons) {

  /** Why a lot is judged as it is. */
  public enum Reason {
    /** The weighted demerits: percent of all possible, group of fish. */
    DEMERITS,
    /** One sign decides by itself: the sign, its look. */
    DECIDES_ALONE,
    /** One sign is bad: the sign, its look. */
    SIGN,
    /** It came without a measured temperature. */
    NOT_MEASURED,
    /** A histamine fish came too warm: temperature, limit. */
    HISTAMINE,
    /** A histamine fish stood warm too long in all: minutes, limit. */
    HISTAMINE_TIME,
    /** Too warm for raw: temperature. */
    WARM
  }

  /** Copies the reasons. */
  public Freshness {
    Check.inRange(demerits, 0, 1, "demerits");
    daysLeft.ifPresent(days -> Check.inRange(days, 0, 60, "days left"));
    Check.notNull(proposal, "proposal");
    reasons = List.copyOf(Check.notEmpty(reasons, "reasons"));
  }

  /**
   * Judges a lot.
   *
   * @param species the species
   * @param state the state on arrival; a headed fish has no eyes and gills to look at
   * @param grades the grade of each sign, 0 (best) to 3 (worst); signs on a missing head are
   *     ignored
   * @param temperature the temperature at receipt, if it was measured
   * @param warm how many minutes it stood above the limit of histamine in all, from 0
   * @param limits the limits of the house
   * @return the judgement
   * @throws IllegalArgumentException if a sign that is there has no grade or one out of range
   */
  public static Freshness of(
      Species species,
      State state,
      Map<Sign, Integer> grades,
      Optional<Temperature> temperature,
      int warm,
      Limits limits) {
    FreshnessGroup group = FreshnessGroup.of(species);
    double sum = 0;
    double most = 0;
    List<Finding> reasons = new ArrayList<>();
    Fitness proposal = Fitness.RAW;
    for (Sign sign : Sign.values()) {
      if (!isThere(sign, state)) {
        continue;
      }
      Integer grade = grades.get(sign);
      Check.that(grade != null, "Expected a grade for " + sign);
      Check.inRange(grade, 0, Sign.WORST, "grade of " + sign);
      sum += grade * group.weight(sign);
      most += Sign.WORST * group.weight(sign);
      proposal = Fitness.stricter(proposal, worstAlone(sign, grade, reasons));
    }
    double demerits = sum / most;
    proposal = Fitness.stricter(proposal, byDemerits(demerits, limits));
    reasons.add(0, Finding.of(Reason.DEMERITS, Math.round(demerits * 100), group));
    proposal = Fitness.stricter(proposal, byTemperature(species, temperature, limits, reasons));
    proposal = Fitness.stricter(proposal, byTime(species, warm, limits, reasons));
    return new Freshness(
        demerits, daysLeft(group, demerits, proposal, temperature, limits), proposal, reasons);
  }

  /**
   * Days on melting ice fall in a straight line with the demerits, and at another temperature by
   * the rate of spoilage: (1 + 0.1 t)² of that at 0 °C, the square-root model with growth from −10
   * °C (Ratkowsky et al., Journal of Bacteriology 149, 1982).
   */
  private static OptionalDouble daysLeft(
      FreshnessGroup group,
      double demerits,
      Fitness proposal,
      Optional<Temperature> temperature,
      Limits limits) {
    if (proposal == Fitness.REFUSE) {
      return OptionalDouble.of(0);
    }
    if (temperature.isEmpty()) {
      return OptionalDouble.empty();
    }
    double rate = Math.pow(1 + Math.max(0, temperature.get().tenths() / 10.0) / 10, 2);
    double onIce = limits.value(group.daysOnIce()) * (1 - demerits / limits.share(Limit.SIGNS_POT));
    return OptionalDouble.of(Math.max(0, onIce) / rate);
  }

  /**
   * Returns whether a sign can be looked at.
   *
   * @param sign the sign
   * @param state the state on arrival
   * @return false for what went with the head or the gills
   */
  public static boolean isThere(Sign sign, State state) {
    boolean gillsOut = sign == Sign.GILLS && state == State.GUTTED_AND_GILLED;
    boolean headOff = sign.onTheHead() && state == State.HEADED_AND_GUTTED;
    return !gillsOut && !headOff;
  }

  /** One sign alone can decide: a rank smell is not outweighed by clear eyes. */
  private static Fitness worstAlone(Sign sign, int grade, List<Finding> reasons) {
    boolean deciding = sign == Sign.SMELL || sign == Sign.FLESH;
    if (deciding && grade == Sign.WORST) {
      reasons.add(Finding.of(Reason.DECIDES_ALONE, sign, sign.look(grade)));
      return Fitness.REFUSE;
    }
    if (grade == Sign.WORST || deciding && grade == 2) {
      reasons.add(Finding.of(Reason.SIGN, sign, sign.look(grade)));
      return deciding ? Fitness.POT : Fitness.COOK;
    }
    return Fitness.RAW;
  }

  private static Fitness byDemerits(double demerits, Limits limits) {
    if (demerits <= limits.share(Limit.SIGNS_RAW)) {
      return Fitness.RAW;
    }
    if (demerits <= limits.share(Limit.SIGNS_COOK)) {
      return Fitness.COOK;
    }
    return demerits <= limits.share(Limit.SIGNS_POT) ? Fitness.POT : Fitness.REFUSE;
  }

  private static Fitness byTemperature(
      Species species, Optional<Temperature> temperature, Limits limits, List<Finding> reasons) {
    boolean histamine = species.traits().contains(Trait.HISTAMINE);
    if (temperature.isEmpty()) {
      reasons.add(Finding.of(Reason.NOT_MEASURED));
      return Fitness.COOK;
    }
    Temperature measured = temperature.get();
    Temperature cold = limits.temperature(Limit.HISTAMINE_TEMPERATURE);
    if (histamine && measured.compareTo(cold) > 0) {
      reasons.add(Finding.of(Reason.HISTAMINE, measured, cold));
      return Fitness.REFUSE;
    }
    if (measured.compareTo(limits.temperature(Limit.WARM)) > 0) {
      reasons.add(Finding.of(Reason.WARM, measured));
      return Fitness.COOK;
    }
    return Fitness.RAW;
  }

  /** Histamine does not go away: all the time that a fish stood warm counts together. */
  private static Fitness byTime(Species species, int warm, Limits limits, List<Finding> reasons) {
    if (!species.traits().contains(Trait.HISTAMINE) || warm <= limits.value(Limit.HISTAMINE_TIME)) {
      return Fitness.RAW;
    }
    reasons.add(Finding.of(Reason.HISTAMINE_TIME, warm, limits.value(Limit.HISTAMINE_TIME)));
    return Fitness.REFUSE;
  }
}
