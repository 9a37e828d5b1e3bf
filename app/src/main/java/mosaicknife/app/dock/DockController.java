package mosaicknife.app.dock;

import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.time.LocalDate;
import java.util.Map;
import mosaicknife.app.catalogue.CatalogueBook;
import mosaicknife.app.dock.ReceiptReader.Read;
import mosaicknife.app.house.HouseBook;
import mosaicknife.app.shared.Refusal;
import mosaicknife.app.shared.SentTwice;
import mosaicknife.core.anatomy.State;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The Dock station: receive a lot, and see how it was received. */
@Controller
class DockController {

  private final LotBook lots;
  private final ReceiptReader reader;
  private final HouseBook houses;
  private final CatalogueBook catalogue;
  private final Clock clock;

  DockController(
      LotBook lots, ReceiptReader reader, HouseBook houses, CatalogueBook catalogue, Clock clock) {
    this.lots = lots;
    this.reader = reader;
    this.houses = houses;
    this.catalogue = catalogue;
    this.clock = clock;
  }

  @GetMapping("/dock")
  String dock() {
    return "redirect:/dock/receive";
  }

  @GetMapping("/dock/receive")
  String form(@ModelAttribute("form") ReceiptForm form, Model model) {
    return page(model, Map.of());
  }

  @PostMapping("/dock/receive")
  String receive(
      @ModelAttribute("form") ReceiptForm form, Model model, HttpServletResponse response) {
    Read read = reader.read(form);
    Map<String, String> problems = read.problems();
    if (read.receipt().isPresent()) {
      try {
        return "redirect:/dock/"
            + SentTwice.survive(() -> lots.receive(read.receipt().get())).id()
            + "?received";
      } catch (Refusal refusal) {
        problems = Map.of(refusal.field(), refusal.getMessage());
      }
    }
    response.setStatus(422);
    return page(model, problems);
  }

  /** The fish any of whose names contains what was typed, as options to tap. */
  @GetMapping("/dock/receive/fish")
  String fish(@RequestParam(defaultValue = "") String query, Model model) {
    model.addAttribute("found", catalogue.now().search(query));
    model.addAttribute("query", query.strip());
    return "dock/receive :: fishList";
  }

  private String page(Model model, Map<String, String> problems) {
    model.addAttribute("problems", problems);
    model.addAttribute("found", catalogue.now().species());
    model.addAttribute("states", State.values());
    model.addAttribute("origins", Origin.values());
    model.addAttribute("venues", houses.venues());
    model.addAttribute("suppliers", houses.suppliers());
    model.addAttribute("today", today());
    return "dock/receive";
  }

  private LocalDate today() {
    return LocalDate.now(clock.withZone(houses.house().formats().zone()));
  }
}
