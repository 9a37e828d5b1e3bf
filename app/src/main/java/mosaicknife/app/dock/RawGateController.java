package mosaicknife.app.dock;

import mosaicknife.app.lot.ColdChainKeeper;
import mosaicknife.app.lot.LotRegister;
import mosaicknife.app.lot.RawGateKeeper;
import mosaicknife.app.shared.Done;
import mosaicknife.app.shared.Form;
import mosaicknife.app.shared.Refusal;
import mosaicknife.app.shared.Sent;
import mosaicknife.app.shared.Typed;
import mosaicknife.app.shared.Words;
import mosaicknife.app.weighing.LotSheets;
import mosaicknife.core.lot.ColdChain;
import mosaicknife.core.lot.LotPart;
import mosaicknife.core.safety.FreezingRecord.Froze;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;

/** What opens the raw gate of a lot, and how long it stood warm. */
@Controller
class RawGateController {

  private final RawGateKeeper gates;
  private final ColdChainKeeper cold;
  private final LotRegister lots;
  private final LotSheets sheets;
  private final Words words;

  RawGateController(
      RawGateKeeper gates, ColdChainKeeper cold, LotRegister lots, LotSheets sheets, Words words) {
    this.gates = gates;
    this.cold = cold;
    this.lots = lots;
    this.sheets = sheets;
    this.words = words;
  }

  @PostMapping("/dock/{id}/frozen")
  @Form(value = "/dock/{id}#raw-gate", keeps = "typedFrozen")
  Done froze(@PathVariable("id") long lot, Sent sent) {
    RawGateKeeper.Frozen frozen = frozen(lot, sent);
    gates.froze(lots.get(lot), sent.own(), frozen);
    return Done.said(
        "dock.said.record-kept", lots.get(lot).rawGate(frozen.part()).map(words::say).orElse(""));
  }

  private RawGateKeeper.Frozen frozen(long lot, Sent sent) {
    return new RawGateKeeper.Frozen(
        sent.given("part", sent::text)
            .map(
                part ->
                    sheets
                        .get(lot)
                        .find(part)
                        .map(LotPart::slot)
                        .orElseThrow(
                            () ->
                                Refusal.ofField(
                                    "part", "parts.problem.lot-has-no-such-part", lot))),
        Typed.choice(Froze.values(), sent.given("froze", sent::text).orElse(Froze.HOUSE.name()))
            .filter(froze -> froze != Froze.UNPROVED)
            .orElseThrow(() -> Refusal.ofStale("weighing.problem.the-page-was-not-complete")),
        sent.given("from", sent::moment),
        sent.given("to", sent::moment),
        sent.temperature("before"),
        sent.temperature("after"),
        sent.given("thickness", sent::length),
        sent.text("curve"),
        sent.text("place"),
        sent.text("paper"),
        sent.given("caught", sent::day));
  }

  @PostMapping("/dock/{id}/exempt")
  @Form(value = "/dock/{id}#raw-gate", keeps = "typedExempt")
  Done exempt(@PathVariable("id") long lot, Sent sent) {
    lots.get(lot);
    gates.exempt(lot, sent.own(), sent.text("name"), sent.text("evidence"));
    return Done.said("dock.said.exemption-kept");
  }

  @PostMapping("/dock/{id}/warm")
  @Form(value = "/dock/{id}#cold", keeps = "typedWarm")
  Done stoodWarm(@PathVariable("id") long lot, Sent sent) {
    lots.get(lot);
    int minutes = sent.count("minutes", 1, ColdChain.MOST_MINUTES);
    cold.stoodWarm(lot, sent.own(), minutes, sent.text("why"));
    return Done.said("dock.said.warm-kept", lots.get(lot).cold().minutes());
  }
}
