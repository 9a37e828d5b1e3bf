package mosaicknife.core.slice;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import mosaicknife.core.anatomy.BodyPlan;
import mosaicknife.core.anatomy.MassProfile;
import mosaicknife.core.anatomy.Species;
import mosaicknife.core.anatomy.Thickness;
import mosaicknife.core.check.Check;
import mosaicknife.core.quantity.Mass;

/**
 * A fillet or loin on the board: how its mass, its width and its thickness lie along it.
 *
 * <p>The shape is the body plan's, scaled to the length: measured, or from the mass of the fish by
 * its condition factor. One that is longer than that and as heavy is thinner and narrower for it.
 *
 * @param mass what it weighs, positive
 * @param centimetres how long it is
 * @param measured whether somebody measured that
 * @param pinBonesTo how far the pin bones reach, as a fraction of its length from the head end
 * @param profile how its mass lies
 * @param thickness how thick the fish is, in body lengths
 * @param body the length of the fish it is the shape of, in centimetres
 * @param slimmer by which factor it is thinner and narrower than that shape
 * @param step the step of the scale it was weighed on; zero where it was not
 */
public record Fillet(
    Mass mass,
    double centimetres,
    boolean measured,
    double pinBonesTo,
    MassProfile profile,
    Thickness thickness,
    double body,
    double slimmer,
    Mass step) {

  /** A fillet that nobody weighed. */
  public Fillet(
      Mass mass,
      double centimetres,
      boolean measured,
      double pinBonesTo,
      MassProfile profile,
      Thickness thickness,
      double body,
      double slimmer) {
    this(mass, centimetres, measured, pinBonesTo, profile, thickness, body, slimmer, Mass.ZERO);
  }

  private static final Map<String, Optional<MassProfile>> PROFILES = new ConcurrentHashMap<>();

  /** The shortest and longest length that is believed of what was typed, against the estimate. */
  private static final double SHORTEST = 0.5;

  private static final double LONGEST = 2;
  private static final double MILLIMETRES = 10;
  private static final double DENSITY = 1.05;
  private static final double ELLIPSE = Math.PI / 4;
  private static final double STEP = 0.005;
  private static final double THIN = 0.5;
  private static final int ZONES = 200;

  /** Refuses a fillet of nothing. */
  public Fillet {
    Check.that(mass.isPositive(), "Expected a fillet above 0 g, found ", mass);
    Check.that(centimetres > 0, "Expected a length above 0 cm, found ", centimetres);
    Check.inRange(pinBonesTo, 0, 1, "reach of the pin bones");
  }

  /**
   * Shapes a fillet.
   *
   * @param species the fish
   * @param slot the code of the part
   * @param mass what the part weighs
   * @param fish what the fish weighed
   * @param length its length in centimetres, if somebody measured it
   * @return the fillet; empty if the plan draws no such part
   */
  public static Optional<Fillet> of(
      Species species, String slot, Mass mass, Mass fish, Optional<Double> length) {
    BodyPlan plan = species.plan();
    return profile(plan, slot)
        .map(
            profile -> {
              double share = profile.to() - profile.from();
              double expected = species.centimetres(fish);
              double body = length.map(one -> one / share).orElse(expected);
              return new Fillet(
                  mass,
                  body * share,
                  length.isPresent(),
                  plan.slots().stream().anyMatch(one -> one.code().equals(slot) && one.isMain())
                      ? species.eating().pinBonesTo()
                      : 0,
                  profile,
                  plan.thickness(),
                  body,
                  Math.pow(expected / body, 1.5));
            });
  }

  /** Plans are drawn once and for all: their profiles too. */
  private static Optional<MassProfile> profile(BodyPlan plan, String slot) {
    return PROFILES.computeIfAbsent(plan.code() + " " + slot, key -> MassProfile.of(plan, slot));
  }

  /**
   * Says whether a typed length can be that of the fillet of such a fish.
   *
   * @param species the fish
   * @param slot the code of the part
   * @param fish what the fish weighed
   * @param length the length in centimetres
   * @return whether it is between half and twice what the fish's mass says
   */
  public static boolean isLength(Species species, String slot, Mass fish, double length) {
    return profile(species.plan(), slot)
        .map(profile -> (profile.to() - profile.from()) * species.centimetres(fish))
        .map(expected -> length >= SHORTEST * expected && length <= LONGEST * expected)
        .orElse(false);
  }

  /**
   * Returns the same when its pin bones are out.
   *
   * @return the fillet without pin bones
   */
  public Fillet withoutPinBones() {
    return new Fillet(mass, centimetres, measured, 0, profile, thickness, body, slimmer, step);
  }

  /**
   * Returns the same, read on a scale: no portion is lost over less than half of its step.
   *
   * @param ofScale the step of the scale
   * @return the fillet
   */
  public Fillet read(Mass ofScale) {
    return new Fillet(
        mass, centimetres, measured, pinBonesTo, profile, thickness, body, slimmer, ofScale);
  }

  /**
   * Returns the mass before a place.
   *
   * @param s the place, 0 at the head end and 1 at the tail end
   * @return grams
   */
  public double gramsBefore(double s) {
    return profile.before(s) * mass.milligrams() / 1000.0;
  }

  /**
   * Returns how thick it is at a place.
   *
   * @param s the place, 0 at the head end and 1 at the tail end
   * @return millimetres in the middle, an estimate
   */
  public double millimetresAt(double s) {
    double x = profile.from() + s * (profile.to() - profile.from());
    return thickness.at(x) * body * slimmer * MILLIMETRES;
  }

  /**
   * Returns how wide it is at a place, so that width, thickness and length make its mass.
   *
   * @param s the place, 0 at the head end and 1 at the tail end
   * @return centimetres, an estimate
   */
  public double centimetresWideAt(double s) {
    double from = Math.max(0, Math.min(1 - STEP, s - STEP / 2));
    double grams = gramsBefore(from + STEP) - gramsBefore(from);
    double thick = millimetresAt(from + STEP / 2) / MILLIMETRES;
    return thick <= 0 ? 0 : grams / (DENSITY * ELLIPSE * thick * STEP * centimetres);
  }

  /**
   * A part of its length.
   *
   * @param from where it begins, 0 at the head end and 1 at the tail end
   * @param to where it ends
   */
  public record Zone(double from, double to) {}

  /**
   * Returns where it is thin: less than half as thick as at its thickest.
   *
   * @return the zones from the head end
   */
  public List<Zone> thin() {
    double thickest = 0;
    for (int i = 0; i <= ZONES; i++) {
      thickest = Math.max(thickest, millimetresAt(i / (double) ZONES));
    }
    List<Zone> zones = new ArrayList<>();
    int from = -1;
    for (int i = 0; i <= ZONES; i++) {
      boolean thin = millimetresAt(i / (double) ZONES) < THIN * thickest;
      if (thin && from < 0) {
        from = i;
      }
      if (from >= 0 && (!thin || i == ZONES)) {
        zones.add(new Zone(from / (double) ZONES, i / (double) ZONES));
        from = -1;
      }
    }
    return zones;
  }
}
