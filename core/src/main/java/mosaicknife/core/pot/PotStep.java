package mosaicknife.core.pot;

import java.util.Optional;
import mosaicknife.core.check.Check;

/**
 * A step of a method.
 *
 * @param code its identifier within the method
 * @param name what is done
 * @param work what it takes
 * @param shortest minutes at the least, from 0
 * @param usual minutes it usually takes
 * @param longest minutes at the most
 * @param cue the question that ends it
 * @param ifLate what follows if it is late
 * @param caution what to be careful about, if anything
 * @param when the answer it is only done for; empty if always
 */
public record PotStep(
    String code,
    String name,
    Work work,
    int shortest,
    int usual,
    int longest,
    String cue,
    String ifLate,
    Optional<Caution> caution,
    Optional<Answer> when) {

  private static final int TWO_DAYS = 2880;

  /** Refuses a shortest time above the longest. */
  public PotStep {
    Check.text(code, "code");
    Check.text(name, "name");
    Check.notNull(work, "work");
    Check.that(
        areInOrder(shortest, usual, longest),
        "Expected shortest, usual, longest in order, found %d, %d, %d"
            .formatted(shortest, usual, longest));
    Check.text(cue, "cue");
    Check.notNull(ifLate, "if late");
    Check.notNull(caution, "caution");
    Check.notNull(when, "when");
  }

  /**
   * Returns whether three times can be those of a step.
   *
   * @param shortest minutes at the least
   * @param usual minutes as usual
   * @param longest minutes at the most
   * @return true from 0 to two days, in this order
   */
  public static boolean areInOrder(int shortest, int usual, int longest) {
    return shortest >= 0 && shortest <= usual && usual <= longest && longest <= TWO_DAYS;
  }

  /** What a step takes. */
  public enum Work {
    /** Hands. */
    HANDS,
    /** The hob at full heat, until it boils. */
    HEAT,
    /** The hob. */
    FIRE,
    /** Only time, and a place. */
    REST,
    /** Cooling, watched by a probe. */
    COOL
  }

  /** What to be careful about; the local code decides. */
  public enum Caution {
    /** Blades, spines and bones. */
    BLADES,
    /** Hot liquid, heavy to lift. */
    HOT
  }

  /** What cooks do one way or the other. */
  public enum Answer {
    /** The eyes come out. */
    EYES_OUT,
    /** Wine goes in. */
    WINE,
    /** Lemon goes in, off the heat. */
    LEMON,
    /** The vegetables are sweated. */
    SWEAT,
    /** The lid is on while it heats. */
    LID,
    /** A little ginger, to clear it. */
    GINGER
  }
}
