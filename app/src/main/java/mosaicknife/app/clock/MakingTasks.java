package mosaicknife.app.clock;

import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.Set;
import mosaicknife.app.homes.MakingBook;
import mosaicknife.app.homes.OnTheHob;
import mosaicknife.app.homes.ToMake;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.core.clock.EquipmentId;
import mosaicknife.core.clock.Hands;
import mosaicknife.core.clock.Skill;
import mosaicknife.core.clock.Task;
import mosaicknife.core.clock.TaskId;
import mosaicknife.core.use.FishUse;
import org.springframework.stereotype.Component;

/** What was decided on Uses and is not made: hands first, then its place on the heat. */
@Component
class MakingTasks implements TaskSource {

  private final MakingBook makings;
  private final OnTheHob hob;
  private final HouseSettings houses;

  MakingTasks(MakingBook makings, OnTheHob hob, HouseSettings houses) {
    this.makings = makings;
    this.hob = hob;
    this.houses = houses;
  }

  @Override
  public void gather(Gathering day) {
    Set<Long> cooked = hob.pots().keySet();
    Map<Long, String> venues = houses.venueNames();
    for (ToMake one : makings.toMake()) {
      if (!cooked.contains(one.id())) {
        add(day, one, venues);
      }
    }
  }

  private static void add(Gathering day, ToMake one, Map<Long, String> venues) {
    FishUse use = one.use();
    boolean isHot = use.work().equipment().isByTheMinute();
    TaskId made = TaskId.of(TaskId.Kind.MAKING, one.id());
    Task hands =
        Task.of(made, use.name(), Math.min(use.work().minutes(one.units()), Task.LONGEST))
            .by(new Hands(one.venue(), isHot ? Skill.STOVE : Skill.ANY));
    OptionalInt due = day.due(one.venue());
    Gathering.About about = new Gathering.About("/uses#make-" + one.id(), true, false, false);
    int heat = isHot ? Math.min(use.work().room(one.units()), Task.LONGEST) : 0;
    if (heat == 0) {
      day.add(hands.dueAt(due), about);
      return;
    }
    EquipmentId where =
        day.equipment(
            new EquipmentId(use.work().equipment().name(), one.venue()),
            day.words()
                .say(
                    "clock.said.equipment-at",
                    day.words().say("clock.equipment." + use.work().equipment().name()),
                    venues.get(one.venue())),
            1);
    day.add(hands, about);
    Task heated =
        Task.of(
                TaskId.of(TaskId.Kind.HEAT, one.id()),
                day.words().say("clock.said.on-the-heat", use.name()),
                heat)
            .in(made)
            .needing(where)
            .after(List.of(new Task.After(made, 0, Task.LONGEST)));
    day.add(heated.dueAt(due), new Gathering.About("/uses#make-" + one.id(), false, false, false));
  }
}
