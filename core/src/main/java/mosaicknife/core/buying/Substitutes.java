package mosaicknife.core.buying;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import mosaicknife.core.anatomy.Eating;
import mosaicknife.core.anatomy.Eating.Skin;
import mosaicknife.core.anatomy.Species;

/**
 * Finds the fish that eat most like another.
 *
 * <p>Distances between the eating qualities are added up: white or oily, texture, flavour, skin,
 * thickness by the mass of the fish and body plan, pin bones. What a guest notices most weighs
 * most.
 */
public final class Substitutes {

  private static final double FLESH = 3;
  private static final double TEXTURE = 2;
  private static final double FLAVOUR = 2;
  private static final double SKIN = 1.2;
  private static final double PLAN = 0.8;
  private static final double SIZE = 0.8;
  private static final double BONES = 0.5;

  private Substitutes() {}

  /**
   * A fish in place of another.
   *
   * @param species the fish
   * @param distance how different it eats: below 2 hardly, above 5 clearly
   * @param alike what is alike, in a few words each
   * @param different what is different, in a few words each
   */
  public record Substitute(
      Species species, double distance, List<String> alike, List<String> different) {

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
        .sorted(Comparator.comparingDouble(Substitute::distance))
        .toList();
  }

  private static Substitute compare(Species missing, Species other) {
    List<String> alike = new ArrayList<>();
    List<String> different = new ArrayList<>();
    Eating want = missing.eating();
    Eating has = other.eating();
    double distance =
        FLESH * steps(want.flesh(), has.flesh(), alike, different, " flesh")
            + TEXTURE * steps(want.texture(), has.texture(), alike, different, "")
            + FLAVOUR * steps(want.flavour(), has.flavour(), alike, different, " taste");
    if (want.skin() == has.skin()) {
      alike.add(skin(has.skin()));
    } else {
      different.add(skin(has.skin()));
      distance += SKIN;
    }
    if (missing.plan().equals(other.plan())) {
      alike.add("cut the same way");
    } else {
      distance += PLAN;
    }
    double size = Math.abs(Math.log(middle(other) / middle(missing)) / Math.log(2));
    if (size > 1) {
      different.add(middle(other) > middle(missing) ? "larger fish" : "smaller fish");
    }
    distance += SIZE * Math.min(3, size);
    double bones = has.pinBonesTo() - want.pinBonesTo();
    if (bones > 0.3) {
      different.add("more pin bones");
    }
    distance += BONES * Math.abs(bones) * 2;
    return new Substitute(other, distance, alike, different);
  }

  private static double steps(
      Enum<?> want, Enum<?> has, List<String> alike, List<String> different, String after) {
    String words = word(has) + after;
    if (want == has) {
      alike.add(words);
    } else {
      different.add(words);
    }
    return Math.abs(want.ordinal() - has.ordinal());
  }

  private static String word(Enum<?> value) {
    return value.name().toLowerCase(Locale.ROOT);
  }

  private static String skin(Skin skin) {
    return switch (skin) {
      case NO -> "skin off";
      case SOFT -> "skin eaten, soft";
      case CRISP -> "skin crisps";
    };
  }

  private static double middle(Species species) {
    return Math.sqrt(
        (double) species.usualMass().lowest().milligrams()
            * species.usualMass().highest().milligrams());
  }
}
