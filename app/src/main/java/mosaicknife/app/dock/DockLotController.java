package mosaicknife.app.dock;

import jakarta.servlet.http.HttpServletRequest;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import mosaicknife.app.account.CurrentPerson;
import mosaicknife.app.account.Permission;
import mosaicknife.app.buy.Dish;
import mosaicknife.app.buy.DishEditor;
import mosaicknife.app.buy.OrderPlacer;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.lot.CatchChecker;
import mosaicknife.app.lot.Claim;
import mosaicknife.app.lot.ClaimSettler;
import mosaicknife.app.lot.Evidence;
import mosaicknife.app.lot.EvidenceFiler;
import mosaicknife.app.lot.LotInspector;
import mosaicknife.app.lot.LotRegister;
import mosaicknife.app.picture.LotMosaic;
import mosaicknife.app.picture.MosaicPicture.Size;
import mosaicknife.app.shared.Formats;
import mosaicknife.app.shared.SquareCode;
import mosaicknife.app.weighing.LotSheets;
import mosaicknife.core.lot.Lot;
import mosaicknife.core.lot.LotPart;
import mosaicknife.core.lot.LotSheet;
import mosaicknife.core.lot.Saying;
import mosaicknife.core.safety.Allergen;
import mosaicknife.core.safety.Fitness;
import mosaicknife.core.safety.LengthRule;
import mosaicknife.core.safety.Limit;
import mosaicknife.core.safety.Limits;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.support.ServletUriComponentsBuilder;

/** How a lot was received, and its passport. */
@Controller
class DockLotController {

  private final LotSheets sheets;
  private final LotRegister lots;
  private final LotInspector inspections;
  private final EvidenceFiler evidence;
  private final ClaimSettler claims;
  private final CatchChecker catches;
  private final OrderPlacer orders;
  private final DishEditor dishes;
  private final HouseSettings houses;
  private final CurrentPerson current;

  DockLotController(
      LotSheets sheets,
      LotRegister lots,
      LotInspector inspections,
      EvidenceFiler evidence,
      ClaimSettler claims,
      CatchChecker catches,
      OrderPlacer orders,
      DishEditor dishes,
      HouseSettings houses,
      CurrentPerson current) {
    this.sheets = sheets;
    this.lots = lots;
    this.inspections = inspections;
    this.evidence = evidence;
    this.claims = claims;
    this.catches = catches;
    this.orders = orders;
    this.dishes = dishes;
    this.houses = houses;
    this.current = current;
  }

  /** How a lot was received, with its way through the stations. */
  @GetMapping("/dock/{id}")
  String lot(@PathVariable long id, @RequestParam Optional<String> received, Model model) {
    LotSheet sheet = sheets.get(id);
    model.addAttribute("sheet", sheet);
    model.addAttribute("lot", sheet.lot());
    model.addAttribute("mosaic", LotMosaic.of(sheet, Size.WIDE, houses.house().formats()));
    model.addAttribute("justReceived", received.isPresent());
    fill(model, sheet.lot());
    return "dock/lot";
  }

  private void fill(Model model, Lot lot) {
    Formats formats = houses.house().formats();
    model.addAttribute("match", match(lot, formats));
    Limits limits = lot.cold().limits();
    model.addAttribute("noPart", Optional.empty());
    model.addAttribute("warmLimit", limits.value(Limit.HISTAMINE_TIME));
    model.addAttribute(
        "warmAbove", formats.temperature(limits.temperature(Limit.HISTAMINE_TEMPERATURE)));
    model.addAttribute("signs", inspections.signs(lot));
    model.addAttribute("fitnesses", Fitness.values());
    model.addAttribute("kept", lot.inspection().map(VerdictView::of).orElse(null));
    model.addAttribute("fish", inspections.fish(lot.id()));
    model.addAttribute("warnings", inspections.lengthWarnings(lot));
    model.addAttribute("catchWarnings", catches.warnings(lot));
    model.addAttribute("sayings", catches.sayings(lot));
    model.addAttribute("allSayings", Saying.values());
    model.addAttribute("bases", LengthRule.Basis.values());
    model.addAttribute("evidence", evidence.of(lot.id()));
    model.addAttribute("evidenceKinds", Evidence.Kind.values());
    model.addAttribute("claims", claims.of(lot.id()));
    model.addAttribute("claimKinds", Claim.Kind.values());
    model.addAttribute("newId", UUID.randomUUID());
  }

  private OrderMatch match(Lot lot, Formats formats) {
    return lot.arrival().orderLine().stream()
        .boxed()
        .flatMap(line -> orders.findByLine(line).stream())
        .flatMap(
            order ->
                OrderMatch.of(
                    lot, order, lots.of(order), formats, current.may(Permission.SEE_COSTS))
                    .stream())
        .findFirst()
        .orElse(null);
  }

  /** What guests are told of the dish that each part goes to, by its slot. */
  private Map<String, String> allergens(LotSheet sheet) {
    Formats formats = houses.house().formats();
    String fish = sheet.lot().species().name();
    Map<String, String> told = new HashMap<>();
    Map<Long, Dish> known = dishes.all().stream().collect(Collectors.toMap(Dish::id, one -> one));
    for (LotPart part : sheet.parts()) {
      part.part()
          .dish()
          .map(to -> known.get(to.id()))
          .ifPresent(
              dish ->
                  told.put(
                      part.slot(),
                      formats.list(
                          dish.allergens().stream()
                              .map(one -> one == Allergen.FISH ? fish : formats.say(one))
                              .toList())));
    }
    return told;
  }

  /** One page from which every later part can be traced back. */
  @GetMapping("/dock/{id}/passport")
  String passport(@PathVariable long id, HttpServletRequest request, Model model) {
    LotSheet sheet = sheets.get(id);
    model.addAttribute("sheet", sheet);
    model.addAttribute("lot", sheet.lot());
    model.addAttribute("allergens", allergens(sheet));
    fill(model, sheet.lot());
    String address =
        ServletUriComponentsBuilder.fromRequestUri(request)
            .replacePath("/dock/" + id)
            .toUriString();
    model.addAttribute("address", address);
    model.addAttribute("code", SquareCode.of(address));
    return "dock/passport";
  }
}
