package mosaicknife.app.shared;

import java.util.List;
import mosaicknife.core.cost.PlateCost;
import mosaicknife.core.cost.PlateCost.Line;

/**
 * What a plate costs, line by line, as every page shows it.
 *
 * @param rows the lines that are counted
 * @param total all of them together
 * @param leftOut which lines are not counted, in words; empty if none is left out
 */
public record PlateLines(List<Row> rows, String total, String leftOut) {

  /**
   * A line.
   *
   * @param name its name
   * @param amount its amount; an estimate looks like one
   */
  public record Row(String name, String amount) {}

  /** Copies the rows. */
  public PlateLines {
    rows = List.copyOf(rows);
  }

  /**
   * Words a plate.
   *
   * @param plate the plate
   * @param measured whether the fish was weighed; the work is an estimate in any case
   * @param formats how the house writes
   * @return the lines
   */
  public static PlateLines of(PlateCost plate, boolean measured, Formats formats) {
    List<Row> rows =
        plate.lines().entrySet().stream()
            .map(
                line ->
                    new Row(
                        formats.say(line.getKey()),
                        (measured && line.getKey() != Line.LABOUR ? "" : "≈\u00a0")
                            + formats.money(line.getValue())))
            .toList();
    return new PlateLines(rows, "≈\u00a0" + formats.money(plate.total()), leftOut(plate, formats));
  }

  private static String leftOut(PlateCost plate, Formats formats) {
    List<String> names = plate.leftOut().stream().map(formats::say).toList();
    return names.isEmpty() ? "" : formats.say("shared.plate.left-out", formats.list(names));
  }

  /**
   * Returns the lines in one line.
   *
   * @param formats how the house writes
   * @return such as {@code Fish ≈ €3.10, work ≈ €1.17}
   */
  public String inOneLine(Formats formats) {
    return formats.row(
        rows.stream()
            .map(row -> formats.say("shared.plate.line", row.name(), row.amount()))
            .toList());
  }
}
