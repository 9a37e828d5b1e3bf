package mosaicknife.core.check;

import java.util.Collection;

/**
 * Checks an argument and returns it, so that a constructor can check and assign in one line.
 *
 * <p>A failed check is a mistake of the calling code, not of the person at the board: it throws
 * {@link IllegalArgumentException} with the name and the value found. Input typed by people is
 * parsed and refused with sentences of its own, see {@code quantity}.
 */
public final class Check {

  private Check() {}

  /**
   * Returns the value if it is not null.
   *
   * @param <T> the type of the value
   * @param value the value
   * @param name what it is called in the message
   * @return the value
   * @throws IllegalArgumentException if the value is null
   */
  public static <T> T notNull(T value, String name) {
    if (value == null) {
      throw new IllegalArgumentException("Expected a " + name + ", found none");
    }
    return value;
  }

  /**
   * Returns the text if it has at least one character that is not white space.
   *
   * @param value the text
   * @param name what it is called in the message
   * @return the text, unchanged
   * @throws IllegalArgumentException if the text is null or blank
   */
  public static String text(String value, String name) {
    if (value == null || value.isBlank()) {
      throw new IllegalArgumentException("Expected text as " + name + ", found '" + value + "'");
    }
    return value;
  }

  /**
   * Returns the number if it lies in a closed range.
   *
   * @param value the number; not NaN
   * @param lowest the lowest value allowed
   * @param highest the highest value allowed
   * @param name what it is called in the message
   * @return the number
   * @throws IllegalArgumentException if the number is outside the range or NaN
   */
  public static double inRange(double value, double lowest, double highest, String name) {
    if (!(value >= lowest && value <= highest)) {
      throw new IllegalArgumentException(
          "Expected %s from %s to %s, found %s".formatted(name, lowest, highest, value));
    }
    return value;
  }

  /**
   * Returns the count if it lies in a closed range.
   *
   * @param value the count
   * @param lowest the lowest value allowed
   * @param highest the highest value allowed
   * @param name what it is called in the message
   * @return the count
   * @throws IllegalArgumentException if the count is outside the range
   */
  public static int inRange(int value, int lowest, int highest, String name) {
    if (value < lowest || value > highest) {
      throw new IllegalArgumentException(
          "Expected %s from %d to %d, found %d".formatted(name, lowest, highest, value));
    }
    return value;
  }

  /**
   * Returns the collection if it has at least one element.
   *
   * @param <T> the type of collection
   * @param values the collection
   * @param name what it is called in the message
   * @return the collection
   * @throws IllegalArgumentException if the collection is null or empty
   */
  public static <T extends Collection<?>> T notEmpty(T values, String name) {
    if (values == null || values.isEmpty()) {
      throw new IllegalArgumentException("Expected at least one of " + name + ", found none");
    }
    return values;
  }

  /**
   * Refuses a state that the rules do not allow.
   *
   * @param allowed whether the state is allowed
   * @param message the whole sentence, with the values
   * @throws IllegalArgumentException if the state is not allowed
   */
  public static void that(boolean allowed, String message) {
    if (!allowed) {
      throw new IllegalArgumentException(message);
    }
  }

  /**
   * Refuses a value that the rules do not allow. The sentence is put together only then: figures
   * are checked by the million.
   *
   * @param allowed whether the value is allowed
   * @param message the sentence up to the value
   * @param found the value
   * @throws IllegalArgumentException if the value is not allowed
   */
  public static void that(boolean allowed, String message, Object found) {
    if (!allowed) {
      throw new IllegalArgumentException(message + found);
    }
  }
}
