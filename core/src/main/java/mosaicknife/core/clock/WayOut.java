package mosaicknife.core.clock;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
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
public record WayOut(Kind kind, Means what, Optional<Span> when, int late) {

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

  /** With what: a batch, equipment, a person, or another way. */
  public sealed interface Means permits TaskId, EquipmentId, Somebody, Way {}

  /**
   * A person.
   *
   * @param id their identifier
   */
  public record Somebody(String id) implements Means {}

  /**
   * Another way.
   *
   * @param name what is done in its place
   */
  public record Way(String name) implements Means {}

  /**
   * Another way to do a batch.
   *
   * @param group the batch
   * @param name what is done in its place
   * @param tasks its tasks
   */
  public record Other(TaskId group, String name, List<Task> tasks) {

    /** Copies the tasks. */
    public Other {
      tasks = List.copyOf(tasks);
    }
  }

  /** One that helps is placed with this share of the time. */
  private static final int PLACING = 16;

  /** A day that is otherwise the same, and where in it the difference is. */
  private record Try(
      Kind kind, Means what, Agenda agenda, Function<Schedule, Optional<Span>> when) {}

  /**
   * Looks what would help a day that is late.
   *
   * @param agenda the day
   * @param now its schedule
   * @param others other ways to do batches
   * @param seconds how long the solver may look for all of them together, positive; a way it cannot
   *     tell about in its share of that is none
   * @param most how many ways are wanted
   * @return what helps: the least late first, and of those the least trouble
   */
  public static List<WayOut> of(
      Agenda agenda, Schedule now, List<Other> others, double seconds, int most) {
    List<Try> tries = new ArrayList<>();
    for (EquipmentId resource : used(agenda)) {
      tries.add(
          new Try(
              Kind.MORE, resource, agenda.more(resource), then -> above(agenda, resource, then)));
    }
    for (Worker worker : agenda.workers()) {
      tries.add(overtime(Kind.EARLIER, agenda, worker, OVERTIME, 0));
      tries.add(overtime(Kind.LONGER, agenda, worker, 0, OVERTIME));
    }
    for (Other other : others) {
      tries.add(
          new Try(
              Kind.INSTEAD,
              new Way(other.name()),
              agenda.instead(other.group(), other.tasks()),
              then -> Optional.empty()));
    }
    for (TaskId group : droppable(agenda)) {
      tries.add(new Try(Kind.DROP, group, agenda.without(group), then -> Optional.empty()));
    }
    double each = seconds / Math.max(1, tries.size());
    Map<Try, Integer> late = new LinkedHashMap<>();
    tries.forEach(
        one -> Backward.late(one.agenda(), each).ifPresent(minutes -> late.put(one, minutes)));
    return late.entrySet().stream()
        .filter(one -> one.getValue() < now.late())
        .sorted(
            Map.Entry.<Try, Integer>comparingByValue().thenComparing(one -> one.getKey().kind()))
        .limit(most)
        .map(one -> way(one.getKey(), one.getValue(), seconds / PLACING))
        .toList();
  }

  private static WayOut way(Try one, int late, double seconds) {
    boolean isPlaced = one.kind() != Kind.INSTEAD && one.kind() != Kind.DROP;
    return new WayOut(
        one.kind(),
        one.what(),
        isPlaced ? one.when().apply(Backward.of(one.agenda(), seconds)) : Optional.empty(),
        late);
  }

  /** Equipment of which one task would have to wait for another. */
  private static Set<EquipmentId> used(Agenda agenda) {
    Map<EquipmentId, Long> users =
        agenda.tasks().stream()
            .flatMap(task -> task.needs().stream())
            .collect(Collectors.groupingBy(need -> need, Collectors.counting()));
    return users.keySet().stream()
        .filter(need -> users.get(need) > agenda.capacity().get(need))
        .collect(Collectors.toCollection(LinkedHashSet::new));
  }

  /** From when to when more of it is in use than there is. */
  private static Optional<Span> above(Agenda agenda, EquipmentId resource, Schedule then) {
    List<Placed> users =
        then.placed().stream().filter(one -> one.task().needs().contains(resource)).toList();
    int room = agenda.capacity().get(resource);
    return hull(
        users.stream()
            .filter(
                one ->
                    users.stream()
                            .filter(o -> o.start() <= one.start() && one.start() < o.end())
                            .count()
                        > room)
            .map(WayOut::span)
            .toList());
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

  private static Try overtime(Kind kind, Agenda agenda, Worker worker, int earlier, int longer) {
    List<Span> there =
        worker.there().stream()
            .map(span -> new Span(span.from() - earlier, span.to() + longer))
            .toList();
    Worker more = new Worker(worker.id(), worker.name(), worker.venues(), worker.skills(), there);
    return new Try(
        kind,
        new Somebody(worker.id()),
        agenda.with(agenda.workers().stream().map(one -> one.equals(worker) ? more : one).toList()),
        then -> over(worker, then));
  }

  /** When somebody works outside of their hours; of several nights the first. */
  private static Optional<Span> over(Worker worker, Schedule then) {
    List<Span> over =
        then.placed().stream()
            .filter(one -> one.worker().equals(Optional.of(worker.id())))
            .filter(one -> !one.task().isRunning() && !worker.isThere(one.start(), one.end()))
            .map(one -> beyond(worker, one))
            .toList();
    return over.stream()
        .min(Comparator.comparingInt(Span::from))
        .flatMap(
            first -> hull(over.stream().filter(o -> o.from() - first.from() <= OVERTIME).toList()));
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

  private static Set<TaskId> droppable(Agenda agenda) {
    Set<TaskId> begun =
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
