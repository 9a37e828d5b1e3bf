package mosaicknife.app.pot;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mosaicknife.app.shared.Formats;
import mosaicknife.core.heat.Cooling;
import mosaicknife.core.heat.CoolingRule;
import mosaicknife.core.pot.Bones;
import mosaicknife.core.pot.Learnt;
import mosaicknife.core.pot.PotPlan;
import mosaicknife.core.pot.PotRun;
import mosaicknife.core.pot.PotStep;
import mosaicknife.core.quantity.Mass;

/** What the pages of the pot show. */
final class PotView {

  private PotView() {}

  /**
   * A step of a batch.
   *
   * @param step the step
   * @param css how it stands, as a class
   * @param times from when to when
   * @param said what is said of it
   * @param begun whether it was begun
   * @param current whether it is the one that is on
   */
  record StepRow(
      PotStep step, String css, String times, String said, boolean begun, boolean current) {

    /** Whether it was done in its time, so that there is nothing to say. */
    public boolean isQuietlyDone() {
      return css.equals("s-DONE");
    }
  }

  /**
   * A batch in a list.
   *
   * @param id its number
   * @param name what and how much
   * @param venue where
   * @param step the step that is on; empty if all are done
   * @param said how it stands
   * @param css how it stands, as a class
   */
  record Card(long id, String name, String venue, String step, String said, String css) {}

  static List<StepRow> steps(Brew brew, CoolingRule rule, Instant now, Formats formats) {
    Optional<PotStep> current = brew.run().current();
    return brew.timed(rule, now).stream()
        .map(
            timed ->
                new StepRow(
                    timed.step(),
                    "s-" + timed.standing().name(),
                    formats.say(
                        "pot.said.from-to",
                        formats.time(timed.begins()),
                        formats.time(timed.ends())),
                    said(timed, now, formats),
                    timed.standing() != PotRun.Standing.WAITS,
                    current.filter(timed.step()::equals).isPresent()))
        .toList();
  }

  private static String said(PotRun.Timed timed, Instant now, Formats formats) {
    long on = Duration.between(timed.begins(), now).toMinutes();
    return switch (timed.standing()) {
      case WAITS -> "";
      case TOO_SHORT -> formats.say("pot.said.not-before", on, formats.time(timed.earliest()));
      case ON -> formats.say("pot.said.any-moment", on, formats.time(timed.latest()));
      case LATE ->
          formats.say(
              "pot.said.late",
              Duration.between(timed.latest(), now).toMinutes(),
              timed.step().ifLate());
      case DONE -> formats.say("pot.said.done");
      case DONE_EARLY -> formats.say("pot.said.done-early");
      case DONE_LATE -> formats.say("pot.said.done-late", timed.step().ifLate());
    };
  }

  static Card card(
      Brew brew, CoolingRule rule, Instant now, Map<Long, String> venues, Formats formats) {
    List<StepRow> rows = steps(brew, rule, now, formats);
    Optional<StepRow> on = rows.stream().filter(StepRow::current).findFirst();
    boolean cools = on.filter(row -> row.step().work() == PotStep.Work.COOL).isPresent();
    Cooling.Standing standing = brew.cooling(rule).standing(brew.since(now));
    return new Card(
        brew.id(),
        formats.say("pot.said.so-much", litres(brew.plan().litres()), brew.making().use().name()),
        venues.getOrDefault(brew.making().venue(), "?"),
        on.map(row -> row.step().name()).orElse(""),
        cools
            ? formats.say("Cooling.Standing." + standing.name())
            : on.map(row -> row.begun() ? row.said() : formats.say("pot.said.not-begun"))
                .orElse(""),
        cools ? "c-" + standing.name() : on.map(StepRow::css).orElse(""));
  }

  /** What a method gave so far, in a line. */
  static String learnt(Learnt gave, Formats formats) {
    return formats.say(
        "pot.said.learnt",
        gave.batches(),
        litres(gave.mean()),
        litres(gave.least()),
        litres(gave.most()),
        gave.set(),
        gave.clear());
  }

  /** Litres to a tenth, as a kitchen pours. */
  static String litres(double litres) {
    return Formats.decimal(litres, 1);
  }

  /** When all is done, against when it is wanted. */
  static String ready(Brew brew, CoolingRule rule, Instant now, Formats formats) {
    if (brew.neverCold(rule)) {
      return formats.say("pot.said.never-ready");
    }
    List<PotRun.Timed> timed = brew.timed(rule, now);
    Instant end = timed.get(timed.size() - 1).ends();
    if (brew.wanted().isEmpty()) {
      return formats.say("pot.said.ready", formats.moment(end));
    }
    long spare = Duration.between(end, brew.wanted().get()).toMinutes();
    return spare >= 0
        ? formats.say(
            "pot.said.in-time", formats.moment(end), formats.moment(brew.wanted().get()), spare)
        : formats.say(
            "pot.said.too-late", formats.moment(end), formats.moment(brew.wanted().get()), -spare);
  }

  static boolean isReadyInTime(Brew brew, CoolingRule rule, Instant now) {
    List<PotRun.Timed> timed = brew.timed(rule, now);
    return !brew.neverCold(rule)
        && (brew.wanted().isEmpty()
            || !timed.get(timed.size() - 1).ends().isAfter(brew.wanted().get()));
  }

  /**
   * What a wish comes to, in words.
   *
   * @param litres how many litres come out
   * @param range between how many and how many
   * @param bones the bones that go in
   * @param over the bones left; empty if none
   * @param fillings how many kettles or fillings
   * @param water the water
   * @param goesIn what else goes in
   * @param boil how long until it boils, and the other way
   * @param chain the steps with their minutes
   * @param takes how long it all takes
   * @param begin when to begin at the latest, if it is wanted at a time
   * @param good bones that may go in
   * @param not bones that may not, and why
   */
  record Worked(
      String litres,
      String range,
      String bones,
      String over,
      int fillings,
      String water,
      List<String> goesIn,
      String boil,
      List<String> chain,
      String takes,
      String begin,
      List<String> good,
      List<String> not) {}

  static Worked worked(
      PotStarter.Worked worked, Optional<Instant> wanted, Instant now, Formats formats) {
    PotPlan plan = worked.plan().orElseThrow();
    boolean lid = plan.answers().contains(PotStep.Answer.LID);
    int all = plan.allMinutes();
    return new Worked(
        litres(plan.litres()),
        formats.say("pot.said.between", litres(plan.least()), litres(plan.most())),
        formats.about(plan.bones()),
        plan.over().compareTo(Mass.ofGrams(10)) > 0 ? formats.about(plan.over()) : "",
        plan.kettles(),
        litres(plan.water()),
        plan.ingredients().stream()
            .map(one -> formats.say("pot.said.ingredient", one.line().name(), one.mass()))
            .toList(),
        formats.say(
            lid ? "pot.said.boils-with-lid" : "pot.said.boils-without",
            plan.heatMinutes(),
            plan.heatMinutesOtherwise()),
        plan.method().steps(plan.answers()).stream()
            .map(step -> formats.say("pot.said.step", step.name(), plan.minutes(step)))
            .toList(),
        formats.say("pot.said.takes", all / 60, all % 60),
        begin(wanted, all, now, formats),
        bones(worked, true, formats),
        bones(worked, false, formats));
  }

  private static String begin(Optional<Instant> wanted, int minutes, Instant now, Formats formats) {
    if (wanted.isEmpty()) {
      return "";
    }
    Instant latest = wanted.get().minus(Duration.ofMinutes(minutes));
    return latest.isBefore(now)
        ? formats.say("pot.said.begin-too-late", Duration.between(latest, now).toMinutes())
        : formats.say("pot.said.begin-by", formats.moment(latest));
  }

  private static List<String> bones(PotStarter.Worked worked, boolean good, Formats formats) {
    List<String> said = new ArrayList<>();
    for (Bones.Graded one : worked.graded()) {
      if ((one.grade() != Bones.Grade.NOT) == good) {
        String weight =
            one.part().measured()
                ? formats.mass(one.part().mass())
                : formats.about(one.part().mass());
        said.add(
            formats.say(
                "pot.said.bones",
                one.part().name(),
                weight,
                good
                    ? formats.say("Bones.Grade." + one.grade().name())
                    : formats.say(one.why().orElseThrow())));
      }
    }
    return said;
  }

  /**
   * How a batch cools, in words.
   *
   * @param said how it stands
   * @param css the same, as a class
   * @param due by when it must be where, and when it will be
   * @param help what can be done; empty if nothing is needed
   * @param doubt what is wrong with the readings; empty if nothing is
   */
  record Cools(String said, String css, List<String> due, List<String> help, String doubt) {}

  static Cools cools(Brew brew, CoolingRule rule, Instant now, Formats formats) {
    Cooling cooling = brew.cooling(rule);
    double passed = brew.since(now);
    Cooling.Standing standing = cooling.standing(passed);
    boolean warn = standing == Cooling.Standing.LATE || standing == Cooling.Standing.MAY_BE_LATE;
    return new Cools(
        formats.say("Cooling.Standing." + standing.name()),
        "c-" + standing.name(),
        cooling.due().stream().map(due -> due(brew, rule, due, formats)).toList(),
        warn
            ? cooling.help(passed).stream()
                .map(way -> formats.say("Cooling.Way." + way.name()))
                .toList()
            : List.of(),
        cooling.doubt().map(doubt -> formats.say("Cooling.Doubt." + doubt.name())).orElse(""));
  }

  private static String due(Brew brew, CoolingRule rule, Cooling.Due due, Formats formats) {
    String degrees =
        "" + Math.round(due.goal() == Cooling.Goal.FIRST ? rule.first() : rule.cold()) + " °C";
    String by = formats.time(brew.after(due.deadline()));
    if (due.never()) {
      return formats.say("pot.said.due-never", degrees, by);
    }
    if (due.when().isEmpty()) {
      return formats.say("pot.said.due", degrees, by);
    }
    double likely = due.when().get().likely();
    long late = Math.round(likely - due.deadline());
    String at = formats.time(brew.after(likely));
    return late > 0
        ? formats.say("pot.said.due-late", degrees, by, at, late)
        : formats.say("pot.said.due-in-time", degrees, by, at);
  }
}
