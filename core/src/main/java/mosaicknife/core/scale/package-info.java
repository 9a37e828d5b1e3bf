/**
 * Readings of a scale and a model of one, so that the bench can be worked and tested without one.
 *
 * <p>No sockets, no threads, no clock: the application asks the model what it shows at a time.
 *
 * <p>Read {@link mosaicknife.core.scale.ScaleReading}, {@link mosaicknife.core.scale.Claim}, which
 * says how long a part that was taken holds the scale, then {@link
 * mosaicknife.core.scale.ScaleModel}.
 */
package mosaicknife.core.scale;
