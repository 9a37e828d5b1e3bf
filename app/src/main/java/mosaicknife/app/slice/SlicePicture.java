package mosaicknife.app.slice;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import mosaicknife.app.shared.Decimals;
import mosaicknife.app.shared.Formats;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.UnitSystem;
import mosaicknife.core.slice.Fillet;
import mosaicknife.core.slice.PassCut;
import mosaicknife.core.slice.PinBoneCut;
import mosaicknife.core.slice.PinBoneCut.Zone;
import mosaicknife.core.slice.Slicing;

/**
 * A fillet seen from above, head end left: its outline at its width, darker where it is thicker,
 * the zone of the pin bones, the cuts with what they weigh, and a ruler.
 *
 * @param width in pixels
 * @param height in pixels
 * @param bottom where the ruler begins, in pixels
 * @param outline the outline as a path
 * @param columns how thick it is along it
 * @param bonesTo where the pin bones end, in pixels; the left edge if there are none
 * @param thin where it is less than half as thick as at its thickest
 * @param row where the knife goes along the row or where the strip came out; empty if neither
 * @param lanes what is cut by itself
 * @param ruler the centimetres
 */
record SlicePicture(
    int width,
    int height,
    double bottom,
    String outline,
    List<Column> columns,
    double bonesTo,
    List<Stretch> thin,
    List<Row> row,
    List<Lane> lanes,
    List<Mark> ruler) {

  private static final int WIDTH = 1180;
  private static final int LEFT = 10;
  private static final int TOP = 40;
  private static final int STEPS = 100;
  private static final int COLUMNS = 50;
  private static final int RULER = 60;
  private static final int UNDER = 42;
  private static final double HIGHEST = 260;

  /** A label needs so many pixels; a narrower piece has its figure alone, or none. */
  private static final double ROOM_FOR_WORDS = 82;

  private static final double ROOM_FOR_A_FIGURE = 30;

  /** How thick it is at a place: the strength of its colour there. */
  record Column(String at, String strength) {}

  /** A part of its length. */
  record Stretch(double from, double to) {}

  /** A line along the row, and whether a strip was taken out there. */
  record Row(double y, double to, boolean strip) {}

  /**
   * What is cut by itself.
   *
   * @param left where it begins
   * @param right where it ends
   * @param top where its knives begin
   * @param bottom where they end
   * @param gramsAt where its figures stand
   * @param flagAt where its flags stand
   * @param before the share of its mass before each hundredth of its length, for the browser
   * @param grams what it weighs, for the browser
   * @param pieces its pieces
   * @param cuts where the knife goes
   */
  record Lane(
      double left,
      double right,
      double top,
      double bottom,
      double gramsAt,
      double flagAt,
      String before,
      double grams,
      List<Piece> pieces,
      List<Double> cuts) {}

  /** A piece with its words. */
  record Piece(double x, String grams, String flag, String css) {}

  /** A mark of the ruler. */
  record Mark(double x, String text) {}

  /** A picture that fits the page. */
  static SlicePicture of(PassCut cut, boolean raw, Formats formats) {
    Fillet fillet = cut.bones().fillet();
    double scale =
        Math.min(
            (WIDTH - 2.0 * LEFT) / fillet.centimetres(), HIGHEST / Math.max(1, widest(fillet)));
    double widest = widest(fillet) * scale;
    double middle = TOP + widest / 2;
    boolean lanes = cut.bones().way() == PinBoneCut.Way.ABOVE_THE_ROW;
    double bottom = TOP + widest + (lanes ? UNDER : 0);
    double bonesTo = LEFT + fillet.pinBonesTo() * fillet.centimetres() * scale;
    double row = TOP + widest * (lanes ? PinBoneCut.above() : 0.5);
    List<Lane> all = new ArrayList<>();
    for (int i = 0; i < cut.lanes().size(); i++) {
      PinBoneCut.Lane lane = cut.bones().lanes().get(i);
      double left = LEFT + lane.from() * fillet.centimetres() * scale;
      boolean under = lane.zone() == Zone.BELLY_SIDE;
      all.add(
          lane(
              cut.lanes().get(i),
              left,
              scale,
              new double[] {under ? row : TOP - 16, lane.zone() == Zone.BACK ? row : TOP + widest},
              under ? new double[] {TOP + widest + 18, TOP + widest + 35} : new double[] {18, 35},
              raw,
              formats));
    }
    return new SlicePicture(
        (int) Math.ceil(fillet.centimetres() * scale + 2.0 * LEFT),
        (int) Math.ceil(bottom + RULER),
        bottom,
        outline(fillet, scale, middle),
        columns(fillet),
        bonesTo,
        thin(fillet, scale),
        cut.bones().way() == PinBoneCut.Way.LEFT_IN
            ? List.of()
            : List.of(new Row(row, bonesTo, cut.bones().strip().isPositive())),
        all,
        ruler(fillet, scale));
  }

  private static List<Stretch> thin(Fillet fillet, double scale) {
    return fillet.thin().stream()
        .map(
            zone ->
                new Stretch(
                    LEFT + zone.from() * fillet.centimetres() * scale,
                    LEFT + zone.to() * fillet.centimetres() * scale))
        .toList();
  }

  private static double widest(Fillet fillet) {
    double widest = 0;
    for (int i = 0; i <= STEPS; i++) {
      widest = Math.max(widest, fillet.centimetresWideAt(i / (double) STEPS));
    }
    return widest;
  }

  private static Lane lane(
      Slicing slicing,
      double left,
      double scale,
      double[] knife,
      double[] words,
      boolean raw,
      Formats formats) {
    double length = slicing.fillet().centimetres() * scale;
    return new Lane(
        left,
        left + length,
        knife[0],
        knife[1],
        words[0],
        words[1],
        before(slicing.fillet()),
        slicing.fillet().mass().milligrams() / 1000.0,
        slicing.pieces().stream()
            .map(
                piece ->
                    new Piece(
                        left + (piece.from() + piece.to()) / 2 * length,
                        grams(piece, (piece.to() - piece.from()) * length, formats),
                        SliceView.flags(piece, slicing, raw, formats),
                        piece.type().isPresent() ? "p-SLICE" : "p-OVER"))
            .toList(),
        slicing.pieces().stream().skip(1).map(piece -> left + piece.from() * length).toList());
  }

  private static String outline(Fillet fillet, double scale, double middle) {
    List<String> upper = new ArrayList<>();
    List<String> lower = new ArrayList<>();
    for (int i = 0; i <= STEPS; i++) {
      double s = i / (double) STEPS;
      double x = LEFT + s * fillet.centimetres() * scale;
      double half = fillet.centimetresWideAt(s) * scale / 2;
      upper.add(Decimals.of(x, 1) + "," + Decimals.of(middle - half, 1));
      lower.add(0, Decimals.of(x, 1) + "," + Decimals.of(middle + half, 1));
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
              Decimals.of(s, 3), Decimals.of(0.15 + 0.75 * fillet.millimetresAt(s) / thickest, 2)));
    }
    return columns;
  }

  private static String grams(Slicing.Piece piece, double pixels, Formats formats) {
    if (pixels >= ROOM_FOR_WORDS) {
      return formats.about(piece.mass());
    }
    return pixels >= ROOM_FOR_A_FIGURE ? figure(piece.mass(), formats) : "";
  }

  /** A mass without its unit, where there is no room for that; ounces do not say what they are. */
  static String figure(Mass mass, Formats formats) {
    return formats.system() == UnitSystem.METRIC ? "" + Math.round(mass.milligrams() / 1000.0) : "";
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
    return IntStream.rangeClosed(0, STEPS)
        .mapToObj(i -> Decimals.of(fillet.profile().before(i / (double) STEPS), 5))
        .collect(Collectors.joining(" "));
  }
}
