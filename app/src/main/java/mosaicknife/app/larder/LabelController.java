package mosaicknife.app.larder;

import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import mosaicknife.app.account.PeopleRegister;
import mosaicknife.app.device.LabelPrinter;
import mosaicknife.app.house.House;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.shared.Paper;
import mosaicknife.app.shared.Refusal;
import mosaicknife.app.shared.SquareCode;
import mosaicknife.app.shared.TakesLong;
import mosaicknife.app.shared.Words;
import mosaicknife.core.larder.Item;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Labels: one on the label printer, or many on a sheet of paper. */
@Controller
class LabelController {

  private final LarderBook book;
  private final HouseSettings houses;
  private final PeopleRegister people;
  private final LabelPrinter printer;
  private final Paper paper;
  private final Words words;

  LabelController(
      LarderBook book,
      HouseSettings houses,
      PeopleRegister people,
      LabelPrinter printer,
      Paper paper,
      Words words) {
    this.book = book;
    this.houses = houses;
    this.people = people;
    this.printer = printer;
    this.paper = paper;
    this.words = words;
  }

  /** One label with its square code. */
  record Label(ItemView item, SquareCode square) {}

  private Map<String, Object> model(List<Item> items) {
    House house = houses.house();
    Map<Long, mosaicknife.core.lot.Lot> lots = book.lotsOf(items);
    Map<Long, String> venues = houses.venueNames();
    Map<Long, String> names = people.names();
    List<Label> labels =
        items.stream()
            .map(
                item ->
                    new Label(
                        ItemView.of(
                            item,
                            lots,
                            venues,
                            names,
                            java.util.Optional.empty(),
                            book.isSkinOn(item),
                            houses.today(),
                            house.formats()),
                        SquareCode.of(book.square(item.shelved().code()))))
            .toList();
    Map<String, Object> model = new LinkedHashMap<>();
    model.put("house", house);
    model.put("f", house.formats());
    model.put("labels", labels);
    return model;
  }

  /** A sheet with the labels of some items, or of all that lie on shelves. */
  @TakesLong
  @GetMapping("/larder/labels.pdf")
  ResponseEntity<byte[]> sheet(@RequestParam(defaultValue = "") String codes) {
    List<Item> items =
        codes.isBlank()
            ? book.onShelves()
            : Arrays.stream(codes.split(",")).map(book::read).map(book::get).toList();
    return paper.sheet("larder/label-sheet", model(items), "labels.pdf");
  }

  @PostMapping("/larder/{code:[0-9A-Z]{5}}/print")
  String print(@PathVariable String code, RedirectAttributes later) {
    Item item = book.get(code);
    if (item.isGone()) {
      throw Refusal.ofMissing("larder.problem.no-such-label", code);
    }
    if (printer.print(code, paper.print("larder/label", model(List.of(item))))) {
      later.addFlashAttribute("done", words.say("larder.said.printed", item.shelved().name()));
      later.addFlashAttribute("printed", printer.last(code).isPresent());
    } else {
      later.addFlashAttribute("sentence", words.say("larder.said.no-printer"));
    }
    return "redirect:/larder/" + code;
  }

  /** What came out of the printer's stand-in last for an item. */
  @GetMapping("/larder/{code:[0-9A-Z]{5}}/printed.png")
  ResponseEntity<byte[]> printed(@PathVariable String code) {
    return printer
        .last(code)
        .map(png -> ResponseEntity.ok().contentType(MediaType.IMAGE_PNG).body(png))
        .orElseThrow(() -> Refusal.ofMissing("larder.problem.not-printed", code));
  }
}
