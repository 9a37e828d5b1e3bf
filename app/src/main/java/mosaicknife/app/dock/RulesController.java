package mosaicknife.app.dock;

import java.time.LocalDate;
import java.time.MonthDay;
import java.util.Arrays;
import java.util.Map;
import java.util.Optional;
import mosaicknife.app.catalogue.CatalogueEditor;
import mosaicknife.app.catalogue.FishNames;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.lot.CatchRuleKeeper;
import mosaicknife.app.lot.ColdChainKeeper;
import mosaicknife.app.lot.LotInspector;
import mosaicknife.app.lot.RawGateKeeper;
import mosaicknife.app.shared.FieldName;
import mosaicknife.app.shared.FormReply;
import mosaicknife.app.shared.FormReply.Form;
import mosaicknife.app.shared.PlainText;
import mosaicknife.app.shared.Refusal;
import mosaicknife.app.shared.Typed;
import mosaicknife.app.shared.Words;
import mosaicknife.core.anatomy.Species;
import mosaicknife.core.lot.CatchMethod;
import mosaicknife.core.lot.CatchRule;
import mosaicknife.core.quantity.Length;
import mosaicknife.core.quantity.Temperature;
import mosaicknife.core.safety.FreezingRule;
import mosaicknife.core.safety.LengthRule.Basis;
import mosaicknife.core.safety.Limit;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The house's own rules: limits, freezing for raw, lengths. */
@Controller
class RulesController {

  private final LotInspector inspections;
  private final RawGateKeeper gates;
  private final ColdChainKeeper cold;
  private final CatchRuleKeeper catches;
  private final CatalogueEditor catalogue;
  private final HouseSettings houses;
  private final FormReply reply;
  private final Words words;

  RulesController(
      LotInspector inspections,
      RawGateKeeper gates,
      ColdChainKeeper cold,
      CatchRuleKeeper catches,
      CatalogueEditor catalogue,
      HouseSettings houses,
      FormReply reply,
      Words words) {
    this.inspections = inspections;
    this.gates = gates;
    this.cold = cold;
    this.catches = catches;
    this.catalogue = catalogue;
    this.houses = houses;
    this.reply = reply;
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
  String setLimit(
      @RequestParam(defaultValue = "") String which,
      @RequestParam(defaultValue = "") String value,
      @RequestParam(defaultValue = "") String source,
      RedirectAttributes later) {
    return reply.after(
        new Form(
            "/dock/rules#limits",
            "typedLimit",
            Map.of("which", which, "value", value, "source", source)),
        later,
        () -> {
          Limit limit =
              Arrays.stream(Limit.values())
                  .filter(one -> one.name().equals(which))
                  .findFirst()
                  .orElseThrow(() -> Refusal.ofStale("weighing.problem.the-page-was-not-complete"));
          int typed =
              limit.unit() == Limit.Unit.TENTHS_OF_A_DEGREE
                  ? Temperature.parse(value).tenths()
                  : Typed.count(value, limit.least(), limit.most(), "value");
          cold.set(limit, typed, source);
          return words.say("dock.said.limit-set", words.say(limit));
        });
  }

  @PostMapping("/dock/rules")
  String keepRule(
      @RequestParam String fish,
      @RequestParam Basis basis,
      @RequestParam String minimum,
      @RequestParam String source,
      @RequestParam String expires,
      RedirectAttributes later) {
    return reply.after(
        new Form(
            "/dock/rules#lengths",
            "typed",
            Map.of("fish", fish, "minimum", minimum, "source", source, "expires", expires)),
        later,
        () -> {
          Species species = species(fish);
          inspections.keepRule(
              species.code(), basis, Length.parse(minimum), source, Typed.day(expires, "expires"));
          return words.say("dock.said.rule-saved", species.name());
        });
  }

  @PostMapping("/dock/rules/{id}/drop")
  String dropRule(@PathVariable long id) {
    inspections.dropRule(id);
    return "redirect:/dock/rules#lengths";
  }

  private Species species(String name) {
    return Optional.of(name)
        .filter(typed -> !typed.isBlank())
        .flatMap(
            typed ->
                new FishNames(catalogue.now(), houses.house().formats())
                    .writtenOrMeant(typed, "fish"))
        .orElseThrow(() -> Refusal.ofField("fish", "dock.problem.no-fish-is-called-that"));
  }

  /** A rule about a catch as typed. */
  record CatchForm(
      String fish,
      String kind,
      String area,
      String method,
      String from,
      String to,
      String most,
      String source,
      String expires) {

    CatchForm {
      fish = text(fish);
      kind = text(kind);
      area = text(area);
      method = text(method);
      from = text(from);
      to = text(to);
      most = text(most);
      source = text(source);
      expires = text(expires);
    }

    private static String text(String typed) {
      return typed == null ? "" : typed.strip();
    }

    private Map<String, String> typed() {
      return Map.of(
          "fish", fish, "kind", kind, "area", area, "method", method, "from", from, "to", to,
          "most", most, "source", source, "expires", expires);
    }

    private CatchRule rule(Species species, LocalDate today) {
      LocalDate until = Typed.day(expires, "expires");
      if (until.isBefore(today)) {
        throw Refusal.ofField("expires", "lot.problem.the-rule-would-have-run");
      }
      return new CatchRule(
          species.code(),
          Typed.choice(CatchRule.Kind.values(), kind)
              .orElseThrow(() -> Refusal.ofField("kind", "dock.problem.which-rule")),
          PlainText.line(area, 80, "area", FieldName.CATCH_AREA),
          Typed.choice(CatchMethod.values(), method),
          day(from, "from"),
          day(to, "to"),
          most.isEmpty()
              ? Optional.empty()
              : Optional.of(Typed.count(most, 0, CatchRule.MOST_FISH, "most")),
          PlainText.needed(source, 160, "source", FieldName.SOURCE),
          today,
          until);
    }

    private static Optional<MonthDay> day(String typed, String field) {
      return typed.isEmpty()
          ? Optional.empty()
          : Optional.of(MonthDay.from(Typed.day(typed, field)));
    }
  }

  @PostMapping("/dock/rules/catch")
  String keepCatch(CatchForm form, RedirectAttributes later) {
    return reply.after(
        new Form("/dock/rules#catch", "typedCatch", form.typed()),
        later,
        () -> {
          Species species = species(form.fish());
          catches.keep(form.rule(species, houses.today()));
          return words.say("dock.said.rule-saved", species.name());
        });
  }

  @PostMapping("/dock/rules/catch/{id}/drop")
  String dropCatch(@PathVariable long id) {
    catches.drop(id);
    return "redirect:/dock/rules#catch";
  }

  @PostMapping("/dock/rules/freezing")
  String keepPair(
      @RequestParam(defaultValue = "") String atMost,
      @RequestParam(defaultValue = "") String hours,
      @RequestParam(defaultValue = "") String thickest,
      @RequestParam(defaultValue = "") String source,
      @RequestParam(defaultValue = "") String expires,
      RedirectAttributes later) {
    Map<String, String> typed =
        Map.of(
            "atMost",
            atMost,
            "hours",
            hours,
            "thickest",
            thickest,
            "source",
            source,
            "expires",
            expires);
    return reply.after(
        new Form("/dock/rules#freezing", "typedPair", typed),
        later,
        () -> {
          Temperature held = Temperature.parse(atMost);
          gates.keepRule(
              held,
              Typed.count(hours, 1, FreezingRule.MOST_HOURS, "hours"),
              thickest.isBlank() ? Optional.empty() : Optional.of(Length.parse(thickest)),
              source,
              Typed.day(expires, "expires"));
          return words.say("dock.said.pair-saved", held);
        });
  }

  @PostMapping("/dock/rules/freezing/{id}/drop")
  String dropPair(@PathVariable long id) {
    gates.dropRule(id);
    return "redirect:/dock/rules#freezing";
  }
}
