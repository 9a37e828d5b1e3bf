package mosaicknife.app.use;

import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.Optional;
import mosaicknife.app.account.PeopleRegister;
import mosaicknife.app.bench.BenchSheet;
import mosaicknife.app.bench.BenchSheets;
import mosaicknife.app.bench.Held;
import mosaicknife.app.bench.PurposeAssigner;
import mosaicknife.app.bench.Use;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.picture.MosaicPicture.Size;
import mosaicknife.app.shared.Formats;
import mosaicknife.app.shared.PlainText;
import mosaicknife.app.shared.Refusal;
import mosaicknife.core.anatomy.Purpose;
import mosaicknife.core.quantity.PriceText;
import mosaicknife.core.quantity.QuantityFormatException;
import mosaicknife.core.quantity.UnitPrice;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The Second life station. */
@Controller
class UseController {

  private final BenchSheets sheets;
  private final PurposeAssigner purposes;
  private final PeopleRegister people;
  private final HouseSettings houses;

  UseController(
      BenchSheets sheets, PurposeAssigner purposes, PeopleRegister people, HouseSettings houses) {
    this.sheets = sheets;
    this.purposes = purposes;
    this.people = people;
    this.houses = houses;
  }

  @GetMapping("/use/{id}")
  String use(@PathVariable long id, @RequestParam Optional<String> part, Model model) {
    Formats formats = houses.house().formats();
    BenchSheet sheet = sheets.get(id);
    model.addAttribute("sheet", sheet);
    model.addAttribute("lot", sheet.lot());
    model.addAttribute("use", UseView.of(sheet, people.names(), formats));
    model.addAttribute("mosaic", sheet.mosaic(Size.LARGE, formats));
    model.addAttribute("people", people.everybody());
    model.addAttribute("detail", part.or(() -> flashed(model)).orElse(""));
    return "use/use";
  }

  private static Optional<String> flashed(Model model) {
    return Optional.ofNullable((String) model.getAttribute("refusedPart"));
  }

  @PostMapping("/use/{id}/parts/{slot}")
  String assign(
      @PathVariable long id,
      @PathVariable String slot,
      @RequestParam int version,
      @RequestParam Purpose purpose,
      @ModelAttribute UseForm form,
      RedirectAttributes later) {
    try {
      purposes.assign(id, slot, version, purpose, use(form, purpose));
    } catch (Refusal | QuantityFormatException refusal) {
      if (refusal instanceof Refusal missing && missing.kind() == Refusal.Kind.MISSING) {
        throw missing;
      }
      later.addFlashAttribute("sentence", refusal.getMessage());
      later.addFlashAttribute("refusedPart", slot);
      later.addFlashAttribute("typed", form);
      later.addFlashAttribute("typedPurpose", purpose);
    }
    return "redirect:/use/" + id;
  }

  @PostMapping("/use/{id}/usual")
  String usual(@PathVariable long id) {
    purposes.assignUsual(id);
    return "redirect:/use/" + id;
  }

  private Use use(UseForm form, Purpose purpose) {
    Formats formats = houses.house().formats();
    boolean credited = purpose == Purpose.SECOND_PLATE || purpose == Purpose.POT;
    Optional<UnitPrice> value =
        form.value().isBlank() || !credited
            ? Optional.empty()
            : Optional.of(
                PriceText.parse(form.value(), formats.system().large(), formats.currency())
                    .price());
    return new Use(
        PlainText.line(form.becomes(), 120, "becomes", "use"),
        value,
        purpose == Purpose.HOLD ? held(form) : Optional.empty());
  }

  private static Optional<Held> held(UseForm form) {
    String place = PlainText.line(form.place(), 80, "place", "place");
    if (form.until().isBlank() || place.isEmpty() || !form.keeper().matches("\\d{1,18}")) {
      return Optional.empty();
    }
    try {
      return Optional.of(
          new Held(LocalDate.parse(form.until()), place, Long.parseLong(form.keeper())));
    } catch (DateTimeParseException e) {
      throw Refusal.ofField(
          "until", "“%s” is no date. Choose one, such as 2026-11-28.".formatted(form.until()));
    }
  }
}
