package mosaicknife.core.slice;

import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;
import mosaicknife.core.anatomy.Eating;
import mosaicknife.core.anatomy.MassProfile;
import mosaicknife.core.anatomy.Species;
import mosaicknife.core.quantity.Fraction;
import mosaicknife.core.quantity.Mass;

/**
 * What is done about the pin bones of a fillet before it is portioned.
 *
 * @param fillet the fillet before it
 * @param way what is done
 * @param lanes what is portioned: one fillet, or the back, the belly side and the tail
 * @param strip what the cut takes out with the bones; zero where none is taken out
 */
public record PinBoneCut(Fillet fillet, Way way, List<Lane> lanes, Mass strip) {

  /** So much of the front lies above the row: the back is thicker than the belly side. */
  private static final double ABOVE = 0.55;

  private static final int STEPS = 100;

  /** Copies the lanes. */
  public PinBoneCut {
    lanes = List.copyOf(lanes);
  }

  /** Which part of a fillet is portioned. */
  public enum Zone {
    /** All of it. */
    WHOLE,
    /** The back above the row, boneless. */
    BACK,
    /** The belly side with the row. */
    BELLY_SIDE,
    /** Behind the last pin bone. */
    TAIL
  }

  /**
   * A part of the fillet that is portioned by itself.
   *
   * @param zone which
   * @param fillet its own shape and mass
   * @param from where it begins on the whole fillet, 0 at the head end
   * @param to where it ends
   */
  public record Lane(Zone zone, Fillet fillet, double from, double to) {}

  /** What can be done about pin bones. */
  public enum Way {
    /** They stay in and are said to the pass, or are pulled one by one: nothing is lost. */
    LEFT_IN,
    /** A strip or V on both sides of the row comes out. */
    STRIP,
    /** The back is cut off above the row, the tail behind the last bone; the rest has them. */
    ABOVE_THE_ROW;

    /**
     * Returns what of it can be done with a fish: fine bones that lie everywhere stay in.
     *
     * @param species the fish
     * @return this way, or that they are left in
     */
    public Way of(Species species) {
      return species.isFullOfFineBones() ? LEFT_IN : this;
    }
  }

  /**
   * Makes the cut.
   *
   * @param fillet the fillet
   * @param way what is done about its pin bones
   * @return what is left to portion; the fillet as it is where it has no pin bones
   */
  public static PinBoneCut of(Fillet fillet, Way way) {
    double to = fillet.pinBonesTo();
    if (to <= 0 || way == Way.LEFT_IN) {
      return new PinBoneCut(
          fillet, Way.LEFT_IN, List.of(new Lane(Zone.WHOLE, fillet, 0, 1)), Mass.ZERO);
    }
    return way == Way.STRIP ? strip(fillet) : aboveTheRow(fillet);
  }

  /** The strip is as wide everywhere, so it takes more where the fillet is thicker. */
  private static PinBoneCut strip(Fillet fillet) {
    double strip = Eating.pinBoneStrip(fillet.pinBonesTo()) * fillet.mass().milligrams() / 1000.0;
    double[] thick = new double[STEPS];
    double sum = 0;
    for (int i = 0; i < STEPS; i++) {
      double boned = Math.max(0, Math.min(1, fillet.pinBonesTo() * STEPS - i));
      thick[i] = boned * fillet.millimetresAt((i + 0.5) / STEPS);
      sum += thick[i];
    }
    List<Double> left = new ArrayList<>();
    left.add(0.0);
    double so = 0;
    for (int i = 0; i < STEPS; i++) {
      double grams =
          fillet.gramsBefore((i + 1) / (double) STEPS) - fillet.gramsBefore(i / (double) STEPS);
      so += Math.max(0, grams - (sum <= 0 ? 0 : strip * thick[i] / sum));
      left.add(so);
    }
    double all = so;
    Mass rest = grams(all);
    List<Double> shares = left.stream().map(one -> Math.min(1, one / all)).toList();
    Fillet boned =
        new Fillet(
            rest,
            fillet.centimetres(),
            fillet.measured(),
            0,
            new MassProfile(fillet.profile().from(), fillet.profile().to(), exactEnds(shares)),
            fillet.thickness(),
            fillet.body(),
            fillet.slimmer());
    return new PinBoneCut(
        fillet, Way.STRIP, List.of(new Lane(Zone.WHOLE, boned, 0, 1)), fillet.mass().minus(rest));
  }

  /** A profile begins at nothing and ends at all of it, whatever was rounded on the way. */
  private static List<Double> exactEnds(List<Double> shares) {
    List<Double> all = new ArrayList<>(shares);
    all.set(0, 0.0);
    all.set(all.size() - 1, 1.0);
    return all;
  }

  private static PinBoneCut aboveTheRow(Fillet fillet) {
    double to = fillet.pinBonesTo();
    Mass front = grams(Math.floor(fillet.gramsBefore(to)));
    Mass back =
        Mass.ofMilligrams(
            front.multipliedBy(Fraction.ofEstimate(ABOVE), RoundingMode.DOWN).milligrams()
                / 1000
                * 1000);
    Mass belly = front.minus(back);
    Mass tail = fillet.mass().minus(front);
    List<Lane> lanes = new ArrayList<>();
    add(lanes, Zone.BACK, fillet, back, 0, to);
    add(lanes, Zone.BELLY_SIDE, fillet, belly, 0, to);
    add(lanes, Zone.TAIL, fillet, tail, to, 1);
    return new PinBoneCut(fillet, Way.ABOVE_THE_ROW, lanes, Mass.ZERO);
  }

  private static void add(
      List<Lane> lanes, Zone zone, Fillet fillet, Mass mass, double from, double to) {
    if (mass.milligrams() < 1000 || to <= from) {
      return;
    }
    double before = fillet.profile().before(from);
    double share = fillet.profile().before(to) - before;
    List<Double> cumulative = new ArrayList<>();
    for (int i = 0; i <= STEPS; i++) {
      double s = from + (to - from) * i / STEPS;
      cumulative.add(Math.min(1, (fillet.profile().before(s) - before) / share));
    }
    double length = fillet.profile().to() - fillet.profile().from();
    Fillet lane =
        new Fillet(
            mass,
            fillet.centimetres() * (to - from),
            fillet.measured(),
            zone == Zone.BELLY_SIDE ? 1 : 0,
            new MassProfile(
                fillet.profile().from() + from * length,
                fillet.profile().from() + to * length,
                exactEnds(cumulative)),
            fillet.thickness(),
            fillet.body(),
            fillet.slimmer());
    lanes.add(new Lane(zone, lane, from, to));
  }

  /**
   * Returns how much of the front lies above the row.
   *
   * @return the share of its width
   */
  public static double above() {
    return ABOVE;
  }

  private static Mass grams(double grams) {
    return Mass.ofMilligrams(Math.round(grams * 1000));
  }
}
