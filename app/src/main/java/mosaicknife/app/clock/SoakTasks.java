package mosaicknife.app.clock;

import java.time.Clock;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import mosaicknife.app.kitchen.Soaks;
import mosaicknife.core.clock.Hands;
import mosaicknife.core.clock.Skill;
import mosaicknife.core.clock.Task;
import mosaicknife.core.clock.TaskId;
import mosaicknife.core.kitchen.Marinade;
import org.springframework.stereotype.Component;

/** What lies in a marinade, and the moment somebody must take it out. */
@Component
class SoakTasks implements TaskSource {

  private final Soaks soaks;
  private final Clock clock;

  SoakTasks(Soaks soaks, Clock clock) {
    this.soaks = soaks;
    this.clock = clock;
  }

  @Override
  public void gather(Gathering day) {
    for (Soaks.Soak soak : soaks.open()) {
      long venue = soak.lot().venue().id();
      int passed = (int) Duration.between(soak.begun(), clock.instant()).toMinutes();
      Marinade.Window left = soak.window().after(passed);
      TaskId lies = TaskId.of(TaskId.Kind.SOAK, soak.id());
      Gathering.About about = new Gathering.About("/kitchen", false, false, false);
      day.add(
          Task.of(
                  lies,
                  day.words().say("clock.said.lies", soak.what(), soak.marinade().name()),
                  Math.min(left.ready(), Task.LONGEST))
              .fixed(Task.Fixed.runs(Optional.empty())),
          about);
      day.add(
          Task.of(
                  TaskId.of(TaskId.Kind.OUT, soak.id()),
                  day.words().say("clock.said.take-out", soak.what()),
                  Task.SMALL)
              .in(lies)
              .by(new Hands(venue, Skill.ANY))
              .after(List.of(new Task.After(lies, 0, Task.LONGEST)))
              .dueAt(left.best() + Task.SMALL),
          new Gathering.About("/kitchen", false, true, false));
    }
  }

  @Override
  public boolean done(TaskId task) {
    boolean isMine = task.kind() == TaskId.Kind.OUT;
    if (isMine) {
      soaks.out(task.number());
    }
    return isMine;
  }
}
