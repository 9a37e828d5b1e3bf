/**
 * The application: one package a station, each with its pages, its service and its tables.
 *
 * <p>A station uses another only through its public service and read-only records. Arithmetic lives
 * in {@code mosaicknife.core}. Read first: {@link mosaicknife.app.dock.LotRegister}, {@link
 * mosaicknife.app.bench.WeighingRecorder}.
 */
package mosaicknife.app;
