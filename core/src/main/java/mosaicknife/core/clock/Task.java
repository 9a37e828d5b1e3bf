package mosaicknife.core.clock;

import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import mosaicknife.core.check.Check;

/**
 * Something that takes its time.
 *
 * @param id its identifier
 * @param group what it belongs to, such as a batch: the tasks of a group are better done by one
 *     person, and are dropped together
 * @param name what is done
 * @param minutes how long it takes, from 0 to two days
 * @param needs the equipment it holds meanwhile, one of each
 * @param hands the hands it takes meanwhile; empty if nobody stands by
 * @param after what must be over before it
 * @param due by when it must be over, in minutes from now, below 0 if that is past; empty if only
 *     what follows says so
 * @param fixed when it starts, if that is settled
 */
public record Task(
    TaskId id,
    TaskId group,
    String name,
    int minutes,
    Set<EquipmentId> needs,
    Optional<Hands> hands,
    List<After> after,
    OptionalInt due,
    Optional<Fixed> fixed) {

  /** The longest a task may last, in minutes. */
  public static final int LONGEST = 2880;

  /** Something small, such as taking a tray out of the fridge, in minutes: a starting estimate. */
  public static final int SMALL = 5;

  /** What runs longer than it should takes this many minutes more, as far as anybody knows. */
  private static final int STILL = 5;

  /** Copies the sets. */
  public Task {
    Check.notNull(id, "id");
    Check.notNull(group, "group");
    Check.text(name, "name");
    Check.inRange(minutes, 0, LONGEST, "minutes");
    needs = Set.copyOf(needs);
    Check.notNull(hands, "hands");
    after = List.copyOf(after);
    Check.notNull(due, "due");
    Check.notNull(fixed, "fixed");
  }

  /**
   * Returns a task of its own that holds nothing, waits for nothing and is due at no time.
   *
   * @param id its identifier
   * @param name what is done
   * @param minutes how long it takes
   * @return the task
   */
  public static Task of(TaskId id, String name, int minutes) {
    return new Task(
        id,
        id,
        name,
        minutes,
        Set.of(),
        Optional.empty(),
        List.of(),
        OptionalInt.empty(),
        Optional.empty());
  }

  /**
   * Returns how long something that was begun still takes.
   *
   * @param minutes how long it takes in all
   * @param passed minutes since it was begun
   * @return the minutes left; a few where it should be over
   */
  public static int left(int minutes, long passed) {
    return (int) Math.max(Math.min(STILL, minutes), minutes - passed);
  }

  /**
   * Returns it with another length.
   *
   * @param other how long it takes, in minutes
   * @return the task
   */
  public Task lasting(int other) {
    return new Task(id, group, name, other, needs, hands, after, due, fixed);
  }

  /**
   * Returns it as part of a group.
   *
   * @param other the group
   * @return the task
   */
  public Task in(TaskId other) {
    return new Task(id, other, name, minutes, needs, hands, after, due, fixed);
  }

  /**
   * Returns it with the equipment it holds.
   *
   * @param others the equipment
   * @return the task
   */
  public Task needing(EquipmentId... others) {
    return new Task(id, group, name, minutes, Set.of(others), hands, after, due, fixed);
  }

  /**
   * Returns it with the hands it takes.
   *
   * @param other the hands
   * @return the task
   */
  public Task by(Hands other) {
    return new Task(id, group, name, minutes, needs, Optional.of(other), after, due, fixed);
  }

  /**
   * Returns it with what must be over before it.
   *
   * @param others what it waits for
   * @return the task
   */
  public Task after(List<After> others) {
    return new Task(id, group, name, minutes, needs, hands, others, due, fixed);
  }

  /**
   * Returns it with its time.
   *
   * @param other by when it must be over, in minutes from now
   * @return the task
   */
  public Task dueAt(int other) {
    return new Task(id, group, name, minutes, needs, hands, after, OptionalInt.of(other), fixed);
  }

  /**
   * Returns it with its time, if it has one.
   *
   * @param other by when it must be over; empty if only what follows says so
   * @return the task
   */
  public Task dueAt(OptionalInt other) {
    return other.isPresent() ? dueAt(other.getAsInt()) : this;
  }

  /**
   * Returns it with a start that is settled.
   *
   * @param other the start
   * @return the task
   */
  public Task fixed(Fixed other) {
    return new Task(id, group, name, minutes, needs, hands, after, due, Optional.of(other));
  }

  /**
   * Returns it to be placed anywhere, unless it runs.
   *
   * @return the task
   */
  Task unpinned() {
    return isRunning()
        ? this
        : new Task(id, group, name, minutes, needs, hands, after, due, Optional.empty());
  }

  /**
   * Says whether it runs already.
   *
   * @return whether it was begun
   */
  public boolean isRunning() {
    return fixed.filter(Fixed::running).isPresent();
  }

  /**
   * Says whether somebody put it where it is.
   *
   * @return whether it is pinned
   */
  public boolean isPinned() {
    return fixed.isPresent() && !isRunning();
  }

  /**
   * A start that is settled.
   *
   * @param start when, in minutes from now
   * @param running whether it was begun; else it is pinned there
   * @param by who does it, by identifier; empty if nobody said
   */
  public record Fixed(int start, boolean running, Optional<String> by) {

    /** Refuses a start before now. */
    public Fixed {
      Check.that(start >= 0, "Expected a start from 0, found ", start);
      Check.notNull(by, "by");
    }

    /**
     * Returns the start of what runs already.
     *
     * @param by who began it; empty if nobody knows
     * @return from now on, for as long as it still takes
     */
    public static Fixed runs(Optional<String> by) {
      return new Fixed(0, true, by);
    }

    /**
     * Returns the start of what is pinned.
     *
     * @param start when, in minutes from now
     * @return the start
     */
    public static Fixed pinned(int start) {
      return new Fixed(start, false, Optional.empty());
    }
  }

  /**
   * What must be over before a task.
   *
   * @param id the identifier of the other task
   * @param least minutes between them at the least, from 0
   * @param most minutes between them at the most, not below the least
   */
  public record After(TaskId id, int least, int most) {

    /** Refuses a shortest wait above the longest. */
    public After {
      Check.notNull(id, "id");
      Check.that(
          least >= 0 && least <= most,
          "Expected waits in order, found %d, %d".formatted(least, most));
    }

    /**
     * Returns a wait that may last as long as what comes before has to spare, and a few minutes
     * where it has nothing.
     *
     * @param id the identifier of the other task
     * @param spare how long the other could still go on, in minutes
     * @return the wait, from nothing up to that
     */
    public static After upTo(TaskId id, long spare) {
      return new After(id, 0, (int) Math.max(STILL, Math.min(spare, LONGEST)));
    }
  }
}
