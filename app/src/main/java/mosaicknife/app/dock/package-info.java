/**
 * The dock: lots as they were received.
 *
 * <p>Other stations read lots through {@link mosaicknife.app.dock.LotRegister}; they learn of a new
 * one by the event {@link mosaicknife.app.dock.LotReceived}.
 */
package mosaicknife.app.dock;
