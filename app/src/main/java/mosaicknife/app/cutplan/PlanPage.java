package mosaicknife.app.cutplan;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import mosaicknife.app.account.CurrentPerson;
import mosaicknife.app.account.Permission;
import mosaicknife.app.buy.Dish;
import mosaicknife.app.buy.DishEditor;
import mosaicknife.app.catalogue.CatalogueEditor;
import mosaicknife.app.catalogue.HouseOptions;
import mosaicknife.app.house.House;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.parts.OptionChooser;
import mosaicknife.app.picture.FishPicture;
import mosaicknife.app.picture.FishPicture.PartMark;
import mosaicknife.app.picture.FishPicture.Standing;
import mosaicknife.app.picture.LotMosaic;
import mosaicknife.app.picture.MosaicPicture.Size;
import mosaicknife.app.shared.ApartWords;
import mosaicknife.app.shared.Formats;
import mosaicknife.app.shared.Sent;
import mosaicknife.app.shared.ServingForm;
import mosaicknife.core.lot.Destination;
import mosaicknife.core.lot.LotPart;
import mosaicknife.core.lot.LotSheet;
import mosaicknife.core.portion.Serving;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;

/** What a plan shows, on the page and on paper. */
@Component
class PlanPage {

  private final OptionChooser options;
  private final HouseOptions houseOptions;
  private final DishEditor dishes;
  private final CatalogueEditor catalogue;
  private final HouseSettings houses;
  private final CurrentPerson current;

  PlanPage(
      OptionChooser options,
      HouseOptions houseOptions,
      DishEditor dishes,
      CatalogueEditor catalogue,
      HouseSettings houses,
      CurrentPerson current) {
    this.options = options;
    this.houseOptions = houseOptions;
    this.dishes = dishes;
    this.catalogue = catalogue;
    this.houses = houses;
    this.current = current;
  }

  /** What the page shows of the plan of a lot. */
  void show(LotSheet sheet, Model model) {
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
    model.addAttribute("typedServing", serving(sheet, model, formats));
  }

  private static ServingForm serving(LotSheet sheet, Model model, Formats formats) {
    Serving serving = sheet.plates().serving();
    return Sent.kept(model, "typedServing")
        .map(typed -> new ServingForm(typed.get("portion"), typed.get("form"), typed.get("pieces")))
        .orElseGet(
            () ->
                new ServingForm(
                    formats.mass(serving.target()), serving.form().name(), "" + serving.count()));
  }

  /** What the sheet on paper shows. */
  Map<String, Object> paper(LotSheet sheet) {
    House house = houses.house();
    Map<String, Object> model = new HashMap<>();
    model.put("house", house);
    model.put("f", house.formats());
    model.put("lot", sheet.lot());
    model.put("sheet", sheet);
    model.put("plan", view(sheet));
    model.put("drawing", drawing(sheet));
    return model;
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
    return FishPicture.of(sheet.lot().species(), slot -> sheet.find(slot).map(PlanPage::mark));
  }

  private static PartMark mark(LotPart part) {
    Standing standing =
        part.skipped()
            ? Standing.ABSENT
            : part.purpose().isPresent() ? Standing.WEIGHED : Standing.PENDING;
    return new PartMark(part.number(), part.name(), standing, part.purpose(), "");
  }
}
