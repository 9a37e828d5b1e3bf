package mosaicknife.core.finding;

import java.util.List;
import mosaicknife.core.check.Check;

/**
 * Something that is the case, with its figures, not yet in words.
 *
 * <p>It is not a sentence and not an error: a rule returns it, and whoever asked decides what to
 * do. Example: {@code Finding.of(LotProblem.TOO_MANY_FISH, 612, 500).at("fish")}.
 *
 * @param what the case; its enum and name are the key of the message
 * @param figures the figures in the order the message takes them: masses, money, dates, counts,
 *     names
 * @param field the field of a form it is about; empty if it is about no single one
 */
public record Finding(Enum<?> what, List<Object> figures, String field) implements Keyed {

  /** Copies the figures. */
  public Finding {
    Check.notNull(what, "what");
    figures = List.copyOf(figures);
    Check.notNull(field, "field");
  }

  /**
   * Makes a finding about no single field.
   *
   * @param what the case
   * @param figures its figures
   * @return the finding
   */
  public static Finding of(Enum<?> what, Object... figures) {
    return new Finding(what, List.of(figures), "");
  }

  /**
   * Returns the same finding about one field of a form.
   *
   * @param name the name of the field
   * @return the finding
   */
  public Finding at(String name) {
    return new Finding(what, figures, name);
  }

  /**
   * Returns the key of its message.
   *
   * @return such as {@code LotProblem.TOO_MANY_FISH}, for a nested enum with the name of its type
   *     before it, such as {@code Claim.Kind.SHORT}
   */
  @Override
  public String key() {
    Class<?> type = what.getDeclaringClass();
    Class<?> outer = type.getEnclosingClass();
    String name = type.getSimpleName() + "." + what.name();
    return outer == null ? name : outer.getSimpleName() + "." + name;
  }
}
