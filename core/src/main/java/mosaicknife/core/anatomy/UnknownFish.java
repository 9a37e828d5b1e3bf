package mosaicknife.core.anatomy;

import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import mosaicknife.core.anatomy.Species.MassRange;
import mosaicknife.core.anatomy.Species.Trait;
import mosaicknife.core.anatomy.StartingFigures.HeadSize;
import mosaicknife.core.anatomy.StartingFigures.Ribs;
import mosaicknife.core.check.Check;
import mosaicknife.core.finding.Finding;
import mosaicknife.core.quantity.Mass;

/**
 * A fish nobody here knows, described by what the eye sees. It becomes a species with the norms of
 * fish built alike, widened, and with every caution that such a fish may need.
 *
 * @param plan the body plan it looks like
 * @param ribs how its ribs stand under the knife
 * @param head how large its head is
 * @param flesh its flesh
 * @param one what one weighs
 * @param skin what a finger and a knife find on its outside and in the fillet
 * @param kin which family it may belong to: it takes over what can hurt in that one
 */
public record UnknownFish(
    BodyPlan plan, Ribs ribs, HeadSize head, Eating.Flesh flesh, Mass one, Skin skin, Kin kin) {

  /** Which family a fish may belong to, and what can hurt in it. */
  public enum Kin {
    /** None of these, as far as anybody can tell. */
    NONE,
    /** Tunas, mackerels, jacks, mahi. */
    TUNA(Trait.HISTAMINE, Trait.DARK_MUSCLE),
    /** Herrings, sardines, anchovies. */
    HERRING(Trait.HISTAMINE),
    /** Scorpionfish, rockfish, weevers, stargazers. */
    SCORPIONFISH(Trait.SPINES, Trait.VENOM),
    /** Catfish. */
    CATFISH(Trait.SPINES, Trait.VENOM),
    /** Eels and morays. */
    EEL(Trait.TOXIC_BLOOD, Trait.TEETH),
    /** Sharks. */
    SHARK(Trait.AMMONIA, Trait.TEETH),
    /** Skates and rays; stingrays have a venomous sting. */
    RAY(Trait.SPINES, Trait.VENOM, Trait.AMMONIA),
    /** Fish of warm reefs: groupers, snappers, barracudas, parrotfish, jacks. */
    REEF(Trait.SPINES, Trait.REEF_TOXIN, Trait.HISTAMINE),
    /** Black, oily fish from the deep: escolars. */
    ESCOLAR(Trait.WAX_ESTER, Trait.HISTAMINE),
    /** Round fish that blow themselves up, boxes with fish in them, sunfish: not supported. */
    PUFFER;

    private final Set<Trait> traits;

    Kin(Trait... traits) {
      this.traits = Set.of(traits);
    }
  }

  /**
   * What a finger and a knife find on the outside and in the fillet.
   *
   * @param scales how many scales it has
   * @param crisps whether the skin is eaten, and crisps
   * @param thin whether the skin tears
   * @param pinBones how far its pin bones reach
   */
  public record Skin(Eating.Scales scales, Eating.Skin crisps, boolean thin, PinBones pinBones) {

    /** Refuses what is missing. */
    public Skin {
      Check.notNull(scales, "scales");
      Check.notNull(crisps, "skin");
      Check.notNull(pinBones, "pin bones");
    }
  }

  /** How far pin bones reach into the fillet; the fractions are starting values. */
  public enum PinBones {
    /** There are none. */
    NONE(0),
    /** As in a round fish, to about the middle. */
    FRONT(0.45),
    /** To the tail. */
    THROUGHOUT(1);

    private final double to;

    PinBones(double to) {
      this.to = to;
    }
  }

  /** An unknown fish is known this much worse than the usual one of its body plan. */
  private static final double WIDENING = 1.6;

  private static final Mass LIGHTEST = Mass.ofGrams(10);
  private static final Mass HEAVIEST = Mass.ofGrams(400_000);

  /** Flesh of medium firmness and taste; starting values. */
  private static final Mass HEAD_WORTH_EATING = Mass.ofKilograms("2");

  private static final double SKIN_SHARE = 0.08;

  /** What cannot be right about it. */
  public enum Problem {
    /** Nobody cuts a fish of that mass: least, most. */
    MASS,
    /** Its family is not supported. */
    REFUSED_FAMILY
  }

  /** Refuses what is missing. */
  public UnknownFish {
    Check.notNull(plan, "plan");
    Check.notNull(ribs, "ribs");
    Check.notNull(head, "head");
    Check.notNull(flesh, "flesh");
    Check.notNull(one, "mass");
    Check.notNull(skin, "skin");
    Check.notNull(kin, "kin");
  }

  /**
   * Looks at what was seen.
   *
   * @return that no fish to be cut weighs so, or that only licensed handlers may break its family;
   *     empty if it may be made
   */
  public Optional<Finding> problem() {
    if (kin == Kin.PUFFER) {
      return Optional.of(Finding.of(Problem.REFUSED_FAMILY).at("kin"));
    }
    return one.compareTo(LIGHTEST) < 0 || one.compareTo(HEAVIEST) > 0
        ? Optional.of(Finding.of(Problem.MASS, LIGHTEST, HEAVIEST).at("mass"))
        : Optional.empty();
  }

  /**
   * Makes a species of it.
   *
   * @param code its lasting identifier
   * @param name what the house calls it
   * @param usual the usual shares of its body plan
   * @return the species: never for raw without freezing, kept cold if it is oily
   */
  public Species toSpecies(String code, String name, List<Share> usual) {
    Mass half = Mass.ofMilligrams(one.milligrams() / 2);
    Mass twice = one.multipliedBy(2);
    return new Species(
        code,
        name,
        "unknown",
        List.of(),
        plan,
        traits(),
        new Eating(
            flesh,
            Eating.Texture.FIRM,
            Eating.Flavour.MEDIUM,
            skin.crisps(),
            skin.scales(),
            skin.pinBones().to,
            HEAD_WORTH_EATING,
            SKIN_SHARE),
        new MassRange(half, twice),
        List.of(new SizeGrade(half, twice)),
        Season.ALL_YEAR,
        StartingFigures.guess(usual, ribs, head).applyTo(usual, WIDENING));
  }

  private Set<Trait> traits() {
    Set<Trait> traits = EnumSet.of(Trait.PARASITES);
    traits.addAll(kin.traits);
    if (flesh == Eating.Flesh.OILY) {
      traits.add(Trait.HISTAMINE);
    }
    if (skin.thin()) {
      traits.add(Trait.THIN_SKIN);
    }
    return traits;
  }
}
