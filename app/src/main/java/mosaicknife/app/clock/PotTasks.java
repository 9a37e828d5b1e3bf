package mosaicknife.app.clock;

import java.time.Clock;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import mosaicknife.app.booklet.HouseRules;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.pot.Brew;
import mosaicknife.app.pot.PotBook;
import mosaicknife.app.pot.PotKeeper;
import mosaicknife.core.clock.EquipmentId;
import mosaicknife.core.clock.Hands;
import mosaicknife.core.clock.Skill;
import mosaicknife.core.clock.Task;
import mosaicknife.core.clock.TaskId;
import mosaicknife.core.clock.WayOut;
import mosaicknife.core.clock.WeekTime;
import mosaicknife.core.heat.CoolingRule;
import mosaicknife.core.heat.Surroundings;
import mosaicknife.core.pot.PotPlan;
import mosaicknife.core.pot.PotRun;
import mosaicknife.core.pot.PotStep;
import mosaicknife.core.pot.StockMethod;
import org.springframework.stereotype.Component;

/** What stands on the hob, step by step; begun and done there. */
@Component
class PotTasks implements TaskSource {

  private final PotBook pots;
  private final PotKeeper keeper;
  private final HouseRules limits;
  private final HouseSettings houses;
  private final Clock clock;

  PotTasks(PotBook pots, PotKeeper keeper, HouseRules limits, HouseSettings houses, Clock clock) {
    this.pots = pots;
    this.keeper = keeper;
    this.limits = limits;
    this.houses = houses;
    this.clock = clock;
  }

  @Override
  public void gather(Gathering day) {
    CoolingRule rule = CoolingRule.of(limits.limits());
    Map<Long, String> venues = houses.venueNames();
    for (PotBook.Stood stood : pots.kettles()) {
      kettle(day, stood.number(), stood.kettle().name(), venues.get(stood.venue()));
    }
    for (Brew brew : pots.running()) {
      steps(day, brew, rule, venues);
      if (brew.neverCold(rule)) {
        day.unsure(brew.making().use().name());
      }
    }
  }

  private static EquipmentId kettle(Gathering day, long number, String name, String venue) {
    return day.equipment(
        new EquipmentId("KETTLE", number), day.words().say("clock.said.kettle-at", name, venue), 1);
  }

  /** The steps that are not done; the one that is on runs from now to its usual end. */
  private void steps(Gathering day, Brew brew, CoolingRule rule, Map<Long, String> venues) {
    TaskId group = TaskId.of(TaskId.Kind.POT, brew.id());
    String name = brew.making().use().name();
    day.batch(group, name);
    List<PotRun.Timed> open =
        brew.timed(rule, day.now().toInstant()).stream()
            .filter(one -> !one.standing().name().startsWith("DONE"))
            .toList();
    for (int i = 0; i < open.size(); i++) {
      PotRun.Timed timed = open.get(i);
      boolean isOn = timed.standing() != PotRun.Standing.WAITS;
      boolean isLast = i == open.size() - 1;
      Task task =
          Task.of(
                  group.step(timed.step().code()),
                  day.words().say("pot.said.clock", name, timed.step().name()),
                  minutes(timed, isOn, day))
              .in(group);
      if (i > 0) {
        PotRun.Timed before = open.get(i - 1);
        task =
            task.after(List.of(Task.After.upTo(group.step(before.step().code()), before.spare())));
      }
      if (isLast) {
        task = due(task, brew, day);
      }
      if (isOn) {
        task = task.fixed(Task.Fixed.runs(brew.by().map(Day::worker)));
      }
      day.add(
          holding(task, timed.step(), brew, day, venues),
          new Gathering.About("/pot/" + brew.id(), i == 0 && !isOn, isOn && !isLast, false));
    }
    if (brew.run().marks().isEmpty() && brew.wanted().isPresent()) {
      otherwise(day, brew, venues);
    }
  }

  private static Task due(Task task, Brew brew, Gathering day) {
    return brew.wanted()
        .map(at -> task.dueAt(WeekTime.minutes(day.now(), at.atZone(day.now().getZone()))))
        .orElse(task);
  }

  /** The same bones by every other way the house has, while nothing of it is begun. */
  private void otherwise(Gathering day, Brew brew, Map<Long, String> venues) {
    for (StockMethod method : pots.methods().values()) {
      if (method.code().equals(brew.plan().method().code())) {
        continue;
      }
      PotPlan plan =
          PotPlan.of(
              method,
              Set.of(PotStep.Answer.LID),
              brew.making().mass(),
              brew.plan().litres(),
              brew.plan().kettle());
      TaskId other = TaskId.of(TaskId.Kind.INSTEAD, brew.id()).step(method.code());
      List<Task> tasks = new ArrayList<>();
      Optional<TaskId> before = Optional.empty();
      for (PotStep step : method.steps(plan.answers())) {
        Task task =
            Task.of(other.step(method.code() + " " + step.code()), step.name(), plan.minutes(step))
                .in(other);
        Task waiting =
            before
                .map(id -> Task.After.upTo(id, step.longest() - step.shortest()))
                .map(after -> task.after(List.of(after)))
                .orElse(task);
        tasks.add(holding(waiting, step, brew, day, venues));
        before = Optional.of(task.id());
      }
      int last = tasks.size() - 1;
      tasks.set(last, due(tasks.get(last), brew, day));
      day.other(
          new WayOut.Other(
              TaskId.of(TaskId.Kind.POT, brew.id()),
              day.words().say("clock.said.other-way", method.name(), brew.making().use().name()),
              tasks));
    }
  }

  private static int minutes(PotRun.Timed timed, boolean isOn, Gathering day) {
    long minutes =
        isOn
            ? Duration.between(day.now().toInstant(), timed.ends()).toMinutes()
            : Duration.between(timed.begins(), timed.ends()).toMinutes();
    return (int) Math.max(0, Math.min(minutes, Task.LONGEST));
  }

  private static Task holding(
      Task task, PotStep step, Brew brew, Gathering day, Map<Long, String> venues) {
    long venue = brew.making().venue();
    List<EquipmentId> needs = new ArrayList<>();
    Optional<Hands> hands = Optional.empty();
    switch (step.work()) {
      case HANDS -> hands = Optional.of(new Hands(venue, Skill.STOVE));
      case HEAT, FIRE ->
          needs.add(kettle(day, brew.kettle(), brew.plan().kettle().name(), venues.get(venue)));
      case COOL -> {
        if (brew.where() == Surroundings.BLAST) {
          needs.add(
              day.equipment(
                  new EquipmentId("BLAST", venue),
                  day.words().say("clock.said.blast-at", venues.get(venue)),
                  1));
        }
      }
      case REST -> {}
    }
    Task held = task.needing(needs.toArray(new EquipmentId[0]));
    return hands.map(held::by).orElse(held);
  }

  @Override
  public boolean begin(TaskId task) {
    boolean isMine = isMine(task);
    if (isMine) {
      keeper.begin(task.number(), task.step(), clock.instant());
    }
    return isMine;
  }

  @Override
  public boolean done(TaskId task) {
    boolean isMine = isMine(task);
    if (isMine) {
      keeper.done(task.number(), task.step(), clock.instant());
    }
    return isMine;
  }

  private static boolean isMine(TaskId task) {
    return task.kind() == TaskId.Kind.POT;
  }
}
