package mosaicknife.app.slice;

import java.util.ArrayList;
import java.util.List;
import mosaicknife.app.shared.Formats;
import mosaicknife.core.lot.OnBoard;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.slice.Alternatives;
import mosaicknife.core.slice.PortionType;
import mosaicknife.core.slice.Slicer;
import mosaicknife.core.slice.Slicing;

/**
 * A fillet and its cuts in words.
 *
 * @param name what it is
 * @param mass what it weighs
 * @param length how long it is
 * @param count how many portions
 * @param answer the portions, in words
 * @param over what is left over; empty if nothing is
 * @param bones how many of the portions have bones, in words; empty if none
 * @param ways other ways to cut it
 * @param curve how many portions other targets give
 * @param steps where the knife goes, one after the other
 */
record SliceView(
    String name,
    String mass,
    String length,
    int count,
    String answer,
    String over,
    String bones,
    List<String> ways,
    List<Point> curve,
    List<Step> steps) {

  private static final double LOWEST = 0.7;
  private static final double HIGHEST = 1.3;
  private static final int POINTS = 25;

  /** One target of the curve, with the portions it gives; the height is in pixels. */
  record Point(String target, int count, int height, boolean here) {}

  /** A cut: its number, centimetres from the head end, and what lies before it. */
  record Step(int number, String centimetres, String grams, String flag) {}

  /** A fillet of the lot in a line. */
  record Side(String key, String name, String mass, int count, boolean measured, String over) {}

  /** A fillet on paper. */
  record Printed(String name, String mass, List<Row> rows, String over) {}

  /** A portion on paper. */
  record Row(int number, String centimetres, String grams, String flag) {}

  static SliceView of(OnBoard piece, Slicing best, PortionType type, Formats formats) {
    int count = best.portions().size();
    long bony = best.portions().stream().filter(Slicing.Piece::bones).count();
    return new SliceView(
        name(piece, formats),
        mass(piece, formats),
        formats.say(
            best.fillet().measured() ? "slice.said.long" : "slice.said.about-long",
            centimetres(best.fillet().centimetres())),
        count,
        (piece.measured() ? "" : "≈\u00a0") + answer(best, type, formats),
        best.over().isPositive() ? formats.say("slice.said.over", formats.about(best.over())) : "",
        bony == 0 ? "" : formats.say("slice.said.bony", bony),
        Alternatives.of(best, type.target()).stream()
            .map(way -> formats.say("slice.said.way", way.count(), way.each()))
            .toList(),
        curve(best, type, formats),
        steps(best, formats));
  }

  /** So many of the target; from the lightest to the heaviest where they are not that. */
  private static String answer(Slicing best, PortionType type, Formats formats) {
    List<Mass> masses = best.portions().stream().map(Slicing.Piece::mass).sorted().toList();
    if (masses.isEmpty()) {
      return formats.say("slice.said.none", type.target());
    }
    Mass first = masses.get(0);
    Mass last = masses.get(masses.size() - 1);
    return first.equals(last)
        ? formats.say("slice.said.portions", masses.size(), first)
        : formats.say("slice.said.portions-from", masses.size(), formats.range(first, last));
  }

  private static String name(OnBoard piece, Formats formats) {
    return formats.say("slice.said.of-fish", piece.part().name(), piece.fish());
  }

  private static String mass(OnBoard piece, Formats formats) {
    return piece.measured() ? formats.mass(piece.mass()) : formats.about(piece.mass());
  }

  static String centimetres(double centimetres) {
    return "%.1f".formatted(centimetres);
  }

  private static String flag(Slicing.Piece piece, Formats formats) {
    if (piece.type().isEmpty()) {
      return formats.say("slice.said.left");
    }
    return piece.bones() ? formats.say("slice.said.bones") : "";
  }

  private static List<Step> steps(Slicing best, Formats formats) {
    List<Step> steps = new ArrayList<>();
    int number = 1;
    for (Slicing.Piece piece : best.pieces()) {
      steps.add(
          new Step(
              number++,
              centimetres(piece.to() * best.fillet().centimetres()),
              formats.about(piece.mass()),
              flag(piece, formats)));
    }
    return steps;
  }

  private static List<Point> curve(Slicing best, PortionType type, Formats formats) {
    int target = (int) Math.max(1, type.target().milligrams() / 1000);
    List<Integer> targets = new ArrayList<>();
    for (int i = 0; i < POINTS; i++) {
      int grams = (int) Math.round(target * (LOWEST + (HIGHEST - LOWEST) * i / (POINTS - 1)));
      if (grams > 0 && !targets.contains(grams)) {
        targets.add(grams);
      }
    }
    List<Integer> counts = Slicer.counts(best.fillet(), type, targets);
    int most = Math.max(1, counts.stream().mapToInt(Integer::intValue).max().orElse(1));
    List<Point> curve = new ArrayList<>();
    for (int i = 0; i < targets.size(); i++) {
      curve.add(
          new Point(
              formats.mass(Mass.ofGrams(targets.get(i))),
              counts.get(i),
              counts.get(i) * 60 / most,
              targets.get(i) == target));
    }
    return curve;
  }

  static Side side(OnBoard piece, Slicing best, Formats formats) {
    return new Side(
        SliceController.key(piece),
        name(piece, formats),
        mass(piece, formats),
        best.portions().size(),
        piece.measured(),
        best.over().isPositive() ? formats.about(best.over()) : "");
  }

  static Printed printed(OnBoard piece, Slicing best, Formats formats) {
    List<Row> rows = new ArrayList<>();
    int number = 1;
    for (Slicing.Piece one : best.portions()) {
      rows.add(
          new Row(
              number++,
              centimetres(one.to() * best.fillet().centimetres()),
              formats.about(one.mass()),
              flag(one, formats)));
    }
    return new Printed(
        name(piece, formats),
        mass(piece, formats),
        rows,
        best.over().isPositive() ? formats.say("slice.said.over", best.over()) : "");
  }
}
