package mosaicknife.app.slice;

import java.util.List;
import mosaicknife.app.shared.Formats;
import mosaicknife.core.lot.PortionRow;
import mosaicknife.core.portion.Serving;
import mosaicknife.core.portion.WeighedBack;
import mosaicknife.core.quantity.Mass;

/**
 * Portions that were weighed, as a line of dots against the limits of their dish.
 *
 * @param dish the dish, or what a portion is
 * @param count how many
 * @param dots where each lies on the line, in pixels
 * @param from where the limits begin
 * @param to where they end
 * @param target where the target lies
 * @param spread mean, spread and share within the limits, in words
 * @param advice what to do about it; empty if there is nothing to say
 * @param money what is given away in a week; empty where nobody knows or nothing is
 */
record WeighedView(
    String dish,
    String count,
    List<Double> dots,
    double from,
    double to,
    double target,
    String spread,
    String advice,
    String money) {

  private static final double WIDTH = 300;

  /** The line reaches so far beyond the target on either side. */
  private static final double REACH = 0.3;

  static WeighedView of(PortionRow row, long plates, Formats formats) {
    WeighedBack weighed = row.weighed();
    Serving dish = weighed.serving();
    return new WeighedView(
        row.to().isOpen() ? formats.mass(dish.target()) : row.to().name(),
        formats.say("slice.count", weighed.masses().size()),
        weighed.masses().stream().map(one -> at(one, dish)).toList(),
        at(dish.lightest(), dish),
        at(dish.heaviest(), dish),
        at(dish.target(), dish),
        formats.say(
            "slice.said.spread",
            weighed.mean(),
            dish.target(),
            formats.about(Mass.ofMilligrams(Math.round(weighed.spread() * 1000))),
            weighed.within()),
        weighed
            .advice()
            .map(
                advice ->
                    formats.say(
                        "WeighedBack.Advice." + advice.name(),
                        formats.mass(absolute(weighed.giveaway()))))
            .orElse(""),
        row.edible()
            .filter(price -> weighed.giveaway().isPositive() && plates > 0)
            .map(
                price ->
                    formats.say(
                        "slice.said.given-away",
                        plates,
                        formats.money(weighed.giveaway(price, plates))))
            .orElse(""));
  }

  private static Mass absolute(Mass mass) {
    return mass.isNegative() ? Mass.ZERO.minus(mass) : mass;
  }

  private static double at(Mass mass, Serving dish) {
    double share = mass.milligrams() / (double) dish.target().milligrams() - 1;
    return Math.max(4, Math.min(WIDTH - 4, WIDTH / 2 * (1 + share / REACH)));
  }
}
