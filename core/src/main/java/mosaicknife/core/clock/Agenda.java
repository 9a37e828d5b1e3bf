package mosaicknife.core.clock;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import mosaicknife.core.check.Check;

/**
 * What is to be done with what there is.
 *
 * @param tasks the tasks
 * @param capacity how many tasks a piece of equipment holds at once, by its identifier; from 1
 * @param workers who does them
 */
public record Agenda(List<Task> tasks, Map<EquipmentId, Integer> capacity, List<Worker> workers) {

  /** Copies the lists; refuses what names nothing, and what waits for itself. */
  public Agenda {
    tasks = List.copyOf(tasks);
    capacity = Map.copyOf(capacity);
    workers = List.copyOf(workers);
    Set<TaskId> ids = new HashSet<>();
    for (Task task : tasks) {
      Check.that(ids.add(task.id()), "Expected each task once, found twice " + task.id());
      for (EquipmentId need : task.needs()) {
        Check.that(capacity.getOrDefault(need, 0) >= 1, "Expected a resource, found ", need);
      }
    }
    for (Task task : tasks) {
      for (Task.After after : task.after()) {
        Check.that(ids.contains(after.id()), "Expected a task, found ", after.id());
      }
    }
    Check.that(circle(tasks).isEmpty(), "Expected no circle, found ", circle(tasks));
  }

  /**
   * Returns the same without some tasks; what waited for them waits no more.
   *
   * @param group the group whose tasks are left out
   * @return the agenda
   */
  public Agenda without(TaskId group) {
    return instead(group, List.of());
  }

  /**
   * Returns the same with other tasks in the place of a group.
   *
   * @param group the group
   * @param others the tasks in its place
   * @return the agenda
   */
  public Agenda instead(TaskId group, List<Task> others) {
    List<Task> all = new ArrayList<>(others);
    tasks.stream().filter(task -> !task.group().equals(group)).forEach(all::add);
    Set<TaskId> ids = new HashSet<>();
    all.forEach(task -> ids.add(task.id()));
    return new Agenda(
        all.stream()
            .map(
                task ->
                    task.after(
                        task.after().stream().filter(one -> ids.contains(one.id())).toList()))
            .toList(),
        capacity,
        workers);
  }

  /**
   * Returns the same with more of a piece of equipment.
   *
   * @param resource its identifier
   * @return the agenda with one more of it
   */
  Agenda more(EquipmentId resource) {
    Map<EquipmentId, Integer> more = new HashMap<>(capacity);
    more.merge(resource, 1, Integer::sum);
    return new Agenda(tasks, more, workers);
  }

  /**
   * Returns the same with other people.
   *
   * @param others who does the tasks
   * @return the agenda
   */
  Agenda with(List<Worker> others) {
    return new Agenda(tasks, capacity, others);
  }

  /**
   * Returns the same with other tasks.
   *
   * @param others the tasks
   * @return the agenda
   */
  public Agenda withTasks(List<Task> others) {
    return new Agenda(others, capacity, workers);
  }

  /** Returns the same with nothing pinned. */
  Agenda unpinned() {
    return withTasks(tasks.stream().map(Task::unpinned).toList());
  }

  /**
   * Looks for tasks that wait for each other in a circle.
   *
   * @param tasks the tasks
   * @return the identifiers on a way back to its beginning; empty if there is none
   */
  public static List<TaskId> circle(List<Task> tasks) {
    Map<TaskId, Task> byId = new HashMap<>();
    tasks.forEach(task -> byId.put(task.id(), task));
    Set<TaskId> sound = new HashSet<>();
    for (Task task : tasks) {
      List<TaskId> way = back(task.id(), byId, new ArrayList<>(), sound);
      if (!way.isEmpty()) {
        return way;
      }
    }
    return List.of();
  }

  private static List<TaskId> back(
      TaskId id, Map<TaskId, Task> byId, List<TaskId> way, Set<TaskId> sound) {
    if (way.contains(id)) {
      List<TaskId> circle = new ArrayList<>(way.subList(way.indexOf(id), way.size()));
      circle.add(id);
      return circle;
    }
    if (sound.contains(id) || !byId.containsKey(id)) {
      return List.of();
    }
    way.add(id);
    for (Task.After after : byId.get(id).after()) {
      List<TaskId> circle = back(after.id(), byId, way, sound);
      if (!circle.isEmpty()) {
        return circle;
      }
    }
    way.remove(way.size() - 1);
    sound.add(id);
    return List.of();
  }
}
