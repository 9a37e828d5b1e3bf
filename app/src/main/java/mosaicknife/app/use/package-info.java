/**
 * The Second life station: what every part becomes.
 *
 * <p>Purposes are stored by {@link mosaicknife.app.bench.PurposeAssigner}.
 */
package mosaicknife.app.use;
