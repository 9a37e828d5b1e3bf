package mosaicknife.app.homes;

import java.time.Clock;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mosaicknife.app.homes.Makings.Made;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.larder.ChilledForm;
import mosaicknife.app.larder.LarderKeeper;
import mosaicknife.app.shared.FormReply;
import mosaicknife.app.shared.FormReply.Form;
import mosaicknife.app.shared.Formats;
import mosaicknife.app.shared.Refusal;
import mosaicknife.app.shared.SentTwice;
import mosaicknife.app.shared.Typed;
import mosaicknife.app.shared.Words;
import mosaicknife.core.larder.Shelved;
import mosaicknife.core.quantity.MassText;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** What becomes of something that was decided: brought, made or dropped. */
@Controller
@PreAuthorize("hasAuthority('DECIDE_PURPOSE')")
class MakingController {

  private static final int MOST = 100_000;

  private final Makings makings;
  private final Transfers transfers;
  private final OnTheHob hob;
  private final LarderKeeper larder;
  private final HouseSettings houses;
  private final FormReply reply;
  private final Words words;
  private final Clock clock;

  MakingController(
      Makings makings,
      Transfers transfers,
      OnTheHob hob,
      LarderKeeper larder,
      HouseSettings houses,
      FormReply reply,
      Words words,
      Clock clock) {
    this.makings = makings;
    this.transfers = transfers;
    this.hob = hob;
    this.larder = larder;
    this.houses = houses;
    this.reply = reply;
    this.words = words;
    this.clock = clock;
  }

  @PostMapping("/uses/makings/{id}/made")
  String made(
      @PathVariable long id, @RequestParam Map<String, String> typed, RedirectAttributes later) {
    Map<String, String> kept = new HashMap<>(typed);
    kept.put("id", "" + id);
    return reply.after(
        new Form("/uses#make-" + id, "typedMade", kept),
        later,
        () -> {
          if (hob.pots().containsKey(id)) {
            throw Refusal.ofStale("homes.problem.on-the-hob");
          }
          Shelved.Spot spot =
              larder.spot(
                  Typed.id(field(typed, "venue"), "venue"),
                  field(typed, "place"),
                  Optional.of(Typed.id(field(typed, "by"), "by")));
          Formats formats = houses.house().formats();
          String until = field(typed, "until");
          boolean served = !field(typed, "served").isEmpty();
          Made made =
              new Made(
                  Typed.count(field(typed, "units"), 1, MOST, "units"),
                  Optional.of(field(typed, "weight").strip())
                      .filter(text -> !text.isEmpty())
                      .map(text -> MassText.parse(text, formats.system().small()))
                      .map(MassText::mass),
                  until.isBlank() ? Optional.empty() : Optional.of(Typed.day(until, "until")),
                  spot,
                  served,
                  ChilledForm.read(typed, formats.zone(), clock.instant()));
          String code = SentTwice.survive(() -> makings.made(id, made));
          return words.say(
              served ? "homes.said.made-and-served" : "homes.said.made",
              field(typed, "place"),
              code);
        });
  }

  private static String field(Map<String, String> typed, String name) {
    return typed.getOrDefault(name, "");
  }

  /** What lies at another venue goes on its way, under a label. */
  @PostMapping("/uses/makings/{id}/send")
  String send(
      @PathVariable long id,
      @RequestParam(defaultValue = "") String number,
      RedirectAttributes later) {
    return reply.after(
        new Form("/uses#make-" + id, "typedMade", Map.of()),
        later,
        () -> {
          List<String> codes =
              number.equals("all")
                  ? transfers.sendAll(id)
                  : List.of(transfers.send(id, Typed.count(number, 0, MOST, "number")));
          return words.say("homes.said.sent", String.join(", ", codes));
        });
  }

  @PostMapping("/uses/makings/{id}/drop")
  String drop(
      @PathVariable long id,
      @RequestParam(defaultValue = "") String reason,
      RedirectAttributes later) {
    return reply.after(
        new Form("/uses#make-" + id, "typedDrop", Map.of("id", "" + id)),
        later,
        () -> {
          makings.drop(id, reason);
          return words.say("homes.said.dropped");
        });
  }
}
