package mosaicknife.core.clock;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import mosaicknife.core.check.Check;

/**
 * When each task starts, and who does it.
 *
 * @param placed the tasks with their starts, in the order of the agenda
 * @param late the minutes all services together are late
 * @param idle the minutes of waiting beyond what must be: between tasks, and before a service
 * @param handOvers how often a batch goes from one person to another
 * @param given what could not be kept to, so that there is a schedule at all
 * @param spare how many minutes of waiting a better schedule could save at the most; 0 if this one
 *     is proved to be the best
 */
public record Schedule(
    List<Placed> placed, int late, int idle, int handOvers, Set<Given> given, int spare) {

  /** Copies the tasks. */
  public Schedule {
    placed = List.copyOf(placed);
    given = Set.copyOf(given);
    Check.that(late >= 0 && idle >= 0 && handOvers >= 0 && spare >= 0, "Expected figures from 0");
  }

  /**
   * Says whether nothing better exists.
   *
   * @return whether no schedule is less late, or as late and waits less
   */
  public boolean isProved() {
    return spare == 0;
  }

  /** What had to give. */
  public enum Given {
    /** What was pinned does not fit where it was put. */
    PINS,
    /** Somebody would have to be there who is not. */
    PEOPLE,
    /** Something waits longer than it may. */
    WAITS
  }

  /**
   * A task with its start.
   *
   * @param task the task
   * @param start when it starts, in minutes from now
   * @param worker who does it, by identifier; empty if it takes no hands or nobody is there
   */
  public record Placed(Task task, int start, Optional<String> worker) {

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

    /**
     * Says whether nobody is there who could do it.
     *
     * @return whether it takes hands and has none
     */
    public boolean isNobodys() {
      return task.hands().isPresent() && worker.isEmpty();
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

  /**
   * Returns what nobody is there for.
   *
   * @return the tasks that take hands and have none
   */
  public List<Placed> nobodys() {
    return placed.stream().filter(Placed::isNobodys).toList();
  }

  /**
   * Finds a task.
   *
   * @param id its identifier
   * @return the task with its start; empty if it is not on the agenda
   */
  public Optional<Placed> find(TaskId id) {
    return placed.stream().filter(one -> one.task().id().equals(id)).findFirst();
  }
}
