package mosaicknife.app.pot;

import java.math.BigDecimal;
import java.util.HashMap;
import java.util.Map;
import mosaicknife.app.shared.FormReply;
import mosaicknife.app.shared.FormReply.Form;
import mosaicknife.app.shared.Typed;
import mosaicknife.app.shared.Words;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The kettles of the house. */
@Controller
class KettleController {

  private static final BigDecimal MOST_LITRES = BigDecimal.valueOf(500);

  private final PotKeeper keeper;
  private final FormReply reply;
  private final Words words;

  KettleController(PotKeeper keeper, FormReply reply, Words words) {
    this.keeper = keeper;
    this.reply = reply;
    this.words = words;
  }

  @PostMapping("/pot/kettles")
  String kettle(@RequestParam Map<String, String> typed, RedirectAttributes later) {
    return reply.after(
        new Form("/pot#kettles", "typedKettle", new HashMap<>(typed)),
        later,
        () -> {
          keeper.keep(
              Typed.id(typed.getOrDefault("venue", ""), "venue"),
              typed.getOrDefault("name", ""),
              Typed.decimal(
                  typed.getOrDefault("litres", ""), 1, BigDecimal.ONE, MOST_LITRES, "litres"),
              Typed.count(typed.getOrDefault("centimetres", ""), 10, 150, "centimetres"),
              Typed.count(typed.getOrDefault("watts", ""), 500, 60_000, "watts"));
          return words.say("pot.said.kettle-saved");
        });
  }

  @PostMapping("/pot/kettles/{id}/retire")
  String retire(@PathVariable long id, RedirectAttributes later) {
    return reply.after(
        new Form("/pot#kettles", "typedKettle", Map.of()),
        later,
        () -> {
          keeper.retire(id);
          return words.say("pot.said.kettle-retired");
        });
  }
}
