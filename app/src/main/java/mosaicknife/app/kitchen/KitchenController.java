package mosaicknife.app.kitchen;

import java.math.BigDecimal;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.lot.ColdChainKeeper;
import mosaicknife.app.lot.LotRegister;
import mosaicknife.app.shared.ClientIds;
import mosaicknife.app.shared.FieldName;
import mosaicknife.app.shared.FormReply;
import mosaicknife.app.shared.FormReply.Form;
import mosaicknife.app.shared.Formats;
import mosaicknife.app.shared.PlainText;
import mosaicknife.app.shared.Refusal;
import mosaicknife.app.shared.SentTwice;
import mosaicknife.app.shared.Typed;
import mosaicknife.app.shared.Words;
import mosaicknife.core.anatomy.Eating;
import mosaicknife.core.heat.Doneness;
import mosaicknife.core.heat.LagFit;
import mosaicknife.core.heat.Reading;
import mosaicknife.core.kitchen.Marinade;
import mosaicknife.core.lot.Lot;
import mosaicknife.core.pot.Thickener;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.MassText;
import mosaicknife.core.quantity.Temperature;
import mosaicknife.core.safety.Limit;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Marinades, doneness and thickeners. */
@Controller
class KitchenController {

  private static final int READINGS = 4;
  private static final int LONGEST_WHAT = 80;
  private static final BigDecimal MOST_LITRES = BigDecimal.valueOf(500);

  private final Soaks soaks;
  private final LotRegister lots;
  private final ColdChainKeeper limits;
  private final HouseSettings houses;
  private final FormReply reply;
  private final Said said;
  private final Doughs doughs;
  private final Words words;
  private final Clock clock;

  KitchenController(
      Soaks soaks,
      LotRegister lots,
      ColdChainKeeper limits,
      HouseSettings houses,
      FormReply reply,
      Said said,
      Doughs doughs,
      Words words,
      Clock clock) {
    this.soaks = soaks;
    this.lots = lots;
    this.limits = limits;
    this.houses = houses;
    this.reply = reply;
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

  private Soaks.Put put(Map<String, String> typed) {
    Lot lot = lots.get(Typed.id(typed.getOrDefault("lot", ""), "lot"));
    String thick = typed.getOrDefault("thickness", "").strip();
    return new Soaks.Put(
        soaks.marinade(typed.getOrDefault("marinade", "")).code(),
        lot.id(),
        PlainText.needed(typed.getOrDefault("what", ""), LONGEST_WHAT, "what", FieldName.NAME),
        thick.isEmpty()
            ? Soaks.thickness(lot)
            : Typed.decimal(thick, 1, BigDecimal.valueOf(2), BigDecimal.valueOf(200), "thickness"),
        !thick.isEmpty(),
        mass(typed.getOrDefault("weight", "")),
        Typed.choice(Marinade.Vessel.values(), typed.getOrDefault("vessel", ""))
            .orElseThrow(() -> Refusal.ofField("vessel", "shared.problem.not-chosen")));
  }

  private Mass mass(String typed) {
    Mass mass = MassText.parse(typed, formats().system().small()).mass();
    if (!mass.isPositive()) {
      throw Refusal.ofField("weight", "larder.problem.nothing");
    }
    return mass;
  }

  /** How much of what, and for how long, while it is typed. */
  @GetMapping("/kitchen/marinade")
  String marinade(@RequestParam Map<String, String> typed, Model model) {
    return said.worked(
        model,
        "marinade",
        () -> {
          Soaks.Put put = put(typed);
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
  String soak(@RequestParam Map<String, String> typed, RedirectAttributes later) {
    return reply.after(
        new Form("/kitchen", "typed", new HashMap<>(typed)),
        later,
        () -> {
          Soaks.Put put = put(typed);
          UUID id = ClientIds.of(typed.getOrDefault("id", ""));
          SentTwice.survive(
              () -> {
                soaks.put(id, put);
                return id;
              });
          return words.say("kitchen.said.is-in", put.what());
        });
  }

  @PostMapping("/kitchen/soaks/{id}/out")
  String out(@PathVariable long id, RedirectAttributes later) {
    return reply.after(
        new Form("/kitchen", "typed", Map.of()),
        later,
        () -> {
          soaks.out(id);
          return words.say("kitchen.said.is-out");
        });
  }

  /** When a piece is done, from what a probe showed. */
  @GetMapping("/kitchen/done")
  String done(@RequestParam Map<String, String> typed, Model model) {
    return said.worked(
        model,
        "done",
        () -> {
          double thick =
              Typed.decimal(
                      typed.getOrDefault("thickness", ""),
                      1,
                      BigDecimal.valueOf(2),
                      BigDecimal.valueOf(200),
                      "thickness")
                  .doubleValue();
          double medium = degrees(typed.getOrDefault("medium", ""));
          List<Reading> readings = readings(typed);
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

  private static double degrees(String typed) {
    return Temperature.parse(typed).tenths() / 10.0;
  }

  private List<Reading> readings(Map<String, String> typed) {
    List<Reading> readings = new ArrayList<>();
    for (int i = 1; i <= READINGS; i++) {
      String minute = typed.getOrDefault("minute" + i, "").strip();
      String shown = typed.getOrDefault("degrees" + i, "").strip();
      if (!minute.isEmpty() && !shown.isEmpty()) {
        double at =
            Typed.decimal(minute, 1, BigDecimal.ZERO, BigDecimal.valueOf(1440), "minute" + i)
                .doubleValue();
        if (!readings.isEmpty() && at <= readings.get(readings.size() - 1).minutes()) {
          throw Refusal.ofField("minute" + i, "kitchen.problem.not-later");
        }
        readings.add(new Reading(at, Temperature.parse(shown)));
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
  String dough(@RequestParam Map<String, String> typed, Model model) {
    return said.worked(
        model,
        "dough",
        () -> {
          Thickener chosen =
              Typed.choice(Thickener.values(), typed.getOrDefault("thickener", ""))
                  .orElseThrow(() -> Refusal.ofField("thickener", "shared.problem.not-chosen"));
          double litres =
              Typed.decimal(
                      typed.getOrDefault("litres", ""),
                      1,
                      new BigDecimal("0.1"),
                      MOST_LITRES,
                      "litres")
                  .doubleValue();
          Thickener.Need need =
              chosen.of(
                  litres,
                  Typed.choice(Thickener.Body.values(), typed.getOrDefault("body", ""))
                      .orElseThrow(() -> Refusal.ofField("body", "shared.problem.not-chosen")),
                  mass(typed.getOrDefault("weight", "")));
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
