package mosaicknife.app.clock;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import mosaicknife.app.clock.Gathering.About;
import mosaicknife.app.clock.Gathering.Gathered;
import mosaicknife.app.shared.Formats;
import mosaicknife.core.clock.EquipmentId;
import mosaicknife.core.clock.Schedule;
import mosaicknife.core.clock.Schedule.Placed;
import mosaicknife.core.clock.TaskId;
import mosaicknife.core.clock.WayOut;

/** The day in words, ready for the templates. */
record ClockView(Gathered day, Schedule schedule, Formats formats) {

  private static final int EACH = 3;

  /**
   * A task in a list.
   *
   * @param task its identifier
   * @param at when it starts
   * @param field when it starts, as a field of a form has it
   * @param name what is done
   * @param takes how long it takes
   * @param late by how much it is late; empty if it is not
   * @param who who does it; empty if it takes no hands
   * @param link where it is worked
   * @param begins whether it can be begun here
   * @param ends whether it can be ended here
   * @param drops whether it can be dropped here
   * @param pinned whether it was put there
   * @param moves whether it can be put elsewhere
   */
  record Row(
      String task,
      String at,
      String field,
      String name,
      String takes,
      String late,
      String who,
      String link,
      boolean begins,
      boolean ends,
      boolean drops,
      boolean pinned,
      boolean moves) {}

  /** A person with what they do next. */
  record Person(String id, String name, List<Row> rows) {}

  private Instant at(int minute) {
    return day.now().toInstant().plusSeconds(minute * 60L);
  }

  /**
   * Everything in the order it starts; what runs and is ended elsewhere is in the picture alone.
   */
  List<Row> rows() {
    return inOrder().stream()
        .filter(one -> !one.task().isRunning() || day.about().get(one.task().id()).ends())
        .map(this::row)
        .toList();
  }

  private List<Placed> inOrder() {
    return schedule.placed().stream()
        .sorted(
            Comparator.comparingInt(Placed::start)
                .thenComparing(one -> !one.task().isRunning())
                .thenComparing(one -> one.task().id().toString()))
        .toList();
  }

  private Row row(Placed one) {
    About about = day.about().get(one.task().id());
    boolean isRunning = one.task().isRunning();
    return new Row(
        one.task().id().toString(),
        isRunning ? formats.say("clock.said.runs") : when(one.start()),
        at(one.start()).atZone(day.now().getZone()).toLocalDateTime().toString(),
        one.task().name(),
        formats.say(isRunning ? "clock.said.still" : "clock.said.takes", one.task().minutes()),
        one.late() > 0 ? formats.say("clock.said.so-late", one.late()) : "",
        who(one),
        about.link(),
        about.begins() && !isRunning,
        about.ends() && (isRunning || !about.begins()),
        about.drops(),
        one.task().isPinned(),
        !isRunning);
  }

  /** The time; of another day with its day. */
  private String when(int minute) {
    Instant then = at(minute);
    return then.atZone(day.now().getZone()).toLocalDate().equals(day.now().toLocalDate())
        ? formats.time(then)
        : formats.moment(then);
  }

  private String who(Placed one) {
    if (one.isNobodys()) {
      return formats.say("clock.said.nobody");
    }
    return one.worker().map(day::worker).orElse("");
  }

  /** The next things of each person. */
  List<Person> people(int most) {
    List<Person> people = new ArrayList<>();
    for (var worker : day.agenda().workers()) {
      List<Row> theirs =
          inOrder().stream()
              .filter(one -> one.worker().filter(worker.id()::equals).isPresent())
              .limit(most)
              .map(this::row)
              .toList();
      if (!theirs.isEmpty()) {
        people.add(new Person(worker.id(), worker.name(), theirs));
      }
    }
    return people;
  }

  List<Person> next() {
    return people(EACH);
  }

  /** What cannot be kept, in words; empty if all is well. */
  List<String> broken() {
    List<String> said = new ArrayList<>();
    day.unsure().forEach(pot -> said.add(formats.say("clock.said.never-cold", pot)));
    if (day.beyond() > 0) {
      said.add(formats.say("clock.said.lots-beyond", day.beyond()));
    }
    if (schedule.given().contains(Schedule.Given.PINS)) {
      said.add(formats.say("clock.said.pins-do-not-fit"));
    }
    if (schedule.given().contains(Schedule.Given.WAITS)) {
      said.add(formats.say("clock.said.waits-too-long"));
    }
    schedule
        .nobodys()
        .forEach(
            one ->
                said.add(
                    formats.say("clock.said.nobody-for", one.task().name(), when(one.start()))));
    schedule
        .broken()
        .forEach(one -> said.add(formats.say("clock.said.late", one.task().name(), one.late())));
    return said;
  }

  /** The fewest promises that cannot be kept, in words. */
  String fewest(List<Placed> fewest) {
    return fewest.isEmpty()
        ? ""
        : formats.say(
            "clock.said.fewest",
            formats.list(fewest.stream().map(one -> one.task().name()).toList()));
  }

  /** What would help, in words. */
  List<String> ways(List<WayOut> ways) {
    return ways.stream()
        .map(
            way ->
                formats.say(
                    "clock.said.way." + way.kind().name(),
                    name(way),
                    way.when().map(span -> when(span.from())).orElse(""),
                    way.when().map(span -> when(span.to())).orElse(""),
                    way.late()))
        .toList();
  }

  private String name(WayOut way) {
    if (way.what() instanceof EquipmentId equipment) {
      return day.equipment().get(equipment);
    }
    if (way.what() instanceof TaskId batch) {
      return day.batches().get(batch);
    }
    return way.what() instanceof WayOut.Somebody one
        ? day.worker(one.id())
        : ((WayOut.Way) way.what()).name();
  }
}
