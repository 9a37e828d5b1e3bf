package mosaicknife.app.cost;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.shared.Formats;
import mosaicknife.app.shared.Refusal;
import mosaicknife.app.shared.Typed;
import mosaicknife.app.shared.Words;
import mosaicknife.app.weighing.LotSheets;
import mosaicknife.core.cost.CostSheet;
import mosaicknife.core.cost.WhatIf;
import mosaicknife.core.lot.LotSheet;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Fraction;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.MassText;
import mosaicknife.core.quantity.PriceText;
import mosaicknife.core.quantity.QuantityFormatException;
import mosaicknife.core.quantity.UnitPrice;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;

/** What a little more or less is worth of a lot, and when the cut bought in is cheaper. */
@Controller
class WhatIfController {

  private static final BigDecimal LEAST = BigDecimal.ONE;
  private static final BigDecimal MOST = BigDecimal.valueOf(100);
  private static final BigDecimal MOST_PRICE = BigDecimal.valueOf(100_000);
  private static final int HUNDRED = 100;
  private static final int MOST_PLATES = 100_000;

  private final LotSheets sheets;
  private final HouseSettings houses;
  private final Words words;

  WhatIfController(LotSheets sheets, HouseSettings houses, Words words) {
    this.sheets = sheets;
    this.houses = houses;
    this.words = words;
  }

  @GetMapping("/cost/{id}/what-if")
  String whatIf(@PathVariable long id, @RequestParam Map<String, String> typed, Model model) {
    List<String> said = new ArrayList<>();
    String problem = "";
    try {
      said.addAll(said(sheets.get(id), typed));
    } catch (Refusal | QuantityFormatException refusal) {
      if (refusal instanceof Refusal missing && missing.kind() == Refusal.Kind.MISSING) {
        throw missing;
      }
      problem = words.say(refusal);
    }
    model.addAttribute("said", said);
    model.addAttribute("problem", problem);
    return "cost/what-if :: said";
  }

  private List<String> said(LotSheet sheet, Map<String, String> typed) {
    Optional<CostSheet> costs = sheet.costs(sheet.lot().costingMethod());
    if (costs.isEmpty()) {
      throw Refusal.ofInput("cost.problem.no-plate-yet");
    }
    Formats formats = houses.house().formats();
    CostSheet known = costs.get();
    WhatIf what =
        new WhatIf(
            known.cost().total().minus(known.costing().onHeld()),
            known.costing().onMains(),
            sheet.plan().labour(houses.house().labourPerHour()),
            sheet.lot().purchased(),
            known.mains(),
            known.portions().serving().target());
    List<String> said = new ArrayList<>();
    said.add(
        formats.say(
            "cost.said.plate-by-weight",
            formats.money(what.plate()),
            what.share(),
            formats.fineMoney(what.point())));
    Mass more = MassText.parse(field(typed, "more"), formats.system().small()).mass();
    int plates = Typed.count(field(typed, "plates"), 1, MOST_PLATES, "plates");
    if (!more.isPositive()) {
      throw Refusal.ofField("more", "cost.problem.no-more");
    }
    said.add(
        formats.say("cost.said.heavier", more, plates, formats.money(what.heavier(more, plates))));
    Fraction share =
        Fraction.of(
            Typed.percent(field(typed, "share"), LEAST, MOST, "share")
                .divide(BigDecimal.valueOf(HUNDRED)));
    said.add(formats.say("cost.said.menu", share, formats.money(what.menuPrice(share))));
    String menu = field(typed, "price");
    if (!menu.isBlank()) {
      ExactMoney price = Typed.money(menu, MOST_PRICE, formats.currency(), "price");
      if (!price.isPositive()) {
        throw Refusal.ofField("price", "cost.problem.no-menu-price");
      }
      said.add(formats.say("cost.said.at-the-price", formats.money(price), what.share(price)));
    }
    String bought = field(typed, "bought");
    if (!bought.isBlank()) {
      said.addAll(against(what, bought, formats));
    }
    return said;
  }

  private static String field(Map<String, String> typed, String name) {
    return typed.getOrDefault(name, "");
  }

  /** When the same cut bought in is cheaper, by price and by yield. */
  private static List<String> against(WhatIf what, String typed, Formats formats) {
    UnitPrice bought = PriceText.parse(typed, formats.system().large(), formats.currency()).price();
    if (!bought.perKilogram().isPositive()) {
      throw Refusal.ofField("bought", "cost.problem.free");
    }
    Fraction least = what.lowestYield(bought);
    return List.of(
        what.highestPrice(bought)
            .map(price -> formats.say("cost.said.worth-breaking", formats.price(price)))
            .orElseGet(() -> formats.say("cost.said.work-alone")),
        least.compareTo(Fraction.ONE) > 0
            ? formats.say("cost.said.never")
            : formats.say(
                least.compareTo(what.share()) <= 0
                    ? "cost.said.yield-enough"
                    : "cost.said.yield-short",
                least,
                what.share()));
  }
}
