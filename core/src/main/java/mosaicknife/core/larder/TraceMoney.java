package mosaicknife.core.larder;

import java.util.Currency;
import java.util.Map;
import mosaicknife.core.cost.Carried;
import mosaicknife.core.cost.Outlay;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Mass;

/**
 * What grams of lots carry, wherever they lie: in a pot, on a shelf, on a plate.
 *
 * @param lots the money of the lots, by number
 * @param currency the currency of the house
 */
public record TraceMoney(Map<Long, LotMoney> lots, Currency currency) {

  /** Copies the lots. */
  public TraceMoney {
    lots = Map.copyOf(lots);
  }

  /**
   * Returns what something carries.
   *
   * @param trace the grams in it, of these lots
   * @param beside what was laid out beside them
   * @return the fish by the costing of each lot, and the outlay
   */
  public Carried of(Trace trace, Outlay beside) {
    ExactMoney fish = ExactMoney.zero(currency);
    for (Map.Entry<Trace.Source, Mass> one : trace.grams().entrySet()) {
      fish = fish.plus(money(one.getKey()).carried(one.getKey().slot(), one.getValue()));
    }
    return new Carried(fish, beside);
  }

  /**
   * Returns how much of something carries nothing yet: its lot is not costed, or nobody decided
   * what the part is for.
   *
   * @param trace the grams in it, of these lots
   * @return their mass
   */
  public Mass open(Trace trace) {
    return Mass.total(
        trace.grams().entrySet().stream()
            .filter(one -> !money(one.getKey()).carries(one.getKey().slot()))
            .map(Map.Entry::getValue)
            .toList());
  }

  private LotMoney money(Trace.Source source) {
    return lots.get(source.lot());
  }
}
