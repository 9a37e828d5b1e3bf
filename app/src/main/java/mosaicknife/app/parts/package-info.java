/**
 * The parts of a lot as they are stored: laid out by the cut plan, with purposes and ways.
 *
 * <p>It does not know weighings; {@link mosaicknife.app.parts.WeighedParts} answers for them. Read
 * {@link mosaicknife.app.parts.LotParts}, {@link mosaicknife.app.parts.OptionChooser} and {@link
 * mosaicknife.app.parts.PurposeAssigner}.
 */
package mosaicknife.app.parts;
