package mosaicknife.core.clock;

import java.util.List;
import java.util.OptionalInt;
import java.util.Set;
import mosaicknife.core.check.Check;

/**
 * Something that takes its time.
 *
 * @param id its identifier
 * @param name what is done
 * @param minutes how long it takes, from 0 to two days
 * @param needs the resources it holds meanwhile, one of each
 * @param after what must be over before it
 * @param due by when it must be over, in minutes from now; empty if only what follows says so
 * @param fixed when it starts if that is fixed, in minutes from now, such as one that runs already
 */
public record Task(
    String id,
    String name,
    int minutes,
    Set<String> needs,
    List<After> after,
    OptionalInt due,
    OptionalInt fixed) {

  static final int LONGEST = 2880;

  /** Copies the sets. */
  public Task {
    Check.text(id, "id");
    Check.text(name, "name");
    Check.inRange(minutes, 0, LONGEST, "minutes");
    needs = Set.copyOf(needs);
    after = List.copyOf(after);
    Check.notNull(due, "due");
    Check.notNull(fixed, "fixed");
  }

  /**
   * What must be over before a task.
   *
   * @param id the identifier of the other task
   * @param least minutes between them at the least, from 0
   * @param most minutes between them at the most, not below the least
   */
  public record After(String id, int least, int most) {

    /** Refuses a shortest wait above the longest. */
    public After {
      Check.text(id, "id");
      Check.that(
          least >= 0 && least <= most,
          "Expected waits in order, found %d, %d".formatted(least, most));
    }
  }
}
