/**
 * The weighings: facts that are inserted and superseded, never changed; the live scale's stream.
 *
 * <p>{@link mosaicknife.app.weighing.WeighingRecorder} takes them, {@link
 * mosaicknife.app.weighing.LotSheets} loads a lot with all of them for every page. It words nothing
 * and judges nothing.
 */
package mosaicknife.app.weighing;
