package mosaicknife.app.kitchen;

import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.shared.ClientIds;
import mosaicknife.app.shared.FormReply;
import mosaicknife.app.shared.FormReply.Form;
import mosaicknife.app.shared.Refusal;
import mosaicknife.app.shared.SentTwice;
import mosaicknife.app.shared.Typed;
import mosaicknife.app.shared.Words;
import mosaicknife.core.pot.Thickener;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.MassText;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Packs of dough: put away, and taken. */
@Controller
class DoughController {

  private static final int MOST_PACKS = 1000;

  private final Doughs doughs;
  private final HouseSettings houses;
  private final FormReply reply;
  private final Words words;

  DoughController(Doughs doughs, HouseSettings houses, FormReply reply, Words words) {
    this.doughs = doughs;
    this.houses = houses;
    this.reply = reply;
    this.words = words;
  }

  @PostMapping("/kitchen/doughs")
  String put(@RequestParam Map<String, String> typed, RedirectAttributes later) {
    return reply.after(
        new Form("/kitchen#doughs", "typedDough", new HashMap<>(typed)),
        later,
        () -> {
          UUID id = ClientIds.of(typed.getOrDefault("id", ""));
          Mass pack =
              MassText.parse(
                      typed.getOrDefault("weight", ""), houses.house().formats().system().small())
                  .mass();
          if (!pack.isPositive()) {
            throw Refusal.ofField("weight", "larder.problem.nothing");
          }
          Doughs.Put put =
              new Doughs.Put(
                  Typed.id(typed.getOrDefault("venue", ""), "venue"),
                  Typed.choice(Thickener.values(), typed.getOrDefault("thickener", ""))
                      .orElseThrow(() -> Refusal.ofField("thickener", "shared.problem.not-chosen")),
                  Typed.count(typed.getOrDefault("packs", ""), 1, MOST_PACKS, "packs"),
                  pack,
                  typed.containsKey("frozen"),
                  typed.getOrDefault("place", ""));
          SentTwice.survive(
              () -> {
                doughs.put(id, put);
                return id;
              });
          return words.say("kitchen.said.packs-away", put.packs());
        });
  }

  @PostMapping("/kitchen/doughs/{dough}/take")
  String take(
      @PathVariable long dough, @RequestParam Map<String, String> typed, RedirectAttributes later) {
    return reply.after(
        new Form("/kitchen#doughs", "typedTake", Map.of()),
        later,
        () -> {
          UUID id = ClientIds.of(typed.getOrDefault("id", ""));
          int packs = Typed.count(typed.getOrDefault("packs", ""), 1, MOST_PACKS, "packs");
          SentTwice.survive(
              () -> {
                doughs.take(id, dough, packs);
                return id;
              });
          return words.say("kitchen.said.packs-taken", packs);
        });
  }
}
