package mosaicknife.app.cutplan;

import mosaicknife.app.parts.PreWorkTicker;
import mosaicknife.core.plan.PreWork;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Ticks on the list of what is done before the first cut. */
@Controller
class PreWorkController {

  private final PreWorkTicker ticker;

  PreWorkController(PreWorkTicker ticker) {
    this.ticker = ticker;
  }

  @PostMapping("/plan/{id}/pre-work")
  String tick(
      @PathVariable long id,
      @RequestParam PreWork.Place place,
      @RequestParam PreWork.Task task,
      @RequestParam boolean done) {
    ticker.tick(id, place, task, done);
    return "redirect:/plan/" + id + "#work-title";
  }
}
