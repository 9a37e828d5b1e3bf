package mosaicknife.app.pot;

import java.math.BigDecimal;
import java.time.Clock;
import java.time.Instant;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import mosaicknife.app.booklet.HouseRules;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.larder.LarderKeeper.Input;
import mosaicknife.app.shared.Done;
import mosaicknife.app.shared.Form;
import mosaicknife.app.shared.Formats;
import mosaicknife.app.shared.Refusal;
import mosaicknife.app.shared.Sent;
import mosaicknife.app.shared.Words;
import mosaicknife.core.heat.CoolingRule;
import mosaicknife.core.pot.PotPlan;
import mosaicknife.core.pot.PotStep.Answer;
import mosaicknife.core.pot.StockMethod;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** What is on the hob, and what can be put on. */
@Controller
class PotController {

  private static final BigDecimal LEAST_BATCH = new BigDecimal("0.5");
  private static final BigDecimal MOST_LITRES = BigDecimal.valueOf(500);
  private static final int MOST_PLATES = 500;
  private static final int MOST_MILLILITRES = 1000;

  private final PotBook book;
  private final PotStarter starter;
  private final HouseRules limits;
  private final PotPrices prices;
  private final Scraps scraps;
  private final HouseSettings houses;
  private final Words words;
  private final Clock clock;

  PotController(
      PotBook book,
      PotStarter starter,
      HouseRules limits,
      PotPrices prices,
      Scraps scraps,
      HouseSettings houses,
      Words words,
      Clock clock) {
    this.book = book;
    this.starter = starter;
    this.limits = limits;
    this.prices = prices;
    this.scraps = scraps;
    this.houses = houses;
    this.words = words;
    this.clock = clock;
  }

  private Formats formats() {
    return houses.house().formats();
  }

  @GetMapping("/pot")
  String pot(@RequestParam(defaultValue = "") String method, Model model) {
    Instant now = clock.instant();
    CoolingRule rule = CoolingRule.of(limits.limits());
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
      PotStarter.Wish wish = wish(sent);
      PotStarter.Worked worked = starter.work(wish);
      model.addAttribute(
          "worked",
          worked.plan().isPresent()
              ? PotView.worked(worked, wish.wanted(), clock.instant(), formats())
              : null);
      List<Input> bones = worked.inputs();
      model.addAttribute(
          "cost",
          worked.plan().map(plan -> prices.said(plan, worked.use(), bones)).orElse(List.of()));
      model.addAttribute(
          "compared",
          prices.compared(wish.litres(), book.kettle(wish.kettle()).kettle(), worked.use(), bones));
      model.addAttribute("problem", "");
    } catch (Refusal refusal) {
      model.addAttribute("worked", null);
      model.addAttribute("problem", words.say(refusal));
    }
    return "pot/pot :: worked";
  }

  private static PotStarter.Wish wish(Sent sent) {
    Set<Answer> answers = EnumSet.noneOf(Answer.class);
    Arrays.stream(Answer.values())
        .filter(answer -> sent.has("answer-" + answer.name()))
        .forEach(answers::add);
    return new PotStarter.Wish(
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
    starter.start(sent.own(), wish(sent));
    return Done.said("pot.said.started")
        .on("/pot?method=" + sent.text("method").replaceAll("[^a-z0-9-]", ""));
  }
}
