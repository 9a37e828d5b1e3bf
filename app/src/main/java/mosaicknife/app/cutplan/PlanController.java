package mosaicknife.app.cutplan;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import mosaicknife.app.account.CurrentPerson;
import mosaicknife.app.account.Permission;
import mosaicknife.app.buy.Dish;
import mosaicknife.app.buy.DishEditor;
import mosaicknife.app.catalogue.CatalogueEditor;
import mosaicknife.app.catalogue.HouseOptions;
import mosaicknife.app.house.House;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.parts.LotDivider;
import mosaicknife.app.parts.OptionChooser;
import mosaicknife.app.parts.PiecePlanner;
import mosaicknife.app.parts.PreWorkTicker;
import mosaicknife.app.parts.PurposeAssigner;
import mosaicknife.app.parts.WayKeeper;
import mosaicknife.app.picture.FishPicture;
import mosaicknife.app.picture.FishPicture.PartMark;
import mosaicknife.app.picture.FishPicture.Standing;
import mosaicknife.app.picture.LotMosaic;
import mosaicknife.app.picture.MosaicPicture.Size;
import mosaicknife.app.shared.ApartWords;
import mosaicknife.app.shared.Done;
import mosaicknife.app.shared.Form;
import mosaicknife.app.shared.Formats;
import mosaicknife.app.shared.Paper;
import mosaicknife.app.shared.Sent;
import mosaicknife.app.shared.ServingForm;
import mosaicknife.app.shared.TakesLong;
import mosaicknife.app.weighing.LotSheets;
import mosaicknife.app.weighing.UsualPurposes;
import mosaicknife.core.anatomy.Purpose;
import mosaicknife.core.lot.Destination;
import mosaicknife.core.lot.LotPart;
import mosaicknife.core.lot.LotSheet;
import mosaicknife.core.portion.Serving;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The Cut plan station. Every change comes back to the same page, with a sentence if refused. */
@Controller
class PlanController {

  private final LotSheets sheets;
  private final OptionChooser options;
  private final HouseOptions houseOptions;
  private final WayKeeper ways;
  private final PurposeAssigner purposes;
  private final PiecePlanner pieces;
  private final UsualPurposes usual;
  private final PreWorkTicker preWork;
  private final LotDivider divisions;
  private final DishEditor dishes;
  private final CatalogueEditor catalogue;
  private final HouseSettings houses;
  private final CurrentPerson current;
  private final Paper paper;

  PlanController(
      LotSheets sheets,
      OptionChooser options,
      HouseOptions houseOptions,
      WayKeeper ways,
      PurposeAssigner purposes,
      PiecePlanner pieces,
      UsualPurposes usual,
      PreWorkTicker preWork,
      LotDivider divisions,
      DishEditor dishes,
      CatalogueEditor catalogue,
      HouseSettings houses,
      CurrentPerson current,
      Paper paper) {
    this.sheets = sheets;
    this.options = options;
    this.houseOptions = houseOptions;
    this.ways = ways;
    this.purposes = purposes;
    this.pieces = pieces;
    this.usual = usual;
    this.preWork = preWork;
    this.divisions = divisions;
    this.dishes = dishes;
    this.catalogue = catalogue;
    this.houses = houses;
    this.current = current;
    this.paper = paper;
  }

  @GetMapping("/plan/{id}")
  String plan(@PathVariable long id, Model model) {
    LotSheet sheet = sheets.get(id);
    Formats formats = houses.house().formats();
    model.addAttribute("sheet", sheet);
    model.addAttribute("lot", sheet.lot());
    model.addAttribute("plan", view(sheet));
    model.addAttribute("apart", ApartWords.of(sheet, formats));
    model.addAttribute("drawing", drawing(sheet));
    model.addAttribute("mosaic", LotMosaic.of(sheet, Size.LARGE, formats));
    model.addAttribute("venues", houses.venues());
    model.addAttribute("dishes", dishesOf(sheet));
    model.addAttribute("otherFish", soldAsAnother(sheet));
    model.addAttribute("preWorkDone", preWork.of(id));
    model.addAttribute("ways", ways.of(sheet.lot().species()));
    model.addAttribute("servings", Serving.Form.values());
    Serving serving = sheet.plates().serving();
    model.addAttribute(
        "typedServing",
        Sent.kept(model, "typedServing")
            .map(
                typed ->
                    new ServingForm(typed.get("portion"), typed.get("form"), typed.get("pieces")))
            .orElseGet(
                () ->
                    new ServingForm(
                        formats.mass(serving.target()),
                        serving.form().name(),
                        "" + serving.count())));
    model.addAttribute("size", WayKeeper.sizeOf(sheet.lot()));
    model.addAttribute("division", divisions.of(sheet.lot()));
    model.addAttribute("newId", UUID.randomUUID());
    return "cutplan/plan";
  }

  private CutPlanView view(LotSheet sheet) {
    House house = houses.house();
    return CutPlanView.of(
        new CutPlanView.Ground(
            sheet,
            options.answers(sheet.lot().id()),
            houseOptions.answers(),
            houses.venues(),
            catalogue.now(),
            house.labourPerHour(),
            current.may(Permission.SEE_COSTS),
            house.formats()));
  }

  private List<String> dishesOf(LotSheet sheet) {
    String species = sheet.lot().species().code();
    return dishes.all().stream()
        .filter(dish -> dish.fish().contains(species))
        .map(Dish::name)
        .toList();
  }

  /** The dishes this fish goes to that are sold as another. */
  private List<String> soldAsAnother(LotSheet sheet) {
    Set<Long> going =
        sheet.parts().stream()
            .flatMap(part -> part.part().dish().stream())
            .map(Destination.ToDish::id)
            .collect(Collectors.toSet());
    return dishes.all().stream()
        .filter(dish -> going.contains(dish.id()))
        .filter(dish -> dish.isSubstitute(sheet.lot().species().code()))
        .map(Dish::name)
        .toList();
  }

  private static FishPicture drawing(LotSheet sheet) {
    return FishPicture.of(
        sheet.lot().species(), slot -> sheet.find(slot).map(PlanController::mark));
  }

  private static PartMark mark(LotPart part) {
    Standing standing =
        part.skipped()
            ? Standing.ABSENT
            : part.purpose().isPresent() ? Standing.WEIGHED : Standing.PENDING;
    return new PartMark(part.number(), part.name(), standing, part.purpose(), "");
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

  @TakesLong
  @GetMapping(path = "/plan/{id}/sheet.pdf")
  ResponseEntity<byte[]> print(@PathVariable long id) {
    LotSheet sheet = sheets.get(id);
    House house = houses.house();
    Map<String, Object> model = new HashMap<>();
    model.put("house", house);
    model.put("f", house.formats());
    model.put("lot", sheet.lot());
    model.put("sheet", sheet);
    model.put("plan", view(sheet));
    model.put("drawing", drawing(sheet));
    return paper.sheet("cutplan/cut-sheet", model, "cut-sheet-" + id + ".pdf");
  }
}
