package mosaicknife.app.lot;

/**
 * A part that was said not to be taken off was weighed after all.
 *
 * @param lotId the lot number
 * @param slot the part
 */
public record PartWeighedAfterAll(long lotId, String slot) {}
