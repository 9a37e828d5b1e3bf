package mosaicknife.app.cutplan;

import java.util.UUID;
import mosaicknife.app.parts.LotDivider;
import mosaicknife.app.parts.PreWorkTicker;
import mosaicknife.app.parts.WayKeeper;
import mosaicknife.app.shared.Paper;
import mosaicknife.app.shared.TakesLong;
import mosaicknife.app.weighing.LotSheets;
import mosaicknife.core.lot.LotSheet;
import mosaicknife.core.portion.Serving;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;

/** The Cut plan station. */
@Controller
class PlanController {

  private final LotSheets sheets;
  private final PlanPage page;
  private final WayKeeper ways;
  private final PreWorkTicker preWork;
  private final LotDivider divisions;
  private final Paper paper;

  PlanController(
      LotSheets sheets,
      PlanPage page,
      WayKeeper ways,
      PreWorkTicker preWork,
      LotDivider divisions,
      Paper paper) {
    this.sheets = sheets;
    this.page = page;
    this.ways = ways;
    this.preWork = preWork;
    this.divisions = divisions;
    this.paper = paper;
  }

  @GetMapping("/plan/{id}")
  String plan(@PathVariable long id, Model model) {
    LotSheet sheet = sheets.get(id);
    page.show(sheet, model);
    model.addAttribute("preWorkDone", preWork.of(id));
    model.addAttribute("ways", ways.of(sheet.lot().species()));
    model.addAttribute("servings", Serving.Form.values());
    model.addAttribute("size", WayKeeper.sizeOf(sheet.lot()));
    model.addAttribute("division", divisions.of(sheet.lot()));
    model.addAttribute("newId", UUID.randomUUID());
    return "cutplan/plan";
  }

  @TakesLong
  @GetMapping(path = "/plan/{id}/sheet.pdf")
  ResponseEntity<byte[]> print(@PathVariable long id) {
    return paper.sheet("cutplan/cut-sheet", page.paper(sheets.get(id)), "cut-sheet-" + id + ".pdf");
  }
}
