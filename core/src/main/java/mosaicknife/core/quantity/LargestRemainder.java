package mosaicknife.core.quantity;

import java.math.BigInteger;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;
import mosaicknife.core.check.Check;

/**
 * Splits a whole number in proportion to weights so that the shares add up to it.
 *
 * <p>Each share is first the floor of its exact quota; the units left over go, one each, to the
 * largest remainders, a tie to the earlier share (Hamilton's method; Balinski and Young, <i>Fair
 * Representation</i>, 1982). This is the only place where money is divided between parts.
 */
final class LargestRemainder {

  private LargestRemainder() {}

  static long[] allocate(long whole, Collection<Fraction> weights) {
    Check.notEmpty(weights, "weights");
    weights.forEach(
        w -> Check.that(w.compareTo(Fraction.ZERO) >= 0, "Expected weights from 0, found ", w));
    Fraction sum = weights.stream().reduce(Fraction.ZERO, Fraction::plus);
    Check.that(sum.compareTo(Fraction.ZERO) > 0, "Expected a weight above 0, found only zeros");

    Fraction amount = Fraction.of(whole, 1);
    long[] shares = new long[weights.size()];
    List<Fraction> remainders = new ArrayList<>();
    long left = whole;
    for (Fraction weight : weights) {
      Fraction quota = amount.multipliedBy(weight).dividedBy(sum);
      BigInteger floor = floor(quota);
      int index = remainders.size();
      shares[index] = floor.longValueExact();
      remainders.add(quota.minus(new Fraction(floor, BigInteger.ONE)));
      left -= shares[index];
    }
    IntStream.range(0, shares.length)
        .boxed()
        .sorted(Comparator.comparing(remainders::get, Comparator.reverseOrder()))
        .limit(left)
        .forEach(index -> shares[index]++);
    return shares;
  }

  private static BigInteger floor(Fraction fraction) {
    BigInteger[] parts = fraction.numerator().divideAndRemainder(fraction.denominator());
    return parts[1].signum() < 0 ? parts[0].subtract(BigInteger.ONE) : parts[0];
  }
}
