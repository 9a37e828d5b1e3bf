package mosaicknife.app.today;

import jakarta.servlet.http.HttpServletRequest;
import java.util.Optional;
import java.util.UUID;
import mosaicknife.app.account.CurrentPerson;
import mosaicknife.app.account.Permission;
import mosaicknife.app.bench.BenchSheet;
import mosaicknife.app.bench.BenchSheets;
import mosaicknife.app.buy.OrderPlacer;
import mosaicknife.app.dock.Claim;
import mosaicknife.app.dock.ClaimSettler;
import mosaicknife.app.dock.Evidence;
import mosaicknife.app.dock.EvidenceFiler;
import mosaicknife.app.dock.Lot;
import mosaicknife.app.dock.LotInspector;
import mosaicknife.app.dock.LotRegister;
import mosaicknife.app.dock.OrderMatch;
import mosaicknife.app.dock.VerdictView;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.picture.MosaicPicture.Size;
import mosaicknife.app.shared.Formats;
import mosaicknife.core.safety.Fitness;
import mosaicknife.core.safety.LengthRule;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.support.ServletUriComponentsBuilder;

/** The Today page, and the same list where a station needs a lot chosen first. */
@Controller
class TodayController {

  private final BenchSheets sheets;
  private final LotRegister lots;
  private final LotInspector inspections;
  private final EvidenceFiler evidence;
  private final ClaimSettler claims;
  private final OrderPlacer orders;
  private final HouseSettings houses;
  private final CurrentPerson current;

  TodayController(
      BenchSheets sheets,
      LotRegister lots,
      LotInspector inspections,
      EvidenceFiler evidence,
      ClaimSettler claims,
      OrderPlacer orders,
      HouseSettings houses,
      CurrentPerson current) {
    this.current = current;
    this.sheets = sheets;
    this.lots = lots;
    this.inspections = inspections;
    this.evidence = evidence;
    this.claims = claims;
    this.orders = orders;
    this.houses = houses;
  }

  @GetMapping("/")
  String today(Model model) {
    model.addAttribute("today", TodayView.of(sheets.all(), houses.house().formats()));
    return "today/today";
  }

  /** How a lot was received, with its way through the stations. */
  @GetMapping("/dock/{id}")
  String lot(@PathVariable long id, @RequestParam Optional<String> received, Model model) {
    BenchSheet sheet = sheets.get(id);
    model.addAttribute("sheet", sheet);
    model.addAttribute("lot", sheet.lot());
    model.addAttribute("mosaic", sheet.mosaic(Size.WIDE, houses.house().formats()));
    model.addAttribute("justReceived", received.isPresent());
    fill(model, sheet.lot());
    return "today/lot";
  }

  private void fill(Model model, Lot lot) {
    Formats formats = houses.house().formats();
    model.addAttribute("match", match(lot, formats));
    model.addAttribute("signs", inspections.signs(lot));
    model.addAttribute("fitnesses", Fitness.values());
    model.addAttribute("kept", lot.inspection().map(VerdictView::of).orElse(null));
    model.addAttribute("fish", inspections.fish(lot.id()));
    model.addAttribute("warnings", inspections.lengthWarnings(lot));
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

  /** One page from which every later part can be traced back. */
  @GetMapping("/dock/{id}/passport")
  String passport(@PathVariable long id, HttpServletRequest request, Model model) {
    BenchSheet sheet = sheets.get(id);
    model.addAttribute("sheet", sheet);
    model.addAttribute("lot", sheet.lot());
    fill(model, sheet.lot());
    String address =
        ServletUriComponentsBuilder.fromRequestUri(request)
            .replacePath("/dock/" + id)
            .toUriString();
    model.addAttribute("address", address);
    model.addAttribute("code", PassportView.code(address));
    return "today/passport";
  }

  @GetMapping("/bench")
  String bench(Model model) {
    return choose(model, "bench", "Bench", "Which lot is on the board?");
  }

  @GetMapping("/plan")
  String plan(Model model) {
    return choose(model, "plan", "Cut plan", "Which lot do you want to plan?");
  }

  @GetMapping("/cost")
  String cost(Model model) {
    return choose(model, "cost", "Cost", "Which lot do you want to cost?");
  }

  @GetMapping("/use")
  String use(Model model) {
    return choose(model, "use", "Second life", "Which lot do you want to decide on?");
  }

  private String choose(Model model, String station, String title, String question) {
    model.addAttribute("today", TodayView.of(sheets.all(), houses.house().formats()));
    model.addAttribute("station", station);
    model.addAttribute("title", title);
    model.addAttribute("question", question);
    return "today/choose";
  }
}
