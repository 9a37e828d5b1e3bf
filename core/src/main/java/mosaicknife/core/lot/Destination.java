package mosaicknife.core.lot;

import mosaicknife.core.check.Check;
import mosaicknife.core.portion.Serving;

/**
 * Where a part goes beside its purpose: a dish, a use of the house, or what somebody wrote.
 *
 * <p>Dishes and uses are known by their numbers and codes. Their names are for people and may
 * change at any time; no rule looks at one.
 */
public sealed interface Destination {

  /** Nothing was said. */
  Destination OPEN = new InWords("");

  /**
   * Returns what people call it.
   *
   * @return its name now, possibly empty
   */
  String name();

  /**
   * Returns whether nothing was said.
   *
   * @return true if it is open
   */
  default boolean isOpen() {
    return name().isBlank();
  }

  /**
   * A dish of the house.
   *
   * @param id its number
   * @param name its name now
   * @param raw whether it is served raw, cured or underdone
   * @param serving what it calls a portion
   */
  record ToDish(long id, String name, boolean raw, Serving serving) implements Destination {

    /** Refuses a dish without name. */
    public ToDish {
      Check.text(name, "dish");
      Check.notNull(serving, "serving");
    }
  }

  /**
   * A use of the book.
   *
   * @param code its code
   * @param name its name when it was decided
   */
  record ToUse(String code, String name) implements Destination {

    /** Refuses a use without code. */
    public ToUse {
      Check.text(code, "use");
    }
  }

  /**
   * What somebody wrote.
   *
   * @param name the words, possibly empty
   */
  record InWords(String name) implements Destination {

    /** Refuses what is missing. */
    public InWords {
      Check.notNull(name, "words");
    }
  }
}
