package mosaicknife.app.pot;

import java.math.BigDecimal;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.shared.ClientIds;
import mosaicknife.app.shared.FormReply;
import mosaicknife.app.shared.FormReply.Form;
import mosaicknife.app.shared.RecipeText;
import mosaicknife.app.shared.Refusal;
import mosaicknife.app.shared.SentTwice;
import mosaicknife.app.shared.Typed;
import mosaicknife.app.shared.Words;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.MassText;
import mosaicknife.core.safety.Allergen;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The kettles of the house, what things cost there, and what other stations give. */
@Controller
class KettleController {

  private static final BigDecimal MOST_LITRES = BigDecimal.valueOf(500);
  private static final BigDecimal LEAST_PRICE = new BigDecimal("0.01");
  private static final BigDecimal MOST_PRICE = BigDecimal.valueOf(1000);
  private static final BigDecimal MOST_ENERGY = BigDecimal.valueOf(100);

  private final PotKeeper keeper;
  private final PotPrices prices;
  private final Scraps scraps;
  private final HouseSettings houses;
  private final FormReply reply;
  private final Words words;

  KettleController(
      PotKeeper keeper,
      PotPrices prices,
      Scraps scraps,
      HouseSettings houses,
      FormReply reply,
      Words words) {
    this.keeper = keeper;
    this.prices = prices;
    this.scraps = scraps;
    this.houses = houses;
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

  @PreAuthorize("hasAuthority('SEE_COSTS')")
  @PostMapping("/pot/prices")
  String prices(@RequestParam Map<String, String> typed, RedirectAttributes later) {
    return reply.after(
        new Form("/pot#prices", "typedPrices", new HashMap<>(typed)),
        later,
        () -> {
          String bought = typed.getOrDefault("bought", "").strip();
          prices.keep(
              Typed.decimal(
                  typed.getOrDefault("kilowatt", ""), 3, BigDecimal.ZERO, MOST_ENERGY, "kilowatt"),
              bought.isEmpty()
                  ? Optional.empty()
                  : Optional.of(Typed.decimal(bought, 2, LEAST_PRICE, MOST_PRICE, "bought")));
          return words.say("pot.said.prices-saved");
        });
  }

  @PostMapping("/pot/scraps")
  String offer(@RequestParam Map<String, String> typed, RedirectAttributes later) {
    return reply.after(
        new Form("/pot#scraps", "typedScrap", new HashMap<>(typed)),
        later,
        () -> {
          UUID id = ClientIds.of(typed.getOrDefault("id", ""));
          long venue = Typed.id(typed.getOrDefault("venue", ""), "venue");
          String name = typed.getOrDefault("name", "");
          Mass mass =
              MassText.parse(
                      typed.getOrDefault("weight", ""), houses.house().formats().system().small())
                  .mass();
          String told = typed.getOrDefault("allergens", "");
          if (told.isBlank()) {
            throw Refusal.ofField("allergens", "pot.problem.say-allergens");
          }
          Set<Allergen> allergens = RecipeText.allergens(told, "allergens");
          SentTwice.survive(
              () -> {
                scraps.offer(id, venue, name, mass, allergens);
                return id;
              });
          return words.say("pot.said.offered", name);
        });
  }

  @PostMapping("/pot/scraps/{id}/drop")
  String drop(@PathVariable long id, RedirectAttributes later) {
    return reply.after(
        new Form("/pot#scraps", "typedScrap", Map.of()),
        later,
        () -> {
          scraps.drop(id);
          return words.say("pot.said.scrap-dropped");
        });
  }
}
