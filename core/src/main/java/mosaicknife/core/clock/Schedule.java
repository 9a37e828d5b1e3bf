package mosaicknife.core.clock;

import java.util.List;
import mosaicknife.core.check.Check;

/**
 * When each task starts.
 *
 * @param placed the tasks with their starts, in the order of the agenda
 * @param late the minutes all services together are late
 * @param idle the minutes of waiting beyond what must be: between tasks, and before a service
 * @param proved whether nothing better exists
 */
public record Schedule(List<Placed> placed, int late, int idle, boolean proved) {

  /** Copies the tasks. */
  public Schedule {
    placed = List.copyOf(placed);
    Check.that(late >= 0 && idle >= 0, "Expected minutes from 0");
  }

  /**
   * A task with its start.
   *
   * @param task the task
   * @param start when it starts, in minutes from now
   */
  public record Placed(Task task, int start) {

    /**
     * Returns when it ends.
     *
     * @return minutes from now
     */
    public int end() {
      return start + task.minutes();
    }

    /**
     * Returns by how much it is late.
     *
     * @return minutes, 0 if it is in time or has no time of its own
     */
    public int late() {
      return task.due().isPresent() ? Math.max(0, end() - task.due().getAsInt()) : 0;
    }
  }

  /**
   * Returns the promises that are not kept.
   *
   * @return the tasks that end after their time, the latest first
   */
  public List<Placed> broken() {
    return placed.stream()
        .filter(one -> one.late() > 0)
        .sorted((a, b) -> Integer.compare(b.late(), a.late()))
        .toList();
  }
}
