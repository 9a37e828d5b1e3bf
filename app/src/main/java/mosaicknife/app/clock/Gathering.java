package mosaicknife.app.clock;

import java.time.Duration;
import java.time.ZonedDateTime;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import mosaicknife.app.shared.Speech;
import mosaicknife.core.clock.Agenda;
import mosaicknife.core.clock.EquipmentId;
import mosaicknife.core.clock.Task;
import mosaicknife.core.clock.TaskId;
import mosaicknife.core.clock.WayOut;
import mosaicknife.core.clock.WeekTime;
import mosaicknife.core.clock.Worker;

/** What takes time, while it is gathered from everywhere. */
final class Gathering {

  private final ZonedDateTime now;
  private final Speech words;
  private final Marks.Standing standing;
  private final List<Worker> workers;
  private final List<Served> services;
  private final List<Task> tasks = new ArrayList<>();
  private final Map<EquipmentId, Integer> capacity = new HashMap<>();
  private final Map<EquipmentId, String> equipment = new LinkedHashMap<>();
  private final Map<TaskId, About> about = new HashMap<>();
  private final List<String> unsure = new ArrayList<>();
  private int beyond;
  private final Map<TaskId, String> batches = new HashMap<>();
  private final List<WayOut.Other> others = new ArrayList<>();

  Gathering(
      ZonedDateTime now,
      Speech words,
      Marks.Standing standing,
      List<Worker> workers,
      List<Served> services) {
    this.now = now;
    this.words = words;
    this.standing = standing;
    this.workers = workers;
    this.services = services;
  }

  /**
   * What a page wants to know of a task.
   *
   * @param link where it is worked
   * @param begins whether it is begun here
   * @param ends whether it is ended here
   * @param drops whether it may be dropped here
   */
  record About(String link, boolean begins, boolean ends, boolean drops) {}

  /**
   * A service ahead.
   *
   * @param venue the number of its venue
   * @param name what it is called
   * @param minute when, in minutes from now
   */
  record Served(long venue, String name, int minute) {}

  /**
   * All of it.
   *
   * @param now the moment it counts from
   * @param agenda what is to be done
   * @param equipment what equipment is called
   * @param about what is known of each task
   * @param services the services ahead, by time
   * @param unsure what nobody can say the end of
   * @param beyond how many lots are not on the plan
   * @param batches what the groups of tasks are called
   * @param others other ways to do them
   */
  record Gathered(
      ZonedDateTime now,
      Agenda agenda,
      Map<EquipmentId, String> equipment,
      Map<TaskId, About> about,
      List<Served> services,
      List<String> unsure,
      int beyond,
      Map<TaskId, String> batches,
      List<WayOut.Other> others) {

    /** What somebody is called; empty if nobody is named so. */
    String worker(String id) {
      return agenda.workers().stream()
          .filter(one -> one.id().equals(id))
          .map(Worker::name)
          .findFirst()
          .orElse("");
    }
  }

  ZonedDateTime now() {
    return now;
  }

  Speech words() {
    return words;
  }

  /** The next service of a venue, in minutes from now. */
  OptionalInt due(long venue) {
    return services.stream()
        .filter(one -> one.venue() == venue)
        .mapToInt(Served::minute)
        .findFirst();
  }

  /** Names a piece of equipment, of which there is so much. */
  EquipmentId equipment(EquipmentId id, String name, int room) {
    capacity.putIfAbsent(id, room);
    equipment.putIfAbsent(id, name);
    return id;
  }

  /** Names the batch that tasks of a group belong to. */
  void batch(TaskId group, String name) {
    batches.put(group, name);
  }

  /**
   * Says that so many lots are not on the plan.
   *
   * @param lots how many, the newest
   */
  void beyond(int lots) {
    beyond = lots;
  }

  /** Adds another way to do a batch. */
  void other(WayOut.Other other) {
    others.add(other);
  }

  void unsure(String name) {
    unsure.add(name);
  }

  /**
   * Adds a task: one that was begun goes on, one that is done is left out, one that is pinned stays
   * where it was put.
   */
  void add(Task task, About what) {
    if (standing.ended().contains(task.id())) {
      return;
    }
    about.put(task.id(), what);
    batches.putIfAbsent(task.group(), task.name());
    ClockMarkEntity begun = standing.begun().get(task.id());
    if (begun != null && task.fixed().isEmpty()) {
      long passed = Duration.between(begun.madeAt(), now.toInstant()).toMinutes();
      tasks.add(
          task.lasting(Task.left(task.minutes(), passed))
              .fixed(Task.Fixed.runs(Optional.of(Day.worker(begun.madeBy())))));
    } else {
      tasks.add(pinned(task));
    }
  }

  private Task pinned(Task task) {
    return Optional.ofNullable(standing.pinned().get(task.id()))
        .filter(at -> task.fixed().isEmpty())
        .map(at -> WeekTime.minutes(now, at.atZone(now.getZone())))
        .filter(minute -> minute >= 0)
        .map(minute -> task.fixed(Task.Fixed.pinned(minute)))
        .orElse(task);
  }

  /** All that was gathered; what waits for something that is done waits no more. */
  Gathered all() {
    List<Task> linked =
        tasks.stream()
            .map(
                task ->
                    task.after(
                        task.after().stream().filter(one -> about.containsKey(one.id())).toList()))
            .toList();
    return new Gathered(
        now,
        new Agenda(linked, capacity, workers),
        equipment,
        about,
        services,
        unsure,
        beyond,
        batches,
        others);
  }
}
