package mosaicknife.app.picture;

import mosaicknife.app.shared.Decimals;
import mosaicknife.core.anatomy.Point;
import mosaicknife.core.anatomy.Shape;

/** Writes lines of a drawing as SVG path data, in thousandths of a body length. */
final class SvgPath {

  static final double UNITS = 1000;

  private SvgPath() {}

  static String of(Shape shape) {
    StringBuilder path = new StringBuilder("M").append(point(shape.points().get(0)));
    for (Shape.Curve curve : shape.curves()) {
      path.append('C')
          .append(point(curve.control1()))
          .append(' ')
          .append(point(curve.control2()))
          .append(' ')
          .append(point(curve.end()));
    }
    return shape.closed() ? path.append('Z').toString() : path.toString();
  }

  static String number(double bodyLengths) {
    return Decimals.of(bodyLengths * UNITS, 1);
  }

  private static String point(Point point) {
    return number(point.x()) + "," + number(point.y());
  }
}
