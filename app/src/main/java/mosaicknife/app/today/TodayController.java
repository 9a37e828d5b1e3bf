package mosaicknife.app.today;

import java.util.Optional;
import mosaicknife.app.account.CurrentPerson;
import mosaicknife.app.account.Permission;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.house.Upkeep;
import mosaicknife.app.larder.LarderBook;
import mosaicknife.app.lot.LotRegister;
import mosaicknife.app.weighing.LotSheets;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;

/** The Today page, and the way to the fish on the board. */
@Controller
class TodayController {

  /** So many of them are shown with their mosaic; all of them are on the list of lots. */
  private static final int MOST_SHOWN = 12;

  private final LotSheets sheets;
  private final LotRegister lots;
  private final LarderBook larder;
  private final Running running;
  private final HouseSettings houses;
  private final Upkeep upkeep;
  private final CurrentPerson person;

  TodayController(
      LotSheets sheets,
      LotRegister lots,
      LarderBook larder,
      Running running,
      HouseSettings houses,
      Upkeep upkeep,
      CurrentPerson person) {
    this.upkeep = upkeep;
    this.person = person;
    this.larder = larder;
    this.sheets = sheets;
    this.lots = lots;
    this.running = running;
    this.houses = houses;
  }

  @GetMapping("/")
  String today(Model model) {
    model.addAttribute(
        "today",
        TodayView.of(
            sheets.of(lots.open()),
            larder.onShelves(),
            MOST_SHOWN,
            houses.house(),
            houses.today(),
            person.may(Permission.SEE_COSTS)));
    model.addAttribute("upkeep", upkeep.warnings(person.may(Permission.MANAGE_HOUSE)));
    model.addAttribute("clocks", running.clocks());
    model.addAttribute("more", Math.max(0, lots.countOpen() - MOST_SHOWN));
    model.addAttribute("closed", lots.newest().stream().filter(lot -> lot.isFinished()).toList());
    return "today/today";
  }

  /** The fish on the board, from anywhere in one tap. */
  @GetMapping("/board")
  String board() {
    Optional<Long> lot = lots.onTheBoard();
    return lot.map(id -> "redirect:/bench/" + id).orElse("redirect:/lots");
  }
}
