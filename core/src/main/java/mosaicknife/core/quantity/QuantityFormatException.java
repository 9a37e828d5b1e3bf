package mosaicknife.core.quantity;

/**
 * Something typed could not be read as a quantity.
 *
 * <p>The message is one plain sentence for the person who typed it: what was wrong, in their own
 * characters, and what to type instead.
 */
public final class QuantityFormatException extends RuntimeException {

  private static final long serialVersionUID = 1L;

  /**
   * Carries the sentence to show.
   *
   * @param sentence the whole sentence
   */
  public QuantityFormatException(String sentence) {
    super(sentence);
  }
}
