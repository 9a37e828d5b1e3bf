package mosaicknife.app.account;

import java.time.ZoneId;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.house.TrayEditor;
import mosaicknife.app.shared.Refusal;
import mosaicknife.app.shared.Words;
import mosaicknife.core.anatomy.Season.Hemisphere;
import mosaicknife.core.quantity.UnitSystem;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The House station: who works here and how the house writes its numbers. */
@Controller
class HouseController {

  private final HouseSettings houses;
  private final TrayEditor trays;
  private final PeopleRegister people;

  private final Words words;

  HouseController(HouseSettings houses, TrayEditor trays, PeopleRegister people, Words words) {
    this.words = words;
    this.houses = houses;
    this.trays = trays;
    this.people = people;
  }

  @GetMapping("/house")
  String show(Model model) {
    model.addAttribute("people", people.everybody());
    model.addAttribute("roles", Role.values());
    model.addAttribute("venues", houses.venues());
    model.addAttribute("suppliers", houses.suppliers());
    model.addAttribute("trays", trays.trays());
    model.addAttribute("systems", UnitSystem.values());
    model.addAttribute("zones", ZoneId.getAvailableZoneIds().stream().sorted().toList());
    return "house/house";
  }

  @PostMapping("/house")
  String change(
      @RequestParam String name,
      @RequestParam UnitSystem system,
      @RequestParam String zone,
      @RequestParam String labour,
      @RequestParam Hemisphere hemisphere) {
    houses.change(name, system, zone, labour, hemisphere);
    return "redirect:/house";
  }

  @PostMapping("/house/venues")
  String addVenue(@RequestParam String name) {
    houses.addVenue(name);
    return "redirect:/house";
  }

  @PostMapping("/house/trays")
  String addTray(@RequestParam String name, @RequestParam String mass) {
    trays.add(name, mass);
    return "redirect:/house#trays";
  }

  @PostMapping("/house/trays/{id}/away")
  String putTrayAway(@PathVariable long id) {
    trays.putAway(id);
    return "redirect:/house#trays";
  }

  @PostMapping("/house/people")
  String add(
      @RequestParam String signIn,
      @RequestParam String name,
      @RequestParam Role role,
      @RequestParam String password) {
    people.add(signIn, name, role, password);
    return "redirect:/house";
  }

  @PostMapping("/house/people/{id}/role")
  String changeRole(@PathVariable long id, @RequestParam Role role) {
    people.changeRole(id, role);
    return "redirect:/house";
  }

  @PostMapping("/house/people/{id}/password")
  String changePassword(@PathVariable long id, @RequestParam String password) {
    people.changePassword(id, password);
    return "redirect:/house";
  }

  @PostMapping("/house/people/{id}/off")
  String switchOff(@PathVariable long id) {
    people.switchOff(id);
    return "redirect:/house";
  }

  @PostMapping("/house/people/{id}/on")
  String switchOn(@PathVariable long id) {
    people.switchOn(id);
    return "redirect:/house";
  }

  /** A refused change shows its sentence on the same page; drafts keep what was typed. */
  @ExceptionHandler(Refusal.class)
  String refused(Refusal refusal, RedirectAttributes attributes) {
    attributes.addFlashAttribute("sentence", words.say(refusal));
    return "redirect:/house";
  }
}
