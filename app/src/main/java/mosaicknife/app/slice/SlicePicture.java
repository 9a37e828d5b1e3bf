package mosaicknife.app.slice;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import mosaicknife.app.shared.Formats;
import mosaicknife.core.slice.Fillet;
import mosaicknife.core.slice.Slicing;

/**
 * A fillet seen from above, head end left: its outline at its width, darker where it is thicker,
 * the zone of the pin bones, the cuts with what they weigh, and a ruler.
 *
 * @param width in pixels
 * @param height in pixels
 * @param scale pixels a centimetre
 * @param outline the outline as a path
 * @param columns how thick it is along it
 * @param bonesTo where the pin bones end, in pixels; the left edge if there are none
 * @param pieces the pieces
 * @param cuts where the knife goes, in pixels
 * @param ruler the centimetres
 * @param before the share of its mass before each hundredth of its length, for the browser
 * @param grams what it weighs, for the browser
 * @param centimetres how long it is, for the browser
 */
record SlicePicture(
    int width,
    int height,
    double scale,
    String outline,
    List<Column> columns,
    double bonesTo,
    List<Piece> pieces,
    List<Double> cuts,
    List<Mark> ruler,
    String before,
    double grams,
    double centimetres) {

  private static final int WIDTH = 1180;
  static final int LEFT = 10;
  private static final int TOP = 40;
  private static final int STEPS = 100;
  private static final int COLUMNS = 50;
  private static final int RULER = 60;
  private static final double HIGHEST = 260;

  /** How thick it is at a place: the strength of its colour there. */
  record Column(String at, String strength) {}

  /** A piece with its words. */
  record Piece(double x, String grams, String flag, String css) {}

  /** A label needs so many pixels; a narrower piece has its figure alone, or none. */
  private static final double ROOM_FOR_WORDS = 82;

  private static final double ROOM_FOR_A_FIGURE = 30;

  /** A mark of the ruler. */
  record Mark(double x, String text) {}

  static SlicePicture of(Slicing best, Formats formats) {
    Fillet fillet = best.fillet();
    double widest = 0;
    for (int i = 0; i <= STEPS; i++) {
      widest = Math.max(widest, fillet.centimetresWideAt(i / (double) STEPS));
    }
    double scale =
        Math.min((WIDTH - 2.0 * LEFT) / fillet.centimetres(), HIGHEST / Math.max(1, widest));
    double middle = TOP + widest * scale / 2;
    int height = (int) Math.ceil(TOP + widest * scale + RULER);
    return new SlicePicture(
        (int) Math.ceil(fillet.centimetres() * scale + 2.0 * LEFT),
        height,
        scale,
        outline(fillet, scale, middle),
        columns(fillet),
        LEFT + fillet.pinBonesTo() * fillet.centimetres() * scale,
        pieces(best, scale, formats),
        best.pieces().stream()
            .skip(1)
            .map(piece -> LEFT + piece.from() * fillet.centimetres() * scale)
            .toList(),
        ruler(fillet, scale),
        before(fillet),
        fillet.mass().milligrams() / 1000.0,
        fillet.centimetres());
  }

  private static String outline(Fillet fillet, double scale, double middle) {
    List<String> upper = new ArrayList<>();
    List<String> lower = new ArrayList<>();
    for (int i = 0; i <= STEPS; i++) {
      double s = i / (double) STEPS;
      double x = LEFT + s * fillet.centimetres() * scale;
      double half = fillet.centimetresWideAt(s) * scale / 2;
      upper.add("%.1f,%.1f".formatted(x, middle - half));
      lower.add(0, "%.1f,%.1f".formatted(x, middle + half));
    }
    return "M" + String.join(" L", upper) + " L" + String.join(" L", lower) + " Z";
  }

  private static List<Column> columns(Fillet fillet) {
    double thickest = 0;
    for (int i = 0; i < COLUMNS; i++) {
      thickest = Math.max(thickest, fillet.millimetresAt((i + 0.5) / COLUMNS));
    }
    List<Column> columns = new ArrayList<>();
    for (int i = 0; i < COLUMNS; i++) {
      double s = (i + 0.5) / COLUMNS;
      columns.add(
          new Column(
              "%.3f".formatted(s),
              "%.2f".formatted(0.15 + 0.75 * fillet.millimetresAt(s) / thickest)));
    }
    return columns;
  }

  private static List<Piece> pieces(Slicing best, double scale, Formats formats) {
    double length = best.fillet().centimetres() * scale;
    return best.pieces().stream()
        .map(
            piece ->
                new Piece(
                    LEFT + (piece.from() + piece.to()) / 2 * length,
                    grams(piece, (piece.to() - piece.from()) * length, formats),
                    piece.bones() && piece.type().isPresent()
                        ? formats.say("slice.said.bones")
                        : "",
                    piece.type().isPresent() ? "p-SLICE" : "p-OVER"))
        .toList();
  }

  private static String grams(Slicing.Piece piece, double pixels, Formats formats) {
    if (pixels >= ROOM_FOR_WORDS) {
      return formats.about(piece.mass());
    }
    return pixels >= ROOM_FOR_A_FIGURE ? "" + Math.round(piece.mass().milligrams() / 1000.0) : "";
  }

  private static List<Mark> ruler(Fillet fillet, double scale) {
    List<Mark> marks = new ArrayList<>();
    int step = fillet.centimetres() > 60 ? 10 : 5;
    for (int centimetre = 0; centimetre <= fillet.centimetres(); centimetre += step) {
      marks.add(new Mark(LEFT + centimetre * scale, "" + centimetre));
    }
    return marks;
  }

  private static String before(Fillet fillet) {
    List<Double> shares = new ArrayList<>();
    for (int i = 0; i <= STEPS; i++) {
      shares.add(fillet.profile().before(i / (double) STEPS));
    }
    return shares.stream().map("%.5f"::formatted).collect(Collectors.joining(" "));
  }
}
