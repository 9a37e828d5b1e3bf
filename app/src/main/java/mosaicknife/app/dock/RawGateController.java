package mosaicknife.app.dock;

import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import mosaicknife.app.lot.LotRegister;
import mosaicknife.app.lot.RawGateKeeper;
import mosaicknife.app.shared.ClientIds;
import mosaicknife.app.shared.Refusal;
import mosaicknife.app.shared.SentTwice;
import mosaicknife.app.shared.Typed;
import mosaicknife.app.shared.Words;
import mosaicknife.core.lot.Lot;
import mosaicknife.core.quantity.Length;
import mosaicknife.core.quantity.QuantityFormatException;
import mosaicknife.core.quantity.Temperature;
import mosaicknife.core.safety.FreezingRule;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** What opens the raw gate of a lot, and the house's pairs for it. */
@Controller
class RawGateController {

  private final RawGateKeeper gates;
  private final LotRegister lots;
  private final Words words;

  RawGateController(RawGateKeeper gates, LotRegister lots, Words words) {
    this.gates = gates;
    this.lots = lots;
    this.words = words;
  }

  @PostMapping("/dock/{id}/frozen")
  String froze(
      @PathVariable long id,
      @RequestParam(name = "id") String own,
      @RequestParam(defaultValue = "") String part,
      @RequestParam(defaultValue = "") String core,
      @RequestParam(defaultValue = "") String hours,
      @RequestParam(defaultValue = "") String thickness,
      RedirectAttributes later) {
    Map<String, String> typed = new HashMap<>();
    typed.put("part", part);
    typed.put("core", core);
    typed.put("hours", hours);
    typed.put("thickness", thickness);
    return change(
        "/dock/" + id + "#raw-gate",
        later,
        "typedFrozen",
        typed,
        () -> {
          Lot lot = lots.get(id);
          UUID sentAs = ClientIds.of(own);
          Optional<String> slot = Optional.of(part).filter(text -> !text.isBlank());
          Temperature held = Temperature.parse(core);
          int howLong = Typed.count(hours, 1, FreezingRule.MOST_HOURS, "hours");
          Optional<Length> thick = length(thickness);
          SentTwice.survive(
              () -> {
                gates.froze(id, sentAs, slot, held, howLong, thick);
                return id;
              });
          Lot after = lots.get(lot.id());
          return words.say("dock.said.record-kept", after.rawGate(slot).map(words::say).orElse(""));
        });
  }

  @PostMapping("/dock/{id}/exempt")
  String exempt(
      @PathVariable long id,
      @RequestParam(name = "id") String own,
      @RequestParam(defaultValue = "") String name,
      @RequestParam(defaultValue = "") String evidence,
      RedirectAttributes later) {
    Map<String, String> typed = new HashMap<>(Map.of("name", name, "evidence", evidence));
    return change(
        "/dock/" + id + "#raw-gate",
        later,
        "typedExempt",
        typed,
        () -> {
          lots.get(id);
          UUID sentAs = ClientIds.of(own);
          SentTwice.survive(
              () -> {
                gates.exempt(id, sentAs, name, evidence);
                return id;
              });
          return words.say("dock.said.exemption-kept");
        });
  }

  @PostMapping("/dock/rules/freezing")
  String keepRule(
      @RequestParam(defaultValue = "") String atMost,
      @RequestParam(defaultValue = "") String hours,
      @RequestParam(defaultValue = "") String thickest,
      @RequestParam(defaultValue = "") String source,
      @RequestParam(defaultValue = "") String expires,
      RedirectAttributes later) {
    Map<String, String> typed = new HashMap<>();
    typed.put("atMost", atMost);
    typed.put("hours", hours);
    typed.put("thickest", thickest);
    typed.put("source", source);
    typed.put("expires", expires);
    return change(
        "/dock/rules#freezing",
        later,
        "typedPair",
        typed,
        () -> {
          Temperature cold = Temperature.parse(atMost);
          gates.keepRule(
              cold,
              Typed.count(hours, 1, FreezingRule.MOST_HOURS, "hours"),
              length(thickest),
              source,
              Typed.day(expires, "expires"));
          return words.say("dock.said.pair-saved", cold);
        });
  }

  @PostMapping("/dock/rules/freezing/{id}/drop")
  String dropRule(@PathVariable long id) {
    gates.dropRule(id);
    return "redirect:/dock/rules";
  }

  private static Optional<Length> length(String typed) {
    return typed.isBlank() ? Optional.empty() : Optional.of(Length.parse(typed));
  }

  private interface Change {
    String done();
  }

  private String change(
      String page, RedirectAttributes later, String name, Map<String, String> typed, Change work) {
    try {
      later.addFlashAttribute("done", work.done());
    } catch (Refusal | QuantityFormatException refusal) {
      if (refusal instanceof Refusal missing && missing.kind() == Refusal.Kind.MISSING) {
        throw missing;
      }
      later.addFlashAttribute("sentence", words.say(refusal));
      later.addFlashAttribute(name, typed);
    }
    return "redirect:" + page;
  }
}
