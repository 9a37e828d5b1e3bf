package mosaicknife.app.slice;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import mosaicknife.app.shared.Formats;
import mosaicknife.app.shared.PlateWords;
import mosaicknife.core.lot.LotSheet;
import mosaicknife.core.lot.OnBoard;
import mosaicknife.core.portion.WholePortions;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.slice.Alternatives;
import mosaicknife.core.slice.Fillet;
import mosaicknife.core.slice.PassCut;
import mosaicknife.core.slice.PassFlag;
import mosaicknife.core.slice.PinBoneCut;
import mosaicknife.core.slice.PinBoneCut.Zone;
import mosaicknife.core.slice.PortionType;
import mosaicknife.core.slice.Slicer;
import mosaicknife.core.slice.Slicing;
import mosaicknife.core.use.Hand;

/**
 * A fillet and its cuts in words.
 *
 * @param name what it is
 * @param mass what it weighs
 * @param length how long it is
 * @param answer the portions, in words
 * @param beside what else is of it: left over and where it goes, trimmed, the strip
 * @param bones how many of the portions have bones, in words; empty if none
 * @param ways other ways to cut it
 * @param boned what can be done about the pin bones; empty where there are none
 * @param curve how many portions other targets give; empty with several kinds
 * @param steps where the knife goes, one after the other
 */
record SliceView(
    String name,
    String mass,
    String length,
    String answer,
    List<String> beside,
    String bones,
    List<String> ways,
    List<Boned> boned,
    List<Point> curve,
    List<Step> steps) {

  private static final double LOWEST = 0.7;
  private static final double HIGHEST = 1.3;
  private static final int POINTS = 25;

  /** One target of the curve, with the portions it gives; the height is in pixels. */
  record Point(String target, int count, int height, boolean here) {}

  /** A cut: where it lies, centimetres from the head end, and what lies before it. */
  record Step(String zone, String centimetres, String grams, String flag, boolean portion) {}

  /** What comes of one way to deal with pin bones. */
  record Boned(PinBoneCut.Way way, String said, boolean here, boolean best) {}

  /** A fillet of the lot in a line. */
  record Side(String key, String name, String mass, long count, boolean measured, String over) {}

  /** A fillet on paper. */
  record Printed(String name, String mass, String dish, List<Row> rows, String over) {}

  /** A portion on paper. */
  record Row(int number, String centimetres, String grams, String flag) {}

  static SliceView of(
      LotSheet sheet,
      OnBoard piece,
      PassCut cut,
      Asked asked,
      List<PassCut> ways,
      Optional<Hand.Home> home,
      Formats formats) {
    Fillet whole = cut.bones().fillet();
    PortionType type = asked.types().get(0);
    boolean single = asked.types().size() == 1;
    int bony = cut.portions() - cut.boneless();
    return new SliceView(
        name(piece, formats),
        mass(piece, formats),
        formats.say(
            whole.measured() ? "slice.said.long" : "slice.said.about-long",
            centimetres(whole.centimetres())),
        (piece.measured() ? "" : "≈\u00a0") + answer(cut, asked, formats),
        beside(cut, piece, asked, home, formats),
        bony == 0 ? "" : formats.say("slice.said.bony", bony),
        single && cut.lanes().size() == 1
            ? Alternatives.of(cut.lanes().get(0), type.target()).stream()
                .map(way -> formats.say("slice.said.way", way.count(), way.each()))
                .toList()
            : List.of(),
        boned(cut, ways, formats),
        single && cut.lanes().size() == 1 ? curve(cut.lanes().get(0), type, formats) : List.of(),
        steps(cut, isRaw(sheet, piece), formats));
  }

  /** Whether a part may be served raw: a record may be of it alone. */
  static boolean isRaw(LotSheet sheet, OnBoard piece) {
    return sheet.mayBeRaw(piece.part());
  }

  /** So many of the target; from the lightest to the heaviest where they are not that. */
  private static String answer(PassCut cut, Asked asked, Formats formats) {
    List<Slicing.Piece> portions =
        cut.lanes().stream().flatMap(lane -> lane.portions().stream()).toList();
    if (portions.isEmpty()) {
      return formats.say("slice.said.none", asked.types().get(0).target());
    }
    if (asked.types().size() > 1) {
      return asked.types().stream()
          .map(kind -> new Kind(kind.name(), count(portions, kind)))
          .filter(kind -> kind.count() > 0)
          .map(kind -> formats.say("slice.said.portions", kind.count(), kind.name()))
          .collect(Collectors.joining(" + "));
    }
    List<Mass> masses = portions.stream().map(Slicing.Piece::mass).sorted().toList();
    Mass first = masses.get(0);
    Mass last = masses.get(masses.size() - 1);
    return first.equals(last)
        ? formats.say("slice.said.portions", masses.size(), first)
        : formats.say("slice.said.portions-from", masses.size(), formats.range(first, last));
  }

  private record Kind(String name, long count) {}

  private static long count(List<Slicing.Piece> portions, PortionType kind) {
    return portions.stream().filter(one -> one.type().orElseThrow().equals(kind)).count();
  }

  private static List<String> beside(
      PassCut cut, OnBoard piece, Asked asked, Optional<Hand.Home> home, Formats formats) {
    List<String> beside = new ArrayList<>();
    if (asked.isOfDish()) {
      beside.addAll(
          PlateWords.of(WholePortions.of(piece.eaten(), asked.serving()).fillets(), formats));
    }
    Mass over = Mass.total(cut.lanes().stream().map(Slicing::over).toList());
    if (over.isPositive()) {
      String mass = formats.about(over);
      beside.add(
          home.map(one -> formats.say("slice.said.over-for", mass, one.use().name()))
              .orElseGet(() -> formats.say("slice.said.over", mass)));
    }
    Mass trim = Mass.total(cut.lanes().stream().map(Slicing::trim).toList());
    if (trim.isPositive()) {
      beside.add(formats.say("slice.said.trim", formats.about(trim)));
    }
    if (cut.bones().strip().isPositive()) {
      beside.add(formats.say("slice.said.strip", formats.about(cut.bones().strip())));
    }
    return beside;
  }

  private static List<Boned> boned(PassCut cut, List<PassCut> ways, Formats formats) {
    return ways.size() < 2
        ? List.of()
        : ways.stream()
            .map(
                way ->
                    new Boned(
                        way.bones().way(),
                        formats.say(
                            "slice.said.boned",
                            way.portions(),
                            way.boneless(),
                            formats.about(way.lost())),
                        way.bones().way() == cut.bones().way(),
                        way == ways.get(0)))
            .toList();
  }

  static String name(OnBoard piece, Formats formats) {
    return formats.say("slice.said.of-fish", piece.part().name(), piece.fish());
  }

  private static String mass(OnBoard piece, Formats formats) {
    return piece.measured() ? formats.mass(piece.mass()) : formats.about(piece.mass());
  }

  static String centimetres(double centimetres) {
    return Formats.decimal(centimetres, 1);
  }

  /** What the pass must know of a piece; that it is left over, of one that is. */
  static String flags(Slicing.Piece piece, Slicing slicing, boolean raw, Formats formats) {
    return piece.type().isEmpty()
        ? ""
        : PassFlag.of(piece, slicing, raw).stream()
            .map(formats::say)
            .collect(Collectors.joining(" · "));
  }

  private static List<Step> steps(PassCut cut, boolean raw, Formats formats) {
    List<Step> steps = new ArrayList<>();
    for (int i = 0; i < cut.lanes().size(); i++) {
      PinBoneCut.Lane lane = cut.bones().lanes().get(i);
      Slicing slicing = cut.lanes().get(i);
      double start = lane.from() * cut.bones().fillet().centimetres();
      for (Slicing.Piece piece : slicing.pieces()) {
        steps.add(
            new Step(
                lane.zone() == Zone.WHOLE ? "" : formats.say(lane.zone()),
                centimetres(start + piece.to() * slicing.fillet().centimetres()),
                formats.about(piece.mass()),
                piece.type().isEmpty()
                    ? formats.say("slice.said.left")
                    : flags(piece, slicing, raw, formats),
                piece.type().isPresent()));
      }
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

  /** What the lot gives, counted as every station counts it. */
  static String plates(LotSheet sheet, Formats formats) {
    WholePortions all = sheet.plates().count(OnBoard.of(sheet));
    return (all.isEstimated() ? "≈\u00a0" : "") + formats.say("slice.in-the-lot", all.count());
  }

  static Side side(OnBoard piece, PassCut cut, Asked asked, Formats formats) {
    Mass over = Mass.total(cut.lanes().stream().map(Slicing::over).toList());
    return new Side(
        piece.key(),
        name(piece, formats),
        mass(piece, formats),
        asked.isOfDish() ? asked.serving().served(piece.eaten()) : cut.portions(),
        piece.measured(),
        over.isPositive() ? formats.about(over) : "");
  }

  static Printed printed(LotSheet sheet, OnBoard piece, PassCut cut, Formats formats) {
    List<Row> rows = new ArrayList<>();
    for (Step step : steps(cut, isRaw(sheet, piece), formats)) {
      if (step.portion()) {
        rows.add(
            new Row(
                rows.size() + 1,
                step.centimetres(),
                step.grams(),
                (step.zone() + " " + step.flag()).strip()));
      }
    }
    Mass over = Mass.total(cut.lanes().stream().map(Slicing::over).toList());
    return new Printed(
        name(piece, formats),
        mass(piece, formats),
        piece.part().becomes(),
        rows,
        over.isPositive() ? formats.say("slice.said.over", formats.about(over)) : "");
  }
}
