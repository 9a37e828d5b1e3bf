package mosaicknife.core.heat;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import mosaicknife.core.check.Check;

/**
 * A piece on the heat: when its core reaches a temperature, when to pull it so that the heat in its
 * outside carries it there, and which figures cannot be true.
 */
public final class Doneness {

  /** How quickly heat spreads in fish, in m² a second; about that of water. */
  static final double DIFFUSIVITY = 1.4e-7;

  private static final double QUESTIONED = 2;
  private static final double CARRY_A_MILLIMETRE = 0.12;
  private static final double MOST_CARRIED = 8;

  private Doneness() {}

  /**
   * When a piece is done.
   *
   * @param at when the core reaches the temperature on the heat; empty if it never does there
   * @param pull when to take it off, so that it gets there by itself
   * @param carried how many degrees it rises after that; an estimate
   * @param ends what it ends at on this heat, in degrees Celsius
   */
  public record Done(
      Optional<LagFit.When> at, Optional<LagFit.When> pull, double carried, double ends) {}

  /**
   * Forecasts from readings of the core.
   *
   * @param readings the readings, in the order of time
   * @param wanted the core temperature that is wanted, in degrees Celsius
   * @param millimetres the thickness at the thickest point, positive
   * @param medium about how hot it is around it in degrees
   * @return the forecast; empty for less than two readings, or if the core does not rise
   */
  public static Optional<Done> of(
      List<Reading> readings, double wanted, double millimetres, double medium) {
    Check.inRange(millimetres, 1, 500, "thickness in millimetres");
    boolean rises =
        readings.size() >= 2
            && readings.get(readings.size() - 1).degrees() > readings.get(0).degrees() + 1;
    if (!rises) {
      return Optional.empty();
    }
    CoreFit fit = CoreFit.of(readings, millimetres, medium);
    if (fit.ways().isEmpty()) {
      return Optional.empty();
    }
    double carried =
        Math.min(MOST_CARRIED, Math.min(millimetres * CARRY_A_MILLIMETRE, (medium - wanted) / 20));
    double rest = Math.max(0, carried);
    return Optional.of(
        new Done(
            fit.reaches(wanted, readings), fit.reaches(wanted - rest, readings), rest, fit.ends()));
  }

  /**
   * Returns how long a slab takes until its core has a temperature, heated from both sides: one
   * term of the series for conduction in a plate.
   *
   * @param millimetres its thickness, positive
   * @param start its temperature, in degrees Celsius
   * @param wanted the core temperature, between start and medium
   * @param medium how hot it is around it
   * @return minutes, at the least: no heat gets in faster
   */
  public static double slabMinutes(double millimetres, double start, double wanted, double medium) {
    Check.that(
        start < wanted && wanted < medium,
        "Expected a core between start and heat, found %s".formatted(wanted));
    double metres = millimetres / 1000;
    double tau = metres * metres / (Math.PI * Math.PI * DIFFUSIVITY);
    double left = (medium - wanted) / (medium - start);
    return Math.max(0, tau * Math.log(4 / Math.PI / left)) / 60;
  }

  /** Whether a time can be true. */
  public enum Plausible {
    /** It can. */
    YES,
    /** Heat does not get in so fast. */
    TOO_SHORT,
    /** It takes much longer than heat needs. */
    TOO_LONG
  }

  /**
   * Questions a time that was typed or came with a recipe.
   *
   * @param minutes the time
   * @param millimetres the thickness
   * @param start the temperature at the start, in degrees Celsius
   * @param wanted the core temperature
   * @param medium how hot it is around it
   * @return whether it can be true, within a factor of two of conduction
   */
  public static Plausible question(
      double minutes, double millimetres, double start, double wanted, double medium) {
    double needed = slabMinutes(millimetres, start, wanted, medium);
    return minutes * QUESTIONED < needed
        ? Plausible.TOO_SHORT
        : minutes > needed * QUESTIONED ? Plausible.TOO_LONG : Plausible.YES;
  }

  /**
   * Questions what a probe is said to have shown: a core that got hot faster than heat gets in.
   *
   * @param readings the readings, in the order of time
   * @param millimetres the thickness
   * @param medium how hot it is around it
   * @return the least minutes it needs; empty if the readings can be true
   */
  public static OptionalDouble tooFast(List<Reading> readings, double millimetres, double medium) {
    double start = readings.get(0).degrees();
    Reading last = readings.get(readings.size() - 1);
    if (last.degrees() <= start || last.degrees() >= medium) {
      return OptionalDouble.empty();
    }
    double minutes = last.minutes() - readings.get(0).minutes();
    return question(minutes, millimetres, start, last.degrees(), medium) == Plausible.TOO_SHORT
        ? OptionalDouble.of(slabMinutes(millimetres, start, last.degrees(), medium))
        : OptionalDouble.empty();
  }
}
