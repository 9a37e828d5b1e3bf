package mosaicknife.app.buy;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.util.Comparator;
import java.util.UUID;
import mosaicknife.app.buy.PriceKeeper.Confirmed;
import mosaicknife.app.catalogue.CatalogueEditor;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.shared.Done;
import mosaicknife.app.shared.Form;
import mosaicknife.app.shared.Paged;
import mosaicknife.app.shared.Refusal;
import mosaicknife.app.shared.Sent;
import mosaicknife.app.shared.Words;
import mosaicknife.core.anatomy.Species;
import mosaicknife.core.buying.Offer;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Price lists: in as CSV, with a look before anything counts; history by fish. */
@Controller
class PriceController {

  private final PriceKeeper prices;
  private final CatalogueEditor catalogue;
  private final HouseSettings houses;

  private final Words words;

  PriceController(
      PriceKeeper prices, CatalogueEditor catalogue, HouseSettings houses, Words words) {
    this.words = words;
    this.prices = prices;
    this.catalogue = catalogue;
    this.houses = houses;
  }

  @GetMapping("/buy/prices")
  String offers(Model model) {
    model.addAttribute(
        "offers",
        prices.offers().stream()
            .sorted(Comparator.comparing((Offer c) -> c.species().name()))
            .toList());
    model.addAttribute("suppliers", houses.suppliers());
    model.addAttribute("today", houses.today());
    return "buy/prices";
  }

  @GetMapping("/buy/prices/of/{code}")
  String history(
      @PathVariable String code, @RequestParam(defaultValue = "1") String page, Model model) {
    Species species =
        catalogue
            .now()
            .findSpecies(code)
            .orElseThrow(() -> Refusal.ofMissing("buy.problem.there-is-no-such-fish"));
    model.addAttribute("species", species);
    Paged<PriceKeeper.Past> past = prices.history(code, Paged.number(page));
    model.addAttribute("past", past);
    model.addAttribute("history", PriceHistory.of(past.rows(), houses.house().formats()));
    return "buy/price-history";
  }

  @PostMapping("/buy/prices")
  @Form(value = "/buy/prices", keeps = "typedList")
  Done look(@RequestParam String supplier, @RequestParam MultipartFile file, Sent sent)
      throws IOException {
    UUID id = prices.look(supplier, sent.day("validOn"), text(file.getBytes()));
    return Done.QUIETLY.on("/buy/prices/look/" + id);
  }

  /** A price somebody said: looked at like a list of one row, of today. */
  @PostMapping("/buy/prices/heard")
  @Form(value = "/buy/prices", keeps = "typedHeard")
  Done heard(Sent sent) {
    String list =
        "fish;price\n%s;%s\n".formatted(quoted(sent.text("fish")), quoted(sent.text("price")));
    UUID id = prices.look(sent.text("supplier"), houses.today(), list);
    return Done.QUIETLY.on("/buy/prices/look/" + id);
  }

  private static String quoted(String cell) {
    return '"' + cell.replace("\"", "\"\"") + '"';
  }

  /** A list in an old encoding is read as such, so that names keep their accents. */
  private static String text(byte[] content) {
    if (containsNothingPrintable(content)) {
      throw Refusal.ofField("file", "buy.problem.the-file-is-no-text");
    }
    try {
      return StandardCharsets.UTF_8.newDecoder().decode(ByteBuffer.wrap(content)).toString();
    } catch (CharacterCodingException e) {
      return new String(content, StandardCharsets.ISO_8859_1);
    }
  }

  private static boolean containsNothingPrintable(byte[] content) {
    for (byte b : content) {
      if (b == 0) {
        return true;
      }
    }
    return false;
  }

  @GetMapping("/buy/prices/look/{id}")
  String preview(@PathVariable UUID id, Model model) {
    model.addAttribute("preview", prices.preview(id));
    return "buy/price-look";
  }

  @PostMapping("/buy/prices/look/{id}")
  String confirm(@PathVariable UUID id, RedirectAttributes later) {
    Confirmed confirmed = prices.confirm(id);
    later.addFlashAttribute(
        "done",
        words.say("buy.said.stored-new-prices-updated", confirmed.made(), confirmed.updated()));
    return "redirect:/buy/prices";
  }

  @PostMapping("/buy/prices/look/{id}/drop")
  String drop(@PathVariable UUID id) {
    prices.drop(id);
    return "redirect:/buy/prices";
  }
}
