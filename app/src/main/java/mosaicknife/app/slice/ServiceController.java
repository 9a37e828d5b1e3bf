package mosaicknife.app.slice;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.house.Named;
import mosaicknife.app.shared.Formats;
import mosaicknife.app.shared.Paper;
import mosaicknife.app.shared.Refusal;
import mosaicknife.app.shared.TakesLong;
import mosaicknife.app.shared.Words;
import mosaicknife.core.slice.ServicePlan;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** All fillets of a venue against what its dishes want tonight. */
@Controller
class ServiceController {

  private final Evening evening;
  private final HouseSettings houses;
  private final Paper paper;
  private final Words words;
  private final ServicePlans plans;
  private final WeighedRows weighed;

  ServiceController(
      Evening evening,
      HouseSettings houses,
      Paper paper,
      Words words,
      ServicePlans plans,
      WeighedRows weighed) {
    this.evening = evening;
    this.houses = houses;
    this.paper = paper;
    this.words = words;
    this.plans = plans;
    this.weighed = weighed;
  }

  @TakesLong
  @GetMapping("/slice")
  String service(@RequestParam Map<String, String> typed, Model model) {
    Formats formats = houses.house().formats();
    Named venue = venue(typed);
    model.addAttribute("venues", houses.venues());
    model.addAttribute("venue", venue);
    Evening.Asked asked;
    try {
      asked = evening.asked(venue.id(), typed);
      if (!asked.service().isWorkable()) {
        throw Refusal.ofInput("slice.problem.too-much");
      }
    } catch (Refusal refusal) {
      model.addAttribute("sentence", words.say(refusal));
      model.addAttribute("typed", typed);
      asked = evening.asked(venue.id(), Map.of());
    }
    ServicePlan plan = plans.of(asked.service());
    model.addAttribute("weighed", weighed.thisWeek(venue.id()));
    model.addAttribute(
        "heldBack",
        asked.heldBack().isEmpty()
            ? ""
            : formats.say(
                "slice.said.held-back",
                formats.list(
                    asked.heldBack().stream()
                        .map(lot -> formats.say("shared.lot-title", lot.id(), lot.species().name()))
                        .toList())));
    model.addAttribute("nothing", asked.fillets().isEmpty());
    model.addAttribute("view", ServiceView.of(asked, plan, plans.byHand(asked.service()), formats));
    return "slice/service";
  }

  private Named venue(Map<String, String> typed) {
    List<Named> venues = houses.venues();
    return venues.stream()
        .filter(one -> ("" + one.id()).equals(typed.get("venue")))
        .findFirst()
        .orElse(venues.get(0));
  }

  /** The list by dish. */
  @TakesLong
  @GetMapping("/slice/service.pdf")
  ResponseEntity<byte[]> list(@RequestParam Map<String, String> typed) {
    Named venue = venue(typed);
    Evening.Asked asked = evening.asked(venue.id(), typed);
    ServicePlan plan = plans.of(asked.service());
    Map<String, Object> model = new LinkedHashMap<>();
    model.put("house", houses.house());
    model.put("venue", venue);
    model.put("day", houses.house().formats().day(houses.today()));
    model.put("lists", ServiceView.lists(asked, plan, houses.house().formats()));
    return paper.sheet("slice/service-list", model, "portions.pdf");
  }
}
