/**
 * Readings of a scale and a model of one, so that the bench can be worked and tested without one.
 *
 * <p>No sockets, no threads, no clock: the application asks the model what it shows at a time.
 *
 * <p>Read {@link mosaicknife.core.scale.ScaleReading}, then {@link
 * mosaicknife.core.scale.ScaleModel}.
 */
package mosaicknife.core.scale;
