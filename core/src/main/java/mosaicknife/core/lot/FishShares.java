package mosaicknife.core.lot;

import java.math.RoundingMode;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import mosaicknife.core.quantity.Fraction;
import mosaicknife.core.quantity.Mass;

/**
 * How much of a lot each of its fish is: as it was weighed at the dock, else as its parts say that
 * were weighed so far. What a fish on the board should give is asked of this alone.
 */
final class FishShares {

  /** So many parts of a fish tell how large it is. */
  private static final int ENOUGH = 3;

  private final Lot lot;
  private final List<LotPart> parts;
  private final Map<Integer, Optional<Fraction>> byParts = new HashMap<>();

  FishShares(Lot lot, List<LotPart> parts) {
    this.lot = lot;
    this.parts = parts;
  }

  /**
   * Returns what part of all fish some of them are.
   *
   * @param fish their numbers, from 1
   * @return the fraction; a fish of which nothing is known counts as a mean one
   */
  Fraction of(List<Integer> fish) {
    Fraction mean = Fraction.of(1, lot.fish());
    return isAll(fish)
        ? Fraction.ONE
        : fish.stream().map(one -> of(one).orElse(mean)).reduce(Fraction.ZERO, Fraction::plus);
  }

  /**
   * Returns about what a part of some fish weighs.
   *
   * @param all what it weighs of all fish by the norm
   * @param fish the numbers of the fish
   * @return the mass
   */
  Mass of(Mass all, List<Integer> fish) {
    return all.multipliedBy(of(fish), RoundingMode.HALF_EVEN);
  }

  /**
   * Returns how far a part of some fish may lie off: by the norm, and because fish of one lot
   * differ in size where their own is not known.
   *
   * @param part the part
   * @param fish the numbers of the fish
   * @return the standard deviation; zero without norm
   */
  Mass spreadOf(LotPart part, List<Integer> fish) {
    if (isAll(fish) || part.expected().isEmpty()) {
      return part.spread();
    }
    long unknown = fish.stream().filter(one -> of(one).isEmpty()).count();
    // the sum of all is known: what some have more, the others have less
    double strangers = Math.min(unknown, Math.max(1, lot.fish() - fish.size()));
    double mean = part.expected().get().milligrams() / (double) lot.fish();
    double bySize = unknown == 0 ? 0 : part.sizes() * mean * Math.sqrt(strangers);
    double own = part.spread().milligrams() * of(fish).toDouble();
    return Mass.ofMilligrams(Math.round(Math.hypot(own, bySize)));
  }

  private boolean isAll(List<Integer> fish) {
    return fish.size() == lot.fish();
  }

  private Optional<Fraction> of(int fishNo) {
    List<Mass> each = lot.each();
    return each.isEmpty()
        ? byParts.computeIfAbsent(fishNo, this::byItsParts)
        : Optional.of(each.get(fishNo - 1).dividedBy(Mass.total(each)));
  }

  /** By their median, so that one wrong figure does not make a fish large. */
  private Optional<Fraction> byItsParts(int fishNo) {
    double[] shares =
        parts.stream()
            .filter(part -> part.expected().filter(Mass::isPositive).isPresent())
            .flatMapToDouble(
                part ->
                    part.taken().stream()
                        .filter(taken -> taken.fish() == fishNo)
                        .mapToDouble(
                            taken ->
                                taken.mass().milligrams()
                                    / (double) part.expected().get().milligrams()))
            .sorted()
            .toArray();
    return shares.length < ENOUGH
        ? Optional.empty()
        : Optional.of(Fraction.ofEstimate(shares[shares.length / 2]));
  }

  /** The fish of a lot: 1, 2 and so on. */
  static List<Integer> all(int fish) {
    return IntStream.rangeClosed(1, fish).boxed().toList();
  }
}
