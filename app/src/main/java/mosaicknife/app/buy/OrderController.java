package mosaicknife.app.buy;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.shared.Csv;
import mosaicknife.app.shared.Done;
import mosaicknife.app.shared.Form;
import mosaicknife.app.shared.Formats;
import mosaicknife.app.shared.Paged;
import mosaicknife.app.shared.Paper;
import mosaicknife.app.shared.Sent;
import mosaicknife.app.shared.TakesLong;
import mosaicknife.app.shared.Words;
import mosaicknife.core.buying.Offer;
import mosaicknife.core.finding.Finding;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Order sheets: on screen, on paper, as a table. */
@Controller
class OrderController {

  private final OrderPlacer orders;
  private final HouseSettings houses;
  private final Paper paper;

  private final Words words;

  OrderController(OrderPlacer orders, HouseSettings houses, Paper paper, Words words) {
    this.words = words;
    this.orders = orders;
    this.houses = houses;
    this.paper = paper;
  }

  @GetMapping("/buy/orders")
  String all(@RequestParam(defaultValue = "1") String page, Model model) {
    model.addAttribute("orders", orders.all(Paged.number(page)));
    return "buy/orders";
  }

  @GetMapping("/buy/orders/{id}")
  String order(@PathVariable long id, Model model) {
    Order order = orders.get(id);
    model.addAttribute("order", order);
    model.addAttribute("doubt", order.doubt().map(words::say).orElse(null));
    return "buy/order";
  }

  @TakesLong
  @GetMapping("/buy/orders/{id}/sheet.pdf")
  ResponseEntity<byte[]> pdf(@PathVariable long id) {
    Order order = orders.get(id);
    return paper.sheet(
        "buy/order-sheet",
        Map.of("order", order, "house", houses.house(), "f", houses.house().formats()),
        "order-" + id + ".pdf");
  }

  @GetMapping("/buy/orders/{id}/sheet.csv")
  ResponseEntity<String> csv(@PathVariable long id) {
    Order order = orders.get(id);
    Formats formats = houses.house().formats();
    List<List<?>> rows = new ArrayList<>();
    rows.add(
        List.of(
            "order",
            "supplier",
            "deliver on",
            "fish",
            "scientific name",
            "state",
            "size",
            "number",
            "expected kg",
            "price per kg",
            "currency"));
    for (OrderLine line : order.lines()) {
      boolean fillet = line.form() == Offer.Form.FILLET;
      rows.add(
          List.of(
              order.id(),
              order.supplier(),
              order.deliverOn(),
              line.species().name(),
              line.species().scientificName(),
              formats.say(fillet ? "buy.order.fillet" : Finding.of(line.state()).key()),
              fillet ? "" : formats.range(line.grade().from(), line.grade().to()),
              fillet ? "" : line.fish(),
              line.mass().toKilograms().toPlainString(),
              line.price().perKilogram().amount().stripTrailingZeros().toPlainString(),
              line.price().perKilogram().currency()));
    }
    return Csv.table("order-" + id + ".csv", rows);
  }

  @PostMapping("/buy/orders/{id}")
  @Form("/buy/orders/{id}")
  Done change(
      @PathVariable long id,
      @RequestParam int version,
      @RequestParam LocalDate deliverOn,
      Sent sent) {
    orders.change(id, version, deliverOn, sent.text("note"));
    return Done.QUIETLY;
  }

  @PostMapping("/buy/orders/{id}/lines/{line}/off")
  String dropLine(@PathVariable long id, @PathVariable long line, @RequestParam int version) {
    boolean last = orders.get(id).lines().size() == 1;
    orders.dropLine(id, version, line);
    return last ? "redirect:/buy/orders" : "redirect:/buy/orders/" + id;
  }

  @PostMapping("/buy/orders/{id}/place")
  String place(@PathVariable long id, @RequestParam int version) {
    orders.place(id, version);
    return "redirect:/buy/orders/" + id;
  }

  @PostMapping("/buy/orders/{id}/back")
  String takeBack(@PathVariable long id, @RequestParam int version) {
    orders.takeBack(id, version);
    return "redirect:/buy/orders/" + id;
  }
}
