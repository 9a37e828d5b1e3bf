package mosaicknife.core.lot;

import java.util.Comparator;
import java.util.Optional;
import mosaicknife.core.anatomy.Catalogue;
import mosaicknife.core.plan.Choices;
import mosaicknife.core.plan.CutPlan;
import mosaicknife.core.plan.CuttingOption;
import mosaicknife.core.plan.CuttingOptions;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Fraction;

/**
 * Another answer to a cutting option that would make the plate cheaper.
 *
 * @param option the option
 * @param choice the answer
 * @param factor what a plate would cost, as a fraction of what it costs now, by the plans of both
 */
public record BetterCut(CuttingOption option, CuttingOption.Choice choice, Fraction factor) {

  /**
   * Looks for the best one.
   *
   * @param sheet the lot
   * @param kinds where kinds of parts are looked up
   * @param labourPerHour what an hour of work costs
   * @return the answer that makes the plate cheapest; empty if none makes it cheaper. Answers that
   *     change what is served (skin, bones, steaks, whole) are not among them
   */
  public static Optional<BetterCut> of(LotSheet sheet, Catalogue kinds, ExactMoney labourPerHour) {
    CutPlan now = sheet.plan();
    Optional<ExactMoney> plate = plate(sheet, now, labourPerHour);
    if (plate.filter(ExactMoney::isPositive).isEmpty()) {
      return Optional.empty();
    }
    Choices choices = now.choices();
    return CuttingOptions.of(now.fish().species(), now.fish().state(), choices).stream()
        .flatMap(
            option ->
                option.choices().stream()
                    .filter(choice -> choice.traits().equals(choices.in(option).traits()))
                    .filter(choice -> !choice.equals(choices.in(option)))
                    .flatMap(
                        choice ->
                            better(sheet, option, choice, kinds, labourPerHour, plate.get())
                                .stream()))
        .min(Comparator.comparing(BetterCut::factor));
  }

  private static Optional<BetterCut> better(
      LotSheet sheet,
      CuttingOption option,
      CuttingOption.Choice choice,
      Catalogue kinds,
      ExactMoney labourPerHour,
      ExactMoney plate) {
    CutPlan now = sheet.plan();
    CutPlan other =
        sheet.asDecided(
            CutPlan.of(now.fish(), now.choices().with(option.code(), choice.code()), kinds));
    return plate(sheet, other, labourPerHour)
        .filter(cost -> cost.compareTo(plate) < 0)
        .map(cost -> new BetterCut(option, choice, cost.dividedBy(plate)));
  }

  private static Optional<ExactMoney> plate(
      LotSheet sheet, CutPlan plan, ExactMoney labourPerHour) {
    return sheet.plates().planned(plan, labourPerHour).whole();
  }
}
