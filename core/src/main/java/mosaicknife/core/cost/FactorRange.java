package mosaicknife.core.cost;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import mosaicknife.core.quantity.Fraction;
import mosaicknife.core.quantity.UnitPrice;

/**
 * How many times dearer an edible kilogram of a fish is than one as purchased, over several lots.
 *
 * @param mean the mean, each lot weighed by what was invoiced
 * @param least the least of a lot
 * @param most the most of a lot
 */
public record FactorRange(Fraction mean, Fraction least, Fraction most) {

  /**
   * Takes the factors of lots together.
   *
   * @param lots their cost sheets; those of fish that was free have no factor and are left out
   * @return the factor; empty if no lot has one
   */
  public static Optional<FactorRange> of(List<CostSheet> lots) {
    List<CostSheet> some = lots.stream().filter(lot -> lot.costFactor().isPresent()).toList();
    if (some.isEmpty()) {
      return Optional.empty();
    }
    Fraction sum = Fraction.ZERO;
    Fraction weight = Fraction.ZERO;
    for (CostSheet lot : some) {
      Fraction kilograms = Fraction.of(lot.cost().invoiced().inKilograms());
      sum = sum.plus(lot.costFactor().orElseThrow().multipliedBy(kilograms));
      weight = weight.plus(kilograms);
    }
    List<Fraction> sorted =
        some.stream()
            .map(lot -> lot.costFactor().orElseThrow())
            .sorted(Comparator.naturalOrder())
            .toList();
    return Optional.of(
        new FactorRange(sum.dividedBy(weight), sorted.get(0), sorted.get(sorted.size() - 1)));
  }

  /**
   * Does the quick sum.
   *
   * @param price what a kilogram as purchased costs
   * @return what an edible one costs, by the mean
   */
  public UnitPrice times(UnitPrice price) {
    return UnitPrice.ofPerKilogram(price.perKilogram().multipliedBy(mean));
  }
}
