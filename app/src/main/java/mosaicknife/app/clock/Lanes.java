package mosaicknife.app.clock;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.Predicate;
import java.util.stream.IntStream;
import mosaicknife.app.shared.Formats;
import mosaicknife.core.clock.Schedule;
import mosaicknife.core.clock.Schedule.Placed;
import mosaicknife.core.clock.Worker;

/**
 * The day as a picture: a lane for each person and piece of equipment, one for what nobody is there
 * for and one for what only waits; tasks as long as they last, time from left to right.
 *
 * @param width in pixels
 * @param height in pixels
 * @param now the moment at the left edge, in seconds
 * @param left where the time begins, in pixels
 * @param perMinute how wide a minute is, in pixels
 * @param lanes the lanes
 * @param hours the marks of the time
 * @param services the services
 */
record Lanes(
    int width,
    int height,
    long now,
    int left,
    double perMinute,
    List<Lane> lanes,
    List<Mark> hours,
    List<Flag> services) {

  private static final int WIDTH = 1240;
  private static final int LEFT = 190;
  private static final int BAR = 28;
  private static final int GAP = 12;
  private static final int TOP = 60;
  private static final double CHARACTER = 7.4;
  private static final int SHORTEST_DAY = 120;
  private static final int MOST_MARKS = 12;
  private static final double FIRST_ROW = 11;
  private static final double SECOND_ROW = 26;
  private static final int LONGEST_NAME = 34;

  /** One lane. */
  record Lane(String name, double y, double height, List<Bar> bars) {}

  /** One task; one without an identifier to move is where it is. */
  record Bar(
      double x,
      double y,
      double width,
      String css,
      Mark label,
      String anchor,
      boolean inside,
      String title,
      String link,
      String task,
      boolean pinned) {}

  /** A mark on the time. */
  record Mark(double x, String text) {}

  /** A service; those that come close after each other have their names in two rows. */
  record Flag(double x, double y, String text) {}

  static Lanes of(Gathering.Gathered day, Schedule schedule, Formats formats) {
    int end =
        Math.max(
            SHORTEST_DAY,
            schedule.placed().stream()
                .mapToInt(one -> Math.max(one.end(), one.task().due().orElse(0)))
                .max()
                .orElse(0));
    Drawing drawing = new Drawing(day, end, formats);
    List<Place> places = new ArrayList<>();
    for (Worker worker : day.agenda().workers()) {
      places.add(new Place(worker.name(), one -> one.worker().equals(Optional.of(worker.id()))));
    }
    day.equipment()
        .forEach((id, name) -> places.add(new Place(name, one -> one.task().needs().contains(id))));
    places.add(new Place(formats.say("clock.said.nobody"), Placed::isNobodys));
    places.add(
        new Place(
            formats.say("clock.said.only-waits"),
            one -> one.task().needs().isEmpty() && one.task().hands().isEmpty()));
    List<Lane> lanes = new ArrayList<>();
    double y = TOP;
    for (Place place : places) {
      List<Placed> in =
          schedule.placed().stream()
              .filter(one -> one.task().minutes() > 0)
              .filter(place.holds())
              .sorted(Comparator.comparingInt(Placed::start))
              .toList();
      if (!in.isEmpty()) {
        Lane lane = drawing.lane(place.name(), y, in);
        lanes.add(lane);
        y += lane.height() + GAP;
      }
    }
    return new Lanes(
        WIDTH,
        (int) Math.ceil(y),
        day.now().toEpochSecond(),
        LEFT,
        drawing.x(1) - drawing.x(0),
        lanes,
        drawing.hours(),
        drawing.services());
  }

  /** What lies in a lane; two of one name are two lanes. */
  private record Place(String name, Predicate<Placed> holds) {}

  /** What every bar needs to know. */
  private record Drawing(Gathering.Gathered day, int end, Formats formats) {

    double x(int minutes) {
      return LEFT + (WIDTH - LEFT - 10.0) * minutes / end;
    }

    /** Bars with their names beside them; what would overlap goes into the next row. */
    Lane lane(String name, double y, List<Placed> in) {
      List<Bar> bars = new ArrayList<>();
      List<Double> free = new ArrayList<>();
      for (Placed one : in) {
        double x = x(one.start());
        double width = Math.max(4, x(one.end()) - x);
        String text = shortened(one.task().name());
        double needed = text.length() * CHARACTER;
        boolean isInside = needed <= width - 8;
        boolean isLeft = !isInside && x + width + needed > WIDTH;
        double from = isLeft ? x - needed : x;
        int row = row(free, from, isInside || isLeft ? x + width : x + width + needed);
        double at = isInside ? x + 5 : isLeft ? x - 5 : x + width + 5;
        bars.add(bar(one, y + row * (BAR + 2.0), width, new Mark(at, text), isLeft, isInside));
      }
      return new Lane(name, y, free.size() * (BAR + 2.0), bars);
    }

    private static String shortened(String name) {
      return name.length() <= LONGEST_NAME
          ? name
          : name.substring(0, LONGEST_NAME - 1).stripTrailing() + "…";
    }

    /** The first row of a lane that is free from there on. */
    private static int row(List<Double> free, double from, double to) {
      for (int i = 0; i < free.size(); i++) {
        if (free.get(i) <= from) {
          free.set(i, to);
          return i;
        }
      }
      free.add(to);
      return free.size() - 1;
    }

    private Bar bar(
        Placed one, double y, double width, Mark label, boolean isLeft, boolean isInside) {
      String title =
          formats.say(
              "clock.said.bar",
              one.task().name(),
              formats.time(at(one.start())),
              formats.time(at(one.end())));
      return new Bar(
          x(one.start()),
          y,
          width,
          css(one),
          label,
          isLeft ? "end" : "start",
          isInside,
          one.late() > 0 ? formats.say("clock.said.bar-late", title, one.late()) : title,
          day.about().get(one.task().id()).link(),
          one.task().isRunning() ? "" : one.task().id().toString(),
          one.task().isPinned());
    }

    private static String css(Placed one) {
      if (one.late() > 0) {
        return "w-LATE";
      }
      if (one.isNobodys()) {
        return "w-NOBODY";
      }
      if (one.task().hands().isEmpty()) {
        return "w-WAITS";
      }
      return one.task().isRunning() ? "w-RUNS" : "w-WORKS";
    }

    private Instant at(int minute) {
      return day.now().toInstant().plusSeconds(minute * 60L);
    }

    List<Mark> hours() {
      int step =
          IntStream.of(30, 60, 120, 240, 480)
              .filter(one -> end / one <= MOST_MARKS)
              .findFirst()
              .orElse(1440);
      List<Mark> marks = new ArrayList<>();
      // on the hour, by the clock on the wall
      int first = (60 - day.now().getMinute()) % 60;
      for (int minute = first; minute <= end; minute += step) {
        marks.add(new Mark(x(minute), formats.time(at(minute))));
      }
      return marks;
    }

    /** Services of one time are one mark. */
    List<Flag> services() {
      Map<Integer, List<String>> names = new TreeMap<>();
      day.services().stream()
          .filter(one -> one.minute() <= end)
          .forEach(
              one -> names.computeIfAbsent(one.minute(), k -> new ArrayList<>()).add(one.name()));
      List<Flag> flags = new ArrayList<>();
      double free = 0;
      for (Map.Entry<Integer, List<String>> one : names.entrySet()) {
        String text = String.join(", ", one.getValue());
        double x = x(one.getKey());
        boolean isClose = x - text.length() * CHARACTER < free;
        flags.add(new Flag(x, isClose ? SECOND_ROW : FIRST_ROW, text));
        free = isClose ? free : x;
      }
      return flags;
    }
  }
}
