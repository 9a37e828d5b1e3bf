package mosaicknife.core.anatomy;

import java.util.ArrayList;
import java.util.List;

/** A shape flattened to straight pieces, to ask whether a point lies inside. */
final class Silhouette {

  private static final int PIECES = 8;

  private final List<Point> corners = new ArrayList<>();

  Silhouette(Shape shape) {
    Point from = shape.points().get(0);
    for (Shape.Curve curve : shape.curves()) {
      for (int i = 1; i <= PIECES; i++) {
        corners.add(on(from, curve, i / (double) PIECES));
      }
      from = curve.end();
    }
  }

  private static Point on(Point from, Shape.Curve curve, double t) {
    double u = 1 - t;
    return new Point(
        u * u * u * from.x()
            + 3 * u * u * t * curve.control1().x()
            + 3 * u * t * t * curve.control2().x()
            + t * t * t * curve.end().x(),
        u * u * u * from.y()
            + 3 * u * u * t * curve.control1().y()
            + 3 * u * t * t * curve.control2().y()
            + t * t * t * curve.end().y());
  }

  /** Counts how often a ray to the right crosses the outline (even–odd rule). */
  boolean contains(double x, double y) {
    boolean inside = false;
    Point before = corners.get(corners.size() - 1);
    for (Point corner : corners) {
      boolean crosses = corner.y() > y != before.y() > y;
      if (crosses
          && x
              < (before.x() - corner.x()) * (y - corner.y()) / (before.y() - corner.y())
                  + corner.x()) {
        inside = !inside;
      }
      before = corner;
    }
    return inside;
  }

  double left() {
    return corners.stream().mapToDouble(Point::x).min().orElse(0);
  }

  double right() {
    return corners.stream().mapToDouble(Point::x).max().orElse(0);
  }

  double top() {
    return corners.stream().mapToDouble(Point::y).min().orElse(0);
  }

  double bottom() {
    return corners.stream().mapToDouble(Point::y).max().orElse(0);
  }
}
