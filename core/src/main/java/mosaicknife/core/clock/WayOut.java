package mosaicknife.core.clock;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import mosaicknife.core.clock.Schedule.Placed;

/**
 * A way to keep more promises.
 *
 * @param kind what would be done
 * @param what with what: equipment, a person, a batch, or the name of another way
 * @param when from when to when it is needed; empty if that says nothing
 * @param late the minutes all services are late then
 */
public record WayOut(Kind kind, String what, Optional<Span> when, int late) {

  /** So much earlier or longer somebody may be asked to work. */
  static final int OVERTIME = 120;

  /** What can be done, the least trouble first. */
  public enum Kind {
    /** One more of a piece of equipment. */
    MORE,
    /** A person comes earlier. */
    EARLIER,
    /** A person stays longer. */
    LONGER,
    /** A batch is done another way. */
    INSTEAD,
    /** A batch is dropped. */
    DROP
  }

  /**
   * Another way to do a batch.
   *
   * @param group the batch
   * @param name what is done in its place
   * @param tasks its tasks
   */
  public record Other(String group, String name, List<Task> tasks) {

    /** Copies the tasks. */
    public Other {
      tasks = List.copyOf(tasks);
    }
  }

  /**
   * Looks what would help a day that is late.
   *
   * @param agenda the day
   * @param now its schedule
   * @param others other ways to do batches
   * @param seconds how long the solver may look for each, positive
   * @return what helps: the least late first, and of those the least trouble
   */
  public static List<WayOut> of(Agenda agenda, Schedule now, List<Other> others, double seconds) {
    List<WayOut> ways = new ArrayList<>();
    used(agenda).forEach(resource -> ways.add(more(agenda, resource, seconds)));
    for (Worker worker : agenda.workers()) {
      ways.add(overtime(agenda, worker, OVERTIME, 0, seconds));
      ways.add(overtime(agenda, worker, 0, OVERTIME, seconds));
    }
    for (Other other : others) {
      int late = Backward.of(agenda.instead(other.group(), other.tasks()), seconds).late();
      ways.add(new WayOut(Kind.INSTEAD, other.name(), Optional.empty(), late));
    }
    for (String group : droppable(agenda)) {
      int late = Backward.of(agenda.without(group), seconds).late();
      ways.add(new WayOut(Kind.DROP, group, Optional.empty(), late));
    }
    return ways.stream()
        .filter(way -> way.late() < now.late())
        .sorted(Comparator.comparingInt(WayOut::late).thenComparing(WayOut::kind))
        .toList();
  }

  /** Equipment of which one task would have to wait for another. */
  private static Set<String> used(Agenda agenda) {
    Map<String, Long> users =
        agenda.tasks().stream()
            .flatMap(task -> task.needs().stream())
            .collect(Collectors.groupingBy(need -> need, Collectors.counting()));
    return users.keySet().stream()
        .filter(need -> users.get(need) > agenda.capacity().get(need))
        .collect(Collectors.toCollection(LinkedHashSet::new));
  }

  private static WayOut more(Agenda agenda, String resource, double seconds) {
    Schedule then = Backward.of(agenda.more(resource), seconds);
    List<Placed> users =
        then.placed().stream().filter(one -> one.task().needs().contains(resource)).toList();
    int room = agenda.capacity().get(resource);
    List<Placed> above =
        users.stream()
            .filter(
                one ->
                    users.stream()
                            .filter(o -> o.start() <= one.start() && one.start() < o.end())
                            .count()
                        > room)
            .toList();
    return new WayOut(
        Kind.MORE, resource, hull(above.stream().map(WayOut::span).toList()), then.late());
  }

  private static Span span(Placed one) {
    return new Span(one.start(), one.end());
  }

  private static Optional<Span> hull(List<Span> spans) {
    return spans.isEmpty()
        ? Optional.empty()
        : Optional.of(
            new Span(
                spans.stream().mapToInt(Span::from).min().orElseThrow(),
                spans.stream().mapToInt(Span::to).max().orElseThrow()));
  }

  private static WayOut overtime(
      Agenda agenda, Worker worker, int earlier, int longer, double seconds) {
    List<Span> there =
        worker.there().stream()
            .map(span -> new Span(span.from() - earlier, span.to() + longer))
            .toList();
    Worker more = new Worker(worker.id(), worker.name(), worker.places(), worker.skills(), there);
    Schedule then =
        Backward.of(
            agenda.with(
                agenda.workers().stream().map(one -> one.equals(worker) ? more : one).toList()),
            seconds);
    List<Span> over =
        then.placed().stream()
            .filter(one -> one.worker().equals(Optional.of(worker.id())))
            .filter(one -> !one.task().isRunning() && !worker.isThere(one.start(), one.end()))
            .map(one -> beyond(worker, one))
            .toList();
    // nights apart are asked for one at a time
    Optional<Span> first = over.stream().min(Comparator.comparingInt(Span::from));
    Optional<Span> when =
        first.flatMap(
            start -> hull(over.stream().filter(o -> o.from() - start.from() <= OVERTIME).toList()));
    return new WayOut(earlier > 0 ? Kind.EARLIER : Kind.LONGER, worker.id(), when, then.late());
  }

  /** What of a task lies outside of somebody's hours. */
  private static Span beyond(Worker worker, Placed one) {
    for (Span span : worker.there()) {
      if (span.from() <= one.start() && one.start() < span.to()) {
        return new Span(span.to(), one.end());
      }
      if (span.from() < one.end() && one.end() <= span.to()) {
        return new Span(one.start(), span.from());
      }
    }
    return span(one);
  }

  private static Set<String> droppable(Agenda agenda) {
    Set<String> begun =
        agenda.tasks().stream()
            .filter(Task::isRunning)
            .map(Task::group)
            .collect(Collectors.toSet());
    return agenda.tasks().stream()
        .map(Task::group)
        .filter(group -> !begun.contains(group))
        .collect(Collectors.toCollection(LinkedHashSet::new));
  }
}
