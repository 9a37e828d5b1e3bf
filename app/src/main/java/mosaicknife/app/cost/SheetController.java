package mosaicknife.app.cost;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.shared.Csv;
import mosaicknife.app.shared.Formats;
import mosaicknife.app.shared.Paper;
import mosaicknife.app.shared.TakesLong;
import mosaicknife.app.weighing.LotSheets;
import mosaicknife.core.cost.CostLadder;
import mosaicknife.core.lot.LotSheet;
import mosaicknife.core.quantity.ExactMoney;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;

/** The cost sheet of a lot, on paper and as a table. */
@Controller
class SheetController {

  private final LotSheets sheets;
  private final DishCosts dishes;
  private final HouseSettings houses;
  private final Paper paper;

  SheetController(LotSheets sheets, DishCosts dishes, HouseSettings houses, Paper paper) {
    this.sheets = sheets;
    this.dishes = dishes;
    this.houses = houses;
    this.paper = paper;
  }

  @TakesLong
  @GetMapping("/cost/{id}/sheet.pdf")
  ResponseEntity<byte[]> pdf(@PathVariable long id) {
    LotSheet sheet = sheets.get(id);
    Formats formats = houses.house().formats();
    Map<String, Object> model = new LinkedHashMap<>();
    model.put("house", houses.house());
    model.put("f", formats);
    model.put("lot", sheet.lot());
    model.put("cost", CostView.of(sheet, dishes.plates(sheet), formats));
    return paper.sheet("cost/sheet", model, "cost-" + id + ".pdf");
  }

  /** Every rung, then what each part carries; figures without signs, in major units. */
  @GetMapping("/cost/{id}/sheet.csv")
  ResponseEntity<String> csv(@PathVariable long id) {
    LotSheet sheet = sheets.get(id);
    Formats formats = houses.house().formats();
    CostLadder ladder = dishes.plates(sheet).ladder();
    List<List<?>> rows = new ArrayList<>();
    rows.add(List.of("step", "kg", "money", "a portion", "a kg", "currency"));
    for (CostLadder.Rung rung : ladder.rungs()) {
      rows.add(
          List.of(
              formats.say(rung.step()),
              rung.mass().map(mass -> mass.inKilograms().toPlainString()).orElse(""),
              amount(rung.money()),
              rung.portion().map(SheetController::fine).orElse(""),
              rung.price().map(price -> fine(price.perKilogram())).orElse(""),
              rung.money().currency()));
    }
    rows.add(List.of());
    rows.add(List.of("part", "kg", "carries", "", "", "currency"));
    sheet
        .costs(sheet.lot().costingMethod())
        .ifPresent(
            costs ->
                costs
                    .costing()
                    .parts()
                    .forEach(
                        part ->
                            rows.add(
                                List.of(
                                    sheet.breakdown().findLeaf(part.id()).orElseThrow().name(),
                                    sheet
                                        .breakdown()
                                        .findLeaf(part.id())
                                        .orElseThrow()
                                        .mass()
                                        .inKilograms()
                                        .toPlainString(),
                                    part.rounded().inMajorUnits().toPlainString(),
                                    "",
                                    "",
                                    part.rounded().currency()))));
    return Csv.table("cost-" + id + ".csv", rows);
  }

  /** As invoiced, in the minor units of its currency. */
  private static String amount(ExactMoney money) {
    return money.rounded(RoundingMode.HALF_UP).inMajorUnits().toPlainString();
  }

  private static String fine(ExactMoney money) {
    BigDecimal four = money.amount().setScale(4, RoundingMode.HALF_UP);
    return four.toPlainString();
  }
}
