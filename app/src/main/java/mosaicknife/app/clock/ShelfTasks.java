package mosaicknife.app.clock;

import java.time.LocalDate;
import java.time.ZonedDateTime;
import mosaicknife.app.larder.LarderBook;
import mosaicknife.core.clock.Hands;
import mosaicknife.core.clock.Skill;
import mosaicknife.core.clock.Task;
import mosaicknife.core.clock.TaskId;
import mosaicknife.core.clock.WeekTime;
import mosaicknife.core.finding.Finding;
import mosaicknife.core.larder.Item;
import org.springframework.stereotype.Component;

/** What must come out of the freezer tonight. */
@Component
class ShelfTasks implements TaskSource {

  private final LarderBook larder;

  ShelfTasks(LarderBook larder) {
    this.larder = larder;
  }

  @Override
  public void gather(Gathering day) {
    ZonedDateTime now = day.now();
    LocalDate today = now.toLocalDate();
    int tonight = WeekTime.minutes(now, today.plusDays(1).atStartOfDay(now.getZone()));
    for (Item item : larder.onShelves()) {
      if (item.due(today).map(Finding::what).filter(Item.Due.THAW_TONIGHT::equals).isPresent()) {
        day.add(
            Task.of(
                    new TaskId(TaskId.Kind.THAW, item.shelved().code(), ""),
                    day.words().say("clock.said.thaw", item.shelved().name()),
                    Task.SMALL)
                .by(new Hands(item.spot().venue(), Skill.ANY))
                .dueAt(tonight),
            new Gathering.About("/larder/" + item.shelved().code(), false, false, false));
      }
    }
  }
}
