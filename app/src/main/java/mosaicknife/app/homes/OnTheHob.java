package mosaicknife.app.homes;

import java.util.Map;

/** What of that which is to be made is on the hob, whoever keeps that. */
public interface OnTheHob {

  /**
   * Returns what is on the hob.
   *
   * @return the addresses of the pots by the number of the making
   */
  Map<Long, String> pots();
}
