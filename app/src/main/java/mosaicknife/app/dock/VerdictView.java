package mosaicknife.app.dock;

import java.util.List;
import java.util.OptionalDouble;
import java.util.OptionalLong;
import mosaicknife.app.shared.Decimals;
import mosaicknife.core.finding.Finding;
import mosaicknife.core.lot.Inspection;
import mosaicknife.core.safety.Fitness;
import mosaicknife.core.safety.Freshness;

/**
 * What the signs say, as a dial and in words.
 *
 * @param proposal what they propose
 * @param daysLeft the whole days left, estimated; empty where the temperature was not measured
 * @param percent the demerits in percent
 * @param needleX where the needle of the dial ends
 * @param needleY where the needle of the dial ends
 * @param reasons why
 */
public record VerdictView(
    Fitness proposal,
    OptionalLong daysLeft,
    String percent,
    String needleX,
    String needleY,
    List<Finding> reasons) {

  private static final double RADIUS = 78;
  private static final double MIDDLE_X = 100;
  private static final double MIDDLE_Y = 100;

  static VerdictView of(Freshness judged) {
    return of(judged.demerits(), judged.daysLeft(), judged.proposal(), judged.reasons());
  }

  /**
   * Shows an inspection that was kept.
   *
   * @param inspection the inspection
   * @return the dial
   */
  public static VerdictView of(Inspection inspection) {
    return of(inspection.demerits(), inspection.daysLeft(), inspection.proposal(), List.of());
  }

  private static VerdictView of(
      double demerits, OptionalDouble daysLeft, Fitness proposal, List<Finding> reasons) {
    double angle = Math.PI * (1 - demerits);
    return new VerdictView(
        proposal,
        daysLeft.isEmpty()
            ? OptionalLong.empty()
            : OptionalLong.of(Math.round(daysLeft.getAsDouble())),
        "" + Math.round(demerits * 100) + " %",
        number(MIDDLE_X + RADIUS * Math.cos(angle)),
        number(MIDDLE_Y - RADIUS * Math.sin(angle)),
        reasons);
  }

  private static String number(double value) {
    return Decimals.of(value, 1);
  }
}
