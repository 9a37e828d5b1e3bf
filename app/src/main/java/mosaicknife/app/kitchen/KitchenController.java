package mosaicknife.app.kitchen;

import java.math.BigDecimal;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import mosaicknife.app.booklet.HouseRules;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.lot.LotRegister;
import mosaicknife.app.shared.Done;
import mosaicknife.app.shared.FieldName;
import mosaicknife.app.shared.Form;
import mosaicknife.app.shared.Formats;
import mosaicknife.app.shared.PlainText;
import mosaicknife.app.shared.Refusal;
import mosaicknife.app.shared.Sent;
import mosaicknife.app.shared.Words;
import mosaicknife.core.anatomy.Eating;
import mosaicknife.core.heat.Doneness;
import mosaicknife.core.heat.LagFit;
import mosaicknife.core.heat.Reading;
import mosaicknife.core.kitchen.Marinade;
import mosaicknife.core.lot.Lot;
import mosaicknife.core.pot.Thickener;
import mosaicknife.core.quantity.Temperature;
import mosaicknife.core.safety.Limit;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;

/** Marinades, doneness and thickeners. */
@Controller
class KitchenController {

  private static final int READINGS = 4;
  private static final int LONGEST_WHAT = 80;
  private static final BigDecimal MOST_LITRES = BigDecimal.valueOf(500);

  private final Soaks soaks;
  private final LotRegister lots;
  private final HouseRules limits;
  private final HouseSettings houses;
  private final Said said;
  private final Doughs doughs;
  private final Words words;
  private final Clock clock;

  KitchenController(
      Soaks soaks,
      LotRegister lots,
      HouseRules limits,
      HouseSettings houses,
      Said said,
      Doughs doughs,
      Words words,
      Clock clock) {
    this.soaks = soaks;
    this.lots = lots;
    this.limits = limits;
    this.houses = houses;
    this.said = said;
    this.doughs = doughs;
    this.words = words;
    this.clock = clock;
  }

  private Formats formats() {
    return houses.house().formats();
  }

  /**
   * Fish that lies in a marinade, as shown.
   *
   * @param id its number
   * @param what what of which lot
   * @param in in what
   * @param thick how thick it is
   * @param ready when it is ready
   * @param best until when it is at its best
   * @param spoiled from when it is spoiled
   * @param said how it stands
   * @param css the same, as a class
   */
  record Row(
      long id,
      String what,
      String in,
      String thick,
      String ready,
      String best,
      String spoiled,
      String said,
      String css) {}

  private Row row(Soaks.Soak soak, Instant now) {
    Marinade.Window window = soak.window();
    Marinade.Standing standing = soak.standing(now);
    Formats formats = formats();
    return new Row(
        soak.id(),
        formats.say("kitchen.said.of-lot", soak.what(), soak.lot().id(), soak.mass()),
        formats.say(
            "kitchen.said.lies",
            soak.marinade().name(),
            formats.say("Marinade.Vessel." + soak.vessel().name())),
        formats.say(
            soak.measured() ? "kitchen.said.thick" : "kitchen.said.about-thick",
            soak.millimetres().stripTrailingZeros().toPlainString()),
        moment(soak, window.ready()),
        moment(soak, window.best()),
        moment(soak, window.spoiled()),
        formats.say("Marinade.Standing." + standing.name()),
        "w-" + standing.name());
  }

  /** The house's own times are known; the others are estimates and look like it. */
  private String moment(Soaks.Soak soak, int minutes) {
    String moment = formats().moment(soak.begun().plus(Duration.ofMinutes(minutes)));
    return soak.marinade().own().isPresent() ? moment : words.say("kitchen.said.about", moment);
  }

  @GetMapping("/kitchen")
  String kitchen(Model model) {
    Instant now = clock.instant();
    model.addAttribute("soaks", soaks.open().stream().map(one -> row(one, now)).toList());
    model.addAttribute("marinades", soaks.marinades().values());
    model.addAttribute("lots", lots.open());
    model.addAttribute("vessels", Marinade.Vessel.values());
    model.addAttribute("thickeners", Thickener.values());
    model.addAttribute("bodies", Thickener.Body.values());
    model.addAttribute("doughs", doughs.left());
    model.addAttribute("today", houses.today());
    model.addAttribute("venues", houses.venues());
    model.addAttribute("newId", UUID.randomUUID());
    model.addAttribute("code", temperature(Limit.CORE_CODE));
    model.addAttribute("housed", temperature(Limit.CORE_HOUSE));
    return "kitchen/kitchen";
  }

  private Temperature temperature(Limit limit) {
    return new Temperature(limits.limits().value(limit));
  }

  private Soaks.Put put(Sent sent) {
    Lot lot = lots.get(sent.id("lot"));
    Optional<BigDecimal> thick =
        sent.given(
            "thickness",
            field -> sent.decimal(field, 1, BigDecimal.valueOf(2), BigDecimal.valueOf(200)));
    return new Soaks.Put(
        soaks.marinade(sent.text("marinade")).code(),
        lot.id(),
        PlainText.needed(sent.text("what"), LONGEST_WHAT, "what", FieldName.NAME),
        thick.orElseGet(() -> Soaks.thickness(lot)),
        thick.isPresent(),
        sent.someMass("weight"),
        sent.choice(Marinade.Vessel.values(), "vessel"));
  }

  /** How much of what, and for how long, while it is typed. */
  @GetMapping("/kitchen/marinade")
  String marinade(Sent sent, Model model) {
    return said.worked(
        model,
        "marinade",
        () -> {
          Soaks.Put put = put(sent);
          Marinade marinade = soaks.marinade(put.marinade());
          double thick = put.millimetres().doubleValue();
          Eating eating = lots.get(put.lot()).species().eating();
          Marinade.Window window = marinade.window(thick, eating);
          List<String> lines = new ArrayList<>();
          lines.add(
              formats()
                  .list(
                      marinade.amounts(put.mass(), put.vessel()).entrySet().stream()
                          .map(
                              one ->
                                  words.say(
                                      "kitchen.said.part", one.getKey().name(), one.getValue()))
                          .toList()));
          if (marinade.own().isPresent()) {
            lines.add(times("kitchen.said.window-own", put, window));
          }
          lines.add(
              times(
                  put.measured() ? "kitchen.said.window" : "kitchen.said.window-about",
                  put,
                  marinade.estimate(thick, eating)));
          if (marinade.isTooThick(window)) {
            lines.add(words.say("kitchen.said.too-thick"));
          }
          if (marinade.raw()) {
            lines.add(words.say("kitchen.said.raw"));
          }
          return lines;
        });
  }

  private String times(String key, Soaks.Put put, Marinade.Window window) {
    return words.say(
        key,
        put.millimetres().stripTrailingZeros().toPlainString(),
        hours(window.ready()),
        hours(window.best()),
        hours(window.spoiled()));
  }

  private String hours(int minutes) {
    return words.say("kitchen.said.hours", minutes / 60, minutes % 60);
  }

  @PostMapping("/kitchen/soaks")
  @Form("/kitchen")
  Done soak(Sent sent) {
    Soaks.Put put = put(sent);
    soaks.put(sent.own(), put);
    return Done.said("kitchen.said.is-in", put.what());
  }

  @PostMapping("/kitchen/soaks/{id}/out")
  @Form("/kitchen")
  Done out(@PathVariable long id) {
    soaks.out(id);
    return Done.said("kitchen.said.is-out");
  }

  /** When a piece is done, from what a probe showed. */
  @GetMapping("/kitchen/done")
  String done(Sent sent, Model model) {
    return said.worked(
        model,
        "done",
        () -> {
          double thick =
              sent.decimal("thickness", 1, BigDecimal.valueOf(2), BigDecimal.valueOf(200))
                  .doubleValue();
          double medium = sent.temperature("medium").tenths() / 10.0;
          List<Reading> readings = readings(sent);
          List<String> lines = new ArrayList<>();
          for (Limit limit : List.of(Limit.CORE_HOUSE, Limit.CORE_CODE)) {
            lines.add(said(limit, readings, thick, medium));
          }
          Doneness.tooFast(readings, thick, medium)
              .ifPresent(
                  least -> lines.add(words.say("kitchen.said.cannot-be", "" + Math.round(least))));
          return lines;
        });
  }

  private static List<Reading> readings(Sent sent) {
    List<Reading> readings = new ArrayList<>();
    for (int i = 1; i <= READINGS; i++) {
      String minute = "minute" + i;
      String degrees = "degrees" + i;
      if (!sent.text(minute).isEmpty() && !sent.text(degrees).isEmpty()) {
        double at =
            sent.decimal(minute, 1, BigDecimal.ZERO, BigDecimal.valueOf(1440)).doubleValue();
        if (!readings.isEmpty() && at <= readings.get(readings.size() - 1).minutes()) {
          throw Refusal.ofField(minute, "kitchen.problem.not-later");
        }
        readings.add(new Reading(at, sent.temperature(degrees)));
      }
    }
    if (readings.size() < 2) {
      throw Refusal.ofInput("kitchen.problem.two-readings");
    }
    return readings;
  }

  private String said(Limit limit, List<Reading> readings, double thick, double medium) {
    Temperature wanted = temperature(limit);
    String whose = words.say("Limit." + limit.name());
    Optional<Doneness.Done> done = Doneness.of(readings, wanted.tenths() / 10.0, thick, medium);
    if (done.isEmpty()) {
      return words.say("kitchen.said.does-not-rise");
    }
    if (done.get().at().isEmpty()) {
      return words.say("kitchen.said.never", whose, wanted, "" + Math.round(done.get().ends()));
    }
    LagFit.When at = done.get().at().get();
    String range =
        at.latest().isPresent()
            ? formats().minutes(at.earliest()) + "–" + formats().minutes(at.latest().getAsDouble())
            : formats().minutes(at.earliest()) + "–?";
    return words.say(
        "kitchen.said.done-at",
        whose,
        wanted,
        formats().minutes(at.likely()),
        range,
        done.get().pull().map(pull -> formats().minutes(pull.likely())).orElse("?"),
        "" + Math.round(done.get().carried()));
  }

  /** How much dough binds so many litres. */
  @GetMapping("/kitchen/dough")
  String dough(Sent sent, Model model) {
    return said.worked(
        model,
        "dough",
        () -> {
          Thickener chosen = sent.choice(Thickener.values(), "thickener");
          double litres =
              sent.decimal("litres", 1, new BigDecimal("0.1"), MOST_LITRES).doubleValue();
          Thickener.Need need =
              chosen.of(
                  litres, sent.choice(Thickener.Body.values(), "body"), sent.someMass("weight"));
          List<String> said = new ArrayList<>();
          said.add(
              words.say(
                  "kitchen.said.dough", need.dough(), need.butter(), need.flour(), need.packs()));
          said.add(words.say("kitchen.said.binder", chosen.name(), need.least(), need.most()));
          chosen
              .otherwise(litres)
              .ifPresent(other -> said.add(words.say("kitchen.said.other-binder", other.name())));
          return said;
        });
  }
}
