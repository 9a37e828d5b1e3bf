package mosaicknife.core.anatomy;

import mosaicknife.core.check.Check;
import mosaicknife.core.quantity.Mass;

/**
 * How a fish eats and what it asks of the knife: the qualities by which one is chosen in place of
 * another.
 *
 * @param flesh white or oily
 * @param texture how the cooked flesh bites
 * @param flavour how strong it tastes
 * @param skin whether its skin is eaten
 * @param scales how much scaling it needs
 * @param pinBonesTo how far the pin bones reach along the fillet from the head end, from 0 (none)
 *     to 1 (to the tail)
 * @param headFrom from which mass of the fish its head has meat worth picking
 * @param skinShare the skin's fraction of a skin-on cut, from 0 to 0.3
 */
public record Eating(
    Flesh flesh,
    Texture texture,
    Flavour flavour,
    Skin skin,
    Scales scales,
    double pinBonesTo,
    Mass headFrom,
    double skinShare) {

  /** A strip along the whole fillet takes this fraction of it; a starting estimate. */
  private static final double STRIP = 0.07;

  /** Refuses fractions out of range. */
  public Eating {
    Check.notNull(flesh, "flesh");
    Check.notNull(texture, "texture");
    Check.notNull(flavour, "flavour");
    Check.notNull(skin, "skin");
    Check.notNull(scales, "scales");
    Check.inRange(pinBonesTo, 0, 1, "reach of the pin bones");
    Check.notNull(headFrom, "mass of a fish with a head worth eating");
    Check.inRange(skinShare, 0, 0.3, "share of the skin");
  }

  /** How fat the flesh is. */
  public enum Flesh {
    /** Lean and white: clear stock. */
    WHITE,
    /** Between lean and oily. */
    MEDIUM,
    /** Oily: rich, poor stock. */
    OILY
  }

  /** How the cooked flesh bites. */
  public enum Texture {
    /** Soft, falls apart. */
    SOFT,
    /** Large flakes. */
    FLAKY,
    /** Firm, holds together. */
    FIRM,
    /** Dense as meat. */
    MEATY
  }

  /** How strong it tastes. */
  public enum Flavour {
    /** Mild. */
    MILD,
    /** Clear taste of its own. */
    MEDIUM,
    /** Strong. */
    STRONG
  }

  /** Whether the skin is eaten. */
  public enum Skin {
    /** Taken off. */
    NO,
    /** Eaten, does not crisp. */
    SOFT,
    /** Eaten, crisps. */
    CRISP
  }

  /** How much scaling it needs. */
  public enum Scales {
    /** No scales, or none to speak of. */
    NONE,
    /** Few or fine ones. */
    FEW,
    /** Many: scale in a bag or under water. */
    MANY
  }

  /**
   * Returns which fraction of a main cut a strip along its pin bones takes.
   *
   * @return the fraction, 0 without pin bones; a starting estimate
   */
  public double pinBoneStrip() {
    return pinBoneStrip(pinBonesTo);
  }

  /**
   * Returns which fraction of a main cut a strip along its pin bones takes.
   *
   * @param reach how far the pin bones reach along it, from 0 to 1
   * @return the fraction, a starting estimate
   */
  public static double pinBoneStrip(double reach) {
    return STRIP * reach;
  }
}
