package mosaicknife.app.clock;

import java.time.Clock;
import java.time.ZonedDateTime;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import mosaicknife.app.homes.UseBook;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.house.Named;
import mosaicknife.core.clock.Skill;
import mosaicknife.core.clock.Span;
import mosaicknife.core.clock.TaskId;
import mosaicknife.core.clock.WeekTime;
import mosaicknife.core.clock.Worker;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Gathers what takes time from now on, and who and what there is for it. */
@Component
class Day {

  private static final int DAYS = 6;
  private static final int ALWAYS = 14 * 1440;

  private final List<TaskSource> sources;
  private final Rota rota;
  private final Marks marks;
  private final UseBook uses;
  private final HouseSettings houses;
  private final Clock clock;

  Day(
      List<TaskSource> sources,
      Rota rota,
      Marks marks,
      UseBook uses,
      HouseSettings houses,
      Clock clock) {
    this.sources = sources;
    this.rota = rota;
    this.marks = marks;
    this.uses = uses;
    this.houses = houses;
    this.clock = clock;
  }

  /** A person of the house as tasks name them. */
  static String worker(long person) {
    return "person" + person;
  }

  /**
   * Gathers the day.
   *
   * @return everything that takes time from this minute on
   */
  @Transactional(readOnly = true)
  public Gathering.Gathered gather() {
    ZonedDateTime now =
        clock.instant().atZone(houses.house().formats().zone()).truncatedTo(ChronoUnit.MINUTES);
    List<Named> venues = houses.venues();
    Gathering day =
        new Gathering(
            now, houses.house().formats(), marks.standing(), workers(now, venues), services(now));
    sources.forEach(source -> source.gather(day));
    return day.all();
  }

  /** Those on the rota; where nobody is, so many as the house says work there, at any hour. */
  private List<Worker> workers(ZonedDateTime now, List<Named> venues) {
    Set<Long> all = venues.stream().map(Named::id).collect(Collectors.toSet());
    List<Worker> workers =
        new ArrayList<>(
            rota.turns().stream()
                .map(
                    turn ->
                        new Worker(
                            worker(turn.person().id()),
                            turn.person().name(),
                            turn.venue().map(Set::of).orElse(all),
                            turn.skills(),
                            turn.shift().spans(now, DAYS)))
                .toList());
    Set<Long> served =
        workers.stream().flatMap(one -> one.venues().stream()).collect(Collectors.toSet());
    for (Named venue : venues) {
      if (!served.contains(venue.id())) {
        int people = uses.rooms().get(venue.id()).people().orElse(1);
        for (int i = 1; i <= people; i++) {
          workers.add(
              new Worker(
                  "hands" + venue.id() + "-" + i,
                  houses.house().formats().say("clock.said.hands-at", venue.name(), i),
                  Set.of(venue.id()),
                  Set.of(Skill.KNIFE, Skill.STOVE),
                  List.of(new Span(0, ALWAYS))));
        }
      }
    }
    return workers;
  }

  /** The next of every service; where a venue has none, the last hour it serves. */
  private List<Gathering.Served> services(ZonedDateTime now) {
    List<Rota.Serving> held = rota.servings();
    Set<Long> served = held.stream().map(Rota.Serving::venue).collect(Collectors.toSet());
    Stream<Gathering.Served> named =
        held.stream()
            .map(
                one ->
                    new Gathering.Served(
                        one.venue(), one.name(), WeekTime.minutes(now, one.time().next(now))));
    Stream<Gathering.Served> lasts =
        uses.rooms().entrySet().stream()
            .filter(room -> !served.contains(room.getKey()))
            .filter(room -> room.getValue().lastHour().isPresent())
            .map(
                room ->
                    new Gathering.Served(
                        room.getKey(),
                        houses.house().formats().say("clock.said.last-hour"),
                        WeekTime.minutes(now, now.with(room.getValue().lastHour().orElseThrow()))))
            .filter(one -> one.minute() > 0);
    return Stream.concat(named, lasts)
        .sorted(Comparator.comparingInt(Gathering.Served::minute))
        .toList();
  }

  /** Begins a task: where it is kept, or here. */
  void begin(TaskId task) {
    if (sources.stream().noneMatch(source -> source.begin(task))) {
      marks.begin(task);
    }
  }

  /** Ends a task: where it is kept, or here. */
  void done(TaskId task) {
    if (sources.stream().noneMatch(source -> source.done(task))) {
      marks.done(task);
    }
  }
}
