package mosaicknife.core.larder;

import java.math.RoundingMode;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import mosaicknife.core.check.Check;
import mosaicknife.core.quantity.Fraction;
import mosaicknife.core.quantity.Mass;

/**
 * Which grams of which parts are in something, as they were weighed at the bench. Drying, cooking
 * and what is added change the item and never its trace, so that no gram is lost on the way.
 *
 * @param grams the mass by part, positive
 */
public record Trace(Map<Source, Mass> grams) {

  /** Nothing. */
  public static final Trace NOTHING = new Trace(Map.of());

  /** Orders the parts and refuses a part without mass. */
  public Trace {
    Map<Source, Mass> ordered = new TreeMap<>(grams);
    ordered.values().forEach(m -> Check.that(m.isPositive(), "Expected a mass above 0 g: " + m));
    grams = java.util.Collections.unmodifiableMap(ordered);
  }

  /**
   * A part of a lot.
   *
   * @param lot the number of the lot
   * @param slot the slot of the part
   */
  public record Source(long lot, String slot) implements Comparable<Source> {

    /** Refuses a part without slot. */
    public Source {
      Check.text(slot, "slot");
    }

    @Override
    public int compareTo(Source other) {
      int byLot = Long.compare(lot, other.lot);
      return byLot != 0 ? byLot : slot.compareTo(other.slot);
    }
  }

  /**
   * Makes the trace of one part.
   *
   * @param lot the number of the lot
   * @param slot the slot
   * @param mass how much, positive
   * @return the trace
   */
  public static Trace of(long lot, String slot, Mass mass) {
    return new Trace(Map.of(new Source(lot, slot), mass));
  }

  /**
   * Returns the lots in it.
   *
   * @return their numbers
   */
  public Set<Long> lots() {
    return grams.keySet().stream()
        .map(Source::lot)
        .collect(Collectors.toCollection(java.util.TreeSet::new));
  }

  /**
   * Returns all its grams together.
   *
   * @return the sum
   */
  public Mass mass() {
    return Mass.total(grams.values());
  }

  /**
   * Adds another.
   *
   * @param other the other
   * @return both together
   */
  public Trace plus(Trace other) {
    Map<Source, Mass> sum = new LinkedHashMap<>(grams);
    other.grams.forEach((source, mass) -> sum.merge(source, mass, Mass::plus));
    return new Trace(sum);
  }

  /**
   * Takes some of it out.
   *
   * @param some what is taken
   * @return the rest
   * @throws IllegalArgumentException if more is taken than there is
   */
  public Trace minus(Trace some) {
    Map<Source, Mass> rest = new LinkedHashMap<>(grams);
    some.grams.forEach(
        (source, mass) -> {
          Mass left = rest.getOrDefault(source, Mass.ZERO).minus(mass);
          Check.that(!left.isNegative(), "Expected no more than there is of " + source);
          if (left.isPositive()) {
            rest.put(source, left);
          } else {
            rest.remove(source);
          }
        });
    return new Trace(rest);
  }

  /**
   * Returns the same share of every part. What is rounded off stays with the rest; the whole is
   * all.
   *
   * @param share the share, from 0 to 1
   * @return the grams of that share, rounded down to the milligram
   */
  public Trace share(Fraction share) {
    Check.that(
        share.compareTo(Fraction.ZERO) >= 0 && share.compareTo(Fraction.ONE) <= 0,
        "Expected a share from 0 to 1, found ",
        share);
    Map<Source, Mass> some = new LinkedHashMap<>();
    grams.forEach(
        (source, mass) -> {
          Mass part = mass.multipliedBy(share, RoundingMode.FLOOR);
          if (part.isPositive()) {
            some.put(source, part);
          }
        });
    return new Trace(some);
  }
}
