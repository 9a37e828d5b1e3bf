package mosaicknife.app.shared;

/** Writes the figures of a message as this house reads them. */
public interface Figures {

  /**
   * Writes one figure.
   *
   * @param figure a mass, an amount of money, a price, a date, a duration, a share, a name
   * @return its text; the figure itself where the message counts or chooses by it
   */
  Object write(Object figure);
}
