package mosaicknife.app.clock;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import mosaicknife.app.shared.Formats;
import mosaicknife.core.clock.Schedule;
import mosaicknife.core.clock.Schedule.Placed;

/**
 * The day as a picture: a lane for each resource and one for what only waits, tasks as long as they
 * last, time from left to right up to the last service.
 *
 * @param width in pixels
 * @param height in pixels
 * @param lanes the lanes
 * @param hours the marks of the time
 */
record Lanes(int width, int height, List<Lane> lanes, List<Mark> hours) {

  private static final int WIDTH = 1180;
  private static final int LEFT = 190;
  private static final int BAR = 34;
  private static final int GAP = 12;
  private static final int TOP = 26;
  private static final double CHARACTER = 7.4;
  private static final int SHORTEST_DAY = 120;
  private static final int MOST_MARKS = 12;

  /** One lane. */
  record Lane(String name, double y, double height, List<Bar> bars) {}

  /** One task. */
  record Bar(
      double x, double y, double width, String css, String text, String title, String link) {}

  /** An hour. */
  record Mark(double x, String text) {}

  static Lanes of(Day.Gathered day, Schedule schedule, Formats formats) {
    int end =
        Math.max(
            SHORTEST_DAY,
            schedule.placed().stream()
                .mapToInt(one -> Math.max(one.end(), one.task().due().orElse(0)))
                .max()
                .orElse(0));
    Map<String, String> places = new LinkedHashMap<>(day.places());
    places.put("", formats.say("clock.said.only-waits"));
    List<Lane> lanes = new ArrayList<>();
    double y = TOP;
    for (Map.Entry<String, String> place : places.entrySet()) {
      List<Placed> in =
          schedule.placed().stream()
              .filter(one -> one.task().minutes() > 0)
              .filter(
                  one ->
                      place.getKey().isEmpty()
                          ? one.task().needs().isEmpty()
                          : one.task().needs().contains(place.getKey()))
              .sorted(Comparator.comparingInt(Placed::start))
              .toList();
      if (!in.isEmpty()) {
        List<Bar> bars = new ArrayList<>();
        List<Integer> free = new ArrayList<>();
        for (Placed one : in) {
          int row = row(free, one);
          bars.add(bar(one, y + row * (BAR + 2.0), end, day, place.getKey().isEmpty(), formats));
        }
        double height = free.size() * (BAR + 2.0);
        lanes.add(new Lane(place.getValue(), y, height, bars));
        y += height + GAP;
      }
    }
    return new Lanes(WIDTH, (int) Math.ceil(y), lanes, hours(day.now(), end, formats));
  }

  /** The first row of a lane that is free when a task starts. */
  private static int row(List<Integer> free, Placed one) {
    for (int i = 0; i < free.size(); i++) {
      if (free.get(i) <= one.start()) {
        free.set(i, one.end());
        return i;
      }
    }
    free.add(one.end());
    return free.size() - 1;
  }

  private static Bar bar(
      Placed one, double y, int end, Day.Gathered day, boolean waits, Formats formats) {
    double x = x(one.start(), end);
    double width = Math.max(4, x(one.end(), end) - x);
    Instant from = day.now().plusSeconds(one.start() * 60L);
    Instant to = day.now().plusSeconds(one.end() * 60L);
    String name = one.task().name();
    String css = waits ? "WAITS" : one.late() > 0 ? "LATE" : "WORKS";
    return new Bar(
        x,
        y,
        width,
        css,
        name.length() * CHARACTER <= width - 8 ? name : "",
        formats.say("clock.said.bar", name, formats.time(from), formats.time(to)),
        day.links().getOrDefault(one.task().id(), "/clock"));
  }

  private static double x(int minutes, int end) {
    return LEFT + (WIDTH - LEFT - 10.0) * minutes / end;
  }

  private static List<Mark> hours(Instant now, int end, Formats formats) {
    int step =
        IntStream.of(30, 60, 120, 240)
            .filter(one -> end / one <= MOST_MARKS)
            .findFirst()
            .orElse(720);
    List<Mark> marks = new ArrayList<>();
    for (int minute = 0; minute <= end; minute += step) {
      marks.add(new Mark(x(minute, end), formats.time(now.plusSeconds(minute * 60L))));
    }
    return marks;
  }
}
