package mosaicknife.app.kitchen;

import java.util.HashSet;
import java.util.Map;
import java.util.Set;
import mosaicknife.app.catalogue.HouseBook;
import mosaicknife.app.catalogue.HouseBook.Book;
import mosaicknife.app.shared.FormReply;
import mosaicknife.app.shared.FormReply.Form;
import mosaicknife.app.shared.Refusal;
import mosaicknife.app.shared.Words;
import mosaicknife.core.kitchen.Marinade;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The marinades and cures: the house changes them, and writes its own. */
@Controller
class MarinadeController {

  private static final String NEW = "new";

  private final Soaks soaks;
  private final HouseBook house;
  private final FormReply reply;
  private final Words words;

  MarinadeController(Soaks soaks, HouseBook house, FormReply reply, Words words) {
    this.soaks = soaks;
    this.house = house;
    this.reply = reply;
    this.words = words;
  }

  @GetMapping("/kitchen/marinades/{code:[a-z0-9-]{1,60}}")
  String marinade(@PathVariable String code, Model model) {
    boolean isNew = code.equals(NEW);
    Marinade marinade = isNew ? soaks.marinades().values().iterator().next() : soaks.marinade(code);
    if (!model.containsAttribute("form")) {
      MarinadeForm form = MarinadeForm.of(marinade);
      if (isNew) {
        form.typed().put("name", "");
      }
      model.addAttribute("form", form);
    }
    model.addAttribute("code", code);
    model.addAttribute("marinade", marinade);
    model.addAttribute("times", MarinadeForm.TIMES);
    model.addAttribute("millimetres", Marinade.REFERENCE_MILLIMETRES);
    model.addAttribute("own", house.own(Book.MARINADE).contains(code));
    model.addAttribute("kinds", Marinade.Kind.values());
    model.addAttribute("acids", Marinade.Acid.values());
    return "kitchen/marinade";
  }

  @PostMapping("/kitchen/marinades/{code:[a-z0-9-]{1,60}}")
  String save(
      @PathVariable String code,
      @RequestParam Map<String, String> typed,
      RedirectAttributes later) {
    MarinadeForm form = new MarinadeForm(typed);
    try {
      boolean isNew = code.equals(NEW);
      if (!isNew) {
        soaks.marinade(code);
      }
      Set<String> taken = new HashSet<>(soaks.marinades().keySet());
      taken.addAll(house.own(Book.MARINADE));
      String own = isNew ? HouseBook.code(form.field("name"), taken) : code;
      Marinade marinade = form.understood(own);
      house.write(Book.MARINADE, own, marinade.write());
      later.addFlashAttribute("done", words.say("kitchen.said.marinade-saved", marinade.name()));
      return "redirect:/kitchen";
    } catch (Refusal refusal) {
      later.addFlashAttribute("sentence", words.say(refusal));
      later.addFlashAttribute("form", form);
      return "redirect:/kitchen/marinades/" + code;
    }
  }

  @PostMapping("/kitchen/marinades/{code:[a-z0-9-]{1,60}}/retire")
  String retire(@PathVariable String code, RedirectAttributes later) {
    Marinade marinade = soaks.marinade(code);
    return reply.after(
        new Form("/kitchen", "typedBook", Map.of()),
        later,
        () -> {
          house.takeOut(Book.MARINADE, code, marinade.write(), soaks.marinades().size());
          return words.say("kitchen.said.marinade-gone", marinade.name());
        });
  }
}
