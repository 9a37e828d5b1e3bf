package mosaicknife.core.breakdown;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import mosaicknife.core.breakdown.TallyLine.Standing;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.TypedMass;

/**
 * The logarithm of the density of a tally: of the parts under their norms, two parts of one kin
 * being alike, and of the loss they leave under its norm. For the figures as they were written
 * down, and with one thing changed, which leaves the rest as it is.
 *
 * <p>A part without norm may weigh anything. Densities are up to a factor that is the same for all
 * changes; what a change adds of its own is said at its method.
 */
final class Likelihood {

  private static final double MG = 1000;

  /** How far off the norms are that the house starts with, as a fraction; an estimate. */
  private static final double NORM_OFF = 0.07;

  private static final double ROOT_OF_TWO_PI = Math.sqrt(2 * Math.PI);

  /** A figure that came about in any way lies anywhere on four powers of ten. */
  private static final double ANYWHERE = Math.log(1e4);

  private final List<TallyLine> lines;
  private final HouseNorms norms;
  private final double whole;
  private final double scale;
  private final double factor;
  private final double scales;
  private final double[] read;
  private final double[] expected;
  private final double[] spread;
  private final Map<String, Kin> kins = new HashMap<>();
  private double left;
  private double variance;
  private double toCome;
  private boolean open;
  private double ofKins;

  /** Deviations that share a common part: how many, their sum and the sum of their squares. */
  private record Kin(int count, double sum, double squares) {

    static final Kin NONE = new Kin(0, 0, 0);

    Kin with(double z) {
      return Double.isNaN(z) ? this : new Kin(count + 1, sum + z, squares + z * z);
    }

    Kin without(double z) {
      return Double.isNaN(z) ? this : new Kin(count - 1, sum - z, squares - z * z);
    }
  }

  Likelihood(List<TallyLine> lines, Mass whole, HouseNorms norms) {
    this(lines, grams(whole), 1, scaleVariance(lines, whole, norms), norms, readings(lines));
  }

  private Likelihood(
      List<TallyLine> lines,
      double whole,
      double factor,
      double scales,
      HouseNorms norms,
      double[] read) {
    this.lines = lines;
    this.norms = norms;
    this.whole = whole;
    this.factor = factor;
    this.scales = scales;
    this.scale = Math.sqrt(scales);
    this.read = read;
    this.expected = IntStream.range(0, read.length).mapToDouble(this::expectedOf).toArray();
    this.spread = IntStream.range(0, read.length).mapToDouble(this::spreadOf).toArray();
    this.left = whole;
    this.variance = Math.pow(whole * norms.loss().spread(), 2) + scales;
    double normed = 0;
    for (int i = 0; i < read.length; i++) {
      TallyLine line = lines.get(i);
      if (!Double.isNaN(read[i])) {
        left -= read[i];
        double z = z(i, read[i]);
        kins.merge(line.kin(), Kin.NONE.with(z), (a, b) -> a.with(z));
        normed += Double.isNaN(z) ? 0 : 1;
      } else if (line.standing() != Standing.LEFT_OUT) {
        left -= expected(i);
        toCome += expected(i);
        variance += Math.pow(spread(i), 2);
        open = true;
      }
    }
    // a norm that is wider for a heavier fish is less dense
    ofKins = -normed * Math.log(factor);
    kins.values().forEach(kin -> ofKins += alike(kin));
  }

  private static double[] readings(List<TallyLine> lines) {
    return lines.stream()
        .mapToDouble(line -> line.mass().map(Likelihood::grams).orElse(Double.NaN))
        .toArray();
  }

  /**
   * Each figure is as fine as it is, the whole as fine as it was written, or as the house's scale.
   */
  private static double scaleVariance(List<TallyLine> lines, Mass whole, HouseNorms norms) {
    double own = ScaleError.of(TypedMass.stepOf(whole)).sigmaGrams(1);
    double variance = Math.pow(Math.max(own, norms.scale().sigmaGrams(1)), 2);
    for (TallyLine line : lines) {
      variance += Math.pow(ScaleError.of(line.step()).sigmaGrams(1), 2);
    }
    return variance;
  }

  /** What the lines and the expected loss leave of the whole; negative if over. */
  double residual() {
    return left - whole * norms.loss().mean();
  }

  /** What the figures alone leave of the whole; negative if over. */
  double remainder() {
    return whole - IntStream.range(0, read.length).mapToDouble(this::weighed).sum();
  }

  private double weighed(int i) {
    return Double.isNaN(read[i]) ? 0 : read[i];
  }

  double sigma() {
    return Math.sqrt(variance);
  }

  /** The standard deviation of whole less parts by the scales alone. */
  double scale() {
    return scale;
  }

  boolean isOpen() {
    return open;
  }

  /** How far a figure lies off its norm in standard deviations; not a number without norm. */
  double deviation(int i) {
    return Double.isNaN(read[i]) ? Double.NaN : z(i, read[i]);
  }

  private double z(int i, double grams) {
    double spread = spread(i);
    return spread > 0 && lines.get(i).expected().isPresent()
        ? (grams - expected(i)) / spread
        : Double.NaN;
  }

  private double expected(int i) {
    return expected[i];
  }

  private double spread(int i) {
    return spread[i];
  }

  private double expectedOf(int i) {
    return factor * lines.get(i).expected().map(Likelihood::grams).orElse(0.0);
  }

  /**
   * The norm itself is a starting estimate that may be off by a part of itself, and a figure is no
   * finer than it was read.
   */
  private double spreadOf(int i) {
    TallyLine line = lines.get(i);
    double own = grams(line.spread());
    if (own == 0) {
      return 0;
    }
    double norm = NORM_OFF * line.expected().map(Likelihood::grams).orElse(0.0);
    double scaleError = ScaleError.of(line.step()).sigmaGrams(1);
    return factor * Math.sqrt(own * own + norm * norm + scaleError * scaleError);
  }

  // ---- as written, and with one thing changed --------------------------------------------------

  double asWritten() {
    return ofKins + remainder(left, variance, toCome);
  }

  /**
   * One figure that was another one, and what that changes by itself.
   *
   * @param line the line
   * @param figure what it read then; not a number for a part that was never weighed, whose mass is
   *     missing
   * @param density how the density of its kin changes
   * @param moved by how much more is left of the whole
   * @param more what is less sure of it, as a variance
   */
  record Change(int line, double figure, double density, double moved, double more) {

    boolean isMissing() {
      return Double.isNaN(figure);
    }

    /** What of it is a guess that may be nothing at all. */
    double guessed() {
      return isMissing() ? -moved : 0;
    }
  }

  Change change(int i, double figure) {
    return Double.isNaN(figure)
        ? new Change(i, figure, 0, -expected(i), Math.pow(spread(i), 2))
        : new Change(i, figure, density(i, z(i, read[i]), z(i, figure)), read[i] - figure, 0);
  }

  double with(Change one) {
    return ofKins
        + one.density
        + remainder(left + one.moved, variance + one.more, toCome + one.guessed());
  }

  /** Two figures corrected: two errors in one tally. */
  double with(Change one, Change two) {
    return ofKins
        + densityOf(one, two)
        + remainder(
            left + one.moved + two.moved,
            variance + one.more + two.more,
            toCome + one.guessed() + two.guessed());
  }

  /** The figure is no figure of this part, which weighs what the norm expects, nobody knows. */
  private double without(int i) {
    double more = Math.pow(spread(i), 2);
    return ofKins
        + density(i, z(i, read[i]), Double.NaN)
        + remainder(left + read[i] - expected(i), variance + more, toCome + expected(i));
  }

  /** Any other error: the figure lies anywhere. */
  double anything(int i) {
    return without(i) + anywhere(i);
  }

  private double anywhere(int i) {
    return Math.log(spread(i) * ROOT_OF_TWO_PI / (read[i] * ANYWHERE));
  }

  /** One figure corrected, and another that lies anywhere: two errors in one tally. */
  double withAndAnything(Change one, int j) {
    double more = one.more + Math.pow(spread(j), 2);
    Change lost = new Change(j, Double.NaN, density(j, z(j, read[j]), Double.NaN), 0, 0);
    return ofKins
        + densityOf(one, lost)
        + remainder(
            left + one.moved + read[j] - expected(j),
            variance + more,
            toCome + one.guessed() + expected(j))
        + anywhere(j);
  }

  /** What two lines change together; of one kin they are counted as one. */
  private double densityOf(Change one, Change two) {
    String kin = lines.get(one.line).kin();
    if (!kin.equals(lines.get(two.line).kin())) {
      return one.density + two.density;
    }
    Kin before = kins.getOrDefault(kin, Kin.NONE);
    Kin after = moved(moved(before, one), two);
    return alike(after) - alike(before);
  }

  private Kin moved(Kin kin, Change one) {
    double now = one.isMissing() ? Double.NaN : z(one.line, one.figure);
    return kin.without(deviation(one.line)).with(now);
  }

  /** The figure is one of another piece, weighed twice: as near to it as two readings are. */
  double same(int i, int as) {
    double two =
        Math.hypot(
            ScaleError.of(lines.get(i).step()).sigmaGrams(1),
            ScaleError.of(lines.get(as).step()).sigmaGrams(1));
    double apart = (read[i] - read[as]) / two;
    return without(i) - apart * apart / 2 + Math.log(spread(i) / two);
  }

  double exchanged(int i, int j) {
    return with(change(i, read[j]), change(j, read[i]));
  }

  /** Rows with other figures: each takes the figure of the row named, or none. */
  Likelihood assigned(int[] figureOf) {
    double[] others = new double[read.length];
    for (int i = 0; i < others.length; i++) {
      others[i] = figureOf[i] < 0 ? Double.NaN : read[figureOf[i]];
    }
    return new Likelihood(lines, whole, factor, scales, norms, others);
  }

  /** The same parts of a fish that weighs otherwise, so that each is expected otherwise. */
  Likelihood ofWhole(double grams) {
    return new Likelihood(lines, grams, factor * grams / whole, scales, norms, read);
  }

  /** Something is missing that has no row; up to a tenth of the fish or so. */
  double withMissing(double usual) {
    double more = Math.pow(whole * usual, 2);
    return ofKins + Math.log(2) + remainder(left, variance + more, toCome);
  }

  private double density(int i, double was, double now) {
    if (Double.isNaN(was)) {
      return 0;
    }
    Kin before = kins.get(lines.get(i).kin());
    return alike(before.without(was).with(now)) - alike(before);
  }

  /**
   * The log-density of deviations that share a common part: covariance own·I + common·11ᵀ, inverted
   * by the Sherman–Morrison formula, up to a factor that depends on their number alone.
   */
  private double alike(Kin kin) {
    double common = norms.sides().correlation();
    double shared = common / (1 - common + kin.count() * common);
    return kin.count() <= 1
        ? -kin.squares() / 2
        : -(kin.squares() - shared * kin.sum() * kin.sum()) / (1 - common) / 2;
  }

  /**
   * The log-density of what is left under the loss norm. Less than nothing only the scale allows,
   * were all that is guessed of it nothing.
   */
  private double remainder(double rest, double spread, double guessed) {
    double z = (rest - whole * norms.loss().mean()) / Math.sqrt(spread);
    double below = Math.min(0, rest + guessed) / scale;
    return -z * z / 2 - Math.log(spread) / 2 - below * below / 2;
  }

  private static double grams(Mass mass) {
    return mass.milligrams() / MG;
  }
}
