package mosaicknife.core.anatomy;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import mosaicknife.core.anatomy.Drawing.Region;
import mosaicknife.core.anatomy.Drawing.View;
import mosaicknife.core.anatomy.Look.Mark;

/**
 * Draws a species: the drawing of its body plan, stretched to its own proportions, with what is on
 * its skin. The regions stretch with it, so the same geometry shows its parts.
 */
public final class Portrait {

  /** Where the head ends and the tail fin begins in the drawings of body plans, of the contour. */
  private static final double PLAN_HEAD = 0.215;

  private static final double PLAN_TAIL = 0.9;

  /** The front of the body up to here is the forehead, from there on it is the body's own depth. */
  private static final double FOREHEAD = 0.16;

  private static final double SHOULDER = 0.38;
  private static final double STALK_BEGINS = 0.62;

  private static final double GOLDEN = 0.618034;
  private static final int ROUND = 8;
  private static final double BILL = 0.3;
  private static final double HALF = 0.46;

  private final Look look;
  private final Drawing drawing;
  private final double stretch;

  private Portrait(Look look, Drawing drawing, double stretch) {
    this.look = look;
    this.drawing = drawing;
    this.stretch = stretch;
  }

  /** Forehead and stalk change the greatest depth too, so it is measured on the shape they give. */
  private static Portrait of(Look look, Drawing drawing) {
    Body main = new Body(mainView(drawing));
    Shape contour = mainView(drawing).contour();
    Silhouette shaped = new Silhouette(new Portrait(look, drawing, 1).moved(contour, main, false));
    return new Portrait(
        look, drawing, look.depth() * main.length() / (shaped.bottom() - shaped.top()));
  }

  /**
   * Draws a species.
   *
   * @param species the species
   * @return its own drawing; that of its body plan where nothing more is known of its looks
   */
  public static Drawing of(Species species) {
    return Look.of(species.code())
        .map(look -> of(look, drawingOf(look, species)).drawn())
        .orElseGet(species.plan()::drawing);
  }

  private static Drawing drawingOf(Look look, Species species) {
    return look.drawnFrom().isEmpty()
        ? species.plan().drawing()
        : Catalogue.shipped()
            .findPlan(look.drawnFrom())
            .orElseThrow(() -> new IllegalStateException("Bug: no plan " + look.drawnFrom()))
            .drawing();
  }

  private static View mainView(Drawing drawing) {
    return drawing.views().stream()
        .filter(view -> view.eye().isPresent())
        .findFirst()
        .orElse(drawing.views().get(0));
  }

  /** The middle line of a body runs to the end of its stalk. */
  private static double axisOf(Shape contour) {
    return contour.points().stream()
        .max(Comparator.comparingDouble(Point::x))
        .map(Point::y)
        .orElseThrow();
  }

  /** The body of a view in its own measure. */
  private static final class Body {

    private final Silhouette outline;
    private final double axis;

    Body(View view) {
      outline = new Silhouette(view.contour());
      axis = axisOf(view.contour());
    }

    double length() {
      return outline.right() - outline.left();
    }

    /** How far along the body a place is, from 0 at the snout to 1 at the end of the stalk. */
    double along(double x) {
      return (x - outline.left()) / length();
    }

    double edge(double x, boolean back) {
      double inside = Math.max(outline.left() + 1e-4, Math.min(outline.right() - 1e-4, x));
      return outline.edge(inside, back).orElse(axis);
    }
  }

  // ---- stretching -----------------------------------------------------------------------------

  private Drawing drawn() {
    List<View> stretched = drawing.views().stream().map(this::stretched).toList();
    return apart(stretched);
  }

  private View stretched(View view) {
    Body body = new Body(view);
    boolean whole = view == mainView(drawing);
    Shape contour = moved(view.contour(), body, false);
    List<Region> regions =
        (whole ? withFins(view, body) : view.regions())
            .stream()
                .map(
                    region ->
                        new Region(
                            region.slot(),
                            moved(region.shape(), body, !region.clipped()),
                            region.clipped(),
                            moved(region.label(), body, !region.clipped())))
                .toList();
    List<Shape> marks =
        new ArrayList<>(
            marksOf(view, whole).stream().map(mark -> moved(mark, body, true)).toList());
    List<Shape> spots = new ArrayList<>();
    if (whole) {
      Skin skin = new Skin(contour);
      look.marks().forEach(mark -> skin.draw(mark, marks, spots));
    }
    return new View(
        view.name(),
        contour,
        regions,
        marks,
        view.eye().map(eye -> moved(eye, body, false)),
        view.place(),
        spots,
        whole ? look.eye() : 1);
  }

  /** Mouth and breast fin, the first and the last mark of a plan, are on every fish. */
  private List<Shape> marksOf(View view, boolean whole) {
    List<Shape> marks = view.marks();
    boolean plain = whole && look.marks().stream().anyMatch(mark -> mark.kind() == Mark.Kind.PLAIN);
    return plain && marks.size() > 1 ? List.of(marks.get(0), marks.get(marks.size() - 1)) : marks;
  }

  // ---- fins -----------------------------------------------------------------------------------

  /** The regions with the fins where they stand on this fish. */
  private List<Region> withFins(View view, Body body) {
    List<Region> regions = new ArrayList<>();
    int number = 0;
    for (Region region : view.regions()) {
      if (region.clipped()) {
        regions.add(region);
      } else {
        regions.addAll(fins(region, number++, body));
      }
    }
    return regions;
  }

  private List<Region> fins(Region fin, int number, Body body) {
    List<Region> fins = List.of(fin);
    for (Mark mark : look.marks()) {
      boolean meant = !mark.figures().isEmpty() && mark.figures().get(0) == number;
      if (meant && mark.kind() == Mark.Kind.FIN) {
        double high = Skin.figure(mark, 2, 1);
        double back = Skin.figure(mark, 1, 0) * body.length();
        fins = high == 0 ? List.of() : List.of(placed(fin, body, 1, back, high));
      } else if (meant && mark.kind() == Mark.Kind.SPLIT) {
        fins = halves(fin, body);
      }
    }
    return fins;
  }

  private static List<Region> halves(Region fin, Body body) {
    double from = fin.shape().points().stream().mapToDouble(Point::x).min().orElse(0);
    double to = fin.shape().points().stream().mapToDouble(Point::x).max().orElse(0);
    double quarter = (to - from) / 4;
    // each half about its own middle, a little gap between them
    return List.of(placed(fin, body, HALF, -quarter, 1), placed(fin, body, HALF, quarter, 0.85));
  }

  /** A fin made narrower about its middle, moved back along the edge of the body, and higher. */
  private static Region placed(Region fin, Body body, double narrow, double back, double high) {
    double middle = fin.shape().points().stream().mapToDouble(Point::x).average().orElse(0);
    boolean above =
        fin.shape().points().stream().mapToDouble(Point::y).average().orElse(0) < body.axis;
    List<Point> points =
        fin.shape().points().stream()
            .map(
                point -> {
                  double x = middle + (point.x() - middle) * narrow + back;
                  double off = (point.y() - body.edge(point.x(), above)) * high;
                  return new Point(x, body.edge(x, above) + off);
                })
            .toList();
    Shape shape = new Shape(points, fin.shape().closed(), fin.shape().smooth());
    Point label = new Point(fin.label().x() + back, fin.label().y());
    return new Region(fin.slot(), shape, fin.clipped(), label);
  }

  private Shape moved(Shape shape, Body body, boolean fin) {
    return new Shape(
        shape.points().stream().map(point -> moved(point, body, fin)).toList(),
        shape.closed(),
        shape.smooth());
  }

  private Point moved(Point point, Body body, boolean fin) {
    double along = body.along(point.x());
    double x = body.outline.left() + body.length() * lengthened(along);
    if (along >= 1 && fin) {
      return tail(point, body, x);
    }
    double factor = factor(along);
    double edge = body.edge(point.x(), point.y() < body.axis);
    boolean outside = fin && Math.abs(point.y() - body.axis) > Math.abs(edge - body.axis);
    double y =
        outside
            ? body.axis + (edge - body.axis) * factor + (point.y() - edge) * look.fins()
            : body.axis + (point.y() - body.axis) * factor;
    return new Point(x, y);
  }

  /** The tail fin spreads as far as it does, and its middle is as deep as the fork. */
  private Point tail(Point point, Body body, double x) {
    double off = point.y() - body.axis;
    double middle = Math.max(0, 1 - Math.abs(off) / (0.05 * body.length()));
    double reach = Math.max(0, (body.along(point.x()) - 1) / 0.08);
    return new Point(
        x - look.fork() * body.length() * middle * Math.min(1, reach),
        body.axis + off * look.tail());
  }

  /** The head is as long as it is, and the trunk takes up the difference. */
  private double lengthened(double along) {
    if (along <= 0 || along >= PLAN_TAIL) {
      return along;
    }
    return along < PLAN_HEAD
        ? along * look.head() / PLAN_HEAD
        : look.head() + (along - PLAN_HEAD) * (PLAN_TAIL - look.head()) / (PLAN_TAIL - PLAN_HEAD);
  }

  private double factor(double along) {
    double front =
        along < FOREHEAD
            ? 1
            : along > SHOULDER ? 0 : smooth((SHOULDER - along) / (SHOULDER - FOREHEAD));
    double back =
        along < STALK_BEGINS ? 0 : smooth(Math.min(1, (along - STALK_BEGINS) / (1 - STALK_BEGINS)));
    return stretch * (1 + front * (look.front() - 1)) * (1 + back * (look.stalk() - 1));
  }

  private static double smooth(double way) {
    return way * way * (3 - 2 * way);
  }

  // ---- the sheet ------------------------------------------------------------------------------

  /** Views that grew are moved apart, and the sheet fits around them. */
  private Drawing apart(List<View> stretched) {
    List<View> before = drawing.views();
    List<Bounds> old = before.stream().map(Bounds::of).toList();
    List<Double> shifts = new ArrayList<>();
    for (int i = 0; i < stretched.size(); i++) {
      double shift = (growth(stretched.get(i), old.get(i))) / 2;
      for (int j = 0; j < stretched.size(); j++) {
        if (old.get(j).isAbove(old.get(i))) {
          shift += growth(stretched.get(j), old.get(j));
        }
      }
      shifts.add(shift);
    }
    List<View> placed = new ArrayList<>();
    double bottom = 0;
    for (int i = 0; i < stretched.size(); i++) {
      View view = shifted(stretched.get(i), ahead(), shifts.get(i));
      placed.add(view);
      bottom = Math.max(bottom, Bounds.of(view).bottom());
    }
    double below = drawing.height() - old.stream().mapToDouble(Bounds::bottom).max().orElse(0);
    return new Drawing(drawing.width() + ahead(), bottom + below, placed);
  }

  /** How far something sticks out of the snout. */
  private double ahead() {
    return look.marks().stream()
        .filter(mark -> mark.kind() == Mark.Kind.BILL)
        .mapToDouble(mark -> Skin.figure(mark, 0, BILL))
        .max()
        .orElse(0);
  }

  private static double growth(View view, Bounds old) {
    return Bounds.of(view).height() - old.height();
  }

  private static View shifted(View view, double right, double down) {
    return new View(
        view.name(),
        shifted(view.contour(), right, down),
        view.regions().stream()
            .map(
                region ->
                    new Region(
                        region.slot(),
                        shifted(region.shape(), right, down),
                        region.clipped(),
                        shifted(region.label(), right, down)))
            .toList(),
        view.marks().stream().map(mark -> shifted(mark, right, down)).toList(),
        view.eye().map(eye -> shifted(eye, right, down)),
        view.place(),
        view.spots().stream().map(spot -> shifted(spot, right, down)).toList(),
        view.eyeSize());
  }

  private static Shape shifted(Shape shape, double right, double down) {
    return new Shape(
        shape.points().stream().map(point -> shifted(point, right, down)).toList(),
        shape.closed(),
        shape.smooth());
  }

  private static Point shifted(Point point, double right, double down) {
    return new Point(point.x() + right, point.y() + down);
  }

  /** What a view takes up on the sheet, fins and all. */
  private record Bounds(double left, double right, double top, double bottom) {

    static Bounds of(View view) {
      List<Point> points = new ArrayList<>(view.contour().points());
      view.regions().stream()
          .filter(region -> !region.clipped())
          .forEach(region -> points.addAll(region.shape().points()));
      return new Bounds(
          points.stream().mapToDouble(Point::x).min().orElse(0),
          points.stream().mapToDouble(Point::x).max().orElse(0),
          points.stream().mapToDouble(Point::y).min().orElse(0),
          points.stream().mapToDouble(Point::y).max().orElse(0));
    }

    double height() {
      return bottom - top;
    }

    boolean isAbove(Bounds other) {
      boolean beside = right <= other.left + 0.1 || other.right <= left + 0.1;
      return !beside && top + bottom < other.top + other.bottom;
    }
  }

  // ---- the skin -------------------------------------------------------------------------------

  /** Draws on the side of the fish: u runs along it, v from the back (-1) to the belly (1). */
  private static final class Skin {

    private final Silhouette outline;
    private final double axis;

    Skin(Shape contour) {
      outline = new Silhouette(contour);
      axis = axisOf(contour);
    }

    void draw(Mark mark, List<Shape> lines, List<Shape> spots) {
      switch (mark.kind()) {
        case BARS -> bars((int) figure(mark, 0, 5), lines, 0);
        case WAVES -> bars((int) figure(mark, 0, 12), lines, 0.35);
        case STRIPES -> stripes((int) figure(mark, 0, 5), lines);
        case SPOTS -> spots((int) figure(mark, 0, 30), figure(mark, 1, 0.007), spots);
        case BLOTCH ->
            spots.add(round(at(figure(mark, 0, 0.4), figure(mark, 1, 0)), figure(mark, 2, 0.02)));
        case LATERAL -> lines.add(line(0.24, 0.97, -0.1));
        case BARBELS -> barbels((int) figure(mark, 0, 1), figure(mark, 1, 0.05), lines);
        case FINLETS -> finlets((int) figure(mark, 0, 6), lines);
        case THORNS -> spots((int) figure(mark, 0, 20), 0.005, spots);
        case BILL -> bill(figure(mark, 0, Portrait.BILL), spots);
        case PLAIN, FIN, SPLIT -> {
          // of the plan's own marks and fins
        }
      }
    }

    private static double figure(Mark mark, int index, double usual) {
      return index < mark.figures().size() ? mark.figures().get(index) : usual;
    }

    private double length() {
      return outline.right() - outline.left();
    }

    private Point at(double u, double v) {
      double x = outline.left() + length() * u;
      double edge = outline.edge(x, v < 0).orElse(axis);
      return new Point(x, axis + (edge - axis) * Math.abs(v));
    }

    private void bars(int count, List<Shape> lines, double wave) {
      for (int i = 0; i < count; i++) {
        double u = 0.27 + 0.6 * i / Math.max(1, count - 1);
        double bend = wave * 0.04;
        lines.add(
            new Shape(
                List.of(
                    at(u, -0.95),
                    at(u + bend, -0.65),
                    at(u - bend, -0.35),
                    at(u + bend / 2, wave > 0 ? -0.08 : 0.25)),
                false,
                true));
      }
    }

    private void stripes(int count, List<Shape> lines) {
      for (int i = 0; i < count; i++) {
        lines.add(line(0.26, 0.93, -0.75 + 1.2 * i / Math.max(1, count - 1)));
      }
    }

    private Shape line(double from, double to, double v) {
      List<Point> points = new ArrayList<>();
      for (int i = 0; i <= 6; i++) {
        points.add(at(from + (to - from) * i / 6, v));
      }
      return new Shape(points, false, true);
    }

    /** Spread evenly without a pattern, by the golden section. */
    private void spots(int count, double size, List<Shape> spots) {
      for (int i = 0; i < count; i++) {
        double u = 0.25 + 0.62 * ((i * GOLDEN) % 1);
        double v = -0.82 + 1.3 * (i + 0.5) / count;
        spots.add(round(at(u, v), size));
      }
    }

    private static Shape round(Point middle, double size) {
      List<Point> points = new ArrayList<>();
      for (int i = 0; i < ROUND; i++) {
        double angle = 2 * Math.PI * i / ROUND;
        points.add(
            new Point(middle.x() + size * Math.cos(angle), middle.y() + size * Math.sin(angle)));
      }
      return new Shape(points, true, true);
    }

    private void barbels(int count, double length, List<Shape> lines) {
      for (int i = 0; i < count; i++) {
        Point chin = at(0.045 + 0.03 * i, 0.9);
        lines.add(
            new Shape(
                List.of(
                    chin,
                    new Point(chin.x() + 0.1 * length, chin.y() + 0.6 * length),
                    new Point(chin.x() - 0.15 * length, chin.y() + length)),
                false,
                true));
      }
    }

    private void finlets(int count, List<Shape> lines) {
      for (int i = 0; i < count; i++) {
        double u = 0.72 + 0.2 * i / Math.max(1, count - 1);
        for (double v : new double[] {-1, 1}) {
          Point edge = at(u, v);
          double out = v * 0.016;
          lines.add(
              new Shape(
                  List.of(
                      edge,
                      new Point(edge.x() + 0.014, edge.y() + out),
                      new Point(edge.x() + 0.012, edge.y())),
                  true,
                  false));
        }
      }
    }

    private void bill(double length, List<Shape> spots) {
      Point snout = new Point(outline.left() + 0.005, axis - 0.002);
      spots.add(
          new Shape(
              List.of(
                  new Point(snout.x() + 0.02, snout.y() - 0.012),
                  new Point(snout.x() - length, snout.y() + 0.002),
                  new Point(snout.x() + 0.02, snout.y() + 0.014)),
              true,
              false));
    }
  }
}
