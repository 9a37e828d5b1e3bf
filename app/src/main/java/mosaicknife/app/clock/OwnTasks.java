package mosaicknife.app.clock;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZonedDateTime;
import java.util.Optional;
import java.util.UUID;
import mosaicknife.app.account.CurrentPerson;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.shared.FieldName;
import mosaicknife.app.shared.PlainText;
import mosaicknife.app.shared.Refusal;
import mosaicknife.app.shared.SentTwice;
import mosaicknife.core.clock.Hands;
import mosaicknife.core.clock.Skill;
import mosaicknife.core.clock.Task;
import mosaicknife.core.clock.TaskId;
import mosaicknife.core.clock.WeekTime;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Whatever else takes time, in the words of whoever wrote it down. */
@Service
@Transactional
public class OwnTasks implements TaskSource {

  private static final int LONGEST_NAME = 80;
  private static final Duration KEPT = Duration.ofDays(14);

  private final OwnTaskRepository tasks;
  private final HouseSettings houses;
  private final CurrentPerson current;
  private final Clock clock;

  OwnTasks(OwnTaskRepository tasks, HouseSettings houses, CurrentPerson current, Clock clock) {
    this.tasks = tasks;
    this.houses = houses;
    this.current = current;
    this.clock = clock;
  }

  /**
   * Something that takes time.
   *
   * @param venue the number of the venue
   * @param name what is to be done
   * @param minutes how long it takes
   * @param skill what it takes; empty if it only waits
   * @param wanted by when it must be over
   */
  public record Wish(long venue, String name, int minutes, Optional<Skill> skill, Instant wanted) {}

  /**
   * Writes it down.
   *
   * @param clientId the identifier the sender made
   * @param wish what takes time
   * @throws Refusal if it would have to be over already, or has no name
   */
  @PreAuthorize("hasAnyAuthority('WEIGH', 'DECIDE_PURPOSE') and @here.at(#wish.venue())")
  @SentTwice
  public void add(UUID clientId, Wish wish) {
    houses.getVenue(wish.venue());
    String name = PlainText.needed(wish.name(), LONGEST_NAME, "name", FieldName.NAME);
    if (wish.wanted().isBefore(clock.instant())) {
      throw Refusal.ofField("wanted", "clock.problem.over");
    }
    if (!tasks.existsByClientId(clientId)) {
      tasks.saveAndFlush(
          new OwnTaskEntity(
              clientId,
              wish.venue(),
              name,
              wish.minutes(),
              wish.skill().map(Enum::name).orElse("NONE"),
              wish.wanted(),
              current.get().id(),
              clock.instant()));
    }
  }

  @Override
  @Transactional(readOnly = true)
  public void gather(Gathering day) {
    ZonedDateTime now = day.now();
    for (OwnTaskEntity row : tasks.findOpen(now.toInstant().minus(KEPT))) {
      Task task =
          Task.of(TaskId.of(TaskId.Kind.OWN, row.id()), row.name(), row.minutes())
              .dueAt(Math.max(0, WeekTime.minutes(now, row.wantedAt().atZone(now.getZone()))));
      day.add(
          row.skill().equals("NONE")
              ? task
              : task.by(new Hands(row.venueId(), Skill.valueOf(row.skill()))),
          new Gathering.About("/clock", true, true, true));
    }
  }
}
