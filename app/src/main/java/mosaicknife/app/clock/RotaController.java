package mosaicknife.app.clock;

import java.util.EnumSet;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import mosaicknife.app.homes.UseBook;
import mosaicknife.app.shared.FormReply;
import mosaicknife.app.shared.FormReply.Form;
import mosaicknife.app.shared.Typed;
import mosaicknife.app.shared.Words;
import mosaicknife.core.clock.Shift;
import mosaicknife.core.clock.Skill;
import mosaicknife.core.clock.WeekTime;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Who works where and when, when each venue serves, and its boards. */
@Controller
class RotaController {

  private static final int MOST_PEOPLE = 40;

  private final Rota rota;
  private final UseBook uses;
  private final Feed feed;
  private final FormReply reply;
  private final Words words;

  RotaController(Rota rota, UseBook uses, Feed feed, FormReply reply, Words words) {
    this.rota = rota;
    this.uses = uses;
    this.feed = feed;
    this.reply = reply;
    this.words = words;
  }

  @PostMapping("/clock/people")
  String people(@RequestParam Map<String, String> typed, RedirectAttributes later) {
    return reply.after(
        new Form("/clock#who", "typedPlaces", new HashMap<>(typed)),
        later,
        () -> {
          long venue = Typed.id(typed.getOrDefault("venue", ""), "venue");
          int boards = Typed.count(typed.getOrDefault("boards", "1"), 1, MOST_PEOPLE, "boards");
          if (typed.containsKey("people")) {
            uses.people(venue, Typed.count(typed.get("people"), 1, MOST_PEOPLE, "people"));
          }
          uses.boards(venue, boards);
          return words.say("clock.said.people-saved");
        });
  }

  @PostMapping("/clock/workers")
  String worker(@RequestParam Map<String, String> typed, RedirectAttributes later) {
    return reply.after(
        new Form("/clock#who", "typedWorker", new HashMap<>(typed)),
        later,
        () -> {
          Set<Skill> skills = EnumSet.noneOf(Skill.class);
          for (Skill skill : Set.of(Skill.KNIFE, Skill.STOVE)) {
            if (typed.containsKey("skill-" + skill.name())) {
              skills.add(skill);
            }
          }
          String venue = typed.getOrDefault("venue", "");
          rota.put(
              Typed.id(typed.getOrDefault("person", ""), "person"),
              venue.equals("all") ? Optional.empty() : Optional.of(Typed.id(venue, "venue")),
              skills,
              new Shift(
                  new WeekTime(
                      Typed.time(typed.getOrDefault("from", ""), "from"), Week.typed(typed)),
                  Typed.time(typed.getOrDefault("to", ""), "to")));
          return words.say("clock.said.people-saved");
        });
  }

  @PostMapping("/clock/workers/{person}/off")
  String off(@PathVariable long person, RedirectAttributes later) {
    return reply.after(
        new Form("/clock#who", "typedWorker", Map.of()),
        later,
        () -> {
          rota.takeOff(person);
          return words.say("clock.said.taken-off");
        });
  }

  @PostMapping("/clock/services")
  String service(@RequestParam Map<String, String> typed, RedirectAttributes later) {
    return reply.after(
        new Form("/clock#services", "typedService", new HashMap<>(typed)),
        later,
        () -> {
          rota.serve(
              Typed.id(typed.getOrDefault("venue", ""), "venue"),
              typed.getOrDefault("name", ""),
              Typed.time(typed.getOrDefault("at", ""), "at"),
              Week.typed(typed));
          return words.say("clock.said.people-saved");
        });
  }

  @PostMapping("/clock/services/{id}/stop")
  String stop(@PathVariable long id, RedirectAttributes later) {
    return reply.after(
        new Form("/clock#services", "typedService", Map.of()),
        later,
        () -> {
          rota.stop(id);
          return words.say("clock.said.taken-off");
        });
  }

  /** The address is shown this once: only its hash is kept. */
  @PostMapping("/clock/feed")
  String feed(RedirectAttributes later) {
    return reply.after(
        new Form("/clock#feed", "typedFeed", Map.of()),
        later,
        () -> {
          later.addFlashAttribute("feedToken", feed.open());
          return words.say("clock.said.feed-open");
        });
  }

  @PostMapping("/clock/feed/end")
  String endFeed(RedirectAttributes later) {
    return reply.after(
        new Form("/clock#feed", "typedFeed", Map.of()),
        later,
        () -> {
          feed.close();
          return words.say("clock.said.feed-closed");
        });
  }
}
