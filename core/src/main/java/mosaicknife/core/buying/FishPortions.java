package mosaicknife.core.buying;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.OptionalInt;
import java.util.function.Predicate;
import mosaicknife.core.anatomy.SizeGrade;
import mosaicknife.core.breakdown.StartingNorms;
import mosaicknife.core.breakdown.StartingNorms.PartNorm;
import mosaicknife.core.check.Check;
import org.apache.commons.statistics.distribution.NormalDistribution;
import org.apache.commons.statistics.distribution.TruncatedNormalDistribution;

/**
 * How many whole portions are inside one fish of a size grade.
 *
 * <p>The mass of the fish within its grade, how meaty fish of the kind are, and how one fillet
 * differs from its twin are all uncertain. Mass and meatiness are integrated at midpoints of equal
 * probability; given both, the portions of each fillet follow from the normal distribution of its
 * mass, and the fillets are added by convolution, since a portion never spans two of them.
 *
 * @param perFish the distribution of portions per fish; without meaning where several fillets make
 *     a portion
 * @param piecesPerPortion how many fillets make one portion; 1 if portions are cut out of fillets,
 *     more where fillets are so small that this gives more portions
 * @param piecesPerFish how many fillets one fish has
 */
public record FishPortions(Counts perFish, int piecesPerPortion, int piecesPerFish) {

  /**
   * The fillets of one fish are alike: most of the deviation is common to the fish. The square of
   * this is the correlation between its sides.
   */
  static final double COMMON = 0.95;

  static final double OWN = Math.sqrt(1 - COMMON * COMMON);

  /** The least a cut weighs, as a fraction of what it usually weighs. */
  static final double LEAST_OF_MEAN = 0.2;

  /** Beyond so many deviations nothing is left that a kitchen could notice. */
  private static final double FAR = 4.5;

  private static final int MASS_NODES = 16;
  private static final int DEVIATION_NODES = 12;
  private static final NormalDistribution NORMAL = NormalDistribution.of(0, 1);
  private static final double[] DEVIATIONS = midpoints();

  /** Refuses a fish without pieces. */
  public FishPortions {
    Check.notNull(perFish, "portions per fish");
    Check.inRange(piecesPerPortion, 1, 10_000, "pieces per portion");
    Check.inRange(piecesPerFish, 1, 99, "pieces per fish");
  }

  private static double[] midpoints() {
    double[] points = new double[DEVIATION_NODES];
    for (int i = 0; i < DEVIATION_NODES; i++) {
      points[i] = NORMAL.inverseCumulativeProbability((i + 0.5) / DEVIATION_NODES);
    }
    return points;
  }

  /**
   * Works out the portions of a fish whose main cuts are portioned.
   *
   * @param norms what the fish becomes in the state it is bought and the specification it is cut to
   * @param grade the size grade of the fish in that state
   * @param rule what counts as a portion
   * @return the portions per fish
   */
  public static FishPortions ofCuts(StartingNorms norms, SizeGrade grade, PortionRule rule) {
    List<PartNorm> mains = norms.parts().stream().filter(PartNorm::main).toList();
    double lightest = rule.lightest().milligrams();
    double middle = grade.middle().milligrams();
    double usual = mains.stream().mapToDouble(PartNorm::mean).average().orElse(0) * middle;
    double largest = mains.stream().mapToDouble(PartNorm::mean).max().orElse(0) * middle;
    if (largest < lightest) {
      return new FishPortions(Counts.exactly(0), (int) Math.ceil(lightest / usual), mains.size());
    }
    return new FishPortions(integrated(mains, grade, lightest), 1, mains.size());
  }

  /**
   * Works out the portions of a fish that is served whole: its edible mass counts, not its whole
   * mass, and it serves at least one.
   *
   * @param norms what the fish becomes
   * @param grade the size grade of the fish
   * @param rule the edible mass that one guest is served
   * @return the portions per fish
   */
  public static FishPortions ofWhole(StartingNorms norms, SizeGrade grade, PortionRule rule) {
    double edible = norms.mains();
    double spread =
        COMMON * norms.parts().stream().filter(PartNorm::main).mapToDouble(PartNorm::spread).sum();
    PartNorm all = new PartNorm("whole", "whole", "Whole fish", true, edible, spread);
    Counts counts = integrated(List.of(all), grade, rule.lightest().milligrams());
    double[] atLeastOne = new double[Math.max(2, counts.most() + 1)];
    for (int i = 0; i <= counts.most(); i++) {
      atLeastOne[Math.max(1, i)] += counts.probability(i);
    }
    return new FishPortions(Counts.of(atLeastOne), 1, 1);
  }

  private static Counts integrated(List<PartNorm> mains, SizeGrade grade, double lightest) {
    double[] total = new double[1];
    double weight = 1.0 / (MASS_NODES * DEVIATIONS.length);
    for (double mass : masses(grade)) {
      for (double deviation : DEVIATIONS) {
        Run fish = ofOneFish(mains, mass, deviation, lightest);
        if (fish.end() > total.length) {
          total = Arrays.copyOf(total, fish.end());
        }
        for (int i = 0; i < fish.values.length; i++) {
          total[fish.from + i] += weight * fish.values[i];
        }
      }
    }
    return Counts.of(total);
  }

  /** Probabilities of a few neighbouring numbers, from a first one on. */
  private record Run(int from, double[] values) {

    int end() {
      return from + values.length;
    }

    Run plus(Run other) {
      double[] sum = new double[values.length + other.values.length - 1];
      for (int i = 0; i < values.length; i++) {
        for (int j = 0; j < other.values.length; j++) {
          sum[i + j] += values[i] * other.values[j];
        }
      }
      return new Run(from + other.from, sum);
    }
  }

  /** The portions of a fish of known mass and meatiness: its cuts, added by convolution. */
  private static Run ofOneFish(
      List<PartNorm> mains, double mass, double deviation, double lightest) {
    Run fish = new Run(0, new double[] {1});
    Run cut = fish;
    PartNorm before = null;
    for (PartNorm main : mains) {
      // left and right have the same norm, so their distribution is worked out once
      if (before == null || main.mean() != before.mean() || main.spread() != before.spread()) {
        cut = ofOneCut(main, mass, deviation, lightest);
      }
      fish = fish.plus(cut);
      before = main;
    }
    return fish;
  }

  private static double[] masses(SizeGrade grade) {
    TruncatedNormalDistribution distribution = massIn(grade);
    double[] masses = new double[MASS_NODES];
    for (int i = 0; i < MASS_NODES; i++) {
      masses[i] = distribution.inverseCumulativeProbability((i + 0.5) / MASS_NODES);
    }
    return masses;
  }

  /** Within a grade most fish lie about the middle: a normal distribution cut off at the ends. */
  static TruncatedNormalDistribution massIn(SizeGrade grade) {
    double from = grade.from().milligrams();
    double to = grade.to().milligrams();
    return TruncatedNormalDistribution.of((from + to) / 2, (to - from) / 4, from, to);
  }

  /** The portions in one cut of a fish of known mass and meatiness. */
  private static Run ofOneCut(PartNorm cut, double fishMass, double deviation, double lightest) {
    double mean = fishMass * (cut.mean() + COMMON * cut.spread() * deviation);
    double sigma = fishMass * OWN * cut.spread();
    double least = fishMass * LEAST_OF_MEAN * cut.mean();
    int from = (int) Math.floor(Math.max(least, mean - FAR * sigma) / lightest);
    int to = Math.max(from, (int) Math.floor(Math.max(least, mean + FAR * sigma) / lightest));
    double[] probabilities = new double[to - from + 1];
    double before = 0;
    for (int k = from; k < to; k++) {
      double edge = (k + 1) * lightest;
      double upTo = edge <= least ? 0 : NORMAL.cumulativeProbability((edge - mean) / sigma);
      probabilities[k - from] = upTo - before;
      before = upTo;
    }
    probabilities[to - from] = 1 - before;
    return new Run(from, probabilities);
  }

  /**
   * Returns the portions of several fish, where more than enough counts as enough.
   *
   * @param fish how many fish, from 0
   * @param cap the largest number of portions kept apart
   * @return the distribution of the smaller of portions and cap
   */
  public Counts of(int fish, int cap) {
    if (piecesPerPortion > 1) {
      long portions = (long) fish * piecesPerFish / piecesPerPortion;
      return Counts.exactly((int) Math.min(cap, portions));
    }
    Counts total = Counts.exactly(0);
    Counts power = perFish;
    for (int left = fish; left > 0; left /= 2) {
      if (left % 2 == 1) {
        total = total.plus(power, cap);
      }
      power = left > 1 ? power.plus(power, cap) : power;
    }
    return total;
  }

  /**
   * Finds the smallest number of fish whose portions satisfy a condition that more fish satisfy all
   * the more. Powers of two are made by doubling and then added from the largest down, so the work
   * grows with the logarithm of the number.
   *
   * @param enough the condition
   * @param cap the largest number of portions kept apart
   * @param most the most fish to try
   * @return the number of fish, or empty if even the most are not enough
   */
  public OptionalInt fewest(Predicate<Counts> enough, int cap, int most) {
    if (piecesPerPortion > 1) {
      return fewestTogether(enough, cap, most);
    }
    List<Counts> powers = new ArrayList<>(List.of(perFish));
    while (!enough.test(powers.get(powers.size() - 1))) {
      if (1 << powers.size() > most) {
        return OptionalInt.empty();
      }
      Counts last = powers.get(powers.size() - 1);
      powers.add(last.plus(last, cap));
    }
    int tooFew = 0;
    Counts total = Counts.exactly(0);
    for (int power = powers.size() - 2; power >= 0; power--) {
      Counts more = total.plus(powers.get(power), cap);
      if (!enough.test(more)) {
        total = more;
        tooFew += 1 << power;
      }
    }
    return OptionalInt.of(tooFew + 1);
  }

  private OptionalInt fewestTogether(Predicate<Counts> enough, int cap, int most) {
    int low = 0;
    int high = most;
    while (high - low > 1) {
      int middle = (low + high) / 2;
      if (enough.test(of(middle, cap))) {
        high = middle;
      } else {
        low = middle;
      }
    }
    return enough.test(of(high, cap)) ? OptionalInt.of(high) : OptionalInt.empty();
  }

  /**
   * Returns the expected portions of one fish.
   *
   * @return the mean
   */
  public double mean() {
    return piecesPerPortion > 1 ? piecesPerFish / (double) piecesPerPortion : perFish.mean();
  }
}
