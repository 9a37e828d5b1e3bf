/**
 * Pictures made on the server: the mosaic and the drawing of a body plan, as plain records that
 * templates turn into SVG.
 *
 * <p>Read {@link mosaicknife.app.picture.MosaicPicture} and {@link
 * mosaicknife.app.picture.FishPicture}.
 */
package mosaicknife.app.picture;
