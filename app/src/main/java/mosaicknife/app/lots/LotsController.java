package mosaicknife.app.lots;

import java.util.Set;
import mosaicknife.app.lot.LotRegister;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The Lots page, and the way there from a station that needs a lot chosen first. */
@Controller
class LotsController {

  private static final Set<String> STATIONS = Set.of("bench", "plan", "cost", "uses");

  private final LotRegister lots;

  LotsController(LotRegister lots) {
    this.lots = lots;
  }

  @GetMapping("/lots")
  String lots(
      @RequestParam(defaultValue = "") String text,
      @RequestParam(defaultValue = "1") int page,
      @RequestParam(name = "for", defaultValue = "") String station,
      Model model) {
    String shown = text.length() > 80 ? text.substring(0, 80) : text;
    model.addAttribute("found", lots.search(shown, page));
    model.addAttribute("text", shown);
    boolean known = STATIONS.contains(station);
    model.addAttribute("station", known ? station : "dock");
    model.addAttribute("wanted", known ? station : "");
    return "lots/lots";
  }

  @GetMapping("/bench")
  String bench() {
    return "redirect:/lots?for=bench";
  }

  @GetMapping("/plan")
  String plan() {
    return "redirect:/lots?for=plan";
  }
}
