/**
 * The Second life station: what every part becomes.
 *
 * <p>Purposes are stored by {@link mosaicknife.app.bench.PurposeBook}.
 */
package mosaicknife.app.use;
