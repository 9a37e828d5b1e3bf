package mosaicknife.app.kitchen;

import java.util.HashSet;
import java.util.Set;
import mosaicknife.app.booklet.HouseBook;
import mosaicknife.app.shared.Done;
import mosaicknife.app.shared.Form;
import mosaicknife.app.shared.Sent;
import mosaicknife.core.kitchen.Marinade;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;

/** The marinades and cures: the house changes them, and writes its own. */
@Controller
class MarinadeController {

  private static final String NEW = "new";

  private final Soaks soaks;
  private final HouseBook house;

  MarinadeController(Soaks soaks, HouseBook house) {
    this.soaks = soaks;
    this.house = house;
  }

  @GetMapping("/kitchen/marinades/{code:[a-z0-9-]{1,60}}")
  String marinade(@PathVariable String code, Model model) {
    boolean isNew = code.equals(NEW);
    Marinade marinade = isNew ? soaks.marinades().values().iterator().next() : soaks.marinade(code);
    MarinadeForm form = MarinadeForm.of(marinade);
    if (isNew) {
      form.typed().put("name", "");
    }
    model.addAttribute("form", Sent.kept(model).map(MarinadeForm::new).orElse(form));
    model.addAttribute("code", code);
    model.addAttribute("marinade", marinade);
    model.addAttribute("times", MarinadeForm.TIMES);
    model.addAttribute("millimetres", Marinade.REFERENCE_MILLIMETRES);
    model.addAttribute("own", house.own(Soaks.MARINADES).contains(code));
    model.addAttribute("kinds", Marinade.Kind.values());
    model.addAttribute("acids", Marinade.Acid.values());
    return "kitchen/marinade";
  }

  @PostMapping("/kitchen/marinades/{code:[a-z0-9-]{1,60}}")
  @Form("/kitchen/marinades/{code}")
  Done save(@PathVariable String code, Sent sent) {
    boolean isNew = code.equals(NEW);
    if (!isNew) {
      soaks.marinade(code);
    }
    Set<String> taken = new HashSet<>(soaks.marinades().keySet());
    taken.addAll(house.own(Soaks.MARINADES));
    String own = isNew ? HouseBook.code(sent.text("name"), taken) : code;
    Marinade marinade = new MarinadeForm(sent.typed()).understood(own);
    house.edit(Soaks.MARINADES, own, marinade.write());
    return Done.said("kitchen.said.marinade-saved", marinade.name()).on("/kitchen");
  }

  @PostMapping("/kitchen/marinades/{code:[a-z0-9-]{1,60}}/retire")
  @Form("/kitchen")
  Done retire(@PathVariable String code) {
    Marinade marinade = soaks.marinade(code);
    house.strike(Soaks.MARINADES, code, marinade.write(), soaks.marinades().size());
    return Done.said("kitchen.said.marinade-gone", marinade.name());
  }
}
