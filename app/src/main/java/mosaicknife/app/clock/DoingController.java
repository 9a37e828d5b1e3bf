package mosaicknife.app.clock;

import jakarta.servlet.http.HttpServletResponse;
import java.time.Instant;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Predicate;
import mosaicknife.app.clock.Gathering.Gathered;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.shared.ClientIds;
import mosaicknife.app.shared.FormReply;
import mosaicknife.app.shared.FormReply.Form;
import mosaicknife.app.shared.Refusal;
import mosaicknife.app.shared.SentTwice;
import mosaicknife.app.shared.TakesLong;
import mosaicknife.app.shared.Typed;
import mosaicknife.app.shared.Words;
import mosaicknife.core.clock.Skill;
import mosaicknife.core.clock.Task;
import mosaicknife.core.clock.TaskId;
import mosaicknife.core.clock.WeekTime;
import org.springframework.http.HttpStatus;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Begun, done, put elsewhere: what people do with the tasks of the Clock. */
@Controller
class DoingController {

  private static final int LONGEST_DAY = 1440;

  private final Day day;
  private final Planner planner;
  private final Marks marks;
  private final OwnTasks own;
  private final HouseSettings houses;
  private final FormReply reply;
  private final Words words;

  DoingController(
      Day day,
      Planner planner,
      Marks marks,
      OwnTasks own,
      HouseSettings houses,
      FormReply reply,
      Words words) {
    this.day = day;
    this.planner = planner;
    this.marks = marks;
    this.own = own;
    this.houses = houses;
    this.reply = reply;
    this.words = words;
  }

  private String after(String from, RedirectAttributes later, FormReply.Change work) {
    return reply.after(
        new Form(from.equals("today") ? "/" : "/clock", "typed", Map.of()), later, work);
  }

  /** What stands on the agenda; a stale page is told that it does not any more. */
  private Task known(Gathered gathered, String task) {
    return TaskId.read(task)
        .flatMap(
            id -> gathered.agenda().tasks().stream().filter(one -> one.id().equals(id)).findFirst())
        .orElseThrow(() -> Refusal.ofStale("clock.problem.gone"));
  }

  @PostMapping("/clock/begin")
  String begin(
      @RequestParam(defaultValue = "") String task,
      @RequestParam(defaultValue = "") String from,
      RedirectAttributes later) {
    // what runs is asked all the same: the answer says who was first
    return act(
        new Asked(task, from, "clock.said.begun"),
        later,
        one -> one.about().begins() || one.task().isRunning(),
        day::begin);
  }

  @PostMapping("/clock/done")
  String done(
      @RequestParam(defaultValue = "") String task,
      @RequestParam(defaultValue = "") String from,
      RedirectAttributes later) {
    return act(
        new Asked(task, from, "clock.said.done"), later, one -> one.about().ends(), day::done);
  }

  /** A task with what is known of it. */
  private record Known(Task task, Gathering.About about) {}

  /** What is asked of a task, from which page, and how it is answered. */
  private record Asked(String task, String from, String said) {}

  private String act(
      Asked asked, RedirectAttributes later, Predicate<Known> isHere, Consumer<TaskId> doing) {
    return after(
        asked.from(),
        later,
        () -> {
          Gathered gathered = day.gather();
          Task found = known(gathered, asked.task());
          if (!isHere.test(new Known(found, gathered.about().get(found.id())))) {
            throw Refusal.ofInput("clock.problem.not-here", found.name());
          }
          doing.accept(found.id());
          return words.say(asked.said(), found.name());
        });
  }

  @PostMapping("/clock/drop")
  String drop(@RequestParam(defaultValue = "") String task, RedirectAttributes later) {
    return after(
        "clock",
        later,
        () -> {
          Gathered gathered = day.gather();
          Task found = known(gathered, task);
          if (!gathered.about().get(found.id()).drops()) {
            throw Refusal.ofStale("clock.problem.gone");
          }
          marks.drop(found.id());
          return words.say("clock.said.dropped", found.name());
        });
  }

  @PostMapping("/clock/tasks")
  String add(@RequestParam Map<String, String> typed, RedirectAttributes later) {
    return reply.after(
        new Form("/clock#more", "typedTask", new HashMap<>(typed)),
        later,
        () -> {
          String skill = typed.getOrDefault("skill", "");
          OwnTasks.Wish wish =
              new OwnTasks.Wish(
                  Typed.id(typed.getOrDefault("venue", ""), "venue"),
                  typed.getOrDefault("name", ""),
                  Typed.count(typed.getOrDefault("minutes", ""), 1, LONGEST_DAY, "minutes"),
                  skill.equals("NONE")
                      ? Optional.empty()
                      : Optional.of(
                          Typed.choice(Skill.values(), skill)
                              .orElseThrow(
                                  () -> Refusal.ofField("skill", "shared.problem.not-chosen"))),
                  moment(typed.getOrDefault("wanted", ""), "wanted"));
          java.util.UUID id = ClientIds.of(typed.getOrDefault("id", ""));
          SentTwice.survive(
              () -> {
                own.add(id, wish);
                return id;
              });
          return words.say("clock.said.added");
        });
  }

  private Instant moment(String typed, String field) {
    return Typed.moment(typed, houses.house().formats().zone(), field);
  }

  /** Puts a task where it was dragged to, in seconds, and answers with the day as it is then. */
  @PreAuthorize("hasAuthority('DECIDE_PURPOSE')")
  @TakesLong
  @PostMapping("/clock/drag")
  String drag(
      @RequestParam(defaultValue = "") String task,
      @RequestParam(defaultValue = "") String second,
      Model model,
      HttpServletResponse answer) {
    try {
      put(task, Instant.ofEpochSecond(Typed.id(second, "at")));
    } catch (Refusal refusal) {
      model.addAttribute("refused", words.say(refusal));
      answer.setStatus(HttpStatus.UNPROCESSABLE_ENTITY.value());
    }
    Gathered gathered = day.gather();
    ClockController.show(
        new ClockView(gathered, planner.of(gathered.agenda()), houses.house().formats()), model);
    return "clock/day :: day";
  }

  @PreAuthorize("hasAuthority('DECIDE_PURPOSE')")
  @PostMapping("/clock/pin")
  String pin(
      @RequestParam(defaultValue = "") String task,
      @RequestParam(defaultValue = "") String at,
      RedirectAttributes later) {
    return after(
        "clock",
        later,
        () -> {
          String name = put(task, moment(at, "at"));
          return words.say("clock.said.pinned", name);
        });
  }

  /** Puts a task somewhere, if it can be there; what cannot be is not kept. */
  private String put(String task, Instant at) {
    Gathered gathered = day.gather();
    Task found = known(gathered, task);
    if (found.isRunning()) {
      throw Refusal.ofStale("clock.problem.runs");
    }
    int start = WeekTime.minutes(gathered.now(), at.atZone(gathered.now().getZone()));
    if (start >= 0 && !planner.fits(gathered.agenda(), found.id(), start)) {
      throw Refusal.ofField("at", "clock.problem.cannot-be-then", found.name(), at);
    }
    marks.pin(found.id(), at);
    return found.name();
  }

  @PostMapping("/clock/unpin")
  String unpin(@RequestParam(defaultValue = "") String task, RedirectAttributes later) {
    return after(
        "clock",
        later,
        () -> {
          Task found = known(day.gather(), task);
          marks.unpin(found.id());
          return words.say("clock.said.unpinned", found.name());
        });
  }
}
