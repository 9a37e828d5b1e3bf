package mosaicknife.app.cost;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mosaicknife.app.buy.Dish;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.larder.LarderBook;
import mosaicknife.app.lot.LotRegister;
import mosaicknife.app.picture.LotMosaic;
import mosaicknife.app.picture.MosaicPicture.Size;
import mosaicknife.app.shared.ApartWords;
import mosaicknife.app.shared.Done;
import mosaicknife.app.shared.Form;
import mosaicknife.app.shared.Formats;
import mosaicknife.app.shared.Sent;
import mosaicknife.app.shared.Typed;
import mosaicknife.app.weighing.LotSheets;
import mosaicknife.core.cost.CostingMethod;
import mosaicknife.core.lot.LotSheet;
import mosaicknife.core.portion.Serving;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.MassText;
import mosaicknife.core.quantity.PriceText;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The Cost station. */
@Controller
class CostController {

  private static final BigDecimal MOST_FREIGHT = BigDecimal.valueOf(100_000);

  private final LotSheets sheets;
  private final LotRegister lots;
  private final LarderBook larder;
  private final HouseSettings houses;
  private final DishCosts dishes;

  CostController(
      LotSheets sheets,
      LotRegister lots,
      LarderBook larder,
      HouseSettings houses,
      DishCosts dishes) {
    this.dishes = dishes;
    this.larder = larder;
    this.sheets = sheets;
    this.lots = lots;
    this.houses = houses;
  }

  @GetMapping("/cost/{id}")
  String cost(@PathVariable long id, Model model) {
    Formats formats = houses.house().formats();
    LotSheet sheet = sheets.get(id);
    model.addAttribute("sheet", sheet);
    model.addAttribute("lot", sheet.lot());
    model.addAttribute("cost", CostView.of(sheet, dishes.plates(sheet), formats));
    model.addAttribute("apart", ApartWords.of(sheet, formats));
    model.addAttribute(
        "places",
        larder.moneyOf(List.of(sheet)).get(id).places().entrySet().stream()
            .sorted(Map.Entry.comparingByKey())
            .map(
                one ->
                    formats.say(
                        "cost.said.at-place",
                        formats.say("LotMoney.Place." + one.getKey().name()),
                        one.getValue().toExact()))
            .toList());
    model.addAttribute(
        "menu",
        dishes
            .plates(sheet)
            .only()
            .flatMap(Dish::price)
            .map(price -> price.amount().toPlainString())
            .orElse(""));
    model.addAttribute("mosaic", LotMosaic.of(sheet, Size.SMALL, formats));
    model.addAttribute(
        "portion",
        typed(model, "portion").orElseGet(() -> formats.mass(sheet.plates().serving().target())));
    model.addAttribute("freight", typed(model, "freight").orElseGet(() -> freightText(sheet)));
    return "cost/cost";
  }

  /** What was typed and refused stays in the field. */
  private static Optional<String> typed(Model model, String field) {
    return Sent.kept(model, "typedCost").map(typed -> typed.get(field));
  }

  /** To the minor unit: by kilogram it is kept with more digits. */
  private static String freightText(LotSheet sheet) {
    ExactMoney extras = sheet.lot().extrasInAll();
    return extras.isPositive()
        ? extras.rounded(RoundingMode.HALF_UP).inMajorUnits().toPlainString()
        : "";
  }

  /** An empty field takes it away again. */
  private ExactMoney freight(String typed, long id) {
    return Typed.money(
        typed.isBlank() ? "0" : typed, MOST_FREIGHT, lots.get(id).currency(), "freight");
  }

  /** As shown it stays the dish's; another is the lot's from now on. */
  private Optional<Serving> portion(long id, String typed) {
    Formats formats = houses.house().formats();
    Serving before = sheets.get(id).plates().serving();
    return typed.strip().equals(formats.mass(before.target()))
        ? Optional.empty()
        : Optional.of(before.of(MassText.parse(typed, formats.system().small()).mass()));
  }

  @PostMapping("/cost/{id}")
  @Form(value = "/cost/{id}", keeps = "typedCost")
  Done change(
      @PathVariable long id,
      @RequestParam int version,
      @RequestParam CostingMethod method,
      Sent sent) {
    lots.costBy(
        id,
        version,
        method,
        portion(id, sent.text("portion")),
        sent.has("freight") ? Optional.of(freight(sent.text("freight"), id)) : Optional.empty());
    return Done.QUIETLY;
  }

  @PostMapping("/cost/{id}/price")
  @Form(value = "/cost/{id}", keeps = "typedPrice")
  Done price(@PathVariable long id, @RequestParam int version, Sent sent) {
    Formats formats = houses.house().formats();
    PriceText price =
        PriceText.parse(sent.text("price"), formats.system().large(), formats.currency());
    lots.price(id, version, price.price());
    return Done.said("cost.said.price-kept");
  }
}
