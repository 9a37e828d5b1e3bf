package mosaicknife.app.pot;

import java.util.HashSet;
import java.util.Set;
import mosaicknife.app.booklet.HouseBook;
import mosaicknife.app.shared.Done;
import mosaicknife.app.shared.Form;
import mosaicknife.app.shared.Sent;
import mosaicknife.core.pot.PotStep;
import mosaicknife.core.pot.StockMethod;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The ways to cook a stock: the house changes them, and writes its own. */
@Controller
class MethodController {

  private static final String NEW = "new";

  private final PotBook book;
  private final HouseBook house;

  MethodController(PotBook book, HouseBook house) {
    this.book = book;
    this.house = house;
  }

  @GetMapping("/pot/methods/{code:[a-z0-9-]{1,60}}")
  String method(
      @PathVariable String code, @RequestParam(defaultValue = "") String like, Model model) {
    boolean isNew = code.equals(NEW);
    StockMethod method =
        isNew && like.isEmpty()
            ? book.methods().values().iterator().next()
            : book.method(isNew ? like : code);
    model.addAttribute(
        "form", Sent.kept(model).map(MethodForm::new).orElseGet(() -> MethodForm.of(method)));
    model.addAttribute("code", code);
    model.addAttribute("like", like);
    model.addAttribute("method", method);
    model.addAttribute("own", house.own(PotBook.METHODS).contains(code));
    model.addAttribute("works", PotStep.Work.values());
    model.addAttribute("answers", PotStep.Answer.values());
    model.addAttribute("cautions", PotStep.Caution.values());
    return "pot/method";
  }

  @PostMapping("/pot/methods/{code:[a-z0-9-]{1,60}}")
  @Form("/pot/methods/{code}?like={like}")
  Done save(@PathVariable String code, Sent sent) {
    String like = sent.text("like");
    boolean isNew = code.equals(NEW);
    StockMethod before = book.method(isNew && !like.isEmpty() ? like : isNew ? first() : code);
    Set<String> taken = new HashSet<>(book.methods().keySet());
    taken.addAll(house.own(PotBook.METHODS));
    MethodForm form = new MethodForm(sent.typed());
    String own = isNew ? HouseBook.code(form.field("name"), taken) : code;
    StockMethod method = form.understood(own, before.uses());
    house.edit(PotBook.METHODS, own, method.write());
    return Done.said("pot.said.method-saved", method.name()).on("/pot?method=" + own);
  }

  private String first() {
    return book.methods().keySet().iterator().next();
  }

  @PostMapping("/pot/methods/{code:[a-z0-9-]{1,60}}/retire")
  @Form("/pot")
  Done retire(@PathVariable String code) {
    StockMethod method = book.method(code);
    house.strike(PotBook.METHODS, code, method.write(), book.methods().size());
    return Done.said("pot.said.method-gone", method.name());
  }
}
