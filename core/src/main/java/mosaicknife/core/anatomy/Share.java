package mosaicknife.core.anatomy;

import mosaicknife.core.check.Check;

/**
 * What fraction of an ungutted fish one part is, as a starting estimate.
 *
 * @param slot the part
 * @param mean the expected fraction of the ungutted fish, without the loss; from 0 to 1
 * @param spread the standard deviation of the fraction between fish, from 0 to 1
 */
public record Share(PartSlot slot, double mean, double spread) {

  /** Refuses fractions outside 0–1. */
  public Share {
    Check.notNull(slot, "slot");
    Check.inRange(mean, 0, 1, "mean share");
    Check.inRange(spread, 0, 1, "spread of the share");
  }
}
