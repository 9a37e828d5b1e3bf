package mosaicknife.app.account;

import java.util.Optional;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.house.Named;
import mosaicknife.app.shared.Refusal;
import mosaicknife.app.shared.Words;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Who works in the house, as what, and how they sign in. */
@Controller
class PeopleController {

  private static final String BACK = "redirect:/house/people";

  private final PeopleRegister people;
  private final HouseSettings houses;
  private final Words words;

  PeopleController(PeopleRegister people, HouseSettings houses, Words words) {
    this.people = people;
    this.houses = houses;
    this.words = words;
  }

  @GetMapping("/house/people")
  String show(Model model) {
    model.addAttribute("people", people.everybody());
    model.addAttribute("roles", Role.values());
    model.addAttribute("venues", houses.venues());
    return "house/people";
  }

  @PostMapping("/house/people")
  String add(
      @RequestParam String signIn,
      @RequestParam String name,
      @RequestParam Role role,
      @RequestParam String password) {
    people.add(signIn, name, role, password);
    return BACK;
  }

  @PostMapping("/house/people/{id}/role")
  String changeRole(@PathVariable long id, @RequestParam Role role) {
    people.changeRole(id, role);
    return BACK;
  }

  @PostMapping("/house/people/{id}/venue")
  String workAt(@PathVariable long id, @RequestParam Optional<Long> venue) {
    people.workAt(id, venue.map(houses::getVenue).map(Named::id));
    return BACK;
  }

  @PostMapping("/house/people/{id}/password")
  String changePassword(@PathVariable long id, @RequestParam String password) {
    people.changePassword(id, password);
    return BACK;
  }

  @PostMapping("/house/people/{id}/off")
  String switchOff(@PathVariable long id) {
    people.switchOff(id);
    return BACK;
  }

  @PostMapping("/house/people/{id}/on")
  String switchOn(@PathVariable long id) {
    people.switchOn(id);
    return BACK;
  }

  /** A refused change shows its sentence on the same page; drafts keep what was typed. */
  @ExceptionHandler(Refusal.class)
  String refused(Refusal refusal, RedirectAttributes later) {
    later.addFlashAttribute("sentence", words.say(refusal));
    return BACK;
  }
}
