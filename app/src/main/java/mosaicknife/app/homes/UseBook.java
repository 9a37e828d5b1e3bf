package mosaicknife.app.homes;

import java.time.LocalTime;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import mosaicknife.app.booklet.HouseBook;
import mosaicknife.app.booklet.Section;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.shared.AskedOnce;
import mosaicknife.app.shared.Refusal;
import mosaicknife.core.anatomy.Catalogue;
import mosaicknife.core.use.FishUse;
import mosaicknife.core.use.FishUse.Equipment;
import mosaicknife.core.use.PlanQuestion.Place;
import mosaicknife.core.use.RecipeBook;
import mosaicknife.core.use.UseCatalogue;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The house's book of uses, what its venues take of them, and the room they have. */
@Service
@Transactional
public class UseBook {

  private static final Section<String> USES = new Section<>("USE", String.class);
  private static final Section<Amount> ROOMS = new Section<>("ROOM", Amount.class);

  private static final String USE = "USE:";
  private static final String HANDS = "HANDS";
  private static final String LAST_HOUR = "LAST_HOUR";
  private static final String PEOPLE = "PEOPLE";
  private static final String BOARDS = "BOARDS";

  private final HouseBook book;

  /** The file does not change while it runs. */
  private final Map<String, FishUse> shipped = UseCatalogue.shipped(Catalogue.shipped());

  private final HouseSettings houses;

  UseBook(HouseBook book, HouseSettings houses) {
    this.book = book;
    this.houses = houses;
  }

  /** How much of something a venue takes or has. */
  record Amount(long venue, String what, int amount) {}

  /**
   * Returns the uses of the house.
   *
   * @return its own and the shipped ones it did not change or retire, by code
   */
  @Transactional(readOnly = true)
  @AskedOnce
  public Map<String, FishUse> uses() {
    return book.inUse(USES, shipped, UseCatalogue::read);
  }

  /**
   * Returns the uses beside each other.
   *
   * @return what goes into what
   */
  @Transactional(readOnly = true)
  public RecipeBook recipes() {
    return new RecipeBook(uses());
  }

  /**
   * Returns which uses the house changed or made itself.
   *
   * @return their codes
   */
  @Transactional(readOnly = true)
  public Set<String> own() {
    return book.own(USES);
  }

  /**
   * Returns a use, also one that is retired.
   *
   * @param code its code
   * @return the use
   * @throws Refusal if the house never had one of that code
   */
  @Transactional(readOnly = true)
  public FishUse get(String code) {
    return book.find(USES, code)
        .map(own -> UseCatalogue.read(own.said()))
        .or(() -> Optional.ofNullable(shipped.get(code)))
        .orElseThrow(() -> Refusal.ofMissing("homes.problem.no-such-use", code));
  }

  /**
   * Saves a use of the house, new or changed.
   *
   * @param use the use
   * @throws Refusal if it would be made of itself
   */
  @PreAuthorize("hasAuthority('EDIT_CATALOGUE')")
  public void save(FishUse use) {
    List<FishUse> circle = recipes().circle(use);
    if (!circle.isEmpty()) {
      String way = circle.stream().map(FishUse::name).collect(Collectors.joining(" → "));
      throw Refusal.ofField("lines", "homes.problem.circle", way);
    }
    book.edit(USES, use.code(), UseCatalogue.write(use));
  }

  /**
   * Retires a use: nothing new is made of it, and what lies on shelves stays.
   *
   * @param code its code
   */
  @PreAuthorize("hasAuthority('EDIT_CATALOGUE')")
  public void retire(String code) {
    book.strike(USES, code, UseCatalogue.write(get(code)), uses().size());
  }

  /**
   * What a venue can take and has room for.
   *
   * @param wanted the most units of each use a day, by code
   * @param equipment how much equipment there is; what is not named is not limited
   * @param hands minutes of hands; empty if they are not limited
   * @param lastHour until when it serves; empty if nobody said so
   * @param people how many work there at once; empty if nobody said so
   * @param boards how many boards there are to break fish on; empty if nobody said so
   */
  public record Room(
      Map<String, Integer> wanted,
      Map<Equipment, Integer> equipment,
      Optional<Integer> hands,
      Optional<LocalTime> lastHour,
      Optional<Integer> people,
      Optional<Integer> boards) {}

  /**
   * Returns what each venue can take.
   *
   * @return the room by number of the venue
   */
  @Transactional(readOnly = true)
  public Map<Long, Room> rooms() {
    List<Amount> all = book.said(ROOMS);
    return houses.venues().stream()
        .collect(
            Collectors.toMap(
                venue -> venue.id(),
                venue -> room(all.stream().filter(r -> r.venue() == venue.id()).toList())));
  }

  private static Room room(List<Amount> rows) {
    Map<String, Integer> wanted = new LinkedHashMap<>();
    Map<Equipment, Integer> equipment = new LinkedHashMap<>();
    Optional<Integer> hands = Optional.empty();
    Optional<LocalTime> lastHour = Optional.empty();
    Optional<Integer> people = Optional.empty();
    Optional<Integer> boards = Optional.empty();
    for (Amount row : rows) {
      if (row.what().equals(HANDS)) {
        hands = Optional.of(row.amount());
      } else if (row.what().equals(PEOPLE)) {
        people = Optional.of(row.amount());
      } else if (row.what().equals(BOARDS)) {
        boards = Optional.of(row.amount());
      } else if (row.what().equals(LAST_HOUR)) {
        lastHour = Optional.of(LocalTime.ofSecondOfDay(row.amount() * 60L));
      } else if (row.what().startsWith(USE)) {
        wanted.put(row.what().substring(USE.length()), row.amount());
      } else {
        equipment.put(Equipment.valueOf(row.what()), row.amount());
      }
    }
    return new Room(wanted, equipment, hands, lastHour, people, boards);
  }

  /**
   * Says how much of a use a venue can take in a day.
   *
   * @param venue the number of the venue
   * @param code the code of the use
   * @param most how many units at most, from 0
   */
  @PreAuthorize("hasAuthority('DECIDE_PURPOSE') and @here.at(#venue)")
  public void want(long venue, String code, int most) {
    get(code);
    keep(venue, USE + code, most);
  }

  /**
   * Says how much of a kind of equipment a venue has left for this.
   *
   * @param venue the number of the venue
   * @param equipment which
   * @param amount how much, in its own measure, from 0
   */
  @PreAuthorize("hasAuthority('DECIDE_PURPOSE') and @here.at(#venue)")
  public void equip(long venue, Equipment equipment, int amount) {
    keep(venue, equipment.name(), amount);
  }

  /**
   * Says how many minutes of hands a venue has left for this.
   *
   * @param venue the number of the venue
   * @param minutes the minutes, from 0
   */
  @PreAuthorize("hasAuthority('DECIDE_PURPOSE') and @here.at(#venue)")
  public void hands(long venue, int minutes) {
    keep(venue, HANDS, minutes);
  }

  /**
   * Says until when a venue serves.
   *
   * @param venue the number of the venue
   * @param time its last hour
   */
  @PreAuthorize("hasAuthority('DECIDE_PURPOSE') and @here.at(#venue)")
  public void lastHour(long venue, LocalTime time) {
    keep(venue, LAST_HOUR, time.toSecondOfDay() / 60);
  }

  /**
   * Says how many people work at a venue at once.
   *
   * @param venue the number of the venue
   * @param people how many, from 1
   */
  @PreAuthorize("hasAuthority('DECIDE_PURPOSE') and @here.at(#venue)")
  public void people(long venue, int people) {
    keep(venue, PEOPLE, people);
  }

  /**
   * Says how many boards a venue has to break fish on.
   *
   * @param venue the number of the venue
   * @param boards how many, from 1
   */
  @PreAuthorize("hasAuthority('DECIDE_PURPOSE') and @here.at(#venue)")
  public void boards(long venue, int boards) {
    keep(venue, BOARDS, boards);
  }

  private void keep(long venue, String what, int amount) {
    houses.getVenue(venue);
    book.write(ROOMS, venue + " " + what, new Amount(venue, what, amount));
  }

  /** The room of all venues as the plan asks for it. */
  Map<Place, Long> equipment(Map<Long, Room> all) {
    Map<Place, Long> places = new LinkedHashMap<>();
    all.forEach(
        (venue, room) ->
            room.equipment()
                .forEach((kind, amount) -> places.put(new Place(venue, kind), amount.longValue())));
    return places;
  }

  /** The uses that are made of any of some parts, those of most parts first. */
  List<FishUse> fitting(List<mosaicknife.core.use.OnHand> parts) {
    Map<FishUse, Long> counts = new LinkedHashMap<>();
    for (FishUse use : uses().values()) {
      long fitting =
          parts.stream()
              .filter(part -> mosaicknife.core.use.Qualification.qualifies(use, part))
              .count();
      if (fitting > 0) {
        counts.put(use, fitting);
      }
    }
    List<FishUse> sorted = new ArrayList<>(counts.keySet());
    sorted.sort((a, b) -> Long.compare(counts.get(b), counts.get(a)));
    return sorted;
  }
}
