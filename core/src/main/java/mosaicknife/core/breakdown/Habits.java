package mosaicknife.core.breakdown;

import mosaicknife.core.check.Check;

/**
 * How often what goes wrong at the bench: starting estimates, not measured anywhere.
 *
 * @param tare the tray's tare not taken or taken twice, for one line
 * @param never the part said not to be taken off that was
 * @param twice the part counted twice
 * @param pounds pounds read as kilograms or the other way round, of a number typed without unit
 * @param swapped digits swapped, of a typed figure
 * @param slipped the point slipped, of a typed figure
 * @param chosenTray how often a tare that went wrong is that of the tray chosen at the bench
 * @param rows figures in each other's rows, for a tally
 * @param otherName a piece weighed again under another name, for one line
 * @param noRow a part without row not weighed, for a tally
 * @param whole the whole fish weighed wrong, for a tally
 * @param unknown anything else that spoils one figure
 * @param second a second error in a tally that has one
 */
public record Habits(
    double tare,
    double never,
    double twice,
    double pounds,
    double swapped,
    double slipped,
    double chosenTray,
    double rows,
    double otherName,
    double noRow,
    double whole,
    double unknown,
    double second) {

  /** Starting estimates. */
  public static final Habits STARTING =
      new Habits(
          0.004, 0.5, 0.002, 0.003, 0.004, 0.003, 0.85, 0.01, 0.0004, 0.012, 0.03, 0.0005, 0.003);

  /** Refuses rates outside 0–1. */
  public Habits {
    double[] rates = {
      tare,
      never,
      twice,
      pounds,
      swapped,
      slipped,
      chosenTray,
      rows,
      otherName,
      noRow,
      whole,
      unknown,
      second
    };
    for (double rate : rates) {
      Check.inRange(rate, 0, 1, "rate");
    }
  }
}
