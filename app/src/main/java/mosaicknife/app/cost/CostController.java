package mosaicknife.app.cost;

import mosaicknife.app.bench.BenchSheet;
import mosaicknife.app.bench.BenchSheets;
import mosaicknife.app.dock.LotRegister;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.picture.MosaicPicture.Size;
import mosaicknife.app.shared.Formats;
import mosaicknife.app.shared.Refusal;
import mosaicknife.core.cost.CostingMethod;
import mosaicknife.core.quantity.MassText;
import mosaicknife.core.quantity.QuantityFormatException;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The Cost station. */
@Controller
class CostController {

  private final BenchSheets sheets;
  private final LotRegister lots;
  private final HouseSettings houses;

  CostController(BenchSheets sheets, LotRegister lots, HouseSettings houses) {
    this.sheets = sheets;
    this.lots = lots;
    this.houses = houses;
  }

  @GetMapping("/cost/{id}")
  String cost(@PathVariable long id, Model model) {
    Formats formats = houses.house().formats();
    BenchSheet sheet = sheets.get(id);
    model.addAttribute("sheet", sheet);
    model.addAttribute("lot", sheet.lot());
    model.addAttribute("cost", CostView.of(sheet, formats));
    model.addAttribute("mosaic", sheet.mosaic(Size.SMALL, formats));
    model.addAttribute("portion", portionText(model, sheet, formats));
    return "cost/cost";
  }

  /** What was typed and refused stays in the field. */
  private static Object portionText(Model model, BenchSheet sheet, Formats formats) {
    Object typed = model.getAttribute("typedPortion");
    return typed != null ? typed : formats.mass(sheet.lot().portionTarget());
  }

  @PostMapping("/cost/{id}")
  String change(
      @PathVariable long id,
      @RequestParam int version,
      @RequestParam CostingMethod method,
      @RequestParam String portion,
      RedirectAttributes later) {
    try {
      lots.costBy(
          id,
          version,
          method,
          MassText.parse(portion, houses.house().formats().system().small()).mass());
    } catch (Refusal | QuantityFormatException refusal) {
      if (refusal instanceof Refusal missing && missing.kind() == Refusal.Kind.MISSING) {
        throw missing;
      }
      later.addFlashAttribute("sentence", refusal.getMessage());
      later.addFlashAttribute("typedPortion", portion);
    }
    return "redirect:/cost/" + id;
  }
}
