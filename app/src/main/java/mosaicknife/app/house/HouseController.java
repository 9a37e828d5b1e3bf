package mosaicknife.app.house;

import jakarta.servlet.http.HttpServletRequest;
import java.time.DayOfWeek;
import java.time.ZoneId;
import java.util.HashMap;
import java.util.Map;
import mosaicknife.app.device.Scale;
import mosaicknife.app.shared.Formats;
import mosaicknife.app.shared.Refusal;
import mosaicknife.app.shared.Words;
import mosaicknife.core.anatomy.Season.Hemisphere;
import mosaicknife.core.cost.CostingMethod;
import mosaicknife.core.quantity.UnitSystem;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The House station, but for its people: name and units, venues, trays and scale, suppliers. */
@Controller
class HouseController {

  private final HouseSettings houses;
  private final SupplierEditor suppliers;
  private final TrayEditor trays;
  private final Upkeep upkeep;
  private final Scale scale;
  private final Words words;

  HouseController(
      HouseSettings houses,
      SupplierEditor suppliers,
      TrayEditor trays,
      Upkeep upkeep,
      Scale scale,
      Words words) {
    this.upkeep = upkeep;
    this.houses = houses;
    this.suppliers = suppliers;
    this.trays = trays;
    this.scale = scale;
    this.words = words;
  }

  /** The first section that the sous chef and the owner share. */
  @GetMapping("/house")
  String first() {
    return "redirect:/house/suppliers";
  }

  @GetMapping("/house/units")
  String units(Model model) {
    model.addAttribute("systems", UnitSystem.values());
    model.addAttribute("hemispheres", Hemisphere.values());
    model.addAttribute("methods", CostingMethod.values());
    model.addAttribute("zones", ZoneId.getAvailableZoneIds().stream().sorted().toList());
    model.addAttribute("currencyIsFree", houses.canChangeCurrency());
    return "house/units";
  }

  @PostMapping("/house/units")
  String change(@ModelAttribute HouseForm form, RedirectAttributes later) {
    houses.change(form);
    return saved("units", later);
  }

  @GetMapping("/house/venues")
  String venues(Model model) {
    model.addAttribute("venues", houses.venues());
    return "house/venues";
  }

  @PostMapping("/house/venues")
  String addVenue(@RequestParam String name, RedirectAttributes later) {
    houses.addVenue(name);
    return saved("venues", later);
  }

  @GetMapping("/house/trays")
  String trays(Model model) {
    model.addAttribute("trays", trays.trays());
    model.addAttribute("scale", scale.latest().map(Scale.Numbered::reading).orElse(null));
    return "house/trays";
  }

  @PostMapping("/house/trays")
  String addTray(@RequestParam String name, @RequestParam String mass, RedirectAttributes later) {
    trays.add(name, mass);
    return saved("trays", later);
  }

  @PostMapping("/house/trays/{id}/away")
  String putTrayAway(@PathVariable long id, RedirectAttributes later) {
    trays.putAway(id);
    return saved("trays", later);
  }

  @GetMapping("/house/suppliers")
  String suppliers(Model model) {
    model.addAttribute("suppliers", suppliers.suppliers());
    model.addAttribute("days", DayOfWeek.values());
    return "house/suppliers";
  }

  @PostMapping("/house/suppliers")
  String addSupplier(@RequestParam String name, RedirectAttributes later) {
    long id = suppliers.add(name);
    return saved("suppliers", later) + "#supplier-" + id;
  }

  @PostMapping("/house/suppliers/{id}")
  String changeSupplier(
      @PathVariable long id, @ModelAttribute SupplierForm form, RedirectAttributes later) {
    suppliers.change(id, form);
    return saved("suppliers", later) + "#supplier-" + id;
  }

  @GetMapping("/house/upkeep")
  String upkeep(Model model) {
    Formats formats = houses.house().formats();
    model.addAttribute("warnings", upkeep.warnings(true));
    model.addAttribute(
        "backups",
        upkeep.backups().stream()
            .map(
                made ->
                    new BackupRow(
                        formats.moment(made.at()),
                        made.file(),
                        formats.number(made.megabytes()),
                        made.encrypted()))
            .toList());
    model.addAttribute("free", upkeep.freeMegabytes().map(formats::number).orElse(""));
    model.addAttribute("release", upkeep.release());
    return "house/upkeep";
  }

  /** A backup as the page writes it. */
  record BackupRow(String at, String file, String megabytes, boolean encrypted) {}

  private String saved(String section, RedirectAttributes later) {
    later.addFlashAttribute("done", words.say("house.said.saved"));
    return "redirect:/house/" + section;
  }

  /** A refused change shows its sentence in the same section, with what was typed. */
  @ExceptionHandler(Refusal.class)
  String refused(Refusal refusal, HttpServletRequest request, RedirectAttributes later) {
    later.addFlashAttribute("sentence", words.say(refusal));
    Map<String, String> typed = new HashMap<>();
    request.getParameterMap().forEach((name, values) -> typed.put(name, values[0]));
    later.addFlashAttribute("typed", typed);
    return "redirect:/house/" + request.getRequestURI().split("/")[2];
  }
}
