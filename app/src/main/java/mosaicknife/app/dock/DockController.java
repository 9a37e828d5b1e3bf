package mosaicknife.app.dock;

import jakarta.servlet.http.HttpServletResponse;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import mosaicknife.app.buy.OrderPlacer;
import mosaicknife.app.catalogue.CatalogueEditor;
import mosaicknife.app.dock.ReceiptReader.ReadReceipt;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.lot.LotRegister;
import mosaicknife.app.shared.Refusal;
import mosaicknife.app.shared.Words;
import mosaicknife.core.anatomy.Catalogue;
import mosaicknife.core.anatomy.RefusedFish;
import mosaicknife.core.anatomy.SharedName;
import mosaicknife.core.anatomy.Species;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.lot.CatchMethod;
import mosaicknife.core.lot.Killing;
import mosaicknife.core.lot.Origin;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The Dock station: receive a lot, and see how it was received. */
@Controller
class DockController {

  private static final int MOST_FOUND = 12;

  private final LotRegister lots;
  private final OrderPlacer orders;
  private final Deliveries deliveries;
  private final ReceiptReader reader;
  private final HouseSettings houses;
  private final CatalogueEditor catalogue;

  private final Words words;

  DockController(
      LotRegister lots,
      OrderPlacer orders,
      Deliveries deliveries,
      ReceiptReader reader,
      HouseSettings houses,
      CatalogueEditor catalogue,
      Words words) {
    this.words = words;
    this.lots = lots;
    this.orders = orders;
    this.deliveries = deliveries;
    this.reader = reader;
    this.houses = houses;
    this.catalogue = catalogue;
  }

  /** What is expected, and what came last. */
  @GetMapping("/dock")
  String dock(Model model) {
    LocalDate today = houses.today();
    model.addAttribute(
        "expected",
        orders.expected().stream()
            .map(order -> ExpectedView.of(order, lots.of(order), order.deliverOn().isBefore(today)))
            .toList());
    model.addAttribute("lots", lots.newest());
    return "dock/dock";
  }

  /** Nothing more will come of an order. */
  @PostMapping("/dock/orders/{id}/close")
  String close(@PathVariable long id) {
    orders.close(id);
    return "redirect:/dock";
  }

  @GetMapping("/dock/receive")
  String form(@ModelAttribute("form") ReceiptForm form, Model model) {
    if (form.line().matches("[0-9]{1,18}") && form.species().isEmpty()) {
      long lineId = Long.parseLong(form.line());
      orders
          .findByLine(lineId)
          .ifPresent(
              order ->
                  model.addAttribute(
                      "form", ReceiptForm.expected(order, lineId, reader.takesPrice())));
    }
    return page(model, Map.of());
  }

  @PostMapping("/dock/receive")
  String receive(
      @ModelAttribute("form") ReceiptForm form, Model model, HttpServletResponse response) {
    ReadReceipt read = reader.read(form);
    Map<String, String> problems = read.problems();
    if (read.delivery().isPresent()) {
      try {
        return "redirect:/dock/" + deliveries.receive(read.delivery().get()).id() + "?received";
      } catch (Refusal refusal) {
        problems = Map.of(refusal.field(), words.say(refusal));
      }
    }
    response.setStatus(422);
    return page(model, problems);
  }

  /** The fish any of whose names contains what was typed, as options to tap. */
  @GetMapping("/dock/receive/fish")
  String fish(@RequestParam(defaultValue = "") String query, Model model) {
    model.addAttribute("found", found(query));
    model.addAttribute("refused", query.isBlank() ? null : refused(query));
    model.addAttribute("query", query.strip());
    model.addAttribute("shared", SharedName.find(query).map(SharedName::difference).orElse(null));
    return "dock/receive :: fishList";
  }

  private String refused(String query) {
    return catalogue.now().findRefused(query).map(RefusedFish::why).orElse(null);
  }

  /** Without a search the fish this house received last; it knows more than fit a page. */
  private List<Species> found(String query) {
    Catalogue fish = catalogue.now();
    if (!query.isBlank()) {
      return fish.search(query).stream().limit(MOST_FOUND).toList();
    }
    List<Species> usual = lots.lastSpecies(MOST_FOUND);
    return usual.isEmpty() ? fish.species().stream().limit(MOST_FOUND).toList() : usual;
  }

  private String page(Model model, Map<String, String> problems) {
    model.addAttribute("problems", problems);
    ReceiptForm form = (ReceiptForm) model.getAttribute("form");
    List<Species> offered = new ArrayList<>(found(""));
    catalogue
        .now()
        .findSpecies(form == null ? "" : form.species())
        .filter(species -> !offered.contains(species))
        .ifPresent(species -> offered.add(0, species));
    model.addAttribute("found", offered);
    model.addAttribute("takesPrice", reader.takesPrice());
    model.addAttribute("methods", CatchMethod.values());
    model.addAttribute("killings", Killing.values());
    model.addAttribute("states", State.values());
    model.addAttribute("origins", Origin.values());
    model.addAttribute("venues", houses.venues());
    model.addAttribute("suppliers", houses.suppliers());
    model.addAttribute("today", houses.today());
    return "dock/receive";
  }
}
