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
      Map<String, ClockMarkEntity> begun, Set<String> ended, Map<String, Instant> pinned) {}

  @Transactional(readOnly = true)
  public Standing standing() {
    Instant now = clock.instant();
    Map<String, ClockMarkEntity> begun = new HashMap<>();
    Set<String> ended = new HashSet<>();
    for (ClockMarkEntity mark : marks.findAllByMadeAtAfterOrderById(now.minus(KEPT))) {
      if (mark.what().equals("BEGUN")) {
        begun.put(mark.task(), mark);
      } else {
        ended.add(mark.task());
      }
    }
    Map<String, Instant> pinned = new HashMap<>();
    pins.findStanding(now).forEach(pin -> pinned.put(pin.task(), pin.startsAt()));
    return new Standing(begun, ended, pinned);
  }

  /** Writes down that it was begun; the second who does is told who was first. */
  @PreAuthorize("hasAnyAuthority('WEIGH', 'DECIDE_PURPOSE')")
  public void begin(String task) {
    mark(task, "BEGUN", "clock.problem.begun-by");
  }

  @PreAuthorize("hasAnyAuthority('WEIGH', 'DECIDE_PURPOSE')")
  public void done(String task) {
    mark(task, "DONE", "clock.problem.done-by");
  }

  @PreAuthorize("hasAuthority('DECIDE_PURPOSE')")
  public void drop(String task) {
    mark(task, "DROPPED", "clock.problem.done-by");
  }

  private void mark(String task, String what, String otherwise) {
    List<ClockMarkEntity> before = marks.findAllByTaskOrderById(task);
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
      marks.saveAndFlush(new ClockMarkEntity(task, what, current.get().id(), clock.instant()));
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
  @PreAuthorize("hasAuthority('DECIDE_PURPOSE')")
  public void pin(String task, Instant at) {
    Instant now = clock.instant();
    if (at.isBefore(now) || at.isAfter(now.plus(AHEAD))) {
      throw Refusal.ofField("at", "clock.problem.not-then");
    }
    pins.saveAndFlush(new ClockPinEntity(task, at, current.get().id(), now));
  }

  @PreAuthorize("hasAuthority('DECIDE_PURPOSE')")
  public void unpin(String task) {
    pins.saveAndFlush(new ClockPinEntity(task, null, current.get().id(), clock.instant()));
  }
}
