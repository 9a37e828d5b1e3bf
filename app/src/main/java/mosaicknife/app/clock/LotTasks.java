package mosaicknife.app.clock;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import mosaicknife.app.homes.UseBook;
import mosaicknife.app.lot.LotRegister;
import mosaicknife.app.weighing.LotSheets;
import mosaicknife.core.clock.EquipmentId;
import mosaicknife.core.clock.Hands;
import mosaicknife.core.clock.Skill;
import mosaicknife.core.clock.Task;
import mosaicknife.core.clock.TaskId;
import mosaicknife.core.lot.LotSheet;
import org.springframework.stereotype.Component;

/** The fish that is to be broken, at so many minutes as its plan says for what is left of it. */
@Component
class LotTasks implements TaskSource {

  /** More tasks than this the solver does not place in time. */
  private static final int MOST = 40;

  private final LotRegister lots;
  private final LotSheets sheets;
  private final UseBook uses;

  LotTasks(LotRegister lots, LotSheets sheets, UseBook uses) {
    this.lots = lots;
    this.sheets = sheets;
    this.uses = uses;
  }

  @Override
  public void gather(Gathering day) {
    Map<Long, UseBook.Room> rooms = uses.rooms();
    List<LotSheet> toBreak =
        sheets.of(lots.open()).stream()
            .filter(sheet -> sheet.minutesLeft() > 0)
            .sorted(Comparator.comparing(sheet -> sheet.lot().receivedAt()))
            .toList();
    if (toBreak.size() > MOST) {
      day.beyond(toBreak.size() - MOST);
    }
    for (LotSheet sheet : toBreak.stream().limit(MOST).toList()) {
      int minutes = Math.min(sheet.minutesLeft(), Task.LONGEST);
      long venue = sheet.lot().venue().id();
      Task task =
          Task.of(
                  TaskId.of(TaskId.Kind.CUT, sheet.lot().id()),
                  day.words()
                      .say("clock.said.break-down", sheet.lot().species().name(), sheet.lot().id()),
                  minutes)
              .by(new Hands(venue, Skill.KNIFE))
              .needing(
                  day.equipment(
                      new EquipmentId("BOARD", venue),
                      day.words().say("clock.said.board-at", sheet.lot().venue().name()),
                      rooms.get(venue).boards().orElse(1)));
      day.add(
          task.dueAt(day.due(venue)),
          new Gathering.About("/bench/" + sheet.lot().id(), true, false, false));
    }
  }
}
