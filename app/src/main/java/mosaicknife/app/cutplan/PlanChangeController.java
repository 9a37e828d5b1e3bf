package mosaicknife.app.cutplan;

import java.util.List;
import java.util.Optional;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.parts.OptionChooser;
import mosaicknife.app.parts.PiecePlanner;
import mosaicknife.app.parts.PurposeAssigner;
import mosaicknife.app.parts.WayKeeper;
import mosaicknife.app.shared.Done;
import mosaicknife.app.shared.Form;
import mosaicknife.app.shared.Sent;
import mosaicknife.app.shared.ServingForm;
import mosaicknife.app.weighing.LotSheets;
import mosaicknife.app.weighing.UsualPurposes;
import mosaicknife.core.anatomy.Purpose;
import mosaicknife.core.lot.LotSheet;
import mosaicknife.core.portion.Serving;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Changes of a plan. Every one comes back to the same page, with a sentence if refused. */
@Controller
class PlanChangeController {

  private final LotSheets sheets;
  private final OptionChooser options;
  private final WayKeeper ways;
  private final PurposeAssigner purposes;
  private final PiecePlanner pieces;
  private final UsualPurposes usual;
  private final HouseSettings houses;

  PlanChangeController(
      LotSheets sheets,
      OptionChooser options,
      WayKeeper ways,
      PurposeAssigner purposes,
      PiecePlanner pieces,
      UsualPurposes usual,
      HouseSettings houses) {
    this.sheets = sheets;
    this.options = options;
    this.ways = ways;
    this.purposes = purposes;
    this.pieces = pieces;
    this.usual = usual;
    this.houses = houses;
  }

  @PostMapping("/plan/{id}/options/{option}")
  @Form("/plan/{id}")
  Done choose(@PathVariable long id, @PathVariable String option, Sent sent) {
    options.choose(id, option, sent.text("choice"), sent.text("reason"));
    return at(id, "#option-" + option);
  }

  /** Where it was done; what is refused is said on top. */
  private static Done at(long id, String place) {
    return Done.QUIETLY.on("/plan/" + id + place);
  }

  @PostMapping("/plan/{id}/options/{option}/house")
  @Form("/plan/{id}")
  Done makeHouseAnswer(@PathVariable long id, @PathVariable String option, Sent sent) {
    options.makeHouseAnswer(id, option, sent.text("reason"));
    return at(id, "#option-" + option);
  }

  @PostMapping("/plan/{id}/parts/{slot}")
  @Form("/plan/{id}")
  Done assign(
      @PathVariable long id,
      @PathVariable String slot,
      @RequestParam int version,
      @RequestParam Optional<Purpose> purpose,
      @RequestParam(defaultValue = "0") long venue,
      Sent sent) {
    Optional<Long> to = venue == 0 ? Optional.empty() : Optional.of(venue);
    purposes.plan(id, slot, version, purpose, sent.text("becomes"), to);
    return at(id, "#tile-" + slot);
  }

  /** What one portion is; what was typed and refused stays in the field. */
  @PostMapping("/plan/{id}/portion")
  @Form(value = "/plan/{id}", keeps = "typedServing")
  Done portion(@PathVariable long id, ServingForm typed) {
    Serving before = sheets.get(id).plates().serving();
    purposes.serve(
        id, typed.understood(before.tolerance(), before.filled(), houses.house().formats()));
    return Done.QUIETLY;
  }

  /**
   * Into which pieces a part, and every one of its kind, is cut further; the usual ones without a
   * kind.
   */
  @PostMapping("/plan/{id}/parts/{slot}/pieces")
  @Form("/plan/{id}")
  Done pieces(
      @PathVariable long id,
      @PathVariable String slot,
      @RequestParam(defaultValue = "") List<String> kind,
      @RequestParam(defaultValue = "") List<String> without) {
    pieces.cut(id, slot, kind, without);
    return at(id, "#tile-" + slot);
  }

  @PostMapping("/plan/{id}/usual")
  @Form("/plan/{id}")
  Done usual(@PathVariable long id) {
    usual.ofAll(id);
    return at(id, "#tiles");
  }

  @PostMapping("/plan/{id}/ways")
  @Form("/plan/{id}")
  Done saveWay(@PathVariable long id, Sent sent) {
    LotSheet sheet = sheets.get(id);
    ways.save(sheet.lot(), sheet.plan().choices(), sent.text("name"));
    return Done.said("cutplan.said.saved-the-next-lot-of").on("/plan/" + id + "#ways");
  }

  @PostMapping("/plan/{id}/ways/{way}/follow")
  @Form("/plan/{id}")
  Done follow(@PathVariable long id, @PathVariable long way) {
    options.follow(id, way);
    return Done.QUIETLY;
  }

  @PostMapping("/plan/{id}/ways/{way}/forget")
  @Form("/plan/{id}")
  Done forget(@PathVariable long id, @PathVariable long way) {
    ways.forget(way);
    return at(id, "#ways");
  }
}
