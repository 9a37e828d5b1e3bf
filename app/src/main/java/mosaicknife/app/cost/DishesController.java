package mosaicknife.app.cost;

import java.util.List;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.shared.Formats;
import mosaicknife.core.lot.LotSheet;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;

/** What plates of every dish cost lately, and factors for quick sums. */
@Controller
class DishesController {

  private final DishCosts costs;
  private final HouseSettings houses;

  DishesController(DishCosts costs, HouseSettings houses) {
    this.costs = costs;
    this.houses = houses;
  }

  @GetMapping("/cost")
  String dishes(Model model) {
    List<LotSheet> lately = costs.lately();
    model.addAttribute(
        "view", DishesView.of(costs.costed(lately), lately, houses.house().formats()));
    return "cost/dishes";
  }

  /** What passed its limit lately, for Today; nothing at all where nothing did. */
  @GetMapping("/cost/passed")
  String passed(Model model) {
    Formats formats = houses.house().formats();
    model.addAttribute(
        "passed",
        costs.passed().stream()
            .map(
                one ->
                    formats.say(
                        "cost.said.passed",
                        one.dish(),
                        formats.money(one.plate()),
                        formats.money(one.most())))
            .toList());
    return "cost/passed :: passed";
  }
}
