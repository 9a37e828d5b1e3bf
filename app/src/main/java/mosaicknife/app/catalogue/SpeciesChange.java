package mosaicknife.app.catalogue;

import java.time.Instant;

/**
 * One edit of a fish, for its history.
 *
 * @param words what was done
 * @param reason why, possibly empty
 * @param who who did it
 * @param when when
 */
record SpeciesChange(String words, String reason, String who, Instant when) {}
