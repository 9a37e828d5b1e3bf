package mosaicknife.app.exchange;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;
import mosaicknife.core.slice.PinBoneCut.Zone;
import mosaicknife.core.slice.ServicePlan;

/**
 * Which fillet is cut into what.
 *
 * @param served how many of each kind, in the order of what was wanted
 * @param lostGrams what of the fillets that are cut is on no portion
 * @param leastLostGrams no plan that serves as much loses less
 * @param gapPercent how much better a plan could be, of what is cut
 * @param proved whether no plan serves more or loses less
 * @param byHandServed how many portions cutting each until it is gone would serve
 * @param byHandLostGrams what that would lose
 * @param fillets each fillet, in the order they lie
 */
record PatternsAnswer(
    List<Integer> served,
    BigDecimal lostGrams,
    BigDecimal leastLostGrams,
    BigDecimal gapPercent,
    boolean proved,
    int byHandServed,
    BigDecimal byHandLostGrams,
    List<FilletJson> fillets) {

  private static final int HUNDRED = 100;

  /** A fillet; without pieces it stays whole. */
  record FilletJson(String id, List<PortionsAnswer.PieceJson> pieces) {}

  static PatternsAnswer of(ServicePlan plan, ServicePlan hand) {
    List<Integer> served = new ArrayList<>();
    for (int kind = 0; kind < plan.service().wanted().size(); kind++) {
      served.add(plan.served(kind));
    }
    List<FilletJson> fillets = new ArrayList<>();
    for (int i = 0; i < plan.cuts().size(); i++) {
      fillets.add(
          new FilletJson(
              plan.service().fillets().get(i).id(),
              plan.cuts()
                  .get(i)
                  .map(cut -> PortionsAnswer.pieces(cut, Zone.WHOLE, 0))
                  .orElse(List.of())));
    }
    return new PatternsAnswer(
        served,
        plan.lost().inGrams(),
        plan.leastLost().inGrams(),
        BigDecimal.valueOf(plan.gap() * HUNDRED).setScale(2, RoundingMode.HALF_UP),
        plan.isProved(),
        hand.served(),
        hand.lost().inGrams(),
        fillets);
  }
}
