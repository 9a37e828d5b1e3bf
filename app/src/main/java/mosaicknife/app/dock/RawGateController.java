package mosaicknife.app.dock;

import java.time.ZoneId;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.lot.ColdChainKeeper;
import mosaicknife.app.lot.LotRegister;
import mosaicknife.app.lot.RawGateKeeper;
import mosaicknife.app.shared.ClientIds;
import mosaicknife.app.shared.FormReply;
import mosaicknife.app.shared.FormReply.Form;
import mosaicknife.app.shared.Refusal;
import mosaicknife.app.shared.SentTwice;
import mosaicknife.app.shared.Typed;
import mosaicknife.app.shared.Words;
import mosaicknife.app.weighing.LotSheets;
import mosaicknife.core.lot.ColdChain;
import mosaicknife.core.lot.Lot;
import mosaicknife.core.lot.LotPart;
import mosaicknife.core.quantity.Length;
import mosaicknife.core.quantity.Temperature;
import mosaicknife.core.safety.FreezingRecord.Froze;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** What opens the raw gate of a lot, and how long it stood warm. */
@Controller
class RawGateController {

  private final RawGateKeeper gates;
  private final ColdChainKeeper cold;
  private final LotRegister lots;
  private final LotSheets sheets;
  private final HouseSettings houses;
  private final FormReply reply;
  private final Words words;

  RawGateController(
      RawGateKeeper gates,
      ColdChainKeeper cold,
      LotRegister lots,
      LotSheets sheets,
      HouseSettings houses,
      FormReply reply,
      Words words) {
    this.gates = gates;
    this.cold = cold;
    this.lots = lots;
    this.sheets = sheets;
    this.houses = houses;
    this.reply = reply;
    this.words = words;
  }

  @PostMapping("/dock/{id}/frozen")
  String froze(
      @PathVariable long id,
      @RequestParam(name = "id") String own,
      @RequestParam Map<String, String> typed,
      RedirectAttributes later) {
    return reply.after(
        new Form("/dock/" + id + "#raw-gate", "typedFrozen", typed),
        later,
        () -> {
          UUID sentAs = ClientIds.of(own);
          RawGateKeeper.Frozen frozen = frozen(id, typed);
          SentTwice.survive(
              () -> {
                gates.froze(lots.get(id), sentAs, frozen);
                return id;
              });
          Lot after = lots.get(id);
          return words.say(
              "dock.said.record-kept", after.rawGate(frozen.part()).map(words::say).orElse(""));
        });
  }

  private RawGateKeeper.Frozen frozen(long id, Map<String, String> typed) {
    ZoneId zone = houses.house().formats().zone();
    return new RawGateKeeper.Frozen(
        given(typed, "part")
            .map(
                part ->
                    sheets
                        .get(id)
                        .find(part)
                        .map(LotPart::slot)
                        .orElseThrow(
                            () ->
                                Refusal.ofField("part", "parts.problem.lot-has-no-such-part", id))),
        Typed.choice(Froze.values(), typed.getOrDefault("froze", "HOUSE"))
            .filter(froze -> froze != Froze.UNPROVED)
            .orElseThrow(() -> Refusal.ofStale("weighing.problem.the-page-was-not-complete")),
        given(typed, "from").map(text -> Typed.moment(text, zone, "from")),
        given(typed, "to").map(text -> Typed.moment(text, zone, "to")),
        Temperature.parse(typed.getOrDefault("before", "")),
        Temperature.parse(typed.getOrDefault("after", "")),
        given(typed, "thickness").map(Length::parse),
        typed.getOrDefault("curve", ""),
        typed.getOrDefault("place", ""),
        typed.getOrDefault("paper", ""),
        given(typed, "caught").map(text -> Typed.day(text, "caught")));
  }

  private static Optional<String> given(Map<String, String> typed, String field) {
    return Optional.ofNullable(typed.get(field)).map(String::strip).filter(t -> !t.isEmpty());
  }

  @PostMapping("/dock/{id}/exempt")
  String exempt(
      @PathVariable long id,
      @RequestParam(name = "id") String own,
      @RequestParam(defaultValue = "") String name,
      @RequestParam(defaultValue = "") String evidence,
      RedirectAttributes later) {
    return reply.after(
        new Form(
            "/dock/" + id + "#raw-gate", "typedExempt", Map.of("name", name, "evidence", evidence)),
        later,
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

  @PostMapping("/dock/{id}/warm")
  String stoodWarm(
      @PathVariable long id,
      @RequestParam(name = "id") String own,
      @RequestParam(defaultValue = "") String minutes,
      @RequestParam(defaultValue = "") String why,
      RedirectAttributes later) {
    return reply.after(
        new Form("/dock/" + id + "#cold", "typedWarm", Map.of("minutes", minutes, "why", why)),
        later,
        () -> {
          lots.get(id);
          UUID sentAs = ClientIds.of(own);
          int howLong = Typed.count(minutes, 1, ColdChain.MOST_MINUTES, "minutes");
          SentTwice.survive(
              () -> {
                cold.stoodWarm(id, sentAs, howLong, why);
                return id;
              });
          return words.say("dock.said.warm-kept", lots.get(id).cold().minutes());
        });
  }
}
