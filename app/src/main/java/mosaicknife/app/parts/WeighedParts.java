package mosaicknife.app.parts;

/**
 * Knows which parts were weighed. The parts do not know the weighings, so these answer for them.
 */
public interface WeighedParts {

  /**
   * Returns whether a weighing of a part stands.
   *
   * @param partId the number of the part
   * @return true if it was weighed and not taken back
   */
  boolean isWeighed(long partId);
}
