package mosaicknife.app.pot;

import java.util.HashSet;
import java.util.Map;
import java.util.Set;
import mosaicknife.app.catalogue.HouseBook;
import mosaicknife.app.catalogue.HouseBook.Book;
import mosaicknife.app.shared.FormReply;
import mosaicknife.app.shared.FormReply.Form;
import mosaicknife.app.shared.Refusal;
import mosaicknife.app.shared.Words;
import mosaicknife.core.pot.PotStep;
import mosaicknife.core.pot.StockMethod;
import mosaicknife.core.quantity.QuantityFormatException;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The ways to cook a stock: the house changes them, and writes its own. */
@Controller
class MethodController {

  private static final String NEW = "new";

  private final PotBook book;
  private final HouseBook house;
  private final FormReply reply;
  private final Words words;

  MethodController(PotBook book, HouseBook house, FormReply reply, Words words) {
    this.book = book;
    this.house = house;
    this.reply = reply;
    this.words = words;
  }

  @GetMapping("/pot/methods/{code:[a-z0-9-]{1,60}}")
  String method(
      @PathVariable String code, @RequestParam(defaultValue = "") String like, Model model) {
    boolean isNew = code.equals(NEW);
    StockMethod method =
        isNew && like.isEmpty()
            ? book.methods().values().iterator().next()
            : book.method(isNew ? like : code);
    if (!model.containsAttribute("form")) {
      model.addAttribute("form", MethodForm.of(method));
    }
    model.addAttribute("code", code);
    model.addAttribute("like", like);
    model.addAttribute("method", method);
    model.addAttribute("own", house.own(Book.METHOD).contains(code));
    model.addAttribute("works", PotStep.Work.values());
    model.addAttribute("answers", PotStep.Answer.values());
    model.addAttribute("cautions", PotStep.Caution.values());
    return "pot/method";
  }

  @PostMapping("/pot/methods/{code:[a-z0-9-]{1,60}}")
  String save(
      @PathVariable String code,
      @RequestParam Map<String, String> typed,
      RedirectAttributes later) {
    String like = typed.getOrDefault("like", "").replaceAll("[^a-z0-9-]", "");
    MethodForm form = new MethodForm(typed);
    try {
      boolean isNew = code.equals(NEW);
      StockMethod before = book.method(isNew && !like.isEmpty() ? like : isNew ? first() : code);
      Set<String> taken = new HashSet<>(book.methods().keySet());
      taken.addAll(house.own(Book.METHOD));
      String own = isNew ? HouseBook.code(form.field("name"), taken) : code;
      StockMethod method = form.understood(own, before.uses());
      house.write(Book.METHOD, own, method.write());
      later.addFlashAttribute("done", words.say("pot.said.method-saved", method.name()));
      return "redirect:/pot?method=" + own;
    } catch (Refusal | QuantityFormatException refusal) {
      later.addFlashAttribute("sentence", words.say(refusal));
      later.addFlashAttribute("form", form);
      return "redirect:/pot/methods/" + code + (like.isEmpty() ? "" : "?like=" + like);
    }
  }

  private String first() {
    return book.methods().keySet().iterator().next();
  }

  @PostMapping("/pot/methods/{code:[a-z0-9-]{1,60}}/retire")
  String retire(@PathVariable String code, RedirectAttributes later) {
    StockMethod method = book.method(code);
    return reply.after(
        new Form("/pot", "typedBook", Map.of()),
        later,
        () -> {
          house.takeOut(Book.METHOD, code, method.write(), book.methods().size());
          return words.say("pot.said.method-gone", method.name());
        });
  }
}
