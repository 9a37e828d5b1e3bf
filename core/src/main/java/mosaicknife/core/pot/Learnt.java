package mosaicknife.core.pot;

import java.util.List;
import java.util.Optional;
import mosaicknife.core.check.Check;
import mosaicknife.core.quantity.Mass;

/**
 * What a method gave in this house so far.
 *
 * @param batches of how many batches, from 1
 * @param mean litres a kilogram of bones, the mean of the batches
 * @param least the least of them
 * @param most the most of them
 * @param set how many set to jelly
 * @param clear how many were clear
 */
public record Learnt(int batches, double mean, double least, double most, int set, int clear) {

  /**
   * One batch.
   *
   * @param litres what it gave, positive
   * @param bones what went in, positive
   * @param set whether it set to jelly
   * @param clear whether it was clear
   */
  public record Gave(double litres, Mass bones, boolean set, boolean clear) {

    /** Refuses a batch of nothing. */
    public Gave {
      Check.that(litres > 0, "Expected litres above 0, found ", litres);
      Check.that(bones.isPositive(), "Expected bones above 0 g, found ", bones);
    }

    private double perKilogram() {
      return litres / bones.inKilograms().doubleValue();
    }
  }

  /**
   * Learns from batches.
   *
   * @param batches the batches of one method
   * @return what they gave; empty without any
   */
  public static Optional<Learnt> of(List<Gave> batches) {
    return batches.isEmpty()
        ? Optional.empty()
        : Optional.of(
            new Learnt(
                batches.size(),
                batches.stream().mapToDouble(Gave::perKilogram).average().orElseThrow(),
                batches.stream().mapToDouble(Gave::perKilogram).min().orElseThrow(),
                batches.stream().mapToDouble(Gave::perKilogram).max().orElseThrow(),
                (int) batches.stream().filter(Gave::set).count(),
                (int) batches.stream().filter(Gave::clear).count()));
  }
}
