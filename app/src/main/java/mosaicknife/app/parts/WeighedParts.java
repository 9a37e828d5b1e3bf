package mosaicknife.app.parts;

import java.util.Collection;
import java.util.List;

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

  /**
   * Returns the parts that were weighed, in the order of their first weights.
   *
   * @param partIds the numbers of the parts asked about
   * @return the numbers of those that were weighed
   */
  List<Long> inOrder(Collection<Long> partIds);
}
