/**
 * The fish as a mosaic: rectangles whose areas are exactly proportional to masses.
 *
 * <p>It lays tiles out; it knows no colours, no parts and no SVG.
 *
 * <p>Read {@link mosaicknife.core.mosaic.MosaicLayout}.
 */
package mosaicknife.core.mosaic;
