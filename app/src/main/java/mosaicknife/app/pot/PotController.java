package mosaicknife.app.pot;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalTime;
import java.time.ZonedDateTime;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import mosaicknife.app.account.CurrentPerson;
import mosaicknife.app.account.PeopleRegister;
import mosaicknife.app.account.Permission;
import mosaicknife.app.homes.Makings.Made;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.larder.LarderKeeper;
import mosaicknife.app.larder.LarderKeeper.Input;
import mosaicknife.app.lot.ColdChainKeeper;
import mosaicknife.app.shared.ClientIds;
import mosaicknife.app.shared.FormReply;
import mosaicknife.app.shared.FormReply.Form;
import mosaicknife.app.shared.Formats;
import mosaicknife.app.shared.Paper;
import mosaicknife.app.shared.Refusal;
import mosaicknife.app.shared.SentTwice;
import mosaicknife.app.shared.TakesLong;
import mosaicknife.app.shared.Typed;
import mosaicknife.app.shared.Words;
import mosaicknife.core.finding.Finding;
import mosaicknife.core.heat.CoolingRule;
import mosaicknife.core.heat.Surroundings;
import mosaicknife.core.larder.Shelved;
import mosaicknife.core.pot.PotPlan;
import mosaicknife.core.pot.PotStep;
import mosaicknife.core.pot.PotStep.Answer;
import mosaicknife.core.pot.StockMethod;
import mosaicknife.core.quantity.MassText;
import mosaicknife.core.quantity.Temperature;
import mosaicknife.core.safety.FoodState;
import org.springframework.http.ResponseEntity;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The Pot. */
@Controller
class PotController {

  private static final java.math.BigDecimal MOST_LITRES = java.math.BigDecimal.valueOf(500);
  private static final int MOST_UNITS = 100_000;
  private static final int MOST_PLATES = 500;
  private static final int MOST_MILLILITRES = 1000;

  private final PotBook book;
  private final PotKeeper keeper;
  private final ColdChainKeeper limits;
  private final LarderKeeper larder;
  private final PotPrices prices;
  private final Scraps scraps;
  private final PeopleRegister people;
  private final CurrentPerson current;
  private final HouseSettings houses;
  private final FormReply reply;
  private final Paper paper;
  private final Words words;
  private final Clock clock;

  PotController(
      PotBook book,
      PotKeeper keeper,
      ColdChainKeeper limits,
      LarderKeeper larder,
      PotPrices prices,
      Scraps scraps,
      PeopleRegister people,
      CurrentPerson current,
      HouseSettings houses,
      FormReply reply,
      Paper paper,
      Words words,
      Clock clock) {
    this.book = book;
    this.keeper = keeper;
    this.limits = limits;
    this.larder = larder;
    this.prices = prices;
    this.scraps = scraps;
    this.people = people;
    this.current = current;
    this.houses = houses;
    this.reply = reply;
    this.paper = paper;
    this.words = words;
    this.clock = clock;
  }

  private Formats formats() {
    return houses.house().formats();
  }

  private CoolingRule rule() {
    return CoolingRule.of(limits.limits());
  }

  @GetMapping("/pot")
  String pot(@RequestParam(defaultValue = "") String method, Model model) {
    Instant now = clock.instant();
    CoolingRule rule = rule();
    Map<String, StockMethod> methods = book.methods();
    StockMethod chosen = methods.getOrDefault(method, methods.values().iterator().next());
    model.addAttribute(
        "cards",
        book.running().stream()
            .map(brew -> PotView.card(brew, rule, now, houses.venueNames(), formats()))
            .toList());
    model.addAttribute("methods", methods.values());
    Map<String, String> learnt = new HashMap<>();
    book.learnt().forEach((code, gave) -> learnt.put(code, PotView.learnt(gave, formats())));
    model.addAttribute("learnt", learnt);
    model.addAttribute("chosen", chosen);
    model.addAttribute("asks", chosen.asks());
    model.addAttribute("kettles", book.kettles());
    model.addAttribute("venues", houses.venues());
    model.addAttribute("venueNames", houses.venueNames());
    model.addAttribute("prices", prices.fields());
    model.addAttribute("scraps", scraps.offered());
    model.addAttribute("newId", UUID.randomUUID());
    return "pot/pot";
  }

  /** What a wish comes to, while it is typed. */
  @PreAuthorize("hasAuthority('DECIDE_PURPOSE')")
  @GetMapping("/pot/plan")
  String plan(@RequestParam Map<String, String> typed, Model model) {
    try {
      PotKeeper.Wish wish = wish(typed);
      PotKeeper.Worked worked = keeper.work(wish);
      model.addAttribute(
          "worked",
          worked.plan().isPresent()
              ? PotView.worked(worked, wish.wanted(), clock.instant(), formats())
              : null);
      if (current.may(Permission.SEE_COSTS)) {
        List<Input> bones = worked.inputs();
        model.addAttribute(
            "cost",
            worked.plan().map(plan -> prices.said(plan, worked.use(), bones)).orElse(List.of()));
        model.addAttribute(
            "compared",
            prices.compared(
                wish.litres(), book.kettle(wish.kettle()).kettle(), worked.use(), bones));
      }
      model.addAttribute("problem", "");
    } catch (Refusal refusal) {
      model.addAttribute("worked", null);
      model.addAttribute("problem", words.say(refusal));
    }
    return "pot/pot :: worked";
  }

  private PotKeeper.Wish wish(Map<String, String> typed) {
    Set<Answer> answers = EnumSet.noneOf(Answer.class);
    Arrays.stream(Answer.values())
        .filter(answer -> typed.containsKey("answer-" + answer.name()))
        .forEach(answers::add);
    return new PotKeeper.Wish(
        typed.getOrDefault("method", ""),
        answers,
        litres(typed),
        Typed.id(typed.getOrDefault("kettle", ""), "kettle"),
        moment(typed.getOrDefault("wanted", ""), "wanted"),
        typed.keySet().stream()
            .filter(field -> field.matches("scrap-[0-9]{1,18}"))
            .map(field -> Long.valueOf(field.substring("scrap-".length())))
            .collect(Collectors.toSet()));
  }

  /** The litres; or those of so many plates, where somebody typed plates. */
  private static double litres(Map<String, String> typed) {
    String plates = typed.getOrDefault("plates", "").strip();
    if (!plates.isEmpty()) {
      return PotPlan.litres(
          Typed.count(plates, 1, MOST_PLATES, "plates"),
          Typed.count(typed.getOrDefault("each", ""), 1, MOST_MILLILITRES, "each"));
    }
    return Typed.decimal(
            typed.getOrDefault("litres", ""),
            1,
            new java.math.BigDecimal("0.5"),
            MOST_LITRES,
            "litres")
        .doubleValue();
  }

  private Optional<Instant> moment(String typed, String field) {
    if (typed.isBlank()) {
      return Optional.empty();
    }
    return Optional.of(Typed.moment(typed, formats().zone(), field));
  }

  @PreAuthorize("hasAuthority('DECIDE_PURPOSE')")
  @PostMapping("/pot")
  String start(@RequestParam Map<String, String> typed, RedirectAttributes later) {
    String[] page = {
      "/pot?method=" + typed.getOrDefault("method", "").replaceAll("[^a-z0-9-]", "")
    };
    Map<String, String> kept = new HashMap<>(typed);
    return reply.after(
        new Form(page[0], "typed", kept),
        later,
        () -> {
          PotKeeper.Wish wish = wish(typed);
          UUID id = ClientIds.of(typed.getOrDefault("id", ""));
          SentTwice.survive(() -> keeper.start(id, wish));
          return words.say("pot.said.started");
        });
  }

  @GetMapping("/pot/{id}")
  String batch(@PathVariable long id, Model model, RedirectAttributes later) {
    Optional<Brew> found = book.find(id);
    if (found.isEmpty()) {
      // it was packed just now, or meanwhile on another tablet: what is said of it goes along
      for (String said : List.of("done", "sentence")) {
        if (model.containsAttribute(said)) {
          later.addFlashAttribute(said, model.getAttribute(said));
        }
      }
      return "redirect:/pot";
    }
    show(found.get(), model);
    return "pot/batch";
  }

  /** The same, asked for every few seconds. */
  @GetMapping("/pot/{id}/now")
  String now(@PathVariable long id, Model model) {
    return live(id, model, "live");
  }

  /** How it cools, asked for the same way; what is being typed beside it stays. */
  @GetMapping("/pot/{id}/cooling")
  String cooling(@PathVariable long id, Model model) {
    return live(id, model, "cool");
  }

  /** Of a pot that was packed meanwhile, on another tablet say, it asks no more. */
  private String live(long id, Model model, String fragment) {
    Optional<Brew> found = book.find(id);
    found.ifPresent(brew -> show(brew, model));
    return (found.isPresent() ? "pot/batch :: " : "pot/packed :: ") + fragment;
  }

  private void show(Brew brew, Model model) {
    Instant now = clock.instant();
    CoolingRule rule = rule();
    Formats formats = formats();
    model.addAttribute("brew", brew);
    model.addAttribute("card", PotView.card(brew, rule, now, houses.venueNames(), formats));
    model.addAttribute("steps", PotView.steps(brew, rule, now, formats));
    model.addAttribute("ready", PotView.ready(brew, rule, now, formats));
    model.addAttribute("inTime", PotView.isReadyInTime(brew, rule, now));
    model.addAttribute("cools", PotView.cools(brew, rule, now, formats));
    model.addAttribute("curve", CurvePicture.of(brew, rule, now, formats));
    model.addAttribute("probed", brew.probed());
    model.addAttribute("names", people.names());
    model.addAttribute(
        "instrument",
        brew.probed().stream()
            .filter(one -> !one.byProbe())
            .reduce((one, next) -> next)
            .map(Brew.Probed::instrument)
            .orElse(""));
    List<PotStep> chain = brew.run().steps();
    Optional<PotStep> on = brew.run().current();
    model.addAttribute("last", chain.get(chain.size() - 1).code());
    model.addAttribute(
        "cooling",
        !brew.probed().isEmpty() || on.filter(s -> s.work() == PotStep.Work.COOL).isPresent());
    Optional<Finding> keptOff = brew.cooling(rule).shelving(brew.since(now));
    boolean chained = brew.run().beforePacking().isEmpty();
    model.addAttribute("packing", chained && keptOff.isEmpty());
    model.addAttribute("keptOff", keptOff.filter(f -> chained).map(formats::say).orElse(""));
    model.addAttribute(
        "goesIn",
        brew.plan().ingredients().stream()
            .map(one -> words.say("pot.said.ingredient", one.line().name(), one.mass()))
            .toList());
    if (current.may(Permission.SEE_COSTS)) {
      model.addAttribute(
          "cost", prices.said(brew.plan(), brew.making().use(), brew.making().from()));
    }
    model.addAttribute("water", PotView.litres(brew.plan().water()));
    model.addAttribute("bones", formats.about(brew.making().mass()));
    model.addAttribute(
        "places",
        List.of(Surroundings.ROOM, Surroundings.FRIDGE, Surroundings.ICE_BATH, Surroundings.BLAST));
    model.addAttribute("people", people.everybody());
    model.addAttribute("me", current.get().id());
    model.addAttribute(
        "until",
        larder
            .keeping(Optional.of(FoodState.COOKED), false, brew.making().from())
            .atMost(houses.today().plusDays(brew.plan().method().keeps())));
    model.addAttribute("clockNow", formats.time(now));
    model.addAttribute("jellies", PotKeeper.Jelly.values());
    model.addAttribute("looks", PotKeeper.Look.values());
    model.addAttribute("newId", UUID.randomUUID());
  }

  private String change(
      long id, Map<String, String> typed, RedirectAttributes later, FormReply.Change work) {
    return reply.after(new Form("/pot/" + id, "typed", new LinkedHashMap<>(typed)), later, work);
  }

  @PostMapping("/pot/{id}/begin")
  String begin(
      @PathVariable long id,
      @RequestParam(defaultValue = "") String step,
      RedirectAttributes later) {
    return change(
        id,
        Map.of(),
        later,
        () -> {
          keeper.begin(id, step, clock.instant());
          return words.say("pot.said.begun");
        });
  }

  @PostMapping("/pot/{id}/done")
  String done(
      @PathVariable long id,
      @RequestParam(defaultValue = "") String step,
      RedirectAttributes later) {
    return change(
        id,
        Map.of(),
        later,
        () -> {
          keeper.done(id, step, clock.instant());
          return words.say("pot.said.done-now");
        });
  }

  @PostMapping("/pot/{id}/read")
  String read(
      @PathVariable long id,
      @RequestParam(defaultValue = "") String sent,
      @RequestParam(defaultValue = "") String temperature,
      @RequestParam(defaultValue = "") String at,
      @RequestParam(defaultValue = "") String instrument,
      RedirectAttributes later) {
    return change(
        id,
        Map.of("temperature", temperature, "at", at, "instrument", instrument),
        later,
        () -> {
          Temperature read = Temperature.parse(temperature);
          keeper.read(ClientIds.of(sent), id, read, today(at), instrument);
          return words.say("pot.said.read", read);
        });
  }

  /** A time of today; one that lies ahead was yesterday, as after midnight. */
  private Instant today(String typed) {
    ZonedDateTime now = clock.instant().atZone(formats().zone());
    if (typed.isBlank()) {
      return now.toInstant();
    }
    LocalTime time = Typed.time(typed, "at");
    ZonedDateTime then = now.with(time);
    return then.isAfter(now.plusMinutes(2)) ? then.minusDays(1).toInstant() : then.toInstant();
  }

  @PostMapping("/pot/{id}/probe")
  String probe(
      @PathVariable long id,
      @RequestParam(defaultValue = "") String sent,
      RedirectAttributes later) {
    return change(
        id, Map.of(), later, () -> words.say("pot.said.read", keeper.read(ClientIds.of(sent), id)));
  }

  @PostMapping("/pot/{id}/strike")
  String strike(
      @PathVariable long id,
      @RequestParam(defaultValue = "") String reading,
      RedirectAttributes later) {
    return change(
        id,
        Map.of(),
        later,
        () -> {
          keeper.strike(id, Typed.id(reading, "reading"));
          return words.say("pot.said.struck");
        });
  }

  @PostMapping("/pot/{id}/stand")
  String stand(
      @PathVariable long id,
      @RequestParam(defaultValue = "") String where,
      @RequestParam(defaultValue = "") String probe,
      RedirectAttributes later) {
    return change(
        id,
        Map.of(),
        later,
        () -> {
          Surroundings place =
              Typed.choice(Surroundings.values(), where)
                  .orElseThrow(() -> Refusal.ofField("where", "shared.problem.not-chosen"));
          keeper.stand(id, place, !probe.isEmpty());
          return words.say("pot.said.stands", words.say("Surroundings." + place.name()));
        });
  }

  @PostMapping("/pot/{id}/pack")
  String pack(
      @PathVariable long id, @RequestParam Map<String, String> typed, RedirectAttributes later) {
    return change(
        id,
        typed,
        later,
        () -> {
          Brew brew =
              book.find(id).orElseThrow(() -> Refusal.ofStale("pot.problem.packed-already"));
          Shelved.Spot spot =
              larder.spot(
                  brew.making().venue(),
                  typed.getOrDefault("place", ""),
                  Optional.of(Typed.id(typed.getOrDefault("by", ""), "by")));
          String until = typed.getOrDefault("until", "");
          String weight = typed.getOrDefault("weight", "").strip();
          Made made =
              new Made(
                  Typed.count(typed.getOrDefault("units", ""), 1, MOST_UNITS, "units"),
                  weight.isEmpty()
                      ? Optional.empty()
                      : Optional.of(MassText.parse(weight, formats().system().small()).mass()),
                  until.isBlank() ? Optional.empty() : Optional.of(Typed.day(until, "until")),
                  spot,
                  false,
                  Optional.empty());
          PotKeeper.Gave gave =
              new PotKeeper.Gave(
                  Typed.decimal(
                      typed.getOrDefault("litres", ""),
                      2,
                      new java.math.BigDecimal("0.1"),
                      MOST_LITRES,
                      "litres"),
                  Typed.choice(PotKeeper.Jelly.values(), typed.getOrDefault("jelly", ""))
                      .orElse(PotKeeper.Jelly.UNKNOWN),
                  Typed.choice(PotKeeper.Look.values(), typed.getOrDefault("look", ""))
                      .orElseThrow(() -> Refusal.ofField("look", "shared.problem.not-chosen")),
                  typed.getOrDefault("taste", ""));
          return words.say("pot.said.packed", keeper.pack(id, made, gave), spot.place());
        });
  }

  /** The log of the cooling, to file. */
  @TakesLong
  @GetMapping("/pot/{id}/cooling.pdf")
  ResponseEntity<byte[]> log(@PathVariable long id) {
    Brew brew = book.find(id).orElseThrow(() -> Refusal.ofMissing("pot.problem.no-such-batch"));
    Instant now = clock.instant();
    Map<String, Object> model = new LinkedHashMap<>();
    model.put("house", houses.house());
    model.put("f", formats());
    model.put("card", PotView.card(brew, rule(), now, houses.venueNames(), formats()));
    model.put("probed", brew.probed());
    model.put("names", people.names());
    model.put("cools", PotView.cools(brew, rule(), now, formats()));
    model.put("curve", CurvePicture.of(brew, rule(), now, formats()));
    return paper.sheet("pot/cooling-log", model, "cooling-log.pdf");
  }
}
