package mosaicknife.core.buying;

import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mosaicknife.core.anatomy.Catalogue;
import mosaicknife.core.anatomy.Specification;
import mosaicknife.core.breakdown.HouseNorms;
import mosaicknife.core.buying.Offer.Form;
import mosaicknife.core.cost.Contender;
import mosaicknife.core.plan.Choices;
import mosaicknife.core.plan.CutPlan;
import mosaicknife.core.plan.CuttingOptions;
import mosaicknife.core.portion.Eaten;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Fraction;
import mosaicknife.core.quantity.Mass;

/** What is on offer, made ready to be compared at one plate. */
public final class Contenders {

  /** So many fish, spread evenly over the grade, stand for all of it. */
  private static final int FISH = 21;

  /** One of ten lies outside so many deviations on either side. */
  private static final double NINE_OF_TEN = 1.645;

  private static final Mass BOUGHT = Mass.ofKilograms("10");
  private static final double MOST_SPREAD = 0.5;

  private Contenders() {}

  /**
   * Makes a contender of an offer.
   *
   * @param offer the offer
   * @param specification how far the cuts are worked
   * @param choices the house's answers to the cutting options
   * @param norms what the house believes
   * @param kinds where kinds of parts are looked up
   * @param labourPerHour what an hour of work costs
   * @return fish of every mass of its grade, by the norm, with what their yield may be off; fillet
   *     as fillet, less what is lost of it. By-products are not credited: nobody has taken them
   *     yet. Empty if nothing is eaten of it
   */
  public static Optional<Contender> of(
      Offer offer,
      Specification specification,
      Choices choices,
      HouseNorms norms,
      Catalogue kinds,
      ExactMoney labourPerHour) {
    return offer.form() == Form.FILLET
        ? Optional.of(fillet(offer, norms, labourPerHour))
        : whole(offer, specification, choices, norms, kinds, labourPerHour);
  }

  private static Contender fillet(Offer offer, HouseNorms norms, ExactMoney labourPerHour) {
    Mass eaten =
        BOUGHT.multipliedBy(Fraction.ofEstimate(1 - norms.loss().mean()), RoundingMode.DOWN);
    ExactMoney paid = offer.price().times(BOUGHT);
    return new Contender(
        offer.id(),
        offer.species().name(),
        BOUGHT,
        paid,
        labour(labourPerHour, CutPlan.minutesToPortion(BOUGHT)),
        ExactMoney.zero(paid.currency()),
        List.of(Eaten.of(1, eaten)),
        false,
        0);
  }

  private static Optional<Contender> whole(
      Offer offer,
      Specification specification,
      Choices choices,
      HouseNorms norms,
      Catalogue kinds,
      ExactMoney labourPerHour) {
    Choices met =
        choices.meeting(specification, false, CuttingOptions.of(offer.species(), offer.state()));
    CutPlan plan =
        CutPlan.of(
            new CutPlan.Fish(offer.species(), offer.state(), 1, offer.grade().middle(), norms),
            met,
            kinds);
    return of(offer.id(), offer.species().name(), plan, masses(offer), offer, labourPerHour);
  }

  private static Optional<Contender> of(
      String id,
      String name,
      CutPlan plan,
      List<Mass> fish,
      Offer offer,
      ExactMoney labourPerHour) {
    Mass all = Mass.total(fish);
    List<Eaten> cuts = new ArrayList<>();
    double mean = 0;
    double variance = 0;
    for (CutPlan.MainCut cut : plan.mainCuts()) {
      for (int i = 0; i < fish.size(); i++) {
        cuts.add(Eaten.of(i + 1, fish.get(i)).multipliedBy(Fraction.ofEstimate(cut.mean())));
      }
      mean += cut.mean();
      variance += cut.spread() * cut.spread();
    }
    if (mean <= 0) {
      return Optional.empty();
    }
    ExactMoney paid = offer.price().times(all);
    return Optional.of(
        new Contender(
            id,
            name,
            all,
            paid,
            labour(labourPerHour, plan.minutes() * fish.size()),
            ExactMoney.zero(paid.currency()),
            cuts,
            false,
            Math.min(MOST_SPREAD, NINE_OF_TEN * Math.sqrt(variance) / mean)));
  }

  private static List<Mass> masses(Offer offer) {
    long from = offer.grade().from().milligrams();
    long to = offer.grade().to().milligrams();
    List<Mass> masses = new ArrayList<>();
    for (int i = 0; i < FISH; i++) {
      masses.add(Mass.ofMilligrams(from + (to - from) * i / (FISH - 1)));
    }
    return masses;
  }

  private static ExactMoney labour(ExactMoney perHour, double minutes) {
    return perHour.multipliedBy(Fraction.ofEstimate(minutes / 60));
  }
}
