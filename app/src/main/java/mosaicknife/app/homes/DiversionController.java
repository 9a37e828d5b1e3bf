package mosaicknife.app.homes;

import java.util.List;
import java.util.Optional;
import mosaicknife.app.account.CurrentPerson;
import mosaicknife.app.account.Permission;
import mosaicknife.app.homes.DiversionView.By;
import mosaicknife.app.homes.HandReader.Looked;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.larder.LarderBook;
import mosaicknife.app.shared.Typed;
import mosaicknife.core.lot.LotSheet;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Where the fish of the last days went. */
@Controller
class DiversionController {

  private final HandReader hand;
  private final LarderBook larder;
  private final CurrentPerson current;
  private final HouseSettings houses;

  DiversionController(
      HandReader hand, LarderBook larder, CurrentPerson current, HouseSettings houses) {
    this.hand = hand;
    this.larder = larder;
    this.current = current;
    this.houses = houses;
  }

  @GetMapping("/uses/went")
  String went(@RequestParam(defaultValue = "LOT") String by, Model model) {
    By chosen = Typed.choice(By.values(), by).orElse(By.LOT);
    List<Looked> looked = hand.looked();
    List<LotSheet> sheets = looked.stream().map(Looked::sheet).toList();
    boolean money = current.may(Permission.SEE_COSTS);
    model.addAttribute(
        "went",
        DiversionView.of(
            looked,
            larder.went(sheets),
            money ? Optional.of(larder.moneyOf(sheets)) : Optional.empty(),
            chosen,
            houses.house().labourPerHour(),
            houses.house().formats()));
    model.addAttribute("by", chosen);
    model.addAttribute("all", By.values());
    model.addAttribute("money", money);
    return "homes/went";
  }
}
