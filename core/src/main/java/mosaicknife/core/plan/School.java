package mosaicknife.core.plan;

import java.util.List;
import java.util.Optional;
import mosaicknife.core.anatomy.Purpose;
import mosaicknife.core.check.Check;

/**
 * A question on which good butchers differ, with the answers to choose from.
 *
 * @param code the lasting identifier, such as {@code ribs}
 * @param title the name on screen
 * @param question the question
 * @param choices the answers; the first is what the norms are counted for
 */
public record School(String code, String title, String question, List<Choice> choices) {

  /** Refuses blank texts and a question without answers. */
  public School {
    Check.text(code, "code");
    Check.text(title, "title");
    Check.text(question, "question");
    choices = List.copyOf(Check.notEmpty(choices, "choices of '" + code + "'"));
  }

  /**
   * One answer.
   *
   * @param code the lasting identifier within the school
   * @param title the name on screen
   * @param how what the knife does, one line
   * @param minutes what it takes more for any fish, negative for less; an estimate
   * @param minutesPerKilogram what it takes more for each kilogram
   * @param plans the body plans it is for; empty for all
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
      shifts = List.copyOf(shifts);
      aims = List.copyOf(aims);
    }
  }

  /**
   * A fraction of a part that becomes another part.
   *
   * @param from the kind it is taken from; {@code main} for every main cut
   * @param fraction how much of it
   * @param to the kind it becomes; {@code main} for the main cuts
   * @param purpose what a part that comes of it is for; empty if the part exists already
   */
  public record Shift(String from, Portion fraction, String to, Optional<Purpose> purpose) {}

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
