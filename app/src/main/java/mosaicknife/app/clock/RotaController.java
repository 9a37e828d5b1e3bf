package mosaicknife.app.clock;

import java.util.EnumSet;
import java.util.Optional;
import java.util.Set;
import mosaicknife.app.homes.UseBook;
import mosaicknife.app.shared.Done;
import mosaicknife.app.shared.Form;
import mosaicknife.app.shared.Sent;
import mosaicknife.core.clock.Shift;
import mosaicknife.core.clock.Skill;
import mosaicknife.core.clock.WeekTime;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;

/** Who works where and when, when each venue serves, and its boards. */
@Controller
class RotaController {

  private static final int MOST_PEOPLE = 40;

  private final Rota rota;
  private final UseBook uses;
  private final Feed feed;

  RotaController(Rota rota, UseBook uses, Feed feed) {
    this.rota = rota;
    this.uses = uses;
    this.feed = feed;
  }

  @PostMapping("/clock/people")
  @Form(value = "/clock#who", keeps = "typedPlaces")
  Done people(Sent sent) {
    long venue = sent.id("venue");
    int boards = sent.given("boards", field -> sent.count(field, 1, MOST_PEOPLE)).orElse(1);
    if (sent.has("people")) {
      uses.people(venue, sent.count("people", 1, MOST_PEOPLE));
    }
    uses.boards(venue, boards);
    return Done.said("clock.said.people-saved");
  }

  @PostMapping("/clock/workers")
  @Form(value = "/clock#who", keeps = "typedWorker")
  Done worker(Sent sent) {
    Set<Skill> skills = EnumSet.noneOf(Skill.class);
    for (Skill skill : Set.of(Skill.KNIFE, Skill.STOVE)) {
      if (sent.has("skill-" + skill.name())) {
        skills.add(skill);
      }
    }
    rota.put(
        sent.id("person"),
        sent.text("venue").equals("all") ? Optional.empty() : Optional.of(sent.id("venue")),
        skills,
        new Shift(new WeekTime(sent.time("from"), Week.typed(sent)), sent.time("to")));
    return Done.said("clock.said.people-saved");
  }

  @PostMapping("/clock/workers/{person}/off")
  @Form("/clock#who")
  Done off(@PathVariable long person) {
    rota.takeOff(person);
    return Done.said("clock.said.taken-off");
  }

  @PostMapping("/clock/services")
  @Form(value = "/clock#services", keeps = "typedService")
  Done service(Sent sent) {
    rota.serve(sent.id("venue"), sent.text("name"), sent.time("at"), Week.typed(sent));
    return Done.said("clock.said.people-saved");
  }

  @PostMapping("/clock/services/{id}/stop")
  @Form("/clock#services")
  Done stop(@PathVariable long id) {
    rota.stop(id);
    return Done.said("clock.said.taken-off");
  }

  /** The address is shown this once: only its hash is kept. */
  @PostMapping("/clock/feed")
  @Form("/clock#feed")
  Done feed() {
    return Done.said("clock.said.feed-open").with("feedToken", feed.open());
  }

  @PostMapping("/clock/feed/end")
  @Form("/clock#feed")
  Done endFeed() {
    feed.close();
    return Done.said("clock.said.feed-closed");
  }
}
