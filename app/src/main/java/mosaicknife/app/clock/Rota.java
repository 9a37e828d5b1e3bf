package mosaicknife.app.clock;

import java.time.Clock;
import java.time.DayOfWeek;
import java.time.LocalTime;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import mosaicknife.app.account.CurrentPerson;
import mosaicknife.app.account.PeopleRegister;
import mosaicknife.app.account.Person;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.shared.FieldName;
import mosaicknife.app.shared.PlainText;
import mosaicknife.app.shared.Refusal;
import mosaicknife.core.clock.Shift;
import mosaicknife.core.clock.Skill;
import mosaicknife.core.clock.WeekTime;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Who works where and when, and when each venue serves. */
@Service
@Transactional
public class Rota {

  private static final int LONGEST_NAME = 40;

  private final WorkerRepository workers;
  private final ServiceRepository services;
  private final PeopleRegister people;
  private final HouseSettings houses;
  private final CurrentPerson current;
  private final Clock clock;

  Rota(
      WorkerRepository workers,
      ServiceRepository services,
      PeopleRegister people,
      HouseSettings houses,
      CurrentPerson current,
      Clock clock) {
    this.workers = workers;
    this.services = services;
    this.people = people;
    this.houses = houses;
    this.current = current;
    this.clock = clock;
  }

  /**
   * Somebody on the rota.
   *
   * @param person who
   * @param venue the number of their venue; empty if they work at every one
   * @param skills what they can do beside what everybody can
   * @param shift when they are there
   */
  public record Turn(Person person, Optional<Long> venue, Set<Skill> skills, Shift shift) {

    /** Says whether they cut fish. */
    public boolean isKnife() {
      return skills.contains(Skill.KNIFE);
    }

    /** Says whether they cook. */
    public boolean isStove() {
      return skills.contains(Skill.STOVE);
    }
  }

  /**
   * A service.
   *
   * @param id its number
   * @param venue the number of its venue
   * @param name what it is called
   * @param time when it begins
   */
  public record Serving(long id, long venue, String name, WeekTime time) {}

  /**
   * Returns who is on the rota.
   *
   * @return the turns by name of the person; of people who are switched off none
   */
  @Transactional(readOnly = true)
  public List<Turn> turns() {
    Map<Long, WorkerEntity> of =
        workers.findNewest().stream()
            .collect(Collectors.toMap(WorkerEntity::personId, Function.identity()));
    return people.everybody().stream()
        .filter(person -> person.active() && of.containsKey(person.id()))
        .map(person -> turn(person, of.get(person.id())))
        .toList();
  }

  private static Turn turn(Person person, WorkerEntity row) {
    Set<Skill> skills = EnumSet.noneOf(Skill.class);
    if (row.isKnife()) {
      skills.add(Skill.KNIFE);
    }
    if (row.isStove()) {
      skills.add(Skill.STOVE);
    }
    return new Turn(
        person,
        Optional.ofNullable(row.venueId()),
        skills,
        new Shift(
            new WeekTime(Week.time(row.fromMinute()), Week.read(row.days())),
            Week.time(row.toMinute())));
  }

  /**
   * Puts somebody on the rota, or changes their turn.
   *
   * @param person the number of the person
   * @param venue the number of their venue; empty for every one
   * @param skills what they can do beside what everybody can
   * @param shift when they are there
   * @throws Refusal if there is no such person or venue
   */
  @PreAuthorize(
      "hasAuthority('DECIDE_PURPOSE') and @here.of('TURN', #person)"
          + " and (#venue.isEmpty() or @here.at(#venue.get()))")
  public void put(long person, Optional<Long> venue, Set<Skill> skills, Shift shift) {
    venue.ifPresent(houses::getVenue);
    if (people.everybody().stream().noneMatch(one -> one.id() == person)) {
      throw Refusal.ofField("person", "shared.problem.not-chosen");
    }
    keep(person, venue, skills, shift, false);
  }

  /**
   * Takes somebody off the rota.
   *
   * @param person the number of the person
   * @throws Refusal if they are not on it
   */
  @PreAuthorize("hasAuthority('DECIDE_PURPOSE') and @here.of('TURN', #person)")
  public void takeOff(long person) {
    Turn turn =
        turns().stream()
            .filter(one -> one.person().id() == person)
            .findFirst()
            .orElseThrow(() -> Refusal.ofStale("clock.problem.off-already"));
    keep(person, turn.venue(), turn.skills(), turn.shift(), true);
  }

  private void keep(
      long person, Optional<Long> venue, Set<Skill> skills, Shift shift, boolean retired) {
    workers.saveAndFlush(
        new WorkerEntity(
            person,
            venue.orElse(null),
            skills.contains(Skill.KNIFE),
            skills.contains(Skill.STOVE),
            Week.minute(shift.begin().at()),
            Week.minute(shift.until()),
            Week.write(shift.begin().days()),
            retired,
            current.get().id(),
            clock.instant()));
  }

  /**
   * Returns the services of the house.
   *
   * @return those that are held, by venue and time
   */
  @Transactional(readOnly = true)
  public List<Serving> servings() {
    return services.findNewest().stream()
        .map(
            row ->
                new Serving(
                    row.id(),
                    row.venueId(),
                    row.name(),
                    new WeekTime(Week.time(row.atMinute()), Week.read(row.days()))))
        .toList();
  }

  /**
   * Writes a service down; one of the same name at the venue is that service, changed.
   *
   * @param venue the number of the venue
   * @param name what it is called
   * @param at when it begins
   * @param days on which days
   * @throws Refusal if the name is missing or there is no such venue
   */
  @PreAuthorize("hasAuthority('DECIDE_PURPOSE') and @here.at(#venue)")
  public void serve(long venue, String name, LocalTime at, Set<DayOfWeek> days) {
    houses.getVenue(venue);
    String called = PlainText.needed(name, LONGEST_NAME, "name", FieldName.NAME);
    services.saveAndFlush(
        new ServiceEntity(
            venue,
            called,
            Week.minute(at),
            Week.write(days),
            false,
            current.get().id(),
            clock.instant()));
  }

  /**
   * Takes a service away.
   *
   * @param id its number
   * @throws Refusal if it is not held
   */
  @PreAuthorize("hasAuthority('DECIDE_PURPOSE') and @here.of('SERVICE', #id)")
  public void stop(long id) {
    Serving serving =
        servings().stream()
            .filter(one -> one.id() == id)
            .findFirst()
            .orElseThrow(() -> Refusal.ofStale("clock.problem.off-already"));
    services.saveAndFlush(
        new ServiceEntity(
            serving.venue(),
            serving.name(),
            Week.minute(serving.time().at()),
            Week.write(serving.time().days()),
            true,
            current.get().id(),
            clock.instant()));
  }
}
