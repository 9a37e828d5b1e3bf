package mosaicknife.app.clock;

import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import mosaicknife.app.account.PeopleRegister;
import mosaicknife.app.account.Person;
import mosaicknife.app.clock.Gathering.Gathered;
import mosaicknife.app.homes.UseBook;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.shared.Paper;
import mosaicknife.app.shared.TakesLong;
import mosaicknife.core.clock.Schedule;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;

/** The Clock: what is done when, by whom and on what. */
@Controller
class ClockController {

  private static final int ON_THE_WALL = 30;

  private final Day day;
  private final Planner planner;
  private final Rota rota;
  private final Feed feed;
  private final UseBook uses;
  private final PeopleRegister people;
  private final HouseSettings houses;
  private final Paper paper;

  ClockController(
      Day day,
      Planner planner,
      Rota rota,
      Feed feed,
      UseBook uses,
      PeopleRegister people,
      HouseSettings houses,
      Paper paper) {
    this.day = day;
    this.planner = planner;
    this.rota = rota;
    this.feed = feed;
    this.uses = uses;
    this.people = people;
    this.houses = houses;
    this.paper = paper;
  }

  /** How many people and boards a venue has. */
  record Places(long venue, String name, int people, int boards, boolean anonymous) {}

  @TakesLong
  @GetMapping("/clock")
  String clock(Model model) {
    Map<Long, UseBook.Room> rooms = uses.rooms();
    List<Rota.Turn> turns = rota.turns();
    model.addAttribute(
        "places",
        houses.venues().stream()
            .map(
                venue ->
                    new Places(
                        venue.id(),
                        venue.name(),
                        rooms.get(venue.id()).people().orElse(1),
                        rooms.get(venue.id()).boards().orElse(1),
                        turns.stream()
                            .noneMatch(
                                turn ->
                                    turn.venue().isEmpty() || turn.venue().get() == venue.id())))
            .toList());
    model.addAttribute("turns", turns);
    model.addAttribute("servings", rota.servings());
    model.addAttribute("everybody", people.everybody().stream().filter(Person::active).toList());
    model.addAttribute("venues", houses.venues());
    model.addAttribute("venueNames", houses.venueNames());
    model.addAttribute("weekdays", java.time.DayOfWeek.values());
    model.addAttribute("fed", feed.made());
    model.addAttribute("newId", UUID.randomUUID());
    return "clock/clock";
  }

  private ClockView view() {
    Gathered gathered = day.gather();
    return new ClockView(gathered, planner.of(gathered.agenda()), houses.house().formats());
  }

  /** The day alone: the solver may take a second, and the page does not wait for it. */
  @TakesLong
  @GetMapping("/clock/day")
  String day(Model model) {
    show(view(), model);
    return "clock/day :: day";
  }

  static void show(ClockView view, Model model) {
    model.addAttribute("lanes", Lanes.of(view.day(), view.schedule(), view.formats()));
    model.addAttribute("rows", view.rows());
    model.addAttribute("broken", view.broken());
    model.addAttribute("late", view.schedule().late() > 0);
    model.addAttribute("spare", view.schedule().spare());
  }

  /** What would help; each way is a day of its own to be placed, so it comes after the day. */
  @TakesLong
  @GetMapping("/clock/ways")
  String ways(Model model) {
    ClockView view = view();
    Schedule schedule = view.schedule();
    boolean isLate = schedule.late() > 0;
    model.addAttribute("fewest", isLate ? view.fewest(planner.fewest(view.day().agenda())) : "");
    model.addAttribute(
        "ways",
        isLate ? view.ways(planner.waysOut(view.day().agenda(), view.day().others())) : List.of());
    return "clock/day :: ways";
  }

  /** The next things of each person, for Today. */
  @GetMapping("/clock/next")
  String next(Model model) {
    ClockView view = view();
    model.addAttribute("people", view.next());
    model.addAttribute("broken", view.broken());
    return "clock/next :: next";
  }

  @TakesLong
  @GetMapping("/clock/wall.pdf")
  ResponseEntity<byte[]> wall() {
    ClockView view = view();
    Map<String, Object> model = new LinkedHashMap<>();
    model.put("house", houses.house());
    model.put("f", houses.house().formats());
    model.put("now", houses.house().formats().moment(view.day().now().toInstant()));
    model.put("people", view.people(ON_THE_WALL));
    model.put("broken", view.broken());
    return paper.sheet("clock/wall", model, "clock.pdf");
  }

  /** The calendar: whoever has its address reads it, without signing in. */
  @GetMapping("/clock/feed/{token}")
  ResponseEntity<byte[]> calendar(@PathVariable String token) {
    feed.reader(token.replaceAll("\\.ics$", ""));
    Gathered gathered = day.gather();
    return ResponseEntity.ok()
        .contentType(new MediaType("text", "calendar", StandardCharsets.UTF_8))
        .body(feed.write(gathered, planner.of(gathered.agenda())).getBytes(StandardCharsets.UTF_8));
  }
}
