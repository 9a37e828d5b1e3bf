package mosaicknife.app.buy;

import java.math.BigDecimal;
import mosaicknife.app.shared.Typed;
import mosaicknife.core.buying.Demand;
import mosaicknife.core.buying.Demand.Per;

/**
 * What a plan is made for: profile, time, certainty, what is on hand, stock wanted.
 *
 * @param profile when the guests come
 * @param per how long the order is to last
 * @param level how certain it must be that nobody goes without, in percent, 50 to 99.9
 * @param onHand portions that are there already
 * @param litres litres of stock the kitchen asks for
 */
public record PlanWish(ProfileName profile, Per per, double level, int onHand, double litres) {

  private static final BigDecimal MOST_LITRES = new BigDecimal(500);
  private static final BigDecimal LEAST_CERTAIN = new BigDecimal(50);
  private static final BigDecimal MOST_CERTAIN = new BigDecimal("99.9");

  /** Understands the parameters of a plan; what is missing takes its usual value. */
  static PlanWish of(String profile, String per, String level, String onHand, String litres) {
    double certainty =
        Typed.percent(or(level, "90"), LEAST_CERTAIN, MOST_CERTAIN, "level").doubleValue();
    int there = Typed.count(or(onHand, "0"), 0, Demand.MOST, "onHand");
    double wanted =
        Typed.decimal(or(litres, "0"), 3, BigDecimal.ZERO, MOST_LITRES, "litres").doubleValue();
    return new PlanWish(
        Typed.choice(ProfileName.values(), profile).orElse(ProfileName.WEEKEND),
        Typed.choice(Per.values(), per).orElse(Per.SERVICE),
        certainty,
        there,
        wanted);
  }

  private static String or(String typed, String usual) {
    return typed == null || typed.isBlank() ? usual : typed;
  }
}
