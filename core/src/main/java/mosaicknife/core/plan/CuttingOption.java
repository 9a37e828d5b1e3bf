package mosaicknife.core.plan;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import mosaicknife.core.anatomy.Purpose;
import mosaicknife.core.anatomy.Side;
import mosaicknife.core.anatomy.Species;
import mosaicknife.core.anatomy.Stage;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.check.Check;

/**
 * A question on which good butchers differ, with the answers to choose from.
 *
 * @param code the lasting identifier, such as {@code ribs}
 * @param title the name on screen
 * @param question the question
 * @param asked of which fish it is asked at all
 * @param silencedBy it is not asked once an answer before it has one of these traits
 * @param choices the answers; the first is what the norms are counted for
 */
public record CuttingOption(
    String code,
    String title,
    String question,
    Condition asked,
    Set<Trait> silencedBy,
    List<Choice> choices) {

  /** Refuses blank texts and a question without answers. */
  public CuttingOption {
    Check.text(code, "code");
    Check.text(title, "title");
    Check.text(question, "question");
    Check.notNull(asked, "condition");
    silencedBy = Set.copyOf(silencedBy);
    choices = List.copyOf(Check.notEmpty(choices, "choices of '" + code + "'"));
  }

  /** What an answer is to the rules that follow from it; no rule names a choice. */
  public enum Trait {
    /** The main cuts are served without skin. */
    SKIN_OFF,
    /** Pin bones are pulled one by one. */
    PIN_BONES_PULLED,
    /** Pin bones stay in, and the pass is told. */
    PIN_BONES_IN,
    /** The pin bones are cut out as a strip. */
    PIN_BONES_CUT,
    /** The cuts are squared to blocks. */
    SQUARED,
    /** The fish is served whole. */
    SERVED_WHOLE,
    /** It is cooked whole, and comes off the bone after that. */
    FILLETED_AFTER,
    /** Its bones come out, and it stays in one piece with its head. */
    BONED_WHOLE,
    /** It is cut across the bone. */
    STEAKS,
    /** Both sides stay in one piece, without the frame. */
    BUTTERFLIED,
    /** Its flesh is scraped off the skin. */
    PASTE,
    /** Ribs, belly and pin bones leave the fillet in one piece. */
    RIBS_WITH_PIN_BONES,
    /** Guts and gills stay on the carcass. */
    WITH_GUTS,
    /** It is gutted only when it is cut. */
    GUTTED_LATER
  }

  /**
   * When a question is asked: always, or only of a fish on which it makes a difference.
   *
   * @param of what it depends on
   * @param stage the stage that must not be done yet, for {@link Of#STAGE}
   * @param part the kind of part the fish must have, for {@link Of#PART}
   */
  public record Condition(Of of, Optional<Stage> stage, String part) {

    /** What a question depends on. */
    public enum Of {
      /** Nothing. */
      ALWAYS,
      /** A stage of cleaning that is still to be done. */
      STAGE,
      /** A part of the fish. */
      PART,
      /** Pin bones that reach into the fillet. */
      PIN_BONES,
      /** A strip of dark muscle worth the question. */
      DARK_MUSCLE
    }

    /**
     * Reads a condition.
     *
     * @param text such as {@code STAGE HEADING}, {@code PART belly}, {@code PIN_BONES}, or nothing
     * @return the condition
     * @throws IllegalArgumentException for anything else
     */
    public static Condition parse(String text) {
      String[] words = text.strip().split(" +", 2);
      Of of = words[0].isEmpty() ? Of.ALWAYS : Of.valueOf(words[0]);
      return switch (of) {
        case STAGE -> new Condition(of, Optional.of(Stage.valueOf(words[1])), "");
        case PART -> new Condition(of, Optional.empty(), words[1]);
        default -> new Condition(of, Optional.empty(), "");
      };
    }

    boolean holds(Species species, State state) {
      return switch (of) {
        case ALWAYS -> true;
        case STAGE -> stage.filter(state::stillHas).isPresent();
        case PART ->
            species.sharesIn(state).stream()
                .anyMatch(share -> share.slot().kind().code().equals(part) && share.mean() > 0);
        case PIN_BONES -> species.eating().pinBonesTo() > 0;
        case DARK_MUSCLE ->
            species.traits().contains(Species.Trait.DARK_MUSCLE)
                || species.plan().findSlot("dark-muscle").isPresent();
      };
    }
  }

  /**
   * One answer.
   *
   * @param code the lasting identifier within the option
   * @param title the name on screen
   * @param how what the knife does, one line
   * @param minutes what it takes more for any fish, negative for less; an estimate
   * @param minutesPerKilogram what it takes more for each kilogram
   * @param plans the body plans it is for; empty for all
   * @param traits what rules ask of the answer
   * @param shifts what it moves from part to part
   * @param aims parts that are meant for another purpose under it
   */
  public record Choice(
      String code,
      String title,
      String how,
      double minutes,
      double minutesPerKilogram,
      List<String> plans,
      Set<Trait> traits,
      List<Shift> shifts,
      List<Aim> aims) {

    /** Copies the lists. */
    public Choice {
      Check.text(code, "code");
      Check.text(title, "title");
      Check.text(how, "how");
      Check.inRange(minutes, -60, 60, "minutes");
      Check.inRange(minutesPerKilogram, -30, 30, "minutes for a kilogram");
      plans = List.copyOf(plans);
      traits = Set.copyOf(traits);
      shifts = List.copyOf(shifts);
      aims = List.copyOf(aims);
    }
  }

  /**
   * A fraction of a part that becomes another part.
   *
   * @param from the kind or slot it is taken from; {@code main} for every main cut
   * @param fraction how much of it
   * @param to the kind or slot it becomes; {@code main} for the main cuts
   * @param side the side a part that comes of it is from
   * @param purpose what a part that comes of it is for; empty if the part exists already
   */
  public record Shift(
      String from, Portion fraction, String to, Side side, Optional<Purpose> purpose) {

    /**
     * Returns the code of the slot that comes of it.
     *
     * @return such as {@code fillet-eye}; the kind alone where there is no side
     */
    public String slot() {
      return side == Side.NONE
          ? to
          : to + "-" + side.name().toLowerCase(Locale.ROOT).replace('_', '-');
    }
  }

  /**
   * A part that is meant for another purpose.
   *
   * @param kind its kind
   * @param purpose the purpose
   */
  public record Aim(String kind, Purpose purpose) {}

  /**
   * How much of a part is meant: a fixed fraction, or one that depends on the fish.
   *
   * @param of where it comes from
   * @param fixed the fraction, from 0 to 1, where it is fixed
   */
  public record Portion(Source of, double fixed) {

    /** Where a fraction comes from. */
    public enum Source {
      /** Always the same. */
      FIXED,
      /** The share of the skin of this fish. */
      SKIN,
      /** A strip as far as the pin bones of this fish reach. */
      PIN_BONES
    }

    /** Refuses fractions outside 0–1. */
    public Portion {
      Check.notNull(of, "source");
      Check.inRange(fixed, 0, 1, "fraction");
    }

    /**
     * Reads a fraction.
     *
     * @param text {@code all}, {@code skin}, {@code pin-bones} or a number from 0 to 1
     * @return the fraction
     * @throws IllegalArgumentException for anything else
     */
    public static Portion parse(String text) {
      return switch (text) {
        case "all" -> new Portion(Source.FIXED, 1);
        case "skin" -> new Portion(Source.SKIN, 0);
        case "pin-bones" -> new Portion(Source.PIN_BONES, 0);
        default -> new Portion(Source.FIXED, Double.parseDouble(text));
      };
    }
  }

  CuttingOption withChoices(List<Choice> those) {
    return new CuttingOption(code, title, question, asked, silencedBy, those);
  }

  /**
   * Finds a choice.
   *
   * @param choice its code
   * @return the choice, or empty
   */
  public Optional<Choice> find(String choice) {
    return choices.stream().filter(c -> c.code().equals(choice)).findFirst();
  }

  /**
   * Returns the choice the norms are counted for.
   *
   * @return the first
   */
  public Choice usual() {
    return choices.get(0);
  }
}
