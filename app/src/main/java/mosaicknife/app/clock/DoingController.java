package mosaicknife.app.clock;

import jakarta.servlet.http.HttpServletResponse;
import java.time.Instant;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Predicate;
import mosaicknife.app.clock.Gathering.Gathered;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.shared.Done;
import mosaicknife.app.shared.Form;
import mosaicknife.app.shared.Refusal;
import mosaicknife.app.shared.Sent;
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

/** Begun, done, put elsewhere: what people do with the tasks of the Clock. */
@Controller
class DoingController {

  private static final int LONGEST_DAY = 1440;

  private final Day day;
  private final Planner planner;
  private final Marks marks;
  private final OwnTasks own;
  private final HouseSettings houses;
  private final Words words;

  DoingController(
      Day day, Planner planner, Marks marks, OwnTasks own, HouseSettings houses, Words words) {
    this.day = day;
    this.planner = planner;
    this.marks = marks;
    this.own = own;
    this.houses = houses;
    this.words = words;
  }

  /** What stands on the agenda; a stale page is told that it does not any more. */
  private Task known(Gathered gathered, String task) {
    return TaskId.read(task)
        .flatMap(
            id -> gathered.agenda().tasks().stream().filter(one -> one.id().equals(id)).findFirst())
        .orElseThrow(() -> Refusal.ofStale("clock.problem.gone"));
  }

  @PostMapping("/clock/begin")
  @Form("/{from}")
  Done begin(Sent sent) {
    // what runs is asked all the same: the answer says who was first
    return act(
        sent,
        one -> one.about().begins() || one.task().isRunning(),
        day::begin,
        "clock.said.begun");
  }

  @PostMapping("/clock/done")
  @Form("/{from}")
  Done done(Sent sent) {
    return act(sent, one -> one.about().ends(), day::done, "clock.said.done");
  }

  /** A task with what is known of it. */
  private record Known(Task task, Gathering.About about) {}

  private Done act(Sent sent, Predicate<Known> isHere, Consumer<TaskId> doing, String said) {
    Gathered gathered = day.gather();
    Task found = known(gathered, sent.text("task"));
    if (!isHere.test(new Known(found, gathered.about().get(found.id())))) {
      throw Refusal.ofInput("clock.problem.not-here", found.name());
    }
    doing.accept(found.id());
    return Done.said(said, found.name());
  }

  @PostMapping("/clock/drop")
  @Form("/clock")
  Done drop(Sent sent) {
    Gathered gathered = day.gather();
    Task found = known(gathered, sent.text("task"));
    if (!gathered.about().get(found.id()).drops()) {
      throw Refusal.ofStale("clock.problem.gone");
    }
    marks.drop(found.id());
    return Done.said("clock.said.dropped", found.name());
  }

  @PostMapping("/clock/tasks")
  @Form(value = "/clock#more", keeps = "typedTask")
  Done add(Sent sent) {
    OwnTasks.Wish wish =
        new OwnTasks.Wish(
            sent.id("venue"),
            sent.text("name"),
            sent.count("minutes", 1, LONGEST_DAY),
            sent.text("skill").equals("NONE")
                ? Optional.empty()
                : Optional.of(sent.choice(Skill.values(), "skill")),
            sent.moment("wanted"));
    own.add(sent.own(), wish);
    return Done.said("clock.said.added");
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
  @Form("/clock")
  Done pin(Sent sent) {
    return Done.said("clock.said.pinned", put(sent.text("task"), sent.moment("at")));
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
  @Form("/clock")
  Done unpin(Sent sent) {
    Task found = known(day.gather(), sent.text("task"));
    marks.unpin(found.id());
    return Done.said("clock.said.unpinned", found.name());
  }
}
