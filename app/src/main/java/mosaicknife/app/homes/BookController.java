package mosaicknife.app.homes;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import mosaicknife.app.catalogue.CatalogueEditor;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.shared.Done;
import mosaicknife.app.shared.Form;
import mosaicknife.app.shared.Formats;
import mosaicknife.app.shared.Refusal;
import mosaicknife.app.shared.Words;
import mosaicknife.core.anatomy.Purpose;
import mosaicknife.core.quantity.QuantityFormatException;
import mosaicknife.core.safety.Allergen;
import mosaicknife.core.safety.FoodState;
import mosaicknife.core.use.FishUse;
import mosaicknife.core.use.FishUse.Caution;
import mosaicknife.core.use.FishUse.Equipment;
import mosaicknife.core.use.FishUse.Need;
import mosaicknife.core.use.FishUse.Unit;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The house's book of uses: what is shipped is an estimate, and the house changes it. */
@Controller
class BookController {

  private final UseBook book;
  private final CatalogueEditor catalogue;
  private final HouseSettings houses;
  private final Words words;

  BookController(UseBook book, CatalogueEditor catalogue, HouseSettings houses, Words words) {
    this.book = book;
    this.catalogue = catalogue;
    this.houses = houses;
    this.words = words;
  }

  private Formats formats() {
    return houses.house().formats();
  }

  @GetMapping("/uses/book")
  String all(Model model) {
    Map<Purpose, List<FishUse>> byPurpose =
        book.uses().values().stream()
            .collect(
                Collectors.groupingBy(
                    FishUse::purpose,
                    () -> new java.util.EnumMap<>(Purpose.class),
                    Collectors.toList()));
    model.addAttribute("byPurpose", byPurpose);
    model.addAttribute("own", book.own());
    model.addAttribute(
        "kindNames",
        catalogue.now().kinds().stream().collect(Collectors.toMap(k -> k.code(), k -> k.name())));
    return "homes/book";
  }

  @PreAuthorize("hasAuthority('SEE_COSTS')")
  @GetMapping("/uses/book/{code:[a-z0-9-]{1,60}}")
  String one(@PathVariable String code, Model model) {
    FishUse use = code.equals("new") ? book.uses().values().iterator().next() : book.get(code);
    if (!model.containsAttribute("form")) {
      model.addAttribute("form", BookForm.of(use, catalogue.now(), formats()));
    }
    model.addAttribute("code", code);
    model.addAttribute("own", book.own().contains(code));
    model.addAttribute("purposes", List.of(Purpose.SECOND_PLATE, Purpose.POT, Purpose.HOLD));
    model.addAttribute("needs", Need.values());
    model.addAttribute("cautions", Caution.values());
    model.addAttribute("states", FoodState.values());
    model.addAttribute("units", Unit.values());
    model.addAttribute("equipments", Equipment.values());
    model.addAttribute("allergens", Allergen.values());
    return "homes/use";
  }

  @PostMapping("/uses/book/{code:[a-z0-9-]{1,60}}")
  String save(@PathVariable String code, @ModelAttribute BookForm form, RedirectAttributes later) {
    try {
      String own = code.equals("new") ? fresh(form.name()) : code;
      FishUse use = form.understood(own, catalogue.now(), formats());
      book.save(use);
      later.addFlashAttribute("done", words.say("homes.said.use-saved", use.name()));
      return "redirect:/uses/book";
    } catch (Refusal | QuantityFormatException refusal) {
      if (refusal instanceof Refusal missing && missing.kind() == Refusal.Kind.MISSING) {
        throw missing;
      }
      later.addFlashAttribute("sentence", words.say(refusal));
      later.addFlashAttribute("form", form);
      return "redirect:/uses/book/" + code;
    }
  }

  private String fresh(String name) {
    String stem = name.toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]+", "-");
    String code =
        "own-"
            + stem.replaceAll("^-|-$", "")
                .substring(0, Math.min(40, stem.replaceAll("^-|-$", "").length()));
    if (book.own().contains(code) || book.uses().containsKey(code)) {
      throw Refusal.ofField("name", "homes.problem.name-taken", name);
    }
    return code;
  }

  @PostMapping("/uses/book/{code:[a-z0-9-]{1,60}}/retire")
  @Form("/uses/book")
  Done retire(@PathVariable String code) {
    FishUse use = book.get(code);
    book.retire(code);
    return Done.said("homes.said.use-retired", use.name());
  }
}
