package mosaicknife.core.clock;

import com.google.ortools.sat.BoolVar;
import com.google.ortools.sat.CpModel;
import com.google.ortools.sat.CumulativeConstraint;
import com.google.ortools.sat.IntVar;
import com.google.ortools.sat.IntervalVar;
import com.google.ortools.sat.LinearExpr;
import com.google.ortools.sat.LinearExprBuilder;
import com.google.ortools.sat.Literal;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.IntUnaryOperator;
import java.util.stream.Collectors;

/**
 * A day as an integer programme. People who can do the same, at the same places and hours, are one
 * crew with so many hands: any of them can take up what another would have done, so who does it is
 * found afterwards.
 */
final class DayModel {

  /** Two days more than the work itself takes: the hours when nobody is there. */
  private static final int NIGHTS = 2880;

  private final Agenda agenda;
  private final int horizon;
  private final boolean waits;
  private final CpModel model = new CpModel();
  private final Map<TaskId, IntVar> starts = new LinkedHashMap<>();
  private final Map<TaskId, IntVar> lateness = new LinkedHashMap<>();
  private final LinearExprBuilder late = LinearExpr.newBuilder();
  private final LinearExprBuilder idle = LinearExpr.newBuilder();
  private final List<Literal> nobodys = new ArrayList<>();

  /**
   * Builds the programme.
   *
   * @param agenda the day
   * @param nobody whether a task may be placed when nobody is there for it
   * @param waits whether what may not wait longer must not
   */
  DayModel(Agenda agenda, boolean nobody, boolean waits) {
    this.agenda = agenda;
    this.waits = waits;
    this.horizon = horizon(agenda);
    for (Task task : agenda.tasks()) {
      starts.put(
          task.id(),
          task.fixed().isPresent()
              ? model.newConstant(task.fixed().get().start())
              : model.newIntVar(0, horizon, task.id().toString()));
    }
    equipment();
    hands(nobody);
    if (!nobody) {
      together();
    }
    Map<TaskId, Task> byId = new HashMap<>();
    Set<TaskId> followed = new HashSet<>();
    agenda.tasks().forEach(task -> byId.put(task.id(), task));
    for (Task task : agenda.tasks()) {
      for (Task.After after : task.after()) {
        followed.add(after.id());
        follow(task, after, byId.get(after.id()));
      }
    }
    agenda.tasks().forEach(task -> deadline(task, followed.contains(task.id())));
  }

  private static int horizon(Agenda agenda) {
    int work = 0;
    int latest = 0;
    for (Task task : agenda.tasks()) {
      work += task.minutes();
      for (Task.After after : task.after()) {
        work += after.least();
      }
      int fixed = task.fixed().map(Task.Fixed::start).orElse(0) + task.minutes();
      latest = Math.max(latest, Math.max(task.due().orElse(0), fixed));
    }
    return latest + work + 1 + (agenda.workers().isEmpty() ? 0 : NIGHTS);
  }

  CpModel model() {
    return model;
  }

  Map<TaskId, IntVar> starts() {
    return starts;
  }

  /** The minutes of each promise, by task. */
  Map<TaskId, IntVar> lateness() {
    return lateness;
  }

  LinearExpr late() {
    return late.build();
  }

  LinearExpr idle() {
    return idle.build();
  }

  List<Literal> nobodys() {
    return nobodys;
  }

  int horizon() {
    return horizon;
  }

  private void equipment() {
    Map<EquipmentId, List<Task>> users = new LinkedHashMap<>();
    for (Task task : agenda.tasks()) {
      task.needs().forEach(need -> users.computeIfAbsent(need, key -> new ArrayList<>()).add(task));
    }
    users.forEach(
        (resource, tasks) -> {
          int room = agenda.capacity().get(resource);
          CumulativeConstraint all = model.addCumulative(room);
          List<Span> running =
              tasks.stream()
                  .filter(Task::isRunning)
                  .map(one -> new Span(0, one.minutes()))
                  .toList();
          taken(all, running, minute -> Math.min(room, at(running, minute)));
          tasks.stream()
              .filter(task -> !task.isRunning())
              .forEach(task -> all.addDemand(interval(task), 1));
        });
  }

  private IntervalVar interval(Task task) {
    return model.newFixedSizeIntervalVar(
        starts.get(task.id()), task.minutes(), task.id().toString());
  }

  private static int at(List<Span> spans, int minute) {
    return (int) spans.stream().filter(span -> span.from() <= minute && minute < span.to()).count();
  }

  /** Takes room away where it is taken: what runs, however much that is, is in no model's way. */
  private void taken(CumulativeConstraint all, List<Span> changes, IntUnaryOperator demand) {
    TreeSet<Integer> marks = new TreeSet<>(Set.of(0, horizon));
    for (Span span : changes) {
      marks.add(Math.max(0, Math.min(horizon, span.from())));
      marks.add(Math.max(0, Math.min(horizon, span.to())));
    }
    List<Integer> at = List.copyOf(marks);
    for (int i = 0; i + 1 < at.size(); i++) {
      int taken = demand.applyAsInt(at.get(i));
      if (taken > 0) {
        all.addDemand(
            model.newFixedInterval(at.get(i), (long) at.get(i + 1) - at.get(i), "taken"), taken);
      }
    }
  }

  /** People who are the same to the model. */
  private record Kind(Set<Long> venues, Set<Skill> skills, List<Span> there) {}

  private void hands(boolean nobody) {
    Map<Kind, List<Worker>> crews =
        agenda.workers().stream()
            .collect(
                Collectors.groupingBy(
                    one -> new Kind(one.venues(), one.skills(), one.there()),
                    LinkedHashMap::new,
                    Collectors.toList()));
    Map<Kind, CumulativeConstraint> room = new LinkedHashMap<>();
    crews.forEach((kind, people) -> room.put(kind, crew(kind, people)));
    for (Task task : agenda.tasks()) {
      if (task.hands().isEmpty() || task.isRunning()) {
        continue;
      }
      List<CumulativeConstraint> able =
          crews.entrySet().stream()
              .filter(crew -> crew.getValue().get(0).can(task.hands().get()))
              .map(crew -> room.get(crew.getKey()))
              .toList();
      if (able.size() == 1 && !nobody) {
        able.get(0).addDemand(interval(task), 1);
      } else if (!able.isEmpty()) {
        choose(task, able, nobody);
      }
    }
  }

  /**
   * Says again what the crews say together: those who can do what some tasks ask are not more than
   * they are. It follows from the rest, and without it the solver sees late how little room is
   * left.
   */
  private void together() {
    Map<Hands, List<Worker>> able = new LinkedHashMap<>();
    for (Task task : agenda.tasks()) {
      task.hands()
          .ifPresent(
              hands ->
                  able.computeIfAbsent(
                      hands, one -> agenda.workers().stream().filter(w -> w.can(one)).toList()));
    }
    able.forEach(
        (hands, people) -> {
          if (people.size() > 1) {
            CumulativeConstraint all = model.addCumulative(people.size());
            List<Span> running = running(people);
            List<Span> changes = new ArrayList<>(running);
            people.forEach(one -> changes.addAll(one.there()));
            taken(
                all,
                changes,
                minute -> {
                  int away = 0;
                  for (Worker one : people) {
                    away += at(one.there(), minute) == 0 ? 1 : 0;
                  }
                  return Math.min(people.size(), Math.max(away, at(running, minute)));
                });
            for (Task task : agenda.tasks()) {
              boolean isOnlyTheirs =
                  task.hands().isPresent()
                      && !task.isRunning()
                      && people.containsAll(able.get(task.hands().get()))
                      && !able.get(task.hands().get()).isEmpty();
              if (isOnlyTheirs) {
                all.addDemand(interval(task), 1);
              }
            }
          }
        });
  }

  private CumulativeConstraint crew(Kind kind, List<Worker> people) {
    CumulativeConstraint all = model.addCumulative(people.size());
    List<Span> running = running(people);
    List<Span> changes = new ArrayList<>(kind.there());
    changes.addAll(running);
    taken(
        all,
        changes,
        minute ->
            at(kind.there(), minute) == 0
                ? people.size()
                : Math.min(people.size(), at(running, minute)));
    return all;
  }

  /** How long people are busy with what they have begun. */
  private List<Span> running(List<Worker> people) {
    Set<String> ids = people.stream().map(Worker::id).collect(Collectors.toSet());
    Map<String, Integer> busy = new HashMap<>();
    for (Task task : agenda.tasks()) {
      if (task.isRunning() && task.hands().isPresent()) {
        // one who does two things at once is one pair of hands, for as long as the longer takes
        busyWith(task, ids).forEach(id -> busy.merge(id, task.minutes(), Math::max));
      }
    }
    return busy.values().stream().map(minutes -> new Span(0, minutes)).toList();
  }

  private static Set<String> busyWith(Task task, Set<String> ids) {
    return task.fixed().flatMap(Task.Fixed::by).filter(ids::contains).map(Set::of).orElse(Set.of());
  }

  private void choose(Task task, List<CumulativeConstraint> able, boolean nobody) {
    List<Literal> one = new ArrayList<>();
    for (CumulativeConstraint crew : able) {
      BoolVar theirs = model.newBoolVar(task.id() + " by");
      crew.addDemand(
          model.newOptionalFixedSizeIntervalVar(
              starts.get(task.id()), task.minutes(), theirs, task.id().toString()),
          1);
      one.add(theirs);
    }
    if (nobody) {
      BoolVar nobodys = model.newBoolVar(task.id() + " nobody's");
      nobodys(nobodys);
      one.add(nobodys);
    }
    model.addExactlyOne(one);
  }

  private void nobodys(Literal literal) {
    nobodys.add(literal);
  }

  private void follow(Task task, Task.After after, Task before) {
    IntVar start = starts.get(task.id());
    IntVar earlier = starts.get(before.id());
    if (!task.isRunning()) {
      // what runs already may have begun too early, or waited too long: that is past
      model.addGreaterOrEqual(
          start, LinearExpr.affine(earlier, 1, before.minutes() + (long) after.least()));
      if (waits && after.most() < Task.LONGEST) {
        model.addLessOrEqual(
            start, LinearExpr.affine(earlier, 1, before.minutes() + (long) after.most()));
      }
      idle.addTerm(start, 1).addTerm(earlier, -1).add(-(long) before.minutes() - after.least());
    }
  }

  private void deadline(Task task, boolean isFollowed) {
    if (task.due().isPresent()) {
      // a time may be past already
      long most = horizon + (long) Math.max(0, -task.due().getAsInt());
      IntVar over = model.newIntVar(0, most, task.id() + " late");
      IntVar early = model.newIntVar(0, horizon, task.id() + " early");
      // end = due + late − early, and the two are never both above 0 in a best schedule
      model.addEquality(
          LinearExpr.newBuilder()
              .addTerm(starts.get(task.id()), 1)
              .addTerm(over, -1)
              .addTerm(early, 1)
              .build(),
          (long) task.due().getAsInt() - task.minutes());
      late.addTerm(over, 1);
      idle.addTerm(early, 1);
      lateness.put(task.id(), over);
    } else if (!isFollowed) {
      // nothing waits for it: as soon as it can
      idle.addTerm(starts.get(task.id()), 1);
    }
  }
}
