package mosaicknife.app.clock;

import java.time.Instant;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import mosaicknife.app.homes.UseBook;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.shared.FormReply;
import mosaicknife.app.shared.FormReply.Form;
import mosaicknife.app.shared.Formats;
import mosaicknife.app.shared.Typed;
import mosaicknife.app.shared.Words;
import mosaicknife.core.clock.Backward;
import mosaicknife.core.clock.Schedule;
import mosaicknife.core.clock.Schedule.Placed;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The Clock. */
@Controller
class ClockController {

  private static final double SECONDS = 1;
  private static final double SECONDS_A_WAY = 0.4;
  private static final int MOST_PEOPLE = 40;
  private static final int MOST_NEXT = 12;

  private final Day day;
  private final UseBook uses;
  private final HouseSettings houses;
  private final FormReply reply;
  private final Words words;

  ClockController(Day day, UseBook uses, HouseSettings houses, FormReply reply, Words words) {
    this.day = day;
    this.uses = uses;
    this.houses = houses;
    this.reply = reply;
    this.words = words;
  }

  /** What comes next. */
  record Next(String at, String name, String takes, String late, String link) {}

  /** How many people work at a venue. */
  record People(long venue, String name, int people) {}

  @GetMapping("/clock")
  String clock(Model model) {
    Map<Long, UseBook.Room> rooms = uses.rooms();
    model.addAttribute(
        "people",
        houses.venues().stream()
            .map(
                venue ->
                    new People(venue.id(), venue.name(), rooms.get(venue.id()).people().orElse(1)))
            .toList());
    return "clock/clock";
  }

  /** The day alone: the solver may take a second, and the page does not wait for it. */
  @GetMapping("/clock/day")
  String day(Model model) {
    Day.Gathered gathered = day.gather();
    Schedule schedule = Backward.of(gathered.agenda(), SECONDS);
    Formats formats = houses.house().formats();
    model.addAttribute("lanes", Lanes.of(gathered, schedule, formats));
    model.addAttribute("next", next(gathered, schedule, formats));
    model.addAttribute(
        "broken",
        Stream.concat(
                gathered.unsure().stream().map(pot -> words.say("clock.said.never-cold", pot)),
                schedule.broken().stream()
                    .map(one -> words.say("clock.said.late", one.task().name(), one.late())))
            .toList());
    model.addAttribute(
        "ways",
        schedule.late() == 0
            ? List.of()
            : Backward.waysOut(gathered.agenda(), schedule, SECONDS_A_WAY).stream()
                .map(
                    way ->
                        words.say(
                            "clock.said.way",
                            gathered.places().getOrDefault(way.resource(), way.resource()),
                            way.late()))
                .toList());
    return "clock/day :: day";
  }

  private List<Next> next(Day.Gathered gathered, Schedule schedule, Formats formats) {
    return schedule.placed().stream()
        .filter(one -> one.task().fixed().isEmpty())
        .sorted(Comparator.comparingInt(Placed::start))
        .limit(MOST_NEXT)
        .map(
            one -> {
              Instant at = gathered.now().plusSeconds(one.start() * 60L);
              return new Next(
                  formats.moment(at),
                  one.task().name(),
                  words.say("clock.said.takes", one.task().minutes()),
                  one.late() > 0 ? words.say("clock.said.so-late", one.late()) : "",
                  gathered.links().getOrDefault(one.task().id(), "/clock"));
            })
        .toList();
  }

  @PostMapping("/clock/people")
  String people(@RequestParam Map<String, String> typed, RedirectAttributes later) {
    return reply.after(
        new Form("/clock", "typed", new HashMap<>(typed)),
        later,
        () -> {
          uses.people(
              Typed.id(typed.getOrDefault("venue", ""), "venue"),
              Typed.count(typed.getOrDefault("people", ""), 1, MOST_PEOPLE, "people"));
          return words.say("clock.said.people-saved");
        });
  }
}
