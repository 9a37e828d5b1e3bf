package mosaicknife.app.pot;

import java.math.BigDecimal;
import java.util.Set;
import mosaicknife.app.shared.Done;
import mosaicknife.app.shared.Form;
import mosaicknife.app.shared.RecipeText;
import mosaicknife.app.shared.Refusal;
import mosaicknife.app.shared.Sent;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.safety.Allergen;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;

/** The kettles of the house, what things cost there, and what other stations give. */
@Controller
class KettleController {

  private static final BigDecimal MOST_LITRES = BigDecimal.valueOf(500);
  private static final BigDecimal LEAST_PRICE = new BigDecimal("0.01");
  private static final BigDecimal MOST_PRICE = BigDecimal.valueOf(1000);
  private static final BigDecimal MOST_ENERGY = BigDecimal.valueOf(100);

  private final Kettles kettles;
  private final PotPrices prices;
  private final Scraps scraps;

  KettleController(Kettles kettles, PotPrices prices, Scraps scraps) {
    this.kettles = kettles;
    this.prices = prices;
    this.scraps = scraps;
  }

  @PostMapping("/pot/kettles")
  @Form(value = "/pot#kettles", keeps = "typedKettle")
  Done kettle(Sent sent) {
    kettles.keep(
        sent.id("venue"),
        sent.text("name"),
        sent.decimal("litres", 1, BigDecimal.ONE, MOST_LITRES),
        sent.count("centimetres", 10, 150),
        sent.count("watts", 500, 60_000));
    return Done.said("pot.said.kettle-saved");
  }

  @PostMapping("/pot/kettles/{id}/retire")
  @Form("/pot#kettles")
  Done retire(@PathVariable long id) {
    kettles.retire(id);
    return Done.said("pot.said.kettle-retired");
  }

  @PreAuthorize("hasAuthority('SEE_COSTS')")
  @PostMapping("/pot/prices")
  @Form(value = "/pot#prices", keeps = "typedPrices")
  Done prices(Sent sent) {
    prices.keep(
        sent.decimal("kilowatt", 3, BigDecimal.ZERO, MOST_ENERGY),
        sent.given("bought", field -> sent.decimal(field, 2, LEAST_PRICE, MOST_PRICE)));
    return Done.said("pot.said.prices-saved");
  }

  @PostMapping("/pot/scraps")
  @Form(value = "/pot#scraps", keeps = "typedScrap")
  Done offer(Sent sent) {
    long venue = sent.id("venue");
    String name = sent.text("name");
    Mass mass = sent.mass("weight");
    Set<Allergen> allergens =
        sent.given("allergens", field -> RecipeText.allergens(sent.text(field), field))
            .orElseThrow(() -> Refusal.ofField("allergens", "pot.problem.say-allergens"));
    scraps.offer(sent.own(), venue, name, mass, allergens);
    return Done.said("pot.said.offered", name);
  }

  @PostMapping("/pot/scraps/{id}/drop")
  @Form("/pot#scraps")
  Done drop(@PathVariable long id) {
    scraps.drop(id);
    return Done.said("pot.said.scrap-dropped");
  }
}
