package mosaicknife.app.house;

import java.time.DayOfWeek;
import java.time.ZoneId;
import mosaicknife.app.device.Scale;
import mosaicknife.app.shared.Done;
import mosaicknife.app.shared.Form;
import mosaicknife.app.shared.Formats;
import mosaicknife.core.anatomy.Season.Hemisphere;
import mosaicknife.core.cost.CostingMethod;
import mosaicknife.core.quantity.UnitSystem;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The House station, but for its people: name and units, venues, trays and scale, suppliers. */
@Controller
class HouseController {

  private static final Done SAVED = Done.said("house.said.saved");

  private final HouseSettings houses;
  private final SupplierEditor suppliers;
  private final TrayEditor trays;
  private final Upkeep upkeep;
  private final Scale scale;

  HouseController(
      HouseSettings houses,
      SupplierEditor suppliers,
      TrayEditor trays,
      Upkeep upkeep,
      Scale scale) {
    this.upkeep = upkeep;
    this.houses = houses;
    this.suppliers = suppliers;
    this.trays = trays;
    this.scale = scale;
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
  @Form("/house/units")
  Done change(@ModelAttribute HouseForm form) {
    houses.change(form);
    return SAVED;
  }

  @GetMapping("/house/venues")
  String venues(Model model) {
    model.addAttribute("venues", houses.venues());
    return "house/venues";
  }

  @PostMapping("/house/venues")
  @Form("/house/venues")
  Done addVenue(@RequestParam String name) {
    houses.addVenue(name);
    return SAVED;
  }

  @GetMapping("/house/trays")
  String trays(Model model) {
    model.addAttribute("trays", trays.trays());
    model.addAttribute("scale", scale.latest().map(Scale.Numbered::reading).orElse(null));
    return "house/trays";
  }

  @PostMapping("/house/trays")
  @Form("/house/trays")
  Done addTray(@RequestParam String name, @RequestParam String mass) {
    trays.add(name, mass);
    return SAVED;
  }

  @PostMapping("/house/trays/{id}/away")
  @Form("/house/trays")
  Done putTrayAway(@PathVariable long id) {
    trays.putAway(id);
    return SAVED;
  }

  @GetMapping("/house/suppliers")
  String suppliers(Model model) {
    model.addAttribute("suppliers", suppliers.suppliers());
    model.addAttribute("days", DayOfWeek.values());
    return "house/suppliers";
  }

  @PostMapping("/house/suppliers")
  @Form("/house/suppliers")
  Done addSupplier(@RequestParam String name) {
    return SAVED.on("/house/suppliers#supplier-" + suppliers.add(name));
  }

  @PostMapping("/house/suppliers/{id}")
  @Form("/house/suppliers")
  Done changeSupplier(@PathVariable long id, @ModelAttribute SupplierForm form) {
    suppliers.change(id, form);
    return SAVED.on("/house/suppliers#supplier-" + id);
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
}
