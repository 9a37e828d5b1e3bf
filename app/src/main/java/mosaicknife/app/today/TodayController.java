package mosaicknife.app.today;

import java.util.Optional;
import mosaicknife.app.bench.BenchSheet;
import mosaicknife.app.bench.BenchSheets;
import mosaicknife.app.house.HouseBook;
import mosaicknife.app.picture.MosaicPicture.Size;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;

/** The Today page, and the same list where a station needs a lot chosen first. */
@Controller
class TodayController {

  private final BenchSheets sheets;
  private final HouseBook houses;

  TodayController(BenchSheets sheets, HouseBook houses) {
    this.sheets = sheets;
    this.houses = houses;
  }

  @GetMapping("/")
  String today(Model model) {
    model.addAttribute("today", TodayView.of(sheets.all(), houses.house().formats()));
    return "today/today";
  }

  /** How a lot was received, with its way through the stations. */
  @GetMapping("/dock/{id}")
  String lot(@PathVariable long id, @RequestParam Optional<String> received, Model model) {
    BenchSheet sheet = sheets.get(id);
    model.addAttribute("sheet", sheet);
    model.addAttribute("lot", sheet.lot());
    model.addAttribute("mosaic", sheet.mosaic(Size.WIDE, houses.house().formats()));
    model.addAttribute("justReceived", received.isPresent());
    return "today/lot";
  }

  @GetMapping("/bench")
  String bench(Model model) {
    return choose(model, "bench", "Bench", "Which lot is on the board?");
  }

  @GetMapping("/cost")
  String cost(Model model) {
    return choose(model, "cost", "Cost", "Which lot do you want to cost?");
  }

  @GetMapping("/use")
  String use(Model model) {
    return choose(model, "use", "Second life", "Which lot do you want to decide on?");
  }

  private String choose(Model model, String station, String title, String question) {
    model.addAttribute("today", TodayView.of(sheets.all(), houses.house().formats()));
    model.addAttribute("station", station);
    model.addAttribute("title", title);
    model.addAttribute("question", question);
    return "today/choose";
  }
}
