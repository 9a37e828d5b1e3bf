/**
 * The dock: what is expected, what came, how it looks, whether it is what is paid for.
 *
 * <p>Pages and forms only; lots, inspections, papers and claims are stored by {@code lot}. Read
 * {@link mosaicknife.app.dock.ReceiptReader}, {@code DockController} and {@code DockLotController}.
 */
package mosaicknife.app.dock;
