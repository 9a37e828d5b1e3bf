package mosaicknife.core.larder;

import java.math.RoundingMode;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.IntStream;
import mosaicknife.core.anatomy.Eating.Flesh;
import mosaicknife.core.anatomy.Species;
import mosaicknife.core.check.Check;
import mosaicknife.core.quantity.Fraction;
import mosaicknife.core.quantity.Mass;

/**
 * How fish loses weight in the ageing rack: mass(t) = m₀ · (1 − L · (1 − e^(−k·t))).
 *
 * <p>L, the share that dries off in the end, starts as a wide estimate from fat and skin; every
 * reweighing corrects it as one measurement beside the estimate's own weight. k stays as estimated:
 * the days of one rack do not tell both apart.
 *
 * @param first the mass on the first day, positive
 * @param last the share that dries off in the end, above 0 below 1
 * @param spread the standard deviation of that share
 * @param rate k a day, positive
 */
public record Ageing(Mass first, double last, double spread, double rate) {

  private static final double RATE = 0.11;
  private static final double SPREAD_BEFORE = 0.05;
  private static final double SCATTER = 0.008;
  private static final double LEAST = 0.01;
  private static final double MOST = 0.6;

  /** Refuses a curve that cannot be. */
  public Ageing {
    Check.that(first.isPositive(), "Expected a mass above 0 g, found " + first);
    Check.inRange(last, LEAST, MOST, "share that dries off");
    Check.inRange(spread, 0, 1, "spread");
    Check.inRange(rate, 0.001, 2, "rate");
  }

  /**
   * A reweighing.
   *
   * @param days days since the first weight, above 0
   * @param mass what it weighed
   */
  public record Reading(double days, Mass mass) {}

  /**
   * Starts the curve of a piece.
   *
   * @param species the fish
   * @param skinOn whether the skin is on: it dries from one side only
   * @param mass the first mass
   * @return the curve by starting estimates
   */
  public static Ageing starting(Species species, boolean skinOn, Mass mass) {
    Flesh flesh = species.eating().flesh();
    double lean = flesh == Flesh.WHITE ? 0.20 : flesh == Flesh.MEDIUM ? 0.17 : 0.14;
    // a small piece has more surface for its mass
    double size = Math.cbrt(1000 / Math.max(50, mass.inGrams().doubleValue()));
    double share = lean * (skinOn ? 0.8 : 1) * Math.min(1.6, Math.max(0.7, size));
    return new Ageing(mass, Math.min(MOST, share), SPREAD_BEFORE, RATE);
  }

  /**
   * Corrects the curve by what was weighed since: the estimate and the readings by their weights.
   *
   * @param readings the reweighings, none of the first day
   * @return the curve
   */
  public Ageing with(List<Reading> readings) {
    double weight = 1 / (SPREAD_BEFORE * SPREAD_BEFORE);
    double sum = weight * last;
    for (Reading reading : readings) {
      double reached = reached(reading.days());
      double lost = 1 - reading.mass().dividedBy(first).toDouble();
      double own = reached * reached / (SCATTER * SCATTER);
      sum += own * (lost / reached);
      weight += own;
    }
    double corrected = Math.min(MOST, Math.max(LEAST, sum / weight));
    return new Ageing(first, corrected, Math.sqrt(1 / weight), rate);
  }

  private double reached(double days) {
    Check.that(days > 0, "Expected days above 0, found " + days);
    return 1 - Math.exp(-rate * days);
  }

  /**
   * Returns what the piece should weigh on a day.
   *
   * @param days days since the first weight, from 0
   * @return the mass, an estimate
   */
  public Mass mass(double days) {
    return days == 0 ? first : at(last, days);
  }

  /**
   * Returns the range of what it should weigh on a day.
   *
   * @param days days since the first weight, from 0
   * @return lightest and heaviest, by two standard deviations of the share
   */
  public List<Mass> range(double days) {
    return days == 0
        ? List.of(first, first)
        : List.of(
            at(Math.min(MOST, last + 2 * spread), days), at(Math.max(0, last - 2 * spread), days));
  }

  private Mass at(double share, double days) {
    Fraction left = Fraction.ofEstimate(1 - share * reached(days));
    return first.multipliedBy(left, RoundingMode.HALF_EVEN);
  }

  /**
   * Returns the first day on which it has lost a share of its weight.
   *
   * @param wanted the share, above 0
   * @param longest the last day that is looked at
   * @return the day; empty if it is not reached by then
   */
  public OptionalInt dayOf(Fraction wanted, int longest) {
    return IntStream.rangeClosed(1, longest)
        .filter(day -> last * reached(day) >= wanted.toDouble())
        .findFirst();
  }

  /**
   * Reads the curve off an item.
   *
   * @param item the item, aged since it was put there
   * @param species the fish
   * @param skinOn whether its skin is on
   * @return the curve; empty if some of it was taken out, so that its weights cannot be compared
   */
  public static Optional<Ageing> of(Item item, Species species, boolean skinOn) {
    if (item.entries().stream().anyMatch(Entry.Taken.class::isInstance)) {
      return Optional.empty();
    }
    List<Reading> readings =
        item.entries().stream()
            .filter(Entry.Weighed.class::isInstance)
            .map(Entry.Weighed.class::cast)
            .map(entry -> new Reading(days(item, entry.at()), entry.mass()))
            .filter(reading -> reading.days() > 0)
            .toList();
    Ageing curve = starting(species, skinOn, item.shelved().mass()).with(readings);
    return Optional.of(
        readings.isEmpty() ? curve : curve.through(readings.get(readings.size() - 1)));
  }

  /**
   * Moves the curve so that it goes through a reading: what was weighed last is known.
   *
   * @param reading the reading
   * @return the curve with the same share and rate
   */
  public Ageing through(Reading reading) {
    Fraction left = Fraction.ofEstimate(1 - last * reached(reading.days()));
    Mass start = reading.mass().multipliedBy(Fraction.ONE.dividedBy(left), RoundingMode.HALF_EVEN);
    return new Ageing(start, last, spread, rate);
  }

  private static double days(Item item, java.time.Instant at) {
    return java.time.Duration.between(item.shelved().at(), at).toMinutes() / 1440.0;
  }
}
