/**
 * The lots as they are stored: receipts, inspections, measured fish, papers and claims.
 *
 * <p>It has no page; {@code dock} shows and takes what is written down here. Read {@link
 * mosaicknife.app.lot.LotRegister} first. What can be wrong with a delivery is said by {@link
 * mosaicknife.core.lot.LotRules}.
 */
package mosaicknife.app.lot;
