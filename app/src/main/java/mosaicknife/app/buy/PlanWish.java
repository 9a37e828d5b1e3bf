package mosaicknife.app.buy;

import java.math.BigDecimal;
import mosaicknife.app.shared.Refusal;
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

  private static final double MOST_LITRES = 500;

  /** Understands the parameters of a plan; what is missing takes its usual value. */
  static PlanWish of(String profile, String per, String level, String onHand, String litres) {
    double certainty = number(level, "90", "level").doubleValue();
    if (certainty < 50 || certainty > 99.9) {
      throw Refusal.ofField("level", "buy.problem.a-certainty-is-50-to");
    }
    BigDecimal there = number(onHand, "0", "onHand");
    if (there.compareTo(BigDecimal.valueOf(Demand.MOST)) > 0 || there.scale() > 0) {
      throw Refusal.ofField("onHand", "buy.problem.portions-on-hand-are-a", Demand.MOST);
    }
    double wanted = number(litres, "0", "litres").doubleValue();
    if (wanted > MOST_LITRES) {
      throw Refusal.ofField("litres", "buy.problem.up-to-500-litres-of");
    }
    return new PlanWish(
        choice(ProfileName.values(), profile, ProfileName.WEEKEND),
        choice(Per.values(), per, Per.SERVICE),
        certainty,
        there.intValueExact(),
        wanted);
  }

  private static <E extends Enum<E>> E choice(E[] values, String typed, E usual) {
    for (E value : values) {
      if (value.name().equals(typed)) {
        return value;
      }
    }
    return usual;
  }

  private static BigDecimal number(String typed, String usual, String field) {
    String plain = typed == null || typed.isBlank() ? usual : typed.strip().replace(',', '.');
    if (!plain.matches("[0-9]{1,7}(\\.[0-9]{1,3})?")) {
      throw Refusal.ofField(
          field,
          "buy.problem.is-no-number-from-0",
          plain.length() > 20 ? plain.substring(0, 20) + "…" : plain);
    }
    return new BigDecimal(plain);
  }
}
