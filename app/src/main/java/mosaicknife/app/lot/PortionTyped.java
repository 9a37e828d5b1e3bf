package mosaicknife.app.lot;

/**
 * Somebody typed what a portion of a lot weighs: it counts for all its parts, whatever their dishes
 * say.
 *
 * @param lotId the lot number
 */
public record PortionTyped(long lotId) {}
