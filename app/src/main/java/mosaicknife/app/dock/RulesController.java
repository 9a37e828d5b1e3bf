package mosaicknife.app.dock;

import java.time.LocalDate;
import java.time.MonthDay;
import mosaicknife.app.catalogue.CatalogueEditor;
import mosaicknife.app.catalogue.FishNames;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.lot.CatchRuleKeeper;
import mosaicknife.app.lot.ColdChainKeeper;
import mosaicknife.app.lot.LotInspector;
import mosaicknife.app.lot.RawGateKeeper;
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

  private final LotInspector inspections;
  private final RawGateKeeper gates;
  private final ColdChainKeeper cold;
  private final CatchRuleKeeper catches;
  private final CatalogueEditor catalogue;
  private final HouseSettings houses;
  private final Words words;

  RulesController(
      LotInspector inspections,
      RawGateKeeper gates,
      ColdChainKeeper cold,
      CatchRuleKeeper catches,
      CatalogueEditor catalogue,
      HouseSettings houses,
      Words words) {
    this.inspections = inspections;
    this.gates = gates;
    this.cold = cold;
    this.catches = catches;
    this.catalogue = catalogue;
    this.houses = houses;
    this.words = words;
  }

  @GetMapping("/dock/rules")
  String rules(Model model) {
    model.addAttribute("limits", cold.rows());
    model.addAttribute("catches", catches.rows());
    model.addAttribute("catchKinds", CatchRule.Kind.values());
    model.addAttribute("methods", CatchMethod.values());
    model.addAttribute("rules", inspections.rules());
    model.addAttribute("freezing", gates.rules());
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
    cold.set(limit, value, sent.text("source"));
    return Done.said("dock.said.limit-set", words.say(limit));
  }

  @PostMapping("/dock/rules")
  @Form("/dock/rules#lengths")
  Done keepRule(Sent sent) {
    Species species = species(sent);
    inspections.keepRule(
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
    inspections.dropRule(id);
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

  private static CatchRule rule(Sent sent, Species species, LocalDate today) {
    LocalDate until = sent.day("expires");
    if (until.isBefore(today)) {
      throw Refusal.ofField("expires", "lot.problem.the-rule-would-have-run");
    }
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
        today,
        until);
  }

  @PostMapping("/dock/rules/catch")
  @Form(value = "/dock/rules#catch", keeps = "typedCatch")
  Done keepCatch(Sent sent) {
    Species species = species(sent);
    catches.keep(rule(sent, species, houses.today()));
    return Done.said("dock.said.rule-saved", species.name());
  }

  @PostMapping("/dock/rules/catch/{id}/drop")
  @Form("/dock/rules#catch")
  Done dropCatch(@PathVariable long id) {
    catches.drop(id);
    return Done.QUIETLY;
  }

  @PostMapping("/dock/rules/freezing")
  @Form(value = "/dock/rules#freezing", keeps = "typedPair")
  Done keepPair(Sent sent) {
    Temperature held = sent.temperature("atMost");
    gates.keepRule(
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
    gates.dropRule(id);
    return Done.QUIETLY;
  }
}
