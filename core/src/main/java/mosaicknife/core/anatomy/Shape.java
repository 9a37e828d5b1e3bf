package mosaicknife.core.anatomy;

import java.util.ArrayList;
import java.util.List;
import mosaicknife.core.check.Check;

/**
 * A line through points, in body lengths: a contour, a fin, a region, a mark.
 *
 * @param points the points it passes through, at least two
 * @param closed whether the last point joins the first
 * @param smooth whether the line is curved through the points or straight between them
 */
public record Shape(List<Point> points, boolean closed, boolean smooth) {

  /** Refuses fewer than two points. */
  public Shape {
    points = List.copyOf(Check.notEmpty(points, "points"));
    Check.that(points.size() > 1, "Expected at least two points, found ", points.size());
  }

  /**
   * One piece of the line, a cubic Bézier curve from the end of the piece before.
   *
   * @param control1 the first control point
   * @param control2 the second control point
   * @param end where it ends
   */
  public record Curve(Point control1, Point control2, Point end) {}

  /**
   * Returns the line as cubic curves. A smooth line is a uniform Catmull–Rom spline: the tangent at
   * a point is half the way between its neighbours, so the control points lie a sixth of that way
   * off. A straight piece has its control points on its ends.
   *
   * @return one curve per piece, in order
   */
  public List<Curve> curves() {
    List<Curve> curves = new ArrayList<>();
    int pieces = closed ? points.size() : points.size() - 1;
    for (int piece = 0; piece < pieces; piece++) {
      Point start = at(piece);
      Point end = at(piece + 1);
      curves.add(
          smooth
              ? new Curve(
                  sixthOfTheWay(start, at(piece - 1), end),
                  sixthOfTheWay(end, at(piece + 2), start),
                  end)
              : new Curve(start, end, end));
    }
    return List.copyOf(curves);
  }

  private Point at(int index) {
    int last = points.size() - 1;
    return closed
        ? points.get(Math.floorMod(index, points.size()))
        : points.get(Math.max(0, Math.min(last, index)));
  }

  private static Point sixthOfTheWay(Point origin, Point from, Point to) {
    return new Point(origin.x() + (to.x() - from.x()) / 6, origin.y() + (to.y() - from.y()) / 6);
  }
}
