package mosaicknife.app.clock;

import java.time.DayOfWeek;
import java.time.LocalTime;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import mosaicknife.app.account.PeopleRegister;
import mosaicknife.app.account.Person;
import mosaicknife.app.booklet.HouseBook;
import mosaicknife.app.booklet.Section;
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

  private static final Section<Shown> TURNS = new Section<>("WORKER", Shown.class);
  private static final Section<Held> SERVICES = new Section<>("SERVICE", Held.class);

  private final HouseBook book;
  private final PeopleRegister people;
  private final HouseSettings houses;

  Rota(HouseBook book, PeopleRegister people, HouseSettings houses) {
    this.book = book;
    this.people = people;
    this.houses = houses;
  }

  /** What is written down of a turn. */
  record Shown(long person, Optional<Long> venue, Set<Skill> skills, Shift shift) {}

  /** What is written down of a service. */
  record Held(long venue, String name, WeekTime time) {}

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
    Map<Long, Shown> of =
        book.said(TURNS).stream().collect(Collectors.toMap(Shown::person, Function.identity()));
    return people.everybody().stream()
        .filter(person -> person.active() && of.containsKey(person.id()))
        .map(person -> turn(person, of.get(person.id())))
        .toList();
  }

  private static Turn turn(Person person, Shown turn) {
    return new Turn(person, turn.venue(), turn.skills(), turn.shift());
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
    book.write(TURNS, "" + person, new Shown(person, venue, skills, shift));
  }

  /**
   * Takes somebody off the rota.
   *
   * @param person the number of the person
   * @throws Refusal if they are not on it
   */
  @PreAuthorize("hasAuthority('DECIDE_PURPOSE') and @here.of('TURN', #person)")
  public void takeOff(long person) {
    book.takeOut(TURNS, "" + person);
  }

  /**
   * Returns the services of the house.
   *
   * @return those that are held, by venue and time
   */
  @Transactional(readOnly = true)
  public List<Serving> servings() {
    return book.standing(SERVICES).stream()
        .map(
            entry ->
                new Serving(
                    entry.id(), entry.said().venue(), entry.said().name(), entry.said().time()))
        .sorted(
            Comparator.comparingLong(Serving::venue).thenComparing(serving -> serving.time().at()))
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
    book.write(SERVICES, venue + " " + called, new Held(venue, called, new WeekTime(at, days)));
  }

  /**
   * Takes a service away.
   *
   * @param id its number
   * @throws Refusal if it is not held
   */
  @PreAuthorize("hasAuthority('DECIDE_PURPOSE') and @here.of('SERVICE', #id)")
  public void stop(long id) {
    book.takeOut(SERVICES, id);
  }
}
