package mosaicknife.core.anatomy;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;

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

  /** Where an upright line meets the outline, on the side of the back or of the belly. */
  OptionalDouble edge(double x, boolean back) {
    double found = Double.NaN;
    Point before = corners.get(corners.size() - 1);
    for (Point corner : corners) {
      if (corner.x() > x != before.x() > x) {
        double y =
            before.y() + (corner.y() - before.y()) * (x - before.x()) / (corner.x() - before.x());
        found = Double.isNaN(found) || (back ? y < found : y > found) ? y : found;
      }
      before = corner;
    }
    return Double.isNaN(found) ? OptionalDouble.empty() : OptionalDouble.of(found);
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
