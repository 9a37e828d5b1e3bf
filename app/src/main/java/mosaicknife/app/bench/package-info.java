/**
 * The bench: parts and their weighings, the tally, the live scale.
 *
 * <p>Weighings are append-only facts. Other stations read {@link mosaicknife.app.bench.BenchSheet}
 * through {@link mosaicknife.app.bench.BenchSheets}; they change purposes through {@link
 * mosaicknife.app.bench.PurposeAssigner}.
 */
package mosaicknife.app.bench;
