package mosaicknife.core.buying;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.function.Predicate;
import mosaicknife.core.anatomy.SizeGrade;
import mosaicknife.core.breakdown.Likeness;
import mosaicknife.core.check.Check;
import mosaicknife.core.plan.CutPlan.MainCut;
import mosaicknife.core.portion.Eaten;
import mosaicknife.core.portion.Serving;
import org.apache.commons.statistics.distribution.TruncatedNormalDistribution;

/**
 * How many whole portions are inside one fish of a size grade.
 *
 * <p>The mass of the fish within its grade, how meaty fish of the kind are, and how one fillet
 * differs from its twin are all uncertain. Mass and meatiness are integrated at evenly spaced
 * points weighted by their density, so that no tail is cut; given both, the portions of each fillet
 * follow from the normal distribution of its mass, and the fillets are added by convolution, since
 * a portion never spans two of them.
 *
 * <p>Where plates are made of several pieces, each is worth a part of one: half where two make a
 * plate, 1/k of light slices that are filled up, of {@code k = ⌈lightest ÷ fillet⌉} alike, what it
 * weighs where plates are made by weight. Then the plates of several fish are taken as normal with
 * the mean and variance of these worths (central limit theorem), rounded down; so the risk follows
 * from the weights, and portions per fish change smoothly with the grade.
 *
 * @param perFish the distribution of portions per fish; without meaning where pieces are put
 *     together
 * @param together the plates of one fish where pieces are put together
 */
public record FishPortions(Counts perFish, Optional<Together> together) {

  /** More light fillets than this, and plates are made of several. */
  private static final double LIGHT = 0.05;

  /**
   * The plates that one fish is worth where pieces are put together.
   *
   * @param mean the mean, above 0
   * @param variance the variance
   */
  public record Together(double mean, double variance) {

    private double below(int portions, int fish) {
      double spread = Math.sqrt(Math.max(1e-9, fish * variance));
      return NormalTable.below((portions - fish * mean) / spread);
    }
  }

  /** The least a cut weighs, as a fraction of what it usually weighs. */
  static final double LEAST_OF_MEAN = 0.2;

  /** Beyond so many deviations nothing is left that a kitchen could notice. */
  private static final double FAR = 4.5;

  private static final int MASS_NODES = 16;

  /** Deviations from here to there in steps: nothing a kitchen could notice lies beyond. */
  private static final double FARTHEST = 4;

  private static final double STEP = 0.4;
  private static final double[] DEVIATIONS = deviations();
  private static final double[] WEIGHTS = weights();
  private static final double[] MASS_WEIGHTS = massWeights();

  /** Refuses what is missing. */
  public FishPortions {
    Check.notNull(perFish, "portions per fish");
    Check.notNull(together, "pieces put together");
  }

  private static double[] deviations() {
    int steps = (int) Math.round(2 * FARTHEST / STEP);
    double[] points = new double[steps + 1];
    for (int i = 0; i <= steps; i++) {
      points[i] = -FARTHEST + i * STEP;
    }
    return points;
  }

  /**
   * The density at each deviation: the trapezoidal rule, which for a smooth function that vanishes
   * at both ends is exact but for what lies beyond them.
   */
  private static double[] weights() {
    double[] weights = new double[DEVIATIONS.length];
    double sum = 0;
    for (int i = 0; i < weights.length; i++) {
      weights[i] = Math.exp(-DEVIATIONS[i] * DEVIATIONS[i] / 2);
      sum += weights[i];
    }
    for (int i = 0; i < weights.length; i++) {
      weights[i] /= sum;
    }
    return weights;
  }

  /**
   * Works out the portions of a fish.
   *
   * @param mains its main cuts, by the cut plan; of a fish served whole, those it would have
   * @param grade the size grade of the fish in that state
   * @param serving what counts as a portion
   * @param sides how alike two sides of one fish are
   * @return the portions per fish
   */
  public static FishPortions of(
      List<MainCut> mains, SizeGrade grade, Serving serving, Likeness sides) {
    return switch (serving.form()) {
      case SLICES ->
          serving.filled()
              ? ofFilled(mains, grade, serving, sides)
              : apart(integrated(mains, masses(grade), slices(light(serving)), sides));
      case PIECES ->
          serving.count() == 1
              ? apart(atMostOneEach(mains, grade, serving, sides))
              : ofWorths(mains, grade, sides, inPieces(serving));
      case BY_WEIGHT -> ofWorths(mains, grade, sides, (cut, mass) -> mass / light(serving));
      case SHARED -> ofShared(mains, grade, serving, sides);
      case FISH ->
          serving.count() == 1
              ? apart(Counts.exactly(1))
              // a little more than its share, so that n fish are a plate and not just short of it
              : new FishPortions(
                  Counts.exactly(0), Optional.of(new Together(1.0 / serving.count() + 1e-7, 0)));
    };
  }

  private static FishPortions apart(Counts perFish) {
    return new FishPortions(perFish, Optional.empty());
  }

  private static double light(Serving serving) {
    return serving.lightest().milligrams();
  }

  private static OfPiece inPieces(Serving serving) {
    double main = leastOf(serving, Eaten.Cut.MAIN);
    double piece = leastOf(serving, Eaten.Cut.PIECE);
    return (cut, mass) -> mass >= (cut.isPiece() ? piece : main) ? 1.0 / serving.count() : 0;
  }

  private static Eaten.Cut cutOf(MainCut cut) {
    return cut.isPiece() ? Eaten.Cut.PIECE : Eaten.Cut.MAIN;
  }

  /** The lightest that is served of a cut, where a plate is so many pieces. */
  private static double leastOf(Serving serving, Eaten.Cut cut) {
    return serving.leastServed(cut).milligrams();
  }

  /** What a piece is worth in plates, by the cut it is and its mass. */
  private interface OfPiece {
    double plates(MainCut cut, double mass);
  }

  /** From which mass on a cut gives so many portions; it rises with their number. */
  private interface Edges {
    double of(int portions);
  }

  private static Edges slices(double lightest) {
    return portions -> portions * lightest;
  }

  private static int portions(Edges edges, double mass) {
    int most = 1;
    while (edges.of(most) <= mass) {
      most *= 2;
    }
    int few = most / 2;
    while (most - few > 1) {
      int middle = (few + most) / 2;
      if (edges.of(middle) <= mass) {
        few = middle;
      } else {
        most = middle;
      }
    }
    return few;
  }

  private static FishPortions ofFilled(
      List<MainCut> mains, SizeGrade grade, Serving serving, Likeness sides) {
    double lightest = light(serving);
    double[] masses = masses(grade);
    if (isNeverLight(mains, masses[0], lightest, sides)
        || light(mains, masses, lightest, sides) <= LIGHT) {
      return apart(integrated(mains, masses, slices(lightest), sides));
    }
    Worth worth = new Worth((cut, mass) -> plates(mass / lightest));
    worth.addAll(mains, masses, sides);
    return new FishPortions(Counts.exactly(0), Optional.of(worth.together()));
  }

  /** How many of the cuts are lighter than a portion. */
  private static double light(
      List<MainCut> mains, double[] masses, double lightest, Likeness sides) {
    double light = 0;
    for (MainCut cut : mains) {
      for (int at = 0; at < MASS_NODES; at++) {
        double share = lightest / masses[at];
        for (int node = 0; node < DEVIATIONS.length; node++) {
          double mean = cut.mean() + sides.shared() * cut.spread() * DEVIATIONS[node];
          double below =
              share <= LEAST_OF_MEAN * cut.mean()
                  ? 0
                  : NormalTable.below((share - mean) / (sides.own() * cut.spread()));
          light += MASS_WEIGHTS[at] * WEIGHTS[node] * below;
        }
      }
    }
    return mains.isEmpty() ? 0 : light / mains.size();
  }

  private static double plates(double portions) {
    return portions >= 1 ? Math.floor(portions) : 1 / Math.ceil(1 / portions);
  }

  private static FishPortions ofWorths(
      List<MainCut> mains, SizeGrade grade, Likeness sides, OfPiece worth) {
    Worth worths = new Worth(worth);
    worths.addAll(mains, masses(grade), sides);
    return new FishPortions(Counts.exactly(0), Optional.of(worths.together()));
  }

  /** A cut that is heavy enough is one plate, however heavy it is. */
  private static Counts atMostOneEach(
      List<MainCut> mains, SizeGrade grade, Serving serving, Likeness sides) {
    List<Edges> edges = mains.stream().map(main -> slices(leastOf(serving, cutOf(main)))).toList();
    return averaged(
        masses(grade),
        (mass, deviation) -> {
          Run fish = new Run(0, new double[] {1});
          for (int i = 0; i < edges.size(); i++) {
            Run cut = ofOneCut(mains.get(i), mass, deviation, edges.get(i), sides);
            double none = cut.from == 0 ? cut.values[0] : 0;
            fish = fish.plus(new Run(0, new double[] {none, 1 - none}));
          }
          return fish;
        });
  }

  /**
   * Whether even the leanest cut of the smallest fish is a portion, so that none need be added up.
   */
  private static boolean isNeverLight(
      List<MainCut> mains, double smallest, double lightest, Likeness sides) {
    double off = (sides.shared() + sides.own()) * DEVIATIONS[0];
    return !mains.isEmpty()
        && mains.stream().allMatch(cut -> smallest * share(cut, off) >= lightest);
  }

  /** The share of a cut in a fish so many deviations off its norm. */
  private static double share(MainCut cut, double off) {
    return Math.max(LEAST_OF_MEAN * cut.mean(), cut.mean() + off * cut.spread());
  }

  /** Sums up what fish of known mass and meatiness are worth in plates. */
  private static final class Worth {

    private final OfPiece ofPiece;
    private double fish;
    private double sum;
    private double squares;

    private Worth(OfPiece ofPiece) {
      this.ofPiece = ofPiece;
    }

    private void addAll(List<MainCut> mains, double[] masses, Likeness sides) {
      for (int at = 0; at < MASS_NODES; at++) {
        for (int node = 0; node < DEVIATIONS.length; node++) {
          add(mains, masses[at], MASS_WEIGHTS[at], node, sides);
        }
      }
    }

    /** One fish: given mass and meatiness, its cuts differ on their own. */
    private void add(List<MainCut> mains, double mass, double ofMass, int node, Likeness sides) {
      double weight = ofMass * WEIGHTS[node];
      double mean = 0;
      double variance = 0;
      for (MainCut cut : mains) {
        double ofCut = 0;
        double squaresOfCut = 0;
        for (int own = 0; own < DEVIATIONS.length; own++) {
          double off = sides.shared() * DEVIATIONS[node] + sides.own() * DEVIATIONS[own];
          double plates = ofPiece.plates(cut, mass * share(cut, off));
          ofCut += WEIGHTS[own] * plates;
          squaresOfCut += WEIGHTS[own] * plates * plates;
        }
        mean += ofCut;
        variance += squaresOfCut - ofCut * ofCut;
      }
      fish += weight;
      sum += weight * mean;
      squares += weight * (mean * mean + variance);
    }

    private Together together() {
      double mean = sum / fish;
      return new Together(mean, squares / fish - mean * mean);
    }
  }

  /** What is eaten of a fish counts, not its whole mass, and it serves at least one. */
  private static FishPortions ofShared(
      List<MainCut> mains, SizeGrade grade, Serving serving, Likeness sides) {
    double edible = mains.stream().mapToDouble(MainCut::mean).sum();
    double spread = sides.shared() * mains.stream().mapToDouble(MainCut::spread).sum();
    List<MainCut> all = List.of(new MainCut(edible, spread));
    // as the serving itself rounds: to the nearer number, none of them with too little
    double target = serving.target().milligrams();
    double least = Serving.LEAST_OF_SHARED.toDouble() * target;
    Edges guests = n -> n <= 1 ? 0 : Math.max(n * least, (n - 0.5) * target);
    return apart(integrated(all, masses(grade), guests, sides));
  }

  private static Counts integrated(
      List<MainCut> mains, double[] masses, Edges edges, Likeness sides) {
    return averaged(masses, (mass, deviation) -> ofOneFish(mains, mass, deviation, edges, sides));
  }

  private interface OneFish {
    Run of(double mass, double deviation);
  }

  private static Counts averaged(double[] masses, OneFish known) {
    double[] total = new double[1];
    for (int at = 0; at < MASS_NODES; at++) {
      for (int node = 0; node < DEVIATIONS.length; node++) {
        double weight = WEIGHTS[node] * MASS_WEIGHTS[at];
        Run fish = known.of(masses[at], DEVIATIONS[node]);
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
      List<MainCut> mains, double mass, double deviation, Edges edges, Likeness sides) {
    Run fish = new Run(0, new double[] {1});
    Run cut = fish;
    MainCut before = null;
    for (MainCut main : mains) {
      // left and right have the same norm, so their distribution is worked out once
      if (before == null || main.mean() != before.mean() || main.spread() != before.spread()) {
        cut = ofOneCut(main, mass, deviation, edges, sides);
      }
      fish = fish.plus(cut);
      before = main;
    }
    return fish;
  }

  /** Evenly spaced over the grade, each for the fish nearest to it. */
  private static double[] masses(SizeGrade grade) {
    double from = grade.from().milligrams();
    double step = (grade.to().milligrams() - from) / MASS_NODES;
    double[] masses = new double[MASS_NODES];
    for (int i = 0; i < MASS_NODES; i++) {
      masses[i] = from + (i + 0.5) * step;
    }
    return masses;
  }

  /** Within a grade most fish lie about the middle: a normal distribution cut off at its ends. */
  private static double[] massWeights() {
    TruncatedNormalDistribution grade = TruncatedNormalDistribution.of(0.5, 0.25, 0, 1);
    double[] weights = new double[MASS_NODES];
    for (int i = 0; i < MASS_NODES; i++) {
      weights[i] = grade.probability(i / (double) MASS_NODES, (i + 1) / (double) MASS_NODES);
    }
    return weights;
  }

  /** The portions in one cut of a fish of known mass and meatiness. */
  private static Run ofOneCut(
      MainCut cut, double fishMass, double deviation, Edges edges, Likeness sides) {
    double mean = fishMass * (cut.mean() + sides.shared() * cut.spread() * deviation);
    double sigma = fishMass * sides.own() * cut.spread();
    double least = fishMass * LEAST_OF_MEAN * cut.mean();
    int from = portions(edges, Math.max(least, mean - FAR * sigma));
    int to = Math.max(from, portions(edges, Math.max(least, mean + FAR * sigma)));
    double[] probabilities = new double[to - from + 1];
    double before = 0;
    for (int k = from; k < to; k++) {
      double edge = edges.of(k + 1);
      double upTo = edge <= least ? 0 : NormalTable.below((edge - mean) / sigma);
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
    if (together.isPresent()) {
      return putTogether(together.get(), fish, cap);
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

  private static Counts putTogether(Together plates, int fish, int cap) {
    if (fish == 0) {
      return Counts.exactly(0);
    }
    double[] probabilities = new double[cap + 1];
    double before = 0;
    for (int portions = 0; portions < cap; portions++) {
      double upTo = plates.below(portions + 1, fish);
      probabilities[portions] = upTo - before;
      before = upTo;
    }
    probabilities[cap] = 1 - before;
    return Counts.of(probabilities);
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
    if (together.isPresent()) {
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
    return together.map(Together::mean).orElseGet(perFish::mean);
  }
}
