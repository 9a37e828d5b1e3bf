package mosaicknife.app.pot;

import java.math.BigDecimal;
import java.time.Clock;
import java.time.Instant;
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
import mosaicknife.app.larder.KeepingDays;
import mosaicknife.app.larder.LarderKeeper.Input;
import mosaicknife.app.larder.Spots;
import mosaicknife.app.lot.ColdChainKeeper;
import mosaicknife.app.shared.Done;
import mosaicknife.app.shared.Form;
import mosaicknife.app.shared.Formats;
import mosaicknife.app.shared.Paper;
import mosaicknife.app.shared.Refusal;
import mosaicknife.app.shared.Sent;
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

  private static final BigDecimal LEAST_LITRES = new BigDecimal("0.1");
  private static final BigDecimal LEAST_BATCH = new BigDecimal("0.5");
  private static final BigDecimal MOST_LITRES = BigDecimal.valueOf(500);
  private static final int MOST_UNITS = 100_000;
  private static final int MOST_PLATES = 500;
  private static final int MOST_MILLILITRES = 1000;

  private final PotBook book;
  private final PotKeeper keeper;
  private final ColdChainKeeper limits;
  private final KeepingDays days;
  private final Spots spots;
  private final PotPrices prices;
  private final Scraps scraps;
  private final PeopleRegister people;
  private final CurrentPerson current;
  private final HouseSettings houses;
  private final Paper paper;
  private final Words words;
  private final Clock clock;

  PotController(
      PotBook book,
      PotKeeper keeper,
      ColdChainKeeper limits,
      KeepingDays days,
      Spots spots,
      PotPrices prices,
      Scraps scraps,
      PeopleRegister people,
      CurrentPerson current,
      HouseSettings houses,
      Paper paper,
      Words words,
      Clock clock) {
    this.book = book;
    this.keeper = keeper;
    this.limits = limits;
    this.days = days;
    this.spots = spots;
    this.prices = prices;
    this.scraps = scraps;
    this.people = people;
    this.current = current;
    this.houses = houses;
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
  String plan(Sent sent, Model model) {
    try {
      PotKeeper.Wish wish = wish(sent);
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

  private static PotKeeper.Wish wish(Sent sent) {
    Set<Answer> answers = EnumSet.noneOf(Answer.class);
    Arrays.stream(Answer.values())
        .filter(answer -> sent.has("answer-" + answer.name()))
        .forEach(answers::add);
    return new PotKeeper.Wish(
        sent.text("method"),
        answers,
        litres(sent),
        sent.id("kettle"),
        sent.given("wanted", sent::moment),
        sent.typed().keySet().stream()
            .filter(field -> field.matches("scrap-[0-9]{1,18}"))
            .map(field -> Long.valueOf(field.substring("scrap-".length())))
            .collect(Collectors.toSet()));
  }

  /** The litres; or those of so many plates, where somebody typed plates. */
  private static double litres(Sent sent) {
    return sent.given("plates", field -> sent.count(field, 1, MOST_PLATES))
        .map(plates -> PotPlan.litres(plates, sent.count("each", 1, MOST_MILLILITRES)))
        .orElseGet(() -> sent.decimal("litres", 1, LEAST_BATCH, MOST_LITRES).doubleValue());
  }

  @PreAuthorize("hasAuthority('DECIDE_PURPOSE')")
  @PostMapping("/pot")
  @Form("/pot?method={method}")
  Done start(Sent sent) {
    keeper.start(sent.own(), wish(sent));
    return Done.said("pot.said.started")
        .on("/pot?method=" + sent.text("method").replaceAll("[^a-z0-9-]", ""));
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
        days.keeping(Optional.of(FoodState.COOKED), false, brew.making().from())
            .atMost(houses.today().plusDays(brew.plan().method().keeps())));
    model.addAttribute("clockNow", formats.time(now));
    model.addAttribute("jellies", PotKeeper.Jelly.values());
    model.addAttribute("looks", PotKeeper.Look.values());
    model.addAttribute("newId", UUID.randomUUID());
  }

  @PostMapping("/pot/{id}/begin")
  @Form("/pot/{id}")
  Done begin(@PathVariable long id, Sent sent) {
    keeper.begin(id, sent.text("step"), clock.instant());
    return Done.said("pot.said.begun");
  }

  @PostMapping("/pot/{id}/done")
  @Form("/pot/{id}")
  Done done(@PathVariable long id, Sent sent) {
    keeper.done(id, sent.text("step"), clock.instant());
    return Done.said("pot.said.done-now");
  }

  @PostMapping("/pot/{id}/read")
  @Form("/pot/{id}")
  Done read(@PathVariable long id, Sent sent) {
    Temperature read = sent.temperature("temperature");
    Instant now = clock.instant();
    Instant at = sent.given("at", field -> sent.lately(field, now)).orElse(now);
    keeper.read(sent.own("sent"), id, read, at, sent.text("instrument"));
    return Done.said("pot.said.read", read);
  }

  @PostMapping("/pot/{id}/probe")
  @Form("/pot/{id}")
  Done probe(@PathVariable long id, Sent sent) {
    return Done.said("pot.said.read", keeper.read(sent.own("sent"), id));
  }

  @PostMapping("/pot/{id}/strike")
  @Form("/pot/{id}")
  Done strike(@PathVariable long id, Sent sent) {
    keeper.strike(id, sent.id("reading"));
    return Done.said("pot.said.struck");
  }

  @PostMapping("/pot/{id}/stand")
  @Form("/pot/{id}")
  Done stand(@PathVariable long id, Sent sent) {
    Surroundings place = sent.choice(Surroundings.values(), "where");
    keeper.stand(id, place, !sent.text("probe").isEmpty());
    return Done.said("pot.said.stands", words.say("Surroundings." + place.name()));
  }

  @PostMapping("/pot/{id}/pack")
  @Form("/pot/{id}")
  Done pack(@PathVariable long id, Sent sent) {
    Brew brew = book.find(id).orElseThrow(() -> Refusal.ofStale("pot.problem.packed-already"));
    Shelved.Spot spot = spots.read(brew.making().venue(), sent);
    Made made =
        new Made(
            sent.count("units", 1, MOST_UNITS),
            sent.given("weight", sent::mass),
            sent.given("until", sent::day),
            spot,
            false,
            Optional.empty());
    PotKeeper.Gave gave =
        new PotKeeper.Gave(
            sent.decimal("litres", 2, LEAST_LITRES, MOST_LITRES),
            Typed.choice(PotKeeper.Jelly.values(), sent.text("jelly"))
                .orElse(PotKeeper.Jelly.UNKNOWN),
            sent.choice(PotKeeper.Look.values(), "look"),
            sent.text("taste"));
    return Done.said("pot.said.packed", keeper.pack(id, made, gave), spot.place());
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
