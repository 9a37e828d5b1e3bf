package mosaicknife.app.demo;

import java.time.Clock;
import java.time.DayOfWeek;
import java.time.LocalTime;
import java.time.ZoneOffset;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import mosaicknife.app.account.DemoPeople;
import mosaicknife.app.clock.OwnTasks;
import mosaicknife.app.clock.Rota;
import mosaicknife.app.homes.UseBook;
import mosaicknife.app.house.Named;
import mosaicknife.core.clock.Shift;
import mosaicknife.core.clock.Skill;
import mosaicknife.core.clock.WeekTime;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;

/** Four people, two services a day at two venues. */
@Component
@ConditionalOnProperty(name = "mosaic.demo", havingValue = "true")
class DemoClock {

  private static final Set<DayOfWeek> ALL = EnumSet.allOf(DayOfWeek.class);

  private static final Optional<Skill> KNIFE = Optional.of(Skill.KNIFE);
  private static final Optional<Skill> STOVE = Optional.of(Skill.STOVE);
  private static final Optional<Skill> ANY = Optional.of(Skill.ANY);

  /** Something that takes time, and the service it is for. */
  private record Asked(
      String venue, String name, int minutes, Optional<Skill> skill, LocalTime by) {}

  private static final List<Asked> TASKS =
      List.of(
          lantern("Pin-bone and portion the hake", 45, KNIFE, 12, 30),
          lantern("Salt the pollack", 15, ANY, 12, 30),
          lantern("Caper butter", 25, STOVE, 12, 30),
          lantern("Salted pollack rests in the fridge", 60, Optional.empty(), 12, 30),
          lantern("Trim and portion the turbot", 50, KNIFE, 18, 30),
          lantern("Glaze for the collars", 40, STOVE, 18, 30),
          lantern("Pick the sea herbs", 30, ANY, 18, 30),
          lantern("Light the grill and clean it", 20, STOVE, 18, 30),
          counter("Ice the counter", 20, ANY, 11, 0),
          counter("Fillet mackerel for the counter", 35, KNIFE, 11, 0),
          counter("Pickle fennel", 25, ANY, 11, 0),
          counter("Batter", 15, STOVE, 19, 0),
          counter("Skin the ray wings", 40, KNIFE, 19, 0),
          counter("Ray wings in brine", 45, Optional.empty(), 19, 0),
          counter("Chowder base", 35, STOVE, 19, 0));

  private static Asked lantern(
      String name, int minutes, Optional<Skill> skill, int hour, int minute) {
    return new Asked("Lantern House", name, minutes, skill, LocalTime.of(hour, minute));
  }

  private static Asked counter(
      String name, int minutes, Optional<Skill> skill, int hour, int minute) {
    return new Asked("Low Tide Counter", name, minutes, skill, LocalTime.of(hour, minute));
  }

  private final DemoPeople people;
  private final Rota rota;
  private final UseBook uses;
  private final OwnTasks own;
  private final Clock clock;

  DemoClock(DemoPeople people, Rota rota, UseBook uses, OwnTasks own, Clock clock) {
    this.people = people;
    this.rota = rota;
    this.uses = uses;
    this.own = own;
    this.clock = clock;
  }

  void load(Named lantern, Named counter) {
    people.as(
        "ines",
        () -> {
          rota.serve(lantern.id(), "Lunch", LocalTime.of(12, 30), ALL);
          rota.serve(lantern.id(), "Dinner", LocalTime.of(18, 30), ALL);
          rota.serve(counter.id(), "Counter opens", LocalTime.of(11, 0), ALL);
          rota.serve(counter.id(), "Supper", LocalTime.of(19, 0), ALL);
          turn("tobiah", Optional.empty(), Set.of(Skill.KNIFE), 6, 16);
          turn("maren", Optional.empty(), Set.of(), 8, 18);
          turn("ines", Optional.of(lantern.id()), Set.of(Skill.KNIFE, Skill.STOVE), 8, 23);
          turn("adaeze", Optional.of(counter.id()), Set.of(Skill.KNIFE, Skill.STOVE), 9, 22);
          uses.boards(lantern.id(), 2);
          uses.boards(counter.id(), 1);
          for (Named venue : List.of(lantern, counter)) {
            TASKS.forEach(task -> add(venue, task));
          }
        });
  }

  private void add(Named venue, Asked task) {
    if (task.venue().equals(venue.name())) {
      own.add(
          UUID.randomUUID(),
          new OwnTasks.Wish(
              venue.id(),
              task.name(),
              task.minutes(),
              task.skill(),
              new WeekTime(task.by(), ALL)
                  .next(clock.instant().atZone(ZoneOffset.UTC))
                  .toInstant()));
    }
  }

  private void turn(String signIn, Optional<Long> venue, Set<Skill> skills, int from, int to) {
    rota.put(
        people.idOf(signIn),
        venue,
        skills,
        new Shift(new WeekTime(LocalTime.of(from, 0), ALL), LocalTime.of(to, 0)));
  }
}
