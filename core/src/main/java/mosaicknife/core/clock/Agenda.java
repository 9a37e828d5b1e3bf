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
 * @param capacity how many tasks a resource holds at once, by its identifier; from 1
 */
public record Agenda(List<Task> tasks, Map<String, Integer> capacity) {

  /** Copies the lists; refuses what names nothing, and what waits for itself. */
  public Agenda {
    tasks = List.copyOf(tasks);
    capacity = Map.copyOf(capacity);
    Set<String> ids = new HashSet<>();
    for (Task task : tasks) {
      Check.that(ids.add(task.id()), "Expected each task once, found twice " + task.id());
      for (String need : task.needs()) {
        Check.that(capacity.getOrDefault(need, 0) >= 1, "Expected a resource, found " + need);
      }
    }
    for (Task task : tasks) {
      for (Task.After after : task.after()) {
        Check.that(ids.contains(after.id()), "Expected a task, found " + after.id());
      }
    }
    Check.that(circle(tasks).isEmpty(), "Expected no circle, found " + circle(tasks));
  }

  /**
   * Looks for tasks that wait for each other in a circle.
   *
   * @param tasks the tasks
   * @return the identifiers on a way back to its beginning; empty if there is none
   */
  public static List<String> circle(List<Task> tasks) {
    Map<String, Task> byId = new HashMap<>();
    tasks.forEach(task -> byId.put(task.id(), task));
    Set<String> sound = new HashSet<>();
    for (Task task : tasks) {
      List<String> way = back(task.id(), byId, new ArrayList<>(), sound);
      if (!way.isEmpty()) {
        return way;
      }
    }
    return List.of();
  }

  private static List<String> back(
      String id, Map<String, Task> byId, List<String> way, Set<String> sound) {
    if (way.contains(id)) {
      List<String> circle = new ArrayList<>(way.subList(way.indexOf(id), way.size()));
      circle.add(id);
      return circle;
    }
    if (sound.contains(id) || !byId.containsKey(id)) {
      return List.of();
    }
    way.add(id);
    for (Task.After after : byId.get(id).after()) {
      List<String> circle = back(after.id(), byId, way, sound);
      if (!circle.isEmpty()) {
        return circle;
      }
    }
    way.remove(way.size() - 1);
    sound.add(id);
    return List.of();
  }
}
