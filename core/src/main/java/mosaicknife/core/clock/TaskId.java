package mosaicknife.core.clock;

import java.util.Locale;
import java.util.Optional;
import mosaicknife.core.check.Check;

/**
 * Which task: so it is asked for, written down and found again, whatever it is called.
 *
 * @param kind what is done
 * @param of with which one: the number of a lot, making, pot or other row, or the code of an item
 * @param step the step of it; empty for what is one task, and for a batch as a whole
 */
public record TaskId(Kind kind, String of, String step) implements WayOut.Means {

  private static final char STEP = ':';
  private static final int LONGEST_NUMBER = 18;

  /** What is done. */
  public enum Kind {
    /** A lot is broken down. */
    CUT,
    /** The hands of something that is made. */
    MAKING,
    /** What is made is on the heat. */
    HEAT,
    /** A step of a pot. */
    POT,
    /** A step of a pot, by another way. */
    INSTEAD,
    /** Something lies in a marinade. */
    SOAK,
    /** It is taken out of it. */
    OUT,
    /** An item is taken out of the freezer. */
    THAW,
    /** What somebody wrote down in their own words. */
    OWN
  }

  /** Refuses what names nothing, or would not be read back as it was. */
  public TaskId {
    Check.notNull(kind, "kind");
    Check.text(of, "of");
    Check.that(of.indexOf(STEP) < 0, "Expected no step in " + of);
    Check.that(kind == Kind.THAW || isNumber(of), "Expected a number, found ", of);
    Check.notNull(step, "step");
  }

  private static boolean isNumber(String text) {
    return text.length() <= LONGEST_NUMBER && text.chars().allMatch(c -> '0' <= c && c <= '9');
  }

  /**
   * Returns a task that is one, or a batch of several.
   *
   * @param kind what is done
   * @param number the number of the row it is done with
   * @return its identifier
   */
  public static TaskId of(Kind kind, long number) {
    return new TaskId(kind, Long.toString(number), "");
  }

  /**
   * Returns a step of a batch.
   *
   * @param code the code of the step
   * @return its identifier
   */
  public TaskId step(String code) {
    return new TaskId(kind, of, code);
  }

  /**
   * Returns the number of the row it is done with.
   *
   * @return the number
   */
  public long number() {
    return Long.parseLong(of);
  }

  /**
   * Reads what {@link #toString()} wrote.
   *
   * @param text the text
   * @return the task; empty if it is none
   */
  public static Optional<TaskId> read(String text) {
    for (Kind kind : Kind.values()) {
      String name = name(kind);
      if (text.startsWith(name)) {
        String rest = text.substring(name.length());
        int mark = rest.indexOf(STEP);
        String of = mark < 0 ? rest : rest.substring(0, mark);
        boolean isOne = !of.isBlank() && (kind == Kind.THAW || isNumber(of));
        return isOne
            ? Optional.of(new TaskId(kind, of, mark < 0 ? "" : rest.substring(mark + 1)))
            : Optional.empty();
      }
    }
    return Optional.empty();
  }

  private static String name(Kind kind) {
    return kind.name().toLowerCase(Locale.ROOT);
  }

  @Override
  public String toString() {
    return name(kind) + of + (step.isEmpty() ? "" : STEP + step);
  }
}
