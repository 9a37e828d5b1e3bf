package mosaicknife.app.clock;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import mosaicknife.app.account.CurrentPerson;
import mosaicknife.app.account.PeopleRegister;
import mosaicknife.app.account.Person;
import mosaicknife.app.shared.Refusal;
import mosaicknife.core.clock.TaskId;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Writes down what was begun and done, and where somebody put a task. */
@Service
@Transactional
class Marks {

  private static final Duration KEPT = Duration.ofDays(14);
  private static final Duration AHEAD = Duration.ofDays(7);

  private final ClockMarkRepository marks;
  private final ClockPinRepository pins;
  private final PeopleRegister people;
  private final CurrentPerson current;
  private final Clock clock;

  Marks(
      ClockMarkRepository marks,
      ClockPinRepository pins,
      PeopleRegister people,
      CurrentPerson current,
      Clock clock) {
    this.marks = marks;
    this.pins = pins;
    this.people = people;
    this.current = current;
    this.clock = clock;
  }

  /**
   * What was written down about tasks.
   *
   * @param begun who began which, and when
   * @param ended what is done or dropped
   * @param pinned where tasks were put
   */
  record Standing(
      Map<TaskId, ClockMarkEntity> begun, Set<TaskId> ended, Map<TaskId, Instant> pinned) {}

  @Transactional(readOnly = true)
  public Standing standing() {
    Instant now = clock.instant();
    Map<TaskId, ClockMarkEntity> begun = new HashMap<>();
    Set<TaskId> ended = new HashSet<>();
    for (ClockMarkEntity mark : marks.findAllByMadeAtAfterOrderById(now.minus(KEPT))) {
      Optional<TaskId> task = TaskId.read(mark.task());
      if (mark.what().equals("BEGUN")) {
        task.ifPresent(id -> begun.put(id, mark));
      } else {
        task.ifPresent(ended::add);
      }
    }
    Map<TaskId, Instant> pinned = new HashMap<>();
    pins.findStanding(now)
        .forEach(pin -> TaskId.read(pin.task()).ifPresent(id -> pinned.put(id, pin.startsAt())));
    return new Standing(begun, ended, pinned);
  }

  /** Writes down that it was begun; the second who does is told who was first. */
  @PreAuthorize("hasAnyAuthority('WEIGH', 'DECIDE_PURPOSE') and @here.ofTask(#task)")
  public void begin(TaskId task) {
    mark(task, "BEGUN", "clock.problem.begun-by");
  }

  @PreAuthorize("hasAnyAuthority('WEIGH', 'DECIDE_PURPOSE') and @here.ofTask(#task)")
  public void done(TaskId task) {
    mark(task, "DONE", "clock.problem.done-by");
  }

  @PreAuthorize("hasAuthority('DECIDE_PURPOSE') and @here.ofTask(#task)")
  public void drop(TaskId task) {
    mark(task, "DROPPED", "clock.problem.done-by");
  }

  private void mark(TaskId task, String what, String otherwise) {
    List<ClockMarkEntity> before = marks.findAllByTaskOrderById(task.toString());
    Optional<ClockMarkEntity> other =
        before.stream().filter(one -> !one.what().equals("BEGUN")).findFirst();
    if (other.isEmpty() && what.equals("BEGUN")) {
      other = before.stream().findFirst();
    }
    other.ifPresent(
        one -> {
          throw refused(otherwise, one);
        });
    try {
      marks.saveAndFlush(
          new ClockMarkEntity(task.toString(), what, current.get().id(), clock.instant()));
    } catch (DataIntegrityViolationException second) {
      throw Refusal.ofStale("clock.problem.at-once");
    }
  }

  private Refusal refused(String key, ClockMarkEntity mark) {
    String who =
        people.everybody().stream()
            .filter(one -> one.id() == mark.madeBy())
            .map(Person::name)
            .findFirst()
            .orElse("?");
    return Refusal.ofStale(key, who, mark.madeAt());
  }

  /**
   * Puts a task where it stays.
   *
   * @param task its identifier
   * @param at when it starts
   * @throws Refusal if that is past, or more than a week ahead
   */
  @PreAuthorize("hasAuthority('DECIDE_PURPOSE') and @here.ofTask(#task)")
  public void pin(TaskId task, Instant at) {
    Instant now = clock.instant();
    if (at.isBefore(now) || at.isAfter(now.plus(AHEAD))) {
      throw Refusal.ofField("at", "clock.problem.not-then");
    }
    pins.saveAndFlush(new ClockPinEntity(task.toString(), at, current.get().id(), now));
  }

  @PreAuthorize("hasAuthority('DECIDE_PURPOSE') and @here.ofTask(#task)")
  public void unpin(TaskId task) {
    pins.saveAndFlush(
        new ClockPinEntity(task.toString(), null, current.get().id(), clock.instant()));
  }
}
