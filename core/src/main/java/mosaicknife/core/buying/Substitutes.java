package mosaicknife.core.buying;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import mosaicknife.core.anatomy.Eating;
import mosaicknife.core.anatomy.Eating.Skin;
import mosaicknife.core.anatomy.Species;
import mosaicknife.core.anatomy.Species.Trait;
import mosaicknife.core.finding.Finding;
import mosaicknife.core.quantity.Mass;

/**
 * Finds the fish that eat most like another.
 *
 * <p>Distances between the eating qualities are added up: white or oily, texture, flavour, skin,
 * how thick a fillet is, mass and body plan, pin bones. What a guest notices most weighs most. A
 * fish that can carry reef toxin stands behind all that cannot: cooking does not destroy it.
 */
public final class Substitutes {

  private static final double FLESH = 3;
  private static final double TEXTURE = 2;
  private static final double FLAVOUR = 2;
  private static final double SKIN = 1.2;
  private static final double PLAN = 0.8;
  private static final double SIZE = 0.8;
  private static final double THICKNESS = 0.8;
  private static final double BONES = 0.5;

  /** A fillet this many times thicker cooks clearly longer. */
  private static final double CLEARLY = 1.4;

  private static final Map<Trait, Quality> CAVEATS =
      new EnumMap<>(
          Map.of(
              Trait.REEF_TOXIN, Quality.REEF_TOXIN,
              Trait.PROTECTED, Quality.PROTECTED,
              Trait.WAX_ESTER, Quality.WAX_ESTER,
              Trait.HISTAMINE, Quality.HISTAMINE,
              Trait.TOXIC_BLOOD, Quality.TOXIC_BLOOD));

  /** Gates that the house keeps for the missing fish already. */
  private static final Set<Trait> AS_BEFORE = EnumSet.of(Trait.HISTAMINE, Trait.TOXIC_BLOOD);

  private Substitutes() {}

  /** What a guest or a cook notices of a fish. */
  public enum Quality {
    /** The flesh: white to oily. */
    FLESH,
    /** The texture: soft to meaty. */
    TEXTURE,
    /** The taste: mild to strong. */
    TASTE,
    /** The skin comes off. */
    SKIN_OFF,
    /** The skin is eaten soft. */
    SKIN_SOFT,
    /** The skin crisps. */
    SKIN_CRISP,
    /** Of the same body plan. */
    CUT_ALIKE,
    /** More than twice the mass. */
    LARGER,
    /** Less than half the mass. */
    SMALLER,
    /** A clearly thicker fillet: it cooks longer. */
    THICKER,
    /** A clearly thinner fillet: it cooks faster. */
    THINNER,
    /** Can carry reef toxin. */
    REEF_TOXIN,
    /** Protected or limited in many places. */
    PROTECTED,
    /** Wax oil that runs through some guests. */
    WAX_ESTER,
    /** Forms histamine, and what is missing does not. */
    HISTAMINE,
    /** Blood that harms until it is cooked, and what is missing has none. */
    TOXIC_BLOOD,
    /** Clearly more of the fillet has pin bones. */
    MORE_PIN_BONES
  }

  /**
   * A fish in place of another.
   *
   * @param species the fish
   * @param distance how different it eats: below 2 hardly, above 5 clearly
   * @param alike what is alike
   * @param different what is different
   */
  public record Substitute(
      Species species, double distance, List<Finding> alike, List<Finding> different) {

    /** Copies the lists. */
    public Substitute {
      alike = List.copyOf(alike);
      different = List.copyOf(different);
    }
  }

  /**
   * Ranks fish by how much they eat like another.
   *
   * @param missing the fish that is missing
   * @param among the fish to choose from; itself is left out
   * @return the fish, the most alike first
   */
  public static List<Substitute> of(Species missing, Collection<Species> among) {
    return among.stream()
        .filter(species -> !species.code().equals(missing.code()))
        .map(species -> compare(missing, species))
        .sorted(
            Comparator.comparing((Substitute one) -> !caveats(missing, one.species()).isEmpty())
                .thenComparingDouble(Substitute::distance))
        .toList();
  }

  /** What is said before anything else of a fish that asks more of a house, and puts it last. */
  private static List<Finding> caveats(Species missing, Species other) {
    return CAVEATS.entrySet().stream()
        .filter(one -> other.traits().contains(one.getKey()))
        .filter(
            one -> !AS_BEFORE.contains(one.getKey()) || !missing.traits().contains(one.getKey()))
        .map(one -> Finding.of(one.getValue()))
        .toList();
  }

  private static Substitute compare(Species missing, Species other) {
    List<Finding> alike = new ArrayList<>();
    List<Finding> different = new ArrayList<>(caveats(missing, other));
    Eating want = missing.eating();
    Eating has = other.eating();
    double distance =
        FLESH * steps(want.flesh(), has.flesh(), Quality.FLESH, alike, different)
            + TEXTURE * steps(want.texture(), has.texture(), Quality.TEXTURE, alike, different)
            + FLAVOUR * steps(want.flavour(), has.flavour(), Quality.TASTE, alike, different);
    if (want.skin() == has.skin()) {
      alike.add(Finding.of(skin(has.skin())));
    } else {
      different.add(Finding.of(skin(has.skin())));
      distance += SKIN;
    }
    if (missing.plan().equals(other.plan())) {
      alike.add(Finding.of(Quality.CUT_ALIKE));
    } else {
      distance += PLAN;
    }
    double size = Math.abs(Math.log(middle(other) / middle(missing)) / Math.log(2));
    if (size > 1) {
      boolean larger = middle(other) > middle(missing);
      different.add(Finding.of(larger ? Quality.LARGER : Quality.SMALLER));
    }
    distance += SIZE * Math.min(3, size);
    double thicker = thickness(other) / thickness(missing);
    if (thicker > CLEARLY) {
      different.add(Finding.of(Quality.THICKER));
    } else if (thicker < 1 / CLEARLY) {
      different.add(Finding.of(Quality.THINNER));
    }
    distance += THICKNESS * Math.min(2, Math.abs(Math.log(thicker) / Math.log(2)));
    double bones = has.pinBonesTo() - want.pinBonesTo();
    if (bones > 0.3) {
      different.add(Finding.of(Quality.MORE_PIN_BONES));
    }
    distance += BONES * Math.abs(bones) * 2;
    return new Substitute(other, distance, alike, different);
  }

  private static double steps(
      Enum<?> want, Enum<?> has, Quality quality, List<Finding> alike, List<Finding> different) {
    (want == has ? alike : different).add(Finding.of(quality, has));
    return Math.abs(want.ordinal() - has.ordinal());
  }

  private static Quality skin(Skin skin) {
    return switch (skin) {
      case NO -> Quality.SKIN_OFF;
      case SOFT -> Quality.SKIN_SOFT;
      case CRISP -> Quality.SKIN_CRISP;
    };
  }

  private static double thickness(Species species) {
    return species.filletMillimetres(Mass.ofMilligrams(Math.round(middle(species))));
  }

  private static double middle(Species species) {
    return Math.sqrt(
        (double) species.usualMass().lowest().milligrams()
            * species.usualMass().highest().milligrams());
  }
}
