package mosaicknife.app.dock;

import java.time.LocalDate;
import java.time.MonthDay;
import java.util.stream.Collectors;
import mosaicknife.app.booklet.HouseRules;
import mosaicknife.app.catalogue.CatalogueEditor;
import mosaicknife.app.catalogue.FishNames;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.shared.Done;
import mosaicknife.app.shared.FieldName;
import mosaicknife.app.shared.Form;
import mosaicknife.app.shared.PlainText;
import mosaicknife.app.shared.Refusal;
import mosaicknife.app.shared.Sent;
import mosaicknife.app.shared.Typed;
import mosaicknife.app.shared.Words;
import mosaicknife.core.anatomy.Species;
import mosaicknife.core.lot.CatchMethod;
import mosaicknife.core.lot.CatchRule;
import mosaicknife.core.quantity.Temperature;
import mosaicknife.core.safety.FreezingRule;
import mosaicknife.core.safety.LengthRule.Basis;
import mosaicknife.core.safety.Limit;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;

/** The house's own rules: limits, freezing for raw, lengths. */
@Controller
class RulesController {

  private final HouseRules rules;
  private final CatalogueEditor catalogue;
  private final HouseSettings houses;
  private final Words words;

  RulesController(HouseRules rules, CatalogueEditor catalogue, HouseSettings houses, Words words) {
    this.rules = rules;
    this.catalogue = catalogue;
    this.houses = houses;
    this.words = words;
  }

  @GetMapping("/dock/rules")
  String rules(Model model) {
    model.addAttribute("limits", rules.limitRows());
    model.addAttribute("catches", rules.catches());
    model.addAttribute("catchKinds", CatchRule.Kind.values());
    model.addAttribute("methods", CatchMethod.values());
    model.addAttribute("rules", rules.lengths());
    model.addAttribute("freezing", rules.pairs());
    model.addAttribute(
        "names",
        catalogue.now().species().stream().collect(Collectors.toMap(Species::code, Species::name)));
    model.addAttribute("bases", Basis.values());
    return "dock/rules";
  }

  @PostMapping("/dock/rules/limit")
  @Form(value = "/dock/rules#limits", keeps = "typedLimit")
  Done setLimit(Sent sent) {
    Limit limit =
        Typed.choice(Limit.values(), sent.text("which"))
            .orElseThrow(() -> Refusal.ofStale("weighing.problem.the-page-was-not-complete"));
    int value =
        limit.unit() == Limit.Unit.TENTHS_OF_A_DEGREE
            ? sent.temperature("value").tenths()
            : sent.count("value", limit.least(), limit.most());
    rules.set(limit, value, sent.text("source"));
    return Done.said("dock.said.limit-set", words.say(limit));
  }

  @PostMapping("/dock/rules")
  @Form("/dock/rules#lengths")
  Done keepRule(Sent sent) {
    Species species = species(sent);
    rules.keepLength(
        species.code(),
        sent.choice(Basis.values(), "basis"),
        sent.length("minimum"),
        sent.text("source"),
        sent.day("expires"));
    return Done.said("dock.said.rule-saved", species.name());
  }

  @PostMapping("/dock/rules/{id}/drop")
  @Form("/dock/rules#lengths")
  Done dropRule(@PathVariable long id) {
    rules.drop(HouseRules.LENGTHS, id);
    return Done.QUIETLY;
  }

  private Species species(Sent sent) {
    return sent.given(
            "fish",
            field ->
                new FishNames(catalogue.now(), houses.house().formats())
                    .writtenOrMeant(sent.text(field), field))
        .flatMap(found -> found)
        .orElseThrow(() -> Refusal.ofField("fish", "dock.problem.no-fish-is-called-that"));
  }

  private CatchRule rule(Sent sent, Species species) {
    LocalDate until = sent.day("expires");
    return new CatchRule(
        species.code(),
        Typed.choice(CatchRule.Kind.values(), sent.text("kind"))
            .orElseThrow(() -> Refusal.ofField("kind", "dock.problem.which-rule")),
        PlainText.line(sent.text("area"), 80, "area", FieldName.CATCH_AREA),
        Typed.choice(CatchMethod.values(), sent.text("method")),
        sent.given("from", sent::day).map(MonthDay::from),
        sent.given("to", sent::day).map(MonthDay::from),
        sent.given("most", field -> sent.count(field, 0, CatchRule.MOST_FISH)),
        PlainText.needed(sent.text("source"), 160, "source", FieldName.SOURCE),
        rules.trusted(until),
        until);
  }

  @PostMapping("/dock/rules/catch")
  @Form(value = "/dock/rules#catch", keeps = "typedCatch")
  Done keepCatch(Sent sent) {
    Species species = species(sent);
    rules.keep(rule(sent, species));
    return Done.said("dock.said.rule-saved", species.name());
  }

  @PostMapping("/dock/rules/catch/{id}/drop")
  @Form("/dock/rules#catch")
  Done dropCatch(@PathVariable long id) {
    rules.drop(HouseRules.CATCHES, id);
    return Done.QUIETLY;
  }

  @PostMapping("/dock/rules/freezing")
  @Form(value = "/dock/rules#freezing", keeps = "typedPair")
  Done keepPair(Sent sent) {
    Temperature held = sent.temperature("atMost");
    rules.keepPair(
        held,
        sent.count("hours", 1, FreezingRule.MOST_HOURS),
        sent.given("thickest", sent::length),
        sent.text("source"),
        sent.day("expires"));
    return Done.said("dock.said.pair-saved", held);
  }

  @PostMapping("/dock/rules/freezing/{id}/drop")
  @Form("/dock/rules#freezing")
  Done dropPair(@PathVariable long id) {
    rules.drop(HouseRules.PAIRS, id);
    return Done.QUIETLY;
  }
}
