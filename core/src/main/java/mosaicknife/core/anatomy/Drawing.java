package mosaicknife.core.anatomy;

import java.util.List;
import java.util.Optional;
import mosaicknife.core.check.Check;

/**
 * The drawing of a body plan as data: one or more views laid out on one sheet.
 *
 * <p>It is opened up like the fish on the board: the near side, the far side lifted off, the frame.
 * The regions of a view lie in cutting order and are clipped by its contour, so neighbours need not
 * agree on a common edge.
 *
 * @param width the width of the sheet, in body lengths
 * @param height the height of the sheet, in body lengths
 * @param views the views
 */
public record Drawing(double width, double height, List<View> views) {

  /** Refuses an empty sheet. */
  public Drawing {
    Check.inRange(width, 0.1, 10, "width");
    Check.inRange(height, 0.1, 10, "height");
    views = List.copyOf(Check.notEmpty(views, "views"));
  }

  /**
   * One picture of the fish or of a part of it.
   *
   * @param name what is seen, such as {@code near side}
   * @param contour the outline that clips the regions inside it
   * @param regions the regions, back to front
   * @param marks lines with no meaning of their own: gill cover, mouth, rays, bones
   * @param eye the middle of the eye, if this view shows one
   * @param place where it lies on the sheet
   * @param spots filled shapes with no meaning of their own: spots of the skin, thorns, a sword
   * @param eyeSize how large the eye is against the usual one
   */
  public record View(
      String name,
      Shape contour,
      List<Region> regions,
      List<Shape> marks,
      Optional<Point> eye,
      Place place,
      List<Shape> spots,
      double eyeSize) {

    /** A view without spots and with an eye of the usual size. */
    public View(
        String name,
        Shape contour,
        List<Region> regions,
        List<Shape> marks,
        Optional<Point> eye,
        Place place) {
      this(name, contour, regions, marks, eye, place, List.of(), 1);
    }

    /** Copies the lists. */
    public View {
      spots = List.copyOf(spots);
      Check.text(name, "name");
      Check.notNull(contour, "contour");
      regions = List.copyOf(regions);
      marks = List.copyOf(marks);
      Check.notNull(eye, "eye");
      Check.notNull(place, "place");
    }
  }

  /**
   * Where a view lies on the sheet: its points are scaled, then moved.
   *
   * @param left how far it is moved to the right, in body lengths
   * @param top how far it is moved down
   * @param scale how large a body length is drawn, above 0
   */
  public record Place(double left, double top, double scale) {

    /** Refuses a view without size. */
    public Place {
      Check.inRange(scale, 0.01, 10, "scale");
    }

    /**
     * Returns where a point of the body lies on the sheet.
     *
     * @param x body lengths from the tip of the head
     * @param y body lengths down
     * @return the point on the sheet
     */
    public Point toSheet(double x, double y) {
      return new Point(left + scale * x, top + scale * y);
    }

    /**
     * Returns which point of the body lies at a place of the sheet.
     *
     * @param x to the right on the sheet
     * @param y down on the sheet
     * @return the point of the body
     */
    public Point toBody(double x, double y) {
      return new Point((x - left) / scale, (y - top) / scale);
    }
  }

  /**
   * The area of one part in a view.
   *
   * @param slot the code of the part's slot
   * @param shape the outline of the area
   * @param clipped whether the contour of the view clips it; fins stick out and are not clipped
   * @param label where its number stands
   */
  public record Region(String slot, Shape shape, boolean clipped, Point label) {}
}
