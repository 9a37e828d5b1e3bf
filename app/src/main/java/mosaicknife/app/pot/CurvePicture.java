package mosaicknife.app.pot;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import mosaicknife.app.shared.Formats;
import mosaicknife.core.heat.Cooling;
import mosaicknife.core.heat.CoolingRule;
import mosaicknife.core.heat.LagFit;
import mosaicknife.core.heat.Reading;

/**
 * The curve of a batch that cools: what was read, where it is going, and the stairs it must stay
 * under.
 *
 * @param width in pixels
 * @param height in pixels
 * @param dots what was read
 * @param band where it is going, as a path; empty if nobody can say
 * @param stairs what it must stay under, as a path; empty before its clock starts
 * @param now where now is
 * @param degrees the lines of the scale
 * @param hours the marks of the time
 */
record CurvePicture(
    int width,
    int height,
    List<Dot> dots,
    String band,
    String stairs,
    double now,
    List<Mark> degrees,
    List<Mark> hours) {

  private static final int WIDTH = 760;
  private static final int HEIGHT = 320;
  private static final int LEFT = 54;
  private static final int BOTTOM = 28;
  private static final int HOTTEST = 100;
  private static final int STEPS = 40;
  private static final double AHEAD = 90;

  /** One reading. */
  record Dot(double x, double y, String title) {}

  /** A mark on a scale. */
  record Mark(double at, String text) {}

  static CurvePicture of(Brew brew, CoolingRule rule, Instant now, Formats formats) {
    Cooling cooling = brew.cooling(rule);
    List<Reading> readings = cooling.readings();
    double passed = brew.since(now);
    double until =
        Math.max(
            passed + AHEAD,
            cooling.due().stream().mapToDouble(Cooling.Due::deadline).max().orElse(passed) + 20);
    List<Dot> dots = new ArrayList<>();
    for (int i = 0; i < readings.size(); i++) {
      Brew.Probed probed = brew.probed().get(i);
      dots.add(
          new Dot(
              x(readings.get(i).minutes(), until),
              y(probed.temperature().tenths() / 10.0),
              formats.say("pot.said.reading", probed.temperature(), formats.time(probed.at()))));
    }
    Optional<LagFit> fit = cooling.fit();
    double last = readings.isEmpty() ? 0 : readings.get(readings.size() - 1).minutes();
    return new CurvePicture(
        WIDTH,
        HEIGHT,
        dots,
        fit.map(one -> band(one, last, until)).orElse(""),
        stairs(cooling, rule, until),
        x(passed, until),
        List.of(mark(rule.cold()), mark(rule.first()), mark(rule.from()), mark(HOTTEST)),
        hours(brew, until, formats));
  }

  private static Mark mark(double degrees) {
    return new Mark(y(degrees), "" + Math.round(degrees) + " °C");
  }

  private static List<Mark> hours(Brew brew, double until, Formats formats) {
    List<Mark> marks = new ArrayList<>();
    for (double minute = 0; minute <= until && !brew.probed().isEmpty(); minute += 60) {
      marks.add(new Mark(x(minute, until), formats.time(brew.after(minute))));
    }
    return marks;
  }

  private static double x(double minutes, double until) {
    return LEFT + minutes / until * (WIDTH - LEFT - 10);
  }

  private static double y(double degrees) {
    return (HEIGHT - BOTTOM) * (1 - Math.max(0, Math.min(HOTTEST, degrees)) / HOTTEST) + 4;
  }

  private static String band(LagFit fit, double from, double until) {
    StringBuilder path = new StringBuilder();
    List<double[]> low = new ArrayList<>();
    for (int i = 0; i <= STEPS; i++) {
      double minute = from + (until - from) * i / STEPS;
      double[] range = fit.range(minute);
      path.append(
          String.format(
              Locale.ROOT, "%s%.1f %.1f", i == 0 ? "M" : "L", x(minute, until), y(range[1])));
      low.add(0, new double[] {x(minute, until), y(range[0])});
    }
    for (double[] point : low) {
      path.append(String.format(Locale.ROOT, "L%.1f %.1f", point[0], point[1]));
    }
    return path.append('Z').toString();
  }

  private static String stairs(Cooling cooling, CoolingRule rule, double until) {
    List<Cooling.Due> due = cooling.due();
    if (due.isEmpty()) {
      return "";
    }
    double cold = due.get(due.size() - 1).deadline();
    double first = cold - rule.allMinutes() + rule.firstMinutes();
    double start = cold - rule.allMinutes();
    return String.format(
        Locale.ROOT,
        "M%.1f %.1fH%.1fV%.1fH%.1fV%.1fH%.1f",
        x(Math.max(0, start), until),
        y(rule.from()),
        x(first, until),
        y(rule.first()),
        x(cold, until),
        y(rule.cold()),
        x(until, until));
  }
}
