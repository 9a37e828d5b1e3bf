package mosaicknife.core.mosaic;

/**
 * A rectangle of the mosaic, in pixels from the top left corner of the frame.
 *
 * @param id the identifier of the piece it shows
 * @param x the left edge
 * @param y the top edge
 * @param width the width, positive
 * @param height the height, positive
 */
public record Tile(String id, double x, double y, double width, double height) {

  /**
   * Returns the visible area.
   *
   * @return width times height, in square pixels
   */
  public double area() {
    return width * height;
  }
}
