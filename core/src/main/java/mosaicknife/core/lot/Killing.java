package mosaicknife.core.lot;

/** How a fish was killed, as far as one can see or was told. */
public enum Killing {
  /** Brain spiked, bled, in ice slurry: firm flesh. */
  SPIKED,
  /** Bled. */
  BLED,
  /** Died in ice. */
  ICE,
  /** Not known. */
  UNKNOWN;
}
