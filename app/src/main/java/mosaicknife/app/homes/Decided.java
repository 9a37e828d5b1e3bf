package mosaicknife.app.homes;

import java.util.List;
import java.util.Map;
import mosaicknife.core.quantity.Mass;

/** What was decided of the grams of a lot's parts, whoever keeps that. */
public interface Decided {

  /**
   * Some grams that become something.
   *
   * @param use what they become
   * @param venue the number of the venue
   * @param mass how much
   */
  record Share(String use, long venue, Mass mass) {}

  /**
   * Returns what was decided of a lot.
   *
   * @param lot the number of the lot
   * @return the grams by slot, the first decision first
   */
  Map<String, List<Share>> of(long lot);
}
