package mosaicknife.core.cost;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import mosaicknife.core.check.Check;
import mosaicknife.core.portion.Serving;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Fraction;
import mosaicknife.core.quantity.UnitPrice;

/**
 * Fish beside each other at the same plate, by what a finished portion costs: whole portions inside
 * each cut, with the work and what other parts take off.
 *
 * @param serving what a portion is
 * @param contenders the fish, the cheapest portion first; those without a whole one last
 */
public record Comparison(Serving serving, List<Contender> contenders) {

  /** A yield is told to a tenth of a point. */
  private static final int STEPS = 1000;

  private static final int CURVE = 40;

  /**
   * A point of a curve.
   *
   * @param at a yield as a fraction, or a price by the kilogram
   * @param plate what a portion costs there, in major units; empty where none is whole
   */
  public record Point(double at, Optional<Double> plate) {}

  /** Sorts them. */
  public Comparison {
    Check.notNull(serving, "serving");
    Serving of = serving;
    List<Contender> sorted = new ArrayList<>(contenders);
    sorted.sort(
        Comparator.comparing((Contender one) -> one.plate(of).isEmpty())
            .thenComparing(one -> one.plate(of).map(ExactMoney::amount).orElse(BigDecimal.ZERO)));
    contenders = List.copyOf(sorted);
  }

  /**
   * Returns the lowest yield at which one's portion costs no more than another's.
   *
   * @param one the fish whose yield is asked
   * @param other what it is held against
   * @return the yield, to a tenth of a point; empty if none is enough, or the other makes no
   *     portion
   */
  public Optional<Fraction> lowestYield(Contender one, Contender other) {
    Optional<ExactMoney> limit = other.plate(serving);
    if (limit.isEmpty()) {
      return Optional.empty();
    }
    int low = 1;
    int high = STEPS + 1;
    while (low < high) {
      int middle = (low + high) / 2;
      if (middle > STEPS || isWithin(one, middle, limit.get())) {
        high = middle;
      } else {
        low = middle + 1;
      }
    }
    return low > STEPS ? Optional.empty() : Optional.of(Fraction.of(low, STEPS));
  }

  /** More yield never makes fewer portions, so the first that is enough is the lowest. */
  private boolean isWithin(Contender one, int thousandths, ExactMoney limit) {
    Contender scaled = one.yielding(Fraction.of(thousandths, STEPS));
    return scaled.plate(serving).filter(plate -> plate.compareTo(limit) <= 0).isPresent();
  }

  /**
   * Returns the highest price at which one's portion costs no more than another's. A credit takes
   * off what was paid and never what the work costs.
   *
   * @param one the fish whose price is asked
   * @param other what it is held against
   * @return the price; empty if even for nothing it would cost more, or one of them makes no
   *     portion
   */
  public Optional<UnitPrice> highestPrice(Contender one, Contender other) {
    long plates = one.plates(serving);
    return other
        .plate(serving)
        .filter(limit -> plates > 0)
        .map(limit -> limit.multipliedBy(Fraction.of(plates, 1)).minus(one.labour()))
        .filter(forFish -> !forFish.isNegative())
        .map(forFish -> forFish.plus(one.credit()).per(one.purchased()));
  }

  /**
   * Returns what a portion of a fish costs at other yields.
   *
   * @param one the fish
   * @param from the lowest yield, above 0
   * @param to the highest, up to 1
   * @return points from the lowest to the highest
   */
  public List<Point> byYield(Contender one, double from, double to) {
    List<Point> points = new ArrayList<>();
    for (int i = 0; i <= CURVE; i++) {
      double yield = from + (to - from) * i / CURVE;
      points.add(new Point(yield, major(one.yielding(Fraction.ofEstimate(yield)))));
    }
    return points;
  }

  /**
   * Returns what a portion of a fish costs at other prices: a straight line.
   *
   * @param one the fish
   * @param to the highest price by the kilogram, in major units
   * @return points from a price of 0 to that one
   */
  public List<Point> byPrice(Contender one, double to) {
    long plates = one.plates(serving);
    double kilograms = one.purchased().inKilograms().doubleValue();
    double credit = one.credit().amount().doubleValue();
    double labour = one.labour().amount().doubleValue();
    List<Point> points = new ArrayList<>();
    for (int i = 0; i <= CURVE; i++) {
      double price = to * i / CURVE;
      double cost = Math.max(0, price * kilograms - credit) + labour;
      points.add(new Point(price, plates == 0 ? Optional.empty() : Optional.of(cost / plates)));
    }
    return points;
  }

  private Optional<Double> major(Contender one) {
    return one.plate(serving).map(plate -> plate.amount().doubleValue());
  }

  /**
   * Returns between what a portion costs if the yield is off as far as its norm may be.
   *
   * @param one the fish
   * @return the cheaper and the dearer; empty where the yield was measured, or none is whole
   */
  public Optional<List<ExactMoney>> range(Contender one) {
    if (one.spread() == 0) {
      return Optional.empty();
    }
    double yield = one.share().toDouble();
    Optional<ExactMoney> low =
        one.yielding(Fraction.ofEstimate(Math.min(1, yield * (1 + one.spread())))).plate(serving);
    Optional<ExactMoney> high =
        one.yielding(Fraction.ofEstimate(yield * (1 - one.spread()))).plate(serving);
    return low.flatMap(cheap -> high.map(dear -> List.of(cheap, dear)));
  }
}
