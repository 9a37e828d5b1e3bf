package mosaicknife.core.finding;

/** Something that has a name or a sentence of its own in the message bundles. */
public interface Keyed {

  /**
   * Returns the key of its message.
   *
   * @return such as {@code Sign.EYES.2}
   */
  String key();
}
