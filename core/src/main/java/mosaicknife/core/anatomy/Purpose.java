package mosaicknife.core.anatomy;

import java.util.Arrays;
import java.util.Optional;

/**
 * What a part is for. Every gram bought ends in one of six classes, or is still open.
 *
 * <p>The letter is shown with the colour and the pattern, so that none of them carries the meaning
 * alone.
 */
public enum Purpose {
  /** A main dish: it carries the cost of the fish. */
  PLATE('P'),
  /** A second dish made from what the main dish leaves. */
  SECOND_PLATE('S'),
  /** Stock, soup, sauce. K for kettle. */
  POT('K'),
  /** Kept chilled or frozen with a date, a place and a person. */
  HOLD('H'),
  /** Compost. */
  COMPOST('C'),
  /** Thrown away. */
  BIN('B');

  private final char letter;

  Purpose(char letter) {
    this.letter = letter;
  }

  /**
   * Returns the letter shown on tiles.
   *
   * @return one of P, S, K, H, C, B
   */
  public char letter() {
    return letter;
  }

  /**
   * Returns whether parts with this purpose are eaten on a plate of their own: the usable yield.
   *
   * @return true for the two plates
   */
  public boolean isServed() {
    return this == PLATE || this == SECOND_PLATE;
  }

  /**
   * Returns whether parts with this purpose are cooked or kept for another day.
   *
   * @return true for pot and hold
   */
  public boolean isKept() {
    return this == POT || this == HOLD;
  }

  /**
   * Returns whether parts with this purpose are of use to anybody who eats: on a plate, in the pot,
   * or kept. Compost is not.
   *
   * @return false for compost and bin
   */
  public boolean isUsed() {
    return isServed() || isKept();
  }

  /**
   * Finds the purpose of a letter.
   *
   * @param letter the letter, upper or lower case
   * @return the purpose, or empty if no purpose has the letter
   */
  public static Optional<Purpose> find(char letter) {
    return Arrays.stream(values())
        .filter(purpose -> purpose.letter == Character.toUpperCase(letter))
        .findFirst();
  }
}
