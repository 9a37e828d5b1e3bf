package mosaicknife.app.slice;

import java.util.ArrayList;
import java.util.List;
import mosaicknife.app.shared.Decimals;
import mosaicknife.app.shared.Formats;
import mosaicknife.core.lot.OnBoard;
import mosaicknife.core.slice.PassCut;
import mosaicknife.core.slice.PinBoneCut;
import mosaicknife.core.slice.PinBoneCut.Zone;
import mosaicknife.core.slice.Slicing;

/**
 * One cut of a fillet at a time.
 *
 * @param name the fillet
 * @param step the number of this cut, from 1
 * @param steps how many there are; 0 if the fillet is not cut
 * @param zone what is cut of it; empty for all
 * @param centimetres how far from the head end
 * @param grams what then lies before the knife
 * @param flag what the pass must know of it
 * @param at where the knife goes, as a fraction of the length
 * @param length how long the fillet is, in centimetres
 * @param knives every cut
 * @param ticks every centimetre
 */
record BoardView(
    String name,
    int step,
    int steps,
    String zone,
    String centimetres,
    String grams,
    String flag,
    double at,
    double length,
    List<Line> knives,
    List<Tick> ticks) {

  private static final int FIVE = 5;
  private static final int PERCENT = 100;

  private record Knife(String zone, double centimetres, String grams, String flag) {}

  /** A cut on the drawing, by its place along it, and whether it is this one. */
  record Line(String at, boolean here) {}

  /** A centimetre on the rule; every fifth has its figure. */
  record Tick(String at, String text) {}

  static BoardView of(OnBoard piece, PassCut cut, String step, boolean raw, Formats formats) {
    List<Knife> knives = new ArrayList<>();
    for (int i = 0; i < cut.lanes().size(); i++) {
      PinBoneCut.Lane lane = cut.bones().lanes().get(i);
      Slicing slicing = cut.lanes().get(i);
      double start = lane.from() * cut.bones().fillet().centimetres();
      for (Slicing.Piece one : slicing.pieces()) {
        // behind the last piece there is nothing to cut
        if (one.to() < 1) {
          knives.add(
              new Knife(
                  lane.zone() == Zone.WHOLE ? "" : formats.say(lane.zone()),
                  start + one.to() * slicing.fillet().centimetres(),
                  formats.about(one.mass()),
                  one.type().isEmpty()
                      ? formats.say("slice.said.left")
                      : SliceView.flags(one, slicing, raw, formats)));
        }
      }
    }
    int wanted = step != null && step.matches("[0-9]{1,3}") ? Integer.parseInt(step) : 1;
    int number = Math.max(1, Math.min(knives.size(), wanted));
    String name = SliceView.name(piece, formats);
    if (knives.isEmpty()) {
      return new BoardView(name, 0, 0, "", "", "", "", 0, 0, List.of(), List.of());
    }
    Knife knife = knives.get(number - 1);
    double length = cut.bones().fillet().centimetres();
    return new BoardView(
        name,
        number,
        knives.size(),
        knife.zone(),
        SliceView.centimetres(knife.centimetres()),
        knife.grams(),
        knife.flag(),
        knife.centimetres() / length,
        length,
        knives.stream()
            .map(one -> new Line(percent(one.centimetres() / length), one.equals(knife)))
            .toList(),
        ticks(length));
  }

  private static List<Tick> ticks(double length) {
    List<Tick> ticks = new ArrayList<>();
    for (int i = 0; i <= length; i++) {
      ticks.add(new Tick(percent(i / length), i % FIVE == 0 ? "" + i : ""));
    }
    return ticks;
  }

  private static String percent(double share) {
    return Decimals.of(share * PERCENT, 3) + "%";
  }
}
