package mosaicknife.core.pot;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.ToIntFunction;
import mosaicknife.core.check.Check;

/**
 * A batch that runs: facts with their moments, from which every clock is worked out, so that
 * nothing is lost when a tablet or the application stops.
 *
 * @param steps the steps of the batch, in their order
 * @param marks what was begun and done, by the code of the step
 */
public record PotRun(List<PotStep> steps, Map<String, Mark> marks) {

  /** Copies the facts. */
  public PotRun {
    steps = List.copyOf(steps);
    marks = Map.copyOf(marks);
  }

  /**
   * What happened to a step.
   *
   * @param begun when it was begun
   * @param done when it was done, if it is
   */
  public record Mark(Instant begun, Optional<Instant> done) {

    /** Refuses an end before the beginning. */
    public Mark {
      Check.that(
          done.isEmpty() || !done.get().isBefore(begun), "Expected an end after the beginning");
    }
  }

  /** How a step stands. */
  public enum Standing {
    /** Not begun. */
    WAITS,
    /** Begun, and shorter than it must be. */
    TOO_SHORT,
    /** Begun, and may end whenever its cue says so. */
    ON,
    /** Begun, and longer than it should be. */
    LATE,
    /** Done in its time. */
    DONE,
    /** Done before its shortest time. */
    DONE_EARLY,
    /** Done after its longest time. */
    DONE_LATE
  }

  /**
   * A step with its times.
   *
   * @param step the step
   * @param standing how it stands
   * @param begins when it began, or will
   * @param earliest when its cue may come at the earliest
   * @param ends when it ended, or usually will
   * @param latest when it is late
   */
  public record Timed(
      PotStep step,
      Standing standing,
      Instant begins,
      Instant earliest,
      Instant ends,
      Instant latest) {

    /** What is cold waits for its packing, as long as a shift. */
    private static final long COLD_MINUTES = 720;

    /**
     * Returns how long what follows may wait for it.
     *
     * @return minutes: what is on the heat or soaks may go on to its longest time, what is cold
     *     stands cold
     */
    public long spare() {
      return step.work() == PotStep.Work.COOL
          ? COLD_MINUTES
          : Duration.between(ends, latest).toMinutes();
    }
  }

  /**
   * Works the times out: what is late moves everything after it.
   *
   * @param now the moment
   * @param minutes the minutes a step usually takes in this batch
   * @return the steps with their times
   */
  public List<Timed> timed(Instant now, ToIntFunction<PotStep> minutes) {
    List<Timed> all = new ArrayList<>();
    Instant free = now;
    for (PotStep step : steps) {
      Optional<Mark> mark = Optional.ofNullable(marks.get(step.code()));
      Instant begins = mark.map(Mark::begun).orElse(free);
      Instant earliest = begins.plus(Duration.ofMinutes(step.shortest()));
      Instant latest = begins.plus(Duration.ofMinutes(step.longest()));
      Instant usual = begins.plus(Duration.ofMinutes(minutes.applyAsInt(step)));
      Instant ends = mark.flatMap(Mark::done).orElse(usual.isBefore(now) ? now : usual);
      all.add(
          new Timed(step, standing(mark, now, earliest, latest), begins, earliest, ends, latest));
      free = ends;
    }
    return all;
  }

  private static Standing standing(
      Optional<Mark> mark, Instant now, Instant earliest, Instant latest) {
    if (mark.isEmpty()) {
      return Standing.WAITS;
    }
    Optional<Instant> done = mark.get().done();
    Instant at = done.orElse(now);
    if (at.isBefore(earliest)) {
      return done.isPresent() ? Standing.DONE_EARLY : Standing.TOO_SHORT;
    }
    if (at.isAfter(latest)) {
      return done.isPresent() ? Standing.DONE_LATE : Standing.LATE;
    }
    return done.isPresent() ? Standing.DONE : Standing.ON;
  }

  /**
   * Returns the step that is on.
   *
   * @return the first that is not done; empty if all are
   */
  public Optional<PotStep> current() {
    return steps.stream()
        .filter(step -> Optional.ofNullable(marks.get(step.code())).flatMap(Mark::done).isEmpty())
        .findFirst();
  }

  /**
   * Returns the step that stands between the batch and its packing.
   *
   * @return the step that is on, if it is not the last; empty if the batch may be packed
   */
  public Optional<PotStep> beforePacking() {
    return current().filter(step -> !step.equals(steps.get(steps.size() - 1)));
  }

  /**
   * Returns when the batch came off the heat: from then on it may be falling below where the clock
   * of cooling starts.
   *
   * @return the end of its last step on the hob; empty while that is not done
   */
  public Optional<Instant> offTheHeat() {
    return steps.stream()
        .filter(step -> step.work() == PotStep.Work.HEAT || step.work() == PotStep.Work.FIRE)
        .reduce((one, next) -> next)
        .flatMap(last -> Optional.ofNullable(marks.get(last.code())))
        .flatMap(Mark::done);
  }

  /** What cannot be done now. */
  public enum Problem {
    /** Another step comes first: which. */
    OTHER_FIRST,
    /** Somebody began it already. */
    BEGUN_ALREADY,
    /** Somebody ended it already. */
    DONE_ALREADY,
    /** It was not begun yet. */
    NOT_BEGUN
  }

  /**
   * Looks whether a step may be begun.
   *
   * @param code the code of the step
   * @return what is in the way, or nothing
   */
  public Optional<Problem> beginning(String code) {
    if (marks.containsKey(code)) {
      return Optional.of(Problem.BEGUN_ALREADY);
    }
    return current().filter(step -> step.code().equals(code)).isPresent()
        ? Optional.empty()
        : Optional.of(Problem.OTHER_FIRST);
  }

  /**
   * Looks whether a step may be ended. That it is early is no reason against it: the cue decides,
   * and it is written down as early.
   *
   * @param code the code of the step
   * @return what is in the way, or nothing
   */
  public Optional<Problem> ending(String code) {
    Optional<Mark> mark = Optional.ofNullable(marks.get(code));
    if (mark.isEmpty()) {
      return Optional.of(Problem.NOT_BEGUN);
    }
    return mark.get().done().isPresent() ? Optional.of(Problem.DONE_ALREADY) : Optional.empty();
  }
}
